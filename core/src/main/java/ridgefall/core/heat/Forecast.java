package ridgefall.core.heat;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import ridgefall.core.heat.EdgePieces.Piece;
import ridgefall.core.heat.HeatPlan.Point;
import ridgefall.core.heat.HeatState.Happening;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.units.Band;

/**
 * What a device does that lies on a source or has come off it: the plausible benches taken through all that happened, each
 * weighed by how well it agrees with what was measured and tried. It says nothing of now: whoever looks knows the time.
 * Times in s from the start of the last soak, temperatures in °C.
 *
 * @param soakSeq the last soak
 * @param running whether the device is still on the source
 * @param readyAt when the coldest stretch becomes workable; infinite where it does not
 * @param latestSeconds when it has to come off whatever the bond does
 * @param endedSeconds when it came off; infinite while it runs
 * @param agreeing share of the benches that still agree with what was measured and tried, 0–1
 * @param curve the bond at its coldest, battery and display
 * @param stretches round the edge
 */
public record Forecast(
        long soakSeq,
        boolean running,
        double workableFromC,
        Band readyAt,
        double latestSeconds,
        double endedSeconds,
        double agreeing,
        List<Point> curve,
        List<Stretch> stretches) {
    /** Benches behind it: as many as behind a plan, though some will be found not to agree. */
    static final int BENCHES = HeatPlanner.FULL;

    private static final double PICK_SIGMA_K = 3;
    /** A pick test is never quite certain. */
    private static final double SLIP_OF_HAND = 0.05;

    private static final double LEAST_BENCHES = 8;
    private static final int CURVE_POINTS = 90;
    /** Makes the logistic curve as steep as a normal one. */
    private static final double LOGISTIC = 1.7;

    private static final Band NEVER =
            new Band(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);

    /**
     * A piece of the edge.
     *
     * @param bondC likely, at the times of the curve
     * @param readyAt when it is workable
     * @param coldAt when it is no longer, once off the source; infinite before
     */
    public record Stretch(double fromMm, double lengthMm, List<Double> bondC, Band readyAt, Band coldAt) {}

    /** From when on a bench is told, s. */
    public record Moment(Kind kind, double fromS) {
        public enum Kind {
            READY,
            LIMIT
        }
    }

    /** What a bench is told while a soak runs, in order: the bond is likely ready; a limit is near, ready or not. */
    public List<Moment> moments() {
        Moment limit = new Moment(Moment.Kind.LIMIT, latestSeconds);
        return readyAt.p50() < latestSeconds
                ? List.of(new Moment(Moment.Kind.READY, readyAt.p50()), limit)
                : List.of(limit);
    }

    /** @param soaks of one job in their order, at least one */
    public static Forecast of(HeatQuestion question, List<Soak> soaks, List<Measured> measured) {
        return new Weighing(question, soaks, measured).forecast();
    }

    private static final class Weighing {
        private static final double STEP_S = Timeline.STEP_S;

        private final Timeline timeline;
        private final HeatedDevice device;
        private final Soak last;
        private final List<Measured> measured;
        private final EdgePieces.Warmed targets;
        private final List<Timeline.Passage> benches;
        private final double[] weights;

        Weighing(HeatQuestion question, List<Soak> soaks, List<Measured> measured) {
            this.timeline = Timeline.of(question, soaks);
            this.device = timeline.device();
            this.last = soaks.get(soaks.size() - 1);
            this.measured = measured;
            this.targets = timeline.targets();
            this.benches = Arrays.stream(Knowledge.normals(BENCHES))
                    .parallel()
                    .map(normals -> timeline.pass(
                            source -> Knowledge.of(source, device.profileId()).scores(normals)))
                    .toList();
            this.weights = agreeing();
        }

        /** Logarithm of how plausible a bench is after what was measured and tried. */
        private double agrees(Timeline.Passage bench) {
            double log = 0;
            for (Measured m : measured) {
                log += agrees(bench, m.surface(), timeline.lastFromS() + m.seconds(), m.celsius(), m.sigmaK());
            }
            for (Happening h : timeline.tried()) {
                if (h.fact() instanceof HeatFact.PickTried f) {
                    double coldest = bench.coldestC(timeline.step(h.seconds()), targets);
                    double over = (coldest - device.workableFromC()) / PICK_SIGMA_K;
                    double goesIn = 1 / (1 + Math.exp(-LOGISTIC * over));
                    log += Math.log(SLIP_OF_HAND + (1 - 2 * SLIP_OF_HAND) * (f.goesIn() ? goesIn : 1 - goesIn));
                } else if (h.fact() instanceof HeatFact.TemperatureRead f) {
                    log += agrees(bench, f.surface(), h.seconds(), f.celsius(), Measured.BY_HAND_SIGMA_K);
                }
            }
            return log;
        }

        private double agrees(
                Timeline.Passage bench, HeatFact.Surface surface, double seconds, double celsius, double sigmaK) {
            double off = (celsius - bench.of(surface)[timeline.step(seconds)]) / sigmaK;
            return -off * off / 2;
        }

        /** Weights of the benches; flattened where hardly any agreed, as then none of them can be quite right. */
        private double[] agreeing() {
            double[] logs = benches.stream().mapToDouble(this::agrees).toArray();
            double best = Arrays.stream(logs).max().orElseThrow();
            double power = 1;
            double[] weighed;
            do {
                double p = power;
                weighed = Arrays.stream(logs)
                        .map(log -> Math.exp(p * (log - best)))
                        .toArray();
                power *= 0.8;
            } while (effective(weighed) < LEAST_BENCHES);
            return weighed;
        }

        /** How many equally weighed benches say as much. */
        private static double effective(double[] weights) {
            double sum = Arrays.stream(weights).sum();
            return sum * sum / Arrays.stream(weights).map(w -> w * w).sum();
        }

        private Band band(ToDoubleFunction<Timeline.Passage> value) {
            return Band.of(benches.stream().mapToDouble(value).toArray(), weights);
        }

        private Band at(Limit limit, int step) {
            return band(bench -> device.roomC() + bench.course().peakK(limit, step));
        }

        /** When it has to come off whatever the bond does. */
        private double latestS() {
            Latest latest = Latest.onTheSource(timeline.steps(), device.limits(), this::at);
            if (last.running()) {
                latest = latest.keptAfterwards(
                        device.limits(),
                        device.roomC(),
                        benches.stream().map(Timeline.Passage::course).toList(),
                        peaks -> Band.of(peaks, weights));
            }
            return Math.max(0, latest.step() * STEP_S - timeline.lastFromS());
        }

        /**
         * When a curve first gets to the workable temperature, or cold again, s since the last soak began; infinite if it does
         * not.
         */
        private double crosses(double fromS, boolean upwards, IntToDoubleFunction celsius) {
            int from = timeline.step(fromS);
            double sign = upwards ? 1 : -1;
            double meetsC = upwards ? device.workableFromC() : device.coldBelowC();
            double before = Double.NaN;
            for (int i = from; i <= timeline.steps(); i++) {
                double over = sign * (celsius.applyAsDouble(i) - meetsC);
                if (over >= 0) {
                    double back = i == from ? 0 : over / (over - before);
                    return Math.max(0, (i - back) * STEP_S - timeline.lastFromS());
                }
                before = over;
            }
            return Double.POSITIVE_INFINITY;
        }

        Forecast forecast() {
            double lastFromS = timeline.lastFromS();
            int from = timeline.step(lastFromS);
            int points = Math.min(CURVE_POINTS, timeline.steps() - from);
            int[] shown = IntStream.rangeClosed(0, points)
                    .map(i -> from + i * (timeline.steps() - from) / points)
                    .toArray();
            List<Point> curve = Arrays.stream(shown)
                    .mapToObj(i -> new Point(
                            i * STEP_S - lastFromS,
                            band(bench -> bench.coldestC(i, targets)),
                            at(Limit.BATTERY, i),
                            at(Limit.DISPLAY, i)))
                    .toList();
            List<Piece> pieces = device.pieces().pieces();
            List<Stretch> stretches = IntStream.range(0, pieces.size())
                    .mapToObj(p -> new Stretch(
                            pieces.get(p).fromMm(),
                            pieces.get(p).lengthMm(),
                            Arrays.stream(shown)
                                    .mapToObj(i ->
                                            band(bench -> bench.bondC()[i][p]).p50())
                                    .toList(),
                            band(bench -> crosses(lastFromS, true, i -> bench.bondC()[i][p])),
                            last.running()
                                    ? NEVER
                                    : band(bench -> crosses(timeline.endedS(), false, i -> bench.bondC()[i][p]))))
                    .toList();
            return new Forecast(
                    last.seq(),
                    last.running(),
                    device.workableFromC(),
                    band(bench -> crosses(lastFromS, true, i -> bench.coldestC(i, targets))),
                    latestS(),
                    timeline.endedS() - lastFromS,
                    effective(weights) / benches.size(),
                    curve,
                    stretches);
        }
    }
}
