package ridgefall.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class BandTest {
    private static final Band SPREAD = new Band(100, 200, 400);

    @Test
    void theShareBelowAValueLiesOnStraightLinesBetweenTheThree() {
        assertThat(SPREAD.shareBelow(100)).isEqualTo(0.1);
        assertThat(SPREAD.shareBelow(150)).isCloseTo(0.3, within(1e-9));
        assertThat(SPREAD.shareBelow(200)).isEqualTo(0.5);
        assertThat(SPREAD.shareBelow(300)).isCloseTo(0.7, within(1e-9));
        assertThat(SPREAD.shareBelow(50)).isCloseTo(0.05, within(1e-9));
        assertThat(SPREAD.shareBelow(-1)).isZero();
        assertThat(SPREAD.shareBelow(500)).isEqualTo(1);
    }

    @Test
    void whatSomeBenchesNeverGetToStaysWhereTheOthersAre() {
        assertThat(new Band(100, 200, Double.POSITIVE_INFINITY).shareBelow(1e6)).isEqualTo(0.5);
    }
}
