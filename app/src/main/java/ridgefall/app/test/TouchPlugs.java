package ridgefall.app.test;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import ridgefall.app.test.TouchController.TouchPlugView;
import ridgefall.app.test.TouchController.TouchPointView;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.PlugRole;

/** Where the plugs of a touch layer and their cables lie beneath its screen, as it is held: a dead band often ends at one. */
final class TouchPlugs {
    private static final Set<PlugRole> TOUCH = EnumSet.of(PlugRole.TOUCH, PlugRole.FRONT);

    private TouchPlugs() {}

    /** @param aspect of the page, its width over its height: held across where the device is drawn upright, it is turned */
    static List<TouchPlugView> of(DeviceProfile profile, double aspect) {
        boolean turned = (profile.edge().widthMm() > profile.edge().heightMm()) != (aspect > 1);
        return profile.connectors().stream()
                .filter(plug -> TOUCH.contains(plug.role()) && plug.place() != null)
                .map(plug -> new TouchPlugView(
                        plug.words(),
                        share(profile, plug.place(), turned),
                        plug.cable() == null
                                ? List.of()
                                : plug.cable().route().stream()
                                        .map(at -> share(profile, at, turned))
                                        .toList()))
                .toList();
    }

    private static TouchPointView share(DeviceProfile profile, Point at, boolean turned) {
        double borderMm = profile.document().border().everywhereMm();
        double x = within((at.xMm() - borderMm) / (profile.edge().widthMm() - 2 * borderMm));
        double y = within((at.yMm() - borderMm) / (profile.edge().heightMm() - 2 * borderMm));
        return turned ? new TouchPointView(1 - y, x) : new TouchPointView(x, y);
    }

    /** Under the border is at its edge. */
    private static double within(double share) {
        return Math.max(0, Math.min(1, share));
    }
}
