package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.profile.ShippedBook;

/** The reference case: 200 by 135 with corners of 12, a ledge of 2.5, a needle of 0.6 over a gap of 0.15. */
class BeadTest {
    private static final Bead CASE = new Bead(Bead.pathMm(200, 135, 12, 1.25, 40), 2.5, 0.15, 0.6);

    @Test
    void sectionPathVolumeAndWidthOfTheReferenceCase() {
        assertThat(CASE.sectionMm2()).isCloseTo(0.2827, within(5e-5));
        assertThat(CASE.pathMm()).isCloseTo(601.5, within(0.05));
        assertThat(CASE.ml()).isCloseTo(0.1701, within(5e-5));
        assertThat(CASE.widthMm()).isCloseTo(1.885, within(5e-4));
        assertThat(CASE.outMm()).as("none comes out").isZero();
    }

    @Test
    void eightClampsOfFifteenNewtonsPressItFlatInASecond() {
        Bead thinner = new Bead(CASE.pathMm(), 2.5, 0.10, 0.6);
        assertThat(CASE.clamps()).isEqualTo(8);
        assertThat(thinner.pressedSeconds(8 * 15, 500)).isCloseTo(1.13, within(0.005));
    }

    @Test
    void noGlueGetsLost() {
        IntStream.rangeClosed(1, 20)
                .mapToObj(i -> new Bead(601.5, 2.5, 0.05 * i, 0.6))
                .forEach(bead -> assertThat(bead.widthMm() * bead.gapMm() * bead.pathMm() / 1000)
                        .isCloseTo(bead.ml(), within(1e-12)));
    }

    @Test
    void theTighterTheSeatTheWiderItGets() {
        assertThat(IntStream.range(0, 20).mapToDouble(i -> -new Bead(601.5, 2.5, 0.1 + 0.02 * i, 0.6).widthMm()))
                .isSorted();
        assertThat(new Bead(601.5, 1.1, 0.25, 0.6).outMm())
                .as("1.13 wide on 1.1, a hand astray by 0.2")
                .isCloseTo(0.2155, within(5e-4));
    }

    /** Its outline drawn 1.25 inside itself, less the windows that stay clear. */
    @Test
    void onADeviceItGoesRoundTheLedgeAndLeavesOutWhatStaysClear() {
        var tablet = ShippedBook.quire11();
        double windows = tablet.features().stream()
                .filter(f -> f.keepsTapeOff())
                .mapToDouble(f -> f.where().lengthMm())
                .sum();
        double round = tablet.edge().lengthMm() - 2 * Math.PI * 1.25;
        assertThat(windows).isPositive();
        assertThat(Bead.of(tablet, 0.25, 0.6).pathMm()).isCloseTo(round - windows, within(0.5));
    }
}
