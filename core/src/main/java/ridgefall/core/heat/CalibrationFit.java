package ridgefall.core.heat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.units.Band;

/**
 * Fits what nobody knew about a bench to a logged soak: least squares over the readings and, with the weight the handbook
 * deserves, over how far each unknown strays from its usual value. That is the most plausible bench; its curvature
 * there says how sure it is.
 */
public final class CalibrationFit {
    private static final double LEAST_SECONDS = 120;
    private static final int LEAST_READINGS = 20;
    private static final double LEAST_RISE_K = 10;
    private static final double ROOM_OFF_K = 3;
    private static final double WORST_RMS_K = 1.5;
    private static final double WORST_DRIFT_K = 2;
    private static final double FARTHEST_SCORE = 3.5;

    /** One reading a surface in this time: closer ones err alike. */
    private static final double APART_S = 10;

    private static final double SIGMA_K = 0.7;
    /** What the model gets wrong it gets wrong for a while: so many neighbouring readings count as one. */
    private static final double ALIKE = 4;

    private static final double STEP = 0.02;
    private static final double P90 = 1.2816;

    /** What came of it. */
    public sealed interface Outcome {}

    public record Fitted(Calibration calibration) implements Outcome {}

    /** @param because at least one reason, a sentence each */
    public record Refused(List<String> because) implements Outcome {}

    private final Timeline timeline;
    private final HeatSource source;
    private final Setup setup;
    private final HeatQuestion question;
    private final List<Measured> readings;

    private CalibrationFit(HeatQuestion question, List<Soak> soaks, List<Measured> log) {
        this.question = question;
        this.timeline = Timeline.of(question, soaks);
        Soak last = soaks.get(soaks.size() - 1);
        this.source = question.source(last.sourceId());
        this.setup = Setup.of(last.started());
        this.readings = thinned(log);
    }

    /**
     * @param soaks of one job; the log is of the last
     * @param log in time order, °C
     * @param at when this is
     */
    public static Outcome of(HeatQuestion question, List<Soak> soaks, List<Measured> log, Instant at) {
        List<String> unfit = unfit(log, question.roomC());
        if (!unfit.isEmpty()) {
            return new Refused(unfit);
        }
        return new CalibrationFit(question, soaks, log).fit(at);
    }

    private static List<String> unfit(List<Measured> log, double roomC) {
        List<String> reasons = new ArrayList<>();
        double seconds = log.stream().mapToDouble(Measured::seconds).max().orElse(0);
        if (seconds < LEAST_SECONDS) {
            reasons.add("the log is {s:" + Math.round(seconds) + "} long; {s:" + Math.round(LEAST_SECONDS)
                    + "} are needed to tell contact from offset");
        }
        if (log.size() < LEAST_READINGS) {
            reasons.add("it has " + log.size() + " readings; " + LEAST_READINGS + " are needed");
        }
        for (Surface surface : Surface.values()) {
            List<Measured> of = log.stream().filter(m -> m.surface() == surface).toList();
            if (of.isEmpty()) {
                continue;
            }
            double first = of.get(0).celsius();
            double greatest = of.stream().mapToDouble(Measured::celsius).max().orElseThrow();
            String where = surface.name().toLowerCase(Locale.ROOT);
            if (of.get(0).seconds() < APART_S && Math.abs(first - roomC) > ROOM_OFF_K) {
                reasons.add("the " + where + " begins at {C:" + tenth(first) + "}: not at the room's {C:"
                        + Math.round(roomC) + "}, or in another unit");
            }
            if (greatest - first < LEAST_RISE_K) {
                reasons.add("the " + where + " rises by {K:" + tenth(greatest - first)
                        + "} only: did the thermometer touch?");
            }
        }
        return reasons;
    }

    private static List<Measured> thinned(List<Measured> log) {
        List<Measured> kept = new ArrayList<>();
        for (Surface surface : Surface.values()) {
            double next = Double.NEGATIVE_INFINITY;
            for (Measured m : log) {
                if (m.surface() == surface && m.seconds() >= next) {
                    kept.add(m);
                    next = m.seconds() + APART_S;
                }
            }
        }
        return kept;
    }

    private Outcome fit(Instant at) {
        int n = Unknown.count();
        RealVector target = new ArrayRealVector(readings.size() + n);
        for (int i = 0; i < readings.size(); i++) {
            target.setEntry(i, readings.get(i).celsius() / SIGMA_K);
        }
        Optimum best;
        try {
            best = new LevenbergMarquardtOptimizer().optimize(problem(target));
        } catch (MathIllegalStateException e) {
            return new Refused(List.of("no plausible bench comes near this log"));
        }
        double[] mean = best.getPoint().toArray();
        double[] off = IntStream.range(0, readings.size())
                .mapToDouble(i -> best.getResiduals().getEntry(i) * SIGMA_K)
                .toArray();
        double rms = Math.sqrt(IntStream.range(0, off.length)
                .mapToDouble(i -> off[i] * off[i])
                .average()
                .orElseThrow());
        List<String> reasons = misfit(mean, off, rms);
        if (!reasons.isEmpty()) {
            return new Refused(reasons);
        }
        RealMatrix covariance = covariance(best.getJacobian(), Math.max(1, rms * rms / SIGMA_K / SIGMA_K));
        double[][] root = new CholeskyDecomposition(covariance).getL().getData();
        return new Fitted(new Calibration(
                question.profile().id(),
                at,
                band(Unknown.CONTACT, mean, root, Unknown.Bench::contactWPerM2K),
                band(
                        Unknown.SURFACE,
                        mean,
                        root,
                        bench -> bench.riseK(source, setup, setup.settingC(), question.roomC())
                                - usual().riseK(source, setup, setup.settingC(), question.roomC())),
                rms,
                readings.size(),
                mean,
                root));
    }

