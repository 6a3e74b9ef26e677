package ridgefall.core.fault;

import java.util.Locale;
import java.util.Optional;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.units.Allowed;

/** What was done about something that does not work. */
public sealed interface FaultFact extends Fact.Of<FaultState> {
    Family<FaultState> FAMILY = new Family<>(FaultFact.class, FaultState.NOTHING, FaultState::hears);

    enum Finding {
        /** Done: whether it helped is what the next test of the function says. */
        DONE("done"),
        SOUND("sound"),
        BAD("bad"),
        /** Not done: what else is there? */
        LEFT("left for now");

        private final String words;

        Finding(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    @Override
    default Family<FaultState> family() {
        return FAMILY;
    }

    /**
     * A check of the fault finder for a function that failed.
     *
     * @param phase in which it failed; null for loose, as it was before others were asked
     */
    record FaultChecked(String functionId, String faultCheckId, Finding finding, Phase phase) implements FaultFact {
        @Override
        public Optional<Station> station() {
            return Optional.of(when().station());
        }

        public Phase when() {
            return phase == null ? Phase.OPEN : phase;
        }

        @Override
        public void check() {
            Allowed.text("functionId", functionId, 40);
            Allowed.text("faultCheckId", faultCheckId, 40);
            Allowed.present("finding", finding);
        }

        @Override
        public FaultState after(FaultState before, Entry entry) {
            return before.tried(this);
        }

        /** What was mended is tested anew. */
        @Override
        public boolean voids(String id) {
            return finding == Finding.DONE && id.equals(Checks.functionStepId(when(), functionId));
        }

        @Override
        public String words(FactWords told) {
            Check check = UsualFaults.TABLE.about(functionId).check(faultCheckId);
            return FactWords.name(functionId, told.profile().functions().stream(), Function::id, Function::words)
                    + " failed, "
                    + (check == null ? faultCheckId : check.words()).toLowerCase(Locale.ROOT)
                    + ": "
                    + switch (finding) {
                        case SOUND ->
                            check == null ? finding.words() : check.good().toLowerCase(Locale.ROOT);
                        case BAD ->
                            check == null ? finding.words() : check.bad().toLowerCase(Locale.ROOT);
                        default -> finding.words();
                    };
        }
    }
}
