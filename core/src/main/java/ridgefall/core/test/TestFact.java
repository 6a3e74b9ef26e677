package ridgefall.core.test;

import java.util.Locale;
import java.util.Optional;
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
public sealed interface TestFact extends Fact.Of<TestState> {
    Family<TestState> FAMILY = new Family<>(TestFact.class, TestState.NOTHING, TestState::hears);

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
    default Family<TestState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.TEST);
    }

    /** A check of the fault finder for a function that failed with the front loose. */
    record FaultChecked(String functionId, String faultCheckId, Finding finding) implements TestFact {
        @Override
        public void check() {
            Allowed.text("functionId", functionId, 40);
            Allowed.text("faultCheckId", faultCheckId, 40);
            Allowed.present("finding", finding);
        }

        @Override
        public TestState after(TestState before, Entry entry) {
            return before.tried(this);
        }

        /** What was mended is tested anew. */
        @Override
        public boolean voids(String id) {
            return finding == Finding.DONE && id.equals(Checks.functionStepId(Phase.OPEN, functionId));
        }

        @Override
        public String words(FactWords told) {
            return FactWords.name(functionId, told.profile().functions().stream(), Function::id, Function::words)
                    + " failed, "
                    + FactWords.name(
                                    faultCheckId,
                                    FaultFinder.ALL.stream(),
                                    FaultFinder.Check::id,
                                    FaultFinder.Check::words)
                            .toLowerCase(Locale.ROOT)
                    + ": " + finding.words();
        }
    }
}
