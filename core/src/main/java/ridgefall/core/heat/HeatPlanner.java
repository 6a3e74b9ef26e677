package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.random.SobolSequenceGenerator;
import org.hipparchus.special.Erf;
import ridgefall.core.heat.HeatPlan.Candidate;
import ridgefall.core.heat.HeatPlan.Influence;
import ridgefall.core.heat.HeatPlan.Point;
import ridgefall.core.heat.SoakModel.Rise;
import ridgefall.core.heat.Unknown.Bench;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Band;

/**
 * Weighs every setting of every source against the same spread of plausible benches (64 points of a Sobol sequence) and
 * picks the one that has the bond workable soonest without passing a limit: caution in the likely case, stop on nine of
 * ten benches.
 */
public final class HeatPlanner {
    /** Dry peel force per width that a pick is pushed through by hand without prying. */
    public static final double WORKABLE_N_PER_MM = 0.4;

    private static final int BENCHES = 64;
    private static final double STEP_S = 3;
    private static final int STEPS = 300;
    private static final int SETTING_STEP_C = 5;
    /**
     * Off the source the bond falls to the frame's temperature within seconds, so the frame too has to be warmer than
     * just workable for there to be time to cut.
     */
    private static final double FRAME_HEADROOM_K = 4;

    /** A pull that leaves less time than this to cut is paid for with twice the missing seconds. */
    private static final double WANTED_WORKABLE_S = 90;

    private static final double LEAST_SHARE = 0.5;
    private static final double[][] SCORES = scores();

    private final HeatStack stack;
    private final FrontCondition condition;
    private final HeatLimits limits;
    private final double roomC;
    private final double workableC;

    public HeatPlanner(HeatStack stack, FrontCondition condition, Adhesive adhesive, HeatLimits limits, double roomC) {
        this.stack = stack;
        this.condition = condition;
        this.limits = limits;
        this.roomC = Allowed.between("roomC", roomC, 5, 40, "°C");
        this.workableC = adhesive.workableFromC(WORKABLE_N_PER_MM);
    }

    /** The best plan over all sources and settings, with what was weighed beside it. */
    public HeatPlan best(List<HeatSource> sources) {
        // Sources of one kind differ only by name until they are measured: weigh one of each.
        List<Spread> spreads =
                sources.stream().collect(Collectors.toMap(HeatSource::kind, s -> s, (a, b) -> a)).values().stream()
                        .sorted(Comparator.comparing(HeatSource::id))
                        .map(this::spread)
                        .toList();
        List<Trial> trials = spreads.stream()
                .flatMap(spread -> settings(spread.source).mapToObj(setting -> new Trial(spread, setting)))
                .toList();
        Trial chosen = trials.stream()
                .min(Comparator.comparing((Trial t) -> !t.feasible()).thenComparing(Trial::cost))
                .orElseThrow();
        return chosen.plan(trials);
    }

    /** The forecast for a source and setting that someone chose. */
    public HeatPlan on(HeatSource source, int settingC) {
        source.checkSetting(settingC);
        Trial trial = new Trial(spread(source), settingC);
        return trial.plan(List.of(trial));
    }

    private static IntStream settings(HeatSource source) {
        return IntStream.iterate(source.minC(), c -> c <= source.maxC(), c -> c + SETTING_STEP_C);
    }

    private Spread spread(HeatSource source) {
        List<Bench> benches = Arrays.stream(SCORES)
                .map(scores -> Unknown.bench(stack, source.contact(condition), scores))
                .toList();
        List<Rise> rises = IntStream.range(0, benches.size())
                .parallel()
                .mapToObj(i -> rise(benches.get(i)))
                .toList();
        return new Spread(source, benches, rises);
    }

    private static Rise rise(Bench bench) {
        return new SoakModel(bench.stack(), bench.contactWPerM2K()).soak(STEP_S, STEPS);
    }

    /** All benches' unit responses on one source: they serve every setting. */
    private record Spread(HeatSource source, List<Bench> benches, List<Rise> rises) {}

    /** One source at one setting. */
    private final class Trial {
        private final Spread spread;
        private final int settingC;
        private final double[] readyAt;
        private final double latest;
        private final double soak;
        private final double share;
        private final String hindrance;
        private final double cost;

        Trial(Spread spread, int settingC) {
            this.spread = spread;
            this.settingC = settingC;
            this.readyAt = times(Rise::bond, workableC);
            double[] comfortable = times(Rise::rim, workableC + FRAME_HEADROOM_K);
            this.latest = latest();
            double wanted =
                    Math.max(Band.of(readyAt).p90(), Band.of(comfortable).p50());
            this.soak = Math.min(wanted, latest);
            this.share = Arrays.stream(readyAt).filter(t -> t <= soak).count() / (double) BENCHES;
            this.hindrance = hindrance();
            Bench usual = Unknown.bench(stack, spread.source.contact(condition), new double[Unknown.values().length]);
            double lasting = workableFor(usual, steps(soak));
            this.cost = soak + 600 * (1 - share) + 2 * Math.max(0, WANTED_WORKABLE_S - lasting);
        }

        boolean feasible() {
            return hindrance == null;
        }

        /** Seconds, plus what a bench pays for finding the bond still cold or cold again too soon. */
        double cost() {
            return cost;
        }

