package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Point;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.LooseFront;
import ridgefall.core.heat.LooseFront.Way;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.OffBy;

/**
 * How a part gets from the old front to the new one: how it comes off, how warm and by what, and how it lies there.
 *
 * @param offBy in bench words, one after the other
 * @param bondC its tape lets go from here on; null for what comes off cold
 * @param limitC never warmer: what the part bears, and the panel that is still on the old front
 * @param ways to get it that warm, the quickest first; empty where none does within the limit, and for what comes off cold
 * @param lays in bench words, each by itself
 * @param centre of its hole in the new front; null for what has none
 */
public record Moving(
        List<String> offBy, Integer bondC, double limitC, List<Way> ways, List<String> lays, Point centre) {
    /** A fingernail at a part that must not tear; and as slowly as it pulls. */
    private static final double PULLS_N_PER_MM = 0.3;

    private static final double PULLS_MM_PER_S = 2;

    private static final double WITHIN_MM = 0.3;

    /** What reaches farther in is found on the outline, not along the edge. */
    private static final double DEEPEST_MM = 20;

    /** From the edge to the near side of what lies along it. */
    private static final double NEAR_MM = 4;

    /** Parts are held by thin tape on a carrier, whatever holds the front. */
    private static final int TAPE_LETS_GO_C =
            (int) Math.ceil(Adhesive.PET_CARRIER_TAPE.softFromC(PULLS_N_PER_MM, PULLS_MM_PER_S));

    static Moving of(DeviceProfile profile, CarryOver part, FrontCondition condition, List<HeatSource> sources) {
        double limitC = profile.limits().displayCautionC();
        if (part.mostC() != null) {
            limitC = Math.min(limitC, part.mostC());
        }
        boolean warmed = part.offBy().contains(OffBy.WARMTH);
        return new Moving(
                part.offBy().stream().map(OffBy::words).toList(),
                warmed ? TAPE_LETS_GO_C : null,
                limitC,
                warmed ? new LooseFront(profile.heat(), condition).ways(sources, TAPE_LETS_GO_C, limitC) : List.of(),
                lays(part),
                part.centredOn());
    }

    /** The stretch of the edge along which it lies; empty for what lies farther in, or all round. */
    public Optional<EdgeInterval> onEdge(DeviceProfile profile, Area area) {
        if (area == null || Math.min(area.widthMm(), area.heightMm()) > DEEPEST_MM) {
            return Optional.empty();
        }
        EdgeLine edge = profile.edge();
        double depth = Math.min(area.widthMm(), area.heightMm());
        boolean wide = area.widthMm() >= area.heightMm();
        Point middle = new Point(area.xMm() + area.widthMm() / 2, area.yMm() + area.heightMm() / 2);
        double at = edge.positionOf(new Coordinate(middle.xMm(), middle.yMm()));
        Coordinate on = edge.pointAt(at);
        boolean near = Math.hypot(on.x - middle.xMm(), on.y - middle.yMm()) <= depth / 2 + NEAR_MM;
        double length = wide ? area.widthMm() : area.heightMm();
        return near ? Optional.of(new EdgeInterval(edge.turn().wrap(at - length / 2), length)) : Optional.empty();
    }

    private static List<String> lays(CarryOver part) {
        List<String> lays = new ArrayList<>();
        if (part.centredOn() != null) {
            lays.add("centred on its hole in the new front, within {mm:" + WITHIN_MM + "}");
        }
        if (part.lays() != null) {
            lays.add(part.lays());
        }
        if (part.leastBendMm() != null && part.area() != null) {
            lays.add(bend(part));
        }
        if (part.tapeMm() != null) {
            lays.add("on new tape {mm:" + part.tapeMm() + "} wide");
        }
        return lays;
    }

    /**
     * For a stiff strip how far its middle may leave the line between its ends, which an eye can judge: the sagitta of the tightest bend
     * that it bears, rounded down. What can be laid round more than half a circle has no such number.
     */
    private static String bend(CarryOver part) {
        double half = Math.max(part.area().widthMm(), part.area().heightMm()) / 2;
        double radius = part.leastBendMm();
        return radius <= half
                ? "bent round nothing less than {mm:" + Math.round(2 * radius) + "} across"
                : "lifted flat: its middle may sag {mm:"
                        + Math.floor(10 * (radius - Math.sqrt(radius * radius - half * half))) / 10 + "}, no more";
    }
}
