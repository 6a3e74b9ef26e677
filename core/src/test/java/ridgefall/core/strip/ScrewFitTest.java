package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.strip.ScrewFit.Verdict;

/** A long screw kills a board, a short one tears out: what the driver should be told before it turns. */
class ScrewFitTest {
    static Screw screw(double threadMm, double lengthMm, Double stackMm, Double threadedMm) {
        return new Screw(
                "s",
                0,
                0,
                "cross 00",
                threadMm,
                lengthMm,
                "flat",
                stackMm,
                threadedMm,
                1,
                false,
                false,
                List.of(),
                null);
    }

    private static ScrewFit driven(double stackMm, double threadedMm, double lengthMm) {
        return ScrewFit.of(screw(1.4, lengthMm, stackMm, threadedMm), screw(1.4, lengthMm, null, null));
    }

    /** M1.4 in a hole that clamps 1.6 over 2.2 mm of thread, and in one that clamps 1.0 over 1.7. */
    @ParameterizedTest
    @CsvSource({
        "1.6, 2.2, 2.4, TOO_SHORT, 0.8, 0",
        "1.6, 2.2, 3.2, FITS, 1.6, 0",
        "1.6, 2.2, 4.6, TOO_LONG, 2.2, 0.8",
        "1.0, 1.7, 2.4, FITS, 1.4, 0",
        "1.0, 1.7, 3.2, TOO_LONG, 1.7, 0.5",
        "1.0, 1.7, 4.6, TOO_LONG, 1.7, 1.9"
    })
    void isJudgedAsTheReferenceJudgesIt(
            double stackMm, double threadedMm, double lengthMm, Verdict verdict, double engagedMm, double overMm) {
        ScrewFit fit = driven(stackMm, threadedMm, lengthMm);
        assertThat(fit.verdict()).isEqualTo(verdict);
        assertThat(fit.engagedMm()).isCloseTo(engagedMm, within(1e-9));
        assertThat(fit.overMm()).isCloseTo(overMm, within(1e-9));
    }

    /** At the bottom it bottoms before it clamps: a tenth short of it is the last that goes. */
    @Test
    void stopsATenthShortOfTheBottom() {
        assertThat(driven(1, 2, 2.9).verdict()).isEqualTo(Verdict.FITS);
        assertThat(driven(1, 2, 2.95).verdict()).isEqualTo(Verdict.TOO_LONG);
        assertThat(driven(1, 2, 2.95).words()).isEqualTo("too long by {mm:0.1}: hits what lies behind");
    }

    /** 1.1 + 1.3 − 0.1 is 2.3000000000000003 to a machine; to a caliper it is 2.3. */
    @Test
    void atItsVeryLimitTheLastBitDecidesNothing() {
        for (int stack = 3; stack < 30; stack++) {
            for (int threaded = 13; threaded < 40; threaded++) {
                double limit = (stack + threaded - 1) / 10.0;
                assertThat(driven(stack / 10.0, threaded / 10.0, limit).verdict())
                        .as("%d over %d tenths", stack, threaded)
                        .isEqualTo(Verdict.FITS);
                assertThat(driven(stack / 10.0, threaded / 10.0, limit + 0.01).verdict())
                        .isEqualTo(Verdict.TOO_LONG);
            }
        }
    }

    @Test
    void whereNobodyMeasuredTheHoleItsOwnLengthDecides() {
        Screw hole = screw(1.4, 3, null, null);
        assertThat(ScrewFit.of(hole, screw(1.4, 3.3, null, null)).verdict()).isEqualTo(Verdict.FITS);
        assertThat(ScrewFit.of(hole, screw(1.4, 3.4, null, null)).verdict()).isEqualTo(Verdict.TOO_LONG);
        assertThat(ScrewFit.of(hole, screw(1.4, 2.5, null, null)).verdict()).isEqualTo(Verdict.TOO_SHORT);
    }

    @Test
    void anotherThreadNeverFits() {
        assertThat(ScrewFit.of(screw(1.4, 3, 1.0, 3.0), screw(1.2, 3, null, null))
                        .verdict())
                .isEqualTo(Verdict.OTHER_THREAD);
    }

    static List<DeviceProfile> book() {
        return ShippedBook.IDS.stream().map(ShippedBook::profile).toList();
    }

    /** A book that says otherwise would warn of the right screw. */
    @ParameterizedTest
    @MethodSource("book")
    void everyScrewOfTheBookFitsItsOwnHole(DeviceProfile profile) {
        assertThat(profile.document().screws())
                .allSatisfy(
                        screw -> assertThat(ScrewFit.of(screw, screw).verdict()).isEqualTo(Verdict.FITS));
    }
}
