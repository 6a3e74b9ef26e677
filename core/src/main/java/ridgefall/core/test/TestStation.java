package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.damage.Consequence;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.fault.FaultCase;
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
import ridgefall.core.job.TimerKind;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Seating;
import ridgefall.core.profile.StripOrder.Stage;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.Screws;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

/** The front is loose and the liners are on: what works now will work sealed, and what fails costs nothing yet. */
public final class TestStation implements StationRoom {
    private static final String BATTERY_HELD = "test.battery-held";

    @Override
    public Station station() {
        return Station.TEST;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(wayBack(profile, state));
        for (Function function : openFunctions(profile)) {
            Step step =
                    ChargeProof.watched(Checks.function(profile, state, function, Phase.OPEN), function.id(), state);
            steps.add(fails(state, function.id()) ? step.leadingOn(ways(profile, state, function)) : step);
        }
        for (Consequence consequence : Consequence.all(profile, state)) {
            if (consequence.todo() != null) {
                steps.add(after(state, consequence));
            }
        }
        return steps;
    }

    /**
     * Plugs home the way they came off, each by its own proof; what had to come off before the battery goes on after it. A front that
     * was plugged in before each was asked for is not asked.
     */
    private static List<Step> wayBack(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        if (StripState.batteryIsOut(state)) {
            steps.add(Checks.check(
                    state,
                    BATTERY_HELD,
                    "Battery back in its place, held as it was",
                    "its tape or its screws; flat, nothing under it, never pressed down; dented or bulged: it does not go back in",
                    "Held"));
        }
        List<Stage> lastOffFirst = new ArrayList<>(profile.stripOrder().stages());
        Collections.reverse(lastOffFirst);
        Optional<Screws> screws = Screws.of(profile, state);
        List<Connector> batteries = profile.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY)
                .toList();
        boolean batteryLast = profile.stripOrder().plugsBeforeIsolation().isEmpty();
        boolean batteryIn = false;
        String panel = "";
        for (Stage stage : lastOffFirst) {
            if (stage instanceof Stage.Unscrew some) {
                screws.ifPresent(all -> steps.addAll(all.underAPlugIn(some)));
            } else if (stage instanceof Stage.Free free) {
                Step home = home(free.plug(), state);
                steps.add(
                        batteryIn
                                ? home.hinted(panel + "live from here on, nothing metal beside it; "
                                        + free.plug().homeHint())
                                : home);
                panel = "";
            } else if (stage instanceof Stage.LiftPanel) {
                panel = "panel down flat; ";
            } else if (stage instanceof Stage.Isolate && !batteryLast) {
                batteries.forEach(plug -> steps.add(home(plug, state)));
                batteryIn = true;
            }
        }
        if (state.passed(Checks.PLUGGED_IN)) {
            steps.removeIf(Step::open);
        }
        steps.add(Checks.check(
                state,
                Checks.PLUGGED_IN,
                batteryLast && !batteries.isEmpty() ? "Battery back in circuit, it wakes" : "All plugs home, it wakes",
                batteryProof(profile) + "a boot loop is a plug or contact not home before it is a bad part",
                "Plugged in"));
        return steps;
    }

    private static Step home(Connector plug, JobState state) {
        return Checks.check(state, StripStation.homeStep(plug), plug.words() + ": home", plug.homeHint(), "Home");
    }

    private static String batteryProof(DeviceProfile profile) {
        return profile.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY && plug.seatingProof() != null)
                .map(plug -> plug.words() + ": " + plug.seatingProof() + "; ")
                .collect(Collectors.joining());
    }

    /** What went wrong on the way is looked at before the front goes on over it. */
    private static Step after(JobState state, Consequence consequence) {
        String id = consequence.checkId();
        Step step = Checks.check(state, id, consequence.title(), consequence.todo(), "Sound");
        List<Choice> ways = new ArrayList<>();
        ways.add(Step.other(
                "Mended since", new JobFact.CheckAnswered(id, Answer.PASS, "?"), Ask.reason("How was it mended?")));
        DecideStation.quoteAnew(state, Optional.empty()).ifPresent(ways::add);
        ways.add(DecideStation.goesBack(state));
        return step.leadingOn(ways.toArray(Choice[]::new));
    }

    private static boolean fails(JobState state, String functionId) {
        return answered(state, functionId, Answer.FAIL);
    }

    private static boolean answered(JobState state, String functionId, Answer answer) {
        return state.function(Phase.OPEN, functionId)
                .filter(given -> given.answer() == answer)
                .isPresent();
    }

    /** What leads on when nothing is left to check. */
    private static Choice[] ways(DeviceProfile profile, JobState state, Function function) {
        List<Choice> ways = new ArrayList<>();
        FaultCase.part(profile, state, function)
                .ifPresent(kind -> ways.add(PartsStation.swap(state, kind, PartsFact.Bad.DEAD_AT_TEST)));
        DecideStation.quoteAnew(state, Optional.empty()).ifPresent(ways::add);
        ways.add(DecideStation.goesBack(state));
        return ways.toArray(Choice[]::new);
    }

    private static List<Function> openFunctions(DeviceProfile profile) {
        return profile.functions().stream()
                .filter(f -> f.testableWhen().contains(Seating.OPEN))
                .toList();
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(ChargeTrace.CHARGING);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(
                                    Stream.concat(
                                            Stream.of(Checks.PLUGGED_IN, BATTERY_HELD),
                                            profile.connectors().stream().map(plug -> StripStation.homeStep(plug))),
                                    Consequence.all(profile, state).stream().map(Consequence::checkId))
                            .toList());
        } else if (fact instanceof JobFact.FunctionTested f) {
            functionOf(profile, f.functionId());
        }
        return SeparateState.of(state).frontOpened()
                ? List.of()
                : List.of(Hold.firm("separate.open", Station.SEPARATE, "The front is not open"));
    }

    private static void functionOf(DeviceProfile profile, String id) {
        Checks.known(
                "functionId",
                id,
                openFunctions(profile).stream().map(Function::id).toList());
    }
}
