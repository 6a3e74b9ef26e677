package ridgefall.core.heat;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ShippedBook;

/**
 * What the heat of a device costs: a quarter of an hour of 128 pieces by the ring, a minute of it by a general adaptive
 * integrator on the same network, with the error of each against the ring at a twentieth of its step; and the plans made of such runs.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class HeatBenchmark {
    private static final int PIECES = 128;
    private static final double RUN_S = 900;
    private static final double MINUTE_S = 60;
    private static final double STEP_S = 3;

    private final HeatStack stack = ReferenceTablet.stack();
    private final double[] lengthMm = filled(stack.perimeterM() * 1e3 / PIECES);
    private final double[] ledgeMm = filled(stack.ledgeWidthMm());
    private final FaceRing ring = new FaceRing(stack, lengthMm, ledgeMm);
    private final HeatQuestion question =
            new HeatQuestion(ShippedBook.quire11(), FrontCondition.CRACKED, List.of(), List.of(), HeatSource.bench());
    private final List<HeatSource> five = HeatSource.bench().stream()
            .filter(source -> !source.id().equals("plate-2"))
            .toList();
    private Exposure exposure;
    private ThermalNetwork network;
    private double[] exact;
    private double[] reached;

    private static double[] filled(double value) {
        double[] values = new double[PIECES];
        Arrays.fill(values, value);
        return values;
    }

    /** A plate that touches half of the edge badly. */
    @Setup
    public void setup() {
        double[] transfer = filled(150);
        Arrays.fill(transfer, 0, PIECES / 2, 60);
        exposure = new Exposure(transfer, filled(58), 150, 58);
        network = DenseRing.of(stack, lengthMm, ledgeMm, exposure);
        exact = run(STEP_S / 20, RUN_S);
    }

    private double[] run(double stepS, double seconds) {
        return ring.run(
                ring.atRoom(), 0, (from, to) -> exposure, stepS, (int) Math.round(seconds / stepS), (t, s) -> {});
    }

    /** Target 60 ms. */
    @Benchmark
    public double[] aQuarterOfAnHourByTheRing() {
        reached = run(STEP_S, RUN_S);
        return reached;
    }

    /** Its first minute alone: the whole would take a quarter of an hour's patience. Target: 20 × the ring's 15 minutes. */
    @Benchmark
    @BenchmarkMode(Mode.SingleShotTime)
    @Warmup(iterations = 0)
    @Measurement(iterations = 1)
    public double[] aMinuteByAnAdaptiveIntegrator() {
        OrdinaryDifferentialEquation equation = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return network.size();
            }

            @Override
            public double[] computeDerivatives(double t, double[] celsius) {
                double[] perS = new double[celsius.length];
                network.slopes(celsius, perS);
                return perS;
            }
        };
        double[] end = new DormandPrince54Integrator(1e-9, MINUTE_S, 1e-3, 1e-5)
                .integrate(equation, new ODEState(0, new double[network.size()]), MINUTE_S)
                .getPrimaryState();
        reached = DenseRing.asRingState(end, PIECES);
        exact = run(STEP_S / 20, MINUTE_S);
        return reached;
    }

    /** How far the run just timed is from the exact one. */
    @TearDown
    public void sayError() {
        if (reached == null) {
            return;
        }
        double worst = 0;
        for (int i = 0; i < exact.length; i++) {
            worst = Math.max(worst, Math.abs(reached[i] - exact[i]));
        }
        System.err.printf("greatest error of the run above: %.5f K%n", worst);
    }

    /** All settings and ways of five sources, 48 benches each; target 1500 ms. */
    @Benchmark
    public List<HeatPlan> rankedPlanOverFiveSources() {
        return question.planner(HeatPlanner.FULL).ranked(five);
    }

    /** What is on the screen at first; target 200 ms. */
    @Benchmark
    public HeatPlan firstLook() {
        return question.firstLook();
    }
}
