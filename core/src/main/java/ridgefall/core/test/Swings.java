package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import ridgefall.core.test.TouchLine.Wave;

/**
 * All that a drawn line swings by, one wave after the other: of what is left the strongest between 2 and 20 mm is taken off, by least
 * squares, since answers may be missing. So a small wave is seen beside a large one, and how much a line swings at one length is asked
 * without what it swings by at others.
 */
final class Swings {
    private static final double SHORTEST_MM = 2;
    private static final double LONGEST_MM = 20;

    /** Waves are looked for so many to each that the line can tell apart. */
    private static final int FINELY = 4;

    /** A hand that shakes unevenly swings by several; what is left then is the grain of a panel. */
    private static final int MOST = 6;

    private static final double LEAST_MM = 0.08;

    /** Answers nearer to one another than that are one: no wave looked for is shorter than five of these. */
    private static final double STEP_MM = 0.4;

    /**
     * A part that looks so much like a wave at these answers may be that wave: near it in length, or one that the answers are too far
     * apart to tell it from.
     */
    private static final double SAME = 0.4;

    /** Where cosine and sine are so nearly the same at all answers, they can't be told apart. */
    private static final double ALIKE = 0.05;

    /** {@code d ≈ a cos(2π f s) + b sin(2π f s)}. */
    private record Part(double perMm, double a, double b) {
        double amplitudeMm() {
            return Math.hypot(a, b);
        }

        double at(double s) {
            double turned = 2 * Math.PI * perMm * s;
            return a * Math.cos(turned) + b * Math.sin(turned);
        }
    }

    static final Swings NONE = new Swings(new double[0], new double[0], 0, List.of());

    private final double[] s;
    /** What is left without any of the parts. */
    private final double[] rest;

    private final double lengthMm;
    private final List<Part> parts;

    private Swings(double[] s, double[] rest, double lengthMm, List<Part> parts) {
        this.s = s;
        this.rest = rest;
        this.lengthMm = lengthMm;
        this.parts = parts;
    }

    /**
     * @param along in mm
     * @param aside of the line it was meant to be, bent as an arm bends it; in mm
     */
    static Swings of(double[] along, double[] aside) {
        double[][] steps = stepwise(along, aside);
        double[] s = steps[0];
        double[] rest = steps[1];
        double lengthMm =
                DoubleStream.of(s).max().orElse(0) - DoubleStream.of(s).min().orElse(0);
        List<Part> parts = new ArrayList<>();
        Table table = new Table(s, Math.max(lengthMm, SHORTEST_MM));
        while (parts.size() < MOST) {
            Part part = table.strongest(s, rest);
            if (part.amplitudeMm() < LEAST_MM) {
                break;
            }
            parts.add(part);
            rest = plus(s, rest, part, -1);
        }
        return new Swings(s, rest, lengthMm, List.copyOf(parts));
    }

    /** The mean of all answers within each step; none of a step without any. */
    private static double[][] stepwise(double[] along, double[] aside) {
        double from = DoubleStream.of(along).min().orElse(0);
        double to = DoubleStream.of(along).max().orElse(0);
        int n = (int) ((to - from) / STEP_MM) + 1;
        double[] s = new double[n];
        double[] d = new double[n];
        int[] count = new int[n];
        for (int i = 0; i < along.length; i++) {
            int at = (int) ((along[i] - from) / STEP_MM);
            s[at] += along[i];
            d[at] += aside[i];
            count[at]++;
        }
        int[] filled = IntStream.range(0, n).filter(i -> count[i] > 0).toArray();
        return new double[][] {
            IntStream.of(filled).mapToDouble(i -> s[i] / count[i]).toArray(),
            IntStream.of(filled).mapToDouble(i -> d[i] / count[i]).toArray()
        };
    }

    /** Cosines and sines of every wave looked for, at every answer; a step further on they are turned by what one step turns them. */
    private static final class Table {
        private final double perMm;
        private final double step;
        private final double[][] cos;
        private final double[][] sin;

