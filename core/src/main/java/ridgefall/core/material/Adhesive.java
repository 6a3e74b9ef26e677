package ridgefall.core.material;

import ridgefall.core.units.Allowed;

/**
 * The adhesive families of a bond line. Peel force per width follows
 * {@code p23 · max(floor, exp(−(T−23)/T0)) · (v / 5 mm/s)^n · [1 − f(1−sInf)]}; shear has the same temperature factor.
 * Handbook-level values, not measured on a bench.
 */
public enum Adhesive {
    ACRYLIC_FOAM_TAPE("acrylic foam tape", 1.5, 45, 0.6, 0.25, 0.05, 0.45, 0.5),
    PET_CARRIER_TAPE("PET-carrier acrylic tape", 1.0, 38, 0.6, 0.25, 0.05, 0.40, 0.4),
    RUBBERY_BEAD("rubbery glue bead", 3.0, 25, 2.0, 0.2, 0.04, 0.75, 0.2);

    private static final double REFERENCE_C = 23;
    private static final double REFERENCE_MM_PER_S = 5;

    private final String words;
    private final double peelNPerMm;
    private final double softeningK;
    private final double shearMPa;
    private final double speedExponent;
    private final double floor;
    private final double soakedShare;
    private final double creepMmPerRootMinute;

    Adhesive(
            String words,
            double peelNPerMm,
            double softeningK,
            double shearMPa,
            double speedExponent,
            double floor,
            double soakedShare,
            double creepMmPerRootMinute) {
        this.words = words;
        this.peelNPerMm = peelNPerMm;
        this.softeningK = softeningK;
        this.shearMPa = shearMPa;
        this.speedExponent = speedExponent;
        this.floor = floor;
        this.soakedShare = soakedShare;
        this.creepMmPerRootMinute = creepMmPerRootMinute;
    }

    public String words() {
        return words;
    }

    /** What is left of the strength at a temperature: 1 at 23 °C, never below the floor. */
    public double temperatureFactor(double celsius) {
        return Math.max(floor, Math.exp(-(celsius - REFERENCE_C) / softeningK));
    }

    /**
     * Peel force per width of a dry bond line.
     *
     * @param speedMmPerS how fast the pick moves, 0.001–100 mm/s
     */
    public double peelNPerMm(double celsius, double speedMmPerS) {
        Allowed.between("speedMmPerS", speedMmPerS, 0.001, 100, "mm/s");
        return peelNPerMm * temperatureFactor(celsius) * Math.pow(speedMmPerS / REFERENCE_MM_PER_S, speedExponent);
    }

    /** Peel force per width after solvent stood at a bond {@code bondWidthMm} wide for some minutes. */
    public double peelNPerMm(double celsius, double speedMmPerS, double solventMinutes, double bondWidthMm) {
        return peelNPerMm(celsius, speedMmPerS) * strengthLeft(solventMinutes, bondWidthMm);
    }

    /** The share of its strength that solvent has left a bond {@code bondWidthMm} wide after some minutes, 0 to 1. */
    public double strengthLeft(double solventMinutes, double bondWidthMm) {
        double wet = Math.min(1, creepMmPerRootMinute * Math.sqrt(solventMinutes) / bondWidthMm);
        return 1 - wet * (1 - soakedShare);
    }

    public double shearMPa(double celsius) {
        return shearMPa * temperatureFactor(celsius);
    }

    /** How fast a dry bond peels under a force per width, at most {@code fastestMmPerS}. */
    public double speedMmPerS(double celsius, double nPerMm, double fastestMmPerS) {
        double share = nPerMm / peelNPerMm(celsius, REFERENCE_MM_PER_S);
        return Math.min(fastestMmPerS, REFERENCE_MM_PER_S * Math.pow(share, 1 / speedExponent));
    }

    /** The same after solvent stood at a bond {@code bondWidthMm} wide for some minutes. */
    public double speedMmPerS(
            double celsius, double nPerMm, double fastestMmPerS, double solventMinutes, double bondWidthMm) {
        double share = nPerMm / peelNPerMm(celsius, REFERENCE_MM_PER_S, solventMinutes, bondWidthMm);
        return Math.min(fastestMmPerS, REFERENCE_MM_PER_S * Math.pow(share, 1 / speedExponent));
    }

    /**
     * The temperature from which a dry bond peels that fast under a force per width. For stiff glue the floor of its strength
     * can lie above it; then there is none (infinity).
     */
    public double softFromC(double nPerMm, double speedMmPerS) {
        double factor = nPerMm / (peelNPerMm * Math.pow(speedMmPerS / REFERENCE_MM_PER_S, speedExponent));
        return factor <= floor ? Double.POSITIVE_INFINITY : REFERENCE_C - softeningK * Math.log(factor);
    }
}
