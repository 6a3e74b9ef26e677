package ridgefall.core.prove;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

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
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("how", how, 80);
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return before.told(how);
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

    /** For whom somebody signs. */
    enum Signer {
        OWNER("for the owner"),
        SHOP("for the shop");

        private final String words;

        Signer(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Somebody has read what was done, kept and lost, and puts a name to it.
     *
     * @param name typed, as it is written
     * @param drawing id of the lines that were drawn with a finger; null where it was only typed
     */
    record Signed(Signer signer, String name, String drawing) implements ProveFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.present("signer", signer);
            Allowed.text("name", name, 80);
            drawingId();
        }

        public Optional<UUID> drawingId() {
            try {
                return Optional.ofNullable(drawing).map(UUID::fromString);
            } catch (IllegalArgumentException e) {
                throw new NotAllowed("drawing", drawing, "the id of a drawing of this job");
            }
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return before.signed(this, entry.happenedAt());
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Optional<String> ownersField() {
            return signer == Signer.OWNER ? Optional.of("name") : Optional.empty();
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public String words(FactWords told) {
            return "Signed " + signer.words() + ": " + name + (drawing == null ? ", typed" : ", drawn");
        }
    }

    /**
     * How it was after a week at home.
     *
     * @param said in the owner's words; null where it is fine
     */
    record HeardBack(boolean fine, String said) implements ProveFact {
        @Override
        public void check() {
            if (!fine) {
                Allowed.text("said", said, 200);
            }
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return before.heard(this, entry.happenedAt());
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Optional<String> ownersField() {
            return said == null ? Optional.empty() : Optional.of("said");
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public String words(FactWords told) {
            return fine ? "After a week: fine" : "After a week: " + said;
        }
    }

    record HandedOver(String to) implements ProveFact {
        @Override
        public void check() {
            Allowed.text("to", to, 80);
        }

        @Override
        public ProveState after(ProveState before, Entry entry) {
            return before.gone(entry.happenedAt());
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
