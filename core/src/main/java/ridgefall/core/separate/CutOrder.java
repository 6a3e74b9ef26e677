package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import ridgefall.core.units.Allowed;

/**
 * The cheapest order to free all stretches, exactly: dynamic programming over (freed set, last stretch). A tool enters
 * beside what is free or makes a new entry; never more than {@value #GREATEST_RUNS} freed runs at a time, since each entry is a risk
 * of its own and wedges are few. Hinge stretches wait for all others, unless another school has it otherwise.
 */
final class CutOrder {
    static final int GREATEST_STRETCHES = 24;
    static final int GREATEST_RUNS = 2;

    private final CutCost cost;
    private final int greatestRuns;
    /** Sets of stretches, each of which waits until all that is in none of those after it is free. */
    private final int[] waiting;

    private final int all;

    CutOrder(List<Stretch> stretches) {
        this(stretches, GREATEST_RUNS, List.of(Stretch::hinge));
    }

    /**
     * @param greatestRuns of freed stretches at a time
     * @param last what waits for all else, the very last first
     */
    CutOrder(List<Stretch> stretches, int greatestRuns, List<Predicate<Stretch>> last) {
        Allowed.between("stretches", stretches.size(), 1, GREATEST_STRETCHES, "stretches");
        this.cost = new CutCost(stretches);
        this.all = (1 << stretches.size()) - 1;
        this.waiting = last.stream().mapToInt(of -> mask(stretches, of)).toArray();
        this.greatestRuns = Math.max(greatestRuns, scattered());
    }

    /** Into so many runs all else falls by itself once only what waits is left: hinges need not lie side by side. */
    private int scattered() {
        int later = 0;
        int most = 0;
        for (int set : waiting) {
            later |= set;
            most = Math.max(most, cost.runs(all & ~later));
        }
        return most;
    }

    private static int mask(List<Stretch> stretches, Predicate<Stretch> of) {
        return IntStream.range(0, stretches.size())
                .filter(i -> of.test(stretches.get(i)))
                .map(i -> 1 << i)
                .sum();
    }

    /** Stretch indices in order, and the sum of their costs. */
    record Best(List<Integer> order, double cost) {}

    /** Cheapest cost to reach a state, and the stretch that was last before it. */
    private static final class Reach {
        final double[] cost;
        final int[] previous;

        Reach(int count) {
            cost = new double[count + 1];
            previous = new int[count + 1];
            Arrays.fill(cost, Double.POSITIVE_INFINITY);
        }
    }

    boolean allowed(int freed, int index) {
        if (CutCost.has(freed, index)) {
            return false;
        }
        int later = 0;
        for (int set : waiting) {
            later |= set;
            if (CutCost.has(set, index) && (freed | later) != all) {
                return false;
            }
        }
        // What the bench already did may have more runs than a plan would make: then just no further ones.
        return cost.runs(freed | 1 << index) <= Math.max(greatestRuns, cost.runs(freed));
    }

    double costOf(int freed, int last, int index) {
        return cost.of(freed, last, index);
    }

    /**
     * @param freed bit set of what is free already
     * @param last the stretch freed last, or −1
     */
    Best from(int freed, int last) {
        int count = cost.count();
        Map<Integer, Reach> layer = new HashMap<>();
        Reach start = new Reach(count);
        start.cost[last + 1] = 0;
        layer.put(freed, start);
        List<Map<Integer, Reach>> layers = new ArrayList<>(List.of(layer));
        for (int done = Integer.bitCount(freed); done < count; done++) {
            Map<Integer, Reach> next = new HashMap<>();
            layer.forEach((set, reach) -> extend(set, reach, next));
            layers.add(next);
            layer = next;
        }
        return walkBack(layers);
    }

    /**
     * On in one direction from where the hand is, or from beside what comes last, without ever going back; nothing where that would
     * make too many runs.
     */
    Optional<List<Integer>> straightOn(int freed, int last, boolean clockwise) {
        List<Integer> order = new ArrayList<>();
        int set = freed;
        int at = last;
        while (set != all) {
            int next = nextOn(set, at, clockwise);
            if (next < 0) {
                return Optional.empty();
            }
            order.add(next);
            set |= 1 << next;
            at = next;
        }
        return Optional.of(order);
    }

    private int nextOn(int freed, int at, boolean clockwise) {
        int count = cost.count();
        int from = at < 0 ? besideTheLast(clockwise) : at;
        for (int step = at < 0 ? 0 : 1; step <= count; step++) {
            int index = Math.floorMod(clockwise ? from + step : from - step, count);
            if (allowed(freed, index)) {
                return index;
            }
        }
        return -1;
    }

    /** Where one begins who means to come to it at the end. */
    private int besideTheLast(boolean clockwise) {
        int hinge = waiting.length == 0 ? 0 : waiting[0];
        for (int i = 0; i < cost.count(); i++) {
            int behind = clockwise ? cost.before(i) : cost.after(i);
            if (CutCost.has(hinge, behind) && !CutCost.has(hinge, i)) {
                return i;
            }
        }
        return 0;
    }

    private void extend(int set, Reach reach, Map<Integer, Reach> next) {
        int count = cost.count();
        for (int index = 0; index < count; index++) {
            if (!allowed(set, index)) {
                continue;
            }
            Reach to = next.computeIfAbsent(set | 1 << index, s -> new Reach(count));
            double cut = cost.cut(set, index);
            for (int last = -1; last < count; last++) {
                double sofar = reach.cost[last + 1];
                if (Double.isFinite(sofar)) {
                    double total = sofar + cut + cost.travel(last, index);
                    if (total < to.cost[index + 1]) {
                        to.cost[index + 1] = total;
                        to.previous[index + 1] = last;
                    }
                }
            }
        }
    }

    private Best walkBack(List<Map<Integer, Reach>> layers) {
        Reach end = layers.get(layers.size() - 1).get(all);
        int best = 0;
        for (int i = 1; i < end.cost.length; i++) {
            best = end.cost[i] < end.cost[best] ? i : best;
        }
        List<Integer> order = new ArrayList<>();
        int set = all;
        int last = best - 1;
        for (int i = layers.size() - 1; i > 0; i--) {
            order.add(0, last);
            int before = layers.get(i).get(set).previous[last + 1];
            set &= ~(1 << last);
            last = before;
        }
        return new Best(order, end.cost[best]);
    }
}
