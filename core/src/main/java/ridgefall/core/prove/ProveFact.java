package ridgefall.core.prove;

import java.util.Optional;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;

/** The device goes back. */
public sealed interface ProveFact extends Fact.Of<ProveState> {
    Family<ProveState> FAMILY = new Family<>(ProveFact.class, ProveState.NOTHING);

    @Override
    default Family<ProveState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.PROVE);
    }

    /** The owner knows that it can be fetched; {@code how} in words, such as by phone. */
    record OwnerTold(String how) implements ProveFact {
        @Override
        public void check() {
            Allowed.text("how", how, 80);
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return new ProveState(Optional.of(how), before.handedOverAt());
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public String words(FactWords told) {
            return "Owner told that it is ready: " + how;
        }
    }

    record HandedOver(String to) implements ProveFact {
        @Override
        public void check() {
            Allowed.text("to", to, 80);
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return new ProveState(before.toldHow(), Optional.of(entry.happenedAt()));
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.STOP_ALL;
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("to");
        }

        @Override
        public String words(FactWords told) {
            return "Handed over to " + to;
        }
    }
}
