package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.units.Allowed;

/** What comes off inside, and how many screws. */
public sealed interface StripFact extends Fact.Of<StripState> {
    Family<StripState> FAMILY = new Family<>(StripFact.class, StripState.NOTHING, StripState::hears);

    /** The step that a count of screws answers: whichever way they are counted, both counts are weighed anew. */
    String SCREWS_IN = "seal.screws";

    enum Isolation {
        UNPLUGGED,
        CARD_UNDER_CONTACT
    }

    enum Count {
        OUT,
        IN
    }

    @Override
    default Family<StripState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.STRIP);
    }

    record BatteryIsolated(Isolation how) implements StripFact {
        @Override
        public void check() {
            Allowed.present("how", how);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.isolated(how);
        }

        @Override
        public String words(FactWords told) {
            return how == Isolation.UNPLUGGED ? "Battery unplugged" : "Card under the battery contact";
        }
    }

    /** The power key was held and nothing came on. */
    record IsolationProven() implements StripFact {
        @Override
        public StripState after(StripState before, Entry entry) {
            return before.proven();
        }

        @Override
        public String words(FactWords told) {
            return "Isolation proven with the power key";
        }
    }

    record PlugFreed(String plugId) implements StripFact {
        @Override
        public void check() {
            Allowed.text("plugId", plugId, 40);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.unplugged(plugId);
        }

        @Override
        public String words(FactWords told) {
            return FactWords.name(plugId, told.profile().connectors().stream(), Connector::id, Connector::words)
                    + " unplugged";
        }
    }

    /** Out while stripping down, in before sealing. */
    record ScrewsCounted(Count direction, int screws) implements StripFact {
        @Override
        public void check() {
            Allowed.present("direction", direction);
            Allowed.between("screws", screws, 0, 200, "screws");
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(direction == Count.OUT ? Station.STRIP : Station.SEAL);
        }

        @Override
        public Set<String> answers() {
            return Set.of(SCREWS_IN);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.counted(direction, screws);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return screws + (direction == Count.OUT ? " screws out" : " screws in");
        }
    }

    /** Screws of some holes taken out or driven back, each into its own. */
    record ScrewsMoved(List<String> holeIds, ScrewAt.Where where) implements StripFact {
        private static final int MOST = 60;

        public ScrewsMoved {
            holeIds = holeIds == null ? null : Collections.unmodifiableList(new ArrayList<>(holeIds));
        }

        @Override
        public void check() {
            Allowed.present("holeIds", holeIds);
            Allowed.between("holeIds", holeIds.size(), 1, MOST, "holes");
            holeIds.forEach(id -> Allowed.text("holeIds", id, 40));
            Allowed.oneOf("where", where, EnumSet.of(ScrewAt.Where.OUT, ScrewAt.Where.BACK));
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(where == ScrewAt.Where.BACK ? Station.SEAL : Station.STRIP);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            StripState after = before;
            for (String id : holeIds) {
                after = after.screw(id, new ScrewAt(where, null));
            }
            return after;
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return (holeIds.size() == 1 ? "Screw " : holeIds.size() + " screws ") + where.words() + ": "
                    + String.join(", ", holeIds);
        }
    }

    /**
     * What is with one screw.
     *
     * @param words how it is known that a lost one is not inside, or why the hole stays empty; else null
     */
    record ScrewTold(String holeId, ScrewAt.Where where, String words) implements StripFact {
        @Override
        public void check() {
            Allowed.text("holeId", holeId, 40);
            Allowed.oneOf("where", where, EnumSet.complementOf(EnumSet.of(ScrewAt.Where.BACK, ScrewAt.Where.ANOTHER)));
            if (where == ScrewAt.Where.RENEWED || where == ScrewAt.Where.EMPTY) {
                Allowed.text("words", words, 200);
            } else {
                Allowed.optionalText("words", words, 200);
            }
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.screw(holeId, new ScrewAt(where, words));
        }

        @Override
        public Page page() {
            return where == ScrewAt.Where.OUT ? Page.MEASURED : Page.WENT_WRONG;
        }

        @Override
        public String words(FactWords told) {
            return "Screw " + holeId + ": " + where.words() + (words == null ? "" : ", " + words);
        }
    }

    /**
     * Another screw than its own driven into a hole.
     *
     * @param threadMm thread diameter, {@code underHeadMm} its length under the head
     */
    record ScrewDriven(String holeId, double threadMm, double underHeadMm, boolean threadLock) implements StripFact {
        @Override
        public void check() {
            Allowed.text("holeId", holeId, 40);
            Allowed.between("threadMm", threadMm, 0.8, 4, "mm");
            Allowed.between("underHeadMm", underHeadMm, 0.8, 20, "mm");
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(Station.SEAL);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.screw(holeId, new ScrewAt(ScrewAt.Where.ANOTHER, screw()));
        }

        private String screw() {
            return "{mm:" + underHeadMm + "} M" + threadMm + (threadLock ? ", thread lock" : "");
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Another screw in hole " + holeId + ": " + screw();
        }
    }
}
