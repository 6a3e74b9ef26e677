package ridgefall.core.prove;

import java.util.Locale;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;

/**
 * A closed watch in a chamber under pressure: what leaks into it is missing outside. The fall of pressure is taken at one temperature,
 * {@code Δp = p₀ − p₁ T₀/T₁} (both absolute), and is a flow {@code V Δp/(p_air t)}. A gross leak does not fall: the watch fills with
 * the chamber, and the pressure is lower from the start than with a solid piece in its place.
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
        DOUBTFUL("in doubt");

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
        double byHeatKPa = (startKPa + AIR_KPA) * READS_K / (startC + ZERO_C_K);
        return perMinute(2 * READS_KPA + byHeatKPa);
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

    /** Where half of what a watch would swallow at once is missing from the start. */
    private boolean gross() {
        double swallowed = innerMl / (chamberMl + innerMl);
        return startKPa < solidKPa * (1 - swallowed / 2);
    }

    public Verdict verdict() {
        if (gross()) {
            return Verdict.GROSS;
        } else if (mlPerMinute() - uncertainMlPerMinute() > limitMlPerMinute()) {
            return Verdict.LEAKS;
        }
        return mlPerMinute() + uncertainMlPerMinute() <= limitMlPerMinute() ? Verdict.TIGHT : Verdict.DOUBTFUL;
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
        };
    }
}
