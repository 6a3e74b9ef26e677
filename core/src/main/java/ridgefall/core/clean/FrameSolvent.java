package ridgefall.core.clean;

/**
 * What a ledge is wiped with. Both are gone from a film by themselves; how soon is the same law with other numbers (Antoine's for
 * the vapour, p in mmHg and T in °C; density; molar mass), as handbooks give them for pure acetone and isopropyl alcohol.
 */
public enum FrameSolvent {
    /** Dissolves what alcohol only softens; and plastics, paint and lenses with it. */
    ACETONE("acetone", 7.1171, 1210.6, 229.66, 0.0581, 790),
    ALCOHOL("alcohol", 8.1178, 1580.92, 219.61, 0.0601, 785);

    private static final double PA_PER_MMHG = 133.322;
    private static final double GAS_J_PER_MOL_K = 8.314;
    private static final double KELVIN = 273.15;

    /** Over a bench without a draught; 0.003 to 0.010 m/s are found. */
    private static final double AWAY_M_PER_S = 0.005;

    /** What a damp cloth or a brush leaves. */
    private static final double FILM_UM = 50;

    /** In joints and corners it stands longer than as a film; never less than a minute. */
    private static final int LEAST_S = 60;

    private static final double TWICE = 2;

    private final String words;
    private final double a;
    private final double b;
    private final double c;
    private final double kgPerMol;
    private final double kgPerM3;

    FrameSolvent(String words, double a, double b, double c, double kgPerMol, double kgPerM3) {
        this.words = words;
        this.a = a;
        this.b = b;
        this.c = c;
        this.kgPerMol = kgPerMol;
        this.kgPerM3 = kgPerM3;
    }

    public String words() {
        return words;
    }

    /** How long an even film takes to be gone: {@code t = ρ d R T / (h M p)}. */
    double filmSeconds(double filmUm, double roomC) {
        double vapourPa = PA_PER_MMHG * Math.pow(10, a - b / (c + roomC));
        return kgPerM3 * filmUm * 1e-6 * GAS_J_PER_MOL_K * (roomC + KELVIN) / (AWAY_M_PER_S * kgPerMol * vapourPa);
    }

    /** When what was wiped or primed may be covered, s: twice the film, never under a minute. */
    public int readyAfterSeconds(double roomC) {
        return (int) Math.max(LEAST_S, Math.ceil(TWICE * filmSeconds(FILM_UM, roomC)));
    }
}
