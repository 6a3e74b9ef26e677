package ridgefall.core.seal;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.bond.BondStation;
import ridgefall.core.carry.CarryStation;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.job.Fact.TimerKind;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.JobState.Timer;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.test.TestStation;

/** The last hold point before the irreversible: nothing missing, nothing left in, nothing left on. */
public final class SealStation implements StationRoom {
    private static final int PRESSING_S = 120;
    private static final String STRAIGHT = "seal.straight";

    @Override
    public Station station() {
        return Station.SEAL;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(before(profile, state));
        Step seal = Step.open(
                "seal.seal",
                Station.SEAL,
                "Seat the front",
                profile.placeName(profile.hinge())
                        + " first, nothing pinched; press from the corners along the edges until flush",
                Step.go("Sealed", new Fact.Sealed()));
        steps.add(state.sealedAt().isPresent() ? seal.answered("sealed") : seal);
        if (!profile.bonded()) {
            return steps;
        }
        Step press = Step.open(
                "seal.press",
                Station.SEAL,
                "Hold it pressed",
                null,
                Step.go(
                        "Start pressing, {s:" + PRESSING_S + "}",
                        new Fact.TimerStarted(TimerKind.PRESSING, PRESSING_S)));
        if (state.timer(Timer.Kind.PRESSING).isPresent()) {
            press = Step.open(
                            "seal.press",
                            Station.SEAL,
                            "Pressing",
                            null,
                            Step.go("Flush all round", new Fact.TimerStopped(TimerKind.PRESSING)))
                    .waiting(state.timer(Timer.Kind.PRESSING).get().seq());
        } else if (state.everTimed(Timer.Kind.PRESSING)) {
            press = press.answered("flush all round");
        }
        steps.add(press);
        return steps;
    }

    private static List<Step> before(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        Step in = Step.open(
                JobState.SCREWS_IN,
                Station.SEAL,
                "Screws back in their own holes",
                state.screws(Count.OUT).map(n -> n + " came out").orElse(null),
                Step.go(
                        "Counted",
                        new Fact.ScrewsCounted(Count.IN, 0),
                        new Ask(
                                "screws",
                                "Screws in",
                                Ask.Kind.NUMBER,
                                null,
                                state.screws(Count.OUT).map(String::valueOf).orElse(null))));
        int out = state.screws(Count.OUT).orElse(0);
        steps.add(state.screws(Count.IN)
                .map(n -> n == out || state.screwsSignedOff()
                        ? in.answered(n + " in")
                        : in.problem(n + " in, " + out + " out"))
                .orElse(in));
        for (Cover cover : profile.covers()) {
            Step off = Step.open(
                    "seal." + cover.id(),
                    Station.SEAL,
                    cover.words(),
                    cover.hint(),
                    Step.go("Off", new Fact.CoverRemoved(cover.id())));
            steps.add(state.coverOff(cover.id()) ? off.answered("off") : off);
        }
        if (!state.bends().isEmpty()) {
            steps.add(Checks.check(
                    state,
                    STRAIGHT,
                    "Frame straight, or clamps at hand",
                    "it came bent; never bend it with the battery in",
                    "Straight or clamped"));
        }
        steps.add(Checks.check(
                state, "seal.dust", "No dust, no film, no tool inside", "low light along the glass", "Clean"));
        return steps;
    }

    /** Everything that must be so before the front is seated for good. */
    public static List<Hold> holdsBeforeSealing(DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        for (double wedge : state.wedges()) {
            holds.add(Hold.firm(
                    "separate.wedge." + wedge,
                    Station.SEPARATE,
                    "A wedge is still in at {mm:" + wedge + "}, "
                            + profile.placeName(profile.edge().landmarkAt(wedge))));
        }
        holds.addAll(Checks.openSteps(new CarryStation().steps(profile, state)));
        holds.addAll(Checks.openSteps(new CleanStation().steps(profile, state)));
        holds.addAll(Checks.openSteps(new BondStation().steps(profile, state)));
        holds.addAll(Checks.openSteps(new TestStation().steps(profile, state)));
        holds.addAll(Checks.openSteps(before(profile, state)));
        return holds;
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof Fact.Sealed) {
            return state.sealedAt().isPresent()
                    ? List.of(Hold.firm("seal.done", Station.SEAL, "The front is already sealed"))
                    : holdsBeforeSealing(profile, state);
        }
        if (fact instanceof Fact.CoverRemoved f) {
            Checks.known(
                    "coverId",
                    f.coverId(),
                    profile.covers().stream().map(Cover::id).toList());
            // Once a liner is off the adhesive is spent: test first.
            return Checks.openSteps(new TestStation().steps(profile, state));
        }
        if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of("seal.dust", STRAIGHT));
        } else if (fact instanceof Fact.TimerStarted && state.sealedAt().isEmpty()) {
            return List.of(Hold.firm("seal.seal", Station.SEAL, "The front is not sealed yet"));
        }
        return List.of();
    }
}
