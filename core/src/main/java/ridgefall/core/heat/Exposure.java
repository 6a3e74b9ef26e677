package ridgefall.core.heat;

import java.util.Arrays;

/**
 * What the front faces, piece by piece round the edge and over the middle: heat transfer in W/(m²·K) and the temperature
 * behind it, in K above the room.
 *
 * @param inboard what the strips inboard of the border face, and the frame's side; null where that is what the middle faces,
 *     and still air
 * @param glassBelowK air in a hand that reads the glass is held so far off that it stays below; infinite where nobody does
 */
record Exposure(
        double[] borderWPerM2K,
        double[] borderRiseK,
        double centreWPerM2K,
        double centreRiseK,
        Inboard inboard,
        double glassBelowK) {
    static final double STILL_AIR_W_PER_M2K = 9;

    /**
     * Air that is led along the outline meets the glass inboard of the border, and the frame's outer side as well.
     *
     * @param wPerM2K by strip and piece, and {@code riseK} in the same way
     * @param sideWPerM2K of moving air at the frame's side, by piece
     */
    record Inboard(double[][] wPerM2K, double[][] riseK, double[] sideWPerM2K, double sideRiseK) {}

    Exposure(double[] borderWPerM2K, double[] borderRiseK, double centreWPerM2K, double centreRiseK) {
        this(borderWPerM2K, borderRiseK, centreWPerM2K, centreRiseK, null);
    }

    Exposure(double[] borderWPerM2K, double[] borderRiseK, double centreWPerM2K, double centreRiseK, Inboard inboard) {
        this(borderWPerM2K, borderRiseK, centreWPerM2K, centreRiseK, inboard, Double.POSITIVE_INFINITY);
    }

    Exposure inHand(double belowK) {
        return new Exposure(borderWPerM2K, borderRiseK, centreWPerM2K, centreRiseK, inboard, belowK);
    }

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

    /** The same with so many times the rise behind it. */
    Exposure times(double rise) {
        return new Exposure(
                borderWPerM2K,
                times(borderRiseK, rise),
                centreWPerM2K,
                centreRiseK * rise,
                inboard == null
                        ? null
                        : new Inboard(
                                inboard.wPerM2K,
                                Arrays.stream(inboard.riseK)
                                        .map(strip -> times(strip, rise))
                                        .toArray(double[][]::new),
                                inboard.sideWPerM2K,
                                inboard.sideRiseK * rise),
                glassBelowK);
    }

    private static double[] times(double[] values, double factor) {
        return Arrays.stream(values).map(value -> value * factor).toArray();
    }

    double stripWPerM2K(int strip, int piece) {
        return inboard == null ? centreWPerM2K : inboard.wPerM2K[strip][piece];
    }

    double stripRiseK(int strip, int piece) {
        return inboard == null ? centreRiseK : inboard.riseK[strip][piece];
    }

    double sideWPerM2K(int piece) {
        return inboard == null ? 0 : inboard.sideWPerM2K[piece];
    }

    double sideRiseK() {
        return inboard == null ? 0 : inboard.sideRiseK;
    }

    /** Whether it takes as much to warm by it, whatever is behind it: known by the arrays themselves. */
    boolean transfersAs(Exposure other) {
        return other != null
                && borderWPerM2K == other.borderWPerM2K
                && centreWPerM2K == other.centreWPerM2K
                && (inboard == null
                        ? other.inboard == null
                        : other.inboard != null
                                && inboard.wPerM2K == other.inboard.wPerM2K
                                && inboard.sideWPerM2K == other.inboard.sideWPerM2K);
    }

    /** Whether it is the same but for how far off it is held: known by the arrays themselves. */
    boolean warmsAs(Exposure other) {
        return transfersAs(other)
                && borderRiseK == other.borderRiseK
                && centreRiseK == other.centreRiseK
                && (inboard == null || inboard == other.inboard);
    }

    /** The front as it is over a span of time; the same object means that nothing has changed. */
    interface Over {
        Exposure between(double fromS, double toS);
    }
}
