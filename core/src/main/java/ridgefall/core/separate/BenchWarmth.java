package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.heat.Bench;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;
import ridgefall.core.material.Cutting;

/** Reckoned on one bench, warmed again by one means. */
final class BenchWarmth implements Warmth {
    /** No stroke is judged sooner; chosen by trying: many short ones came out slower. */
    private static final double BOND_LAGS_S = 45;

    /** Nobody blows at one stretch for longer before cutting it, nor puts a device back for longer. */
    private static final double LONGEST_STROKE_S = 120;

    private static final double LONGEST_AGAIN_S = 600;

    /** Air at one stretch hardly warms the battery: it may go on where a face may not begin again. */
    private static final double BESIDE_BATTERY_K = 2;

    /** The other hand follows the pick in steps no finer than this. */
    private static final double FOLLOWS_MM = 15;

    /** A hand lays the pick down no oftener than this. */
    private static final double LEAST_CUTTING_S = 20;

    /** Where one stretch goes on and the next begins there may be a little between them. */
    private static final double TOUCH_MM = 0.5;

    private final Bench bench;
    private final Turn turn;
    private final Means means;
    private final Cutting cutting;
    private final double untilC;
    private final double giveUpS;
    private final Double toldS;
    private final List<Act> acts = new ArrayList<>();
    private double owedS;
    private double goneS;
    private double sinceWarmS;
    /** Once it was taken up, air stays on. */
    private boolean airOn;

    private boolean wet;

    private Bench.AtSource held;
    private EdgeInterval heldOver;

    /**
     * As it is planned: everything is reckoned.
     *
     * @param giveUpS whoever is not through by then is of no interest; infinite to go all the way
     */
    static BenchWarmth planned(Bench bench, Turn turn, Cutting cutting, Means means, double giveUpS) {
        return new BenchWarmth(bench, turn, cutting, means, giveUpS, null);
    }

    /**
     * As a hand follows a plan on a bench that is another: what is put back on its source lies there for as long as it was told.
     */
    static BenchWarmth followed(Bench bench, Turn turn, Cutting cutting, Means means, double againSeconds) {
        return new BenchWarmth(bench, turn, cutting, means, Opening.LONGEST_S, againSeconds);
    }

    /** Wet with solvent: nothing warms it until it is dry. */
    static BenchWarmth wet(Bench bench, Turn turn, Cutting cutting, Means means) {
        BenchWarmth warmth = planned(bench, turn, cutting, means, Double.POSITIVE_INFINITY);
        warmth.wet = true;
        return warmth;
    }

    private BenchWarmth(Bench bench, Turn turn, Cutting cutting, Means means, double giveUpS, Double toldS) {
        this.bench = bench;
        this.turn = turn;
        this.means = means;
        this.cutting = cutting;
        this.untilC = cutting.adhesive().softFromC(cutting.handNPerMm(), means.untilMmPerS());
        this.giveUpS = giveUpS;
        this.toldS = toldS;
        this.sinceWarmS = LEAST_CUTTING_S;
    }

    /** Something done before the first cut. */
    void first(Act act) {
        acts.add(act);
        bench.through(List.of(act));
        goneS += act.seconds();
    }

    /** It was warmed so long ago: who has only just done so cuts first. */
    BenchWarmth warmedSince(double seconds, boolean airStillOn) {
        sinceWarmS = seconds;
        airOn = airStillOn && means.air();
        return this;
    }

    @Override
    public double bondC(double positionMm) {
        return bench.bondC(positionMm);
    }

    @Override
    public boolean givenUp() {
        return goneS > giveUpS;
    }

    @Override
    public double pass(double seconds, Supplier<List<EdgeInterval>> ahead, boolean clockwise) {
        owedS += seconds;
        goneS += seconds;
        sinceWarmS += seconds;
        double air = 0;
        while (owedS >= BenchRun.STEP_S) {
            owedS -= BenchRun.STEP_S;
            if (airOn && airFor(stroke(ahead.get(), clockwise))) {
                air += BenchRun.STEP_S;
            } else {
                rest(BenchRun.STEP_S);
            }
        }
        return air;
    }