        private String hindrance() {
            if (share >= LEAST_SHARE) {
                return null;
            }
            double hours = Band.of(readyAt).p50();
            if (Double.isInfinite(hours)) {
                return "the bond never gets to {C:" + tenth(workableC) + "}";
            }
            return "a limit is reached before the bond is workable";
        }

        private double scale(int bench) {
            return settingC + spread.benches.get(bench).surfaceOffsetK() - roomC;
        }

        private double[] times(Function<Rise, double[]> what, double celsius) {
            double[] times = new double[BENCHES];
            for (int i = 0; i < BENCHES; i++) {
                times[i] = crossing(what.apply(spread.rises.get(i)), (celsius - roomC) / scale(i));
            }
            return times;
        }

        /** The last step at which likely values keep the cautions and nine of ten benches keep the stops. */
        private double latest() {
            for (int step = 1; step <= STEPS; step++) {
                Band battery = at(Rise::battery, step);
                Band display = at(Rise::display, step);
                if (battery.p50() > limits.batteryCautionC()
                        || battery.p90() > limits.batteryStopC()
                        || display.p50() > limits.displayCautionC()
                        || display.p90() > limits.displayStopC()) {
                    return (step - 1) * STEP_S;
                }
            }
            return STEPS * STEP_S;
        }

        private Band at(Function<Rise, double[]> what, int step) {
            double[] values = new double[BENCHES];
            for (int i = 0; i < BENCHES; i++) {
                values[i] = roomC + scale(i) * what.apply(spread.rises.get(i))[step];
            }
            return Band.of(values);
        }

        HeatPlan plan(List<Trial> weighed) {
            int pull = steps(soak);
            List<Point> curve = IntStream.rangeClosed(0, 60)
                    .map(i -> i * (STEPS / 60))
                    .mapToObj(i -> new Point(i * STEP_S, at(Rise::bond, i), at(Rise::battery, i), at(Rise::display, i)))
                    .toList();
            return new HeatPlan(
                    spread.source,
                    settingC,
                    workableC,
                    soak,
                    share,
                    Band.of(readyAt),
                    latest,
                    at(Rise::bond, pull),
                    at(Rise::battery, pull),
                    at(Rise::display, pull),
                    workableFor(pull),
                    feasible(),
                    curve,
                    influences(),
                    weighed.stream().map(t -> t.candidate(this)).toList());
        }

        private Candidate candidate(Trial chosen) {
            String because;
            if (this == chosen) {
                because = feasible() ? "soonest within the limits" : "least bad: " + hindrance;
            } else if (!feasible()) {
                because = hindrance;
            } else {
                because = share < chosen.share - 0.02
                        ? "less sure to be ready when a limit is near"
                        : "slower than the chosen setting";
            }
            return new Candidate(spread.source.name(), settingC, soak, share, this == chosen, because);
        }

        /** Seconds the bond stays workable after the pull, over all benches. */
        private Band workableFor(int pull) {
            return Band.of(IntStream.range(0, BENCHES)
                    .parallel()
                    .mapToDouble(i -> workableFor(spread.benches.get(i), pull))
                    .toArray());
        }

        /** Seconds the bond stays workable on one bench, from the state the soak left it in. */
        private double workableFor(Bench bench, int pull) {
            SoakModel model = new SoakModel(bench.stack(), bench.contactWPerM2K());
            double[] bond =
                    model.cool(model.soak(STEP_S, pull).last(), STEP_S, 100).bond();
            double workable = (workableC - roomC) / (settingC + bench.surfaceOffsetK() - roomC);
            int step = 0;
            while (step < bond.length && bond[step] >= workable) {
                step++;
            }
            return step * STEP_S;
        }

        private List<Influence> influences() {
            List<Influence> influences = new ArrayList<>();
            for (Unknown unknown : Unknown.values()) {
                influences.add(new Influence(unknown.words(), readyWith(unknown, -1.2816), readyWith(unknown, 1.2816)));
            }
            influences.sort(Comparator.comparing(Influence::swing).reversed());
            return influences.subList(0, 4);
        }

        private double readyWith(Unknown unknown, double score) {
            double[] scores = new double[Unknown.values().length];
            scores[unknown.ordinal()] = score;
            Bench bench = Unknown.bench(stack, spread.source.contact(condition), scores);
            return crossing(rise(bench).bond(), (workableC - roomC) / (settingC + bench.surfaceOffsetK() - roomC));
        }
    }

    private static int steps(double seconds) {
        return (int) Math.round(seconds / STEP_S);
    }

    /** When a rising curve first reaches a value, between its steps; infinite if it doesn't. */
    private static double crossing(double[] curve, double value) {
        for (int i = 1; i < curve.length; i++) {
            if (curve[i] >= value) {
                double share = (value - curve[i - 1]) / (curve[i] - curve[i - 1]);
                return (i - 1 + Math.max(0, share)) * STEP_S;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private static double[][] scores() {
        SobolSequenceGenerator sobol = new SobolSequenceGenerator(Unknown.values().length);
        sobol.skipTo(1); // the first point is the corner at zero
        return IntStream.range(0, BENCHES)
                .mapToObj(i -> Arrays.stream(sobol.nextVector())
                        .map(u -> Math.sqrt(2) * Erf.erfInv(2 * Math.min(Math.max(u, 1e-3), 1 - 1e-3) - 1))
                        .toArray())
                .toArray(double[][]::new);
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
