package ridgefall.core.profile;

import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;

/**
 * Places on the edge as a hand finds them: on which side, and how far in from the nearest side beside it, as a rule laid
 * along the edge measures. Words for lengths carry their unit's token.
 */
public final class PlaceWords {
    private PlaceWords() {}

    /** "magnet edge, 56 mm from the cable edge"; of a rounded corner its name. */
    public static String at(DeviceProfile profile, double positionMm) {
        Landmark side = profile.edge().landmarkAt(positionMm);
        if (side.isCorner()) {
            return profile.placeName(side);
        }
        double before = fromBeforeMm(profile.edge(), side, positionMm);
        double after = longMm(profile.edge(), side) - before;
        return profile.placeName(side) + ", {mm:" + Math.round(Math.min(before, after)) + "} from the "
                + profile.placeName(before <= after ? before(side) : after(side));
    }

    /** "magnet edge, 56 to 102 mm from the cable edge", in the order in which a tool passes it. */
    public static String along(DeviceProfile profile, EdgeInterval where, boolean clockwise) {
        EdgeLine edge = profile.edge();
        Landmark side = edge.landmarkAt(edge.turn().middle(where));
        if (side.isCorner()) {
            return profile.placeName(side);
        }
        double from = fromBeforeMm(edge, side, where.fromMm());
        double to = from + where.lengthMm();
        double all = longMm(edge, side);
        boolean fromBefore = from + to <= all;
        double nearFrom = fromBefore ? from : all - from;
        double nearTo = fromBefore ? to : all - to;
        return profile.placeName(side) + ", {mm:" + Math.round(clockwise ? nearFrom : nearTo) + "} to {mm:"
                + Math.round(clockwise ? nearTo : nearFrom) + "} from the "
                + profile.placeName(fromBefore ? before(side) : after(side));
    }

    /** "towards the camera edge". */
    public static String towards(DeviceProfile profile, EdgeInterval where, boolean clockwise) {
        EdgeLine edge = profile.edge();
        Landmark on = edge.landmarkAt(edge.turn().middle(where));
        return "towards the " + profile.placeName(clockwise ? after(on) : before(on));
    }

    /** The next side the other way round; of a corner the side it ends. */
    private static Landmark before(Landmark landmark) {
        return step(landmark, landmark.isCorner() ? -1 : -2);
    }

    private static Landmark after(Landmark landmark) {
        return step(landmark, landmark.isCorner() ? 1 : 2);
    }

    private static Landmark step(Landmark from, int by) {
        Landmark[] all = Landmark.values();
        return all[(from.ordinal() + by + all.length) % all.length];
    }

    private static double longMm(EdgeLine edge, Landmark side) {
        return side == Landmark.TOP || side == Landmark.BOTTOM ? edge.widthMm() : edge.heightMm();
    }

    /** From the side that comes before this one, clockwise, in the box round the outline. */
    private static double fromBeforeMm(EdgeLine edge, Landmark side, double positionMm) {
        Coordinate on = edge.pointAt(positionMm);
        return switch (side) {
            case TOP -> on.x;
            case RIGHT -> on.y;
            case BOTTOM -> edge.widthMm() - on.x;
            case LEFT -> edge.heightMm() - on.y;
            default -> throw new IllegalArgumentException(side + " is no side");
        };
    }
}
