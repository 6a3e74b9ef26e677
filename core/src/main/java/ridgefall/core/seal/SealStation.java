package ridgefall.core.seal;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.bond.Bead;
import ridgefall.core.bond.BeadLaying;
import ridgefall.core.bond.BentCorner;
import ridgefall.core.bond.BentCorner.Verdict;
import ridgefall.core.bond.BondFact;
import ridgefall.core.bond.BondStation;
import ridgefall.core.bond.Supply;
import ridgefall.core.bond.WhatHolds;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
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
import ridgefall.core.units.Allowed;

/** The last hold point before the irreversible: nothing missing, nothing left in, nothing left on. */
public final class SealStation implements StationRoom {
    public static final TimerKind PRESSING = new TimerKind("PRESSING", "Pressing the tape");

    /** Until squeeze-out no longer comes off with a cloth. */
    private static final int WIPE_S = 20 * 60;

    private static final String PRESS = "seal.press";
    private static final String FLUSH = "seal.flush";
    private static final Hold NOT_SEALED = Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet");
    private static final String STRAIGHT = "seal.straight";
    private static final String CLIPS = "seal.clips-";

    private final List<StationRoom> inside;
    private final StationRoom test;
    private final BondStation bond;
    private final Instant now;

    /**
     * @param inside what must be done before the front closes over it
     * @param test what is tried before a liner comes off
     * @param bond a bead is laid last of all
     * @param now a bead skins over
     */
    public SealStation(List<StationRoom> inside, StationRoom test, BondStation bond, Instant now) {
        this.inside = inside;
        this.test = test;
        this.bond = bond;
        this.now = now;
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
        steps.addAll(BeadLaying.of(state) ? clamped(profile, state) : List.of(pressed(profile, state)));
        steps.add(flush(profile, state));
        return steps;
    }

    private static Step pressed(DeviceProfile profile, JobState state) {
        PressPlan plan = PressPlan.of(profile, CleanStation.roomC(state));
        Step press = Step.open(
                PRESS,
                Station.SEAL,
                "Press it down",
                "corners first, then along the edges, never on the middle of the glass",
                Step.go(
                        "Start pressing, {s:" + plan.seconds() + "}",
                        new JobFact.TimerStarted(PRESSING, Math.max(5, plan.seconds()))));
        if (state.timer(PRESSING).isPresent()) {
            return Step.open(
                            PRESS,
                            Station.SEAL,
                            "Pressing",
                            press.hint(),
                            Step.go("Flush all round", new JobFact.TimerStopped(PRESSING)))
                    .waiting(state.timer(PRESSING).get().seq());
        }
        return state.everTimed(PRESSING) ? press.answered("flush all round") : press;
    }

    /** A bead is not pressed by thumbs: clamps, a cloth, and time. */
    private List<Step> clamped(DeviceProfile profile, JobState state) {
        Bead bead = bond.bead(profile, state);
        Optional<Supply.Glue> glue = bond.glue(state);
        SealState.Clamped far = SealState.of(state).clamps();
        int clamps = WhatHolds.clamps(bead, BentCorner.of(profile, state));
        Step on = Step.open(
                "seal.clamps",
                Station.SEAL,
                clamps + " clamps, one every {mm:" + Math.round(bead.clampEveryMm()) + "}",
                "corners first, a soft pad under each, none over a bare place; flush after about {s:"
                        + bond.sinksSeconds(profile, state) + "}",
                Step.go("Clamps on", new SealFact.ClampsSet(clamps, WIPE_S)));
        Step wiped = Step.open(
                "seal.wiped",
                Station.SEAL,
                "Squeeze-out wiped all round",
                "alcohol on a cloth, away from openings; once it has cured it takes the paint with it",
                Step.go("Wiped", new SealFact.SqueezeOutWiped(3600 * WhatHolds.cureHours(glue))));
        Step off = Step.open(
                PRESS,
                Station.SEAL,
                "Left clamped until it has cured",
                "not moved meanwhile; a warm room cures faster, a cold one much slower",
                Step.go("Clamps off", new SealFact.ClampsOff()));
        return List.of(
                far == SealState.Clamped.NOT ? on : on.answered("on"),
                far.compareTo(SealState.Clamped.WIPED) < 0 ? wiped : wiped.answered("wiped"),
                far == SealState.Clamped.OFF
                        ? off.answered("off")
                        : state.timer(BeadLaying.CURING)
                                .map(timer -> off.waiting(timer.seq()))
                                .orElse(off));
    }

