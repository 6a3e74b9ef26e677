package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.profile.ShippedBook;

/** The reference case, a plate of 172 × 108 mm; then what must hold for any. */
class OpticalLiquidTest {
    private static final OpticalLiquid CASE = new OpticalLiquid(172 * 108, 0.15, 2.42, 1.0, 4);

    @Test
    void volumeAndDropsOfTheReferenceCase() {
        assertThat(CASE.ml()).isCloseTo(3.065, within(0.0005));
        assertThat(OpticalLiquid.dropUl(1.27)).isCloseTo(8.46, within(0.005));
        assertThat(CASE.drops()).isEqualTo(363);
    }

    @Test
    void spreadOfTheReferenceCase() {
        assertThat(CASE.spreadSeconds(1)).isCloseTo(267.1, within(0.3));
        assertThat(CASE.spreadSeconds(9)).isCloseTo(29.67, within(0.04));
    }

    @Test
    void lampOfTheReferenceCase() {
        assertThat(CASE.lampSeconds(Lit.FACE, 50, 3)).isCloseTo(66.67, within(0.005));
        assertThat(CASE.lampSeconds(Lit.SIDES, 50, 3)).isCloseTo(863.5, within(0.05));
    }

    @Test
    void doseIsAddedUpAndWhatIsMissingTakesTheLampAsItIsNow() {
        double given = CASE.doseJ(Lit.FACE, 50, 20) + CASE.doseJ(Lit.FACE, 30, 60);
        assertThat(given).isCloseTo(2.520, within(1e-9));
        assertThat(CASE.lampSeconds(Lit.FACE, 30, 3 - given)).isCloseTo(17.8, within(0.05));
    }

    @Test
    void moreDotsAreSoonerAndSoIsAStrongerLamp() {
        assertThat(IntStream.rangeClosed(1, 9).mapToDouble(n -> -CASE.spreadSeconds(n)))
                .isSorted();
        assertThat(DoubleStream.of(1, 5, 20, 80).map(mw -> -CASE.lampSeconds(Lit.FACE, mw, 3)))
                .isSorted();
    }

    @Test
    void aWatchTakesAThirdOfAMillilitreAndSpreadsInMinutesNotHours() {
        OpticalLiquid watch = OpticalLiquid.of(ShippedBook.profile("pellow-dial-45"), Optional.empty());
        assertThat(watch.ml()).isBetween(0.2, 0.45);
        assertThat(watch.spreadSeconds(1)).isBetween(5.0, 600.0);
        assertThat(watch.lampSeconds(Lit.SIDES, 50, 3)).isBetween(60.0, 1800.0);
    }
}
