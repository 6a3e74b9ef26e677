package ridgefall.core.seal;

import java.util.Optional;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.units.Allowed;

/** The front goes on for good. */
public sealed interface SealFact extends Fact.Of<SealState> {
    Family<SealState> FAMILY = new Family<>(SealFact.class, SealState.NOTHING, SealState::hears);

    @Override
    default Family<SealState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.SEAL);
    }

    /** A film or a liner is off. */
    record CoverRemoved(String coverId) implements SealFact {
        @Override
        public void check() {
            Allowed.text("coverId", coverId, 40);
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.uncovered(coverId);
        }

        @Override
        public String words(FactWords told) {
            return FactWords.name(coverId, told.profile().covers().stream(), Cover::id, Cover::words) + ": off";
        }
    }

    record Sealed() implements SealFact {
        @Override
        public SealState after(SealState before, Entry entry) {
            return before.sealed(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(Checks.OPEN_TIME);
        }

        @Override
        public String words(FactWords told) {
            return "Front sealed";
        }
    }
}
