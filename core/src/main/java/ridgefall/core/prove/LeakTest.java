package ridgefall.core.prove;

import java.util.Locale;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;

/**
 * A closed watch in a chamber under pressure: what leaks into it is missing outside. The fall of pressure is taken at one temperature,
 * {@code Δp = p₀ − p₁ T₀/T₁} (both absolute), and is a flow {@code V Δp/(p_air t)}. The watch fills, and the smaller it is the sooner: what
 * flows in follows {@code s(t) = p₀ v/(V+v) (1 − e^(−t/τ))}, {@code τ = v p₀ V/((V+v) p_air q)} with q the flow at the full difference, from
 * when the chamber was filled. So each leak has a fall of its own, and a verdict is given only where the readings, by all that they may be
 * off, fit none of the other kind. A gross leak does not fall: the watch fills with the chamber, and the pressure is lower from the start
 * than with a solid piece in its place.
 *
 * @param solidKPa over the air's, right after filling, with a solid piece as large as the watch
 * @param startKPa over the air's, at the start with the watch in it
 * @param seconds between start and end
 * @param chamberMl of air round the watch
 * @param innerMl of air inside it
 */
public record LeakTest(
        double solidKPa,
        double startKPa,
        double endKPa,
        double seconds,
        double startC,
        double endC,
        double chamberMl,
        double innerMl) {
    /** What one reading may say. */
    public enum Verdict {
        TIGHT("tight"),
        LEAKS("leaking"),
        /** Its pressure was never there: the watch filled with the chamber. */
        GROSS("wide open"),
        /** Too close to what the tester can tell apart. */
        DOUBTFUL("in doubt"),
        /** A leak of this watch would not show in so much air. */
        TOO_LARGE("not tested: the chamber is too large for it");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    private static final double AIR_KPA = 101.325;
    private static final double ZERO_C_K = 273.15;

    /** What a tester's display stands for. */
    private static final double READS_KPA = 0.01;

    private static final double READS_K = 0.1;

    /** Half a drop, so much water may come in ... */
    private static final double WATER_UL = 25;

    /** ... in half an hour ... */
    private static final double WATER_S = 1800;

    /** ... a metre deep. */
    private static final double WATER_KPA = 9.81;

    /** Through the same crack air flows as much easier as it is thinner. */
    private static final double WATER_OVER_AIR = 1.0e-3 / 1.82e-5;

    /** What air there is inside is a guess: it may be so much less or more. */
    private static final double[] INNER = {0.7, 1, 1.4};

    /** Leaks up to so many times the limit are looked at, in steps so fine; larger ones are gross. */
    private static final double LARGEST = 200;

    private static final double FINELY = 1.01;

    /** What of a watch is air: the rest is board, cell and screen. */
    private static final double AIR_SHARE = 0.08;

    public LeakTest {
        Allowed.between("solidKPa", solidKPa, 1, 500, "kPa");
        Allowed.between("startKPa", startKPa, 0, 500, "kPa");
        Allowed.between("endKPa", endKPa, 0, 500, "kPa");
        Allowed.between("seconds", seconds, 10, 3600, "s");
        Allowed.between("startC", startC, 0, 50, "°C");
        Allowed.between("endC", endC, 0, 50, "°C");
        Allowed.between("chamberMl", chamberMl, 1, 2000, "ml");
        Allowed.between("innerMl", innerMl, 0.05, 50, "ml");
    }

    /** Of air inside a device, ml: a share of its outside. */
    public static double innerMl(DeviceProfile profile) {
        double ml = profile.edge().areaMm2() * profile.document().body().thicknessMm() / 1000;
        return Math.max(0.05, Math.round(100 * AIR_SHARE * ml) / 100.0);
    }

    /** What fell that no change of temperature explains, kPa; below 0 where it rose. */
    public double fallKPa() {
        return startKPa - atOneWarmthKPa(endKPa, endC, startC);
    }

    /** What a pressure over the air's would be, had the chamber another temperature. */
    public static double atOneWarmthKPa(double kPa, double celsius, double thereC) {
        return (kPa + AIR_KPA) * (thereC + ZERO_C_K) / (celsius + ZERO_C_K) - AIR_KPA;
    }

    /** Air that leaked in, ml a minute as air is outside; below 0 where the readings stray. */
    public double mlPerMinute() {
        return perMinute(fallKPa());
    }

    /** What the readings may be off by, ml a minute. */
    public double uncertainMlPerMinute() {
        return perMinute(uncertainKPa());
    }

    /** Two pressures and two temperatures, each off by half of its last digit, all the same way. */
    private double uncertainKPa() {
        return READS_KPA + (startKPa + AIR_KPA) * READS_K / (startC + ZERO_C_K);
    }

    private double perMinute(double kPa) {
        return chamberMl * kPa / (AIR_KPA * seconds) * 60;
    }

    /** From where half a drop would come in within half an hour a metre deep: laminar flow, air for water. */
    public double limitMlPerMinute() {
        double waterMlPerMinute = WATER_UL / 1000 / WATER_S * 60;
        double meanKPa = AIR_KPA + startKPa / 2;
        return waterMlPerMinute * WATER_OVER_AIR * startKPa / WATER_KPA * meanKPa / AIR_KPA;
    }

    /** Where half of what a watch would swallow at once is missing from the start: less may be a solid piece of another size. */
    private boolean gross() {
        return startKPa < solidKPa - swallowedKPa(innerMl) / 2;
    }

    private double swallowedKPa(double airMl) {
        return solidKPa * airMl / (chamberMl + airMl);
    }

    /** How much of what it can swallow a watch with so much air in it has by then, 0 to 1, if it leaks so many times the limit. */
    private double filled(double times, double airMl, double secondsIn) {
        double flow = times * limitMlPerMinute() / 60;
        double tau = swallowedKPa(airMl) * chamberMl / (AIR_KPA * flow);
        return -Math.expm1(-secondsIn / tau);
    }

    private double fallKPa(double times, double airMl) {
        return swallowedKPa(airMl)
                * (filled(times, airMl, SealProof.SETTLE_S + seconds) - filled(times, airMl, SealProof.SETTLE_S));
    }

    /**
     * The least that a leak over the limit would fall which is not gross by what is missing at the start, kPa.
     *
     * @param missingKPa at the start, of the pressure over a solid piece
     */
    private double leastOfLeaksKPa(double missingKPa) {
        double missing = Math.max(0, missingKPa) + swallowedKPa(innerMl) / 2;
        double least = Double.POSITIVE_INFINITY;
        for (double share : INNER) {
            double airMl = share * innerMl;
            for (double times = 1; times < LARGEST; times *= FINELY) {
                boolean unseen = swallowedKPa(airMl) * filled(times, airMl, SealProof.SETTLE_S) <= missing;
                least = unseen ? Math.min(least, fallKPa(times, airMl)) : least;
            }
        }
        return least;
    }

    public Verdict verdict() {
        if (gross()) {
            return Verdict.GROSS;
        }
        double off = uncertainKPa();
        double most = fallKPa(1, INNER[INNER.length - 1] * innerMl);
        if (fallKPa() - off > most) {
            return Verdict.LEAKS;
        }
        if (leastOfLeaksKPa(0) < 2 * off) {
            return Verdict.TOO_LARGE;
        }
        return Math.abs(fallKPa()) < leastOfLeaksKPa(solidKPa - startKPa) - off ? Verdict.TIGHT : Verdict.DOUBTFUL;
    }

    /** "tight by 20 kPa of air for 60 s: 0.02 ml a minute, 0.10 allowed". */
    public String words() {
        String how = String.format(Locale.ROOT, "%.0f kPa of air for %.0f s", startKPa, seconds);
        String flow = String.format(
                Locale.ROOT,
                "%.2f ml a minute, ±%.2f, %.2f allowed",
                Math.max(0, mlPerMinute()),
                uncertainMlPerMinute(),
                limitMlPerMinute());
        return switch (verdict()) {
            case TIGHT -> "tight under " + how + ": " + flow;
            case LEAKS -> "leaks under " + how + ": " + flow;
            case GROSS ->
                String.format(
                        Locale.ROOT,
                        "wide open: %.1f of %.1f kPa at the start, the watch filled with the chamber",
                        startKPa,
                        solidKPa);
            case DOUBTFUL -> "cannot be told under " + how + ": " + flow;
            case TOO_LARGE ->
                String.format(
                        Locale.ROOT,
                        "not tested: a chamber of %.0f ml is too large for the %.1f ml of air in this watch, a leak would not show",
                        chamberMl,
                        innerMl);
        };
    }
}
