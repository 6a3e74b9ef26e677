package ridgefall.core.clean;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A film of 50 µm as the reference cases have it; what may be covered waits twice that, and a minute. */
class FrameSolventTest {
    @Test
    void aFilmIsGoneAsTheReferenceCasesSay() {
        assertThat(FrameSolvent.ALCOHOL.filmSeconds(50, 20)).isCloseTo(72.1, within(0.05));
        assertThat(FrameSolvent.ALCOHOL.filmSeconds(50, 35)).isCloseTo(31.0, within(0.05));
        assertThat(FrameSolvent.ACETONE.filmSeconds(50, 20)).isCloseTo(13.4, within(0.05));
    }

    @Test
    void isReadyAfterTwiceThatAndNeverUnderAMinute() {
        assertThat(FrameSolvent.ALCOHOL.readyAfterSeconds(20)).isEqualTo(145);
        assertThat(FrameSolvent.ALCOHOL.readyAfterSeconds(35)).isEqualTo(62);
        assertThat(FrameSolvent.ACETONE.readyAfterSeconds(20)).isEqualTo(60);
    }

    @Test
    void aColderRoomNeverDriesSooner() {
        for (FrameSolvent solvent : FrameSolvent.values()) {
            assertThat(IntStream.range(0, 40).map(room -> -solvent.readyAfterSeconds(room)))
                    .isSorted();
        }
    }
}
