package ridgefall.core.test;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Seating;
import ridgefall.core.separate.SeparateState;

/** The front is loose and the liners are on: what works now will work sealed, and what fails costs nothing yet. */
public final class TestStation implements StationRoom {
    @Override
    public Station station() {
        return Station.TEST;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        steps.add(Checks.check(
                state,
                "test.plugged",
                "New front plugged in, battery back in circuit",
                "plugs first, battery last; a boot loop is a plug or contact not home before it is a bad part",
                "Plugged in"));
        for (Function function : openFunctions(profile)) {
            steps.add(Checks.function(state, function, Phase.OPEN));
        }
        return steps;
    }

    private static List<Function> openFunctions(DeviceProfile profile) {
        return profile.functions().stream()
                .filter(f -> f.testableWhen().contains(Seating.OPEN))
                .toList();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of("test.plugged"));
        } else if (fact instanceof JobFact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    openFunctions(profile).stream().map(Function::id).toList());
        }
        return SeparateState.of(state).frontOpened()
                ? List.of()
                : List.of(Hold.firm("test.closed", Station.SEPARATE, "The front is not open"));
    }
}
