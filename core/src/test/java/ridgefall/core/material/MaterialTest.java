package ridgefall.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class MaterialTest {

    @ParameterizedTest
    @CsvSource({"ACRYLIC_FOAM_TAPE, 0.6592", "PET_CARRIER_TAPE, 0.3777", "RUBBERY_BEAD, 0.6829"})
    void peelsAtSixtyDegreesAsTheReferenceSays(Adhesive adhesive, double nPerMm) {
        assertThat(adhesive.peelNPerMm(60, 5)).isCloseTo(nPerMm, within(5e-4));
    }

    @ParameterizedTest
    @EnumSource(Adhesive.class)
    void isWorkableExactlyWherePeelMeetsTheLimit(Adhesive adhesive) {
        double celsius = adhesive.workableFromC(0.4);
        assertThat(adhesive.peelNPerMm(celsius, 5)).isCloseTo(0.4, within(1e-9));
    }

    @Test
    void solventWorksItsWayInWithTheRootOfTime() {
        // PET tape 4 mm wide: k·√t / w = 0.4·√25 / 4 = 0.5 wetted; 1 − 0.5·(1 − 0.4) = 0.7 of dry.
        double dry = Adhesive.PET_CARRIER_TAPE.peelNPerMm(23, 5);
        assertThat(Adhesive.PET_CARRIER_TAPE.peelNPerMm(23, 5, 25, 4)).isCloseTo(0.7 * dry, within(1e-9));
    }

    @Test
    void anAdhesiveThatNeverSoftensEnoughIsNeverWorkable() {
        assertThat(Adhesive.RUBBERY_BEAD.workableFromC(0.1)).isInfinite();
    }

    @ParameterizedTest
    @CsvSource({
        "INTACT, 10, 0.259",
        "INTACT, 20, 1.036",
        "INTACT, 40, 4.143",
        "CRACKED, 10, 0.0324",
        "CRACKED, 20, 0.130",
        "CRACKED, 40, 0.518"
    })
    void glassMayBeLiftedAsFarAsTheReferenceSays(Glass.Condition condition, double freeMm, double liftMm) {
        assertThat(new Glass(0.7, condition).liftLimitMm(Glass.Place.STRIP_END, freeMm))
                .isCloseTo(liftMm, within(liftMm * 0.005));
    }

    @Test
    void aMidEdgeIsHalfAsForgivingAsAStripEndAndACornerHalfAgainMore() {
        Glass glass = new Glass(0.7, Glass.Condition.INTACT);
        double end = glass.liftLimitMm(Glass.Place.STRIP_END, 20);
        assertThat(glass.liftLimitMm(Glass.Place.MID_EDGE, 20)).isCloseTo(end / 2, within(1e-12));
        assertThat(glass.liftLimitMm(Glass.Place.CORNER, 20)).isCloseTo(end * 1.5, within(1e-12));
    }
}
