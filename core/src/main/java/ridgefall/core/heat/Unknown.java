package ridgefall.core.heat;

import ridgefall.core.profile.HeatStack;

/** What nobody knows exactly about a soak. Each is spread log-normally (the surface normally) about its usual value. */
enum Unknown {
    CONTACT("contact between glass and source", 0),
    SURFACE("true temperature of the source", 1),
    GLASS_K("conduction of the glass", 0.1),
    ADHESIVE_K("conduction of the adhesive", 0.2),
    ADHESIVE_THICKNESS("thickness of the adhesive", 0.15),
    DISPLAY_K("conduction of the display", 0.25),
    GAP("air gap over the battery", 0.3),
    BATTERY_CONTACT("contact of the battery with the back", 0.4),
    BODY_HEAT("heat capacity of the body", 0.1),
    RIM("conduction from the frame into the back", 0.3);

    private static final double P95 = 1.645;

    private final String words;
    private final double sigma;

    Unknown(String words, double sigma) {
        this.words = words;
        this.sigma = sigma;
    }

    String words() {
        return words;
    }

    /** How far the air of an outlet may be from the rule of thumb, as a logarithm. */
    private static final double JET_SIGMA = 0.2;

    /** One plausible bench. */
    record Bench(HeatStack stack, double contactWPerM2K, double surfaceOffsetK, double jetFactor) {

        /** What the front faces, in K over the room, at a setting. */
        double riseK(HeatSource source, Setup setup, double settingC, double roomC) {
            return source.kind().air()
                    ? jetFactor * source.risingShare(setup) * (settingC - roomC)
                    : settingC + surfaceOffsetK - roomC;
        }
    }

    static int count() {
        return values().length;
    }

    /** @param scores a standard normal score per unknown */
    static Bench bench(HeatStack stack, HeatSource source, HeatSource.Contact contact, double[] scores) {
        double side = scores[CONTACT.ordinal()];
        double reach = side < 0 ? contact.typical() / contact.low() : contact.high() / contact.typical();
        double surface = scores[SURFACE.ordinal()];
        return new Bench(
                stack.varied(
                        factor(GLASS_K, scores),
                        factor(ADHESIVE_K, scores),
                        factor(ADHESIVE_THICKNESS, scores),
                        factor(DISPLAY_K, scores),
                        factor(GAP, scores),
                        factor(BATTERY_CONTACT, scores),
                        factor(BODY_HEAT, scores),
                        factor(RIM, scores)),
                contact.typical() * Math.pow(reach, side / P95),
                source.surfaceSigmaK() * surface,
                Math.exp(JET_SIGMA * surface));
    }

    private static double factor(Unknown unknown, double[] scores) {
        return Math.exp(unknown.sigma * scores[unknown.ordinal()]);
    }
}
