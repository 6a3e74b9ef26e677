package ridgefall.core.job;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
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

    /** What this station knows to be so with the device as it lies there. */
    default Stream<Condition> stands(DeviceProfile profile, JobState state) {
        return Stream.empty();
    }

    /** What was so and is not any more, for what was done here; whoever knew it to be so need not have heard. */
    default Stream<Condition> ended(DeviceProfile profile, JobState state) {
        return Stream.empty();
    }

    /** What was done here and is done again where a step needs it that comes later: not listed until then. */
    default Stream<Step> again(DeviceProfile profile, JobState state) {
        return Stream.empty();
    }

    /** The clocks that a person starts and stops here. */
    default List<TimerKind> startable() {
        return List.of();
    }
}
