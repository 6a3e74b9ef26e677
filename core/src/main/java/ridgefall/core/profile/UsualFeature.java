package ridgefall.core.profile;

import java.util.Arrays;
import java.util.List;
import ridgefall.core.profile.EdgeFeature.Kind;

/**
 * What something on the edge is taken for until somebody has looked: how long it mostly is, how deep a tool may go beside it,
 * and what a slip costs. Depths are the least and costs the worst that benches know of tablets' edges, so that what nobody
 * measured errs on the safe side.
 *
 * @param depthMm null where only the border limits it
 */
public record UsualFeature(
        Kind kind,
        String words,
        double lengthMm,
        Double depthMm,
        double hazard,
        String consequence,
        boolean keepsTapeOff) {

    public static UsualFeature of(Kind kind) {
        return switch (kind) {
            case CAMERA -> new UsualFeature(kind, "camera", 10, 1.5, 0.7, "camera window smeared or camera lost", true);
            case SENSOR -> new UsualFeature(kind, "light sensor", 8, 1.0, 0.5, "brightness no longer adapts", true);
            case KEY -> new UsualFeature(kind, "key cable", 20, 0.8, 1.0, "fingerprint is lost for good", true);
            case CABLE -> new UsualFeature(kind, "cable", 24, 0.8, 1.0, "new display needed", false);
            case ANTENNA -> new UsualFeature(kind, "antenna", 22, 2.0, 0.6, "weak reception", false);
            case MAGNET -> new UsualFeature(kind, "magnets", 40, 2.5, 0.4, "magnet strip snaps", false);
            case PORT -> new UsualFeature(kind, "charging port", 13, 4.0, 0.2, "port shield bent", false);
            case MICROPHONE -> new UsualFeature(kind, "microphone", 5, 2.0, 0.3, "dull microphone", true);
            case CLIP -> new UsualFeature(kind, "clip", 8, 3.0, 0.3, "clip breaks: order a front with clips", false);
            case GASKET -> new UsualFeature(kind, "gasket", 60, null, 0.2, "no longer splash-proof", false);
            case WINDOW -> new UsualFeature(kind, "loudspeaker window", 16, 2.0, 0.2, "rattling speaker", true);
            case GROUNDING ->
                new UsualFeature(kind, "grounding tab", 6, 1.5, 0.4, "touch that jumps, weak reception", false);
            case NOTCH -> new UsualFeature(kind, "notch", 12, null, 0.1, "a scratch", true);
        };
    }

    public static List<UsualFeature> all() {
        return Arrays.stream(Kind.values()).map(UsualFeature::of).toList();
    }
}
