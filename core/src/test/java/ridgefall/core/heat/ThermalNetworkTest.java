package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.heat.ThermalNetwork.Builder;
import ridgefall.core.heat.ThermalNetwork.Cells;

/** The one-dimensional solver against exact solutions of the heat equation. */
class ThermalNetworkTest {

    /** Slab 10 mm, k 1, rho c 2e6, h 200 on both sides, from 20 to 80 °C: the exact series by its eigenvalues. */
    private static double exactSlab(double x, double seconds) {
        double half = 0.005;
        double biot = 200 * half / 1.0;
        double sum = 0;
        for (int n = 0; n < 40; n++) {
            double low = n * Math.PI;
            double high = n * Math.PI + Math.PI / 2;
            for (int i = 0; i < 200; i++) {
                double mid = (low + high) / 2;
                if (mid * Math.sin(mid) > biot * Math.cos(mid) == Math.cos(n * Math.PI) > 0) {
                    high = mid;
                } else {
                    low = mid;
                }
            }
            double zeta = (low + high) / 2;
            double c = 4 * Math.sin(zeta) / (2 * zeta + Math.sin(2 * zeta));
            sum += c * Math.exp(-zeta * zeta * (1 / 2e6) * seconds / (half * half)) * Math.cos(zeta * x / half);
        }
        return 80 - 60 * sum;
    }

    @Test
    void theExactSlabIsTheHandbookCase() {
        assertThat(exactSlab(0, 20)).isCloseTo(30.14298, within(1e-4));
        assertThat(exactSlab(0.005, 20)).isCloseTo(47.34975, within(1e-4));
        assertThat(exactSlab(0, 80)).isCloseTo(59.45496, within(1e-4));
    }

    @ParameterizedTest
    @CsvSource({"20, 0.065", "40, 0.0163", "80, 0.0042"})
    void theErrorInASlabFallsWithTheSquareOfTheCells(int cells, double greatestErrorK) {
        Builder b = new Builder();
        Cells slab = b.cells(cells, 0.010, 1.0, 2.0e6, 1.0);
        b.surround(slab.first(), slab, 1.0, 200, 80);
        b.surround(slab.last(), slab, 1.0, 200, 80);
        ThermalNetwork network = b.build();
        double[] worst = {0};
        double dx = 0.010 / cells;
        network.run(network.uniform(20), 0.05, 1600, (at, now) -> {
            if (at >= 5 && Math.abs(at - Math.rint(at)) < 1e-9) {
                for (int i = 0; i < cells; i++) {
                    double exact = exactSlab(Math.abs((i + 0.5) * dx - 0.005), at);
                    worst[0] = Math.max(worst[0], Math.abs(now[i] - exact));
                }
            }
        });
        assertThat(worst[0]).isLessThan(greatestErrorK);
    }

    @Test
    void aSemiInfiniteBodyFollowsTheErrorFunction() {
        Builder b = new Builder();
        Cells body = b.cells(240, 0.060, 1.0, 2.0e6, 1.0);
        b.surround(body.first(), 1 / body.halfCellM2KPerW(), 80);
        ThermalNetwork network = b.build();
        double[] last = network.run(network.uniform(20), 0.5, 120, (at, now) -> {});
        // Depths of 1, 5 and 10 mm are cell borders: the mean of both neighbours.
        assertThat((last[3] + last[4]) / 2).isCloseTo(73.83674, within(0.005));
        assertThat((last[19] + last[20]) / 2).isCloseTo(51.11630, within(0.005));
        assertThat((last[39] + last[40]) / 2).isCloseTo(31.80234, within(0.005));
    }

    @Test
    void twoBodiesInContactMeetAtTheTemperatureOfTheirEffusivities() {
        Builder b = new Builder();
        Cells warm = b.cells(200, 0.02, 1.0, 2.0e6, 1.0);
        Cells cold = b.cells(200, 0.2, 150, 2.43e6, 1.0);
        b.join(warm, cold, 1.0, 0);
        ThermalNetwork network = b.build();
        double[] start = network.uniform(20);
        for (int i = warm.first(); i <= warm.last(); i++) {
            start[i] = 80;
        }
        // The warm row runs towards the joint, so its last cell touches the cold row's first.
        double[] last = network.run(start, 0.01, 400, (at, now) -> {});
        double flux = (last[warm.last()] - last[cold.first()]) / (warm.halfCellM2KPerW() + cold.halfCellM2KPerW());
        double joint = last[warm.last()] - flux * warm.halfCellM2KPerW();
        double eWarm = Math.sqrt(1.0 * 2.0e6);
        double eCold = Math.sqrt(150 * 2.43e6);
        assertThat((80 * eWarm + 20 * eCold) / (eWarm + eCold)).isCloseTo(24.1379, within(5e-5));
        assertThat(joint).isCloseTo(24.1379, within(0.02));
    }

    @Test
    void theSteadySeriesIsExact() {
        Builder b = new Builder();
        Cells glass = b.cells(4, 0.0007, 1, 2.05e6, 1.0);
        Cells adhesive = b.cells(4, 0.0002, 0.2, 1.8e6, 1.0);
        Cells metal = b.cells(3, 0.001, 150, 2.43e6, 1.0);
        b.join(glass, adhesive, 1.0, 0);
        b.join(adhesive, metal, 1.0, 1e-4);
        b.surround(glass.first(), glass, 1.0, 150, 80);
        b.surround(metal.last(), metal, 1.0, 9, 22);
        double[] steady = b.build().steady();
        double middle = (steady[adhesive.first() + 1] + steady[adhesive.first() + 2]) / 2;
        double flux = (80 - steady[glass.first()]) / (1.0 / 150 + glass.halfCellM2KPerW());
        assertThat(flux).isCloseTo(485.01292, within(1e-5));
        assertThat(middle).isCloseTo(76.18457, within(1e-5));
    }
}
