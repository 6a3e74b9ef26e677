package ridgefall.core.stop;

import java.util.Locale;
import java.util.Optional;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;

/** The cell is a danger, or no longer. Belongs to no station: it is said wherever it is seen. */
public sealed interface StopFact extends Fact.Of<StopState> {
    Family<StopState> FAMILY = new Family<>(StopFact.class, StopState.NOTHING);

    /** What is seen, heard or felt of a cell that may burn. */
    enum Sign {
        /** Said in one tap; what it is comes after. */
        DANGER("A danger"),
        SWOLLEN("Swollen"),
        HISSING("Hissing or smoking"),
        HOT("Hot"),
        DENTED("Dented"),
        PUNCTURED("Punctured");

        private final String words;

        Sign(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    @Override
    default Family<StopState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.empty();
    }

    /** Everything stops with it, clocks too: it comes off whatever source it lies on. */
    record CellBad(Sign sign) implements StopFact {
        @Override
        public void check() {
            Allowed.present("sign", sign);
        }

        @Override
        public StopState after(StopState before, Entry entry) {
            return new StopState(
                    Optional.of(new StopState.Stopped(sign, entry.happenedAt(), entry.who())), before.letGoOn());
        }

        /** Whoever stands beside it. */
        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.STOP_ALL;
        }

        @Override
        public String words(FactWords told) {
            return "Stop: battery " + sign.words().toLowerCase(Locale.ROOT);
        }
    }

    /** A lead has looked at it: the job goes on. The battery is looked at once more first. */
    record LetGoOn(String reason) implements StopFact {
        @Override
        public void check() {
            Allowed.text("reason", reason, 200);
        }

        @Override
        public StopState after(StopState before, Entry entry) {
            return new StopState(Optional.empty(), before.letGoOn() + 1);
        }

        @Override
        public Role by() {
            return Role.LEAD;
        }

        @Override
        public Page page() {
            return Page.SIGNED_OFF;
        }

        @Override
        public String words(FactWords told) {
            return "A lead lets it go on" + FactWords.because(reason);
        }
    }
}
