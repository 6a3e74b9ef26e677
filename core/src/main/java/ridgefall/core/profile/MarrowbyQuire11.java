package ridgefall.core.profile;

import static ridgefall.core.profile.DeviceProfile.Seating.CLOSED;
import static ridgefall.core.profile.DeviceProfile.Seating.OPEN;

import java.util.List;
import java.util.Map;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeProfile;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.DeviceProfile.CarryOver;
import ridgefall.core.profile.DeviceProfile.Function;
import ridgefall.core.profile.DeviceProfile.Part;
import ridgefall.core.profile.DeviceProfile.Repair;

/**
 * Marrowby Quire 11, of our own made-up world: an 11-inch tablet with a fused front that opens on its lower long edge,
 * stylus data paired with the old front, magnets along one short edge and a fingerprint key in the frame.
 */
public final class MarrowbyQuire11 {
    private static final double WIDTH = 250;
    private static final double HEIGHT = 176;
    private static final double RADIUS = 16;
    private static final double LEDGE = 3.0;
    private static final double LEDGE_AT_CAMERA = 1.8;

    private MarrowbyQuire11() {}

    public static DeviceProfile profile() {
        EdgeLine edge = EdgeLine.roundedRectangle(WIDTH, HEIGHT, RADIUS);
        double top = edge.interval(Landmark.TOP).fromMm();
        double right = edge.interval(Landmark.RIGHT).fromMm();
        double bottom = edge.interval(Landmark.BOTTOM).fromMm();
        double left = edge.interval(Landmark.LEFT).fromMm();
        EdgeInterval camera = new EdgeInterval(top + 103, 12);
        return new DeviceProfile(
                "marrowby-quire-11",
                1,
                "Marrowby Quire 11",
                "11-inch tablet, fused front, stylus",
                edge,
                Map.of(
                        Landmark.TOP, "camera edge",
                        Landmark.RIGHT, "port edge",
                        Landmark.BOTTOM, "cable edge",
                        Landmark.LEFT, "magnet edge"),
                heat(),
                HeatLimits.USUAL,
                Adhesive.PET_CARRIER_TAPE,
                7.5,
                EdgeProfile.uniform(edge.lengthMm(), LEDGE).with(camera, LEDGE_AT_CAMERA),
                13,
                "between glass and metal frame, never under the dark gasket line",
                Landmark.BOTTOM,
                75,
                0.178,
                List.of(
                        new EdgeFeature(
                                "light-sensor",
                                EdgeFeature.Kind.SENSOR,
                                "light sensor insert",
                                new EdgeInterval(top + 84, 8),
                                2.0,
                                0.4,
                                "brightness no longer adapts",
                                true),
                        new EdgeFeature(
                                "camera",
                                EdgeFeature.Kind.CAMERA,
                                "front camera",
                                camera,
                                1.5,
                                0.7,
                                "camera window smeared or camera lost",
                                true),
                        new EdgeFeature(
                                "finger-key",
                                EdgeFeature.Kind.KEY,
                                "fingerprint key cable",
                                new EdgeInterval(right + 12, 18),
                                1.5,
                                1.0,
                                "fingerprint is lost for good",
                                false),
                        new EdgeFeature(
                                "port",
                                EdgeFeature.Kind.PORT,
                                "charging port",
                                new EdgeInterval(right + 66, 14),
                                4.0,
                                0.2,
                                "port shield bent",
                                false),
                        new EdgeFeature(
                                "display-cables",
                                EdgeFeature.Kind.CABLE,
                                "display and touch cables",
                                new EdgeInterval(bottom + 84, 52),
                                1.0,
                                0.9,
                                "new front needed: the cable is the display's own",
                                false),
                        new EdgeFeature(
                                "stylus-magnets",
                                EdgeFeature.Kind.MAGNET,
                                "stylus magnets, two thin strips",
                                new EdgeInterval(left + 34, 40),
                                2.5,
                                0.4,
                                "magnet strip snaps, stylus falls off",
                                false),
                        new EdgeFeature(
                                "antenna",
                                EdgeFeature.Kind.ANTENNA,
                                "antenna window",
                                new EdgeInterval(left + 96, 22),
                                2.0,
                                0.5,
                                "weak reception",
                                false)),
                List.of(
                        new Function("picture", "Picture, no lines or spots", List.of(OPEN, CLOSED)),
                        new Function("touch", "Touch everywhere", List.of(OPEN, CLOSED)),
                        new Function("stylus", "Stylus draws straight", List.of(OPEN, CLOSED)),
                        new Function("finger", "Fingerprint key", List.of(OPEN, CLOSED)),
                        new Function("camera", "Front camera", List.of(CLOSED)),
                        new Function("light", "Brightness adapts", List.of(CLOSED)),
                        new Function("sound", "Loudspeakers and microphone", List.of(OPEN, CLOSED)),
                        new Function("charge", "Charges", List.of(OPEN, CLOSED))),
                List.of(
                        new Part("display-plug", "Display press plug", "lift straight up; lowest in the stack, first"),
                        new Part("touch-plug", "Touch press plug", "lift straight up"),
                        new Part("sensor-latch", "Sensor flip latch", "opens on the side away from the cable")),
                List.of(
                        new CarryOver(
                                "light-insert",
                                "Light sensor insert",
                                "tends to stay in the old frame edge; warm, lift from the window side",
                                false,
                                false),
                        new CarryOver(
                                "magnets",
                                "Stylus magnet strips",
                                "slide out flat; they snap beyond a small bend",
                                false,
                                false),
                        new CarryOver("camera-ring", "Camera ring", "press out from the glass side", false, false),
                        new CarryOver(
                                "stylus-data",
                                "Stylus data",
                                "read from the old front, write to the new one, read back; battery isolated",
                                true,
                                true)),
                List.of(
                        new Part("inner-film", "Inner film off the display", "check against the light for dust"),
                        new Part("liner-long", "Liner, top edge", "first"),
                        new Part("liner-sides", "Liners, both short edges", "then"),
                        new Part("liner-hinge", "Liner, cable edge", "last: it keeps the cables covered")),
                List.of(
                        new Part("variant", "Variant", "plug count and camera hole as on the old front"),
                        new Part("laid-beside", "Old and new laid side by side", "windows, clips and rails agree"),
                        new Part("tape", "Adhesive", "pre-applied or cut from the roll; noted now, not later"),
                        new Part("arrival", "Tested on arrival", "picture and touch before it is needed")),
                List.of(
                        new Repair(
                                "fused-original",
                                "Fused front, refurbished original",
                                "stylus when its data is copied, fingerprint, brightness",
                                "nothing that worked, if every carry-over succeeds"),
                        new Repair(
                                "fused-copy",
                                "Fused front, premium copy",
                                "fingerprint, brightness",
                                "stylus pressure may differ; no magnets in the part")),
                14);
    }

    private static HeatStack heat() {
        return new HeatStack(
                WIDTH,
                HEIGHT,
                RADIUS,
                6.1,
                0.478,
                LEDGE,
                new Sheet(0.7, 1.0, 2.05e6, 2480),
                new Sheet(0.2, 0.20, 1.8e6, 1000),
                new Sheet(1.0, 160, 2.43e6, 2700),
                new Sheet(0.2, 0.20, 1.9e6, 1000),
                0.2,
                new Sheet(1.5, 0.50, 1.8e6, 2000),
                0.5,
                new Sheet(3.1, 0.80, 2.5e6, 2400),
                0.41,
                500,
                10,
                0.35,
                900,
                1.5);
    }
}
