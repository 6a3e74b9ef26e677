package ridgefall.core.test;

import java.util.List;
import java.util.Locale;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.test.TouchLine.Break;
import ridgefall.core.test.TouchLine.Wave;
import ridgefall.core.test.TouchTrace.Sample;

/** Something that the traces of a touch layer say. */
public sealed interface TouchFinding {
    enum Weight {
        /** Of the panel, its plug or its cable. */
        BAD,
        /** Nobody can say yet: what was asked is asked once more. */
        DOUBTFUL,
        /** Not of the panel. */
        ASIDE
    }

    Weight weight();

    String words();

    /** @param band whether it goes right across or right down: a line of the layer, not a spot */
    record DeadPatch(List<Cell> cells, boolean band) implements TouchFinding {
        /** One cell wide: a single line of the layer; what its plug or cable carries lies side by side. */
        public boolean lone() {
            return band
                    && (cells.stream().map(Cell::column).distinct().count() == 1
                            || cells.stream().map(Cell::row).distinct().count() == 1);
        }

        @Override
        public Weight weight() {
            return Weight.BAD;
        }

        @Override
        public String words() {
            return band
                    ? "dead right across, " + cells.size() + " cells: "
                            + (lone() ? "a line of the layer" : "lines of the layer, or its plug or cable")
                    : "dead: " + cells.size() + " cells side by side";
        }
    }

    /** Lone cells that did not answer: passed by, or not. */
    record NotProven(List<Cell> cells) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.DOUBTFUL;
        }

        @Override
        public String words() {
            return cells.size() == 1
                    ? "one cell did not answer: sweep it again"
                    : cells.size() + " lone cells did not answer: sweep them again";
        }
    }

    /** @param lone one only, as a sleeve does */
    record Ghosts(List<Sample> at, boolean lone) implements TouchFinding {
        @Override
        public Weight weight() {
            return lone ? Weight.DOUBTFUL : Weight.BAD;
        }

        @Override
        public String words() {
            return lone ? "one touch with nobody near: watch again" : at.size() + " touches with nobody near";
        }
    }

    record Leaps(List<Break> at) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.BAD;
        }

        @Override
        public String words() {
            return at.size() == 1 ? "a line leaps" : "lines leap " + at.size() + " times";
        }
    }

    /** Lost and found again on the same line, though every cell answers. */
    record LostLines(List<Break> at) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.DOUBTFUL;
        }

        @Override
        public String words() {
            return at.size() == 1
                    ? "a line was lost and found again: draw it once more"
                    : "lines were lost " + at.size() + " times: draw them once more";
        }
    }

    /**
     * Asked for, and none came that is long enough.
     *
     * @param pen with the stylus: then it is dead, or its layer is
     */
    record NoLine(boolean pen) implements TouchFinding {
        @Override
        public Weight weight() {
            return pen ? Weight.BAD : Weight.DOUBTFUL;
        }

        @Override
        public String words() {
            return pen ? "no line of the stylus arrives" : "no line came: draw them, corner to corner";
        }
    }

    /** @param most at once, of {@code asked} */
    record FewFingers(int most, int asked) implements TouchFinding {
        @Override
        public Weight weight() {
            return most < 2 ? Weight.BAD : Weight.DOUBTFUL;
        }

        @Override
        public String words() {
            return most < 2
                    ? "one finger at a time only"
                    : most + " fingers at once: lay " + asked + " down together, and hold them";
        }
    }

    /** @param doubtful too small to be sure of, on one line only, or drawn at one speed only */
    record Wavy(Wave wave, boolean doubtful) implements TouchFinding {
        @Override
        public Weight weight() {
            return doubtful ? Weight.DOUBTFUL : Weight.BAD;
        }

        @Override
        public String words() {
            String much = String.format(
                    Locale.ROOT, "{mm:%.2f} to either side, every {mm:%.1f}", wave.amplitudeMm(), wave.periodMm());
            return doubtful
                    ? "perhaps wavy, " + much + ": draw again, slowly and twice as fast"
                    : "wavy, " + much + ", however fast it is drawn: the panel, or what it was told by the old one";
        }
    }

    /**
     * Near the edge a line is told beside where it was drawn.
     *
     * @param mm aside, where it is most
     * @param doubtful once only, or by little
     */
    record PulledAtEdge(Sample at, double mm, boolean doubtful) implements TouchFinding {
        @Override
        public Weight weight() {
            return doubtful ? Weight.DOUBTFUL : Weight.BAD;
        }

        @Override
        public String words() {
            String much = String.format(Locale.ROOT, "{mm:%.1f} aside near the edge", mm);
            return doubtful
                    ? "perhaps " + much + ": draw to the edge once more"
                    : much + ", each time it is drawn there";
        }
    }

    /** What the layer that came in did: says whether it was so before. */
    record Before(String words) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.ASIDE;
        }
    }

    record ShakyHand(Wave wave, double hertz) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.ASIDE;
        }

        @Override
        public String words() {
            return "the hand, not the panel: " + Math.round(hertz) + " times a second, longer the faster it is drawn";
        }
    }

    /** @param hertz answers a second */
    record SlowAnswers(double hertz) implements TouchFinding {
        @Override
        public Weight weight() {
            return Weight.DOUBTFUL;
        }

        @Override
        public String words() {
            return "answers only " + Math.round(hertz) + " times a second: waves can't be judged so";
        }
    }
}
