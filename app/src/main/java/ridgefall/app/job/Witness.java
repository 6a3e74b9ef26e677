package ridgefall.app.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Step;

/** An instrument of the bench that sees for itself what a hand is about to record. */
public interface Witness {
    /** The fact with what the instrument says of it; the same where it says nothing. */
    Fact heard(UUID jobId, Course here, Fact fact);

    /** What stands in the way: it says otherwise. */
    List<Hold> against(UUID jobId, Course here, Fact fact);

    /** What it would record of the step that comes next: that leads, whatever a hand may say instead. */
    default Optional<Step.Choice> offers(UUID jobId, Course here, Step next) {
        return Optional.empty();
    }
}
