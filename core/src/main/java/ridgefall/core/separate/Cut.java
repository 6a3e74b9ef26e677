package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.material.Cutting;

/**
 * One stretch cut while the bond cools: the integral of {@code ds / v(T(s, t))}, warmed again wherever the pick would no
 * longer go through.
 *
 * @param warmFirst whether it is warmed before the pick goes in
 * @param pausesAtMm edge positions at which it is warmed on the way
 * @param coldestC of the bond under the pick
 * @param warmedMm how much was cut since it was last warmed, up to the end of this stretch
 * @param sinceWarmS how long ago that was then
 */
record Cut(
        boolean warmFirst,
        List<Double> pausesAtMm,
        double seconds,
        double coldestC,
        double warmedMm,
        double sinceWarmS) {
    private static final double STEP_MM = 1;

    /** Nothing cut yet, just warmed. */
    static final Cut NONE = new Cut(false, List.of(), 0, 0, 0, 0);

    /** What is cut, with what, and the way the pick goes. */
    record Way(Stretch stretch, boolean clockwise, Cutting cutting, Warmth warmth, Turn turn) {
        private EdgeInterval after(double cutMm, double stepMm) {
            EdgeInterval all = stretch.where();
            double from = clockwise ? all.fromMm() + cutMm : all.fromMm() + all.lengthMm() - cutMm - stepMm;
            return new EdgeInterval(turn.wrap(from), stepMm);
        }
    }

    /** The next stretch after this one: warmed first if it needs it, or if that saves a pause on the way. */
    Cut then(Way way) {
        Cut straightOn = along(way, sinceWarmS, warmedMm, false);
        if (sinceWarmS == 0 && warmedMm == 0 || straightOn.pausesAtMm.isEmpty() && !straightOn.warmFirst) {
            return straightOn;
        }
        return along(way, 0, 0, true);
    }

    private static Cut along(Way way, double sinceS, double warmedMm, boolean warmFirst) {
        double length = way.stretch().where().lengthMm();
        double coldest = Double.POSITIVE_INFINITY;
        double seconds = 0;
        List<Double> pauses = new ArrayList<>();
        boolean first = warmFirst;
        for (double cut = 0; cut < length; cut += STEP_MM) {
            double step = Math.min(STEP_MM, length - cut);
            EdgeInterval here = way.after(cut, step);
            double bond = way.warmth().bondC(here, sinceS);
            double mmPerS = way.cutting().mmPerS(bond);
            boolean cold = mmPerS < Cutting.SLOWEST_MM_PER_S
                    || warmedMm + step > way.warmth().atATimeMm();
            double freshC = way.warmth().bondC(here, 0);
            double freshMmPerS = way.cutting().mmPerS(freshC);
            if (cold && sinceS > 0 && freshMmPerS >= Cutting.SLOWEST_MM_PER_S) {
                if (cut == 0) {
                    first = true;
                } else {
                    pauses.add(way.turn().wrap(here.fromMm()));
                }
                sinceS = 0;
                warmedMm = 0;
                bond = freshC;
                mmPerS = freshMmPerS;
            }
            // Where even fresh warmth is not enough it is cut cold, slowly and with a thin blade.
            double took = step * way.stretch().difficulty() / Math.max(Cutting.SLOWEST_MM_PER_S, mmPerS);
            coldest = Math.min(coldest, bond);
            seconds += took;
            sinceS += took;
            warmedMm += step;
        }
        return new Cut(first, pauses, seconds, coldest, warmedMm, sinceS);
    }
}
