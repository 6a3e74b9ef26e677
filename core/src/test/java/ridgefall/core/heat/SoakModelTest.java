package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.heat.SoakModel.Rise;

/** The two-column device model against an independent implementation of the same device. */
class SoakModelTest {
    private static final double ROOM = 22;
    private static final double STEP = 0.25;

    private static double[] at(Rise rise, double[] column, double plateC) {
        double[] celsius = new double[column.length];
        for (int i = 0; i < column.length; i++) {
            celsius[i] = ROOM + (plateC - ROOM) * column[i];
        }
        return celsius;
    }

    private static double secondsTo(double celsius, double[] curve, double step) {
        for (int i = 0; i < curve.length; i++) {
            if (curve[i] >= celsius) {
                return i * step;
            }
        }
        return Double.NaN;
    }

    @ParameterizedTest
    @CsvSource({
        "10, 35.772, 28.214, 25.657, 24.601, 22.215, 35.673, 22.608",
        "30, 41.228, 33.575, 30.874, 29.749, 24.195, 52.453, 26.150",
        "60, 46.673, 39.457, 36.849, 35.760, 29.203, 63.569, 32.379",
        "120, 54.013, 48.104, 45.944, 45.040, 39.344, 70.379, 42.946",
        "180, 59.039, 54.217, 52.450, 51.709, 46.877, 72.737, 50.367",
        "240, 62.515, 58.466, 56.979, 56.354, 52.102, 74.108, 55.463",
        "300, 64.905, 61.389, 60.096, 59.552, 55.691, 75.022, 58.957",
        "420, 67.670, 64.772, 63.703, 63.252, 59.842, 76.074, 62.996",
        "600, 69.334, 66.807, 65.873, 65.478, 62.339, 76.706, 65.426"
    })
    void followsTheReferenceSeriesOfAnEightyDegreePlate(
            int seconds,
            double glass,
            double bond,
            double bondCold,
            double rim,
            double back,
            double display,
            double battery) {
        Rise rise = new SoakModel(ReferenceTablet.stack(), 150).soak(STEP, (int) (seconds / STEP));
        int end = (int) (seconds / STEP);
        assertThat(new double[] {
                    at(rise, rise.glass(), 80)[end],
                    at(rise, rise.bond(), 80)[end],
                    at(rise, rise.bondCold(), 80)[end],
                    at(rise, rise.rim(), 80)[end],
                    at(rise, rise.back(), 80)[end],
                    at(rise, rise.display(), 80)[end],
                    at(rise, rise.battery(), 80)[end]
                })
                .containsExactly(new double[] {glass, bond, bondCold, rim, back, display, battery}, within(0.02));
    }

    @Test
    void settlesAtTheReferenceSteadyState() {
        SoakModel model = new SoakModel(ReferenceTablet.stack(), 150);
        assertThat(ROOM + 58 * model.steadyBond()).isCloseTo(67.776, within(0.01));
        assertThat(ROOM + 58 * model.steadyBattery()).isCloseTo(66.583, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({
        "70, 55, 313",
        "75, 55, 234",
        "75, 60, 367",
        "80, 55, 190",
        "80, 60, 269",
        "80, 65, 433",
        "85, 60, 217",
        "85, 65, 305",
        "85, 70, 522"
    })
    void reachesTheBondTemperaturesOfTheReferenceTable(double plateC, double bondC, double seconds) {
        Rise rise = new SoakModel(ReferenceTablet.stack(), 150).soak(STEP, 2400);
        assertThat(secondsTo(bondC, at(rise, rise.bond(), plateC), STEP)).isCloseTo(seconds, within(1.0));
    }

    @ParameterizedTest
    @CsvSource({"50, 806", "80, 450", "200, 219", "300, 166", "500, 119", "60, 615"})
    void needsTheReferenceTimesForOtherContacts(double contact, double seconds) {
        Rise rise = new SoakModel(ReferenceTablet.stack(), contact).soak(STEP, 4000);
        assertThat(secondsTo(60, at(rise, rise.bond(), 80), STEP)).isCloseTo(seconds, within(5.0));
    }

    @Test
    void aStepOfTwoSecondsGivesTheSame() {
        Rise fine = new SoakModel(ReferenceTablet.stack(), 150).soak(0.25, 1200);
        Rise coarse = new SoakModel(ReferenceTablet.stack(), 150).soak(2, 150);
        assertThat(58 * coarse.bond()[150]).isCloseTo(58 * fine.bond()[1200], within(0.02));
        assertThat(58 * coarse.battery()[150]).isCloseTo(58 * fine.battery()[1200], within(0.02));
    }

    @Test
    void coolsMonotonicallyTowardsTheRoomOnceTheSourceIsGone() {
        SoakModel model = new SoakModel(ReferenceTablet.stack(), 150);
        double[] bond = model.cool(model.soak(2, 150).states()[150], 2, 3000).bond();
        for (int i = 6; i < bond.length; i++) {
            assertThat(bond[i]).isLessThan(bond[i - 1]).isPositive();
        }
        assertThat(58 * bond[3000]).isLessThan(1);
    }
}
