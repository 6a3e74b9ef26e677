package ridgefall.core.material;

import ridgefall.core.units.Allowed;

/**
 * A pick pushed through a bond by a hand: force, speed and temperature in one law. The bond gives way at the speed at which
 * its peel force per width is what the hand pushes with: {@code v = 5 mm/s · (F / peel(T, 5 mm/s))^(1/n)}.
 *
 * @param handNPerMm sustained force per width of the pick, the cutting part alone, 0.05–5 N/mm
 */
public record Cutting(Adhesive adhesive, double handNPerMm) {
    /** What a hand keeps up for minutes; common practice. */
    public static final double USUAL_HAND_N_PER_MM = 0.4;

    static final double WEAKEST_N_PER_MM = 0.05;
    static final double STRONGEST_N_PER_MM = 5;

    /** Slower is not called workable. */
    public static final double WORKABLE_MM_PER_S = 1;

    /** A pick led faster than this is no longer felt. */
    public static final double FASTEST_MM_PER_S = 6;

    /** Below this a bond is not cut but warmed again. */
    public static final double SLOWEST_MM_PER_S = 0.5;

    public Cutting {
        Allowed.present("adhesive", adhesive);
        Allowed.between("handNPerMm", handNPerMm, WEAKEST_N_PER_MM, STRONGEST_N_PER_MM, "N/mm");
    }

    public static Cutting byHand(Adhesive adhesive) {
        return new Cutting(adhesive, USUAL_HAND_N_PER_MM);
    }

    /** How fast the pick goes through a dry bond, at most {@value #FASTEST_MM_PER_S} mm/s. */
    public double mmPerS(double celsius) {
        return adhesive.speedMmPerS(celsius, handNPerMm, FASTEST_MM_PER_S);
    }

    /** The bond's temperature from which it is workable; infinite where stiff glue never gets soft enough. */
    public double workableFromC() {
        return adhesive.softFromC(handNPerMm, WORKABLE_MM_PER_S);
    }

    /** The bond's temperature below which it is warmed again. */
    public double coldBelowC() {
        return adhesive.softFromC(handNPerMm, SLOWEST_MM_PER_S);
    }
}
