package ridgefall.core.test;

import java.util.List;
import java.util.Map;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.test.TestFact.FaultChecked;

/** What was tried about each function that failed, in the order it was. */
public record TestState(Map<String, List<FaultChecked>> tried) {
    static final TestState NOTHING = new TestState(Map.of());

    public static TestState of(JobState job) {
        return job.of(TestFact.FAMILY);
    }

    /** Another part, or one plugged in anew, starts from the beginning. */
    TestState hears(Entry entry) {
        return entry.fact() instanceof PartsFact.PartSwapped || entry.fact() instanceof DetourFact.Reopened
                ? NOTHING
                : this;
    }

    TestState tried(FaultChecked check) {
        return new TestState(Fold.plus(tried, check.functionId(), Fold.plus(about(check.functionId()), check)));
    }

    List<FaultChecked> about(String functionId) {
        return tried.getOrDefault(functionId, List.of());
    }
}
