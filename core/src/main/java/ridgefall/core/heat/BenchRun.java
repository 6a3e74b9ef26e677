package ridgefall.core.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.HeatStack;

/**
 * One plausible bench taken through whatever is done to a device, {@value #STEP_S} s at a time: laid on a source, warmed a
 * stretch at a time, left in the air of the room. For one thread.
 */
public final class BenchRun implements Bench {
    public static final double STEP_S = Benches.STEP_S;

    /** Share of the way to the source that a front goes in its first step there, until one was seen. */
    private static final double FIRST_STEP_SHARE = 0.1;

    /** And in every further one. */
    private static final double FURTHER_STEP_SHARE = 0.02;

    /** How long it takes until a hand has read a thermometer and drawn back. */
    private static final double REACTS_S = 15;

    private final HeatedDevice device;
    private final HeatStack stack;
    private final Function<HeatSource, double[]> scores;
    private final Exposure still;
    /** Until it meets air, the quick one. */
    private HeatRing ring;

    private HeatRing.Runner runner;
    private double[] state;
    private final Map<Limit, Double> nowC = new EnumMap<>(Limit.class);
    private final Map<Limit, Double> peakC = new EnumMap<>(Limit.class);
    private boolean inAir = true;
    private double firstStepShare = FIRST_STEP_SHARE;

    /**
     * Something done for a while.
     *
     * @param source null for the air of the room
     * @param metSecondsAgo at its beginning: how long the front had been on that source already
     * @param beforeC the setting that the source comes from, where it was just turned; else null
     * @param flat false where the device had slipped on it
     */
    public record Act(
            HeatSource source, Setup setup, double seconds, double metSecondsAgo, Double beforeC, boolean flat) {
        public Act(HeatSource source, Setup setup, double seconds) {
            this(source, setup, seconds, 0, null, true);
        }

        public static Act rest(double seconds) {
            return new Act(null, null, seconds);
        }
    }

    private BenchRun(HeatedDevice device, HeatSource first, double[] normals) {
        this.device = device;
        this.scores = source -> Knowledge.of(source, device.profileId()).scores(normals);
        Setup setup = first.usual(first.minC(), first.wholeEdge());
        this.stack = bench(first, setup).stack();
        this.ring = device.pieces().faceRing(stack);
        this.runner = ring.runner(STEP_S);
        this.still = Exposure.stillAir(ring.pieces());
        this.state = ring.atRoom();
        note(false);
    }

    private BenchRun(BenchRun other) {
        this.device = other.device;
        this.scores = other.scores;
        this.stack = other.stack;
        this.ring = other.ring;
        this.runner = ring.runner(STEP_S);
        this.still = other.still;
        this.state = other.state.clone();
        this.nowC.putAll(other.nowC);
        this.peakC.putAll(other.peakC);
        this.inAir = other.inAir;
        this.firstStepShare = other.firstStepShare;
    }

    /** The same as it stands, to go on from by itself. */
    public BenchRun copy() {
        return new BenchRun(this);
    }

    /**
     * The likeliest bench, its device at the room's temperature.
     *
     * @param first the source it meets first: what was measured on it is known of the device too
     */
    public static BenchRun usual(HeatQuestion question, HeatSource first) {
        return new BenchRun(question.device(), first, new double[Unknown.count()]);
    }

    /**
     * The likeliest bench looked at coarsely: for weighing many ways against each other.
     *
     * @param again what warms it again: the spot of a fine outlet is not seen coarsely
     */
    public static BenchRun firstLook(HeatQuestion question, HeatSource first, HeatSource again) {
        return new BenchRun(coarsely(question, again), first, new double[Unknown.count()]);
    }

    /** The likeliest bench as far as its battery goes, of which there is one whatever the pieces of the edge. */
    public static BenchRun forItsBattery(HeatQuestion question, HeatSource first) {
        return new BenchRun(question.device(HeatedDevice.FIRST_LOOK_MM), first, new double[Unknown.count()]);
    }

    private static HeatedDevice coarsely(HeatQuestion question, HeatSource again) {
        boolean fine = again.kind().air() && again.spotMm() < 2 * HeatedDevice.WEIGHING_MM;
        return question.device(fine ? HeatedDevice.PLANNING_MM : HeatedDevice.WEIGHING_MM);
    }

