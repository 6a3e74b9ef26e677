package ridgefall.core.seal;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.bond.BentCorner;
import ridgefall.core.bond.BentCorner.Verdict;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.TimerKind;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.separate.ClipMap;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.Screws;
import ridgefall.core.strip.StripFact;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripState;

/** The last hold point before the irreversible: nothing missing, nothing left in, nothing left on. */
public final class SealStation implements StationRoom {
    public static final TimerKind PRESSING = new TimerKind("PRESSING", "Pressing the tape");
    private static final int PRESSING_S = 120;
    private static final String STRAIGHT = "seal.straight";
    private static final String CLIPS = "seal.clips-";

    private final List<StationRoom> inside;
    private final StationRoom test;

    /**
     * @param inside what must be done before the front closes over it
     * @param test what is tried before a liner comes off
     */
    public SealStation(List<StationRoom> inside, StationRoom test) {
        this.inside = inside;
        this.test = test;
    }

    @Override
    public Station station() {
        return Station.SEAL;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(before(profile, state));
        Step seal = profile.bonded()
                ? Step.open(
                        "seal.seal",
                        Station.SEAL,
                        "Seat the front",
                        profile.placeName(profile.hinge())
                                + " first, nothing pinched; press from the corners along the edges until flush",
                        Step.go("Sealed", new SealFact.Sealed()))
                : Step.open(
                        "seal.seal",
                        Station.SEAL,
                        "Closed all round",
                        "a nail finds no gap anywhere, and no gasket looks out",
                        Step.go("Closed", new SealFact.Sealed()));
        steps.add(SealState.of(state).sealedAt().isPresent() ? seal.answered("sealed") : seal);
        if (!profile.bonded()) {
            return steps;
        }
        Step press = Step.open(
                "seal.press",
                Station.SEAL,
                "Hold it pressed",
                null,
                Step.go("Start pressing, {s:" + PRESSING_S + "}", new JobFact.TimerStarted(PRESSING, PRESSING_S)));
        if (state.timer(PRESSING).isPresent()) {
            press = Step.open(
                            "seal.press",
                            Station.SEAL,
                            "Pressing",
                            null,
                            Step.go("Flush all round", new JobFact.TimerStopped(PRESSING)))
                    .waiting(state.timer(PRESSING).get().seq());
        } else if (state.everTimed(PRESSING)) {
            press = press.answered("flush all round");
        }
        steps.add(press);
        return steps;
    }

    private static List<Step> before(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(screwsIn(profile, state));
        for (Cover cover : profile.covers()) {
            Step off = Step.open(
                    "seal." + cover.id(),
                    Station.SEAL,
                    cover.words(),
                    cover.hint(),
                    Step.go("Off", new SealFact.CoverRemoved(cover.id())));
            steps.add(SealState.of(state).coverOff(cover.id()) ? off.answered("off") : off);
        }
        if (!IntakeState.of(state).bends().isEmpty()) {
            steps.add(straight(profile, state));
        }
        steps.add(Checks.check(
                state, "seal.dust", "No dust, no film, no tool inside", "low light along the glass", "Clean"));
        if (!profile.bonded()) {
            steps.addAll(clips(profile, state));
        }
        return steps;
    }

    /** What its bent corners ask for before a flat front goes down on them; nothing where tape holds it. */
    private static Step straight(DeviceProfile profile, JobState state) {
        Step step = Checks.check(
                state,
                STRAIGHT,
                "Frame straight, or clamps at hand",
                "it came bent; never bend it with the battery in",
                "Straight or clamped");
        if (!profile.bonded()) {
            return step;
        }
        List<BentCorner> corners = BentCorner.of(profile, state);
        String told = corners.stream().map(corner -> corner.words(profile)).collect(Collectors.joining("; "));
        boolean holds = corners.stream().allMatch(corner -> corner.verdict() == Verdict.TAPE_HOLDS);
        return holds && step.open() && !step.problem()
                ? step.answered("tape holds it")
                : step.hinted(told + "; never bend it with the battery in");
    }

    /** The way back round, edge by edge as the map of the clips goes. */
    private static List<Step> clips(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        for (ClipMap.Closing edge : new ClipMap(profile).closing()) {
            int count = edge.clips().size();
            String first = PlaceWords.at(
                    profile, ClipMap.middleMm(profile, edge.clips().get(0)));
            steps.add(Checks.check(
                    state,
                    closingId(steps.size()),
                    "Press home the " + profile.placeName(edge.edge()) + ": " + count
                            + (count == 1 ? " clip" : " clips"),
                    "begin " + first.substring(first.indexOf(',') + 1).trim()
                            + ", a click each; one that will not go has gasket, cable or a broken piece beneath",
                    "All clicked"));
        }
        return steps;
    }

