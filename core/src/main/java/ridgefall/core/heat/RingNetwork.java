package ridgefall.core.heat;

import java.util.Arrays;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * What every ring is made of: cells that hold heat, J/K, and what joins them, W/K. Columns of the border cell by cell, outermost
 * first, each cell for all pieces ({@code cell * pieces + piece}); the frame piece by piece; the centre column with the back
 * last.
 */
abstract sealed class RingNetwork permits FaceNetwork, PanelNetwork {
    static final double AIR_W_PER_MK = 0.027;
    static final double RADIATION_W_PER_M2K = 5;

    static final int GLASS = 4;
    static final int BOND = 4;
    static final int LEDGE = 3;
    static final int COLUMN = GLASS + BOND + LEDGE;
    static final int OPTICAL = 2;
    static final int DISPLAY = 6;
    static final int BATTERY = 8;

    final HeatStack stack;
    final int pieces;
    final double[] faceM2;
    final double[] lengthM;
    final double[] finShare;
    final double glassHalfM2KPerW;
    final double[] columnJPerK;
    final double[] columnWPerK;
    final double[] rimJPerK;
    final double[] ledgeToRimWPerK;
    final double[] rimToBackWPerK;
    final double[] rimLossWPerK;
    final double[] alongWPerK;
    /** Of the frame's outer side. */
    final double[] sideM2;

    final double bodyJPerK;
    /** All of the front that is not border. */
    final double insideM2;

    final int centreCells;
    final int displayFrom;
    final int batteryFrom;
    final double[] centreJPerK;
    final double[][] centreWPerK;

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    RingNetwork(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        if (lengthMm.length < 3 || lengthMm.length != ledgeMm.length) {
            throw new IllegalArgumentException(lengthMm.length + " lengths, " + ledgeMm.length + " ledges");
        }
        this.stack = stack;
        this.pieces = lengthMm.length;
        this.finShare = finShare;
        int n = pieces;
        faceM2 = new double[n];
        lengthM = new double[n];
        rimJPerK = new double[n];
        ledgeToRimWPerK = new double[n];
        rimToBackWPerK = new double[n];
        rimLossWPerK = new double[n];
        alongWPerK = new double[n];
        sideM2 = new double[n];
        columnJPerK = new double[COLUMN * n];
        columnWPerK = new double[(COLUMN - 1) * n];
        Sheet glass = stack.glass();
        Sheet ledge = stack.ledge();
        glassHalfM2KPerW = halfCell(glass, GLASS);
        double perimeter = stack.perimeterM();
        double meanLedgeM2 = stack.ledgeWidthMm() / 1e3 * perimeter;
        double border = 0;
        for (int i = 0; i < n; i++) {
            lengthM[i] = lengthMm[i] / 1e3;
            faceM2[i] = stack.borderAreaM2() * ledgeMm[i] / 1e3 * lengthM[i] / meanLedgeM2;
            border += faceM2[i];
        }
        bodyJPerK = stack.bodyKg() * stack.bodyJPerKgK();
        double ledgeJPerK = ledge.heatCapacityJPerM3K() * ledge.thicknessM() * border;
        // A light plastic body can have less to give to the frame than the ledge alone holds.
        double rim = Math.max(0.05 * bodyJPerK, stack.rimShare() * bodyJPerK - ledgeJPerK);
        double frameSectionM2 = (rim + ledgeJPerK) / perimeter / ledge.heatCapacityJPerM3K();
        for (int i = 0; i < n; i++) {
            column(i, glass, stack.adhesive(), ledge);
            double share = lengthM[i] / perimeter;
            rimJPerK[i] = rim * share;
            // The last half cell of the ledge counts: on metal nobody sees it, on plastic everybody does.
            double across = ledgeMm[i] / 1e3 / 2 / (ledge.conductivityWPerMK() * ledge.thicknessM() * lengthM[i]);
            ledgeToRimWPerK[i] = 1 / (halfCell(ledge, LEDGE) / faceM2[i] + across);
            rimToBackWPerK[i] = stack.rimToBackWPerMK() * lengthM[i];
            sideM2[i] = lengthM[i] * stack.thicknessMm() / 1e3;
            rimLossWPerK[i] = Exposure.STILL_AIR_W_PER_M2K * sideM2[i];
            double apart = (lengthM[i] + lengthMm[(i + 1) % n] / 1e3) / 2;
            alongWPerK[i] = ledge.conductivityWPerMK() * frameSectionM2 / apart;
        }
        insideM2 = stack.areaM2() - border;
        displayFrom = GLASS + (stack.fused() ? OPTICAL : 0);
        batteryFrom = displayFrom + DISPLAY;
        centreCells = batteryFrom + BATTERY + 1;
        centreJPerK = new double[centreCells];
        centreWPerK = new double[centreCells][centreCells];
    }

