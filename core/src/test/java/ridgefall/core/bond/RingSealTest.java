package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.profile.ShippedBook;

/** The reference case, 0.30 mm in a gap of 0.26; and what a caliper at the bench makes of it. */
class RingSealTest {
    private static final RingSeal CASE = new RingSeal(0.30, 0.26);
    private static final Fact LAID = new CheckAnswered("bond.ring", Answer.PASS, null);

    private static Journey atTheRing() {
        return new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("bond.ring-measured");
    }

    @Test
    void squeezeOfTheReferenceCase() {
        assertThat(CASE.squeeze(0)).isCloseTo(0.1333, within(5e-5));
        assertThat(CASE.squeeze(0.04)).isCloseTo(0.1162, within(5e-5));
        assertThat(CASE.squeeze(0.08)).isCloseTo(0.0993, within(5e-5));
        assertThat(CASE.seals(0.04)).isTrue();
        assertThat(CASE.seals(0.08)).isFalse();
        assertThat(CASE.greatestStretch()).isCloseTo(0.0784, within(5e-5));
    }

    @Test
    void itIsSqueezedLessTheWiderTheGapAndTheMoreItIsStretched() {
        assertThat(IntStream.range(0, 20).mapToDouble(i -> -new RingSeal(0.3, 0.2 + 0.01 * i).squeeze(0)))
                .isSorted();
        assertThat(IntStream.range(0, 20).mapToDouble(i -> -CASE.squeeze(0.01 * i)))
                .isSorted();
    }

    @Test
    void theCaliperSaysWhetherThisRingSealsInThisSeat() {
        // The seat is 1.05 deep, the front 0.80 over the ledge: 0.25 for the ring.
        Journey journey = atTheRing();
        assertThat(journey.step("bond.ring-measured").hint()).contains("{mm:0.25}");
        assertThat(journey.append(new BondFact.RingMeasured(0.30))
                        .step("bond.ring-measured")
                        .answer())
                .isEqualTo("{mm:0.3}, squeezed by 17 in 100: seals");
        assertThat(journey.step("bond.ring").hint()).contains("16 in 100 longer");
        assertThat(journey.holds(LAID)).isEmpty();
    }

    @Test
    void aRingThatIsTooThinHoldsAndAnotherOneIsMeasured() {
        Journey journey = atTheRing().append(new BondFact.RingMeasured(0.26));
        assertThat(journey.step("bond.ring-measured").problem()).isTrue();
        assertThat(journey.holds(LAID))
                .extracting(Hold::because)
                .containsExactly("Ring measured by caliper: {mm:0.26}, squeezed by 4 in 100: it leaks, a thicker ring");
        assertThat(journey.append(new BondFact.RingMeasured(0.3)).holds(LAID)).isEmpty();
        assertThatThrownBy(() -> new BondFact.RingMeasured(30).check())
                .hasMessage("thicknessMm is 30; allowed: 0.05 to 3 mm");
    }

    @Test
    void whatWasLaidBeforeAnybodyMeasuredStaysLaid() {
        Journey journey = new Journey(ShippedBook.profile("pellow-dial-41"))
                .until(Station.BOND)
                .append(LAID);
        assertThat(journey.step("bond.ring").answer()).isEqualTo("Laid flat");
        assertThat(journey.stepIds(Station.BOND)).containsExactly("bond.ring");
    }
}
