package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.material.Cutting;

/**
 * One stretch cut in a bond that cools, is warmed and cools again: the integral of {@code ds / v(T(s, t))}.
 *
 * @param warmFirst what is warmed before the pick goes in, or null
 * @param pauses what is warmed on the way
 * @param airSeconds of which air is held on it
 * @param coldestC of the bond under the pick
 * @param coldMm how much of it was cut in a bond that was colder than one that is cut
 */
record Cut(
        Warming warmFirst,
        List<CutPlan.Pause> pauses,
        double seconds,
        double airSeconds,
        double coldestC,
        double coldMm) {
    private static final double STEP_MM = 1;

    /** What is cut, and the way the pick goes. */
    record Way(Stretch stretch, boolean clockwise, boolean entry) {
        private double lengthMm() {
            return stretch.where().lengthMm();
        }

        /** Where the pick is after some of it. */
        double at(double cutMm, Turn turn) {
            double from = stretch.where().fromMm();
            return turn.wrap(clockwise ? from + cutMm : from + lengthMm() - cutMm);
        }

        private EdgeInterval left(double cutMm, Turn turn) {
            double from = stretch.where().fromMm();
            return new EdgeInterval(clockwise ? turn.wrap(from + cutMm) : from, lengthMm() - cutMm);
        }
    }

    /** All the way, in order; or as far as it was of interest. */
    static List<Cut> along(List<Way> ways, Cutting cutting, Warmth warmth, Turn turn) {
        List<Cut> cuts = new ArrayList<>();
        for (int i = 0; i < ways.size() && !warmth.givenUp(); i++) {
            cuts.add(of(ways.subList(i, ways.size()), cutting, warmth, turn));
        }
        return cuts;
    }

    /** The same, with all of it warmed before the first. */
    static List<Cut> warmedFirst(List<Cut> cuts, Warming all) {
        return IntStream.range(0, cuts.size())
                .mapToObj(i -> i > 0 ? cuts.get(i) : cuts.get(i).warmedFirst(all))
                .toList();
    }

    private Cut warmedFirst(Warming warming) {
        return new Cut(warming, pauses, seconds, airSeconds, coldestC, coldMm);
    }

    /** @param ahead what is left, this one first */
    private static Cut of(List<Way> ahead, Cutting cutting, Warmth warmth, Turn turn) {
        Way way = ahead.get(0);
        double coldest = Double.POSITIVE_INFINITY;
        double seconds = 0;
        double coldMm = 0;
        double air = 0;
        Warming first = null;
        List<CutPlan.Pause> pauses = new ArrayList<>();
        for (double cut = 0; cut < way.lengthMm(); cut += STEP_MM) {
            double step = Math.min(STEP_MM, way.lengthMm() - cut);
            double at = way.at(cut, turn);
            if (warmth.worthWarming(cutting.mmPerS(warmth.bondC(at)))) {
                Optional<Warming> warmed = warmth.again(left(ahead, cut, turn), way.clockwise());
                if (cut == 0) {
                    first = warmed.orElse(null);
                } else {
                    warmed.ifPresent(warming -> pauses.add(new CutPlan.Pause(at, warming)));
                }
            }
            double bond = warmth.bondC(at);
            double mmPerS = cutting.mmPerS(bond);
            // Where nothing makes it warm enough it is cut cold, slowly and with a thin blade.
            coldMm += mmPerS < Cutting.SLOWEST_MM_PER_S ? step : 0;
            double took = step * way.stretch().difficulty() / Math.max(Cutting.SLOWEST_MM_PER_S, mmPerS);
            coldest = Math.min(coldest, bond);
            seconds += took;
            double done = cut;
            air += warmth.pass(took, () -> left(ahead, done, turn), way.clockwise());
        }
        return new Cut(first, pauses, seconds, air, coldest, coldMm);
    }

    private static List<EdgeInterval> left(List<Way> ahead, double cutMm, Turn turn) {
        return Stream.concat(
                        Stream.of(ahead.get(0).left(cutMm, turn)),
                        ahead.stream().skip(1).map(way -> way.stretch().where()))
                .toList();
    }

    Stream<Warming> warmings() {
        return Stream.concat(Stream.ofNullable(warmFirst), pauses.stream().map(CutPlan.Pause::warming));
    }

    /** With every warming on the way. */
    double allSeconds() {
        return seconds + warmings().mapToDouble(Warming::withHandlingSeconds).sum();
    }
}
