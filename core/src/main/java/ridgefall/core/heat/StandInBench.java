package ridgefall.core.heat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatState.Soak;

/**
 * A bench that is not there, for trying instruments and calibration: its own physics, which no plan knows. It is finer
 * than the plan's model, its source touches unevenly, and every property of device and source is drawn anew. Its
 * thermometers lag and are noisy.
 *
 * @param seed the same seed is the same bench
 */
public final class StandInBench {
    private static final double PIECE_MM = 15;
    private static final double UNEVEN = 0.12;
    private static final double LAG_S = 3;
    private static final double NOISE_K = 0.3;
    private static final double OFFSET_K = 0.3;

    private final HeatedDevice device;
    private final Timeline timeline;
    private final Timeline.Passage passage;
    private final long seed;
    private final double[] scores;

    /** @param soaks of one job in their order, at least one */
    public StandInBench(HeatQuestion question, List<Soak> soaks, long seed) {
        this.seed = seed;
        this.device = question.device(PIECE_MM);
        this.timeline = Timeline.of(question, device, soaks);
        Random random = new Random(seed);
        this.scores = new double[Unknown.count()];
        for (int i = 0; i < scores.length; i++) {
            scores[i] = random.nextGaussian();
        }
        double turned = 2 * Math.PI * random.nextDouble();
        this.passage = timeline.pass(source -> scores, exposure -> uneven(exposure, turned));
    }

    private static Exposure uneven(Exposure exposure, double turned) {
        double[] transfer = exposure.borderWPerM2K().clone();
        for (int i = 0; i < transfer.length; i++) {
            transfer[i] *= 1 + UNEVEN * Math.sin(2 * Math.PI * i / transfer.length + turned);
        }
        return new Exposure(
                transfer, exposure.borderRiseK(), exposure.centreWPerM2K(), exposure.centreRiseK(), exposure.inboard());
    }

    /** What a thermocouple there shows, °C. */
    public double shows(Surface surface, double secondsSinceLastBegan) {
        Random noise = new Random(seed * 31 + surface.ordinal());
        double offset = OFFSET_K * noise.nextGaussian();
        noise.setSeed(seed + surface.ordinal() + Math.round(secondsSinceLastBegan * 10) * 7919L);
        return at(passage.of(surface), secondsSinceLastBegan - LAG_S) + offset + NOISE_K * noise.nextGaussian();
    }

    /** What a sensor in the source's own surface shows, °C; the setting is what its display claims. */
    public double surfaceC(HeatSource source, Setup setup) {
        return device.roomC()
                + Unknown.bench(device.stack(), source, source.contact(device.condition(), setup), scores)
                        .riseK(source, setup, setup.settingC(), device.roomC());
    }

    /** The truth of the bond: the mean round the edge, °C. */
    double bondC(double secondsSinceLastBegan) {
        double[] mean = new double[passage.bondC().length];
        for (int i = 0; i < mean.length; i++) {
            mean[i] = Arrays.stream(passage.bondC()[i]).average().orElseThrow();
        }
        return at(mean, secondsSinceLastBegan);
    }

    /** The truth of what must not get too hot, by the end, °C. */
    double peakC(Limit limit) {
        return device.roomC() + passage.course().peakK(limit, timeline.steps());
    }

    private double at(double[] curve, double secondsSinceLastBegan) {
        double at = Math.max(0, timeline.lastFromS() + secondsSinceLastBegan) / Timeline.STEP_S;
        int below = (int) Math.min(curve.length - 1, at);
        int above = Math.min(curve.length - 1, below + 1);
        return curve[below] + (at - below) * (curve[above] - curve[below]);
    }
}
