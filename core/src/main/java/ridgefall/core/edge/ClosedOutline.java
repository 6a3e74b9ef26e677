package ridgefall.core.edge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateArrays;
import org.locationtech.jts.geom.CoordinateList;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Finds edges and corners of an outline that came from a drawing: where it leaves the sides of its bounding box. */
record ClosedOutline(Coordinate[] ring, LengthIndexedLine index, double widthMm, double heightMm) {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int MOST_POINTS = 2000;
    /** How far from the bounding box an edge may run and still be that edge. */
    private static final double ALONG_MM = 0.3;

    private static final double TOUCH_MM = 1e-6;

    private static ClosedOutline of(LineString line, double widthMm, double heightMm) {
        return new ClosedOutline(line.getCoordinates(), new LengthIndexedLine(line), widthMm, heightMm);
    }

    static EdgeLine edge(List<Point> given) {
        Allowed.between("points", given.size(), 3, MOST_POINTS, "points of an outline");
        double left = given.stream().mapToDouble(Point::xMm).min().orElseThrow();
        double top = given.stream().mapToDouble(Point::yMm).min().orElseThrow();
        CoordinateList closed = new CoordinateList();
        for (Point point : given) {
            Allowed.between("xMm", point.xMm(), -10_000, 10_000, "mm");
            Allowed.between("yMm", point.yMm(), -10_000, 10_000, "mm");
            closed.add(new Coordinate(point.xMm() - left, point.yMm() - top), false);
        }
        closed.closeRing();
        Coordinate[] ring = closed.toCoordinateArray();
        if (ring.length < 4 || !GEOMETRY.createLinearRing(ring).isSimple()) {
            throw new NotAllowed("points", given.size() + " points", "a closed line that does not cross itself");
        }
        // With y down, what JTS calls counter-clockwise runs clockwise as seen.
        if (!Orientation.isCCW(ring)) {
            CoordinateArrays.reverse(ring);
        }
        double width = Arrays.stream(ring).mapToDouble(c -> c.x).max().orElseThrow();
        double height = Arrays.stream(ring).mapToDouble(c -> c.y).max().orElseThrow();
        Allowed.between("widthMm", width, 5, 1000, "mm");
        Allowed.between("heightMm", height, 5, 1000, "mm");
        ClosedOutline drawn = of(GEOMETRY.createLineString(ring), width, height);
        return of(drawn.startingAt(drawn.along(Landmark.TOP).fromMm()), width, height)
                .named();
    }

    /** The outline with all its edges and corners named; it starts where its top edge does. */
    private EdgeLine named() {
        double length = index.getEndIndex();
        Landmark[] all = Landmark.values();
        List<EdgeLine.Part> parts = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < all.length; i += 2) {
            EdgeInterval edge = along(all[i]);
            double from = i == 0 ? 0 : Math.max(at, edge.fromMm());
            double to = Math.min(length, Math.max(from, from + edge.lengthMm()));
            part(parts, all[Math.max(0, i - 1)], at, from);
            part(parts, all[i], from, to);
            at = to;
        }
        part(parts, Landmark.TOP_LEFT, at, length);
        return new EdgeLine(widthMm, heightMm, GEOMETRY.createLineString(ring), parts);
    }

    private static void part(List<EdgeLine.Part> parts, Landmark landmark, double from, double to) {
        if (to - from > TOUCH_MM) {
            parts.add(new EdgeLine.Part(landmark, new EdgeInterval(from, to - from)));
        }
    }

    private LineString startingAt(double position) {
        CoordinateList turned = new CoordinateList(
                index.extractLine(position, index.getEndIndex()).getCoordinates(), false);
        turned.add(index.extractLine(0, position).getCoordinates(), false);
        turned.closeRing();
        return GEOMETRY.createLineString(turned.toCoordinateArray());
    }

    /** From the first to the last place that lies along a side of the bounding box, clockwise. */
    private EdgeInterval along(Landmark side) {
        double length = index.getEndIndex();
        List<Double> on = new ArrayList<>();
        double at = 0;
        for (int i = 0; i + 1 < ring.length; i++) {
            if (distance(side, ring[i]) <= ALONG_MM) {
                on.add(at);
            }
            at += ring[i].distance(ring[i + 1]);
        }
        // The widest gap between such places is the rest of the outline; the edge is what is left.
        double gap = -1;
        double from = 0;
        double to = 0;
        for (int i = 0; i < on.size(); i++) {
            double next = i + 1 < on.size() ? on.get(i + 1) : on.get(0) + length;
            if (next - on.get(i) > gap) {
                gap = next - on.get(i);
                from = next % length;
                to = on.get(i);
            }
        }
        return new Turn(length).between(from, to);
    }

    private double distance(Landmark side, Coordinate c) {
        return switch (side) {
            case TOP -> c.y;
            case RIGHT -> widthMm - c.x;
            case BOTTOM -> heightMm - c.y;
            default -> c.x;
        };
    }
}
