package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.heat.AirStretch.Row;
import ridgefall.core.profile.HeatStack;

/**
 * The solid model against the unit responses of a three-dimensional one: a jet's rise of 1 over a stretch, shares of it in
 * bond, glass, frame, panel and battery, and how they cool.
 */
class SolidDeviceTest {
    private static final double DT_S = 0.5;
    private static final double SPOT_MM = 40;

    private static final double WITHIN = 0.05;

    /** As far in as the reference's edge column goes. */
    private static final double PANEL_EDGE_MM = 10;

    /** A bell on the outline, wiped over the stretch and a quarter of its width beyond each end. */
    static SolidDevice.Facing wiped(SolidDevice device, double wPerM2K, double stretchMm) {
        double middleMm = device.slices * device.sliceM * 500;
        double reach = stretchMm / 2 + SPOT_MM / 4;
        double[] share = IntStream.range(0, device.slices)
                .mapToDouble(i -> {
                    double from = (i + 0.5) * device.sliceM * 1e3 - middleMm;
                    return IntStream.range(0, 200)
                            .mapToDouble(n -> ForeignBench.bell(from - reach + 2 * reach * (n + 0.5) / 200, SPOT_MM))
                            .average()
                            .orElseThrow();
                })
                .toArray();
        return ForeignBench.blown(device, share, wPerM2K, 1, SPOT_MM);
    }

    private static double[] shares(SolidDevice device, double stretchMm) {
        // The reference's last cell on the stretch has its middle 2.5 mm before the end.
        double end = (stretchMm / 2 - 2.5) / 1e3 / device.sliceM;
        int middle = device.slices / 2;
        return new double[] {
            device.bond(middle + (int) end)
                    + (end - (int) end) * (device.bond(middle + (int) end + 1) - device.bond(middle + (int) end)),
            device.bond(middle),
            device.glassFaceWithin(PANEL_EDGE_MM, middle),
            device.frame(middle),
            device.panelWithin(PANEL_EDGE_MM, middle),
            device.battery(middle)
        };
    }

    @ParameterizedTest
    @CsvSource({
        "metal, 100, 60",
        "metal, 100, 100",
        "metal, 200, 60",
        "metal, 200, 100",
        "plastic, 100, 60",
        "plastic, 100, 100",
        "plastic, 200, 60",
        "plastic, 200, 100",
    })
    void meetsTheReferenceWithinFivePercentHeatingAndCooling(String frame, int wPerM2K, int stretchMm)
            throws IOException {
        HeatStack stack = frame.equals("metal") ? ReferenceTablet.stack() : ReferenceTablet.plastic();
        for (String phase : List.of("heating", "off_after_30", "off_after_60")) {
            SolidDevice device = new SolidDevice(stack, 165, DT_S);
            double[] none = new double[device.slices];
            SolidDevice.Facing air = wiped(device, wPerM2K, stretchMm);
            SolidDevice.Facing still = ForeignBench.blown(device, none, 0, 0, SPOT_MM);
            int blown = phase.equals("heating") ? 0 : Integer.parseInt(phase.substring(10));
            run(device, air, blown);
            double at = 0;
            List<Row> rows = AirStretch.rows(frame, wPerM2K, stretchMm, phase);
            assertThat(rows).hasSize(25);
            for (Row row : rows) {
                run(device, phase.equals("heating") ? air : still, row.seconds() - at);
                at = row.seconds();
                double[] shares = shares(device, stretchMm);
                for (int c = 0; c < shares.length; c++) {
                    // Of what is hardly warm yet, a share of a quarter of what it gets to.
                    double most = 0;
                    for (Row other : rows) {
                        most = Math.max(most, other.shares()[c]);
                    }
                    double scale = Math.max(row.shares()[c], 0.25 * most);
                    assertThat((shares[c] - row.shares()[c]) / scale)
                            .as("%s column %d: %.5f for %.5f", row, c, shares[c], row.shares()[c])
                            .isBetween(-WITHIN, WITHIN);
                }
            }
        }
    }

    private static void run(SolidDevice device, SolidDevice.Facing facing, double seconds) {
        for (int i = 0; i < Math.round(seconds / DT_S); i++) {
            device.step(facing);
        }
    }

    @Test
    void onAPlateOfEightyDegreesItIsAsWarmAsTheReferenceOfTheWholeFace() {
        SolidDevice device = new SolidDevice(ReferenceTablet.stack(), 40, DT_S);
        SolidDevice.Facing plate = ForeignBench.lying(device, 150, 58);
        double[] minutes = {60, 180, 600};
        double[] bondC = {39.457, 54.217, 66.807};
        double at = 0;
        for (int n = 0; n < minutes.length; n++) {
            run(device, plate, minutes[n] - at);
            at = minutes[n];
            assertThat(22 + device.bond(0)).isCloseTo(bondC[n], within(2.0));
        }
    }
}
