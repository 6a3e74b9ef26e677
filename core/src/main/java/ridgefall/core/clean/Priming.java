package ridgefall.core.clean;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import ridgefall.core.clean.CleanState.Primer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Timer;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.LedgeMaterial;

/** Grip for tape where the ledge alone gives too little: whether, where not, when it is dry and until when it is good. */
public final class Priming {
    public static final TimerKind DRYING = new TimerKind("PRIMER_DRYING", "Primer drying");
    public static final TimerKind OPEN = new TimerKind(Checks.OPEN_TIME, "Tape on the primer");

    static final String ID = "clean.primer";

    /** What is primed and not taped by then is primed again; common to primers of tape. */
    static final int OPEN_S = 3600;

    /** A brush this close to a lens runs onto it. */
    private static final int LENS_MM = 5;

    private Priming() {}

    static Step step(DeviceProfile profile, JobState state, LedgeMap map, PrimerSchool school, Instant now) {
        CleanState clean = CleanState.of(state);
        boolean needed = LedgeMap.wantsPrimer(profile, map);
        boolean wanted = school == PrimerSchool.ALWAYS || needed && school != PrimerSchool.NEVER;
        Step step = Step.open(
                ID,
                Station.CLEAN,
                "Primer on the ledge",
                hint(profile, map, needed) + house(school, needed),
                Step.go(
                        "Primed",
                        new CleanFact.Primed(FrameSolvent.ALCOHOL.readyAfterSeconds(CleanStation.roomC(state)))),
                Step.other("Without primer", new CleanFact.LeftUnprimed()));
        return clean.primer()
                .map(laid -> laid(laid, state.timer(DRYING), step, now))
                .orElse(clean.unprimed() ? step.answered("without") : wanted ? step : step.asOptional());
    }

    private static Step laid(Primer laid, Optional<Timer> drying, Step step, Instant now) {
        if (drying.isPresent() && !laid.covered()) {
            return Step.open(
                            ID,
                            Station.CLEAN,
                            "Primer dries",
                            "nothing touches it; then it is taped within {s:" + OPEN_S + "}",
                            Step.go(
                                    "Dry",
                                    new CleanFact.PrimerDry(
                                            OPEN_S - drying.get().seconds(), laid.openUntil())))
                    .waiting(drying.get().seq());
        }
        return !laid.covered() && now.isAfter(laid.openUntil())
                ? step.titled("Primer's open time is over: prime again")
                : step.answered("primed");
    }

    /** Where the house does otherwise than this ledge asks for. */
    private static String house(PrimerSchool school, boolean needed) {
        return school == PrimerSchool.ALWAYS && !needed
                ? "; this house primes all the same"
                : school == PrimerSchool.NEVER && needed ? "; this house does without" : "";
    }

    private static String hint(DeviceProfile profile, LedgeMap map, boolean wanted) {
        String lens = map.keepOffs().stream()
                .filter(LedgeMap.KeepOff::lens)
                .map(LedgeMap.KeepOff::words)
                .findFirst()
                .map(words -> "; never on a lens: stop {mm:" + LENS_MM + "} short of it (" + words + ")")
                .orElse("");
        LedgeMaterial material = profile.document().seat().material();
        String why = wanted
                ? material == LedgeMaterial.PLASTIC || material == LedgeMaterial.PAINTED_METAL
                        ? "tape takes badly to " + material.words() + ": thin, with a brush"
                        : "the ledge is only {mm:" + map.usualMm() + "} wide: thin, with a brush"
                : "a metal ledge {mm:" + map.usualMm() + "} wide holds without";
        return why + lens;
    }

    /** Primer that is wet or has aged holds what would lie on it. */
    static List<Hold> bars(Fact later, JobState state, Instant now) {
        Optional<Primer> primer = CleanState.of(state)
                .primer()
                .filter(laid -> Checks.laidOnFrame(later) || Checks.meetsLedge(later) && !laid.covered());
        if (primer.isEmpty()) {
            return List.of();
        }
        if (state.timer(DRYING).isPresent() && now.isBefore(primer.get().readyAt())) {
            return List.of(Hold.firm(ID, Station.CLEAN, "The primer is still wet"));
        }
        return now.isAfter(primer.get().openUntil())
                ? List.of(Hold.firm(ID, Station.CLEAN, "The primer's open time is over: prime again"))
                : List.of();
    }
}