    /** Benches as widely spread as what nobody knows, looked at coarsely. */
    public static Stream<BenchRun> spread(HeatQuestion question, HeatSource first, HeatSource again, int count) {
        HeatedDevice device = coarsely(question, again);
        return Arrays.stream(Knowledge.normals(count)).map(normals -> new BenchRun(device, first, normals));
    }

    /**
     * The likeliest bench after all that happened to a device, up to a moment; on a source it lies for as long as it was
     * meant to.
     *
     * @param soaks of one job in their order, at least one
     */
    public static BenchRun after(HeatQuestion question, List<Soak> soaks, Instant now) {
        Soak last = soaks.get(soaks.size() - 1);
        Instant until = last.running() && now.isBefore(last.startedAt().plusSeconds(last.seconds()))
                ? last.startedAt().plusSeconds(last.seconds())
                : now;
        return asOf(question, soaks, until);
    }

    /** The same as it is at a moment. */
    public static BenchRun asOf(HeatQuestion question, List<Soak> soaks, Instant moment) {
        Timeline timeline = Timeline.of(question, soaks);
        BenchRun bench = usual(question, timeline.phases().get(0).source());
        bench.through(timeline.acts(moment));
        return bench;
    }

    /** Whether a device that was warmed has been lying for so long that nothing of it is left. */
    public static boolean forgotten(List<Soak> soaks, Instant now) {
        return !soaks.isEmpty()
                && soaks.stream()
                        .noneMatch(soak -> soak.running()
                                || Duration.between(soak.endedAt(), now).toSeconds() < Timeline.FORGETS_S);
    }

    /** How long the last source has been off, s: not yet where it still runs, for ever where there was none. */
    public static double offSeconds(List<Soak> soaks, Instant now) {
        if (soaks.isEmpty()) {
            return Double.POSITIVE_INFINITY;
        }
        Soak last = soaks.get(soaks.size() - 1);
        return last.running() ? 0 : Duration.between(last.endedAt(), now).toSeconds();
    }

    private Unknown.Bench bench(HeatSource source, Setup setup) {
        return Unknown.bench(device.stack(), source, source.contact(device.condition(), setup), scores.apply(source));
    }

    @Override
    public double bondC(double positionMm) {
        return device.roomC() + device.pieces().between(positionMm).of(piece -> ring.bond(state, piece));
    }

    @Override
    public double bondC(EdgeInterval where) {
        return device.roomC() + device.pieces().on(where).coldest(piece -> ring.bond(state, piece));
    }

    @Override
    public String nearestLimit() {
        Limit nearest = Arrays.stream(Limit.values())
                .max(Comparator.comparing(limit -> peakC.get(limit) - limit.cautionC(device.limits())))
                .orElseThrow();
        return nearest.words() + " gets to {C:" + Math.round(nearest.cautionC(device.limits())) + "}";
    }

    @Override
    public boolean keptStops() {
        return Arrays.stream(Limit.values()).allMatch(limit -> limit.surelyKeptBy(peakC.get(limit), device.limits()));
    }

    @Override
    public void rest(double seconds) {
        for (int i = 0; i < Benches.steps(seconds); i++) {
            runner.step(state, still);
            note(false);
            inAir = true;
        }
    }

    @Override
    public On on(HeatSource source, Setup setup) {
        return on(new Act(source, setup, 0));
    }

    private On on(Act act) {
        HeatSource source = act.source();
        if (source.kind().air() && ring instanceof FaceRing face) {
            PanelRing panel = device.pieces().panelRing(stack);
            state = panel.of(face, state);
            ring = panel;
            runner = panel.runner(STEP_S);
        }
        return new On(act);
    }

    /** How far what a source gives is over the room, K, by the time since it met the front: it cools under it, and follows a turn late. */
    static DoubleUnaryOperator riseK(Act act, Unknown.Bench bench, double roomC) {
        double rise = bench.riseK(act.source(), act.setup(), act.setup().settingC(), roomC);
        double before = act.beforeC() == null ? rise : bench.riseK(act.source(), act.setup(), act.beforeC(), roomC);
        return s ->
                act.source().kept(s) * (rise + (before - rise) * act.source().lagging(s - act.metSecondsAgo()));
    }

