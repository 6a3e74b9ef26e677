package ridgefall.core.test;

import ridgefall.core.job.Checks;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Step;

/** Charging is seen by a meter where the bench has one: a minute of its current, loose and sealed. */
public final class ChargeProof {
    private ChargeProof() {}

    /** The step that asks for it, with the minute that a meter takes. */
    public static Step watched(Step step, String functionId, JobState state) {
        if (!functionId.equals(Checks.CHARGE) || step.answer() != null && !step.problem()) {
            return step;
        }
        return state.timer(ChargeTrace.CHARGING)
                .map(timer -> step.waiting(timer.seq()))
                .orElseGet(() -> step.alsoChoosing(Step.other(
                        "Watch it on the meter, {s:" + ChargeTrace.SECONDS + "}",
                        new JobFact.TimerStarted(ChargeTrace.CHARGING, ChargeTrace.SECONDS))));
    }
}
