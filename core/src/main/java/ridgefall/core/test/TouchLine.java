package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;
import ridgefall.core.test.TouchTrace.Stroke;

/**
 * One stroke that was meant to be straight: total least squares, the angle {@code ½ atan2(2 s_xy, s_xx − s_yy)}; beside it a quadratic is
 * taken off, which is a bent ruler or an arm, and what is left is told wave by wave ({@link Swings}).
 *
 * @param lengthMm along it
 * @param rmsMm off the straight line; means something for ruler lines only
 * @param swings all that it swings by
 * @param mmPerS at which it was drawn
 * @param medianMs between samples
 * @param breaks where it was lost or leapt
 * @param ends how far off its line it was told near the screen's edges; none of a short one
 */
public record TouchLine(
        double lengthMm,
        double rmsMm,
        Swings swings,
        double mmPerS,
        double medianMs,
        List<Break> breaks,
        List<End> ends) {
    private static final double LOST = 2.5;
    private static final double LEAP_MM = 3;

    /** Whatever a browser's own clock does between two answers: less than that no drawn line shows. */
    private static final double SEEN_MS = 20;

    /** Where it was late as well, less is enough. */
    private static final double LOST_MM = 1;

    /** Off the line by that much the finger was elsewhere, not only ahead. */
    private static final double BESIDE_MM = 2;

    /** So near the edge a layer has fewer lines to tell a finger by. */
    private static final double NEAR_EDGE_MM = 12;

    /** At half a finger's width from the edge the finger itself hangs over it. */
    private static final double OVER_EDGE_MM = 4;

    /** What of a line lies inside says where it should go on: less of it does not. */
    private static final double LEAST_INSIDE_MM = 60;

    /** Of an end so much is looked at. */
    private static final double END_MM = 6;

    private static final Wave NONE = new Wave(Double.POSITIVE_INFINITY, 0);

    /** Fewer make no line. */
    static final int LEAST_SAMPLES = 12;

    /** @param amplitudeMm half of what it swings from side to side */
    public record Wave(double periodMm, double amplitudeMm) {
        /** How often a hand would have to shake for it. */
        double hertz(double mmPerS) {
            return mmPerS / periodMm;
        }
    }

    /**
     * @param leapt whether it went on without a pause, somewhere else
     * @param at where it was last
     */
    public record Break(boolean leapt, Sample at, double mm, double ms) {}

    /**
     * @param at where it ends, near an edge
     * @param asideMm from where the rest of the line leads
     * @param screen that it ends on
     */
    public record End(Sample at, double asideMm, Screen screen) {
        double apartMm(End other) {
            return screen.mm(at.apartPx(other.at));
        }
    }

    public static TouchLine of(Stroke stroke, Screen screen) {
        return of(stroke, screen, true);
    }

    /** @param waves whether it was drawn to be looked at for waves; nobody sweeps along a ruler */
    static TouchLine of(Stroke stroke, Screen screen, boolean waves) {
        List<Sample> samples = stroke.samples();
        int n = samples.size();
        double meanX = samples.stream().mapToDouble(Sample::xPx).average().orElse(0);
        double meanY = samples.stream().mapToDouble(Sample::yPx).average().orElse(0);
        double sxx = 0;
        double syy = 0;
        double sxy = 0;
        for (Sample sample : samples) {
            double dx = sample.xPx() - meanX;
            double dy = sample.yPx() - meanY;
            sxx += dx * dx;
            syy += dy * dy;
            sxy += dx * dy;
        }
        double angle = 0.5 * Math.atan2(2 * sxy, sxx - syy);
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        double[] along = new double[n];
        double[] beside = new double[n];
        for (int i = 0; i < n; i++) {
            double dx = samples.get(i).xPx() - meanX;
            double dy = samples.get(i).yPx() - meanY;
            along[i] = screen.mm(dx * cos + dy * sin);
            beside[i] = screen.mm(dy * cos - dx * sin);
        }
        double rms = Math.sqrt(IntStream.range(0, n)
                .mapToDouble(i -> beside[i] * beside[i])
                .average()
                .orElse(0));
        double length = IntStream.range(0, n).mapToDouble(i -> along[i]).max().orElse(0)
                - IntStream.range(0, n).mapToDouble(i -> along[i]).min().orElse(0);
        double seconds = (samples.get(n - 1).ms() - samples.get(0).ms()) / 1000;
        double medianMs = median(IntStream.range(1, n)
                .mapToDouble(i -> samples.get(i).ms() - samples.get(i - 1).ms())
                .toArray());
        List<End> ends = waves ? ends(samples, screen, along, beside) : List.of();
        // What bends at its ends only swings nowhere.
        boolean pulled = ends.stream().anyMatch(end -> end.asideMm() > TouchProof.PERHAPS_PULLED_MM);
        int[] looked = IntStream.range(0, n)
                .filter(i -> !pulled || edgeMm(samples.get(i), screen) >= NEAR_EDGE_MM)
                .toArray();
        return new TouchLine(
                length,
                rms,
                waves ? swings(only(along, looked), only(beside, looked)) : Swings.NONE,
                seconds <= 0 ? 0 : length / seconds,
                medianMs,
                breaks(samples, screen, beside, medianMs),
                ends);
    }

    private static double[] only(double[] values, int[] which) {
        return IntStream.of(which).mapToDouble(i -> values[i]).toArray();
    }

    /** Each end that lies near the screen's edge, against the parabola through what lies inside. */
    private static List<End> ends(List<Sample> samples, Screen screen, double[] along, double[] beside) {
        int[] inside = IntStream.range(0, along.length)
                .filter(i -> edgeMm(samples.get(i), screen) >= NEAR_EDGE_MM)
                .toArray();
        if (inside.length < LEAST_SAMPLES
                || Math.abs(along[inside[inside.length - 1]] - along[inside[0]]) < LEAST_INSIDE_MM) {
            return List.of();
        }
        double[] parabola = parabola(only(along, inside), only(beside, inside));
        return IntStream.of(0, along.length - 1)
                .filter(end -> edgeMm(samples.get(end), screen) < NEAR_EDGE_MM)
                .mapToObj(end -> new End(
                        samples.get(end),
                        Math.abs(median(IntStream.range(0, along.length)
                                .filter(i -> Math.abs(along[i] - along[end]) < END_MM
                                        && edgeMm(samples.get(i), screen) >= OVER_EDGE_MM
                                        && edgeMm(samples.get(i), screen) < NEAR_EDGE_MM)
                                .mapToDouble(i -> beside[i] - at(parabola, along[i]))
                                .toArray())),
                        screen))
                .toList();
    }

    private static double edgeMm(Sample sample, Screen screen) {
        return screen.mm(Math.min(
                Math.min(sample.xPx(), screen.widthPx() - sample.xPx()),
                Math.min(sample.yPx(), screen.heightPx() - sample.yPx())));
    }

    private static Swings swings(double[] s, double[] beside) {
        return Swings.of(s, unbent(s, beside));
    }

    /** The strongest that it swings by. */
    Wave wave() {
        return swings.waves().stream().findFirst().orElse(NONE);
    }

    /** Without the quadratic that fits it best. */
    private static double[] unbent(double[] s, double[] d) {
        double[] parabola = parabola(s, d);
        return IntStream.range(0, d.length)
                .mapToDouble(i -> d[i] - at(parabola, s[i]))
                .toArray();
    }

    private static double at(double[] parabola, double s) {
        return parabola[0] + parabola[1] * s + parabola[2] * s * s;
    }

    /** Least squares; nothing where the points lie on one another. */
    private static double[] parabola(double[] s, double[] d) {
        double[][] m = new double[3][4];
        for (int i = 0; i < s.length; i++) {
            double[] powers = {1, s[i], s[i] * s[i]};
            for (int row = 0; row < 3; row++) {
                for (int column = 0; column < 3; column++) {
                    m[row][column] += powers[row] * powers[column];
                }
                m[row][3] += powers[row] * d[i];
            }
        }
        for (int pivot = 0; pivot < 3; pivot++) {
            if (Math.abs(m[pivot][pivot]) < 1e-12) {
                return new double[3];
            }
            for (int row = 0; row < 3; row++) {
                double times = row == pivot ? 0 : m[row][pivot] / m[pivot][pivot];
                for (int column = pivot; column < 4; column++) {
                    m[row][column] -= times * m[pivot][column];
                }
            }
        }
        return new double[] {m[0][3] / m[0][0], m[1][3] / m[1][1], m[2][3] / m[2][2]};
    }

    /**
     * Two and a half times as far from one answer to the next as the time between them explains: it leapt. Where it is as far as the time
     * explains and that is long, it was lost; a finger that rests says nothing either, and has not moved when it goes on.
     */
    private static List<Break> breaks(List<Sample> samples, Screen screen, double[] beside, double medianMs) {
        int n = samples.size();
        double[] steps = IntStream.range(1, n)
                .mapToDouble(i -> screen.mm(samples.get(i).apartPx(samples.get(i - 1))))
                .toArray();
        double[] ms = IntStream.range(1, n)
                .mapToDouble(i -> samples.get(i).ms() - samples.get(i - 1).ms())
                .toArray();
        double mmPerMs = median(steps) / medianMs;
        double lateMs = Math.max(SEEN_MS, medianMs * Math.max(LOST, missing(ms, medianMs)));
        List<Break> breaks = new ArrayList<>();
        for (int i = 0; i < n - 1; i++) {
            boolean late = ms[i] > lateMs;
            boolean leapt = steps[i] > Math.max(LEAP_MM, LOST * mmPerMs * Math.max(ms[i], medianMs));
            boolean elsewhere = late && Math.abs(beside[i + 1] - beside[i]) > BESIDE_MM;
            if (leapt || late && steps[i] > Math.max(LOST_MM, LOST * median(steps))) {
                breaks.add(new Break(leapt && !late || elsewhere, samples.get(i), steps[i], ms[i]));
            }
        }
        return breaks;
    }

    /**
     * How many answers in a row a line may miss where it misses some all along, by chance one line in a hundred: a browser that is busy
     * loses them evenly, a panel in one place.
     */
    private static double missing(double[] ms, double medianMs) {
        double all = DoubleStream.of(ms).sum() / medianMs;
        double share = Math.max(1 - ms.length / all, 1e-6);
        return 1 + Math.log(0.01 / ms.length) / Math.log(Math.min(share, 0.5));
    }

    static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int n = sorted.length;
        return n == 0 ? 0 : (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
    }

    /** The strongest wave of some lines; none of none. */
    static Wave strongest(List<TouchLine> lines) {
        return lines.stream()
                .map(TouchLine::wave)
                .max(Comparator.comparing(Wave::amplitudeMm))
                .orElse(NONE);
    }
}
