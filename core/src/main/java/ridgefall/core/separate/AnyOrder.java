package ridgefall.core.separate;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.material.Cutting;

/**
 * What is proven of an order that was found by a bounded search: no other one, warmed the same way on the likeliest bench, has the
 * front open more than this much sooner. How warm the bond is does not depend on the order while the device just cools, and has a
 * ceiling where it is warmed again; so no order cuts a millimetre faster than at the warmest it is there at any time, nor at any
 * time faster than at the warmest it is then anywhere.
 *
 * @param soonerAtMostS than the plan, s; risk beneath is not in it
 * @param met what would have to be for that
 */
public record AnyOrder(double soonerAtMostS, String met) {
    private static final double STEP_MM = 1;
    private static final double NOTHING_S = 2;

    public static AnyOrder beside(HeatQuestion question, Opening opening) {
        CutPlan plan = opening.cut();
        Cutting cutting = question.cutting();
        if (opening.airOnTheWay()) {
            return of(
                    plan,
                    leastSeconds(plan, at -> Cutting.FASTEST_MM_PER_S),
                    "the pick went as fast as a hand can feel");
        }
        if (plan.warmings() > 0) {
            double mmPerS = cutting.mmPerS(opening.means().setup().settingC());
            return of(plan, leastSeconds(plan, at -> mmPerS), "all of the bond were as warm as its source");
        }
        return of(plan, coolingSeconds(question, opening), "all of the bond were met at its warmest");
    }

    private static AnyOrder of(CutPlan plan, double leastSeconds, String met) {
        return new AnyOrder(Math.max(0, plan.totalSeconds() - leastSeconds), met);
    }

    /** @param mmPerS no faster, by how many mm along the edge */
    private static double leastSeconds(CutPlan plan, DoubleUnaryOperator mmPerS) {
        double seconds = 0;
        for (Stretch stretch : plan.stretches()) {
            double length = stretch.where().lengthMm();
            for (double cut = 0; cut < length; cut += STEP_MM) {
                double fastest = mmPerS.applyAsDouble(stretch.where().fromMm() + cut);
                seconds += Math.min(STEP_MM, length - cut) * stretch.difficulty() / slowest(fastest);
            }
        }
        return seconds;
    }

    private static double slowest(double mmPerS) {
        return Math.max(Cutting.SLOWEST_MM_PER_S, mmPerS);
    }

    /** The greater of what the places and what the times allow. */
    private static double coolingSeconds(HeatQuestion question, Opening opening) {
        CutPlan plan = opening.cut();
        double clearMm = plan.stretches().stream()
                .mapToDouble(stretch -> stretch.where().lengthMm() * stretch.difficulty())
                .sum();
        BenchRun bench = BenchRun.usual(question, opening.heat().source());
        bench.through(List.of(new Act(
                opening.heat().source(), opening.heat().setup(), opening.heat().soakSeconds())));
        double[] warmestC =
                new double[1 + (int) Math.ceil(question.profile().edge().turn().lengthMm() / STEP_MM)];
        double untilAllIsCut = Double.POSITIVE_INFINITY;
        double nowC = warmestNow(bench, warmestC);
        double cutMm = 0;
        for (double s = 0; s <= plan.totalSeconds(); s += BenchRun.STEP_S) {
            bench.rest(BenchRun.STEP_S);
            double nextC = warmestNow(bench, warmestC);
            double mmPerS = slowest(question.cutting().mmPerS(Math.max(nowC, nextC)));
            nowC = nextC;
            if (cutMm < clearMm && cutMm + mmPerS * BenchRun.STEP_S >= clearMm) {
                untilAllIsCut = s + (clearMm - cutMm) / mmPerS;
            }
            cutMm += mmPerS * BenchRun.STEP_S;
        }
        double byPlace = leastSeconds(
                plan,
                atMm -> question.cutting()
                        .mmPerS(Math.max(warmestC[(int) (atMm / STEP_MM)], warmestC[1 + (int) (atMm / STEP_MM)])));
        return Math.max(byPlace, Math.min(untilAllIsCut, plan.totalSeconds()));
    }

    /** Anywhere; kept for every millimetre. */
    private static double warmestNow(BenchRun bench, double[] warmestC) {
        double now = Double.NEGATIVE_INFINITY;
        for (int mm = 0; mm < warmestC.length; mm++) {
            double bondC = bench.bondC(mm * STEP_MM);
            warmestC[mm] = Math.max(warmestC[mm], bondC);
            now = Math.max(now, bondC);
        }
        return now;
    }

    public String words() {
        return "any other order, warmed as planned";
    }

    public String price() {
        return soonerAtMostS < NOTHING_S
                ? "none is sooner"
                : "none of those tried is sooner; proven: none saves more than {s:" + (long) Math.ceil(soonerAtMostS)
                        + "}, as if " + met;
    }
}
