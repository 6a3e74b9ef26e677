package ridgefall.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
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
        assertThat(read(19.9, 19.9, 20, 20).verdict()).isEqualTo(Verdict.TIGHT);
        assertThat(read(19.8, 19.8, 20, 20).verdict())
                .as("another solid piece, or a smaller watch that is open: nobody can say")
                .isEqualTo(Verdict.DOUBTFUL);
    }

    @Test
    void whatCannotBeToldApartIsNotCalledTight() {
        // At the limit 1.2 ml of air fill within τ = 1.2/31.2 · 20 · 30/(101.325 · 0.1026/60) = 133 s: 0.25 kPa from
        // second 15 to 75.
        LeakTest close = read(20, 20 - 0.7692 * (Math.exp(-15 / 133.2) - Math.exp(-75 / 133.2)), 20, 20);
        assertThat(close.fallKPa()).isCloseTo(0.25, within(0.005));
        assertThat(close.verdict()).isEqualTo(Verdict.DOUBTFUL);
        assertThat(read(20, 19.66, 20, 20).verdict())
                .as("0.1 ml a minute in the mean, of a difference that dwindled")
                .isEqualTo(Verdict.LEAKS);
        LeakTest large = new LeakTest(20, 20, 20, 60, 20, 20, 1000, 1.2);
        assertThat(large.verdict()).isEqualTo(Verdict.TOO_LARGE);
        assertThat(large.words()).startsWith("not tested: a chamber of 1000 ml is too large for the 1.2 ml");
    }

    /**
     * Two volumes joined by a leak, followed step by step: what flows goes by the difference, and is missing on one side and found on the
     * other. Read as a tester shows it, to 0.01 kPa and 0.1 K, while the room drifts by up to half a kelvin.
     *
     * @param times the limit; 0 is tight
     */
    private static LeakTest played(Random random, double times) {
        double chamberMl = 10 + 50 * random.nextDouble();
        double innerMl = 0.5 + 2.5 * random.nextDouble();
        double limitMlPerS = new LeakTest(20, 20, 20, 60, 20, 20, chamberMl, innerMl).limitMlPerMinute() / 60;
        double outside = 20;
        double inside = 0;
        double startKPa = 0;
        double stepS = 0.005;
        for (int i = 0; i < 75 / stepS; i++) {
            startKPa = i == (int) (15 / stepS) ? outside : startKPa;
            double ml = times * limitMlPerS * (outside - inside) / 20 * stepS;
            outside -= ml / chamberMl * 101.325;
            inside += ml / innerMl * 101.325;
        }
        double startC = 18 + 8 * random.nextDouble();
        double endC = startC + random.nextDouble() - 0.5;
        double warmedKPa = (outside + 101.325) * (endC + 273.15) / (startC + 273.15) - 101.325;
        return new LeakTest(
                20,
                shown(startKPa, 100),
                shown(warmedKPa, 100),
                60,
                shown(startC, 10),
                shown(endC, 10),
                chamberMl,
                innerMl);
    }

    private static double shown(double value, int digits) {
        return Math.round(value * digits) / (double) digits;
    }

    @Test
    void nothingOverTheLimitIsEverTight() {
        Random random = new Random(35);
        for (int i = 0; i < 2000; i++) {
            LeakTest leak = played(random, 1.3 + 8.7 * random.nextDouble());
            assertThat(leak.verdict()).as("%s", leak).isNotEqualTo(Verdict.TIGHT);
        }
    }

    @Test
    void whatIsTightIsHardlyEverInDoubtAndNeverCalledALeak() {
        Random random = new Random(36);
        List<LeakTest> tight =
                IntStream.range(0, 500).mapToObj(i -> played(random, 0)).toList();
        assertThat(tight).noneMatch(test -> test.verdict() == Verdict.LEAKS || test.verdict() == Verdict.GROSS);
        assertThat(tight.stream().filter(test -> test.verdict() == Verdict.DOUBTFUL))
                .hasSizeLessThanOrEqualTo(25);
        assertThat(tight.stream().filter(test -> test.verdict() == Verdict.TIGHT && test.chamberMl() < 30))
                .as("a small chamber tells nearly every watch")
                .hasSizeGreaterThan((int) (0.9
                        * tight.stream().filter(test -> test.chamberMl() < 30).count()));
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