    private void column(int i, Sheet... layers) {
        int[] counts = {GLASS, BOND, LEDGE};
        int cell = 0;
        double before = 0;
        for (int layer = 0; layer < layers.length; layer++) {
            double half = halfCell(layers[layer], counts[layer]);
            for (int k = 0; k < counts[layer]; k++, cell++) {
                columnJPerK[cell * pieces + i] = cellJPerK(layers[layer], counts[layer], faceM2[i]);
                if (cell > 0) {
                    columnWPerK[(cell - 1) * pieces + i] = faceM2[i] / (before + half);
                }
                before = half;
            }
        }
    }

    /**
     * The centre from its glass to its battery, and how both sides of that know the back.
     *
     * @param overBatteryM2 of it over the battery
     */
    final void front(double centreM2, double overBatteryM2, double batteryM2) {
        cells(0, GLASS, stack.glass(), centreM2);
        double toDisplay = halfCell(stack.display(), DISPLAY);
        if (stack.fused()) {
            cells(GLASS, OPTICAL, stack.opticalAdhesive(), centreM2);
            double optical = halfCell(stack.opticalAdhesive(), OPTICAL);
            link(GLASS - 1, GLASS, centreM2 / (glassHalfM2KPerW + optical));
            link(displayFrom - 1, displayFrom, centreM2 / (optical + toDisplay));
        } else {
            link(GLASS - 1, GLASS, centreM2 / (glassHalfM2KPerW + airGap(stack.frontGapMm()) + toDisplay));
        }
        cells(displayFrom, DISPLAY, stack.display(), centreM2);
        cells(batteryFrom, BATTERY, stack.battery(), batteryM2);
        double battery = halfCell(stack.battery(), BATTERY);
        link(batteryFrom - 1, batteryFrom, overBatteryM2 / (toDisplay + airGap(stack.gapMm()) + battery));
        int back = centreCells - 1;
        link(back - 1, back, batteryM2 / (battery + 1 / stack.batteryToBackWPerM2K()));
        link(batteryFrom - 1, back, (centreM2 - overBatteryM2) / (toDisplay + 1 / stack.displayToBackWPerM2K()));
    }

    private void cells(int from, int count, Sheet sheet, double areaM2) {
        for (int k = 0; k < count; k++) {
            centreJPerK[from + k] = cellJPerK(sheet, count, areaM2);
            if (k > 0) {
                link(from + k - 1, from + k, areaM2 * sheet.conductivityWPerMK() / (sheet.thicknessM() / count));
            }
        }
    }

    private void link(int a, int b, double wPerK) {
        centreWPerK[a][a] += wPerK;
        centreWPerK[b][b] += wPerK;
        centreWPerK[a][b] -= wPerK;
        centreWPerK[b][a] -= wPerK;
    }

    static double cellJPerK(Sheet sheet, int count, double areaM2) {
        return sheet.heatCapacityJPerM3K() * sheet.thicknessM() / count * areaM2;
    }

    static double halfCell(Sheet sheet, int count) {
        return sheet.thicknessM() / count / 2 / sheet.conductivityWPerMK();
    }

    static double airGap(double gapMm) {
        return 1 / (AIR_W_PER_MK / (gapMm / 1e3) + RADIATION_W_PER_M2K);
    }

    static double sum(double[] values) {
        return Arrays.stream(values).sum();
    }

    final double facing(double wPerM2K, double areaM2) {
        return areaM2 / (1 / wPerM2K + glassHalfM2KPerW);
    }
}
