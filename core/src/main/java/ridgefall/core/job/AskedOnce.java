package ridgefall.core.job;

import java.util.List;
import java.util.Map;
import ridgefall.core.profile.DeviceProfile;

/**
 * A station whose steps are built once while a job stands as it does, however many other stations ask for them. Safe for
 * any number of threads: two that ask at once may both build the same.
 */
public final class AskedOnce implements StationRoom {
    private final StationRoom room;
    private volatile Answer latest;

    private record Answer(DeviceProfile profile, JobState state, List<Step> steps) {
        boolean isOf(DeviceProfile otherProfile, JobState otherState) {
            return profile == otherProfile && state == otherState;
        }
    }

    public AskedOnce(StationRoom room) {
        this.room = room;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Answer known = latest;
        if (known == null || !known.isOf(profile, state)) {
            known = new Answer(profile, state, List.copyOf(room.steps(profile, state)));
            latest = known;
        }
        return known.steps;
    }

    @Override
    public Station station() {
        return room.station();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        return room.holds(fact, profile, state);
    }

    @Override
    public List<Hold> bars(Fact earlier, JobState state) {
        return room.bars(earlier, state);
    }

    @Override
    public Map<String, String> signOffs() {
        return room.signOffs();
    }

    @Override
    public List<TimerKind> startable() {
        return room.startable();
    }
}
