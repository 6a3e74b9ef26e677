package ridgefall.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.material.Glass.Condition;

/** PET tape 0.2 mm thick on a ledge of 3 mm at 60 °C, unless something else is said. */
class PickedEdgeTest {
    private static final Sheet TAPE = new Sheet(0.2, 0.2, 1.8e6, 1000);

    private static PickedEdge under(double glassMm, Adhesive adhesive, double bondC) {
        return PickedEdge.of(new Sheet(glassMm, 1, 2.05e6, 2480), TAPE, 3, adhesive, bondC);
    }

    private static PickedEdge under(double glassMm) {
        return under(glassMm, Adhesive.PET_CARRIER_TAPE, 60);
    }

    @ParameterizedTest
    @CsvSource({"0.7, 0.5, 93", "0.7, 0.8, 131", "0.7, 1.2, 169", "1.0, 0.5, 77"})
    void bendsGlassOverAPickAsTheReferenceSays(double glassMm, double pickMm, double stressMPa) {
        assertThat(under(glassMm).stressMPa(pickMm)).isCloseTo(stressMPa, within(0.6));
    }

    @ParameterizedTest
    @CsvSource({
        "PET_CARRIER_TAPE, 60, 16.9",
        "ACRYLIC_FOAM_TAPE, 60, 20.5",
        "RUBBERY_BEAD, 60, 29.1",
        "PET_CARRIER_TAPE, 23, 36.4"
    })
    void isPushedWithTheForceOfTheReference(Adhesive adhesive, double bondC, double newton) {
        assertThat(under(0.7, adhesive, bondC).pushN(0.5)).isCloseTo(newton, within(0.06));
    }

    @ParameterizedTest
    @CsvSource({"10, 1.706, 0.051", "20, 2.441, 0.119", "40, 4.828, 0.354"})
    void mayRiseAsFarAsTheReferenceSays(double freeMm, double wholeMm, double crackedMm) {
        assertThat(under(0.7).greatestRiseMm(freeMm, 200)).isCloseTo(wholeMm, within(0.001));
        assertThat(under(0.7).greatestRiseMm(freeMm, 25)).isCloseTo(crackedMm, within(0.001));
    }

    /** The practitioner's numbers: a usual pick is safe under whole warm glass, a thin one at a worn edge, none at a crack. */
    @Test
    void theThickestPickIsANumberForAHand() {
        assertThat(under(0.7).thickestPickMm(Condition.INTACT.allowedMPa())).isGreaterThan(0.8);
        assertThat(under(0.7).thickestPickMm(Condition.WORN_EDGE.allowedMPa())).isBetween(0.4, 0.5);
        assertThat(under(0.7).thickestPickMm(Condition.CRACKED.allowedMPa())).isBetween(0.2, 0.25);
    }

    /** By hand: at 60 °C the bead's plateau on 2.4 mm presses 45 N on a 0.5 mm pick; 6 · 45.3 · 1.2 / (15 · 1.44). */
    @Test
    void aMouldedLedgeGivesUnderAThickPickWhileItIsCool() {
        Sheet bead = new Sheet(0.3, 0.2, 1.8e6, 1000);
        Sheet glass = new Sheet(0.7, 1, 2.05e6, 2480);
        PickedEdge warm = PickedEdge.of(glass, bead, 2.4, Adhesive.RUBBERY_BEAD, 60);
        PickedEdge cold = PickedEdge.of(glass, bead, 2.4, Adhesive.RUBBERY_BEAD, 25);
        assertThat(warm.ledgeMPa(0.5, 1.2)).isLessThan(Moulding.allowedMPa(60));
        assertThat(cold.ledgeMPa(0.5, 1.2)).isGreaterThan(Moulding.allowedMPa(25));
        double pushUp = (warm.pushN(0.5) - warm.pushN(0)) / 0.5;
        assertThat(warm.ledgeMPa(0.5, 1.2)).isCloseTo(6 * pushUp * 1.2 / (15 * 1.44), within(1e-9));
        assertThat(Moulding.allowedMPa(23)).isEqualTo(34);
        assertThat(Moulding.allowedMPa(105)).isZero();
    }

    @Test
    void theThickestPickBendsTheGlassJustAsFarAsItMay() {
        double allowed = Condition.WORN_EDGE.allowedMPa();
        assertThat(allowed).isEqualTo(85);
        assertThat(under(0.7).stressMPa(under(0.7).thickestPickMm(allowed))).isCloseTo(allowed, within(1e-9));
    }

    @Test
    void whereTheBondTearsSoonerNoPickIsTooThick() {
        // Very thick glass: what holds it down gives way first.
        assertThat(under(3).thickestPickMm(Condition.INTACT.allowedMPa())).isInfinite();
    }
}
