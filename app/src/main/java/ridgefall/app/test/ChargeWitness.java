package ridgefall.app.test;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Readings;
import ridgefall.app.job.Witness;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.test.ChargeTrace;

/** "It charges" is what the meter says as well, or a lead stands by it. */
@Component
class ChargeWitness implements Witness {
    private final Readings readings;

    ChargeWitness(Readings readings) {
        this.readings = readings;
    }

    @Override
    public Fact heard(UUID jobId, Course here, Fact fact) {
        return fact;
    }

    /** What the minute that runs, or has run out, says; empty before that, and where no meter reads. */
    private Optional<ChargeTrace> told(UUID jobId, Course here) {
        return here.state()
                .timer(ChargeTrace.CHARGING)
                .map(timer -> new ChargeReadings(readings.of(jobId, timer.seq()), timer.startedAt())
                        .trace(here.profile().document().kind()))
                .filter(trace -> trace.over()
                        || !trace.samples().isEmpty() && trace.verdict().danger());
    }

    @Override
    public List<Hold> against(UUID jobId, Course here, Fact fact) {
        return fact instanceof FunctionTested tested
                        && tested.answer() == Answer.PASS
                        && tested.functionId().equals(Checks.CHARGE)
                ? told(jobId, here)
                        .filter(trace ->
                                !trace.verdict().good() && !trace.verdict().open())
                        .map(trace -> Hold.overridable(
                                Checks.functionStepId(tested.phase(), tested.functionId()),
                                tested.phase().station(),
                                "The meter says otherwise: " + trace.words()))
                        .stream()
                        .toList()
                : List.of();
    }

    @Override
    public Optional<Step.Choice> offers(UUID jobId, Course here, Step next) {
        return Checks.tried(next, Checks.CHARGE)
                .filter(phase -> phase != Phase.BEFORE)
                .flatMap(phase -> told(jobId, here)
                        .filter(trace -> !trace.verdict().open())
                        .map(trace -> trace.verdict().good()
                                ? Step.go("Works, by its current", answer(phase, Answer.PASS, trace))
                                : Step.fail("Fails, by its current", answer(phase, Answer.FAIL, trace))));
    }

    private static FunctionTested answer(Phase phase, Answer answer, ChargeTrace trace) {
        return new FunctionTested(Checks.CHARGE, phase, answer, trace.words());
    }
}