    /** A source at the front. */
    public final class On implements AtSource {
        private final Exposure.Over over;
        private final boolean air;
        private final double sourceC;
        private final double metSecondsAgo;
        private double seconds;

        private On(Act act) {
            HeatSource source = act.source();
            Setup setup = act.setup();
            Unknown.Bench bench = bench(source, setup);
            this.air = source.kind().air();
            this.sourceC = device.roomC() + bench.riseK(source, setup, setup.settingC(), device.roomC());
            this.metSecondsAgo = act.metSecondsAgo();
            this.over = new Meeting(device, source, setup, STEP_S, Timeline.SPOTS)
                    .over(ring, bench.contactWPerM2K(), riseK(act, bench, device.roomC()), act.flat());
        }

        private Exposure now() {
            double since = metSecondsAgo + seconds;
            return over.between(since, since + STEP_S);
        }

        @Override
        public void step() {
            double before = nowC.get(Limit.DISPLAY);
            step(now());
            if (inAir && sourceC > before) {
                firstStepShare = Math.max(firstStepShare, (nowC.get(Limit.DISPLAY) - before) / (sourceC - before));
            }
            inAir = false;
        }

        @Override
        public void step(double glassBelowC) {
            step(now().inHand(glassBelowC - device.roomC()));
        }

        private void step(Exposure exposure) {
            runner.step(state, exposure);
            seconds += STEP_S;
            note(air);
        }

        @Override
        public double seconds() {
            return seconds;
        }

        @Override
        public double nextFaceOverK() {
            HeatLimits limits = device.limits();
            double share = inAir ? firstStepShare : FURTHER_STEP_SHARE;
            double over = Double.NEGATIVE_INFINITY;
            for (Limit limit : List.of(Limit.DISPLAY, Limit.PLASTICS)) {
                double nextC = nowC.get(limit) + share * Math.max(0, sourceC - nowC.get(limit));
                over = Math.max(over, nextC - limit.cautionC(limits));
            }
            return over;
        }
    }

    /** Whether air brings the glass to its caution before a hand that reads a thermometer has drawn it back. */
    public boolean tooHotToHold(HeatSource source, Setup setup) {
        BenchRun tried = copy();
        On on = tried.on(source, setup);
        while (on.seconds() < REACTS_S) {
            on.step();
        }
        return tried.glassC() > glassCautionC();
    }

    /** The glass at its hottest, °C. */
    double glassC() {
        return device.roomC() + ring.hottestGlass(state);
    }

    /** The greatest so far, °C. */
    double peakC(Limit limit) {
        return peakC.get(limit);
    }

    @Override
    public double glassCautionC() {
        return device.glassCautionC();
    }

    @Override
    public double batteryOverK() {
        return nowC.get(Limit.BATTERY) - Limit.BATTERY.cautionC(device.limits());
    }

    @Override
    public void through(List<Act> acts) {
        double owedS = 0;
        for (Act act : acts) {
            owedS += act.seconds();
            int steps = Benches.steps(owedS);
            owedS -= steps * STEP_S;
            if (act.source() == null) {
                rest(steps * STEP_S);
            } else {
                On on = on(act);
                for (int i = 0; i < steps; i++) {
                    on.step();
                }
            }
        }
    }

    private void note(boolean air) {
        double edge = 0;
        double bezel = 0;
        for (int piece = 0; piece < ring.pieces(); piece++) {
            edge = Math.max(edge, ring.panelsEdge(state, piece, air));
            bezel = Math.max(bezel, device.plasticBezel() ? ring.glass(state, piece) : ring.rim(state, piece));
        }
        note(Limit.BATTERY, ring.battery(state));
        note(Limit.DISPLAY, Math.max(ring.display(state), edge));
        note(Limit.PLASTICS, bezel);
    }

    private void note(Limit limit, double riseK) {
        nowC.put(limit, device.roomC() + riseK);
        peakC.merge(limit, device.roomC() + riseK, Math::max);
    }
}
