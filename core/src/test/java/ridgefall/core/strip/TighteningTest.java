package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.profile.ShippedBook;

class TighteningTest {
    /**
     * By hand for M1.4 where 0.8 of its diameter holds: the thread bears 100 · π/2 · 1.4 · 1.12 = 246 N, the shank 310 · 0.983 =
     * 305 N; half of 246 by 0.2 · 1.4 mm is 34 N·mm. For M1.2 181 N, 22 N·mm; for M1.0 126 N, 12.6 N·mm.
     */
    @ParameterizedTest
    @CsvSource({"1.4, 3.0", "1.2, 2.0", "1.0, 1.0"})
    void isHalfOfWhatTheWeakerBears(double threadMm, double cNm) {
        assertThat(Tightening.mostCNm(ScrewFitTest.screw(threadMm, 3, null, null)))
                .isEqualTo(cNm);
    }

    /** 2.0 in the thread: the shank gives first, half of 305 N is 43 N·mm. */
    @Test
    void aLongThreadBearsWhatTheShankDoes() {
        assertThat(Tightening.mostCNm(ScrewFitTest.screw(1.4, 3, 1.0, 2.5))).isEqualTo(4.0);
        assertThat(Tightening.mostCNm(ScrewFitTest.screw(1.4, 1.7, 1.0, 2.5))).isEqualTo(2.0);
    }

    /** What is usual: a few centinewton metres up to M1.6, a few tens at M2.5. */
    @Test
    void ofEveryScrewOfTheBookIsWhatAHandWouldGive() {
        ShippedBook.documents().flatMap(d -> d.screws().stream()).forEach(screw -> {
            boolean small = screw.threadMm() <= 1.6;
            assertThat(Tightening.mostCNm(screw))
                    .as(screw.id() + " M" + screw.threadMm())
                    .isBetween(small ? 0.5 : 8, small ? 7.0 : 36);
        });
        assertThat(Tightening.told(ScrewFitTest.screw(1.2, 3, null, null)))
                .isEqualTo("to 2 cNm: two fingers, stop as it seats");
    }
}
