package ridgefall.core.test;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import ridgefall.core.job.Checks;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * What a meter between charger and device read while it charges: volts and amperes since it was plugged in. Whether it is as it should be
 * for what the device is, and whether the device starts: its board, its radios and its screen draw in steps, a cell alone draws evenly.
 *
 * @param samples in their order
 */
public record ChargeTrace(List<Sample> samples, boolean watch) {
    /** A minute: a device with a flat cell takes half of it to begin. */
    public static final int SECONDS = 60;

    public static final TimerKind CHARGING = new TimerKind(Checks.CHARGE_CLOCK, "On the charger, watched");

    /** @param celsius of the device's back or cell; null where nothing reads it */
    public record Sample(double seconds, double volts, double amps, Double celsius) {
        public Sample {
            Allowed.between("seconds", seconds, 0, 86_400, "s");
            Allowed.between("volts", volts, -1, 60, "V");
            Allowed.between("amps", amps, -20, 20, "A");
        }
    }

    public enum Verdict {
        /** No voltage arrives: the device was not even asked. */
        NO_POWER(false),
        /** Voltage, and nothing is drawn. */
        NOTHING(false),
        /** It draws, and the voltage gives way. */
        SAGS(false),
        /** Some: a full cell or a weak one; its level tells. */
        LITTLE(false),
        CHARGES(true),
        /** It starts, falls and starts again. */
        STARTS_OVER(false),
        /** More than such a cell takes: off at once. */
        TOO_MUCH(false),
        /** Warmer than a cell may be charged: off at once. */
        HOT(false);

        private final boolean good;

        Verdict(boolean good) {
            this.good = good;
        }

        public boolean good() {
            return good;
        }

        /** Neither works nor fails: nobody can say from the current alone. */
        public boolean open() {
            return this == LITTLE;
        }

        public boolean danger() {
            return this == TOO_MUCH || this == HOT;
        }
    }

    /** Below that a USB supply gives nothing that charges. */
    private static final double LEAST_VOLTS = 4.0;

    /** A device may draw what it wants down to here (USB: 4.75 V at the plug, less a poor cable). */
    private static final double SAG_VOLTS = 4.45;

    /** What a meter shows with nothing plugged in. */
    private static final double NOTHING_A = 0.02;

    /** A cell is not charged above (common limit of cell makers). */
    private static final double HOT_C = 45;

    /** Watts that such a device's cell takes between a fifth and nine tenths of its charge: from a poor supply to a quick one. */
    private record Usual(double leastW, double mostW) {}

    private static final Usual TABLET_W = new Usual(2.2, 48);
    private static final Usual WATCH_W = new Usual(0.35, 6);

    /** A step of the board's own: so much of the usual current. */
    private static final double STEP = 0.25;

    /** Falls that far, and rises again: so often in a minute no device does that starts once. */
    private static final int RESTARTS = 3;

    /** The first seconds are the plug's. */
    private static final double SETTLE_S = 5;

    public ChargeTrace {
        samples = List.copyOf(samples);
        Allowed.between("samples", samples.size(), 0, 20_000, "samples");
    }

    public static ChargeTrace of(List<Sample> samples, Kind kind) {
        return new ChargeTrace(samples, kind == Kind.WATCH);
    }

    /** Long enough to be judged. */
    public boolean over() {
        return samples.size() > 10 && samples.get(samples.size() - 1).seconds() >= SECONDS - 3;
    }

    public double leastW() {
        return usual().leastW;
    }

    public double mostW() {
        return usual().mostW;
    }

    private Usual usual() {
        return watch ? WATCH_W : TABLET_W;
    }

    /** Of what there is; a danger is called at once, the rest once it is over. */
    public Verdict verdict() {
        double[] volts = settled().stream().mapToDouble(Sample::volts).toArray();
        double[] watts =
                settled().stream().mapToDouble(s -> s.volts() * s.amps()).toArray();
        if (samples.stream().anyMatch(s -> s.celsius() != null && s.celsius() > HOT_C)) {
            return Verdict.HOT;
        }
        // Three readings in a row: one is the plug's spark.
        for (int i = 2; i < watts.length; i++) {
            if (Math.min(watts[i], Math.min(watts[i - 1], watts[i - 2])) > usual().mostW) {
                return Verdict.TOO_MUCH;
            }
        }
        double amps = median(settled().stream().mapToDouble(Sample::amps).toArray());
        if (median(volts) < LEAST_VOLTS && amps < NOTHING_A) {
            return Verdict.NO_POWER;
        } else if (restarts() >= RESTARTS) {
            return Verdict.STARTS_OVER;
        } else if (most(watts) < NOTHING_A * 5) {
            return Verdict.NOTHING;
        } else if (amps > NOTHING_A && median(volts) < SAG_VOLTS) {
            return Verdict.SAGS;
        }
        return median(lastHalf(watts)) < usual().leastW ? Verdict.LITTLE : Verdict.CHARGES;
    }

