package ridgefall.core.edge;

import ridgefall.core.units.Allowed;

/**
 * A stretch of the edge line: {@code lengthMm} clockwise from {@code fromMm}. It may run over position 0; what it is to others
 * says the {@link Turn} of its edge.
 */
public record EdgeInterval(double fromMm, double lengthMm) {

    public EdgeInterval {
        Allowed.between("fromMm", fromMm, 0, 4000, "mm along the edge");
        Allowed.between("lengthMm", lengthMm, 0, 4000, "mm");
    }
}
