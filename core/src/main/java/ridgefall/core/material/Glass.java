package ridgefall.core.material;

/** What cover glass bears. */
public final class Glass {
    private Glass() {}

    /** Stiffness of a plate, E/(1−ν²). */
    public static final double PLATE_MODULUS_MPA = 73_560;

    /** Of what glass bears, as much is kept in hand. */
    private static final double KEPT_IN_HAND = 0.15;

    /** Allowed bending stress by what the glass has been through; working values of wide ranges. */
    public enum Condition {
        INTACT(200),
        WORN_EDGE(100),
        CRACKED(25);

        private final double bearsMPa;

        Condition(double bearsMPa) {
            this.bearsMPa = bearsMPa;
        }

        /** What a plan may ask of it. */
        public double allowedMPa() {
            return bearsMPa * (1 - KEPT_IN_HAND);
        }
    }
}
