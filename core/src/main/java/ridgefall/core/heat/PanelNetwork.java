package ridgefall.core.heat;

import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * What a {@link PanelRing} is made of: cells that hold heat, J/K, and what joins them, W/K. Columns of the border cell by cell,
 * outermost first, each cell for all pieces ({@code cell * pieces + piece}); the frame piece by piece, and the part of the back
 * behind each; the strips inboard of the border, from which the panel's edge is known, in the same way; the centre column.
 *
 * <p>A strip is made of what the centre is made of, in fewer cells: glass, the panel's front half, its back half. So where all of
 * the front faces the same, strips and centre are as warm as each other, and the ring is the two-column model again.
 */
final class PanelNetwork extends RingNetwork {
    /** Strips inboard of the border, and the cells of each. */
    static final int STRIPS = 2;

    static final int STRIP = 3;
    static final int INBOARD = STRIPS * STRIP;
    /** How wide they are, mm; and how much of the way to the middle at most. */
    private static final double[] STRIP_MM = {7, 15};

    private static final double[] STRIP_SHARE = {0.25, 0.35};
    /** From the middle of the last strip to that of what is left, mm. */
    private static final double ON_MM = 15;

    /** What of the centre the pieces are tied to: its glass, the panel's halves, the battery's first cell, the back. */
    static final int GROUPS = 5;

    final double[] backJPerK;
    final double[] backLossWPerK;
    final double[] backAlongWPerK;
    /** From a piece's part of the back into the middle of it. */
    final double[] backInwardsWPerK;
    /** Middles of the strips from the outline, mm; and how far in the last goes. */
    final double[] stripMm = new double[STRIPS];

    final double[] stripWideMm = new double[STRIPS];
    final double stripsToMm;
    /** By strip and piece. */
    final double[][] stripM2 = new double[STRIPS][];
    /** By cell of the strips and piece. */
    final double[] stripJPerK;

    final double stripHalfM2KPerW;
    /** Through the depth of a strip, W/(m²·K): glass to front half, and to the back half. */
    final double[] stripDownWPerM2K = new double[STRIP - 1];
    /** Glass and panel along the face, W/K for a square of it. */
    final double glassSquareWPerK;

    final double halfPanelSquareWPerK;
    /** From the border's middle to the first strip's, between the strips, and on to the centre, by which lengths conduct, mm. */
    final double[] apartMm = new double[STRIPS + 1];
    /** From the back half of a strip, W/(m²·K). */
    final double toBatteryWPerM2K;

    final double toBackWPerM2K;
    final double centreM2;

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    PanelNetwork(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        super(stack, lengthMm, ledgeMm, finShare);
        int n = pieces;
        Sheet glass = stack.glass();
        backJPerK = new double[n];
        backLossWPerK = new double[n];
        backAlongWPerK = new double[n];
        backInwardsWPerK = new double[n];
        stripJPerK = new double[INBOARD * n];
        double toMiddle = insideM2 / stack.perimeterM() * 1e3 * 2;
        double at = stack.ledgeWidthMm();
        double stripped = 0;
        apartMm[0] = at / 2;
        for (int s = 0; s < STRIPS; s++) {
            double wide = Math.min(STRIP_MM[s], STRIP_SHARE[s] * toMiddle / 2);
            stripWideMm[s] = wide;
            stripMm[s] = at + wide / 2;
            apartMm[s] += wide / 2;
            apartMm[s + 1] = wide / 2;
            at += wide;
            // The face narrows inwards.
            double narrower = Math.max(0.2, 1 - stripMm[s] / toMiddle);
            stripM2[s] = new double[n];
            for (int i = 0; i < n; i++) {
                stripM2[s][i] = wide / 1e3 * lengthM[i] * narrower;
                stripped += stripM2[s][i];
            }
        }
        stripsToMm = at;
        apartMm[STRIPS] += Math.min(ON_MM, toMiddle / 4);
        centreM2 = insideM2 - stripped;
        stripHalfM2KPerW = halfCell(glass, 1);
        double between = stack.fused() ? 2 * halfCell(stack.opticalAdhesive(), 1) : airGap(stack.frontGapMm());
        double quarter = halfCell(stack.display(), 2);
        stripDownWPerM2K[0] = 1 / (halfCell(glass, 1) + between + quarter);
        stripDownWPerM2K[1] = 1 / (2 * quarter);
        double overBatteryShare = Math.min(1, stack.batteryShare() * insideM2 / centreM2);
        // What of the battery has no room under the middle lies under the strips.
        double under = (stack.batteryShare() * insideM2 - overBatteryShare * centreM2) / stripped;
        toBatteryWPerM2K = under / (quarter + airGap(stack.gapMm()) + halfCell(stack.battery(), BATTERY));
        toBackWPerM2K = (1 - under) / (quarter + 1 / stack.displayToBackWPerM2K());
        glassSquareWPerK = glass.conductivityWPerMK() * glass.thicknessM();
        halfPanelSquareWPerK =
                stack.display().conductivityWPerMK() * stack.display().thicknessM() / 2;
        double optical = stack.fused()
                ? stack.opticalAdhesive().heatCapacityJPerM3K()
                        * stack.opticalAdhesive().thicknessM()
                : 0;
        for (int s = 0; s < STRIPS; s++) {
            for (int i = 0; i < n; i++) {
                double m2 = stripM2[s][i];
                stripJPerK[s * STRIP * n + i] = cellJPerK(glass, 1, m2) + optical / 2 * m2;
                stripJPerK[(s * STRIP + 1) * n + i] = cellJPerK(stack.display(), 2, m2) + optical / 2 * m2;
                stripJPerK[(s * STRIP + 2) * n + i] = cellJPerK(stack.display(), 2, m2);
            }
        }
        front(centreM2, overBatteryShare * centreM2, stack.batteryShare() * insideM2);
        back();
    }

