package ridgefall.core.profile;

import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.units.Allowed;

/**
 * Something on the edge that a pick can ruin or that tape must leave clear.
 *
 * @param allowedDepthMm how far in from the outline a tool may go here, 0–30 mm
 * @param hazard how bad a slip here is, 0 (cosmetic) to 1 (a feature is lost for good)
 * @param keepsTapeOff true where no adhesive may lie
 */
public record EdgeFeature(
        String id,
        Kind kind,
        String words,
        EdgeInterval where,
        double allowedDepthMm,
        double hazard,
        String consequence,
        boolean keepsTapeOff) {

    public enum Kind {
        CAMERA,
        SENSOR,
        KEY,
        CABLE,
        ANTENNA,
        MAGNET,
        PORT
    }

    public EdgeFeature {
        Allowed.text("id", id, 40);
        Allowed.text("words", words, 80);
        Allowed.between("allowedDepthMm", allowedDepthMm, 0, 30, "mm");
        Allowed.between("hazard", hazard, 0, 1, "(0 cosmetic, 1 lost for good)");
    }
}
