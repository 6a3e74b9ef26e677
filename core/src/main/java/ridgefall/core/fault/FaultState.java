package ridgefall.core.fault;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.fault.FaultFact.Finding;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.parts.PartsFact;

/**
 * What was tried about each function that failed, in the order it was, by the step that tests it.
 *
 * @param failing functions that fail, each with what was last done about it, if anything was
 * @param stiff checks that were not right at first, plugs that did not go home among them
 * @param closed those that came to work again, by what was done last
 */
public record FaultState(
        Map<String, List<FaultChecked>> tried,
        Map<String, Optional<String>> failing,
        List<Closed> closed,
        Set<String> stiff) {
    static final FaultState NOTHING = new FaultState(Map.of(), Map.of(), List.of(), Set.of());

    static final String SWAP = "swap";
    static final String COPY = "copy";

    /** @param before what was tried in vain */
    public record Closed(String functionId, Phase phase, String curedBy, List<FaultChecked> before, Instant at) {}

    public static FaultState of(JobState job) {
        return job.of(FaultFact.FAMILY);
    }

    FaultState hears(Entry entry) {
        if (entry.fact() instanceof FunctionTested tested) {
            return tested(tested, entry.happenedAt());
        } else if (entry.fact() instanceof CheckAnswered check && check.answer() == Answer.FAIL) {
            return new FaultState(tried, failing, closed, Fold.plus(stiff, check.checkId()));
        } else if (entry.fact() instanceof PartsFact.PartSwapped) {
            // Another part starts from the beginning; if all is well with it, it was the part.
            Map<String, Optional<String>> swapped = failing;
            for (String step : failing.keySet()) {
                swapped = Fold.plus(swapped, step, Optional.of(SWAP));
            }
            return new FaultState(Map.of(), swapped, closed, stiff);
        } else if (entry.fact() instanceof DetourFact.Reopened) {
            return new FaultState(Map.of(), failing, closed, stiff);
        } else if (entry.fact() instanceof CopyFact.CopyDueAgain copy) {
            return tried(new FaultChecked(copy.functionId(), COPY, Finding.DONE, null));
        }
        return this;
    }

    private FaultState tested(FunctionTested tested, Instant at) {
        String step = Checks.functionStepId(tested.phase(), tested.functionId());
        if (tested.answer() == Answer.FAIL) {
            // What was done before it failed again did not help.
            return new FaultState(tried, Fold.plus(failing, step, Optional.empty()), closed, stiff);
        }
        Optional<String> curedBy = failing.getOrDefault(step, Optional.empty());
        boolean works = tested.answer() == Answer.PASS;
        return new FaultState(
                tried,
                Fold.minus(failing, step),
                works && curedBy.isPresent()
                        ? Fold.plus(
                                closed,
                                new Closed(
                                        tested.functionId(),
                                        tested.phase(),
                                        curedBy.get(),
                                        before(step, curedBy.get()),
                                        at))
                        : closed,
                stiff);
    }

    private List<FaultChecked> before(String step, String curedBy) {
        return about(step).stream()
                .filter(one -> !one.faultCheckId().equals(curedBy))
                .toList();
    }

    FaultState tried(FaultChecked check) {
        String step = Checks.functionStepId(check.when(), check.functionId());
        return new FaultState(
                Fold.plus(tried, step, Fold.plus(about(step), check)),
                check.finding() == Finding.DONE ? Fold.plus(failing, step, Optional.of(check.faultCheckId())) : failing,
                closed,
                stiff);
    }

    List<FaultChecked> about(String step) {
        return tried.getOrDefault(step, List.of());
    }
}
