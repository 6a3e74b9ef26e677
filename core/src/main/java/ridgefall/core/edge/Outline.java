package ridgefall.core.edge;

import java.util.List;

/** The shape of a front as it is described; {@link EdgeLine} turns it into an axis. Lengths in mm. */
public sealed interface Outline {

    /** A rounded rectangle with a radius per corner, clockwise from the landmark corner. */
    record RoundedRectangle(
            double widthMm,
            double heightMm,
            double topLeftMm,
            double topRightMm,
            double bottomRightMm,
            double bottomLeftMm)
            implements Outline {}

    /** Any closed line, as read from a drawing; the last point joins the first. */
    record Closed(List<Point> points) implements Outline {
        public Closed {
            points = List.copyOf(points);
        }
    }

    /** @throws ridgefall.core.units.NotAllowed when the shape is not one that encloses a face */
    default EdgeLine edge() {
        if (this instanceof RoundedRectangle r) {
            return EdgeLine.roundedRectangle(
                    r.widthMm, r.heightMm, r.topLeftMm, r.topRightMm, r.bottomRightMm, r.bottomLeftMm);
        }
        return EdgeLine.closed(((Closed) this).points);
    }
}
