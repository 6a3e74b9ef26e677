package ridgefall.core.parts;

import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;

public final class PartsStation implements StationRoom {
    @Override
    public Station station() {
        return Station.PARTS;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        return profile.partChecks().stream()
                .map(check -> Checks.check(state, "parts." + check.id(), check.words(), check.hint(), "Right"))
                .toList();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        Checks.known(
                "checkId",
                ((Fact.CheckAnswered) fact).checkId(),
                steps(profile, state).stream().map(Step::id).toList());
        return List.of();
    }
}
