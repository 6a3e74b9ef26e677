package ridgefall.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaterialTest {

    @ParameterizedTest
    @CsvSource({"ACRYLIC_FOAM_TAPE, 0.6592", "PET_CARRIER_TAPE, 0.3777", "RUBBERY_BEAD, 0.6829"})
    void peelsAtSixtyDegreesAsTheReferenceSays(Adhesive adhesive, double nPerMm) {
        assertThat(adhesive.peelNPerMm(60, 5)).isCloseTo(nPerMm, within(5e-4));
    }

    @ParameterizedTest
    @CsvSource({"ACRYLIC_FOAM_TAPE, 64.4, 82.5", "PET_CARRIER_TAPE, 42.5, 57.8", "RUBBERY_BEAD, 65.3, 73.4"})
    void aUsualHandCutsAtOneAndAtFiveMillimetresASecondAsTheReferenceSays(
            Adhesive adhesive, double atOneC, double atFiveC) {
        Cutting cutting = Cutting.byHand(adhesive);
        assertThat(cutting.workableFromC()).isCloseTo(atOneC, within(0.06));
        assertThat(cutting.mmPerS(cutting.workableFromC())).isCloseTo(1, within(1e-9));
        assertThat(cutting.mmPerS(atFiveC)).isCloseTo(5, within(0.05));
    }

    @Test
    void noPickIsLedFasterThanItIsFelt() {
        assertThat(Cutting.byHand(Adhesive.PET_CARRIER_TAPE).mmPerS(75)).isEqualTo(6);
    }

    @Test
    void aStrongerHandCutsTheFasterWithThePowerOfTheLaw() {
        // Twice the force with n = 1/4 is sixteen times the speed.
        double usual = new Cutting(Adhesive.ACRYLIC_FOAM_TAPE, 0.2).mmPerS(50);
        assertThat(new Cutting(Adhesive.ACRYLIC_FOAM_TAPE, 0.4).mmPerS(50)).isCloseTo(16 * usual, within(1e-9));
    }

    @Test
    void solventWorksItsWayInWithTheRootOfTime() {
        // PET tape 4 mm wide: k·√t / w = 0.4·√25 / 4 = 0.5 wetted; 1 − 0.5·(1 − 0.4) = 0.7 of dry.
        double dry = Adhesive.PET_CARRIER_TAPE.peelNPerMm(23, 5);
        assertThat(Adhesive.PET_CARRIER_TAPE.peelNPerMm(23, 5, 25, 4)).isCloseTo(0.7 * dry, within(1e-9));
    }

    @Test
    void glueThatNeverGetsSoftEnoughForAHandIsNeverWorkable() {
        // 0.08 · 5^0.2 / 3.0 = 0.0368 of its strength is asked for; it keeps 0.04 however hot.
        assertThat(new Cutting(Adhesive.RUBBERY_BEAD, 0.08).workableFromC()).isInfinite();
    }

    /**
     * Foam tape 1.3 mm wide at 45 °C: 1.5 · e^(−22/45) = 0.920 N/mm dry; in three minutes solvent creeps 0.5 · √3 = 0.866 mm,
     * two thirds of it, which leaves 1 − 0.666 · 0.55 = 0.634: 0.583. A hand of 0.4 cuts it at 5 · (0.4 / 0.583)^4.
     */
    @Test
    void solventMakesANarrowBondFasterThanHeatWould() {
        Adhesive foam = Adhesive.ACRYLIC_FOAM_TAPE;
        assertThat(foam.speedMmPerS(45, 0.4, 6, 3, 1.3)).isCloseTo(1.11, within(0.01));
        assertThat(foam.speedMmPerS(45, 0.4, 6)).isCloseTo(0.18, within(0.01));
    }
}
