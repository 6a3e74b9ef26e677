package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.bond.BentCorner.Verdict;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;

class BentCornerTest {
    private static BentCorner at(double gapMm, double bentMm) {
        return BentCorner.of(Landmark.TOP_LEFT, gapMm, bentMm, 0.7, Adhesive.PET_CARRIER_TAPE);
    }

    /** Glass of 0.7 on PET tape at 40 °C: up to 0.0192 MPa tape holds, up to twice that a clamp helps. */
    @ParameterizedTest
    @CsvSource({"0.5, 0.0156, TAPE_HOLDS", "1.0, 0.0312, CLAMP", "1.5, 0.0468, STRAIGHTEN"})
    void tapeHoldsWhatPullsLittle(double gapMm, double shearMPa, Verdict verdict) {
        assertThat(at(gapMm, 60).shearMPa()).isCloseTo(shearMPa, within(0.00005));
        assertThat(at(gapMm, 60).verdict()).isEqualTo(verdict);
    }

    @Test
    void theGreatestGapOverSixtyIsSixTenths() {
        assertThat(at(0.614, 60).verdict()).isEqualTo(Verdict.TAPE_HOLDS);
        assertThat(at(0.616, 60).verdict()).isEqualTo(Verdict.CLAMP);
    }

    /** 135 · √(0.05/0.8) is 33.75: five of them. */
    @Test
    void clampsStandAsCloseAsTheGapAsks() {
        assertThat(at(0.8, 135).everyMm()).isCloseTo(33.75, within(0.001));
        assertThat(at(0.8, 135).clamps()).isEqualTo(5);
        assertThat(at(0.04, 135).clamps()).isEqualTo(2);
    }

    /** Twice as far away pulls twice as hard; over twice the length a quarter. */
    @Test
    void whatIsBentOverALongerWayPullsLess() {
        assertThat(at(1.0, 60).shearMPa()).isCloseTo(2 * at(0.5, 60).shearMPa(), within(1e-9));
        assertThat(at(0.5, 120).shearMPa()).isCloseTo(at(0.5, 60).shearMPa() / 4, within(1e-9));
    }
}
