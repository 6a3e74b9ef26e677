package ridgefall.core.heat;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.Band;

/**
 * The last step at which a device may still lie on its source.
 *
 * @param binding what comes too near its limit a step later, or null if nothing does while it is looked at
 */
record Latest(int step, Limit binding) {
    /** Only what still rises is asked for, and that is slow: steps may be wide. */
    private static final double COOLING_STEP_S = 2 * Benches.STEP_S;

    private static final int COOLING_STEPS = Benches.AFTERWARDS / 2;

    /** One bench on a source: what it goes through at a rise of one kelvin, and the rise it has. */
    record Course(Track track, Track.Look look, Exposure.Over over, double riseK) {
        double peakK(Limit limit, int step) {
            return riseK * limit.curve().apply(track)[step];
        }

        Track cooling(int step) {
            return look.cooling(look.state(track, over, step), COOLING_STEP_S, COOLING_STEPS);
        }
    }

    /** While it lies there: caution in the likely case, stop on nine of ten benches. */
    static Latest onTheSource(int steps, HeatLimits limits, BiFunction<Limit, Integer, Band> celsius) {
        Latest latest = new Latest(steps, null);
        for (Limit limit : Limit.values()) {
            latest = latest.unless(limit, step -> limit.keptBy(celsius.apply(limit, step), limits));
        }
        return latest;
    }

    /** The same, or sooner where something still rises past its stop after the pull. */
    Latest keptAfterwards(HeatLimits limits, double roomC, List<Course> courses, Function<double[], Band> spread) {
        Latest latest = this;
        List<Track> after = cooling(courses, step);
        for (Limit limit : Limit.values()) {
            double[] rising = stillRisingK(limit, courses, step, after);
            latest = latest.unless(
                    limit, at -> limit.stopKeptBy(spread.apply(peaksC(limit, roomC, courses, at, rising)), limits));
        }
        return latest.step == step ? this : latest.keptAfterwards(limits, roomC, courses, spread);
    }

    /** What follows if each is taken off at a step. */
    static List<Track> cooling(List<Course> courses, int step) {
        return courses.parallelStream().map(course -> course.cooling(step)).toList();
    }

    /** How much a limit's part of each still rises then: heat on its way goes on into it. */
    static double[] stillRisingK(Limit limit, List<Course> courses, int step, List<Track> cooling) {
        return IntStream.range(0, cooling.size())
                .mapToDouble(i -> {
                    double[] after = limit.curve().apply(cooling.get(i));
                    Course course = courses.get(i);
                    return Math.max(0, course.riseK() * after[after.length - 1] - course.peakK(limit, step));
                })
                .toArray();
    }

    /** What it gets to on each at a step, °C, with what it rises further. */
    static double[] peaksC(Limit limit, double roomC, List<Course> courses, int step, double[] rising) {
        return IntStream.range(0, rising.length)
                .mapToDouble(i -> roomC + courses.get(i).peakK(limit, step) + rising[i])
                .toArray();
    }

    private Latest unless(Limit limit, IntPredicate keeps) {
        int kept = Benches.lastWhile(step, keeps);
        return kept < step ? new Latest(kept, limit) : this;
    }
}