    /** How often the current fell to next to nothing and rose to a usual one again. */
    public int restarts() {
        double high = usual().leastW * STEP;
        int times = 0;
        boolean up = false;
        boolean fell = false;
        for (Sample sample : settled()) {
            double watts = sample.volts() * sample.amps();
            if (watts > 2 * high) {
                times += fell ? 1 : 0;
                up = true;
                fell = false;
            } else if (watts < high / 2 && up) {
                fell = true;
                up = false;
            }
        }
        return times;
    }

    /**
     * Whether the board starts, told from the current alone: it changes in steps of a quarter of the usual current, three of them or
     * more, while a cell that charges by itself draws evenly.
     */
    public boolean starts() {
        double step = usual().leastW * STEP;
        int steps = 0;
        double level = Double.NaN;
        List<Sample> all = samples;
        for (int i = 2; i < all.size(); i++) {
            double now = median(new double[] {watts(all.get(i)), watts(all.get(i - 1)), watts(all.get(i - 2))});
            if (Double.isNaN(level)) {
                level = now;
            } else if (Math.abs(now - level) > step) {
                steps++;
                level = now;
            }
        }
        return steps >= 3;
    }

    private static double watts(Sample sample) {
        return sample.volts() * sample.amps();
    }

    public String words() {
        String read = read();
        return switch (verdict()) {
            case NO_POWER -> "no voltage arrives: charger or cable";
            case NOTHING -> "nothing is drawn, " + read;
            case SAGS -> "the voltage gives way, " + read + ": a weaker charger or cable than it asks for";
            case LITTLE ->
                "little is drawn, " + read + ": full, or weak; read its level and watch again below nine tenths";
            case CHARGES -> read + (starts() ? ", in steps: it starts" : "");
            case STARTS_OVER -> "it starts over, " + restarts() + " times: a plug or contact first, then the cell";
            case TOO_MUCH -> "more than such a cell takes, " + read;
            case HOT ->
                String.format(
                        Locale.ROOT,
                        "{t:%.1f}, too warm to charge",
                        samples.stream()
                                .filter(s -> s.celsius() != null)
                                .mapToDouble(Sample::celsius)
                                .max()
                                .orElseThrow());
        };
    }

    /** From there on a cell takes less and less, %. */
    public static final double NEARLY_FULL = 90;

    /** What a trace says that leaves it open, once the device's own level is read. */
    public record AtLevel(boolean works, String words) {}

    /**
     * @param percent of its charge, as the device shows it
     * @throws NotAllowed where it is no level, or where the trace alone tells
     */
    public AtLevel at(double percent) {
        Allowed.between("percent", percent, 0, 100, "%");
        if (!verdict().open()) {
            throw new NotAllowed("charge", verdict(), "one that draws little: of others the current tells by itself");
        }
        boolean full = percent >= NEARLY_FULL;
        return new AtLevel(
                full,
                "little is drawn, " + read() + ", at " + Math.round(percent) + " %: "
                        + (full ? "it is full" : "it is weak"));
    }

    private String read() {
        List<Sample> settled = settled();
        double amps = median(lastHalf(settled.stream().mapToDouble(Sample::amps).toArray()));
        double volts =
                median(lastHalf(settled.stream().mapToDouble(Sample::volts).toArray()));
        return String.format(Locale.ROOT, "%.2f A at %.2f V", amps, volts);
    }

    private List<Sample> settled() {
        return samples.stream().filter(s -> s.seconds() >= SETTLE_S).toList();
    }

    private static double[] lastHalf(double[] all) {
        return Arrays.copyOfRange(all, all.length / 2, all.length);
    }

    private static double most(double[] all) {
        return Arrays.stream(all).max().orElse(0);
    }

    private static double median(double[] all) {
        return TouchLine.median(all);
    }
}
