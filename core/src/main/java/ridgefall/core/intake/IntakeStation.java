package ridgefall.core.intake;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Fact.Battery;
import ridgefall.core.job.Fact.Phase;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.DeviceProfile.Function;
import ridgefall.core.units.NotAllowed;

public final class IntakeStation implements StationRoom {
    @Override
    public Station station() {
        return Station.INTAKE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        steps.add(front(state));
        steps.add(battery(state));
        steps.add(power(state));
        for (Function function : profile.functions()) {
            steps.add(Checks.function(state, function, Phase.BEFORE));
        }
        return steps;
    }

    private static Step front(JobState state) {
        Step step = Step.open(
                "intake.front",
                Station.INTAKE,
                "Front glass",
                "tap the edge line where a crack reaches the edge",
                Step.go("Cracked", new Fact.FrontSeen(FrontCondition.CRACKED)),
                Step.other("Shattered", new Fact.FrontSeen(FrontCondition.SHATTERED)),
                Step.other("Whole", new Fact.FrontSeen(FrontCondition.INTACT)));
        return state.front().map(f -> step.answered(f.words())).orElse(step);
    }

    private static Step battery(JobState state) {
        Step step = Step.open(
                "intake.battery",
                Station.INTAKE,
                "Battery: flat, cool, quiet?",
                "rocks on the bench, gaps at the edge or hisses: stop",
                Step.go("Sound", new Fact.BatterySeen(Battery.SOUND)),
                Step.fail("Swollen", new Fact.BatterySeen(Battery.SWOLLEN)));
        return state.battery()
                .map(b -> b == Battery.SOUND
                        ? step.answered("sound")
                        : step.problem("swollen: stop, isolate, follow the local rules for damaged batteries"))
                .orElse(step);
    }

    private static Step power(JobState state) {
        Step step = Step.open(
                "intake.power",
                Station.INTAKE,
                "Can it be switched off?",
                "if not, it is live until isolation is proven",
                Step.go("Off", new Fact.PowerSeen(true)),
                Step.other("Can't be switched off", new Fact.PowerSeen(false)));
        return state.canSwitchOff()
                .map(off -> step.answered(off ? "switched off" : "live until isolation is proven"))
                .orElse(step);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof Fact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    profile.functions().stream().map(Function::id).toList());
        }
        if (fact instanceof Fact.CrackMarked f && f.fromMm() > profile.edge().lengthMm()) {
            throw new NotAllowed(
                    "fromMm", f.fromMm(), "0 to " + Math.round(profile.edge().lengthMm()) + " mm");
        }
        if (fact instanceof Fact.CheckAnswered f) {
            throw new NotAllowed("checkId", f.checkId(), "none: intake has facts of its own");
        }
        return List.of();
    }
}
