package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;

/** The dynamic programme against trying every order. */
class CutOrderTest {

    private static List<Stretch> random(Random random, int count, int hinges) {
        List<Stretch> stretches = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < count; i++) {
            double length = 10 + random.nextInt(90);
            stretches.add(new Stretch(
                    "s" + i,
                    new EdgeInterval(at, length),
                    Landmark.TOP,
                    3,
                    "border",
                    random.nextDouble(),
                    null,
                    1 + random.nextDouble(),
                    i < hinges,
                    false));
            at += length;
        }
        return stretches;
    }

    private static double cheapest(CutOrder order, int count, int freed, int last) {
        if (freed == (1 << count) - 1) {
            return 0;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < count; i++) {
            if (order.allowed(freed, i)) {
                best = Math.min(best, order.costOf(freed, last, i) + cheapest(order, count, freed | 1 << i, i));
            }
        }
        return best;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 5, 8})
    void findsTheCheapestOfAllOrders(int count) {
        Random random = new Random(count);
        for (int round = 0; round < 20; round++) {
            List<Stretch> stretches = random(random, count, random.nextInt(count));
            CutOrder order = new CutOrder(stretches);
            assertThat(order.from(0, -1).cost()).isCloseTo(cheapest(order, count, 0, -1), within(1e-9));
        }
    }

    /** Pieces of a hinge with glue between them: whatever comes last, the rest then lies in as many runs. */
    @ParameterizedTest
    @ValueSource(ints = {6, 7, 8})
    void findsItToWhereHingesAreScattered(int count) {
        Random random = new Random(count);
        for (int round = 0; round < 20; round++) {
            List<Stretch> stretches = random(random, count, 0);
            for (int i = 0; i < count; i += 2) {
                Stretch one = stretches.get(i);
                stretches.set(
                        i,
                        new Stretch(one.id(), one.where(), one.landmark(), 3, "border", 0.5, null, 1.5, true, false));
            }
            CutOrder order = new CutOrder(stretches);
            assertThat(order.from(0, -1).cost()).isCloseTo(cheapest(order, count, 0, -1), within(1e-9));
            assertThat(order.straightOn(0, -1, true))
                    .hasValueSatisfying(way -> assertThat(way).hasSize(count));
        }
    }

    @Test
    void theOrderItGivesCostsWhatItSays() {
        List<Stretch> stretches = random(new Random(5), 12, 3);
        CutOrder order = new CutOrder(stretches);
        CutOrder.Best best = order.from(0, -1);
        double sum = 0;
        int freed = 0;
        int last = -1;
        for (int index : best.order()) {
            assertThat(order.allowed(freed, index)).isTrue();
            sum += order.costOf(freed, last, index);
            freed |= 1 << index;
            last = index;
        }
        assertThat(sum).isCloseTo(best.cost(), within(1e-9));
        assertThat(freed).isEqualTo((1 << 12) - 1);
    }

    @Test
    void plansAgainExactlyFromWhatIsAlreadyFree() {
        List<Stretch> stretches = random(new Random(9), 8, 2);
        CutOrder order = new CutOrder(stretches);
        int freed = 1 << 3 | 1 << 6;
        assertThat(order.from(freed, 6).cost()).isCloseTo(cheapest(order, 8, freed, 6), within(1e-9));
    }

    @Test
    void aBenchThatMadeMoreEntriesThanAPlanWouldStillGetsAPlan() {
        List<Stretch> stretches = random(new Random(13), 9, 0);
        int freed = 1 | 1 << 2 | 1 << 4 | 1 << 6;
        assertThat(new CutOrder(stretches).from(freed, 6).order()).hasSize(5);
    }

    /** Never back: each is the next in that direction of those that may be cut by then. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void straightOnItGoesRoundInOneDirectionWithTheHingeLast(boolean clockwise) {
        int count = 11;
        List<Stretch> stretches = random(new Random(7), count, 3);
        CutOrder order = new CutOrder(stretches);
        List<Integer> way = order.straightOn(0, -1, clockwise).orElseThrow();
        assertThat(way).hasSize(count).doesNotHaveDuplicates();
        assertThat(way.subList(count - 3, count))
                .allMatch(index -> stretches.get(index).hinge());
        int turned = 0;
        int freed = 0;
        for (int i = 0; i < count; i++) {
            assertThat(order.allowed(freed, way.get(i))).isTrue();
            freed |= 1 << way.get(i);
            turned += i == 0
                    ? 0
                    : Math.floorMod(clockwise ? way.get(i) - way.get(i - 1) : way.get(i - 1) - way.get(i), count);
        }
        assertThat(turned).as("once round").isLessThan(count);
    }

    @Test
    void twentyFourStretchesAreStillPlannedWhole() {
        assertThat(new CutOrder(random(new Random(1), 24, 4)).from(0, -1).order())
                .hasSize(24)
                .doesNotHaveDuplicates();
    }
}
