package ridgefall.core.separate;

import java.util.List;
import java.util.Set;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;
import ridgefall.core.units.Band;

/**
 * One way to open a device, warming and cutting together, by the source it begins with.
 *
 * @param heat how that source warms it: all of it, or the first stretch where air warms each as its turn comes
 * @param stretches whether air warms each stretch as its turn comes, and nothing before
 * @param means how it is warmed again, if it has to be
 * @param cut the way round from there on, as planned before it was warmed
 * @param coldMm how much would be cut in a bond that is colder than one that is cut
 * @param keptShare share of plausible benches on which everything keeps its stop all the way, 0–1
 * @param followed seconds until all is free on such benches, as a hand follows it
 * @param nearestLimit what comes nearest to its caution on the way, in words
 */
public record Opening(
        HeatPlan heat,
        boolean stretches,
        Means means,
        CutPlan cut,
        double coldMm,
        double keptShare,
        Band followed,
        String nearestLimit) {
    /** Longer is no plan. */
    static final double LONGEST_S = 75 * 60;

    /** So much of an edge may be left for a thin blade and patience. */
    private static final double COLD_SHARE = 0.15;

    static final double KEPT_SHARE = 0.9;

    /** Until all is free. */
    public double seconds() {
        return (stretches ? 0 : heat.soakSeconds()) + cut.totalSeconds();
    }

    public boolean feasible() {
        return keptShare >= KEPT_SHARE && !cold() && Math.max(seconds(), followed.p90()) <= LONGEST_S;
    }

    /** What comes after its first warming, in words. */
    public String then() {
        String times = cut.warmings() + (cut.warmings() == 1 ? " time" : " times");
        if (airOnTheWay()) {
            return "then " + cut.air().words();
        } else if (cut.warmings() > 0) {
            return means.air()
                    ? "then " + means.source().name() + " warms it again " + times
                    : "then back on it " + times + " on the way round";
        }
        return "then cut it all the way round";
    }

    /** Its first warming says why it is taken, or why another is. */
    Opening told(List<String> because) {
        return new Opening(
                heat.told(feasible(), because), stretches, means, cut, coldMm, keptShare, followed, nearestLimit);
    }

    /** The same on another source like it: what it is put back on is that one as well. */
    Opening begunOn(HeatSource other) {
        HeatSource own = heat.source();
        boolean backOnIt = means.source().equals(own);
        return new Opening(
                heat.called(other),
                stretches,
                backOnIt ? means.by(other) : means,
                backOnIt ? cut.by(other) : cut,
                coldMm,
                keptShare,
                followed,
                nearestLimit);
    }

    /** Whether a soak is the first stretch of air that goes along with the cut. */
    public boolean beginsWith(HeatFact.SoakStarted soak) {
        return stretches
                && soak.sourceId().equals(heat.source().id())
                && Setup.of(soak).equals(heat.setup())
                && soak.seconds() <= heat.soakSeconds() + 1;
    }

    /** Whether it is warmed by one of these at some time. */
    public boolean uses(Set<String> sourceIds) {
        return !stretches && sourceIds.contains(heat.source().id())
                || (cut.warmings() > 0 || airOnTheWay())
                        && sourceIds.contains(means.source().id());
    }

    boolean cold() {
        double edge = cut.stretches().stream()
                .mapToDouble(stretch -> stretch.where().lengthMm())
                .sum();
        return tooCold(coldMm, edge);
    }

    static boolean tooCold(double coldMm, double edgeMm) {
        return coldMm > COLD_SHARE * edgeMm;
    }

    /** Seconds until it is open, plus what a hand pays for a bond it finds cold and for air in the other hand. */
    double cost() {
        return seconds() + OpeningPlanner.COLD_S_PER_MM * coldMm + (airOnTheWay() ? OpeningPlanner.BOTH_HANDS_S : 0);
    }

    /** Whether air is held on it while it is cut. */
    public boolean airOnTheWay() {
        return means.air() && (stretches || cut.airOn());
    }
}
