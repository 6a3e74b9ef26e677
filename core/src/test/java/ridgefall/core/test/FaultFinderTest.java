package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import ridgefall.core.test.FaultFinder.Belief;
import ridgefall.core.test.FaultFinder.Cause;
import ridgefall.core.test.FaultFinder.Check;

class FaultFinderTest {
    private static final FaultFinder FINDER = new FaultFinder(FaultFinder.ALL);
    private static final Belief DARK = Belief.PRIOR.given(FaultFinder.DARK_BUT_ALIVE);

    private static void is(Belief belief, double plug, double front, double board, double flex) {
        assertThat(belief.of().get(Cause.PLUG_NOT_HOME)).isCloseTo(plug, within(1e-12));
        assertThat(belief.of().get(Cause.FRONT_BAD)).isCloseTo(front, within(1e-12));
        assertThat(belief.of().get(Cause.BOARD)).isCloseTo(board, within(1e-12));
        assertThat(belief.of().get(Cause.FLEX_TORN)).isCloseTo(flex, within(1e-12));
    }

    /** The case of the handbook, by fractions: 0.40, 0.105, 0.06, 0.125 of 0.69. */
    @Test
    void aDarkScreenOnALiveDeviceIsMostLikelyAPlug() {
        is(DARK, 40 / 69.0, 7 / 46.0, 2 / 23.0, 25 / 138.0);
    }

    @Test
    void reseatingThatChangedNothingTurnsItOver() {
        is(DARK.given(FaultFinder.RESEAT.badIf()), 80 / 631.0, 399 / 1262.0, 114 / 631.0, 475 / 1262.0);
    }

    /** The handbook's bits: 0.4440 in 2 minutes against 0.6205 in 3, so greed for them would look at the flex first. */
    @Test
    void whatAlsoCuresComesBeforeWhatOnlyTells() {
        assertThat(bits(Belief.PRIOR, FaultFinder.FLEX)).isCloseTo(0.4440, within(1e-4));
        assertThat(bits(Belief.PRIOR, FaultFinder.RESEAT)).isCloseTo(0.6205, within(1e-4));
        assertThat(FINDER.next(DARK, List.of())).contains(FaultFinder.RESEAT);
        assertThat(FINDER.next(Belief.PRIOR, List.of())).contains(FaultFinder.RESEAT);
    }

    @Test
    void whatIsDoneIsNotProposedAgainAndInTheEndNothingIs() {
        Belief still = DARK.given(FaultFinder.RESEAT.badIf());
        List<String> done = new ArrayList<>(List.of("reseat"));
        while (FINDER.next(still, done).isPresent()) {
            String next = FINDER.next(still, done).get().id();
            assertThat(done).doesNotContain(next);
            done.add(next);
        }
        assertThat(done).containsExactlyInAnyOrder("reseat", "flex", "swap");
    }

    /** Another model: the same chances played through branch by branch, with every order of checks tried to the end. */
    @Test
    void noOrderOfChecksIsQuickerThanItsFirstChoiceByMoreThanAMinute() {
        for (Belief belief : List.of(Belief.PRIOR, DARK, DARK.given(FaultFinder.RESEAT.badIf()))) {
            Check chosen = FINDER.next(belief, List.of()).orElseThrow();
            double best = played(belief.of(), FaultFinder.ALL);
            assertThat(playedFirst(chosen, belief.of(), FaultFinder.ALL)).isLessThan(best + 1);
        }
    }

    private static double played(Map<Cause, Double> weights, List<Check> left) {
        double alive = weights.values().stream().mapToDouble(w -> w).sum();
        double best = 60 * alive;
        for (Check check : left) {
            best = Math.min(best, playedFirst(check, weights, left));
        }
        return best;
    }

    /** Weights are not normalised: what is cured simply falls out. */
    private static double playedFirst(Check check, Map<Cause, Double> weights, List<Check> left) {
        List<Check> rest = left.stream().filter(other -> other != check).toList();
        double alive = weights.values().stream().mapToDouble(w -> w).sum();
        Map<Cause, Double> bad = new EnumMap<>(Cause.class);
        Map<Cause, Double> good = new EnumMap<>(Cause.class);
        weights.forEach((cause, weight) -> {
            bad.put(cause, weight * check.badIf().get(cause));
            good.put(cause, weight * (1 - check.badIf().get(cause)));
        });
        return alive * check.minutes() + played(bad, rest) + (check.cures() ? 0 : played(good, rest));
    }

    private static double bits(Belief belief, Check check) {
        double bad = belief.chance(check.badIf());
        double left = bad * entropy(belief.given(check.badIf())) + (1 - bad) * entropy(belief.given(check.goodIf()));
        return entropy(belief) - left;
    }

    private static double entropy(Belief belief) {
        return belief.of().values().stream()
                .mapToDouble(p -> p == 0 ? 0 : -p * Math.log(p) / Math.log(2))
                .sum();
    }
}
