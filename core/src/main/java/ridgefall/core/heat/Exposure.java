package ridgefall.core.heat;

import java.util.Arrays;

/**
 * What the front faces, piece by piece round the edge and over the middle: heat transfer in W/(m²·K) and the temperature
 * behind it, in K above the room.
 */
record Exposure(double[] borderWPerM2K, double[] borderRiseK, double centreWPerM2K, double centreRiseK) {
    static final double STILL_AIR_W_PER_M2K = 9;

    /** Nothing but the air of the room. */
    static Exposure stillAir(int pieces) {
        return uniform(pieces, STILL_AIR_W_PER_M2K, 0);
    }

    /** The same all over the front. */
    static Exposure uniform(int pieces, double wPerM2K, double riseK) {
        double[] transfer = new double[pieces];
        Arrays.fill(transfer, wPerM2K);
        double[] rise = new double[pieces];
        Arrays.fill(rise, riseK);
        return new Exposure(transfer, rise, wPerM2K, riseK);
    }

    /** The front as it is over a span of time; the same object means that nothing has changed. */
    interface Over {
        Exposure between(double fromS, double toS);
    }
}
