package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.DeviceProfile.CarryOver;
import ridgefall.core.profile.DeviceProfile.Part;

public final class CarryStation implements StationRoom {
    @Override
    public Station station() {
        return Station.CARRY;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        return profile.carryOvers().stream().map(part -> step(part, state)).toList();
    }

    private static Step step(CarryOver part, JobState state) {
        Step step = Step.open(
                "carry." + part.id(),
                Station.CARRY,
                part.words(),
                part.hint() + (part.irreplaceable() ? "; can't be replaced" : ""),
                Step.go(part.paired() ? "Copied and read back" : "Moved over", new Fact.CarriedOver(part.id())),
                Step.fail("Lost", new Fact.CarryOverLost(part.id(), "?"), Ask.reason("Lost because …")));
        if (state.carriedOver(part.id())) {
            return step.answered(part.paired() ? "copied and read back" : "moved over");
        }
        String lost = state.carryOverLost().get(part.id());
        return lost == null ? step : step.answered("lost: " + lost);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        String partId = fact instanceof Fact.CarriedOver f ? f.partId() : ((Fact.CarryOverLost) fact).partId();
        Checks.known(
                "partId",
                partId,
                profile.carryOvers().stream().map(CarryOver::id).toList());
        List<Hold> holds = new ArrayList<>();
        for (Part plug : profile.connectors()) {
            if (!state.plugFreed(plug.id())) {
                holds.add(Hold.firm("strip." + plug.id(), Station.STRIP, plug.words() + " is still in"));
            }
        }
        return holds;
    }
}
