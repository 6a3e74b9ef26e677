package ridgefall.core.edge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import ridgefall.core.units.Allowed;

/**
 * The outline of a front as an axis. Points are in mm, face up, x to the right and y down from the top left of the
 * bounding box, so that clockwise positions run along the top edge first.
 *
 * <p>Arcs are drawn as chords that stay within {@value #SAGITTA_MM} mm of the true arc; lengths are those of the
 * chords, 0.01 mm short on a tablet's corner at most.
 */
public final class EdgeLine {
    private static final double SAGITTA_MM = 0.002;
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** A named part of the outline: a straight edge or a corner. */
    public record Part(Landmark landmark, EdgeInterval interval) {}

    private final double widthMm;
    private final double heightMm;
    private final LineString outline;
    private final LengthIndexedLine index;
    private final Coordinate[] points;

    /** How far along each of the points is, mm. */
    private final double[] upToMm;

    private final Turn turn;
    private final List<Part> parts;

    EdgeLine(double widthMm, double heightMm, LineString outline, List<Part> parts) {
        this.widthMm = widthMm;
        this.heightMm = heightMm;
        this.outline = outline;
        this.index = new LengthIndexedLine(outline);
        this.points = outline.getCoordinates();
        this.upToMm = new double[points.length];
        for (int i = 1; i < points.length; i++) {
            upToMm[i] = upToMm[i - 1] + points[i - 1].distance(points[i]);
        }
        this.turn = new Turn(outline.getLength());
        this.parts = List.copyOf(parts);
    }

    /** The same line is the same axis, whoever made it: what was computed for one holds for the other. */
    @Override
    public boolean equals(Object other) {
        return other instanceof EdgeLine line && outline.equalsExact(line.outline) && parts.equals(line.parts);
    }

    @Override
    public int hashCode() {
        return Objects.hash(widthMm, heightMm, turn);
    }

    /** A rounded rectangle with one radius for all corners. */
    public static EdgeLine roundedRectangle(double widthMm, double heightMm, double radiusMm) {
        return roundedRectangle(widthMm, heightMm, radiusMm, radiusMm, radiusMm, radiusMm);
    }

    /**
     * A rounded rectangle with a radius per corner, clockwise from the landmark corner.
     *
     * @throws ridgefall.core.units.NotAllowed when a length is out of range or two corners meet on an edge
     */
    public static EdgeLine roundedRectangle(
            double widthMm,
            double heightMm,
            double topLeftMm,
            double topRightMm,
            double bottomRightMm,
            double bottomLeftMm) {
        Allowed.between("widthMm", widthMm, 5, 1000, "mm");
        Allowed.between("heightMm", heightMm, 5, 1000, "mm");
        Allowed.between("topLeftMm", topLeftMm, 0, Math.min(widthMm, heightMm) / 2, "mm");
        Allowed.between("topRightMm", topRightMm, 0, Math.min(widthMm - topLeftMm, heightMm / 2), "mm");
        Allowed.between("bottomRightMm", bottomRightMm, 0, Math.min(heightMm - topRightMm, widthMm / 2), "mm");
        Allowed.between("bottomLeftMm", bottomLeftMm, 0, Math.min(widthMm - bottomRightMm, heightMm - topLeftMm), "mm");
        List<Coordinate> points = new ArrayList<>();
        List<Part> parts = new ArrayList<>();
        double at = 0;
        points.add(new Coordinate(topLeftMm, 0));
        at = straight(points, parts, at, Landmark.TOP, widthMm - topRightMm, 0);
        at = arc(points, parts, at, Landmark.TOP_RIGHT, widthMm - topRightMm, topRightMm, topRightMm, -90);
        at = straight(points, parts, at, Landmark.RIGHT, widthMm, heightMm - bottomRightMm);
        at = arc(
                points,
                parts,
                at,
                Landmark.BOTTOM_RIGHT,
                widthMm - bottomRightMm,
                heightMm - bottomRightMm,
                bottomRightMm,
                0);
        at = straight(points, parts, at, Landmark.BOTTOM, bottomLeftMm, heightMm);
        at = arc(points, parts, at, Landmark.BOTTOM_LEFT, bottomLeftMm, heightMm - bottomLeftMm, bottomLeftMm, 90);
        at = straight(points, parts, at, Landmark.LEFT, 0, topLeftMm);
        arc(points, parts, at, Landmark.TOP_LEFT, topLeftMm, topLeftMm, topLeftMm, 180);
        points.set(points.size() - 1, new Coordinate(points.get(0)));
        return new EdgeLine(widthMm, heightMm, GEOMETRY.createLineString(points.toArray(Coordinate[]::new)), parts);
    }

    private static double straight(
            List<Coordinate> points, List<Part> parts, double at, Landmark landmark, double x, double y) {
        Coordinate to = new Coordinate(x, y);
        double length = points.get(points.size() - 1).distance(to);
        if (length > 0) {
            points.add(to);
            parts.add(new Part(landmark, new EdgeInterval(at, length)));
        }
        return at + length;
    }

