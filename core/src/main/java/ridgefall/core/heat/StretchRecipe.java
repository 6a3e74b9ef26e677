package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.material.Cutting;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.units.Band;

/**
 * What a recipe for hot air does to the one stretch that it is held over, as it is given, until a hand that reads the glass
 * holds it off; the rest of the edge has the room's warmth. Looked at on benches as widely spread as what nobody knows.
 *
 * @param feasible soft enough to cut in the likely case and every stop kept on nine of ten benches
 * @param says in words for a technician
 */
public record StretchRecipe(boolean feasible, List<String> says) {
    private static final int BENCHES = 20;

    /** Whoever holds a nozzle over one place for longer has put it down. */
    private static final double LONGEST_S = 300;

    /** A hand that reads the glass holds the air off by then. */
    private static final double NEARLY_K = 0.5;

    private static final double STEP_S = BenchRun.STEP_S;

    /** What became of it on one bench; seconds are infinite where it never came to that. */
    private record Outcome(
            double bondC,
            double glassC,
            double workableAfterS,
            double heldOffAfterS,
            double warmForS,
            BenchRun bench) {}

    /** @param setup over the stretch that is meant */
    public static StretchRecipe judged(HeatQuestion question, HeatSource source, Setup setup, double seconds) {
        Cutting cutting = question.cutting();
        List<Outcome> outcomes = BenchRun.spread(question, source, source, BENCHES)
                .parallel()
                .map(bench -> outcome(question, bench, source, setup, seconds))
                .toList();
        Band bond = over(outcomes, Outcome::bondC);
        Band glass = over(outcomes, Outcome::glassC);
        double workableC = cutting.workableFromC();
        List<String> says = new ArrayList<>();
        says.add("over the " + PlaceWords.along(question.profile(), setup.where(), true)
                + (source.shielded() ? ", shield on the glass" : "") + ": the bond gets to "
                + celsius(bond.p50()) + " (" + celsius(bond.p10()) + " to " + celsius(bond.p90())
                + "); it is workable from {C:" + tenth(workableC) + "}");
        double mmPerS = cutting.mmPerS(bond.p50());
        boolean cuts = mmPerS >= Cutting.SLOWEST_MM_PER_S;
        double heldOffAfterS = over(outcomes, Outcome::heldOffAfterS).p50();
        boolean heldOff = heldOffAfterS < seconds;
        says.add(
                cuts
                        ? cut(
                                mmPerS,
                                setup.where().lengthMm() / mmPerS,
                                over(outcomes, Outcome::warmForS).p50())
                        : tooCold(over(outcomes, Outcome::workableAfterS).p50(), heldOff));
        double caution = question.glassCautionC();
        says.add(
                heldOff
                        ? "the glass comes to its {C:" + Math.round(caution) + "} after " + seconds(heldOffAfterS)
                                + ": from then on hold it off by a thermometer on the glass, as is reckoned here"
                        : "the glass gets to " + celsius(glass.p50()) + ", below its {C:" + Math.round(caution) + "}");
        HeatLimits limits = question.profile().limits();
        boolean kept = true;
        for (Limit limit : Limit.values()) {
            Band peak = over(outcomes, outcome -> outcome.bench().peakC(limit));
            if (!limit.stopKeptBy(peak, limits)) {
                kept = false;
                says.add(limit.words() + " may pass its stop of {C:" + Math.round(limit.stopC(limits)) + "}: "
                        + celsius(peak.p90()) + " on one bench in ten");
            }
        }
        return new StretchRecipe(cuts && kept, says);
    }

    private static String cut(double mmPerS, double cutS, double warmS) {
        String then = cutS <= warmS
                ? "without air it stays workable for " + seconds(warmS)
                : "it goes cold sooner without air: keep it on while you cut";
        return "cut it at {mm:" + tenth(mmPerS) + "} a second, " + seconds(cutS) + " for the stretch; " + then;
    }

    private static String tooCold(double afterS, boolean heldOff) {
        if (Double.isFinite(afterS)) {
            return "too short: it takes about " + seconds(afterS);
        }
        return "not workable within " + seconds(LONGEST_S) + ": "
                + (heldOff
                        ? "warm it through on a plate or pad first, or take a shorter stretch"
                        : "nearer, hotter or a shorter stretch");
    }

    private static Outcome outcome(
            HeatQuestion question, BenchRun bench, HeatSource source, Setup setup, double seconds) {
        EdgeInterval where = setup.where();
        double workableC = question.cutting().workableFromC();
        double atLimitC = question.glassCautionC() - Meeting.READS_K - NEARLY_K;
        Bench.AtSource on = bench.on(source, setup);
        double glassC = bench.glassC();
        double workableAfterS = Double.POSITIVE_INFINITY;
        double heldOffAfterS = Double.POSITIVE_INFINITY;
        while (on.seconds() < seconds) {
            on.step();
            glassC = Math.max(glassC, bench.glassC());
            workableAfterS = bench.bondC(where) >= workableC ? Math.min(workableAfterS, on.seconds()) : workableAfterS;
            heldOffAfterS = bench.glassC() > atLimitC ? Math.min(heldOffAfterS, on.seconds()) : heldOffAfterS;
        }
        double bondC = bench.bondC(where);
        // How much longer it would have taken is another device's affair: this one's limits are those of the recipe.
        BenchRun longer = bench.copy();
        if (Double.isInfinite(workableAfterS)) {
            Bench.AtSource still = longer.on(source, setup);
            while (still.seconds() + seconds < LONGEST_S && longer.bondC(where) < workableC) {
                still.step();
            }
            workableAfterS = longer.bondC(where) >= workableC ? still.seconds() + seconds : workableAfterS;
        }
        double warmForS = 0;
        while (bench.bondC(where) >= workableC && warmForS < LONGEST_S) {
            bench.rest(STEP_S);
            warmForS += STEP_S;
        }
        return new Outcome(bondC, glassC, workableAfterS, heldOffAfterS, warmForS, bench);
    }

    private static Band over(List<Outcome> outcomes, ToDoubleFunction<Outcome> of) {
        return Band.of(outcomes.stream().mapToDouble(of).toArray());
    }

    private static String celsius(double value) {
        return "{C:" + Math.round(value) + "}";
    }

    private static String seconds(double value) {
        return "{s:" + Math.round(value) + "}";
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
