package ridgefall.app.test;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import ridgefall.app.test.TouchController.TouchPlugView;
import ridgefall.app.test.TouchController.TouchPointView;
import ridgefall.core.bond.BondState;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Course;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.PlugRole;

/** Where the plugs of a touch layer and their cables lie beneath its screen, as it is held: a dead band often ends at one. */
final class TouchPlugs {
    private static final Set<PlugRole> TOUCH = EnumSet.of(PlugRole.TOUCH, PlugRole.FRONT);

    private TouchPlugs() {}

    /** @param aspect of the page, its width over its height: held across where the device is drawn upright, it is turned */
    static List<TouchPlugView> of(DeviceProfile profile, double aspect) {
        boolean turned = turned(profile, aspect);
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

    /** Round the screen, the strips that lie already; what they press on may be dead. */
    static List<List<TouchPointView>> strips(Course course, double aspect) {
        DeviceProfile profile = course.profile();
        boolean turned = turned(profile, aspect);
        BondState bond = BondState.of(course.state());
        return bond.school().stream()
                .flatMap(school -> course.strips().stream().filter(plan -> plan.school() == school))
                .flatMap(plan -> plan.strips().stream())
                .filter(strip -> bond.stripLaid(strip.id()))
                .map(strip -> strip.outline().stream()
                        .map(at -> beside(profile, new Point(at.x, at.y), turned))
                        .toList())
                .toList();
    }

    /** How far the device reaches beyond its screen, to either side and up and down, in shares of it. */
    static TouchPointView border(DeviceProfile profile, double aspect) {
        TouchPointView corner = beside(profile, new Point(0, profile.edge().heightMm()), turned(profile, aspect));
        return turned(profile, aspect)
                ? new TouchPointView(-corner.x(), -corner.y())
                : new TouchPointView(-corner.x(), corner.y() - 1);
    }

    private static boolean turned(DeviceProfile profile, double aspect) {
        return (profile.edge().widthMm() > profile.edge().heightMm()) != (aspect > 1);
    }

    /** Under the border is at the screen's edge. */
    private static TouchPointView share(DeviceProfile profile, Point at, boolean turned) {
        TouchPointView seen = beside(profile, at, turned);
        return new TouchPointView(within(seen.x()), within(seen.y()));
    }

    private static TouchPointView beside(DeviceProfile profile, Point at, boolean turned) {
        Area screen = profile.screen();
        double x = (at.xMm() - screen.xMm()) / screen.widthMm();
        double y = (at.yMm() - screen.yMm()) / screen.heightMm();
        return turned ? new TouchPointView(1 - y, x) : new TouchPointView(x, y);
    }

    private static double within(double share) {
        return Math.max(0, Math.min(1, share));
    }
}
