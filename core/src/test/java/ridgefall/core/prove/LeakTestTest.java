package ridgefall.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.prove.LeakTest.Verdict;

/** 20 kPa in 30 ml for a minute, worked out by hand. */
class LeakTestTest {
    private static LeakTest read(double startKPa, double endKPa, double startC, double endC) {
        return new LeakTest(20, startKPa, endKPa, 60, startC, endC, 30, 1.2);
    }

    /** One kPa of 101.325 missing from 30 ml in a minute is 0.296 ml of air. */
    @Test
    void whatIsMissingIsAFlow() {
        assertThat(read(20, 19, 20, 20).mlPerMinute()).isCloseTo(0.2961, within(5e-5));
        assertThat(read(20, 19, 20, 20).verdict()).isEqualTo(Verdict.LEAKS);
        assertThat(read(20, 19.95, 20, 20).verdict()).isEqualTo(Verdict.TIGHT);
    }

    /** 121.325 kPa fall by 121.325/293.15 with each kelvin: air that cools is no leak. */
    @Test
    void airThatCoolsIsNoLeak() {
        LeakTest cooled = read(20, 20 - 121.325 / 293.15, 20, 19);
        assertThat(cooled.fallKPa()).isCloseTo(0, within(1e-9));
        assertThat(cooled.verdict()).isEqualTo(Verdict.TIGHT);
        assertThat(read(20, 20, 20, 21).verdict())
                .as("that it did not rise hides one")
                .isEqualTo(Verdict.LEAKS);
    }

    /** 25 µl in 1800 s at 9.81 kPa; air is 54.9 times thinner, driven by 20 kPa at a mean of 111.325. */
    @Test
    void theLimitIsHalfADropInHalfAnHourAMetreDeep() {
        assertThat(read(20, 20, 20, 20).limitMlPerMinute())
                .isCloseTo(0.025 / 1800 * 60 * (1.0e-3 / 1.82e-5) * (20 / 9.81) * (111.325 / 101.325), within(1e-9));
        assertThat(read(20, 20, 20, 20).limitMlPerMinute()).isCloseTo(0.1026, within(5e-5));
    }

    @Test
    void aWatchThatFillsWithTheChamberDoesNotFallAndIsFoundAllTheSame() {
        // 1.2 of 31.2 ml are swallowed at once: 19.23 of 20 kPa.
        LeakTest open = read(19.23, 19.23, 20, 20);
        assertThat(open.mlPerMinute()).isCloseTo(0, within(1e-9));
        assertThat(open.verdict()).isEqualTo(Verdict.GROSS);
        assertThat(open.words()).startsWith("wide open: 19.2 of 20.0 kPa");
        assertThat(read(19.8, 19.8, 20, 20).verdict()).isEqualTo(Verdict.TIGHT);
    }

    @Test
    void whatCannotBeToldApartIsNotCalledTight() {
        LeakTest close = read(20, 19.66, 20, 20);
        assertThat(close.mlPerMinute()).isCloseTo(close.limitMlPerMinute(), within(0.005));
        assertThat(close.verdict()).isEqualTo(Verdict.DOUBTFUL);
        LeakTest large = new LeakTest(20, 20, 20, 60, 20, 20, 1000, 1.2);
        assertThat(large.verdict()).as("a chamber far too large for a watch").isEqualTo(Verdict.DOUBTFUL);
    }

    @Test
    void theMoreFallsTheMoreLeaks() {
        assertThat(IntStream.range(0, 40)
                        .mapToDouble(i -> read(20, 20 - 0.1 * i, 20, 20).mlPerMinute()))
                .isSorted();
    }

    @Test
    void aReadingThatCannotBeNamesFieldAndRange() {
        assertThatThrownBy(() -> read(20, 900, 20, 20)).hasMessage("endKPa is 900; allowed: 0 to 500 kPa");
    }
}
