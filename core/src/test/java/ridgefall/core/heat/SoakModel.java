package ridgefall.core.heat;

import ridgefall.core.heat.ThermalNetwork.Builder;
import ridgefall.core.heat.ThermalNetwork.Cells;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * The two-column model of a device lying face down on a source: a border column (glass, bond line, ledge) into the
 * frame, a centre column (glass, display, gap, battery) into the back, tied by the glass acting as a fin and by the
 * frame. Everything that is not the source is at room temperature.
 *
 * <p>The network is linear and starts at room temperature, so one run with the source one kelvin above the room gives
 * every setting: {@code T = room + (surface − room) · rise}.
 */
final class SoakModel {
    private static final double AIR_W_PER_MK = 0.027;
    private static final double RADIATION_W_PER_M2K = 5;
    private static final double STILL_AIR_W_PER_M2K = 9;
    private static final int GLASS_CELLS = 4;
    private static final int BOND_CELLS = 4;
    private static final int BATTERY_CELLS = 8;
    private static final int DISPLAY_CELLS = 6;

    private final HeatStack stack;
    private final ThermalNetwork onSource;
    private Cells bond;
    private Cells display;
    private Cells battery;
    private int rim;
    private int back;
    private int borderGlass;

    /** @param contactWPerM2K heat transfer from the source's surface into the glass */
    SoakModel(HeatStack stack, double contactWPerM2K) {
        this.stack = stack;
        this.onSource = network(contactWPerM2K, 1);
    }

    /** Rise over the room per kelvin of the source's surface over the room, at equal time steps from 0. */
    record Rise(
            double stepS,
            double[] glass,
            double[] bond,
            double[] bondCold,
            double[] rim,
            double[] back,
            double[] display,
            double[] battery,
            double[][] states) {

        double seconds(int index) {
            return index * stepS;
        }
    }

    Rise soak(double stepS, int steps) {
        return record(onSource, onSource.uniform(0), stepS, steps);
    }

    /** What happens after the device has left the source in one of the states of a soak. */
    Rise cool(double[] from, double stepS, int steps) {
        return record(network(STILL_AIR_W_PER_M2K, 0), from, stepS, steps);
    }

    double steadyBond() {
        return bond(onSource.steady());
    }

    double steadyBattery() {
        return hottest(onSource.steady(), battery);
    }

    private Rise record(ThermalNetwork network, double[] from, double stepS, int steps) {
        Rise rise = new Rise(
                stepS,
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1],
                new double[steps + 1][]);
        note(rise, 0, from);
        network.run(from, stepS, steps, (at, now) -> note(rise, (int) Math.round(at / stepS), now));
        return rise;
    }

    private void note(Rise rise, int i, double[] now) {
        rise.states[i] = now.clone();
        rise.glass[i] = now[borderGlass];
        rise.bond[i] = bond(now);
        rise.bondCold[i] = now[bond.last()];
        rise.rim[i] = now[rim];
        rise.back[i] = now[back];
        rise.display[i] = hottest(now, display);
        rise.battery[i] = hottest(now, battery);
    }

    /** The bond line is its two middle cells. */
    private double bond(double[] now) {
        return (now[bond.first() + 1] + now[bond.first() + 2]) / 2;
    }

    private static double hottest(double[] now, Cells cells) {
        double hottest = now[cells.first()];
        for (int i = cells.first() + 1; i <= cells.last(); i++) {
            hottest = Math.max(hottest, now[i]);
        }
        return hottest;
    }

    /** Temperatures relative to the room; the front faces something {@code frontRise} above it. */
    private ThermalNetwork network(double frontWPerM2K, double frontRise) {
        Builder b = new Builder();
        double area = stack.areaM2();
        double borderArea = stack.borderAreaM2();
        double centreArea = stack.centreAreaM2();
        double batteryArea = stack.batteryShare() * centreArea;
        double perimeter = stack.perimeterM();
        Sheet glass = stack.glass();

        Cells edgeGlass = cells(b, GLASS_CELLS, glass, borderArea);
        bond = cells(b, BOND_CELLS, stack.adhesive(), borderArea);
        Cells ledge = cells(b, 3, stack.ledge(), borderArea);
        b.join(edgeGlass, bond, borderArea, 0);
        b.join(bond, ledge, borderArea, 0);
        borderGlass = edgeGlass.first();

        Cells centreGlass = cells(b, GLASS_CELLS, glass, centreArea);
        if (stack.fused()) {
            Cells optical = cells(b, 2, stack.opticalAdhesive(), centreArea);
            display = cells(b, DISPLAY_CELLS, stack.display(), centreArea);
            b.join(centreGlass, optical, centreArea, 0);
            b.join(optical, display, centreArea, 0);
        } else {
            display = cells(b, DISPLAY_CELLS, stack.display(), centreArea);
            b.join(centreGlass, display, centreArea, airGapM2KPerW(stack.frontGapMm()));
        }
        battery = cells(b, BATTERY_CELLS, stack.battery(), batteryArea);
        b.join(display, battery, batteryArea, airGapM2KPerW(stack.gapMm()));

        double ledgeCapacity = 0;
        for (int i = ledge.first(); i <= ledge.last(); i++) {
            ledgeCapacity += b.capacity(i);
        }
        double bodyCapacity = stack.bodyKg() * stack.bodyJPerKgK();
        // A light plastic body can have less to give to the frame than the ledge alone holds.
        rim = b.node(Math.max(0.05 * bodyCapacity, stack.rimShare() * bodyCapacity - ledgeCapacity));
        back = b.node((1 - stack.rimShare()) * bodyCapacity);
        double ledgeWidthM = stack.ledgeWidthMm() / 1e3;
        double across = ledgeWidthM
                / 2
                / (stack.ledge().conductivityWPerMK() * stack.ledge().thicknessM() * perimeter);
        b.link(ledge.last(), rim, 1 / (ledge.halfCellM2KPerW() / borderArea + across));
        b.link(battery.last(), back, batteryArea / (battery.halfCellM2KPerW() + 1 / stack.batteryToBackWPerM2K()));
        b.link(
                display.last(),
                back,
                (centreArea - batteryArea) / (display.halfCellM2KPerW() + 1 / stack.displayToBackWPerM2K()));
        b.link(rim, back, stack.rimToBackWPerMK() * perimeter);

        double fin = perimeter
                * Math.sqrt(
                        glass.conductivityWPerMK() * glass.thicknessM() * Math.max(frontWPerM2K, STILL_AIR_W_PER_M2K));
        for (int i = 0; i < GLASS_CELLS; i++) {
            b.link(centreGlass.first() + i, edgeGlass.first() + i, fin / GLASS_CELLS);
        }
        b.surround(edgeGlass.first(), edgeGlass, borderArea, frontWPerM2K, frontRise);
        b.surround(centreGlass.first(), centreGlass, centreArea, frontWPerM2K, frontRise);
        b.surround(rim, STILL_AIR_W_PER_M2K * perimeter * stack.thicknessMm() / 1e3, 0);
        b.surround(back, STILL_AIR_W_PER_M2K * area, 0);
        return b.build();
    }

    private static Cells cells(Builder b, int count, Sheet sheet, double areaM2) {
        return b.cells(count, sheet.thicknessM(), sheet.conductivityWPerMK(), sheet.heatCapacityJPerM3K(), areaM2);
    }

    private static double airGapM2KPerW(double gapMm) {
        return 1 / (AIR_W_PER_MK / (gapMm / 1e3) + RADIATION_W_PER_M2K);
    }
}