    /** Whoever feels a step reads it; one that stands up holds it back. */
    private static Step flush(DeviceProfile profile, JobState state) {
        List<FlushGap.Place> places = FlushGap.of(profile, SealState.of(state));
        Optional<FlushGap.Place> up = places.stream()
                .filter(place ->
                        place.verdict().filter(v -> v != FlushGap.Verdict.FLUSH).isPresent())
                .findFirst();
        long read = places.stream().filter(place -> place.overMm() != null).count();
        double at = up.or(() ->
                        places.stream().filter(place -> place.overMm() == null).findFirst())
                .map(FlushGap.Place::positionMm)
                .orElse(places.get(0).positionMm());
        Step step = Step.open(
                FLUSH,
                Station.SEAL,
                "Flush with its rim: " + FlushGap.words(profile, at),
                "a nail drawn over the rim feels a tenth; read it where you feel a step",
                reading(at));
        if (up.isPresent()) {
            String found = FlushGap.words(profile, at) + ": "
                    + SealFact.FlushRead.over(up.get().overMm());
            return step.hinted(up.get().verdict().orElseThrow().words())
                    .problem(found)
                    .alsoChoosing(Step.fail(
                            "Open it again", new DetourFact.Reopened("?"), Ask.reason("Why it is opened again")));
        }
        return (read == 0 ? step : step.answered(read + " of " + places.size() + " places read, flush")).asOptional();
    }

    /** Asks for what stands over the rim at a place. */
    public static Step.Choice reading(double positionMm) {
        return Step.other(
                "It reads",
                new SealFact.FlushRead(tenth(positionMm), 0),
                new Ask("overMm", "Front over the rim; under it with a minus", Ask.Kind.NUMBER, "mm", "0"));
    }

    /** Records what a gauge says there. */
    public static Step.Choice reading(double positionMm, double overMm) {
        return Step.other("Take it", new SealFact.FlushRead(tenth(positionMm), overMm));
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }

    private List<Step> before(DeviceProfile profile, JobState state) {
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
        steps.add(DustLook.step(profile, state));
        if (!profile.bonded()) {
            steps.addAll(clips(profile, state));
        }
        steps.addAll(BeadLaying.laid(
                bond.bead(profile, state),
                bond.glue(state),
                state,
                SealState.of(state).sealedAt().isPresent(),
                now));
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
        // No lead signs for glue that no front sinks into.
        Checks.openSteps(before(profile, state)).stream()
                .map(hold ->
                        hold.id().equals(BeadLaying.LAID) ? Hold.firm(hold.id(), hold.station(), hold.because()) : hold)
                .forEach(holds::add);
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
        if (fact instanceof BondFact.BeadLaid f) {
            return Stream.concat(
                            BeadLaying.holds(f, state).stream(),
                            holdsBeforeSealing(profile, state).stream()
                                    .filter(hold -> !hold.id().equals(BeadLaying.LAID)))
                    .toList();
        }
        if (fact instanceof SealFact.FlushRead
                || fact instanceof SealFact.ClampsSet
                || fact instanceof SealFact.SqueezeOutWiped
                || fact instanceof SealFact.ClampsOff) {
            return seated(fact, state);
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
            List<String> ids = new ArrayList<>(List.of(DustLook.ID, STRAIGHT));
            if (!profile.bonded()) {
                clips(profile, state).forEach(step -> ids.add(step.id()));
            }
            Checks.known("checkId", f.checkId(), ids);
            if (f.checkId().equals(DustLook.ID) && f.answer() == Answer.PASS) {
                return DustLook.holds(state);
            }
        } else if (fact instanceof SealFact.ZoneLooked f) {
            Allowed.between("zone", f.zone(), 1, DustLook.zones(profile).size(), "zones of this front");
        } else if (fact instanceof JobFact.TimerStarted
                && SealState.of(state).sealedAt().isEmpty()) {
            return List.of(NOT_SEALED);
        }
        return List.of();
    }

    private List<Hold> seated(Fact fact, JobState state) {
        SealState seal = SealState.of(state);
        if (seal.sealedAt().isEmpty()) {
            return List.of(NOT_SEALED);
        } else if (fact instanceof SealFact.SqueezeOutWiped && seal.clamps() == SealState.Clamped.NOT) {
            return List.of(Hold.firm("seal.clamps", Station.SEAL, "No clamps are on yet"));
        } else if (fact instanceof SealFact.ClampsOff && seal.clamps().compareTo(SealState.Clamped.WIPED) < 0) {
            return List.of(Hold.firm("seal.wiped", Station.SEAL, "Squeeze-out is not wiped, and no clock runs"));
        } else if (fact instanceof SealFact.ClampsOff) {
            return state
                    .timer(BeadLaying.CURING)
                    .filter(timer -> now.isBefore(timer.startedAt().plusSeconds(timer.seconds())))
                    .map(timer -> Hold.overridable(PRESS, Station.SEAL, "It has not cured yet: the front comes up"))
                    .stream()
                    .toList();
        }
        return List.of();
    }
}
