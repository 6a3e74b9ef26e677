package ridgefall.core.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.job.Answer;
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
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.Symptom;
import ridgefall.core.stop.Stop;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

public final class IntakeStation implements StationRoom {
    /** A finger that draws a crack out of the face goes a little too far. */
    private static final double OUTSIDE_MM = 5;

    private static final String MORE = "intake.more";

    private static final List<String> OFTEN =
            List.of("Payment at a reader", "Fingerprint or home key", "Stylus draws straight", "Mobile network");

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
        steps.addAll(unit(state));
        // Whoever began before this was asked is not asked any more.
        owner(state).stream()
                .filter(step -> !step.open() || !IntakeState.of(state).begun())
                .forEach(steps::add);
        steps.add(before(state));
        steps.add(promised(state));
        steps.add(more(profile, state));
        for (Function function : profile.functions()) {
            steps.add(Checks.function(profile, state, function, Phase.BEFORE));
        }
        return steps;
    }

    private static Step front(JobState state) {
        Step step = Step.open(
                "intake.front",
                Station.INTAKE,
                "Front glass",
                "draw cracks, dents and bends on the outline",
                Step.go("Cracked", new IntakeFact.FrontSeen(FrontCondition.CRACKED)),
                Step.other("Shattered", new IntakeFact.FrontSeen(FrontCondition.SHATTERED)),
                Step.other("Whole", new IntakeFact.FrontSeen(FrontCondition.INTACT)));
        return IntakeState.of(state).front().map(f -> step.answered(f.words())).orElse(step);
    }

    /** What is special about this unit: each can start a dispute or a mishap later. */
    private static List<Step> unit(JobState state) {
        return List.of(
                Checks.check(
                        state,
                        "intake.cards",
                        "Memory and SIM cards",
                        "out and given back, or none: a card left in is bent with the tray",
                        "None left in"),
                Checks.check(
                        state,
                        "intake.accessories",
                        "Cases, grips, stickers",
                        "off; what can't come off is propped level on the plate",
                        "Nothing stuck on"),
                earlier(state),
                passcode(state));
    }

    private static Step passcode(JobState state) {
        String usual = "To the lock screen";
        Step step = noted(
                        state,
                        "intake.passcode",
                        "Without the passcode",
                        "never ask for it: test to the lock screen, the owner unlocks at hand-over",
                        usual,
                        "Owner unlocks now",
                        "What may be opened")
                .choosing(
                        Step.go(usual, new JobFact.CheckAnswered("intake.passcode", Answer.PASS, null)),
                        Step.other(
                                "Owner unlocks now",
                                new IntakeFact.UnlockedByOwner("?"),
                                new Ask("what", "What may be opened", Ask.Kind.TEXT, null, null)));
        return IntakeState.of(state)
                .owner()
                .unlocked()
                .filter(what -> state.check("intake.passcode").isEmpty())
                .map(what -> step.answered("owner unlocked it: " + what))
                .orElse(step);
    }

    /** A profile of a class knows what most of them have; this one may have more. */
    private static Step more(DeviceProfile profile, JobState state) {
        List<Choice> choices = new ArrayList<>();
        choices.add(Step.go("Nothing more", new JobFact.CheckAnswered(MORE, Answer.PASS, null)));
        for (String function : OFTEN) {
            if (profile.functions().stream().noneMatch(known -> known.words().equals(function))) {
                choices.add(Step.other(function, new IntakeFact.FunctionAdded(function)));
            }
        }
        choices.add(Step.other(
                "Something else",
                new IntakeFact.FunctionAdded("?"),
                new Ask("words", "What it does", Ask.Kind.TEXT, null, null)));
        Step step = Step.open(
                MORE,
                Station.INTAKE,
                "Has it more than is asked below?",
                "what is not on the list is not tested, and missed afterwards",
                choices.toArray(Choice[]::new));
        List<Function> added = IntakeState.of(state).functionsAdded();
        Step answered = state.passed(MORE)
                ? step.answered(
                        added.isEmpty()
                                ? "nothing more"
                                : added.stream().map(Function::words).collect(Collectors.joining(", ")))
                : step;
        boolean asked = profile.document().generic() && !IntakeState.of(state).begun();
        return asked ? answered : answered.asOptional();
    }

    private static Step earlier(JobState state) {
        Step step = noted(
                        state,
                        "intake.earlier",
                        "Signs of an earlier repair",
                        "missing screws, puckered tape, bent shield, loose ribbon",
                        "None",
                        "Signs",
                        "Which?")
                .choosing(
                        Step.go("None", new JobFact.CheckAnswered("intake.earlier", Answer.PASS, null)),
                        Step.other(
                                "Signs",
                                new IntakeFact.EarlierRepair("?", 0),
                                new Ask("signs", "Which?", Ask.Kind.TEXT, null, null),
                                new Ask("missingScrews", "Screws missing", Ask.Kind.NUMBER, null, "0")));
        return IntakeState.of(state)
                .earlierRepair()
                .filter(signs -> state.check("intake.earlier").isEmpty())
                .map(signs -> step.answered(signs.signs()
                        + (signs.missingScrews() == 0 ? "" : ", " + signs.missingScrews() + " screws missing")))
                .orElse(step);
    }

    /** What the owner answers for while standing there. */
    private static List<Step> owner(JobState state) {
        Step data = Step.open(
                "intake.data",
                Station.INTAKE,
                "What is stored on it",
                "ask the owner: a display job seldom costs data, a dead board or a stop does",
                Step.go("Saved elsewhere", new IntakeFact.DataAsked(IntakeFact.DataKept.SAVED_ELSEWHERE)),
                Step.other("Not saved", new IntakeFact.DataAsked(IntakeFact.DataKept.NOT_SAVED)),
                Step.other("Nothing on it", new IntakeFact.DataAsked(IntakeFact.DataKept.NONE_ON_IT)));
        Step risks = Step.open(
                "intake.risks",
                Station.INTAKE,
                "Risks of opening told and accepted",
                "glass may crack further, water is no longer kept out, a hidden fault may show",
                Step.go(
                        "Accepted",
                        new IntakeFact.RisksAccepted("?"),
                        new Ask(
                                "acceptedBy",
                                "Accepted by",
                                Ask.Kind.TEXT,
                                null,
                                IntakeState.of(state).opened().owner())));
        IntakeState.Owner owner = IntakeState.of(state).owner();
        return List.of(
                owner.data().map(said -> data.answered(said.words())).orElse(data),
                owner.risksAcceptedBy()
                        .map(by -> risks.answered("accepted by " + by))
                        .orElse(risks));
    }

    private static Step before(JobState state) {
        Step step = Step.open(
                        "intake.before",
                        Station.INTAKE,
                        "Back with what it was here for?",
                        "counts against the kind of part that it got then",
                        Step.other(
                                "Came back",
                                new IntakeFact.CameBack(1),
                                new Ask("jobNumber", "The job it was", Ask.Kind.JOB, null, null)))
                .asOptional();
        return IntakeState.of(state)
                .cameFrom()
                .map(number -> step.answered("was job " + number))
                .orElse(step);
    }

    private static Step promised(JobState state) {
        Step step = Step.open(
                        "intake.promised",
                        Station.INTAKE,
                        "Promised for",
                        "the day the owner was told; the bench shows what is late",
                        Step.other(
                                "Promised",
                                new IntakeFact.Promised(LocalDate.EPOCH),
                                new Ask("on", "Ready on", Ask.Kind.DATE, null, null)))
                .asOptional();
        return IntakeState.of(state)
                .promisedOn()
                .map(day -> step.answered("{day:" + day + "}"))
                .orElse(step);
    }

    /** A finding either way: neither answer stands in the way. */
    private static Step noted(
            JobState state, String id, String title, String hint, String usual, String other, String ask) {
        Step step = Step.open(
                id,
                Station.INTAKE,
                title,
                hint,
                Step.go(usual, new JobFact.CheckAnswered(id, Answer.PASS, null)),
                Step.other(other, new JobFact.CheckAnswered(id, Answer.CANNOT_TEST, "?"), Ask.reason(ask)));
        return state.check(id)
                .map(given -> step.answered(given.answer() == Answer.PASS ? usual : other + ": " + given.reason()))
                .orElse(step);
    }

    /** What to do about a battery that is swollen as it comes in. */
    public static Step swollen() {
        return asked().problem("swollen: " + Stop.WHAT_NOW)
                .leading(Step.Lead.STOP)
                .hinted(Stop.STEPS)
                .choosing(Stop.letGoOn());
    }

    private static Step asked() {
        return Step.open(
                "intake.battery",
                Station.INTAKE,
                "Battery: flat, cool, quiet?",
                "rocks on the bench, gaps at the edge or hisses: stop",
                Step.go("Sound", new IntakeFact.BatterySeen(Battery.SOUND)),
                Step.fail("Swollen", new IntakeFact.BatterySeen(Battery.SWOLLEN)),
                Step.other("Sound, but old or weak", new IntakeFact.BatterySeen(Battery.TIRED)));
    }

    private static Step battery(JobState state) {
        return IntakeState.of(state)
                .battery()
                .map(b -> b.swollen()
                        ? swollen()
                        : asked().answered(b == Battery.TIRED ? "sound, but old or weak: heated less" : "sound"))
                .orElseGet(IntakeStation::asked);
    }

    private static Step power(JobState state) {
        Step step = Step.open(
                "intake.power",
                Station.INTAKE,
                "Can it be switched off?",
                "if not, it is live until isolation is proven",
                Step.go("Off", new IntakeFact.PowerSeen(true)),
                Step.other("Can't be switched off", new IntakeFact.PowerSeen(false)));
        return IntakeState.of(state)
                .canSwitchOff()
                .map(off -> step.answered(off ? "switched off" : "live until isolation is proven"))
                .orElse(step);
    }

    /** What is drawn on the outline; each asks for where. */
    public record Board(Choice crackAt, Choice crack, Choice dent, Choice bend) {}

    public static Board board() {
        return new Board(
                Step.other(
                        "Crack at the edge",
                        new IntakeFact.CrackMarked(0, 0),
                        new Ask("fromMm", "Along the edge", Ask.Kind.NUMBER, "mm", null)),
                Step.other(
                        "Crack drawn",
                        new IntakeFact.CrackDrawn(List.of()),
                        new Ask("line", "Line", Ask.Kind.LINE, null, null)),
                Step.other(
                        "Dent",
                        new IntakeFact.DentMarked(new Point(0, 0)),
                        new Ask("at", "Place", Ask.Kind.POINT, null, null)),
                Step.other(
                        "Bent",
                        new IntakeFact.BendMarked(Landmark.TOP_LEFT, 0, null),
                        new Ask("corner", "Corner", Ask.Kind.CORNER, null, null),
                        new Ask("gapMm", "Gap under the corner", Ask.Kind.NUMBER, "mm", null),
                        Ask.ifKnown(
                                "bentMm", "From the corner to where it touches, if measured", Ask.Kind.NUMBER, "mm")));
    }

    public static Choice remove(IntakeState.Mark mark) {
        return Step.other("Removed", new IntakeFact.MarkRemoved(mark.seq()));
    }

    /** Says that a symptom is there, or where it is, that it is not so after all. */
    public static Choice turn(Symptom symptom, boolean seen) {
        return Step.other(symptom.words(), new IntakeFact.SymptomSeen(symptom, !seen));
    }

    private static void onFace(DeviceProfile profile, Point point) {
        Allowed.between("xMm", point.xMm(), -OUTSIDE_MM, profile.edge().widthMm() + OUTSIDE_MM, "mm");
        Allowed.between("yMm", point.yMm(), -OUTSIDE_MM, profile.edge().heightMm() + OUTSIDE_MM, "mm");
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.FunctionTested f) {
            Checks.known(
                    "functionId",
                    f.functionId(),
                    profile.functions().stream().map(Function::id).toList());
        }
        if (fact instanceof IntakeFact.CrackMarked f
                && f.fromMm() > profile.edge().lengthMm()) {
            throw new NotAllowed(
                    "fromMm", f.fromMm(), "0 to " + Math.round(profile.edge().lengthMm()) + " mm");
        }
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(unit(state).stream().map(Step::id), Stream.of(MORE))
                            .toList());
        } else if (fact instanceof IntakeFact.MarkRemoved f
                && IntakeState.of(state).marks().stream().noneMatch(mark -> mark.seq() == f.seq())) {
            throw new NotAllowed("seq", f.seq(), "the number of a mark on the outline");
        } else if (fact instanceof IntakeFact.CrackDrawn f) {
            f.line().forEach(point -> onFace(profile, point));
        } else if (fact instanceof IntakeFact.DentMarked f) {
            onFace(profile, f.at());
        }
        return List.of();
    }
}
