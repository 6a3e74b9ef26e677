package ridgefall.app.test;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.job.Witness;
import ridgefall.app.test.TouchVerdicts.Verdict;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;

/** "Touch works", tapped by a tired hand while the device's own trace lies there and says otherwise. */
@Component
class TouchWitness implements Witness {
    private final TouchVerdicts verdicts;

    TouchWitness(TouchVerdicts verdicts) {
        this.verdicts = verdicts;
    }

    @Override
    public Fact heard(UUID jobId, Course here, Fact fact) {
        return fact;
    }

    @Override
    public List<Hold> against(UUID jobId, Course here, Fact fact) {
        if (!(fact instanceof FunctionTested tested)
                || tested.answer() != Answer.PASS
                || !tested.functionId().equals(Checks.TOUCH)) {
            return List.of();
        }
        Verdict verdict = verdicts.of(jobId, here);
        return verdict.bad()
                ? List.of(Hold.overridable(
                        Checks.functionStepId(tested.phase(), tested.functionId()),
                        tested.phase().station(),
                        "The device's own trace says otherwise: " + verdict.says()))
                : List.of();
    }

    @Override
    public Optional<Step.Choice> offers(UUID jobId, Course here, Step next) {
        return Checks.tried(next, Checks.TOUCH).flatMap(phase -> {
            Verdict verdict = verdicts.of(jobId, here);
            return verdict.works()
                    .map(works -> works
                            ? Step.go("Works, by its trace", told(phase, Answer.PASS, verdict))
                            : Step.fail("Fails, by its trace", told(phase, Answer.FAIL, verdict)));
        });
    }

    private static FunctionTested told(Phase phase, Answer answer, Verdict verdict) {
        return new FunctionTested(Checks.TOUCH, phase, answer, verdict.says());
    }
}
