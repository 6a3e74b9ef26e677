package ridgefall.core.heat;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.profile.HeatLimits;

/**
 * A bench whose truth nobody knows, in another model's physics: a {@link SolidDevice} with each unknown drawn from its
 * range. Whoever follows a plan on it feels the bond and reads the glass; panel and battery are seen by nobody but the test.
 */
public final class ForeignBench implements Bench {
    private static final double ROOM_C = HeatQuestion.USUAL_ROOM_C;
    private static final double DT_S = 1;
    private static final double SLICE_MM = 8;
    private static final int LEAST_SLICES = 24;
    private static final double STILL_W_PER_M2K = 9;
    /** Of what blows at the outline, so much gets to the outer side of the frame. */
    private static final double SIDE_SHARE = 0.3;

    private static final double AIMED_SIDE_SHARE = 0.45;

    private final HeatQuestion question;
    private final HeatLimits limits;
    private final double[] scores;
    private final boolean plasticBezel;
    private final SolidDevice device;
    private final SolidDevice.Facing still;
    private final Map<Limit, Double> peakC = new EnumMap<>(Limit.class);
    private double batteryC = ROOM_C;
    private double faceC = ROOM_C;

    private ForeignBench(HeatQuestion question, double[] scores) {
        this.question = question;
        this.scores = scores;
        HeatedDevice known = question.device();
        this.limits = known.limits();
        this.plasticBezel = known.plasticBezel();
        HeatSource any = question.sources().get(0);
        Unknown.Bench drawn = Unknown.bench(
                known.stack(), any, any.contact(known.condition(), any.usual(any.minC(), any.wholeEdge())), scores);
        int slices = (int) Math.max(LEAST_SLICES, Math.round(known.stack().perimeterMm() / SLICE_MM));
        this.device = new SolidDevice(drawn.stack(), slices, DT_S);
        this.still = blown(device, new double[slices], 0, 0, 1);
        Arrays.stream(Limit.values()).forEach(limit -> peakC.put(limit, ROOM_C));
    }

    public static ForeignBench drawn(HeatQuestion question, Random random) {
        return new ForeignBench(
                question,
                IntStream.range(0, Unknown.count())
                        .mapToDouble(i -> random.nextGaussian())
                        .toArray());
    }

    /** Height of a spot's bell so far from its middle, 1 there. */
    static double bell(double mm, double spotMm) {
        return Math.exp(-4 * Math.log(2) * Math.pow(mm / (1.043 * spotMm), 2));
    }

    /**
     * Air whose middle is led along the outline.
     *
     * @param share of the middle's transfer that each slice gets
     */
    static SolidDevice.Facing blown(SolidDevice device, double[] share, double wPerM2K, double riseK, double spotMm) {
        return blown(device, share, wPerM2K, riseK, spotMm, false);
    }

    /** @param shielded whether a card lies on the glass from 8 mm in; it lets through a fifth, worse than the product takes it for */
    private static SolidDevice.Facing blown(
            SolidDevice device, double[] share, double wPerM2K, double riseK, double spotMm, boolean shielded) {
        double[][] transfer = new double[device.slices][device.strips()];
        double[][] rise = new double[device.slices][device.strips()];
        double[] side = new double[device.slices];
        for (int i = 0; i < device.slices; i++) {
            side[i] = (shielded ? AIMED_SIDE_SHARE : SIDE_SHARE) * wPerM2K * share[i];
            for (int j = 0; j < device.strips(); j++) {
                double air = wPerM2K * share[i] * bell(device.stripMm[j], spotMm);
                air *= shielded && device.stripMm[j] > HeatSource.SHIELD_FROM_MM ? 0.2 : 1;
                transfer[i][j] = STILL_W_PER_M2K + air;
                rise[i][j] = riseK * air / transfer[i][j];
            }
        }
        return new SolidDevice.Facing(transfer, rise, side, riseK);
    }

    static SolidDevice.Facing lying(SolidDevice device, double wPerM2K, double riseK) {
        double[] whole = new double[device.slices];
        Arrays.fill(whole, wPerM2K);
        return lying(device, whole, riseK);
    }

