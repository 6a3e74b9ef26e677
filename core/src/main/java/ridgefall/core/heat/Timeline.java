package ridgefall.core.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.IntToDoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatState.Happening;
import ridgefall.core.heat.HeatState.Soak;

/**
 * What was done to a device, from the first soak that it still feels: on which source, how set, lying how, and when it was
 * off. Times in s from that soak's start.
 *
 * @param beganAt when that was
 * @param lastFromS when the last soak began
 * @param endedS when it came off; infinite while it runs
 * @param tried what was tried and measured by hand meanwhile
 * @param steps of {@link Benches#STEP_S} until nothing more is asked for
 */
record Timeline(
        HeatedDevice device,
        Instant beganAt,
        List<Phase> phases,
        List<Happening> tried,
        double lastFromS,
        double endedS,
        int steps) {
    static final double STEP_S = Benches.STEP_S;
    private static final double HORIZON_S = 900;
    private static final double COOLING_S = 420;
    /** A device that has lain longer than this has forgotten its first soak. */
    static final double FORGETS_S = 2400;

    static final int SPOTS = (int) Math.ceil(HORIZON_S / STEP_S);

    /**
     * One source in one setting, from one moment on; a source of null is the air of the room.
     *
     * @param metS when that source met the front: what cools down on it or is led round it goes on through a change
     * @param beforeC the setting it comes from, or null
     */
    record Phase(double fromS, double metS, HeatSource source, Setup setup, Double beforeC, boolean flat) {
        /** It for so long. */
        Act act(double seconds) {
            return new Act(source, setup, seconds, fromS - metS, beforeC, flat);
        }
    }

    /** @param soaks of one job in their order, at least one */
    static Timeline of(HeatQuestion question, List<Soak> soaks) {
        return of(question, question.device(), soaks);
    }

    static Timeline of(HeatQuestion question, HeatedDevice device, List<Soak> soaks) {
        List<Soak> felt = felt(soaks);
        Soak last = soaks.get(soaks.size() - 1);
        List<Phase> phases = new ArrayList<>();
        List<Happening> tried = new ArrayList<>();
        for (Soak soak : felt) {
            lay(question, soak, since(felt.get(0), soak), phases, tried);
        }
        double lastFromS = since(felt.get(0), last);
        double endedS = last.running()
                ? Double.POSITIVE_INFINITY
                : lastFromS + seconds(Duration.between(last.startedAt(), last.endedAt()));
        double latest = Stream.concat(
                        phases.stream().map(Phase::fromS), tried.stream().map(Happening::seconds))
                .reduce(lastFromS, Math::max);
        double until = last.running() ? latest + HORIZON_S : endedS + COOLING_S;
        return new Timeline(
                device, felt.get(0).startedAt(), phases, tried, lastFromS, endedS, (int) Math.ceil(until / STEP_S));
    }

    private static List<Soak> felt(List<Soak> soaks) {
        int first = soaks.size() - 1;
        Soak last = soaks.get(first);
        while (first > 0
                && seconds(Duration.between(
                                soaks.get(first - 1).endedAt(), soaks.get(first).startedAt()))
                        < COOLING_S
                && since(soaks.get(first - 1), last) < FORGETS_S) {
            first--;
        }
        return soaks.subList(first, soaks.size());
    }

    private static double since(Soak first, Soak soak) {
        return seconds(Duration.between(first.startedAt(), soak.startedAt()));
    }

    private static double seconds(Duration duration) {
        return duration.toMillis() / 1000.0;
    }

    private static void lay(HeatQuestion question, Soak soak, double fromS, List<Phase> phases, List<Happening> tried) {
        HeatSource source = question.source(soak.sourceId());
        Setup setup = Setup.of(soak.started());
        boolean flat = true;
        phases.add(new Phase(fromS, fromS, source, setup, null, true));
        for (Happening happening : soak.happened()) {
            double at = fromS + happening.seconds();
            if (happening.fact() instanceof HeatFact.SettingChanged f) {
                phases.add(new Phase(at, fromS, source, setup.at(f.settingC()), setup.settingC(), flat));
                setup = setup.at(f.settingC());
            } else if (happening.fact() instanceof HeatFact.LyingChanged f) {
                if (f.flat() != flat) {
                    flat = f.flat();
                    phases.add(new Phase(at, fromS, source, setup, null, flat));
                }
            } else {
                tried.add(new Happening(at, happening.fact()));
            }
        }
        if (!soak.running()) {
            double ended = fromS + seconds(Duration.between(soak.startedAt(), soak.endedAt()));
            phases.add(new Phase(ended, ended, null, null, null, true));
        }
    }

    /** The same as acts, up to a moment. */
    List<Act> acts(Instant until) {
        double untilS = seconds(Duration.between(beganAt, until));
        List<Act> acts = new ArrayList<>();
        for (int i = 0; i < phases.size(); i++) {
            Phase phase = phases.get(i);
            double ends = i + 1 < phases.size() ? phases.get(i + 1).fromS() : Double.POSITIVE_INFINITY;
            acts.add(phase.act(Math.min(FORGETS_S, Math.max(0, Math.min(ends, untilS) - phase.fromS()))));
        }
        return acts;
    }

    int step(double seconds) {
        return (int) Math.min(steps, Math.max(0, Math.round(seconds / STEP_S)));
    }

    /**
     * One bench taken through all of it.
     *
     * @param scores of the {@link Unknown}s for a source
     */
    Passage pass(Function<HeatSource, double[]> scores) {
        return pass(scores, UnaryOperator.identity());
    }

    /** @param touching what becomes of an exposure where a bench is not as even as the plan takes it to be */
    Passage pass(Function<HeatSource, double[]> scores, UnaryOperator<Exposure> touching) {
        HeatSource first = phases.get(0).source();
        HeatRing ring =
                device.pieces().ring(bench(first, phases.get(0).setup(), scores).stack(), air());
        Exposure still = Exposure.stillAir(ring.pieces());
        List<Exposure.Over> over = phases.stream()
                .map(phase -> phase.source() == null
                        ? (Exposure.Over) (from, to) -> still
                        : over(phase, ring, bench(phase.source(), phase.setup(), scores)))
                .toList();
        Map<Exposure, Exposure> met = new IdentityHashMap<>();
        Exposure.Over all = (from, to) -> {
            int at = phases.size() - 1;
            while (at > 0 && phases.get(at).fromS() > from + STEP_S / 2) {
                at--;
            }
            double since = phases.get(at).metS();
            Exposure exposure = over.get(at).between(Math.max(0, from - since), Math.max(STEP_S, to - since));
            return phases.get(at).source() == null ? exposure : met.computeIfAbsent(exposure, touching);
        };
        double[][] bondC = new double[steps + 1][];
        double[] frameC = new double[steps + 1];
        double[] glassC = new double[steps + 1];
        EdgePieces.Warmed targets = targets();
        boolean blown = on().source().kind().air();
        int[] step = {0};
        HeatRing.Observer noting = (seconds, state) -> {
            int i = step[0]++;
            bondC[i] = IntStream.range(0, ring.pieces())
                    .mapToDouble(piece -> device.roomC() + ring.bond(state, piece))
                    .toArray();
            frameC[i] = device.roomC() + targets.coldest(piece -> ring.rim(state, piece));
            glassC[i] =
                    device.roomC() + (blown ? ring.hottestGlass(state) : mean(ring, piece -> ring.glass(state, piece)));
        };
        noting.at(0, ring.atRoom());
        Track.Look look = new Track.Look(ring, targets(), 1, air(), device.plasticBezel());
        Track track = look.run(ring.atRoom(), all, STEP_S, steps, 0, noting);
        return new Passage(bondC, frameC, glassC, new Latest.Course(track, look, all, 1));
    }

    /** Whether anything of it was done with air. */
    private boolean air() {
        return phases.stream()
                .anyMatch(
                        phase -> phase.source() != null && phase.source().kind().air());
    }

    private static double mean(HeatRing ring, IntToDoubleFunction ofPiece) {
        return IntStream.range(0, ring.pieces()).mapToDouble(ofPiece).average().orElseThrow();
    }

    /** What is meant to get warm in the last soak. */
    EdgePieces.Warmed targets() {
        Phase on = on();
        return new Meeting(device, on.source(), on.setup(), STEP_S, 1).targets();
    }

    /** The last soak. */
    private Phase on() {
        Phase last = phases.get(phases.size() - 1);
        return last.source() == null ? phases.get(phases.size() - 2) : last;
    }

    private Unknown.Bench bench(HeatSource source, Setup setup, Function<HeatSource, double[]> scores) {
        return Unknown.bench(device.stack(), source, source.contact(device.condition(), setup), scores.apply(source));
    }

    private Exposure.Over over(Phase phase, HeatRing ring, Unknown.Bench bench) {
        return new Meeting(device, phase.source(), phase.setup(), STEP_S, SPOTS)
                .over(ring, bench.contactWPerM2K(), BenchRun.riseK(phase.act(0), bench, device.roomC()), phase.flat());
    }

    /**
     * What one bench goes through, in °C at equal steps.
     *
     * @param bondC step by piece
     * @param frameC its side at the coldest of what is warmed, where the tip is taped
     * @param glassC mean over the border; under air where it is hottest, which is what a hand reads
     */
    record Passage(double[][] bondC, double[] frameC, double[] glassC, Latest.Course course) {
        double coldestC(int step, EdgePieces.Warmed warmed) {
            return warmed.coldest(piece -> bondC[step][piece]);
        }

        /** Between the steps too. */
        double at(HeatFact.Surface surface, double seconds) {
            double[] curve = of(surface);
            double at = Math.min(curve.length - 1.0, Math.max(0, seconds / STEP_S));
            int below = (int) at;
            int above = Math.min(curve.length - 1, below + 1);
            return curve[below] + (at - below) * (curve[above] - curve[below]);
        }

        double[] of(HeatFact.Surface surface) {
            return surface == HeatFact.Surface.FRAME ? frameC : glassC;
        }
    }
}