        Table(double[] s, double lengthMm) {
            step = 1 / (FINELY * lengthMm);
            // What comes less than twice on the line is no wave.
            perMm = Math.max(1 / LONGEST_MM, 2 / lengthMm);
            int waves = Math.max(0, (int) Math.floor((1 / SHORTEST_MM - perMm) / step) + 1);
            cos = new double[waves][s.length];
            sin = new double[waves][s.length];
            for (int i = 0; i < s.length && waves > 0; i++) {
                double turned = 2 * Math.PI * s[i];
                double stepCos = Math.cos(turned * step);
                double stepSin = Math.sin(turned * step);
                cos[0][i] = Math.cos(turned * perMm);
                sin[0][i] = Math.sin(turned * perMm);
                for (int wave = 1; wave < waves; wave++) {
                    cos[wave][i] = cos[wave - 1][i] * stepCos - sin[wave - 1][i] * stepSin;
                    sin[wave][i] = sin[wave - 1][i] * stepCos + cos[wave - 1][i] * stepSin;
                }
            }
        }

        Part strongest(double[] s, double[] d) {
            Part strongest = new Part(perMm, 0, 0);
            for (int wave = 0; wave < cos.length; wave++) {
                strongest = stronger(strongest, fitted(d, perMm + wave * step, cos[wave], sin[wave]));
            }
            for (double half = step / 2; half > step / 20; half /= 2) {
                double near = strongest.perMm();
                strongest = stronger(stronger(strongest, fitted(s, d, near - half)), fitted(s, d, near + half));
            }
            return strongest;
        }
    }

    private static Part stronger(Part one, Part other) {
        return other.amplitudeMm() > one.amplitudeMm() ? other : one;
    }

    private static Part fitted(double[] s, double[] d, double perMm) {
        double turned = 2 * Math.PI * perMm;
        return fitted(
                d,
                perMm,
                DoubleStream.of(s).map(at -> Math.cos(turned * at)).toArray(),
                DoubleStream.of(s).map(at -> Math.sin(turned * at)).toArray());
    }

    private static Part fitted(double[] d, double perMm, double[] cos, double[] sin) {
        double cc = 0;
        double ss = 0;
        double cs = 0;
        double dc = 0;
        double ds = 0;
        for (int i = 0; i < d.length; i++) {
            cc += cos[i] * cos[i];
            ss += sin[i] * sin[i];
            cs += cos[i] * sin[i];
            dc += d[i] * cos[i];
            ds += d[i] * sin[i];
        }
        double determinant = cc * ss - cs * cs;
        return determinant < ALIKE * d.length * d.length / 4
                ? new Part(perMm, 2 * dc / d.length, 2 * ds / d.length)
                : new Part(perMm, (dc * ss - ds * cs) / determinant, (ds * cc - dc * cs) / determinant);
    }

    private static double[] plus(double[] s, double[] d, Part part, int sign) {
        double[] sum = new double[d.length];
        Arrays.setAll(sum, i -> d[i] + sign * part.at(s[i]));
        return sum;
    }

    /** What it swings by, the strongest first. */
    List<Wave> waves() {
        return parts.stream()
                .map(part -> new Wave(1 / part.perMm(), part.amplitudeMm()))
                .toList();
    }

    /** How far it swings at about this length, whatever it swings by at others, mm to either side. */
    double atMm(double periodMm) {
        if (lengthMm == 0) {
            return 0;
        }
        double perMm = 1 / periodMm;
        double apart = 1 / lengthMm;
        double[] near = rest;
        for (Part part : parts) {
            double[] alone = plus(s, new double[s.length], part, 1);
            near = fitted(s, alone, perMm).amplitudeMm() > SAME * part.amplitudeMm() ? plus(s, near, part, 1) : near;
        }
        double[] d = near;
        return IntStream.rangeClosed(-FINELY / 2, FINELY / 2)
                .mapToDouble(i -> fitted(s, d, perMm + i * apart / FINELY).amplitudeMm())
                .max()
                .orElse(0);
    }
}
