package ridgefall.core.edge;

import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.units.Allowed;

/**
 * A stretch of the edge line: {@code lengthMm} clockwise from {@code fromMm}. It may run over position 0; that is why
 * questions take the perimeter. Closed at both ends, except that {@link #contains} leaves out the far end so that
 * neighbours don't share a position.
 */
public record EdgeInterval(double fromMm, double lengthMm) {
    private static final double TOUCH_MM = 1e-9;

    public EdgeInterval {
        Allowed.between("fromMm", fromMm, 0, 4000, "mm along the edge");
        Allowed.between("lengthMm", lengthMm, 0, 4000, "mm");
    }

    /** From one position clockwise to another; equal positions give an empty interval. */
    public static EdgeInterval between(double fromMm, double toMm, double perimeterMm) {
        double length = (toMm - fromMm) % perimeterMm;
        return new EdgeInterval(fromMm, length < 0 ? length + perimeterMm : length);
    }

    /** The far end, within one turn. */
    public double toMm(double perimeterMm) {
        return (fromMm + lengthMm) % perimeterMm;
    }

    public double middleMm(double perimeterMm) {
        return (fromMm + lengthMm / 2) % perimeterMm;
    }

    public boolean contains(double positionMm, double perimeterMm) {
        return clockwiseFromStart(positionMm, perimeterMm) < lengthMm;
    }

    /** Where the two share more than a touching end: none, one or (round the back) two intervals. */
    public List<EdgeInterval> intersection(EdgeInterval other, double perimeterMm) {
        double start = clockwiseFromStart(other.fromMm, perimeterMm);
        return Stream.of(start, start - perimeterMm)
                .map(at -> new double[] {Math.max(0, at), Math.min(lengthMm, at + other.lengthMm)})
                .filter(ends -> ends[1] - ends[0] > TOUCH_MM)
                .map(ends -> new EdgeInterval((fromMm + ends[0]) % perimeterMm, ends[1] - ends[0]))
                .toList();
    }

    public boolean overlaps(EdgeInterval other, double perimeterMm) {
        return !intersection(other, perimeterMm).isEmpty();
    }

    /** All of the edge that is not in this interval. */
    public EdgeInterval complement(double perimeterMm) {
        return new EdgeInterval(toMm(perimeterMm), Math.max(0, perimeterMm - lengthMm));
    }

    /** Grown by {@code byMm} at both ends, never beyond one turn. */
    public EdgeInterval grown(double byMm, double perimeterMm) {
        double length = Math.min(perimeterMm, lengthMm + 2 * byMm);
        double from = (fromMm - (length - lengthMm) / 2) % perimeterMm;
        return new EdgeInterval(from < 0 ? from + perimeterMm : from, length);
    }

    private double clockwiseFromStart(double positionMm, double perimeterMm) {
        double ahead = (positionMm - fromMm) % perimeterMm;
        return ahead < 0 ? ahead + perimeterMm : ahead;
    }
}