    private static double arc(
            List<Coordinate> points,
            List<Part> parts,
            double at,
            Landmark landmark,
            double centreX,
            double centreY,
            double radius,
            double fromDegrees) {
        if (radius == 0) {
            return at;
        }
        double step = 2 * Math.acos(1 - Math.min(1, SAGITTA_MM / radius));
        int chords = Math.max(2, (int) Math.ceil(Math.PI / 2 / step));
        double length = 0;
        for (int i = 1; i <= chords; i++) {
            double angle = Math.toRadians(fromDegrees + 90.0 * i / chords);
            Coordinate next = new Coordinate(centreX + radius * Math.cos(angle), centreY + radius * Math.sin(angle));
            length += points.get(points.size() - 1).distance(next);
            points.add(next);
        }
        parts.add(new Part(landmark, new EdgeInterval(at, length)));
        return at + length;
    }

    /**
     * Any closed line without crossings. Its straight edges are what lies along the four sides of its bounding box; what
     * lies between them counts as corners, notches in an edge belong to that edge.
     *
     * @throws ridgefall.core.units.NotAllowed when fewer than 3 points are given, the line crosses itself or its size is
     *     out of range
     */
    public static EdgeLine closed(List<Point> points) {
        return ClosedOutline.edge(points);
    }

    /** The radius that the corners of a rounded rectangle of the same box and area would have. */
    public double equivalentRadiusMm() {
        double missing = widthMm * heightMm - areaMm2();
        return Math.min(Math.min(widthMm, heightMm) / 2, Math.sqrt(Math.max(0, missing) / (4 - Math.PI)));
    }

    public double areaMm2() {
        return GEOMETRY.createPolygon(outline.getCoordinates()).getArea();
    }

    public double widthMm() {
        return widthMm;
    }

    public double heightMm() {
        return heightMm;
    }

    public double lengthMm() {
        return turn.lengthMm();
    }

    /** Once round this edge. */
    public Turn turn() {
        return turn;
    }

    /** Straight edges and corners in working order, clockwise from the top edge. */
    public List<Part> parts() {
        return parts;
    }

    /** The closed outline; its first point is edge position 0. */
    public LineString outline() {
        return outline;
    }

    /** The point at a position; positions beyond one turn wrap. */
    public Coordinate pointAt(double positionMm) {
        double at = turn.wrap(positionMm);
        int found = Arrays.binarySearch(upToMm, at);
        int from = Math.min(found >= 0 ? found : -found - 2, points.length - 2);
        while (from < points.length - 2 && upToMm[from + 1] <= at) {
            from++;
        }
        Coordinate here = points[from];
        Coordinate there = points[from + 1];
        double share = (at - upToMm[from]) / here.distance(there);
        return new Coordinate((there.x - here.x) * share + here.x, (there.y - here.y) * share + here.y);
    }

    /** The point {@code inwardMm} inside the outline, square to it, at a position. */
    public Coordinate pointInside(double positionMm, double inwardMm) {
        // JTS offsets to the left as seen with y up; on a clockwise line with y down that side is the inside.
        return index.extractPoint(turn.wrap(positionMm), inwardMm);
    }

    /** The outward unit normal at a position. */
    public Coordinate normalAt(double positionMm) {
        Coordinate on = pointAt(positionMm);
        Coordinate in = pointInside(positionMm, 1);
        return new Coordinate(on.x - in.x, on.y - in.y);
    }

    /** The position on the outline nearest to a point. */
    public double positionOf(Coordinate point) {
        return turn.wrap(index.project(point));
    }

    /** The landmark a position lies on. */
    public Landmark landmarkAt(double positionMm) {
        double at = turn.wrap(positionMm);
        return parts.stream()
                .filter(part -> turn.contains(part.interval(), at))
                .findFirst()
                .orElse(parts.get(parts.size() - 1))
                .landmark();
    }

    /** Whether a part runs in one line, so that its two ends are enough to draw it. */
    public boolean straight(Part part) {
        double from = part.interval().fromMm();
        double length = part.interval().lengthMm();
        return length - pointAt(from).distance(index.extractPoint(from + length)) < SAGITTA_MM;
    }

    public EdgeInterval interval(Landmark landmark) {
        return parts.stream()
                .filter(part -> part.landmark() == landmark)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no " + landmark + " on this outline"))
                .interval();
    }

    /** The place on the edge nearest to a corner of the bounding box; there is one on a sharp corner too. */
    public double cornerMm(Landmark corner) {
        return positionOf(boxCorner(corner));
    }

    /** @param corner one of the four corners */
    public Coordinate boxCorner(Landmark corner) {
        boolean right = corner == Landmark.TOP_RIGHT || corner == Landmark.BOTTOM_RIGHT;
        boolean bottom = corner == Landmark.BOTTOM_RIGHT || corner == Landmark.BOTTOM_LEFT;
        return new Coordinate(right ? widthMm : 0, bottom ? heightMm : 0);
    }

    /** The outline as seen with the device turned and perhaps face down: the same positions, other points. */
    public Coordinate seen(Coordinate point, View view) {
        double x = view.faceDown() ? widthMm - point.x : point.x;
        double y = point.y;
        return switch (view.quarterTurns()) {
            case 1 -> new Coordinate(heightMm - y, x);
            case 2 -> new Coordinate(widthMm - x, heightMm - y);
            case 3 -> new Coordinate(y, widthMm - x);
            default -> new Coordinate(x, y);
        };
    }

    /** How the device lies on the bench: quarter turns clockwise (0–3), and whether it lies on its face. */
    public record View(int quarterTurns, boolean faceDown) {
        public View {
            Allowed.between("quarterTurns", quarterTurns, 0, 3, "quarter turns");
        }
    }
}
