package ridgefall.app.job;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.http.Problem;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.profile.DeviceProfile;

/** Finds a job for the stations' own end points; a job that isn't there is a problem that says so. */
@Component
public class Jobs {
    private final Journal journal;
    private final Plans plans;
    private final Clock clock;

    Jobs(Journal journal, Plans plans, Clock clock) {
        this.journal = journal;
        this.plans = plans;
        this.clock = clock;
    }

    public Course course(UUID jobId) {
        List<Entry> entries = journal.entries(jobId);
        if (entries.isEmpty()) {
            throw Problem.unknownJob(jobId);
        }
        return plans.course(entries).at(clock.instant());
    }

    /** The number people call it by. */
    public long number(UUID jobId) {
        return journal.number(jobId).orElseThrow(() -> Problem.unknownJob(jobId));
    }

    public DeviceProfile profile(UUID jobId) {
        return course(jobId).profile();
    }
}