    private static SolidDevice.Facing lying(SolidDevice device, double[] wPerM2K, double riseK) {
        double[][] transfer = new double[device.slices][device.strips()];
        double[][] rise = new double[device.slices][device.strips()];
        for (int i = 0; i < device.slices; i++) {
            Arrays.fill(transfer[i], wPerM2K[i]);
            Arrays.fill(rise[i], riseK);
        }
        return new SolidDevice.Facing(transfer, rise, new double[device.slices], 0);
    }

    private double middleMm(int slice) {
        return (slice + 0.5) * device.sliceM * 1e3;
    }

    private int sliceAt(double positionMm) {
        return (int) (positionMm / (device.sliceM * 1e3)) % device.slices;
    }

    @Override
    public double bondC(double positionMm) {
        return ROOM_C + device.bond(sliceAt(positionMm));
    }

    @Override
    public double bondC(EdgeInterval where) {
        return IntStream.range(0, device.slices)
                .filter(i -> question.profile().edge().turn().contains(where, middleMm(i)))
                .mapToDouble(i -> ROOM_C + device.bond(i))
                .min()
                .orElseGet(() -> bondC(question.profile().edge().turn().middle(where)));
    }

    @Override
    public void rest(double seconds) {
        run(still, seconds);
    }

    private void run(SolidDevice.Facing facing, double seconds) {
        for (int i = 0; i < Math.round(seconds / DT_S); i++) {
            device.step(facing);
            look();
        }
    }

    private void look() {
        double panel = 0;
        double battery = 0;
        double plastic = 0;
        double face = 0;
        for (int i = 0; i < device.slices; i++) {
            panel = Math.max(panel, device.panel(i));
            battery = Math.max(battery, device.battery(i));
            face = Math.max(face, device.glassFace(i));
            plastic = Math.max(plastic, plasticBezel ? device.glassFace(i) : device.frame(i));
        }
        faceC = ROOM_C + face;
        batteryC = ROOM_C + battery;
        peakC.merge(Limit.DISPLAY, ROOM_C + panel, Math::max);
        peakC.merge(Limit.BATTERY, batteryC, Math::max);
        peakC.merge(Limit.PLASTICS, ROOM_C + plastic, Math::max);
    }

    @Override
    public void through(List<Act> acts) {
        for (Act act : acts) {
            if (act.source() == null) {
                rest(act.seconds());
            } else {
                AtSource on = on(act.source(), act.setup());
                while (on.seconds() < act.seconds()) {
                    if (act.setup().where() != null) {
                        on.step(glassCautionC() - 2);
                    } else {
                        on.step();
                    }
                }
            }
        }
    }

    @Override
    public AtSource on(HeatSource source, Setup setup) {
        Unknown.Bench drawn =
                Unknown.bench(device().stack(), source, source.contact(question.condition(), setup), scores);
        double rise = drawn.riseK(source, setup, setup.settingC(), ROOM_C);
        return source.kind().air()
                ? new Led(source, setup, drawn.contactWPerM2K(), rise)
                : new Lying(source, setup, drawn.contactWPerM2K(), rise);
    }

    private HeatedDevice device() {
        return question.device();
    }

    /** The front on a face; what is lifted or broken touches as badly as it is known to. */
    private final class Lying implements AtSource {
        private final HeatSource source;
        private final double[] contact;
        private final double riseK;
        private double seconds;

        Lying(HeatSource source, Setup setup, double wPerM2K, double riseK) {
            this.source = source;
            this.riseK = riseK;
            EdgePieces pieces = device().pieces();
            boolean gives =
                    source.kind() == HeatSource.Kind.COMPLIANT_PAD || source.kind() == HeatSource.Kind.REUSABLE_PAD;
            contact = IntStream.range(0, device.slices)
                    .mapToDouble(i -> {
                        double share = middleMm(i) / pieces.turn().lengthMm();
                        double gap = pieces.pieces()
                                .get((int) (share * pieces.count()) % pieces.count())
                                .gapMm();
                        return gap <= 0 || gives ? wPerM2K : 1 / (1 / wPerM2K + gap / 1e3 / 0.027);
                    })
                    .toArray();
        }

