package ridgefall.core.heat;

import ridgefall.core.heat.ThermalNetwork.Builder;
import ridgefall.core.heat.ThermalNetwork.Cells;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/** The ring of a fused device written down node by node for a general solver, straight from its description. */
final class DenseRing {
    private static final int CENTRE = 4 + 2 + 6 + 8;

    private DenseRing() {}

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
        double centre = stack.areaM2() - border;
        double batteryArea = stack.batteryShare() * centre;
        Cells glass = cells(b, 4, stack.glass(), centre);
        Cells optical = cells(b, 2, stack.opticalAdhesive(), centre);
        Cells display = cells(b, 6, stack.display(), centre);
        Cells battery = cells(b, 8, stack.battery(), batteryArea);
        b.join(glass, optical, centre, 0);
        b.join(optical, display, centre, 0);
        b.join(display, battery, batteryArea, 1 / (0.027 / (stack.gapMm() / 1e3) + 5));
        double body = stack.bodyKg() * stack.bodyJPerKgK();
        int back = b.node((1 - stack.rimShare()) * body);
        b.link(battery.last(), back, batteryArea / (battery.halfCellM2KPerW() + 1 / stack.batteryToBackWPerM2K()));
        b.link(
                display.last(),
                back,
                (centre - batteryArea) / (display.halfCellM2KPerW() + 1 / stack.displayToBackWPerM2K()));
        b.surround(back, 9 * stack.areaM2(), 0);
        b.surround(glass.first(), glass, centre, exposure.centreWPerM2K(), exposure.centreRiseK());

        Sheet ledge = stack.ledge();
        double ledgeJPerK = ledge.heatCapacityJPerM3K() * ledge.thicknessM() * border;
        double rimJPerK = stack.rimShare() * body - ledgeJPerK;
        double section = (rimJPerK + ledgeJPerK) / perimeter / ledge.heatCapacityJPerM3K();
        double fin = Math.sqrt(stack.glass().conductivityWPerMK()
                * stack.glass().thicknessM()
                * Math.max(exposure.centreWPerM2K(), 9));
        int[] rims = new int[n];
        for (int i = 0; i < n; i++) {
            double length = lengthMm[i] / 1e3;
            Cells g = cells(b, 4, stack.glass(), area[i]);
            Cells a = cells(b, 4, stack.adhesive(), area[i]);
            Cells l = cells(b, 3, ledge, area[i]);
            rims[i] = b.node(rimJPerK * length / perimeter);
            b.join(g, a, area[i], 0);
            b.join(a, l, area[i], 0);
            double across = ledgeMm[i] / 2e3 / (ledge.conductivityWPerMK() * ledge.thicknessM() * length);
            b.link(l.last(), rims[i], 1 / (l.halfCellM2KPerW() / area[i] + across));
            b.link(rims[i], back, stack.rimToBackWPerMK() * length);
            b.surround(rims[i], 9 * length * stack.thicknessMm() / 1e3, 0);
            b.surround(g.first(), g, area[i], exposure.borderWPerM2K()[i], exposure.borderRiseK()[i]);
            for (int k = 0; k < 4; k++) {
                b.link(g.first() + k, glass.first() + k, fin * length / 4);
            }
        }
        for (int i = 0; i < n; i++) {
            double apart = (lengthMm[i] + lengthMm[(i + 1) % n]) / 2e3;
            b.link(rims[i], rims[(i + 1) % n], ledge.conductivityWPerMK() * section / apart);
        }
        return b.build();
    }

    private static Cells cells(Builder b, int count, Sheet sheet, double areaM2) {
        return b.cells(count, sheet.thicknessM(), sheet.conductivityWPerMK(), sheet.heatCapacityJPerM3K(), areaM2);
    }

    /** The nodes in the order of the ring's state: column cells for all pieces, frames, then the centre. */
    static double[] asRingState(double[] nodes, int pieces) {
        double[] state = new double[nodes.length];
        for (int i = 0; i < pieces; i++) {
            for (int k = 0; k < 12; k++) {
                state[k * pieces + i] = nodes[CENTRE + 1 + i * 12 + k];
            }
        }
        System.arraycopy(nodes, 0, state, 12 * pieces, CENTRE + 1);
        return state;
    }
}
