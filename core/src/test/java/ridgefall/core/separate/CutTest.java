package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Turn;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;

/** Cutting while it cools, against the integral worked out by hand. */
class CutTest {
    private static final Cutting TAPE = Cutting.byHand(Adhesive.PET_CARRIER_TAPE);

    private static Cut.Way way(double fromMm, double lengthMm, boolean clockwise) {
        Stretch stretch = new Stretch(
                "top", new EdgeInterval(fromMm, lengthMm), Landmark.TOP, 6, "border", 0.05, null, 1, false, false);
        return new Cut.Way(stretch, clockwise, true);
    }

    private static List<Cut> cut(Warmth warmth, Cut.Way... ways) {
        return Cut.along(List.of(ways), TAPE, warmth, new Turn(800));
    }

    /**
     * At 57.82 °C the tape is cut at 5 mm/s; the speed falls by e over n·T0 = 0.25 · 38 = 9.5 K. Cooling by 0.1 K/s that is
     * s(t) = 5 · 95 · (1 − e^(−t/95)): 200 mm take t = −95 · ln(1 − 200/475) = 51.9 s.
     */
    @Test
    void theSlowerTheColderIsTheIntegralOfTheSpeed() {
        Cut cut = cut(new LinearWarmth(57.82, 0.1), way(0, 200, true)).get(0);
        assertThat(cut.seconds()).isCloseTo(51.9, within(0.2));
        assertThat(cut.coldestC()).isCloseTo(57.82 - 5.19, within(0.05));
        assertThat(cut.coldMm()).isZero();
        assertThat(cut.warmings()).isEmpty();
    }

    /** Below 0.5 mm/s at 35.95 °C, after 218.7 s: by then 475 · (1 − e^(−218.7/95)) = 427.5 mm are cut. */
    @Test
    void aStretchLongerThanItStaysWarmIsWarmedOnTheWay() {
        assertThat(cut(new LinearWarmth(57.82, 0.1), way(10, 440, true)).get(0).pauses())
                .singleElement()
                .satisfies(pause -> assertThat(pause.atMm()).isCloseTo(437.5, within(3.0)));
        assertThat(cut(new LinearWarmth(57.82, 0.1), way(10, 440, false)).get(0).pauses())
                .singleElement()
                .satisfies(pause -> assertThat(pause.atMm()).isCloseTo(22.5, within(3.0)));
    }

    @Test
    void oneStretchAfterTheOtherGoesOnCoolingAndIsWarmedWhereItIsCold() {
        List<Cut> cuts = cut(new LinearWarmth(57.82, 0.1), way(0, 300, true), way(300, 300, true));
        assertThat(cuts.get(0).warmings()).isEmpty();
        assertThat(cuts.get(1).warmFirst()).isNull();
        assertThat(cuts.get(1).pauses())
                .singleElement()
                .satisfies(pause -> assertThat(pause.atMm()).isCloseTo(427.5, within(3.0)));
        // Two minutes on the plate, and twenty seconds to lay it on and take it up.
        assertThat(cuts.get(1).allSeconds()).isCloseTo(cuts.get(1).seconds() + 140, within(1e-9));
    }

    @Test
    void whatIsNeverWarmEnoughIsCutColdAndSaysHowMuchOfIt() {
        Cut cut = cut(new LinearWarmth(25, 0), way(0, 100, true)).get(0);
        assertThat(cut.seconds()).isCloseTo(200, within(1e-9));
        assertThat(cut.coldMm()).isCloseTo(100, within(1e-9));
    }

    @Test
    void nobodyGoesOnWithWhatIsOfNoInterestAnyMore() {
        LinearWarmth warmth = new LinearWarmth(57.82, 0.1);
        warmth.giveUpAfterS = 10;
        assertThat(cut(warmth, way(0, 100, true), way(100, 100, true), way(200, 100, true)))
                .hasSize(1);
    }
}
