package ridgefall.app.job;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;

/** Heat plans depend only on device and damage: computed once, kept while the app runs. */
@Component
public class Plans {
    private record Key(String profileId, int version, FrontCondition condition) {}

    private final Map<Key, HeatPlan> heat = new ConcurrentHashMap<>();

    public Course course(List<Entry> journal) {
        JobState state = JobState.of(journal);
        DeviceProfile profile = DeviceBook.profile(state.opened().profileId());
        return new Course(profile, journal, () -> heat(profile, state));
    }

    /** Until the front was looked at, the plan is the one for the worst. */
    public HeatPlan heat(DeviceProfile profile, JobState state) {
        FrontCondition condition = state.front().orElse(FrontCondition.SHATTERED);
        return heat.computeIfAbsent(
                new Key(profile.id(), profile.version(), condition),
                key -> HeatStation.planner(profile, condition).best(HeatSource.bench()));
    }
}
