package ridgefall.core.heat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleFunction;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.Unknown.Bench;
import ridgefall.core.units.Band;

/**
 * The plausible benches on which one device meets one source in one way, each run once with a source one kelvin over the
 * room: the heat flows are linear, so these serve every setting.
 */
final class Benches {
    static final double STEP_S = 5;
    private static final int STEPS = 180;
    /** A stretch that air has not warmed in this time it never will. */
    private static final int STEPS_A_STRETCH = 96;

    /** Long enough for what the heat on its way still does, and for whether there is time to cut. */
    static final int AFTERWARDS = 30;

    static final int COOLING = 80;
    private static final int FEW = 16;

    final HeatedDevice device;
    final HeatSource source;
    final Setup setup;
    final Knowledge knowledge;
    final double roomC;
    final int steps;
    final Meeting meeting;
    final One usual;
    final List<One> all;
    /** As widely spread as all, for what takes longer to compute and matters less. */
    final List<One> few;

    private final Map<Integer, Track> usuallyOff = new ConcurrentHashMap<>();

    /** @param setup its setting is of no account */
    Benches(HeatedDevice device, HeatSource source, Setup setup, int count) {
        this(device, source, setup, count, 0);
    }

    /** @param atLeastS how long they are looked at whatever is usual */
    Benches(HeatedDevice device, HeatSource source, Setup setup, int count, double atLeastS) {
        this.device = device;
        this.source = source;
        this.setup = setup;
        this.roomC = device.roomC();
        this.knowledge = Knowledge.of(source, device.profileId());
        this.steps = Math.max(setup.sweep() == Sweep.STRETCH_BY_STRETCH ? STEPS_A_STRETCH : STEPS, (int)
                Math.ceil(atLeastS / STEP_S));
        this.meeting = new Meeting(device, source, setup, STEP_S, steps);
        this.usual = one(new double[Unknown.count()]);
        this.all = Arrays.stream(Knowledge.normals(count))
                .parallel()
                .map(this::one)
                .toList();
        this.few = all.subList(0, Math.min(FEW, count));
    }

    /** @param normals how far this bench is from what is known, a standard normal number an unknown */
    One one(double[] normals) {
        Bench bench = Unknown.bench(
                device.stack(), source, source.contact(device.condition(), setup), knowledge.scores(normals));
        return new One(bench, device.pieces().ring(bench.stack(), source.kind().air()));
    }

    /** How the usual bench cools once it was taken off then; settings that come off at the same step share it. */
    Track usuallyOff(int pullSteps) {
        return usuallyOff.computeIfAbsent(pullSteps, step -> usual.cooling(usual.pulled(step), COOLING));
    }

    /** One bench with its run. */
    final class One {
        final Bench bench;
        final HeatRing ring;
        final Track.Look look;
        final Exposure.Over over;
        final Track track;

        One(Bench bench, HeatRing ring) {
            this.bench = bench;
            this.ring = ring;
            this.look = new Track.Look(
                    ring, meeting.targets(), meeting.dwells(), source.kind().air(), device.plasticBezel());
            this.over = meeting.over(ring, bench.contactWPerM2K(), source::kept, true);
            this.track = look.run(ring.atRoom(), over, STEP_S, steps, 0);
        }

        double riseK(double settingC) {
            return bench.riseK(source, setup, settingC, roomC);
        }

        /** The state when it is taken off. */
        double[] pulled(int pullSteps) {
            return look.state(track, over, pullSteps);
        }

        /** From that state on in the air of the room. */
        Track cooling(double[] pulled, int coolingSteps) {
            return look.cooling(pulled, STEP_S, coolingSteps);
        }

        Latest.Course course(double settingC) {
            return new Latest.Course(track, look, over, riseK(settingC));
        }

        /** When a curve of this bench first reaches a temperature at a setting, between its steps; infinite if never. */
        double reaches(double[] curve, double celsius, double settingC) {
            return crossing(curve, (celsius - roomC) / riseK(settingC));
        }
    }

    /** How long a cooling curve stays above a share of the source's rise, s; as long as it was looked at if it does. */
    static double staysAbove(double[] curve, double value) {
        if (curve[0] < value) {
            return 0;
        }
        for (int i = 1; i < curve.length; i++) {
            if (curve[i] < value) {
                return (i - 1 + (curve[i - 1] - value) / (curve[i - 1] - curve[i])) * STEP_S;
            }
        }
        return (curve.length - 1) * STEP_S;
    }

    static double crossing(double[] curve, double value) {
        for (int i = 1; i < curve.length; i++) {
            if (curve[i] >= value) {
                double share = (value - curve[i - 1]) / (curve[i] - curve[i - 1]);
                return (i - 1 + Math.max(0, share)) * STEP_S;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    Band band(ToDoubleFunction<One> value) {
        return Band.of(all.stream().mapToDouble(value).toArray());
    }

    /** The spread of a curve at a step and a setting, °C. */
    Band at(Function<Track, double[]> curve, int step, double settingC) {
        return band(one -> roomC + one.riseK(settingC) * curve.apply(one.track)[step]);
    }

    /** The last step at which something that only grows holds; 0 where it does not even hold then. */
    static int lastWhile(int steps, IntPredicate holds) {
        int low = 0;
        int high = steps;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (holds.test(middle)) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    static int steps(double seconds) {
        return (int) Math.round(seconds / STEP_S);
    }
}
