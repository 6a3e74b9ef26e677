package ridgefall.core.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.carry.CarryState;
import ridgefall.core.decide.DecideState;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatState;
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
import ridgefall.core.job.Step.Choice;
import ridgefall.core.job.TimerKind;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsState;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Seating;
import ridgefall.core.prove.ProveFact.Signer;
import ridgefall.core.seal.SealState;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.separate.SeparateStation;
import ridgefall.core.strip.StripState;
import ridgefall.core.test.ChargeProof;
import ridgefall.core.units.NotAllowed;

public final class ProveStation implements StationRoom {
    private static final String SEATED = "prove.seated";
    private static final List<String> REFITTED = List.of("prove.moved-back", "prove.plugged", SEATED);

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
        List<Step> steps = new ArrayList<>(unrepaired ? refit(profile, state) : proofs(profile, state));
        Step over = Step.open(
                "prove.hand-over",
                Station.PROVE,
                unrepaired ? "Hand back unrepaired" : "Hand over",
                unrepaired
                        ? "with all that came with it, the parts that were taken off too"
                        : "outer film off, wiped, switched off; " + SealProof.claim(profile, state),
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
        steps.add(signed(state, Signer.OWNER, IntakeState.of(state).opened().owner()));
        steps.add(signed(state, Signer.SHOP, state.latest().who()));
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

    /** Before it is handed over, with the record in hand; whoever won't sign need not. */
    private static Step signed(JobState state, Signer signer, String name) {
        Step step = Step.open(
                        "prove.signed-" + signer.name().toLowerCase(Locale.ROOT),
                        Station.PROVE,
                        "Signed " + signer.words(),
                        "the record is read first: what works, what was kept and what was lost",
                        Step.other(
                                "Sign",
                                new ProveFact.Signed(signer, "?", null),
                                new Ask("name", "Name", Ask.Kind.TEXT, null, name),
                                Ask.ifKnown("drawing", "Drawn with a finger, where it is", Ask.Kind.DRAWING, null)))
                .asOptional();
        return ProveState.of(state)
                .signed(signer)
                .map(signature -> step.answered(signature.fact().name()))
                .orElse(step);
    }

    private static List<Step> proofs(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        for (Function function : profile.functions()) {
            Step step = ChargeProof.watched(
                            Checks.function(profile, state, function, Phase.AFTER), function.id(), state)
                    .leadingOn(reopen(), DecideStation.goesBack(state));
            steps.add(
                    function.testableWhen().contains(Seating.OPEN)
                            ? step
                            : step.hinted(Stream.of(step.hint(), onlyClosed(profile, state))
                                    .filter(Objects::nonNull)
                                    .collect(Collectors.joining("; "))));
        }
        SealProof.step(profile, state).ifPresent(steps::add);
        return steps;
    }

    private static String onlyClosed(DeviceProfile profile, JobState state) {
        return "could not be tried open: to mend it the front comes off again"
                + DecideState.of(state).onceMore(profile);
    }

    /** What an owner says who is asked after a week. */
    public static List<Choice> heardBack() {
        return List.of(
                Step.go("Fine", new ProveFact.HeardBack(true, null)),
                Step.fail(
                        "Not fine",
                        new ProveFact.HeardBack(false, "?"),
                        new Ask("said", "What is wrong, in the owner's words", Ask.Kind.TEXT, null, null)));
    }

    /** A front that was sealed comes up once more. */
    public static Choice reopen() {
        return Step.fail("Open it again", new DetourFact.Reopened("?"), Ask.reason("Why it is opened again"));
    }

    /** What has to be back before a device goes back that is not repaired, or not all the way. */
    private static List<Step> refit(DeviceProfile profile, JobState state) {
        SeparateState front = SeparateState.of(state);
        StripState inside = StripState.of(state);
        boolean sealed = SealState.of(state).sealedAt().isPresent();
        List<Step> steps = new ArrayList<>();
        HeatState.of(state)
                .runningSoak()
                .ifPresent(soak -> steps.add(Step.open(
                        "prove.off-source",
                        Station.PROVE,
                        "Off the source",
                        "let it cool before anything else",
                        Step.go("Off the source", new HeatFact.SoakEnded(0)))));
        steps.addAll(SeparateStation.wedges(profile, state, Station.PROVE));
        if (front.frontOpened() && !sealed) {
            if (!CarryState.of(state).moved().isEmpty()) {
                steps.add(refitted(
                        state, "prove.moved-back", "Moved parts back on the front that goes back", null, "Moved back"));
            }
            if (!inside.plugsFreed().isEmpty() || inside.isolation().isPresent()) {
                steps.add(refitted(
                        state, "prove.plugged", "Plugs home, battery back in circuit", "battery last", "Plugged in"));
            }
            if (inside.unscrewed()) {
                SealStation.screwsIn(profile, state).forEach(step -> steps.add(step.at(Station.PROVE)));
            }
        }
        if (!sealed && (front.frontOpened() || !front.freed().isEmpty())) {
            steps.add(refitted(
                    state,
                    SEATED,
                    "Front back in its seat, " + (profile.bonded() ? "taped for the way" : "clipped"),
                    "loose splinters under film; say that neither dust nor water is kept out",
                    "Closed"));
            for (Function function : profile.functions()) {
                Step step = Checks.function(profile, state, function, Phase.AFTER);
                // It goes back as it is: what fails is said, and holds nobody.
                steps.add(step.problem() ? step.answered("Fails") : step);
            }
        }
        for (PartReserved part : PartsState.of(state).parts()) {
            steps.add(Step.open(
                    "prove.part-" + part.stockId(),
                    Station.PROVE,
                    part.words(),
                    "no longer needed: the shelf, or the returns if it is no good",
                    Step.go("Back on the shelf", new PartsFact.PartReturned(part.stockId())),
                    PartsStation.swap(state, part.kind(), PartsFact.Bad.DAMAGED_HERE)));
        }
        return steps;
    }

    private static Step refitted(JobState state, String id, String title, String hint, String done) {
        return Checks.check(state, id, title, hint, done);
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(SealProof.TESTING);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        boolean unrepaired = DecideState.of(state).notWorthIt().isPresent();
        if (unrepaired && fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), REFITTED);
            return holds;
        } else if (unrepaired && fact instanceof ProveFact) {
            return fact instanceof ProveFact.HandedOver ? Checks.openSteps(refit(profile, state)) : holds;
        }
        if (fact instanceof JobFact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    profile.functions().stream().map(Function::id).toList());
        } else if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        } else if (fact instanceof ProveFact.SealTested && !SealProof.asked(profile)) {
            throw new NotAllowed("type", "SealTested", "a fact for a watch: nothing else fits the tester");
        } else if (fact instanceof ProveFact.HandedOver) {
            holds.addAll(Checks.openSteps(proofs(profile, state)));
            holds.addAll(Checks.openSteps(seal.steps(profile, state)));
        }
        if (!unrepaired && SealState.of(state).sealedAt().isEmpty()) {
            holds.add(0, Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet"));
        }
        return holds;
    }
}
