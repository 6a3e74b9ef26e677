package ridgefall.core.heat;

import ridgefall.core.heat.ThermalNetwork.Builder;
import ridgefall.core.heat.ThermalNetwork.Cells;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/** The ring of a fused device written down node by node for a general solver, straight from its description. */
final class DensePanelRing {
    private static final int CENTRE = 4 + 2 + 6 + 8;
    private static final int PIECE = 13 + 6;

    private DensePanelRing() {}

    static ThermalNetwork of(HeatStack stack, double[] lengthMm, double[] ledgeMm, Exposure exposure) {
        Builder b = new Builder();
        int n = lengthMm.length;
        double perimeter = stack.perimeterM();
        double[] area = new double[n];
        double border = 0;
        for (int i = 0; i < n; i++) {
            area[i] =
                    stack.borderAreaM2() * (ledgeMm[i] * lengthMm[i] / 1e6) / (stack.ledgeWidthMm() / 1e3 * perimeter);
            border += area[i];
        }
        double inside = stack.areaM2() - border;
        // Two strips of 7 and 15 mm beside a ledge of 3, narrowing towards the middle.
        double toMiddle = 2 * inside / perimeter;
        double[] wide = {0.007, 0.015};
        double[] inwards = {0.003 + 0.0035, 0.003 + 0.007 + 0.0075};
        double[] apart = {0.0015 + 0.0035, 0.0035 + 0.0075, 0.0075 + 0.015};
        double centre = inside;
        for (int s = 0; s < 2; s++) {
            centre -= wide[s] * (1 - inwards[s] / toMiddle) * perimeter;
        }
        double batteryArea = stack.batteryShare() * inside;
        // All of it under the middle.
        double over = batteryArea;
        Cells glass = cells(b, 4, stack.glass(), centre);
        Cells optical = cells(b, 2, stack.opticalAdhesive(), centre);
        Cells display = cells(b, 6, stack.display(), centre);
        Cells battery = cells(b, 8, stack.battery(), batteryArea);
        b.join(glass, optical, centre, 0);
        b.join(optical, display, centre, 0);
        double halfBattery = stack.battery().thicknessM() / 16 / stack.battery().conductivityWPerMK();
        double gap = 1 / (0.027 / (stack.gapMm() / 1e3) + 5);
        b.link(display.last(), battery.first(), over / (display.halfCellM2KPerW() + gap + halfBattery));
        double body = stack.bodyKg() * stack.bodyJPerKgK();
        double backJ = (1 - stack.rimShare()) * body / stack.areaM2();
        int back = b.node(backJ * centre);
        b.link(battery.last(), back, batteryArea / (battery.halfCellM2KPerW() + 1 / stack.batteryToBackWPerM2K()));
        b.link(display.last(), back, (centre - over) / (display.halfCellM2KPerW() + 1 / stack.displayToBackWPerM2K()));
        b.surround(back, 9 * centre, 0);
        b.surround(glass.first(), glass, centre, exposure.centreWPerM2K(), exposure.centreRiseK());

        Sheet ledge = stack.ledge();
        double ledgeJPerK = ledge.heatCapacityJPerM3K() * ledge.thicknessM() * border;
        double rimJPerK = stack.rimShare() * body - ledgeJPerK;
        double section = (rimJPerK + ledgeJPerK) / perimeter / ledge.heatCapacityJPerM3K();
        Sheet face = stack.glass();
        double square = face.conductivityWPerMK() * face.thicknessM();
        double halfPanel =
                stack.display().conductivityWPerMK() * stack.display().thicknessM() / 2;
        double opticalM2KPerW =
                stack.opticalAdhesive().thicknessM() / stack.opticalAdhesive().conductivityWPerMK();
        double opticalJ = stack.opticalAdhesive().heatCapacityJPerM3K()
                * stack.opticalAdhesive().thicknessM()
                / 2;
        double quarter = stack.display().thicknessM() / 4 / stack.display().conductivityWPerMK();
        double fin = Math.max(Math.sqrt(square * Math.max(exposure.centreWPerM2K(), 9)), square / apart[0]);
        int[] rims = new int[n];
        int[] backs = new int[n];
        double plate = ledge.conductivityWPerMK() * backJ / ledge.heatCapacityJPerM3K();
        for (int i = 0; i < n; i++) {
            double length = lengthMm[i] / 1e3;
            Cells g = cells(b, 4, stack.glass(), area[i]);
            Cells a = cells(b, 4, stack.adhesive(), area[i]);
            Cells l = cells(b, 3, ledge, area[i]);
            double share = length / perimeter;
            rims[i] = b.node(rimJPerK * share);
            double outer =
                    area[i] + length * (wide[0] * (1 - inwards[0] / toMiddle) + wide[1] * (1 - inwards[1] / toMiddle));
            backs[i] = b.node(backJ * outer);
            b.surround(backs[i], 9 * outer, 0);
            b.link(backs[i], back, plate * length * (1 - inwards[1] / toMiddle) / (0.0125 + 0.015));
            b.join(g, a, area[i], 0);
            b.join(a, l, area[i], 0);
            double across = ledgeMm[i] / 2e3 / (ledge.conductivityWPerMK() * ledge.thicknessM() * length);
            b.link(l.last(), rims[i], 1 / (l.halfCellM2KPerW() / area[i] + across));
            b.link(rims[i], backs[i], length / (1 / stack.rimToBackWPerMK() + 0.0125 / plate));
            b.surround(rims[i], 9 * length * stack.thicknessMm() / 1e3, 0);
            b.surround(g.first(), g, area[i], exposure.borderWPerM2K()[i], exposure.borderRiseK()[i]);
            int[][] strips = new int[2][3];
            for (int s = 0; s < 2; s++) {
                double m2 = wide[s] * length * (1 - inwards[s] / toMiddle);
                double panelJ =
                        stack.display().heatCapacityJPerM3K() * stack.display().thicknessM() / 2;
                strips[s][0] = b.node(m2 * (face.heatCapacityJPerM3K() * face.thicknessM() + opticalJ));
                strips[s][1] = b.node(m2 * (panelJ + opticalJ));
                strips[s][2] = b.node(m2 * panelJ);
                double halfGlass = face.thicknessM() / 2 / face.conductivityWPerMK();
                b.link(strips[s][0], strips[s][1], m2 / (halfGlass + opticalM2KPerW + quarter));
                b.link(strips[s][1], strips[s][2], m2 / (2 * quarter));
                b.link(strips[s][2], backs[i], m2 / (quarter + 1 / stack.displayToBackWPerM2K()));
                b.surround(strips[s][0], m2 / (1 / exposure.centreWPerM2K() + halfGlass), exposure.centreRiseK());
            }
            for (int k = 0; k < 4; k++) {
                b.link(g.first() + k, strips[0][0], fin * length / 4);
            }
            double between = length * (1 - inwards[0] / toMiddle) / apart[1];
            double onward = length * (1 - inwards[1] / toMiddle) / apart[2];
            b.link(strips[0][0], strips[1][0], square * between);
            for (int k = 1; k < 3; k++) {
                b.link(strips[0][k], strips[1][k], halfPanel * between);
            }
            for (int k = 0; k < 4; k++) {
                b.link(strips[1][0], glass.first() + k, square * onward / 4);
            }
            for (int k = 0; k < 6; k++) {
                b.link(strips[1][k < 3 ? 1 : 2], display.first() + k, halfPanel * onward / 3);
            }
        }
        for (int i = 0; i < n; i++) {
            double along = (lengthMm[i] + lengthMm[(i + 1) % n]) / 2e3;
            b.link(rims[i], rims[(i + 1) % n], ledge.conductivityWPerMK() * section / along);
            b.link(backs[i], backs[(i + 1) % n], plate * 0.025 / along);
        }
        return b.build();
    }

    private static Cells cells(Builder b, int count, Sheet sheet, double areaM2) {
        return b.cells(count, sheet.thicknessM(), sheet.conductivityWPerMK(), sheet.heatCapacityJPerM3K(), areaM2);
    }

    /** The nodes in the order of the ring's state: column cells for all pieces, frames, backs, strips, then the centre. */
    static double[] asRingState(double[] nodes, int pieces) {
        double[] state = new double[nodes.length];
        for (int i = 0; i < pieces; i++) {
            for (int k = 0; k < PIECE; k++) {
                state[k * pieces + i] = nodes[CENTRE + 1 + i * PIECE + k];
            }
        }
        System.arraycopy(nodes, 0, state, PIECE * pieces, CENTRE + 1);
        return state;
    }
}
