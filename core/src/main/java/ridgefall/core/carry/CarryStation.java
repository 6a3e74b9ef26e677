package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

public final class CarryStation implements StationRoom {
    @Override
    public Station station() {
        return Station.CARRY;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        return Stream.concat(
                        profile.carryOvers().stream().map(part -> carry(part, state)),
                        profile.pairedParts().stream().map(part -> pair(part, state)))
                .toList();
    }

    private static Step carry(CarryOver part, JobState state) {
        String hint = part.hint() + (part.irreplaceable() ? "; can't be replaced" : "");
        Step step = step(part.id(), part.words(), hint, "Moved over", state);
        boolean brought = part.brings() != null && PartsState.of(state).brought(part.brings());
        return step.open() && brought ? step.answered("the new part brings it") : step;
    }

    private static Step pair(PairedPart part, JobState state) {
        String done = part.method() == PairingMethod.COPY_DATA ? "Copied and read back" : "Board moved and tested";
        return step(part.id(), part.words(), part.hint(), done, state);
    }

    private static Step step(String id, String words, String hint, String done, JobState state) {
        Step step = Step.open(
                "carry." + id,
                Station.CARRY,
                words,
                hint,
                Step.go(done, new CarryFact.CarriedOver(id)),
                Step.fail("Lost", new CarryFact.CarryOverLost(id, "?"), Ask.reason("Lost because …")));
        if (CarryState.of(state).carriedOver(id)) {
            return step.answered(done.toLowerCase(Locale.ROOT));
        }
        String lost = CarryState.of(state).lost().get(id);
        return lost == null ? step : step.answered("lost: " + lost);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        String partId = ((CarryFact) fact).partId();
        Checks.known(
                "partId",
                partId,
                Stream.concat(
                                profile.carryOvers().stream().map(CarryOver::id),
                                profile.pairedParts().stream().map(PairedPart::id))
                        .toList());
        List<Hold> holds = new ArrayList<>();
        for (Connector plug : StripState.stillIn(profile, state)) {
            holds.add(Hold.firm(StripStation.stepOf(plug), Station.STRIP, plug.words() + " is still in"));
        }
        return holds;
    }
}
