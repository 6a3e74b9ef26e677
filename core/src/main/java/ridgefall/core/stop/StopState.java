package ridgefall.core.stop;

import java.time.Instant;
import java.util.Optional;
import ridgefall.core.job.JobState;
import ridgefall.core.stop.StopFact.Sign;

/**
 * Whether the job stands still because of its cell.
 *
 * @param letGoOn how often a lead has let it go on
 */
public record StopState(Optional<Stopped> stopped, int letGoOn) {
    static final StopState NOTHING = new StopState(Optional.empty(), 0);

    public record Stopped(Sign sign, Instant at, String who) {}

    public static StopState of(JobState job) {
        return job.of(StopFact.FAMILY);
    }
}
