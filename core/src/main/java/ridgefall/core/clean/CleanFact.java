package ridgefall.core.clean;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** How the ledge gets clean, stretch by stretch. */
public sealed interface CleanFact extends Fact.Of<CleanState> {
    Family<CleanState> FAMILY = new Family<>(CleanFact.class, CleanState.NOTHING, CleanState::hears);

    /** More than any edge is parted into. */
    int MOST_STRETCHES = 200;

    /** What a nail or a low light finds. */
    enum Flaw {
        GLUE("glue left", Stage.GLUE),
        SHARD("a shard", Stage.GLUE),
        UNEVEN("a dent or a burr", Stage.GLUE),
        DULL("dull, a film on it", Stage.BARE);

        private final String words;
        private final Stage back;

        Flaw(String words, Stage back) {
            this.words = words;
            this.back = back;
        }

        public String words() {
            return words;
        }

        Stage back() {
            return back;
        }
    }

    @Override
    default Family<CleanState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.CLEAN);
    }

    /** Blade and bin: no glue and no glass on these stretches. */
    record GlueOff(List<String> stretchIds) implements CleanFact {
        public GlueOff {
            stretchIds = stretchIds == null ? null : List.copyOf(stretchIds);
        }

        @Override
        public void check() {
            some(stretchIds);
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.to(Stage.BARE, stretchIds);
        }

        @Override
        public boolean voids(String id) {
            return id.equals(CleanStation.BARE);
        }

        @Override
        public String words(FactWords told) {
            return "Glue off: " + places(told, stretchIds);
        }
    }

    /** A nail and a lamp found nothing there. */
    record Accepted(List<String> stretchIds) implements CleanFact {
        public Accepted {
            stretchIds = stretchIds == null ? null : List.copyOf(stretchIds);
        }

        @Override
        public void check() {
            some(stretchIds);
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.to(Stage.ACCEPTED, stretchIds);
        }

        @Override
        public String words(FactWords told) {
            return "Flat and shiny: " + places(told, stretchIds);
        }
    }

    /** A shattered front leaves glass where no blade goes: looked for by low light. */
    record CornerSwept(Landmark corner) implements CleanFact {
        @Override
        public void check() {
            if (corner == null || !corner.isCorner()) {
                throw new NotAllowed("corner", corner, "TOP_RIGHT, BOTTOM_RIGHT, BOTTOM_LEFT or TOP_LEFT");
            }
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.swept(corner);
        }

        @Override
        public String words(FactWords told) {
            return "Swept of shards by low light: " + told.profile().placeName(corner);
        }
    }

    /** @param seconds until what was wiped may be covered */
    record Wiped(List<String> stretchIds, FrameSolvent solvent, int seconds) implements CleanFact {
        public Wiped {
            stretchIds = stretchIds == null ? null : List.copyOf(stretchIds);
        }

        @Override
        public void check() {
            some(stretchIds);
            Allowed.present("solvent", solvent);
            Allowed.between("seconds", seconds, 60, 3600, "s");
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.wiped(
                    stretchIds,
                    new CleanState.Wiping(solvent, entry.happenedAt().plusSeconds(seconds)));
        }

        @Override
        public boolean voids(String id) {
            return id.equals(CleanStation.WIPED);
        }

        /** What is wiped last with a solvent is dry last. */
        @Override
        public Timer.Change timers() {
            return Timer.Change.start(
                    new Timer.Start(CleanStation.DRYING.id() + "-" + solvent, CleanStation.DRYING.id(), seconds));
        }

        @Override
        public String words(FactWords told) {
            return "Wiped with " + solvent.words() + ", {s:" + seconds + "} to dry: " + places(told, stretchIds);
        }
    }

    /** All that was wet is dry. */
    record LedgeDry() implements CleanFact {
        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.dried();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(
                    CleanStation.DRYING.id(),
                    CleanStation.DRYING.id() + "-" + FrameSolvent.ACETONE,
                    CleanStation.DRYING.id() + "-" + FrameSolvent.ALCOHOL);
        }

        @Override
        public String words(FactWords told) {
            return "Ledge dry";
        }
    }

    /** Found on the way or by the nail at the end: this stretch is done again, the others stay as they are. */
    record SentBack(String stretchId, Flaw flaw) implements CleanFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("stretchId", stretchId, 40);
            Allowed.present("flaw", flaw);
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.sentBack(stretchId, flaw.back());
        }

        @Override
        public boolean voids(String id) {
            return id.equals(CleanStation.FLAT);
        }

        /** Primer goes off with what is cleaned again. */
        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(Priming.DRYING.id(), Priming.OPEN.id());
        }

        @Override
        public String words(FactWords told) {
            return "Not clean, " + flaw.words() + ": " + places(told, List.of(stretchId));
        }
    }

    /** @param seconds until it may be taped */
    record Primed(int seconds) implements CleanFact {
        @Override
        public void check() {
            Allowed.between("seconds", seconds, 60, 3600, "s");
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.primed(new CleanState.Primer(
                    entry.happenedAt().plusSeconds(seconds), entry.happenedAt().plusSeconds(Priming.OPEN_S), false));
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(Priming.DRYING, seconds), Priming.OPEN.id());
        }

        @Override
        public String words(FactWords told) {
            return "Ledge primed, {s:" + seconds + "} to dry, to be taped within {s:" + Priming.OPEN_S + "}";
        }
    }

    /**
     * Dry to the touch.
     *
     * @param seconds left to tape on it, said the moment it was reckoned dry
     * @param until when it is no good any more, however late somebody says that it is dry; null in older journals
     */
    record PrimerDry(int seconds, Instant until) implements CleanFact {
        public PrimerDry(int seconds) {
            this(seconds, null);
        }

        @Override
        public void check() {
            Allowed.between("seconds", seconds, 60, Priming.OPEN_S, "s");
        }

        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.primerDry(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(Priming.OPEN, seconds, until), Priming.DRYING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Primer dry, {s:" + seconds + "} left to tape on it";
        }
    }

    /** It is taped as it is. */
    record LeftUnprimed() implements CleanFact {
        @Override
        public CleanState after(CleanState before, Entry entry) {
            return before.leftUnprimed();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(Priming.DRYING.id(), Priming.OPEN.id());
        }

        @Override
        public String words(FactWords told) {
            return "Taped without primer";
        }
    }

    private static void some(List<String> stretchIds) {
        Allowed.present("stretchIds", stretchIds);
        Allowed.between("stretchIds", stretchIds.size(), 1, MOST_STRETCHES, "stretches");
        stretchIds.forEach(id -> Allowed.text("stretchIds", id, 40));
    }

    /** Whole edges by their names, parts of them by where they begin and end. */
    private static String places(FactWords told, List<String> stretchIds) {
        DeviceProfile profile = told.profile();
        LedgeMap map = LedgeMap.of(profile);
        if (map.stretches().stream().allMatch(stretch -> stretchIds.contains(stretch.id()))) {
            return "all round";
        }
        return map.stretches().stream()
                .filter(stretch -> stretchIds.contains(stretch.id()))
                .map(stretch -> map.stretches().stream()
                                .filter(other -> other.on() == stretch.on())
                                .allMatch(other -> stretchIds.contains(other.id()))
                        ? profile.placeName(stretch.on())
                        : PlaceWords.along(profile, stretch.where(), true))
                .distinct()
                .collect(Collectors.joining("; "));
    }
}
