package ridgefall.core.job;

import java.util.List;
import java.util.UUID;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What is noted while the owner stands there, besides what every station knows. Places in mm, face up. */
public sealed interface IntakeFact extends Fact {
    int MOST_POINTS = 200;

    @Override
    default Station station() {
        return Station.INTAKE;
    }

    /** {@code present} false takes a symptom back. */
    record SymptomSeen(Symptom symptom, boolean present) implements IntakeFact {
        public SymptomSeen {
            Allowed.present("symptom", symptom);
        }
    }

    /** A crack as it runs over the face: 2 to {@value IntakeFact#MOST_POINTS} points. */
    record CrackDrawn(List<Point> line) implements IntakeFact {
        public CrackDrawn {
            Allowed.present("line", line);
            Allowed.between("line", line.size(), 2, MOST_POINTS, "points");
            line = List.copyOf(line);
            line.forEach(IntakeFact::onFace);
        }
    }

    record DentMarked(Point at) implements IntakeFact {
        public DentMarked {
            Allowed.present("at", at);
            onFace(at);
        }
    }

    /** The frame is bent: {@code gapMm} under this corner when it lies on a flat plate, 0.1–10 mm. */
    record BendMarked(Landmark corner, double gapMm) implements IntakeFact {
        public BendMarked {
            Allowed.present("corner", corner);
            if (!corner.isCorner()) {
                throw new NotAllowed("corner", corner, "TOP_LEFT, TOP_RIGHT, BOTTOM_RIGHT or BOTTOM_LEFT");
            }
            Allowed.between("gapMm", gapMm, 0.1, 10, "mm");
        }
    }

    /** It was here before with the same, as the job of this number. */
    record CameBack(long jobNumber) implements IntakeFact {
        public CameBack {
            Allowed.between("jobNumber", (double) jobNumber, 1, 1_000_000_000, "(a job's number)");
        }
    }

    /** A crack, dent or bend that is not there after all, by the number of the fact that marked it. */
    record MarkRemoved(long seq) implements IntakeFact {
        public MarkRemoved {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a mark of this job)");
        }
    }

    /** The picture itself lies in the store under this id. */
    record PhotoTaken(UUID photoId, String words) implements IntakeFact {
        public PhotoTaken {
            Allowed.present("photoId", photoId);
            Allowed.optionalText("words", words, 80);
        }
    }

    private static void onFace(Point point) {
        Allowed.present("point", point);
        Allowed.between("xMm", point.xMm(), -5, 1005, "mm");
        Allowed.between("yMm", point.yMm(), -5, 1005, "mm");
    }
}
