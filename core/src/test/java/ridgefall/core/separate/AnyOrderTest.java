package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.edge.Turn;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;

/** What is said that no order can beat, against orders. */
class AnyOrderTest {
    private static HeatQuestion whole(String device, String... sources) {
        List<HeatSource> bench = Stream.of(sources)
                .map(id -> HeatSource.byId(HeatSource.bench(), id))
                .toList();
        return new HeatQuestion(ShippedBook.profile(device), FrontCondition.INTACT, List.of(), List.of(), bench);
    }

    /** Straight on from every stretch, both ways, on the bench the plan was made for. */
    @ParameterizedTest
    @ValueSource(strings = {"marrowby-quire-11", "brackenholt-tarn-10", "pellow-dial-41"})
    void noOrderAfterTheSameSoakIsSoonerThanIsSaid(String device) {
        HeatQuestion question = whole(device, "pad-1");
        Opening pad = OpeningPlanner.beginningWith(question, question.source("pad-1"));
        assertThat(pad.cut().warmings()).isZero();
        double bound = AnyOrder.beside(question, pad).soonerAtMostS();
        assertThat(bound).isBetween(0.0, 0.2 * pad.cut().totalSeconds());
        int count = pad.cut().stretches().size();
        for (int first = 0; first < count; first++) {
            for (int step : new int[] {1, -1}) {
                int from = first;
                List<Cut.Way> ways = IntStream.range(0, count)
                        .mapToObj(i -> pad.cut().stretches().get(Math.floorMod(from + step * i, count)))
                        .map(stretch -> new Cut.Way(stretch, step > 0, false))
                        .toList();
                // A millimetre is reckoned at what it is met at: a moment later it would be cut a little slower.
                assertThat(pad.cut().totalSeconds() - seconds(question, pad, ways))
                        .isLessThanOrEqualTo(bound + 0.5);
            }
        }
    }

    private static double seconds(HeatQuestion question, Opening opening, List<Cut.Way> ways) {
        Turn turn = question.profile().edge().turn();
        BenchRun bench = BenchRun.usual(question, opening.heat().source());
        BenchWarmth warmth =
                BenchWarmth.planned(bench, turn, question.cutting(), opening.means(), Double.POSITIVE_INFINITY);
        warmth.first(new Act(
                opening.heat().source(), opening.heat().setup(), opening.heat().soakSeconds()));
        return Cut.along(new ArrayList<>(ways), question.cutting(), warmth, turn).stream()
                .mapToDouble(Cut::allSeconds)
                .sum();
    }

    @Test
    void whereTheEdgeIsAlikeAllRoundNoneIsSooner() {
        HeatQuestion question = whole("pellow-dial-41", "pad-1");
        Opening pad = OpeningPlanner.beginningWith(question, question.source("pad-1"));
        assertThat(AnyOrder.beside(question, pad).price()).isEqualTo("none is sooner");
    }

    /** With air there is no ceiling but the hand's: 6 mm/s, slower where a stretch is called difficult. */
    @Test
    void withAirItIsWhatAHandCannotBeat() {
        HeatQuestion question = whole("marrowby-quire-11", "air-2");
        Opening gun = OpeningPlanner.beginningWith(question, question.source("air-2"));
        double least = gun.cut().stretches().stream()
                .mapToDouble(stretch -> stretch.where().lengthMm() * stretch.difficulty() / 6)
                .sum();
        AnyOrder any = AnyOrder.beside(question, gun);
        assertThat(any.soonerAtMostS()).isCloseTo(gun.cut().totalSeconds() - least, within(1e-6));
        assertThat(any.price())
                .matches("none of those tried .* none saves more than \\{s:\\d+}, as if the pick went as fast as .*");
    }
}
