package ridgefall.app.job;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.http.Problem;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.job.Entry;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;

/** Finds a job for the stations' own end points; a job that isn't there is a problem that says so. */
@Component
public class Jobs {
    private final Journal journal;
    private final Plans plans;

    Jobs(Journal journal, Plans plans) {
        this.journal = journal;
        this.plans = plans;
    }

    public Course course(UUID jobId) {
        List<Entry> entries = journal.entries(jobId);
        if (entries.isEmpty()) {
            throw Problem.unknownJob(jobId);
        }
        return plans.course(entries);
    }

    public DeviceProfile profile(UUID jobId) {
        return profile(course(jobId));
    }

    public DeviceProfile profile(Course course) {
        return DeviceBook.profile(course.state().opened().profileId());
    }

    public HeatPlan heatPlan(Course course) {
        return plans.heat(profile(course), course.state());
    }
}
