package ridgefall.core.bond;

import java.util.Optional;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;

/**
 * Clear liquid between glass and panel: how much, how long it spreads, how long a lamp hardens it. Volume, drop, spread between plates
 * under the glass's own weight and the pull of the film, and dose are textbook forms with values of usual optical liquids.
 *
 * @param areaMm2 of the face that is joined
 * @param gapMm the film that is left
 * @param plateN weight of the glass
 * @param viscosityPaS of the liquid
 * @param inkMm how far the border's ink covers it
 */
public record OpticalLiquid(double areaMm2, double gapMm, double plateN, double viscosityPaS, double inkMm) {
    /** Squeezed out and wiped away. */
    static final double MARGIN = 0.10;

    /** Hard all through, where the syringe does not say, J/cm². */
    public static final double DOSE_J_PER_CM2 = 3;

    /** Through clear glass. */
    static final double THROUGH_GLASS = 0.9;

    private static final double INK_MM = 1.5;
    private static final double TENSION_N_PER_M = 0.032;
    private static final double WETTING = Math.cos(Math.toRadians(20));
    private static final double DROP_SHARE = 0.65;
    private static final double DENSITY_KG_PER_M3 = 1000;
    private static final double GRAVITY = 9.81;

    /** Of a needle of 18 gauge. */
    private static final double NEEDLE_OD_MM = 1.27;

    /** As a dot stands before the glass lies on it. */
    private static final double STANDS_MM = 2;

    private static final double USUAL_PA_S = 1.0;
    private static final int SLICES = 400;

    public OpticalLiquid {
        Allowed.between("areaMm2", areaMm2, 50, 200_000, "mm²");
        Allowed.between("gapMm", gapMm, 0.02, 1, "mm");
        Allowed.between("viscosityPaS", viscosityPaS, 0.05, 50, "Pa s");
        Allowed.between("inkMm", inkMm, 0, 40, "mm");
    }

    /**
     * @param profile of a device whose glass is joined to its panel
     * @param syringe it is laid from; without, liquid as it mostly is
     */
    public static OpticalLiquid of(DeviceProfile profile, Optional<Supply.Liquid> syringe) {
        double borderMm = profile.document().border().everywhereMm();
        double areaMm2 = Spreading.face(profile).getArea();
        double kg = profile.heat().glass().thicknessMm()
                * 1e-3
                * profile.edge().areaMm2()
                * 1e-6
                * profile.heat().glass().densityKgPerM3();
        return new OpticalLiquid(
                areaMm2,
                profile.heat().opticalAdhesive().thicknessMm(),
                kg * GRAVITY,
                syringe.map(Supply.Liquid::viscosityPaS).orElse(USUAL_PA_S),
                borderMm);
    }

    /** What is laid, ml. */
    public double ml() {
        return areaMm2 * gapMm * (1 + MARGIN) / 1000;
    }

    /** Of one drop from the needle, µl. */
    static double dropUl(double needleOdMm) {
        return DROP_SHARE * Math.PI * needleOdMm * 1e-3 * TENSION_N_PER_M / (DENSITY_KG_PER_M3 * GRAVITY) * 1e9;
    }

    /** How many drops that is. */
    public int drops() {
        return (int) Math.ceil(1000 * ml() / dropUl(NEEDLE_OD_MM));
    }

    /**
     * Until the film is as thin as it stays, s: {@code dh/dt = −2πh⁵(W + B/h²)/(3μV²)}, {@code B = 2γ cosθ V}.
     *
     * @param dots of equal size, each with its share of liquid and weight
     */
    public double spreadSeconds(int dots) {
        return secondsTo(gapMm, dots);
    }

    /**
     * When dots have grown until they cover so much, s: what is under the glass stays as much, so they are as thin then as
     * that area leaves them.
     *
     * @param coveredMm2 of the face, none of it twice and nothing outside it
     */
    public double secondsToCover(double coveredMm2, int dots) {
        double thickMm = areaMm2 * gapMm / Math.max(coveredMm2, 1);
        return thickMm >= STANDS_MM ? 0 : secondsTo(Math.max(gapMm, thickMm), dots);
    }

    /** Simpson's rule over the logarithm of the thickness: the last tenths take nearly all of the time. */
    private double secondsTo(double thicknessMm, int dots) {
        Allowed.between("dots", dots, 1, 100, "dots");
        double from = Math.log(thicknessMm * 1e-3);
        double step = (Math.log(STANDS_MM * 1e-3) - from) / SLICES;
        double sum = 0;
        for (int i = 0; i <= SLICES; i++) {
            int weight = i == 0 || i == SLICES ? 1 : i % 2 == 1 ? 4 : 2;
            sum += weight * secondsPerLog(Math.exp(from + i * step), dots);
        }
        return step / 3 * sum;
    }

    private double secondsPerLog(double thicknessM, int dots) {
        double m3 = areaMm2 * gapMm * 1e-9 / dots;
        double pull = 2 * TENSION_N_PER_M * WETTING * m3 / (thicknessM * thicknessM);
        return 3 * viscosityPaS * m3 * m3 / (2 * Math.PI * Math.pow(thicknessM, 4) * (plateN / dots + pull));
    }

    /** What of the light gets to where it is wanted: through the glass, or in under the ink from the side. */
    public double share(Lit lit) {
        return lit == Lit.FACE ? THROUGH_GLASS : Math.exp(-inkMm / INK_MM);
    }

    /**
     * How long a lamp is on for what is missing, s.
     *
     * @param mwPerCm2 as measured where the glass lies
     * @param missingJ of the dose, J/cm²
     */
    public double lampSeconds(Lit lit, double mwPerCm2, double missingJ) {
        Allowed.between("mwPerCm2", mwPerCm2, 1, 5000, "mW/cm²");
        return Math.max(0, 1000 * missingJ / (mwPerCm2 * share(lit)));
    }

    /** What a lamp gave, J/cm². */
    public double doseJ(Lit lit, double mwPerCm2, double seconds) {
        return share(lit) * mwPerCm2 * seconds / 1000;
    }

    /** Where a lamp shines. */
    public enum Lit {
        FACE("through the face"),
        /** Round the sides, in under the border's ink. */
        SIDES("from the sides, in under the ink");

        private final String words;

        Lit(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
