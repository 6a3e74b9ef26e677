package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Turn;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;

/** Cutting while it cools, against the integral worked out by hand. */
class CutTest {
    private static final Cutting TAPE = Cutting.byHand(Adhesive.PET_CARRIER_TAPE);

    private static Cut.Way way(double fromMm, double lengthMm, boolean clockwise, Warmth warmth) {
        Stretch stretch = new Stretch(
                "top", new EdgeInterval(fromMm, lengthMm), Landmark.TOP, 6, "border", 0.05, null, 1, false, false);
        return new Cut.Way(stretch, clockwise, TAPE, warmth, new Turn(800));
    }

    /**
     * At 57.82 °C the tape is cut at 5 mm/s; the speed falls by e over n·T0 = 0.25 · 38 = 9.5 K. Cooling by 0.1 K/s that is
     * s(t) = 5 · 95 · (1 − e^(−t/95)): 200 mm take t = −95 · ln(1 − 200/475) = 51.9 s.
     */
    @Test
    void theSlowerTheColderIsTheIntegralOfTheSpeed() {
        Warmth cooling = CutPlannerTest.warmth(57.82, 0.1, Double.POSITIVE_INFINITY);
        Cut cut = Cut.NONE.then(way(0, 200, true, cooling));
        assertThat(cut.seconds()).isCloseTo(51.9, within(0.2));
        assertThat(cut.coldestC()).isCloseTo(57.82 - 5.19, within(0.05));
        assertThat(cut.pausesAtMm()).isEmpty();
        assertThat(cut.warmFirst()).isFalse();
    }

    /** Below 0.5 mm/s at 35.95 °C, after 218.7 s: by then 475 · (1 − e^(−218.7/95)) = 427.5 mm are cut. */
    @Test
    void aStretchLongerThanItStaysWarmIsWarmedOnTheWay() {
        Warmth cooling = CutPlannerTest.warmth(57.82, 0.1, Double.POSITIVE_INFINITY);
        assertThat(Cut.NONE.then(way(10, 440, true, cooling)).pausesAtMm())
                .singleElement()
                .satisfies(at -> assertThat(at).isCloseTo(437.5, within(3.0)));
        assertThat(Cut.NONE.then(way(10, 440, false, cooling)).pausesAtMm())
                .singleElement()
                .satisfies(at -> assertThat(at).isCloseTo(22.5, within(3.0)));
    }

    @Test
    void itIsWarmedFirstWhereThatSavesThePauseOnTheWay() {
        Warmth cooling = CutPlannerTest.warmth(57.82, 0.1, Double.POSITIVE_INFINITY);
        Cut first = Cut.NONE.then(way(0, 300, true, cooling));
        Cut second = first.then(way(300, 300, true, cooling));
        assertThat(second.warmFirst()).isTrue();
        assertThat(second.pausesAtMm()).isEmpty();
        assertThat(second.seconds()).isCloseTo(first.seconds(), within(0.5));
    }

    @Test
    void whatIsNeverWarmEnoughIsCutColdAndNotWarmedForNothing() {
        Cut cut = Cut.NONE.then(way(0, 100, true, CutPlannerTest.warmth(25, 0.1, Double.POSITIVE_INFINITY)));
        assertThat(cut.seconds()).isCloseTo(200, within(1e-9));
        assertThat(cut.pausesAtMm()).isEmpty();
    }
}
