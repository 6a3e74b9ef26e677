package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;
import ridgefall.core.test.TouchTrace.Stroke;

/**
 * One stroke that was meant to be straight: total least squares, the angle {@code ½ atan2(2 s_xy, s_xx − s_yy)}; beside it a quadratic is
 * taken off, which is a bent ruler or an arm, and of what is left the strongest wave between 2 and 20 mm is
 * {@code 2 |mean(d e^(−2πi s/λ))|}.
 *
 * @param lengthMm along it
 * @param rmsMm off the straight line; means something for ruler lines only
 * @param wave the strongest
 * @param mmPerS at which it was drawn
 * @param medianMs between samples
 * @param breaks where it was lost or leapt
 * @param ends how far off its line it was told near the screen's edges; none of a short one
 */
public record TouchLine(
        double lengthMm, double rmsMm, Wave wave, double mmPerS, double medianMs, List<Break> breaks, List<End> ends) {
    private static final double SHORTEST_MM = 2;
    private static final double LONGEST_MM = 20;

    /** Waves are looked for so many to each that the line can tell apart: one that falls between two shows 97 % of itself. */
    private static final int FINELY = 4;

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

    private static final Wave NONE = new Wave(SHORTEST_MM, 0);

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
                waves ? wave(only(along, looked), only(beside, looked)) : NONE,
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

    private static Wave wave(double[] s, double[] beside) {
        double[] d = unbent(s, beside);
        double lengthMm =
                DoubleStream.of(s).max().orElse(0) - DoubleStream.of(s).min().orElse(0);
        int n = s.length;
        double step = 1 / (FINELY * lengthMm);
        // What comes less than twice on the line is no wave.
        double perMm = Math.max(1 / LONGEST_MM, 2 / lengthMm);
        double[] cos = turned(s, perMm, Math::cos);
        double[] sin = turned(s, perMm, Math::sin);
        double[] stepCos = turned(s, step, Math::cos);
        double[] stepSin = turned(s, step, Math::sin);
        Wave strongest = NONE;
        for (; perMm <= 1 / SHORTEST_MM; perMm += step) {
            double a = 0;
            double b = 0;
            for (int i = 0; i < n; i++) {
                a += d[i] * cos[i];
                b += d[i] * sin[i];
                // A step further on at every point: turned by what one step turns it.
                double further = cos[i] * stepCos[i] - sin[i] * stepSin[i];
                sin[i] = sin[i] * stepCos[i] + cos[i] * stepSin[i];
                cos[i] = further;
            }
            double amplitude = 2 * Math.hypot(a, b) / n;
            if (amplitude > strongest.amplitudeMm()) {
                strongest = new Wave(1 / perMm, amplitude);
            }
        }
        return strongest;
    }

    private static double[] turned(double[] s, double perMm, DoubleUnaryOperator by) {
        return DoubleStream.of(s)
                .map(at -> by.applyAsDouble(2 * Math.PI * perMm * at))
                .toArray();
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
     * Two and a half times as far from one answer to the next as usual: lost, where it took longer too, leapt where it did not. A finger
     * that rests says nothing either, and has not moved when it goes on.
     */
    private static List<Break> breaks(List<Sample> samples, Screen screen, double[] beside, double medianMs) {
        double[] steps = IntStream.range(1, samples.size())
                .mapToDouble(i -> screen.mm(samples.get(i).apartPx(samples.get(i - 1))))
                .toArray();
        double usual = LOST * median(steps);
        List<Break> breaks = new ArrayList<>();
        for (int i = 1; i < samples.size(); i++) {
            double ms = samples.get(i).ms() - samples.get(i - 1).ms();
            boolean late = ms > Math.max(LOST * medianMs, SEEN_MS);
            if (steps[i - 1] > Math.max(usual, late ? LOST_MM : LEAP_MM)) {
                boolean elsewhere = Math.abs(beside[i] - beside[i - 1]) > BESIDE_MM;
                breaks.add(new Break(elsewhere || !late, samples.get(i - 1), steps[i - 1], ms));
            }
        }
        return breaks;
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
