package ridgefall.app.instrument;

import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.profile.ProfileDocument.Kind;

/**
 * A charger, its cable and the device on it. Whoever said at intake that it charges weakly has a contact that is not home: until it is
 * reseated, it starts over and over. One that was brought in for getting hot does so on the charger too.
 *
 * @param usualA what it draws once it has begun; 0 for no device
 */
record StandInCharge(double usualA, boolean contactLoose, boolean getsHot) {
    static final StandInCharge NONE = new StandInCharge(0, false, false);

    private static final double SUPPLY_V = 5.12;
    private static final double CABLE_OHM = 0.08;
    private static final double TABLET_A = 1.6;
    private static final double WATCH_A = 0.22;

    /** Warmer than the room in the end: a cell that takes its charge well, and one that does not. */
    private static final double WARM_K = 6;

    private static final double HOT_K = 40;
    private static final double WARMS_S = 40;

    /** So often it falls off while its contact is loose, s. */
    private static final double FALLS_EVERY_S = 9;

    static StandInCharge of(Course course) {
        boolean watch = course.profile().document().kind() == Kind.WATCH;
        String fault = IntakeState.of(course.state()).opened().fault();
        boolean weak = fault.contains("weak charge");
        boolean reseated = course.journal().stream()
                .anyMatch(entry -> entry.fact() instanceof FaultChecked checked
                        && checked.faultCheckId().equals("reseat"));
        return new StandInCharge(watch ? WATCH_A : TABLET_A, weak && !reseated, fault.contains("gets hot"));
    }

    double amps(double seconds) {
        if (contactLoose && seconds % FALLS_EVERY_S > FALLS_EVERY_S * 0.6) {
            return 0;
        }
        // It wakes, its board first, its screen, then its cell takes what it can.
        double share = seconds < 4 ? 0.12 : seconds < 9 ? 0.5 : seconds < 13 ? 0.3 : seconds < 20 ? 0.8 : 1;
        return usualA * (contactLoose ? 0.4 : share);
    }

    double volts(double seconds) {
        return SUPPLY_V - CABLE_OHM * amps(seconds);
    }

    /** Of its back, over its cell. */
    double celsius(double seconds) {
        double warmer = usualA == 0 ? 0 : getsHot ? HOT_K : WARM_K;
        return HeatQuestion.USUAL_ROOM_C + warmer * (1 - Math.exp(-Math.max(0, seconds) / WARMS_S));
    }
}
