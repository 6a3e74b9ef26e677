package ridgefall.app.test;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import ridgefall.app.job.Witness;
import ridgefall.app.test.TouchProofs.LookTold;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.seal.SealFact.Sealed;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.test.Look;
import ridgefall.core.test.Looked;

/** A device's own page said what its picture, light, sound or camera does: that leads before a hand, and stands against one. */
@Component
class LookWitness implements Witness {
    private final TouchVerdicts verdicts;

    LookWitness(TouchVerdicts verdicts) {
        this.verdicts = verdicts;
    }

    @Override
    public Fact heard(UUID jobId, Course here, Fact fact) {
        return fact;
    }

    @Override
    public List<Hold> against(UUID jobId, Course here, Fact fact) {
        if (!(fact instanceof FunctionTested tested) || tested.answer() != Answer.PASS) {
            return List.of();
        }
        return Stream.of(Look.values())
                .filter(look -> look.functionId().equals(tested.functionId()))
                .flatMap(look -> told(jobId, here, look).stream())
                .filter(looked -> looked.works().filter(works -> !works).isPresent())
                .map(looked -> Hold.overridable(
                        Checks.functionStepId(tested.phase(), tested.functionId()),
                        tested.phase().station(),
                        "The device's own page says otherwise: " + looked.words(here.profile())))
                .toList();
    }

    @Override
    public Optional<Step.Choice> offers(UUID jobId, Course here, Step next) {
        return Stream.of(Look.values())
                .flatMap(look -> look.asked(next).stream()
                        .flatMap(phase ->
                                told(jobId, here, look).flatMap(looked -> choice(here, look, phase, looked)).stream()))
                .findFirst();
    }

    private static Optional<Step.Choice> choice(Course here, Look look, Phase phase, Looked looked) {
        return looked.works()
                .map(works -> works
                        ? Step.go("Works, by the device", tested(here, look, phase, Answer.PASS, looked))
                        : Step.fail("Fails, by the device", tested(here, look, phase, Answer.FAIL, looked)));
    }

    private static FunctionTested tested(Course here, Look look, Phase phase, Answer answer, Looked looked) {
        return new FunctionTested(look.functionId(), phase, answer, looked.words(here.profile()));
    }

    /** What was told since the function was last answered for, and since the front last went up or down: of before nothing holds. */
    private Optional<Looked> told(UUID jobId, Course here, Look look) {
        Instant since = JobState.effective(here.journal()).stream()
                .filter(entry -> stale(entry.fact(), look))
                .map(Entry::happenedAt)
                .max(Instant::compareTo)
                .orElse(Instant.EPOCH);
        return verdicts.looks(jobId, here).stream()
                .filter(told -> told.looked().look() == look && told.at().isAfter(since))
                .map(LookTold::looked)
                .findFirst();
    }

    private static boolean stale(Fact fact, Look look) {
        return fact instanceof FrontOpened
                || fact instanceof Sealed
                || fact instanceof FunctionTested tested && tested.functionId().equals(look.functionId());
    }
}
