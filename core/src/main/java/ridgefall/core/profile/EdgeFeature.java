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

    /** Depth of a feature that only the border limits. */
    public static final double ANY_DEPTH_MM = 30;

    public enum Kind {
        CAMERA("camera"),
        SENSOR("sensor"),
        KEY("key"),
        CABLE("cable"),
        ANTENNA("antenna"),
        MAGNET("magnet"),
        PORT("port"),
        MICROPHONE("microphone"),
        CLIP("clip"),
        GASKET("gasket"),
        WINDOW("window"),
        NOTCH("notch"),
        GROUNDING("grounding tab");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public EdgeFeature {
        Allowed.text("id", id, 40);
        Allowed.text("words", words, 80);
        Allowed.between("allowedDepthMm", allowedDepthMm, 0, 30, "mm");
        Allowed.between("hazard", hazard, 0, 1, "(0 cosmetic, 1 lost for good)");
    }
}
