package ridgefall.core.material;

/**
 * The clear adhesive between glass and panel, cut by a wire. What a wire takes per width of bond is
 * {@code p23 · max(floor, exp(−(T−23)/35)) · (v / 5 mm/s)^0.25}: the law of the tapes with values of clear acrylic films and liquids
 * on glass, 15 to 40 N on a 25 mm strip, from handbooks; not measured on a bench.
 */
public enum OpticalBond {
    USUAL(0.9),
    /** As stiff as they come: what is planned must hold for it too. */
    STIFF(1.6);

    private static final double REFERENCE_C = 23;
    private static final double REFERENCE_MM_PER_S = 5;
    private static final double SOFTENING_K = 35;
    private static final double FLOOR = 0.08;
    private static final double SPEED_EXPONENT = 0.25;

    private final double at23NPerMm;

    OpticalBond(double at23NPerMm) {
        this.at23NPerMm = at23NPerMm;
    }

    /** How fast a wire goes through that is drawn by so much per width of bond, mm/s. */
    public double mmPerS(double celsius, double nPerMm) {
        double bears = at23NPerMm * Math.max(FLOOR, Math.exp(-(celsius - REFERENCE_C) / SOFTENING_K));
        return REFERENCE_MM_PER_S * Math.pow(nPerMm / bears, 1 / SPEED_EXPONENT);
    }
}
