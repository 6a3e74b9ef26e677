package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import ridgefall.core.heat.HeatQuestion;

/**
 * A school of going round the edge, priced against the plan on the same device: what hands disagree about when one says "three
 * edges, then the hinge" and another "all the way round".
 *
 * @param words what a bench calls it
 * @param moreSeconds than the plan takes; below zero where it is quicker
 * @param riskShare how likely a slip costs what lies beneath, of how likely it is by the plan; chances themselves are estimates
 * @param because what speaks against it beside its price; null for nothing
 */
public record WayRound(String words, double moreSeconds, double riskShare, String because) {
    /** Nearer to the plan than this it is as good. */
    private static final double SAME_S = 5;

    private static final double SAME_SHARE = 0.05;

    /** @param last what waits for all else, the very last first */
    private record School(String words, int runs, List<Predicate<Stretch>> last, String because) {}

    private record Price(List<Integer> order, double seconds, double lossChance) {}

    /** From the front as it came. A school that comes to the order of the plan, or of one before it, is left out. */
    public static List<WayRound> beside(HeatQuestion question) {
        List<Stretch> stretches = Stretch.along(question.profile(), question.cracks());
        Price plan = price(stretches, new CutOrder(stretches));
        List<List<Integer>> seen = new ArrayList<>(List.of(plan.order()));
        List<WayRound> ways = new ArrayList<>();
        for (School school : schools(stretches)) {
            Price price = price(stretches, new CutOrder(stretches, school.runs(), school.last()));
            if (!seen.contains(price.order())) {
                seen.add(price.order());
                ways.add(new WayRound(
                        school.words(),
                        price.seconds() - plan.seconds(),
                        // Where nothing lies beneath, no order is a risk to it.
                        plan.lossChance() == 0 ? 1 : price.lossChance() / plan.lossChance(),
                        school.because()));
            }
        }
        return ways;
    }

    private static List<School> schools(List<Stretch> stretches) {
        Stretch danger = stretches.stream()
                .filter(stretch -> !stretch.hinge())
                .max(Comparator.comparing(Stretch::hazard))
                .orElseThrow();
        return List.of(
                new School("from one entry, three edges, then the hinge", 1, List.of(Stretch::hinge), null),
                new School(
                        "from one entry all the way round",
                        1,
                        List.of(),
                        "the hinge goes before the rest, and the front hangs on its cables"),
                new School(
                        "the danger spot last, then the hinge",
                        CutOrder.GREATEST_RUNS,
                        List.of(Stretch::hinge, danger::equals),
                        null));
    }

    private static Price price(List<Stretch> stretches, CutOrder school) {
        List<Integer> order = school.from(0, -1).order();
        CutCost cost = new CutCost(stretches);
        int freed = 0;
        int last = -1;
        double seconds = 0;
        double nothingLost = 1;
        for (int index : order) {
            seconds += cost.seconds(freed, index) + cost.travel(last, index);
            nothingLost *= 1 - cost.lossChance(freed, index);
            freed |= 1 << index;
            last = index;
        }
        return new Price(order, seconds, 1 - nothingLost);
    }

    /** The price in words. */
    public String price() {
        String time = Math.abs(moreSeconds) < SAME_S
                ? "as quick"
                : "{s:" + Math.round(Math.abs(moreSeconds)) + "} " + (moreSeconds > 0 ? "more" : "less");
        String risk = Math.abs(riskShare - 1) < SAME_SHARE
                ? "as safe for what lies beneath"
                : Math.round(100 * Math.abs(riskShare - 1)) + " % " + (riskShare > 1 ? "more" : "less")
                        + " risk to what lies beneath";
        return time + ", " + risk + (because == null ? "" : "; but " + because);
    }
}
