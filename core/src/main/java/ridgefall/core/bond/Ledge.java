package ridgefall.core.bond;

import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.units.Allowed;

/** The frame shelf that carries the adhesive: the outline of a rounded rectangle less the opening. Lengths in mm. */
public record Ledge(double widthMm, double heightMm, double radiusMm, double openingRadiusMm, PerSide ledgeMm) {

    /** One value for each edge, clockwise from the top. */
    public record PerSide(double top, double right, double bottom, double left) {
        public static PerSide all(double value) {
            return new PerSide(value, value, value, value);
        }

        double of(Side side) {
            return switch (side) {
                case TOP -> top;
                case RIGHT -> right;
                case BOTTOM -> bottom;
                case LEFT -> left;
            };
        }
    }

    /** An edge; positions on it run from the left or from the top of the bounding box. */
    public enum Side {
        TOP,
        RIGHT,
        BOTTOM,
        LEFT;

        Landmark landmark() {
            return Landmark.valueOf(name());
        }

        boolean horizontal() {
            return this == TOP || this == BOTTOM;
        }

        /** Clockwise. */
        Side next() {
            return values()[(ordinal() + 1) % values().length];
        }

        /** Where it ends, clockwise. */
        Landmark clockwiseCorner() {
            return switch (this) {
                case TOP -> Landmark.TOP_RIGHT;
                case RIGHT -> Landmark.BOTTOM_RIGHT;
                case BOTTOM -> Landmark.BOTTOM_LEFT;
                case LEFT -> Landmark.TOP_LEFT;
            };
        }

        Side atStart() {
            return horizontal() ? LEFT : TOP;
        }

        Side atEnd() {
            return horizontal() ? RIGHT : BOTTOM;
        }
    }

    public Ledge {
        Allowed.between("widthMm", widthMm, 5, 1000, "mm");
        Allowed.between("heightMm", heightMm, 5, 1000, "mm");
        Allowed.between("radiusMm", radiusMm, 0, Math.min(widthMm, heightMm) / 2, "mm");
        Allowed.between("openingRadiusMm", openingRadiusMm, 0, Math.min(widthMm, heightMm) / 2, "mm");
        for (Side side : Side.values()) {
            Allowed.between("ledgeMm", ledgeMm.of(side), 0.3, Math.min(widthMm, heightMm) / 3, "mm");
        }
    }

    double lengthMm(Side side) {
        return side.horizontal() ? widthMm : heightMm;
    }

    /** The outline drawn {@code insetMm} inside itself. */
    Polygon inset(double insetMm) {
        return rectangle(insetMm, insetMm, widthMm - insetMm, heightMm - insetMm, Math.max(0, radiusMm - insetMm));
    }

    /** The shelf itself. */
    Geometry area() {
        Polygon opening = rectangle(
                ledgeMm.left(), ledgeMm.top(), widthMm - ledgeMm.right(), heightMm - ledgeMm.bottom(), openingRadiusMm);
        return inset(0).difference(opening);
    }

    private static Polygon rectangle(double left, double top, double right, double bottom, double radius) {
        EdgeLine line = EdgeLine.roundedRectangle(right - left, bottom - top, radius);
        Polygon at = line.outline().getFactory().createPolygon(line.outline().getCoordinates());
        return (Polygon) AffineTransformation.translationInstance(left, top).transform(at);
    }
}