        @Override
        public void step(double glassBelowC) {
            step();
        }

        @Override
        public void step() {
            run(lying(device, contact, source.kept(seconds) * riseK), BenchRun.STEP_S);
            seconds += BenchRun.STEP_S;
        }

        @Override
        public double seconds() {
            return seconds;
        }

        /** Nobody sees the glass that lies on a plate; it is never hotter than that. */
        @Override
        public double nextFaceOverK() {
            return Math.min(faceC, ROOM_C + riseK) - question.glassCautionC();
        }
    }

    /** An outlet in a hand that reads the glass. */
    private final class Led implements AtSource {
        private final double[][] course;
        private final double wPerM2K;
        private final double riseK;
        private final double spot;
        private final boolean shielded;
        private double seconds;
        private double rising;
        private double perSecondK = 10;

        Led(HeatSource source, Setup setup, double wPerM2K, double riseK) {
            this.wPerM2K = wPerM2K;
            this.riseK = riseK;
            this.spot = source.spotMm();
            this.shielded = source.shielded();
            double edge = device.slices * device.sliceM * 1e3;
            int steps = setup.sweep() == Sweep.ROUND ? (int) Math.ceil(edge / Meeting.LED_MM_PER_S / DT_S) : 1;
            course = new double[steps][];
            for (int n = 0; n < steps; n++) {
                double[] share = new double[device.slices];
                for (int look = 0; look < 40; look++) {
                    double at = steps == 1
                            ? setup.where().fromMm()
                                    - spot / 4
                                    + (look + 0.5) / 40 * (setup.where().lengthMm() + spot / 2)
                            : Meeting.LED_MM_PER_S * (n + (look + 0.5) / 40) * DT_S;
                    for (int i = 0; i < device.slices; i++) {
                        double apart = Math.abs(middleMm(i) - at) % edge;
                        share[i] += bell(Math.min(apart, edge - apart), spot) / 40;
                    }
                }
                course[n] = share;
            }
        }

        @Override
        public void step() {
            double before = faceC;
            for (int i = 0; i < Math.round(BenchRun.STEP_S / DT_S); i++) {
                double[] spots = course[(int) Math.round(seconds / DT_S + i) % course.length];
                run(blown(device, spots, wPerM2K, riseK, spot, shielded), DT_S);
            }
            seconds += BenchRun.STEP_S;
            rising = faceC - before;
        }

        /** Held nearer or further by what the last second did to the glass. */
        @Override
        public void step(double glassBelowC) {
            for (int i = 0; i < Math.round(BenchRun.STEP_S / DT_S); i++) {
                double before = faceC;
                double share = Math.min(1, (glassBelowC - before) / perSecondK);
                if (share < 0.2) {
                    run(still, DT_S);
                } else {
                    double[] spots = course[(int) Math.round(seconds / DT_S + i) % course.length];
                    run(blown(device, spots, wPerM2K, share * riseK, spot, shielded), DT_S);
                    perSecondK = Math.max(0.5, (faceC - before) / share);
                }
            }
            seconds += BenchRun.STEP_S;
        }

        @Override
        public double seconds() {
            return seconds;
        }

        @Override
        public double nextFaceOverK() {
            double next = 0.1 * Math.max(0, ROOM_C + riseK - faceC);
            return faceC + Math.max(next, Math.max(0, rising)) - question.glassCautionC();
        }
    }

    @Override
    public double glassCautionC() {
        return question.glassCautionC();
    }

    @Override
    public double batteryOverK() {
        return batteryC - limits.batteryCautionC();
    }

    @Override
    public boolean keptStops() {
        return passed().isEmpty();
    }

    /** What has passed its stop. */
    public List<String> passed() {
        return Arrays.stream(Limit.values())
                .filter(limit -> peakC.get(limit) > limit.stopC(limits))
                .map(limit -> "%s %.0f".formatted(limit.words(), peakC.get(limit)))
                .toList();
    }

    @Override
    public String nearestLimit() {
        return "";
    }
}
