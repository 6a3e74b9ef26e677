package ridgefall.core.prove;

import java.time.Instant;
import java.util.Optional;
import ridgefall.core.job.JobState;

/** Whether it went back. */
public record ProveState(Optional<Instant> handedOverAt) {
    static final ProveState NOTHING = new ProveState(Optional.empty());

    public static ProveState of(JobState job) {
        return job.of(ProveFact.FAMILY);
    }
}
