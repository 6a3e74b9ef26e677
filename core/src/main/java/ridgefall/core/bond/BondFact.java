package ridgefall.core.bond;

import java.util.Optional;
import java.util.Set;
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

    /** How the strips end at the corners; what was laid before is off again. */
    record StripsChosen(TapeSchool school) implements BondFact {
        @Override
        public void check() {
            Allowed.present("school", school);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return BondState.chosen(school);
        }

        @Override
        public String words(FactWords told) {
            return "Strips " + school.words();
        }
    }

    /** @param thicknessMm of the ring as it came, not pressed */
    record RingMeasured(double thicknessMm) implements BondFact {
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

    record StripLaid(String stripId) implements BondFact {
        @Override
        public void check() {
            Allowed.text("stripId", stripId, 40);
        }

        @Override
        public BondState after(BondState before, Entry entry) {
            return before.laid(stripId);
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