    /** It is a plate: behind border and strips each piece has its own part, behind the middle it is one. */
    private void back() {
        int back = centreCells - 1;
        double backJPerM2K = (1 - stack.rimShare()) * bodyJPerK / stack.areaM2();
        double plateSquareWPerK =
                stack.ledge().conductivityWPerMK() * backJPerM2K / stack.ledge().heatCapacityJPerM3K();
        centreJPerK[back] = backJPerM2K * centreM2;
        centreWPerK[back][back] += Exposure.STILL_AIR_W_PER_M2K * centreM2;
        for (int i = 0; i < pieces; i++) {
            double m2 = faceM2[i] + stripM2[0][i] + stripM2[1][i];
            rimToBackWPerK[i] = 1 / (1 / rimToBackWPerK[i] + stripsToMm / 2e3 / plateSquareWPerK / lengthM[i]);
            backJPerK[i] = backJPerM2K * m2;
            backLossWPerK[i] = Exposure.STILL_AIR_W_PER_M2K * m2;
            backAlongWPerK[i] = plateSquareWPerK * stripsToMm / 1e3 / ((lengthM[i] + lengthM[(i + 1) % pieces]) / 2);
            backInwardsWPerK[i] = plateSquareWPerK
                    * (stripM2[STRIPS - 1][i] / (stripWideMm[STRIPS - 1] / 1e3))
                    / ((stripsToMm / 2 + apartMm[STRIPS] - stripWideMm[STRIPS - 1] / 2) / 1e3);
        }
    }

    /** From a face into the glass of a strip. */
    double facingStrip(double wPerM2K, double areaM2) {
        return areaM2 / (1 / wPerM2K + stripHalfM2KPerW);
    }

    /**
     * The glass between the border and the strip beside it: a fin of what that faces, or the way from middle to middle where
     * that conducts better.
     */
    double borderTieWPerK(int piece, double stripWPerM2K) {
        double fin = Math.sqrt(glassSquareWPerK * Math.max(stripWPerM2K, Exposure.STILL_AIR_W_PER_M2K));
        return finShare[piece] * lengthM[piece] * Math.max(fin, glassSquareWPerK / (apartMm[0] / 1e3));
    }

    /** From one strip to the next, or from the last to the centre, along a layer. */
    double onwardWPerK(int strip, int piece, double squareWPerK) {
        double narrowM = stripM2[strip][piece] / (stripWideMm[strip] / 1e3);
        return squareWPerK * narrowM / (apartMm[strip + 1] / 1e3);
    }

    /** Of which cells of the centre a group is, each alike; the first, and how many. */
    int groupFrom(int group) {
        return switch (group) {
            case 0 -> 0;
            case 1 -> displayFrom;
            case 2 -> displayFrom + DISPLAY / 2;
            case 3 -> batteryFrom;
            default -> centreCells - 1;
        };
    }

    static int groupCells(int group) {
        return switch (group) {
            case 0 -> GLASS;
            case 1, 2 -> DISPLAY / 2;
            default -> 1;
        };
    }
}