    /** Air stays on the stretch while it is cut, as long as it is wanted and allowed. */
    private boolean airFor(EdgeInterval stroke) {
        if (bench.bondC(stroke) >= untilC) {
            return false;
        }
        if (held == null || turn.apart(turn.middle(stroke), turn.middle(heldOver)) > FOLLOWS_MM) {
            held = bench.on(means.source(), means.setup().over(stroke));
            heldOver = stroke;
        }
        if (!allowed(held)) {
            return false;
        }
        step(held);
        acts.add(new Act(means.source(), means.setup().over(heldOver), BenchRun.STEP_S));
        return true;
    }

    private void rest(double seconds) {
        bench.rest(seconds);
        acts.add(Act.rest(seconds));
    }

    @Override
    public boolean worthWarming(double mmPerS) {
        return !wet && mmPerS < means.belowMmPerS() && sinceWarmS >= LEAST_CUTTING_S;
    }

    @Override
    public Optional<Warming> again(List<EdgeInterval> ahead, boolean clockwise) {
        List<EdgeInterval> meant = means.air() ? List.of(stroke(ahead, clockwise)) : ahead;
        Setup setup = means.air() ? means.setup().over(meant.get(0)) : means.setup();
        sinceWarmS = 0;
        Bench.AtSource on = bench.on(means.source(), setup);
        if (!allowed(on)) {
            return Optional.empty();
        }
        airOn = means.air();
        double handling = means.source().handlingSeconds();
        rest(handling);
        if (toldS != null && !means.air()) {
            while (on.seconds() < toldS) {
                on.step();
            }
        } else {
            double longest = means.air() ? LONGEST_STROKE_S : LONGEST_AGAIN_S;
            double before;
            do {
                before = cuttingSeconds(meant);
                step(on);
            } while (on.seconds() < longest
                    && coldest(meant) < untilC
                    && allowed(on)
                    && (!means.air()
                            || on.seconds() < BOND_LAGS_S
                            || before - cuttingSeconds(meant) > BenchRun.STEP_S));
        }
        acts.add(new Act(means.source(), setup, on.seconds()));
        goneS += handling + on.seconds();
        return Optional.of(new Warming(means.source(), setup, on.seconds()));
    }

    private void step(Bench.AtSource on) {
        if (means.air()) {
            on.step(bench.glassCautionC() - means.shortOfCautionK());
        } else {
            on.step();
        }
    }

    /** Air is held off in the hand: of the glass there is nothing to foresee. */
    private boolean allowed(Bench.AtSource on) {
        double batteryOverK = means.air() ? BESIDE_BATTERY_K : -means.shortOfCautionK();
        return (means.air() || on.nextFaceOverK() < -means.shortOfCautionK())
                && (toldS != null && !means.air() || bench.batteryOverK() < batteryOverK);
    }

    /** At the speed that the coldest of it allows: a stroke goes on for as long as that gets shorter by more than it takes. */
    private double cuttingSeconds(List<EdgeInterval> where) {
        return where.stream().mapToDouble(EdgeInterval::lengthMm).sum() / cutting.mmPerS(coldest(where));
    }

    private double coldest(List<EdgeInterval> where) {
        return where.stream().mapToDouble(bench::bondC).min().orElseThrow();
    }

    /** A hand's width ahead of the pick, as far as the way goes on beside it. */
    private EdgeInterval stroke(List<EdgeInterval> ahead, boolean clockwise) {
        HeatSource source = means.source();
        double from = clockwise ? ahead.get(0).fromMm() : turn.end(ahead.get(0));
        double at = from;
        double length = 0;
        for (EdgeInterval next : ahead) {
            double begins = clockwise ? next.fromMm() : turn.end(next);
            if (length >= source.strokeMm() || turn.apart(begins, at) > TOUCH_MM) {
                break;
            }
            length += next.lengthMm();
            at = clockwise ? turn.end(next) : next.fromMm();
        }
        double kept = Math.min(length, source.strokeMm());
        return new EdgeInterval(clockwise ? from : turn.wrap(from - kept), kept);
    }

    /** All that was done and waited for, in order. */
    List<Act> acts() {
        return acts;
    }

    Bench bench() {
        return bench;
    }
}