    /** The step that presses home what {@link ClipMap#closing} has at a place. */
    public static String closingId(int place) {
        return CLIPS + (place + 1);
    }

    /** Every screw back, and none loose inside; wherever a device is closed, sealed or not. */
    public static List<Step> screwsIn(DeviceProfile profile, JobState state) {
        return Screws.of(profile, state)
                .map(screws -> Stream.concat(screws.lost().stream(), Stream.of(screws.in()))
                        .filter(step -> !lookedForAtTest(screws, step, state))
                        .toList())
                .orElseGet(() -> List.of(countedIn(state)));
    }

    /** As long as the plug over it is off. */
    private static boolean lookedForAtTest(Screws screws, Step step, JobState state) {
        return !state.passed(Checks.PLUGGED_IN)
                && screws.lostUnderAPlug().stream()
                        .anyMatch(earlier -> earlier.id().equals(step.id()));
    }

    /** As many as were counted out. */
    private static Step countedIn(JobState state) {
        int missing = IntakeState.of(state).missingScrews();
        Step in = Step.open(
                StripFact.SCREWS_IN,
                Station.SEAL,
                "Screws back in their own holes",
                StripState.of(state)
                        .screws(Count.OUT)
                        .map(n -> n + " came out"
                                + (missing == 0
                                        ? ""
                                        : "; new ones for the " + missing + " that were missing are welcome"))
                        .orElse(null),
                Step.go(
                        "Counted",
                        new StripFact.ScrewsCounted(Count.IN, 0),
                        new Ask(
                                "screws",
                                "Screws in",
                                Ask.Kind.NUMBER,
                                null,
                                StripState.of(state)
                                        .screws(Count.OUT)
                                        .map(String::valueOf)
                                        .orElse(null))));
        int out = StripState.of(state).screws(Count.OUT).orElse(0);
        return StripState.of(state)
                .screws(Count.IN)
                .map(n -> n >= out && n <= out + missing || state.signedOff(StripFact.SCREWS_IN)
                        ? in.answered(n + " in")
                        : in.problem(n + " in, " + out + " out"))
                .orElse(in);
    }

    /** Everything that must be so before the front is seated for good. */
    public List<Hold> holdsBeforeSealing(DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        for (double wedge : SeparateState.of(state).wedges()) {
            holds.add(Hold.firm(
                    "separate.wedge." + wedge,
                    Station.SEPARATE,
                    "A wedge is still in: " + PlaceWords.at(profile, wedge)));
        }
        for (StationRoom room : inside) {
            holds.addAll(Checks.openSteps(room.steps(profile, state)));
        }
        holds.addAll(Checks.openSteps(before(profile, state)));
        return holds;
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(PRESSING);
    }

    @Override
    public Map<String, String> signOffs() {
        return Map.of(Screws.SHORT, "a screw shorter than holds well");
    }

    /** No wedge goes under a front that is sealed. */
    @Override
    public List<Hold> bars(Fact earlier, JobState state) {
        if (SealState.of(state).sealedAt().isEmpty()) {
            return List.of();
        } else if (earlier instanceof SeparateFact.WedgeSet) {
            return List.of(Hold.firm("separate.sealed", Station.SEPARATE, "The front is sealed"));
        }
        return earlier instanceof PartsFact.PartSwapped
                ? List.of(Hold.firm("seal.reopen", Station.PROVE, "The front is sealed: open it again first"))
                : List.of();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof SealFact.Sealed) {
            return SealState.of(state).sealedAt().isPresent()
                    ? List.of(Hold.firm("seal.done", Station.SEAL, "The front is already sealed"))
                    : holdsBeforeSealing(profile, state);
        }
        if (fact instanceof SealFact.CoverRemoved f) {
            Checks.known(
                    "coverId",
                    f.coverId(),
                    profile.covers().stream().map(Cover::id).toList());
            // Once a liner is off the adhesive is spent: test first.
            return Checks.openSteps(test.steps(profile, state));
        }
        if (fact instanceof StripFact f) {
            return Screws.holds(f, profile, state);
        }
        if (fact instanceof JobFact.CheckAnswered f) {
            List<String> ids = new ArrayList<>(List.of("seal.dust", STRAIGHT));
            if (!profile.bonded()) {
                clips(profile, state).forEach(step -> ids.add(step.id()));
            }
            Checks.known("checkId", f.checkId(), ids);
        } else if (fact instanceof JobFact.TimerStarted
                && SealState.of(state).sealedAt().isEmpty()) {
            return List.of(Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet"));
        }
        return List.of();
    }
}