    private LeastSquaresProblem problem(RealVector target) {
        return new LeastSquaresBuilder()
                .start(new double[Unknown.count()])
                .target(target)
                .model(point -> new Pair<>(model(point), jacobian(point)))
                .checker((iteration, before, now) -> before.getPoint().getDistance(now.getPoint()) < STEP / 2)
                .maxEvaluations(60)
                .maxIterations(30)
                .build();
    }

    private List<String> misfit(double[] mean, double[] off, double rms) {
        List<String> reasons = new ArrayList<>();
        if (rms > WORST_RMS_K) {
            reasons.add("no plausible bench behaves like this log: {K:" + tenth(rms) + "} are left between them");
        }
        for (Surface surface : Surface.values()) {
            int[] of = IntStream.range(0, readings.size())
                    .filter(i -> readings.get(i).surface() == surface)
                    .toArray();
            if (of.length < 6) {
                continue;
            }
            int third = of.length / 3;
            double early = IntStream.range(0, third)
                    .mapToDouble(i -> off[of[i]])
                    .average()
                    .orElseThrow();
            double late = IntStream.range(of.length - third, of.length)
                    .mapToDouble(i -> off[of[i]])
                    .average()
                    .orElseThrow();
            if (Math.abs(late - early) > WORST_DRIFT_K) {
                reasons.add("the thermometer on the " + surface.name().toLowerCase(Locale.ROOT) + " drifts by {K:"
                        + tenth(Math.abs(late - early)) + "} against the model: did it come loose?");
            }
        }
        for (Unknown unknown : Unknown.values()) {
            if (Math.abs(mean[unknown.ordinal()]) > FARTHEST_SCORE) {
                reasons.add(unknown.words() + " would have to be beyond anything plausible");
            }
        }
        return reasons;
    }

    private RealVector model(RealVector point) {
        double[] scores = point.toArray();
        Timeline.Passage passage = timeline.pass(any -> scores);
        double[] values = new double[readings.size() + scores.length];
        for (int i = 0; i < readings.size(); i++) {
            Measured m = readings.get(i);
            values[i] = passage.at(m.surface(), timeline.lastFromS() + m.seconds()) / SIGMA_K;
        }
        System.arraycopy(scores, 0, values, readings.size(), scores.length);
        return new ArrayRealVector(values, false);
    }

    private RealMatrix jacobian(RealVector point) {
        RealMatrix jacobian = new Array2DRowRealMatrix(readings.size() + point.getDimension(), point.getDimension());
        IntStream.range(0, point.getDimension()).parallel().forEach(j -> {
            RealVector above = point.copy();
            above.addToEntry(j, STEP);
            RealVector below = point.copy();
            below.addToEntry(j, -STEP);
            RealVector slope = model(above).subtract(model(below)).mapDivide(2 * STEP);
            synchronized (jacobian) {
                jacobian.setColumnVector(j, slope);
            }
        });
        return jacobian;
    }

    /** The inverse of the curvature, with the readings' share made smaller by what they repeat and the model misses. */
    private RealMatrix covariance(RealMatrix jacobian, double missed) {
        int n = jacobian.getColumnDimension();
        RealMatrix read = jacobian.getSubMatrix(0, readings.size() - 1, 0, n - 1);
        RealMatrix information = read.transposeMultiply(read)
                .scalarMultiply(1 / (ALIKE * missed))
                .add(MatrixUtils.createRealIdentityMatrix(n));
        RealMatrix inverse = new CholeskyDecomposition(information).getSolver().getInverse();
        // Symmetric but for the last digits.
        return inverse.add(inverse.transpose()).scalarMultiply(0.5);
    }

    private Unknown.Bench usual() {
        return bench(new double[Unknown.count()]);
    }

    private Unknown.Bench bench(double[] scores) {
        return Unknown.bench(
                timeline.device().stack(),
                source,
                source.contact(timeline.device().condition(), setup),
                scores);
    }

    private Band band(Unknown unknown, double[] mean, double[][] root, ToDoubleFunction<Unknown.Bench> of) {
        double sigma = new Knowledge(mean, root).sigma(unknown);
        double[] at = {-P90, 0, P90};
        double[] values = new double[at.length];
        for (int i = 0; i < at.length; i++) {
            double[] scores = mean.clone();
            scores[unknown.ordinal()] += at[i] * sigma;
            values[i] = of.applyAsDouble(bench(scores));
        }
        return new Band(values[0], values[1], values[2]);
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
