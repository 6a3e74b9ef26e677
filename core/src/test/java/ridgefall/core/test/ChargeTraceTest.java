package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.test.ChargeTrace.Sample;
import ridgefall.core.test.ChargeTrace.Verdict;

class ChargeTraceTest {
    /** Two readings a second for a minute, a hundredth of an ampere of noise. */
    private static ChargeTrace trace(Kind kind, DoubleUnaryOperator volts, DoubleUnaryOperator amps, Double celsius) {
        Random noise = new Random(3);
        List<Sample> samples = new ArrayList<>();
        for (double s = 0; s <= ChargeTrace.SECONDS; s += 0.5) {
            samples.add(new Sample(
                    s,
                    volts.applyAsDouble(s) + 0.01 * noise.nextGaussian(),
                    amps.applyAsDouble(s) + 0.004 * noise.nextGaussian(),
                    celsius));
        }
        return ChargeTrace.of(samples, kind);
    }

    private static ChargeTrace tablet(DoubleUnaryOperator volts, DoubleUnaryOperator amps) {
        return trace(Kind.TABLET, volts, amps, null);
    }

    /** 5.08 V and 1.85 A are 9.4 W, an ordinary supply; it came up from 0.2 by 0.9. */
    @Test
    void aTabletThatStartsAndChargesIsToldFromItsSteps() {
        ChargeTrace good = tablet(s -> 5.08, s -> s < 4 ? 0.2 : s < 9 ? 0.9 : s < 14 ? 0.55 : s < 20 ? 1.4 : 1.85);
        assertThat(good.verdict()).isEqualTo(Verdict.CHARGES);
        assertThat(good.starts()).isTrue();
        assertThat(good.words()).startsWith("1.85 A at 5.08 V").endsWith("in steps: it starts");
    }

    @Test
    void aCellThatChargesByItselfDrawsEvenlyAndSaysNothingOfItsBoard() {
        ChargeTrace even = tablet(s -> 5.05, s -> s < 1 ? 0.1 : 1.0);
        assertThat(even.verdict()).isEqualTo(Verdict.CHARGES);
        assertThat(even.starts()).isFalse();
    }

    @Test
    void whatDoesNotChargeIsToldApart() {
        assertThat(tablet(s -> 0.02, s -> 0).verdict()).isEqualTo(Verdict.NO_POWER);
        assertThat(tablet(s -> 5.1, s -> 0.004).verdict()).isEqualTo(Verdict.NOTHING);
        assertThat(tablet(s -> 4.2, s -> 0.8).verdict()).isEqualTo(Verdict.SAGS);
        assertThat(tablet(s -> 5.1, s -> 0.18).verdict())
                .as("0.9 W: full, or weak")
                .isEqualTo(Verdict.LITTLE);
        assertThat(tablet(s -> 5.1, s -> s % 12 < 8 ? 0.7 : 0.03).verdict()).isEqualTo(Verdict.STARTS_OVER);
    }

    @Test
    void theLevelTellsAFullCellFromAWeakOne() {
        ChargeTrace little = tablet(s -> 5.1, s -> 0.18);
        assertThat(little.at(90).works()).isTrue();
        assertThat(little.at(96).words()).isEqualTo("little is drawn, 0.18 A at 5.10 V, at 96 %: it is full");
        assertThat(little.at(89).works()).isFalse();
        assertThat(little.at(40).words()).endsWith("at 40 %: it is weak");
        assertThatThrownBy(() -> little.at(101)).hasMessageContaining("percent");
        assertThatThrownBy(() -> tablet(s -> 5, s -> 1).at(40)).hasMessageContaining("CHARGES");
    }

    @Test
    void aDangerIsCalledAtOnceAndASparkIsNone() {
        assertThat(tablet(s -> 5, s -> s > 20 ? 11 : 1).verdict()).isEqualTo(Verdict.TOO_MUCH);
        assertThat(tablet(s -> 5, s -> Math.abs(s - 20) < 0.3 ? 15 : 1).verdict())
                .isEqualTo(Verdict.CHARGES);
        ChargeTrace hot = trace(Kind.TABLET, s -> 5, s -> 1, 47.5);
        assertThat(hot.verdict()).isEqualTo(Verdict.HOT);
        assertThat(hot.verdict().danger()).isTrue();
        assertThat(hot.words()).isEqualTo("{t:47.5}, too warm to charge");
    }

    /** What fills a watch would not wake a tablet: 0.16 A at 5 V are 0.8 W. */
    @Test
    void aWatchTakesLess() {
        assertThat(trace(Kind.WATCH, s -> 5, s -> 0.16, null).verdict()).isEqualTo(Verdict.CHARGES);
        assertThat(trace(Kind.TABLET, s -> 5, s -> 0.16, null).verdict()).isEqualTo(Verdict.LITTLE);
        assertThat(trace(Kind.WATCH, s -> 5, s -> 1.6, null).verdict()).isEqualTo(Verdict.TOO_MUCH);
    }

    @Test
    void nothingIsSaidBeforeItsMinuteIsOver() {
        ChargeTrace half = ChargeTrace.of(
                tablet(s -> 5, s -> 1).samples().stream()
                        .filter(s -> s.seconds() < 30)
                        .toList(),
                Kind.TABLET);
        assertThat(half.over()).isFalse();
        assertThat(tablet(s -> 5, s -> 1).over()).isTrue();
    }

    /** Twenty kinds of supply and draw between the poorest and the quickest: none is called bad. */
    @Test
    void noOrdinaryChargeIsCalledBad() {
        for (double volts : new double[] {4.6, 5.0, 5.25, 9, 12}) {
            for (double watts : new double[] {2.6, 5, 10, 18}) {
                assertThat(tablet(s -> volts, s -> watts / volts).verdict())
                        .as(watts + " W at " + volts + " V")
                        .isEqualTo(Verdict.CHARGES);
            }
        }
    }
}
