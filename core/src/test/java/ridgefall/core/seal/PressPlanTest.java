package ridgefall.core.seal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Five seconds a thumb's width at 20 °C; eight kelvins colder take twice as long. */
class PressPlanTest {
    @Test
    void aTabletInAnUsualRoom() {
        PressPlan plan = PressPlan.of(831, false, 20);
        assertThat(plan.places()).isEqualTo(28);
        assertThat(plan.secondsEach()).isEqualTo(5);
        assertThat(plan.seconds()).isEqualTo(140);
        assertThat(plan.restsMinutes()).isEqualTo(20);
        assertThat(plan.wholeHours()).isEqualTo(24);
    }

    @Test
    void aWatchIsPressedCloserAndGently() {
        PressPlan plan = PressPlan.of(126.4, true, 20);
        assertThat(plan.places()).isEqualTo(9);
        assertThat(plan.newtons()).isEqualTo(20);
    }

    @Test
    void coldTakesLongerAndWarmthShortensNoRest() {
        assertThat(PressPlan.of(831, false, 12).secondsEach()).isEqualTo(10);
        assertThat(PressPlan.of(831, false, 12).restsMinutes()).isEqualTo(40);
        assertThat(PressPlan.of(831, false, 30).restsMinutes()).isEqualTo(20);
        assertThat(IntStream.range(0, 40)
                        .mapToDouble(t -> -PressPlan.of(831, false, t).seconds()))
                .isSorted();
    }
}
