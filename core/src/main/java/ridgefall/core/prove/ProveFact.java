package ridgefall.core.prove;

import java.util.Optional;
import java.util.Set;
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
    Family<ProveState> FAMILY = new Family<>(ProveFact.class, ProveState.NOTHING, ProveState::hears);

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
            return new ProveState(Optional.of(how), before.handedOverAt(), before.sealTested());
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

    /** A closed watch was in the tester: what it read. */
    record SealTested(
            double solidKPa,
            double startKPa,
            double endKPa,
            double seconds,
            double startC,
            double endC,
            double chamberMl,
            double innerMl)
            implements ProveFact {
        @Override
        public void check() {
            test();
        }

        public LeakTest test() {
            return new LeakTest(solidKPa, startKPa, endKPa, seconds, startC, endC, chamberMl, innerMl);
        }

        @Override
        public Set<String> answers() {
            return Set.of(SealProof.STEP);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(SealProof.TESTING.id());
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return before.tested(this, entry.happenedAt());
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Seal " + test().words();
        }
    }

    record HandedOver(String to) implements ProveFact {
        @Override
        public void check() {
            Allowed.text("to", to, 80);
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return new ProveState(before.toldHow(), Optional.of(entry.happenedAt()), before.sealTested());
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
