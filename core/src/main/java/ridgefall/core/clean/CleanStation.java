package ridgefall.core.clean;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.carry.GlassSplit;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

/** The step that decides whether the front stays down. */
public final class CleanStation implements StationRoom {
    public static final TimerKind DRYING = new TimerKind("DRYING", "Solvent drying");

    /** Alcohol on a bare metal ledge is gone well within this; common practice. */
    private static final int DRYING_S = 90;

    @Override
    public Station station() {
        return Station.CLEAN;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(List.of(
                Checks.check(
                        state,
                        "clean.bare",
                        profile.bonded() ? "Ledge bare of glue and glass" : "Gasket channel and clip seats bare",
                        (profile.bonded() ? "blade first, away from hand and cables; " : "brush, never a blade; ")
                                + "shards into the rigid bin",
                        "Bare"),
                Checks.check(
                        state,
                        "clean.wiped",
                        "Wiped with solvent",
                        "ventilate, no flame or heat; acetone never on plastic; keep off battery, camera, sensors",
                        "Wiped")));
        Step dry = Step.open(
                "clean.drying",
                Station.CLEAN,
                "Let it dry",
                null,
                Step.go("Start drying, {s:" + DRYING_S + "}", new JobFact.TimerStarted(DRYING, DRYING_S)));
        if (state.timer(DRYING).isPresent()) {
            dry = Step.open(
                            "clean.drying",
                            Station.CLEAN,
                            "Drying",
                            null,
                            Step.go("Dry", new JobFact.TimerStopped(DRYING)))
                    .waiting(state.timer(DRYING).get().seq());
        } else if (state.everTimed(DRYING)) {
            dry = dry.answered("dried");
        }
        steps.add(dry);
        GlassSplit.of(profile, state)
                .map(split -> Checks.check(
                        state,
                        "clean.panel",
                        "Old optical bond off the panel",
                        "rolled off with a thumb, the rest with remover on a cloth, never at its edge: it creeps in; then dust-free",
                        "Clear, no streak"))
                .ifPresent(steps::add);
        steps.add(Checks.check(
                state,
                "clean.flat",
                "Ledge flat, dry and shiny",
                "run a nail along it, corners too",
                "Flat and shiny"));
        // Nothing was glued where clips hold: there is no solvent and nothing to dry. What was done all the same stays
        // told.
        return profile.bonded()
                ? steps
                : steps.stream()
                        .filter(step -> step.id().equals("clean.bare") || step.answer() != null)
                        .toList();
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(DRYING);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    steps(profile, state).stream().map(Step::id).toList());
        }
        List<Hold> holds = new ArrayList<>();
        StripState.stillIn(profile, state).stream()
                .findFirst()
                .map(plug -> Hold.firm(StripStation.stepOf(plug), Station.STRIP, "The old front is still on its plugs"))
                .ifPresent(holds::add);
        return holds;
    }
}
