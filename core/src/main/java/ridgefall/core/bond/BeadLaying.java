package ridgefall.core.bond;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.TimerKind;

/** A bead waits for nobody: it is laid when all else is done, and the front sinks into it before it skins. */
public final class BeadLaying {
    public static final TimerKind SKINNING = new TimerKind("SKINNING", "Bead skins over");

    /** Once nobody can wipe it off without a blade. */
    public static final TimerKind WIPING = new TimerKind("WIPING", "Squeeze-out can still be wiped");

    public static final TimerKind CURING = new TimerKind("CURING", "Clamped until it has cured");

    static final String READY = "bond.bead-ready";
    public static final String LAID = "seal.bead";

    private BeadLaying() {}

    /** Whether this front is held by a bead that is laid at the last moment. */
    public static boolean of(JobState state) {
        return BondState.of(state)
                .held()
                .filter(held -> held.held() == HeldBy.BEAD)
                .isPresent();
    }

    /** At the bench before it: all at hand, tried dry. */
    static Step ready(JobState state, Bead bead) {
        return Checks.check(
                state,
                READY,
                "Syringe, " + bead.clamps() + " clamps, cloth and alcohol at hand; front tried dry",
                "solvent vapour: ventilate; the bead itself is laid at Seal, the last thing before the front",
                "All at hand");
    }

    /** @param closed whether the front sank into it: it may skin then */
    public static List<Step> laid(Bead bead, Optional<Supply.Glue> glue, JobState state, boolean closed, Instant now) {
        if (!of(state)) {
            return List.of();
        }
        Step step = Step.open(
                LAID,
                Station.SEAL,
                String.format(Locale.ROOT, "Bead all round, %.2f ml in {s:%d}", bead.ml(), bead.layingSeconds()),
                "{mm:" + Math.round(Bead.HAND_MM_PER_S) + "} a second, {mm:" + Bead.OFFSET_MM
                        + "} in from the edge, no gap but where nothing may lie; solvent vapour: ventilate",
                Step.go(
                        "Laid all round",
                        new BondFact.BeadLaid(
                                glue.map(Supply.Glue::id).orElse(null),
                                Math.max(0.01, Math.round(100 * bead.ml()) / 100.0),
                                WhatHolds.skinSeconds(glue))));
        return List.of(BondState.of(state)
                .bead()
                .map(it -> it.skinned(now) && !closed
                        ? step.problem("skinned over: no front sinks into it any more")
                                .leadingOn(lifted("Wiped off, to be laid anew", "it skinned over"))
                        : step.answered("laid"))
                .orElse(step));
    }

    private static Step.Choice lifted(String label, String suggestion) {
        return Step.fail(
                label, new BondFact.BeadLifted(suggestion), new Ask("reason", "Why", Ask.Kind.TEXT, null, suggestion));
    }

    public static List<Hold> holds(BondFact.BeadLaid fact, JobState state) {
        return of(state)
                ? List.of()
                : List.of(Hold.firm(BondStation.HELD, Station.BOND, "Something else was chosen to hold it"));
    }
}
