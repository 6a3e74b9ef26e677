package ridgefall.core.material;

import ridgefall.core.units.Allowed;

/**
 * How far freed cover glass may be lifted before it breaks: a cantilever of plate stiffness E/(1−ν²) bent to its
 * allowed surface stress.
 */
public record Glass(double thicknessMm, Condition condition) {
    private static final double PLATE_MODULUS_MPA = 73_560;

    /** Allowed bending stress by what the glass has been through; working values of wide ranges. */
    public enum Condition {
        INTACT(200),
        WORN_EDGE(100),
        CRACKED(25);

        private final double allowedMPa;

        Condition(double allowedMPa) {
            this.allowedMPa = allowedMPa;
        }
    }

    /** Where the freed length ends: decides how stiff the neighbours hold it. */
    public enum Place {
        STRIP_END(2.0 / 3),
        MID_EDGE(1.0 / 3),
        CORNER(1.0);

        private final double shape;

        Place(double shape) {
            this.shape = shape;
        }
    }

    public Glass {
        Allowed.between("thicknessMm", thicknessMm, 0.1, 5, "mm");
        Allowed.present("condition", condition);
    }

    /** Greatest lift in mm of an edge freed over {@code freeMm}. */
    public double liftLimitMm(Place place, double freeMm) {
        return place.shape * condition.allowedMPa * freeMm * freeMm / (PLATE_MODULUS_MPA * thicknessMm);
    }
}
