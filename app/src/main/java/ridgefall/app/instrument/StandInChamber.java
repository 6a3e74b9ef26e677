package ridgefall.app.instrument;

import ridgefall.core.prove.SealProof;

/**
 * The air round a watch in a tester's chamber: warm from being pressed in, it cools and its pressure falls with it, leak or no leak.
 *
 * @param leaks whether it gets into the watch through its seal besides
 */
record StandInChamber(boolean leaks) {
    private static final double AIR_KPA = 101.325;
    private static final double ZERO_C_K = 273.15;
    private static final double ROOM_C = 21.5;

    /** Warmer than the room right after it is filled. */
    private static final double PRESSED_K = 1.2;

    private static final double COOLS_S = 12;

    /** Five times what half a drop in half an hour would be, ml of air a second. */
    private static final double LEAK_ML_PER_S = 0.009;

    double celsius(double seconds) {
        return ROOM_C + PRESSED_K * Math.exp(-Math.max(0, seconds) / COOLS_S);
    }

    /** Over the air's. */
    double kPa(double seconds) {
        double moles = (SealProof.USUAL_KPA + AIR_KPA) / (ROOM_C + ZERO_C_K);
        double settled = moles * (celsius(seconds) + ZERO_C_K) - AIR_KPA;
        double gone = leaks ? LEAK_ML_PER_S * Math.max(0, seconds) * AIR_KPA / SealProof.USUAL_CHAMBER_ML : 0;
        return settled - gone;
    }
}
