package ridgefall.core.prove;

import java.time.Instant;
import java.util.Optional;
import ridgefall.core.job.JobState;

/**
 * Whether it went back.
 *
 * @param toldHow how the owner was told that it is ready; empty where nobody has
 */
public record ProveState(Optional<String> toldHow, Optional<Instant> handedOverAt) {
    static final ProveState NOTHING = new ProveState(Optional.empty(), Optional.empty());

    public static ProveState of(JobState job) {
        return job.of(ProveFact.FAMILY);
    }
}
