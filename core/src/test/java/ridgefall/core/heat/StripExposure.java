package ridgefall.core.heat;

import java.util.Arrays;

/**
 * What the front faces: over the border piece by piece, over the strips inboard of it piece by piece, and over the middle: heat
 * transfer in W/(m²·K) and the temperature behind it, in K above the room. Air that is led along the outline meets the
 * frame's outer side as well.
 *
 * @param inboardWPerM2K by strip and piece, and {@code inboardRiseK} in the same way
 * @param sideWPerM2K of moving air at the frame's side; null where there is none
 */
record StripExposure(
        double[] borderWPerM2K,
        double[] borderRiseK,
        double[][] inboardWPerM2K,
        double[][] inboardRiseK,
        double centreWPerM2K,
        double centreRiseK,
        double[] sideWPerM2K,
        double sideRiseK) {
    static final double STILL_AIR_W_PER_M2K = 9;

    /** Strips that face what the middle faces; no air at the side. */
    StripExposure(double[] borderWPerM2K, double[] borderRiseK, double centreWPerM2K, double centreRiseK) {
        this(
                borderWPerM2K,
                borderRiseK,
                filled(borderWPerM2K.length, centreWPerM2K),
                filled(borderWPerM2K.length, centreRiseK),
                centreWPerM2K,
                centreRiseK,
                null,
                0);
    }

    private static double[][] filled(int pieces, double value) {
        double[][] filled = new double[StripNetwork.STRIPS][pieces];
        for (double[] strip : filled) {
            Arrays.fill(strip, value);
        }
        return filled;
    }

    /** Nothing but the air of the room. */
    static StripExposure stillAir(int pieces) {
        return uniform(pieces, STILL_AIR_W_PER_M2K, 0);
    }

    /** The same all over the front. */
    static StripExposure uniform(int pieces, double wPerM2K, double riseK) {
        double[] transfer = new double[pieces];
        Arrays.fill(transfer, wPerM2K);
        double[] rise = new double[pieces];
        Arrays.fill(rise, riseK);
        return new StripExposure(transfer, rise, wPerM2K, riseK);
    }

    /** The front as it is over a span of time; the same object means that nothing has changed. */
    interface Over {
        StripExposure between(double fromS, double toS);
    }
}
