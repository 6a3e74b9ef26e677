package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.heat.LooseFront.Way;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ShippedBook;

class LooseFrontTest {
    private static final double STEP_S = 0.01;
    private static final double ROOM_C = 22;

    /** Glass, clear bond and panel one behind the other, each with its own temperature, warmed through the glass. */
    private static double slices(HeatStack stack, double plateC, double wPerM2K, double untilC, double loses) {
        List<Sheet> sheets = List.of(stack.glass(), stack.opticalAdhesive(), stack.display());
        double[] celsius = {ROOM_C, ROOM_C, ROOM_C};
        for (int step = 0; step < 100_000; step++) {
            double[] flow = new double[4];
            flow[0] = wPerM2K * (plateC - celsius[0]);
            flow[3] = loses * (celsius[2] - ROOM_C);
            for (int i = 0; i < 2; i++) {
                double resistance = half(sheets.get(i)) + half(sheets.get(i + 1));
                flow[i + 1] = (celsius[i] - celsius[i + 1]) / resistance;
            }
            for (int i = 0; i < 3; i++) {
                double joules =
                        sheets.get(i).thicknessMm() / 1000 * sheets.get(i).heatCapacityJPerM3K();
                celsius[i] += STEP_S * (flow[i] - flow[i + 1]) / joules;
            }
            if (celsius[2] >= untilC) {
                return step * STEP_S;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private static double half(Sheet sheet) {
        return sheet.thicknessMm() / 2000 / sheet.conductivityWPerMK();
    }

    private static List<Way> ways(String device, double bondC, double limitC) {
        return new LooseFront(ShippedBook.profile(device).heat(), FrontCondition.CRACKED)
                .ways(HeatSource.bench(), bondC, limitC);
    }

    private static Way by(List<Way> ways, String sourceId) {
        return ways.stream()
                .filter(way -> way.sourceId().equals(sourceId))
                .findFirst()
                .orElseThrow();
    }

    /** On a plate that touches badly, 60 W/(m²·K), the far side of the panel is no more than a quarter later than the lump. */
    @ParameterizedTest
    @ValueSource(strings = {"marrowby-quire-11", "pellow-dial-41", "sillery-satchel-7"})
    void isAsSlowAsItsLayersOneBehindTheOther(String device) {
        Way plate = by(ways(device, 60, 80), "plate-1");
        double layered = slices(ShippedBook.profile(device).heat(), plate.settingC(), 60, 60, 10);
        assertThat((double) plate.seconds()).isBetween(0.8 * layered - 5, 1.1 * layered + 5);
    }

    /** What anybody does at a bench: a pad in half a minute, a plate in two, hot air to and fro for some ten seconds to a minute. */
    @ParameterizedTest
    @CsvSource({
        "marrowby-quire-11, pad-1, 15, 60",
        "marrowby-quire-11, plate-1, 60, 240",
        "marrowby-quire-11, air-1, 15, 60",
        "brackenholt-tarn-10, dryer-1, 40, 180",
        "pellow-dial-41, air-1, 10, 60"
    })
    void takesWhatItTakesAtABench(String device, String sourceId, int least, int most) {
        assertThat(by(ways(device, 60, 75), sourceId).seconds()).isBetween(least, most);
    }

    /** A plate is never set above the limit; air is, but leaves ten seconds to see it coming. */
    @ParameterizedTest
    @ValueSource(doubles = {65, 70, 75, 80})
    void keepsTheLimitOnABenchThatWarmsWell(double limitC) {
        for (String device : ShippedBook.IDS) {
            List<Way> ways = ways(device, 60, limitC);
            assertThat(ways)
                    .filteredOn(way -> !way.air())
                    .allSatisfy(way -> assertThat(way.noLongerS()).isNull());
            assertThat(ways)
                    .filteredOn(way -> way.noLongerS() != null)
                    .allSatisfy(way -> assertThat(way.noLongerS()).isGreaterThanOrEqualTo(10));
            assertThat(ways).extracting(Way::seconds).isSorted();
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {59, 61})
    void offersNothingWhereTheBondLetsGoAboveTheLimit(double limitC) {
        assertThat(ways("marrowby-quire-11", 60, limitC)).isEmpty();
    }
}
