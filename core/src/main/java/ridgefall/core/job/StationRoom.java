package ridgefall.core.job;

import java.util.List;
import java.util.Map;
import ridgefall.core.profile.DeviceProfile;

/** What a station contributes to a job: its steps, its clocks, and what holds facts back. Pure. */
public interface StationRoom {
    Station station();

    /** All steps in working order, done or not. */
    List<Step> steps(DeviceProfile profile, JobState state);

    /**
     * What stands in the way of a fact of this station.
     *
     * @throws ridgefall.core.units.NotAllowed when the fact names something this device does not have
     */
    List<Hold> holds(Fact fact, DeviceProfile profile, JobState state);

    /** How far this station has come stands in the way of a fact of one before it. */
    default List<Hold> bars(Fact earlier, JobState state) {
        return List.of();
    }

    /** What a lead may sign off here that is no step: the id of the hold, and what it is about in words. */
    default Map<String, String> signOffs() {
        return Map.of();
    }

    /** The clocks that a person starts and stops here. */
    default List<TimerKind> startable() {
        return List.of();
    }
}
