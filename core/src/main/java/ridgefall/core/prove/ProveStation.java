package ridgefall.core.prove;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Fact.Phase;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.seal.SealStation;

public final class ProveStation implements StationRoom {
    @Override
    public Station station() {
        return Station.PROVE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        boolean unrepaired = state.notWorthIt().isPresent();
        List<Step> steps = new ArrayList<>(unrepaired ? List.of() : proofs(profile, state));
        Step over = Step.open(
                "prove.hand-over",
                Station.PROVE,
                unrepaired ? "Hand back unrepaired" : "Hand over",
                unrepaired
                        ? "as it came, with all that came with it"
                        : "outer film off, wiped, switched off; water resistance was not tested",
                Step.go(
                        "Handed over",
                        new Fact.HandedOver("?"),
                        new Ask(
                                "to",
                                "Handed to",
                                Ask.Kind.TEXT,
                                null,
                                state.opened().owner())));
        steps.add(state.handedOverAt().isPresent() ? over.answered("handed over") : over);
        return steps;
    }

    private static List<Step> proofs(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        for (Function function : profile.functions()) {
            steps.add(Checks.function(state, function, Phase.AFTER));
        }
        return steps;
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (state.notWorthIt().isPresent() && fact instanceof Fact.HandedOver) {
            return holds;
        }
        if (fact instanceof Fact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    profile.functions().stream().map(Function::id).toList());
        } else if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        } else if (fact instanceof Fact.HandedOver) {
            holds.addAll(Checks.openSteps(proofs(profile, state)));
            holds.addAll(Checks.openSteps(new SealStation().steps(profile, state)));
        }
        if (state.sealedAt().isEmpty() && !(fact instanceof Fact.HoldOverridden)) {
            holds.add(0, Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet"));
        }
        return holds;
    }
}
