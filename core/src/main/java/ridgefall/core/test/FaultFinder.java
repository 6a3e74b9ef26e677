package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Why something does not work, and what to do next about it. One fault at a time, tests independent given the fault; the
 * next check is the one with the fewest expected minutes to the cure, looking two checks ahead. How likely causes and
 * outcomes are is common practice, not measured.
 *
 * @param checks there are, whether done or not
 */
record FaultFinder(List<Check> checks) {
    enum Cause {
        PLUG_NOT_HOME("a plug not home", 0.50),
        FRONT_BAD("the new part", 0.15),
        BOARD("the board", 0.10),
        FLEX_TORN("a torn flex", 0.25);

        private final String words;
        private final double prior;

        Cause(String words, double prior) {
            this.words = words;
            this.prior = prior;
        }

        String words() {
            return words;
        }
    }

    /** How likely each cause is; sums to 1. */
    record Belief(Map<Cause, Double> of) {
        static final Belief PRIOR = new Belief(each(cause -> cause.prior));

        /** After something was seen that is so likely under each cause. */
        Belief given(Map<Cause, Double> likelihood) {
            double total = chance(likelihood);
            return new Belief(each(cause -> of.get(cause) * likelihood.get(cause) / total));
        }

        /** Of seeing what is so likely under each cause. */
        double chance(Map<Cause, Double> likelihood) {
            return of.keySet().stream()
                    .mapToDouble(cause -> of.get(cause) * likelihood.get(cause))
                    .sum();
        }

        Cause likeliest() {
            return of.keySet().stream().max(Comparator.comparing(of::get)).orElseThrow();
        }
    }

    /**
     * @param badIf how likely each cause lets the outcome be bad: it still fails after something that cures, or the bad
     *     sign is there where it is only looked at
     * @param cures whether it works again where the outcome is good
     */
    record Check(String id, String words, double minutes, boolean cures, Map<Cause, Double> badIf) {
        Map<Cause, Double> goodIf() {
            return each(cause -> 1 - badIf.get(cause));
        }
    }

    static final Check RESEAT =
            new Check("reseat", "Reseat its plugs, battery out of circuit", 3, true, likely(0.10, 0.95, 0.95, 0.95));
    static final Check FLEX =
            new Check("flex", "Look along its flex with a lens", 2, false, likely(0.05, 0.05, 0.05, 0.85));
    /** The flex comes with the part. */
    static final Check SWAP = new Check("swap", "Swap the part", 15, true, likely(0.95, 0.05, 0.95, 0.10));

    static final List<Check> ALL = List.of(RESEAT, FLEX, SWAP);

    /** What it takes once nothing here has helped: a board goes elsewhere. */
    private static final double GIVEN_UP_MINUTES = 60;

    /** Nothing on the screen, while sound and charging are as they should be. */
    static final Map<Cause, Double> DARK_BUT_ALIVE = likely(0.8, 0.7, 0.6, 0.5);

    private static Map<Cause, Double> likely(double plug, double front, double board, double flex) {
        return Map.of(Cause.PLUG_NOT_HOME, plug, Cause.FRONT_BAD, front, Cause.BOARD, board, Cause.FLEX_TORN, flex);
    }

    private static Map<Cause, Double> each(ToDoubleFunction<Cause> value) {
        Map<Cause, Double> of = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            of.put(cause, value.applyAsDouble(cause));
        }
        return of;
    }

    /** The check to do next; empty once all are done. */
    Optional<Check> next(Belief belief, List<String> done) {
        List<Check> left =
                checks.stream().filter(check -> !done.contains(check.id())).toList();
        return left.stream().min(Comparator.comparingDouble(check -> minutesBy(check, belief, left, 1)));
    }

    /** Expected minutes to the cure when this check comes first. */
    static double minutesBy(Check first, Belief belief, List<Check> left, int ahead) {
        List<Check> rest = left.stream().filter(check -> check != first).toList();
        double bad = belief.chance(first.badIf());
        double minutes = first.minutes() + bad * minutes(belief.given(first.badIf()), rest, ahead);
        return first.cures() ? minutes : minutes + (1 - bad) * minutes(belief.given(first.goodIf()), rest, ahead);
    }

    private static double minutes(Belief belief, List<Check> left, int ahead) {
        double blind = blind(belief, left);
        return ahead == 0
                ? blind
                : left.stream()
                        .mapToDouble(check -> minutesBy(check, belief, left, ahead - 1))
                        .reduce(blind, Math::min);
    }

    /** One cure after the other without looking, the one first that helps most for its minutes. */
    private static double blind(Belief belief, List<Check> left) {
        List<Check> cures = new ArrayList<>(left.stream().filter(Check::cures).toList());
        Belief now = belief;
        double minutes = 0;
        double stillBad = 1;
        while (!cures.isEmpty()) {
            Belief asOf = now;
            Check best = cures.stream()
                    .max(Comparator.comparingDouble(check -> (1 - asOf.chance(check.badIf())) / check.minutes()))
                    .orElseThrow();
            cures.remove(best);
            minutes += stillBad * best.minutes();
            stillBad *= now.chance(best.badIf());
            now = now.given(best.badIf());
        }
        return minutes + stillBad * GIVEN_UP_MINUTES;
    }
}
