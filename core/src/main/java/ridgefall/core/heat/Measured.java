package ridgefall.core.heat;

import ridgefall.core.heat.HeatFact.Surface;

/**
 * A temperature measured on a device.
 *
 * @param seconds since the soak began
 * @param sigmaK how far it may be from what the model calls this surface
 */
public record Measured(double seconds, Surface surface, double celsius, double sigmaK) {
    /** A reading by hand: where exactly it was taken and how well it touched is anybody's guess. */
    static final double BY_HAND_SIGMA_K = 3;
}
