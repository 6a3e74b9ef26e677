package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.bond.BentCorner.Verdict;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.Adhesive;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

class BentCornerTest {
    private static BentCorner at(double gapMm, double bentMm) {
        return BentCorner.of(Landmark.TOP_LEFT, gapMm, bentMm, 0.7, Adhesive.PET_CARRIER_TAPE);
    }

    /** Glass of 0.7 on PET tape at 40 °C: up to 0.0192 MPa tape holds, up to twice that a clamp helps. */
    @ParameterizedTest
    @CsvSource({"0.5, 0.0156, TAPE_HOLDS", "1.0, 0.0312, CLAMP", "1.5, 0.0468, STRAIGHTEN"})
    void tapeHoldsWhatPullsLittle(double gapMm, double shearMPa, Verdict verdict) {
        assertThat(at(gapMm, 60).shearMPa()).isCloseTo(shearMPa, within(0.00005));
        assertThat(at(gapMm, 60).verdict()).isEqualTo(verdict);
    }

    @Test
    void theGreatestGapOverSixtyIsSixTenths() {
        assertThat(at(0.614, 60).verdict()).isEqualTo(Verdict.TAPE_HOLDS);
        assertThat(at(0.616, 60).verdict()).isEqualTo(Verdict.CLAMP);
    }

    /** 135 · √(0.05/0.8) is 33.75: five of them. */
    @Test
    void clampsStandAsCloseAsTheGapAsks() {
        assertThat(at(0.8, 135).everyMm()).isCloseTo(33.75, within(0.001));
        assertThat(at(0.8, 135).clamps()).isEqualTo(5);
        assertThat(at(0.04, 135).clamps()).isEqualTo(2);
    }

    /** Twice as far away pulls twice as hard; over twice the length a quarter. */
    @Test
    void whatIsBentOverALongerWayPullsLess() {
        assertThat(at(1.0, 60).shearMPa()).isCloseTo(2 * at(0.5, 60).shearMPa(), within(1e-9));
        assertThat(at(0.5, 120).shearMPa()).isCloseTo(at(0.5, 60).shearMPa() / 4, within(1e-9));
    }

    private static BentCorner found(String id, double gapMm, Double bentMm) {
        DeviceProfile device = ShippedBook.profile(id);
        Journey bent = new Journey(device).append(new BendMarked(Landmark.TOP_LEFT, gapMm, bentMm));
        return BentCorner.of(device, bent.state()).get(0);
    }

    @Test
    void aWatchIsNotBentOverMoreThanItHasAndItsRingSealsNoBentFrame() {
        BentCorner watch = found("pellow-dial-41", 0.1, null);
        assertThat(watch.bentMm()).as("36 by 41 mm").isEqualTo(41);
        assertThat(watch.verdict()).isEqualTo(Verdict.STRAIGHTEN);
        assertThat(watch.words(ShippedBook.profile("pellow-dial-41")))
                .contains("no ring seals it: straighten it, battery out");
        assertThat(found("marrowby-quire-11", 0.1, 120.0).verdict()).isEqualTo(Verdict.TAPE_HOLDS);
    }

    @Test
    void whatTapeDoesNotHoldIsKnownBeforeTapeIsChosen() {
        Journey bent = new Journey().until(Station.BOND).append(new BendMarked(Landmark.TOP_LEFT, 1.5, 60.0));
        assertThat(bent.step("bond.held").choices())
                .extracting(Step.Choice::label)
                .containsExactly("Bead and clamps");
        assertThat(bent.course().waysToHold())
                .filteredOn(way -> way.by() == HeldBy.STRIPS)
                .singleElement()
                .satisfies(way ->
                        assertThat(way.against().get(0)).contains("no tape holds it: straighten it, battery out"));
        bent.append(new BondFact.CornerMeasured(Landmark.TOP_LEFT, 0.3, 60.0));
        assertThat(bent.step("bond.held").choices().get(0).label())
                .as("straightened, and measured again")
                .isEqualTo("Strips from the roll");
    }
}
