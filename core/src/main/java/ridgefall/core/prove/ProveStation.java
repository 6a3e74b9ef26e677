package ridgefall.core.prove;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.decide.DecideState;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.seal.SealState;

public final class ProveStation implements StationRoom {
    private final StationRoom seal;

    /** @param seal what must be done before it goes back */
    public ProveStation(StationRoom seal) {
        this.seal = seal;
    }

    @Override
    public Station station() {
        return Station.PROVE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        boolean unrepaired = DecideState.of(state).notWorthIt().isPresent();
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
                        new ProveFact.HandedOver("?"),
                        new Ask(
                                "to",
                                "Handed to",
                                Ask.Kind.TEXT,
                                null,
                                IntakeState.of(state).opened().owner())));
        steps.add(told(state));
        steps.add(ProveState.of(state).handedOverAt().isPresent() ? over.answered("handed over") : over);
        return steps;
    }

    /** Whoever comes for it unasked need not be told. */
    private static Step told(JobState state) {
        Step step = Step.open(
                        "prove.told",
                        Station.PROVE,
                        "Owner told that it is ready",
                        "say what was kept and what was lost before they come",
                        Step.other(
                                "Told",
                                new ProveFact.OwnerTold("?"),
                                new Ask("how", "How", Ask.Kind.TEXT, null, "by phone")))
                .asOptional();
        return ProveState.of(state).toldHow().map(step::answered).orElse(step);
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
        if (DecideState.of(state).notWorthIt().isPresent() && fact instanceof ProveFact) {
            return holds;
        }
        if (fact instanceof JobFact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    profile.functions().stream().map(Function::id).toList());
        } else if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        } else if (fact instanceof ProveFact.HandedOver) {
            holds.addAll(Checks.openSteps(proofs(profile, state)));
            holds.addAll(Checks.openSteps(seal.steps(profile, state)));
        }
        if (SealState.of(state).sealedAt().isEmpty()) {
            holds.add(0, Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet"));
        }
        return holds;
    }
}
