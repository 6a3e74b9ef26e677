package ridgefall.core.bond;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.units.Allowed;

/** Adhesive goes on. */
public sealed interface BondFact extends Fact.Of<BondState> {
    Family<BondState> FAMILY = new Family<>(BondFact.class, BondState.NOTHING, BondState::hears);

    @Override
    default Family<BondState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.BOND);
    }

    /**
     * What is to hold it; what was laid before is off again.
     *
     * @param supplyId of the shelf; null where its list has none of the kind, or nothing is taken
     * @param supply its name then
     * @param rollsMm widths that strips are planned from; null for what is not strips
     */
    record HeldByChosen(HeldBy held, String supplyId, String supply, List<Double> rollsMm) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.present("held", held);
            Allowed.optionalText("supplyId", supplyId, 60);
            Allowed.optionalText("supply", supply, 60);
            if (rollsMm != null) {
                Allowed.between("rollsMm", rollsMm.size(), 1, 20, "widths");
                rollsMm.forEach(mm -> Allowed.between("rollsMm", mm, 0.5, 12, "mm"));
            }
        }

        @Override
        public Set<String> answers() {
            return Set.of(BondStation.HELD);
        }

        /** Adhesive of another kind is laid anew. */
        @Override
        public boolean voids(String id) {
            return BondStation.LAID.contains(id);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.heldBy(this);
        }

        @Override
        public String words(FactWords told) {
            return "To be held by " + held.words() + (supply == null ? "" : ": " + supply);
        }
    }

    /**
     * By caliper, before anything is laid.
     *
     * @param depthMm from the rim down to the ledge
     * @param frontMm what of the front lies over the ledge
     */
    record SeatMeasured(double depthMm, double frontMm) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("depthMm", depthMm, 0.1, 10, "mm");
            Allowed.between("frontMm", frontMm, 0.1, 10, "mm");
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.measured(this);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Ledge {mm:" + depthMm + "} under the rim, front {mm:" + frontMm + "} over it";
        }
    }

    /** A bent corner as it is now, straightened or not; a gap of 0 is none. */
    record CornerMeasured(Landmark corner, double gapMm, Double bentMm) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.oneOf(
                    "corner",
                    corner,
                    EnumSet.of(Landmark.TOP_LEFT, Landmark.TOP_RIGHT, Landmark.BOTTOM_RIGHT, Landmark.BOTTOM_LEFT));
            Allowed.between("gapMm", gapMm, 0, 10, "mm");
            if (bentMm != null) {
                Allowed.between("bentMm", bentMm, 5, 500, "mm");
            }
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.measured(this);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Before it was closed: gap of {mm:" + gapMm + "} under the "
                    + told.profile().placeName(corner);
        }
    }

    /**
     * All round, the last thing before the front goes on.
     *
     * @param supplyId of the shelf; null where its list has none
     * @param skinSeconds until a front no longer sinks into it
     */
    record BeadLaid(String supplyId, double ml, int skinSeconds) implements BondFact {
        @Override
        public void check() {
            Allowed.optionalText("supplyId", supplyId, 60);
            Allowed.between("ml", ml, 0.01, 100, "ml");
            Allowed.between("skinSeconds", skinSeconds, 60, 7200, "s");
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(Station.SEAL);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(BeadLaying.SKINNING, skinSeconds), Checks.OPEN_TIME);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.bead(this, entry.happenedAt());
        }

        @Override
        public String words(FactWords told) {
            return String.format(Locale.ROOT, "Bead laid, %.2f ml", ml);
        }
    }

    /** It skinned, or has a gap: off with it, and anew. */
    record BeadLifted(String reason) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("reason", reason, 200);
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(Station.SEAL);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(BeadLaying.SKINNING.id());
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.withoutBead();
        }

        @Override
        public Page page() {
            return Page.WENT_WRONG;
        }

        @Override
        public String words(FactWords told) {
            return "Bead wiped off" + FactWords.because(reason);
        }
    }

    /** How the strips end at the corners; what was laid before is off again. */
    record StripsChosen(TapeSchool school) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.present("school", school);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.chosen(school);
        }

        @Override
        public String words(FactWords told) {
            return "Strips " + school.words();
        }
    }

    /** @param thicknessMm of the ring as it came, not pressed */
    record RingMeasured(double thicknessMm) implements BondFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("thicknessMm", thicknessMm, 0.05, 3, "mm");
        }

        @Override
        public Set<String> answers() {
            return Set.of(BondStation.RING_MEASURED);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.ring(thicknessMm);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Ring {mm:" + thicknessMm + "} thick";
        }
    }

    /**
     * @param rollId of the shelf that it was cut from; null where its list has none
     * @param usedMm of it, waste and all; null where nobody counted
     */
    record StripLaid(String stripId, String rollId, Double usedMm) implements BondFact {
        public StripLaid(String stripId) {
            this(stripId, null, null);
        }

        @Override
        public void check() {
            Allowed.text("stripId", stripId, 40);
            Allowed.optionalText("rollId", rollId, 60);
            if (usedMm != null) {
                Allowed.between("usedMm", usedMm, 0, 2000, "mm");
            }
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.laid(this, entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(Checks.OPEN_TIME);
        }

        @Override
        public String words(FactWords told) {
            return told.title("bond." + stripId) + ": laid";
        }
    }
}
