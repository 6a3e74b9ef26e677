package ridgefall.core.edge;

import java.util.List;
import java.util.stream.Stream;

/**
 * Once round an edge: what positions and intervals on it are to each other. Position 0 and the length are one place, and
 * an interval may run over it. Made once for an edge, so that nobody needs its length again.
 */
public record Turn(double lengthMm) {
    private static final double TOUCH_MM = 1e-9;

    /** The position that means the same place: 0 ≤ result &lt; length. */
    public double wrap(double positionMm) {
        double wrapped = positionMm % lengthMm;
        return wrapped < 0 ? wrapped + lengthMm : wrapped;
    }

    /** From one position to another the short way round, negative where that is back. */
    public double way(double fromMm, double toMm) {
        double ahead = wrap(toMm - fromMm);
        return ahead > lengthMm / 2 ? ahead - lengthMm : ahead;
    }

    /** How far apart two positions are, the short way round. */
    public double apart(double oneMm, double otherMm) {
        return Math.abs(way(oneMm, otherMm));
    }

    /** From one position clockwise to another; equal positions give an empty interval. */
    public EdgeInterval between(double fromMm, double toMm) {
        return new EdgeInterval(fromMm, wrap(toMm - fromMm));
    }

    public EdgeInterval whole() {
        return new EdgeInterval(0, lengthMm);
    }

    /** The far end of an interval. */
    public double end(EdgeInterval interval) {
        return wrap(interval.fromMm() + interval.lengthMm());
    }

    public double middle(EdgeInterval interval) {
        return wrap(interval.fromMm() + interval.lengthMm() / 2);
    }

    /** Whether a position lies in an interval; the far end is left out, so that neighbours share none. */
    public boolean contains(EdgeInterval interval, double positionMm) {
        return wrap(positionMm - interval.fromMm()) < interval.lengthMm();
    }

    /** Where two intervals share more than a touching end: none, one or (round the back) two intervals. */
    public List<EdgeInterval> shared(EdgeInterval one, EdgeInterval other) {
        double start = wrap(other.fromMm() - one.fromMm());
        return Stream.of(start, start - lengthMm)
                .map(at -> new double[] {Math.max(0, at), Math.min(one.lengthMm(), at + other.lengthMm())})
                .filter(ends -> ends[1] - ends[0] > TOUCH_MM)
                .map(ends -> new EdgeInterval(wrap(one.fromMm() + ends[0]), ends[1] - ends[0]))
                .toList();
    }

    public boolean overlap(EdgeInterval one, EdgeInterval other) {
        return !shared(one, other).isEmpty();
    }

    /** All of the edge that is not in an interval. */
    public EdgeInterval rest(EdgeInterval interval) {
        return new EdgeInterval(end(interval), Math.max(0, lengthMm - interval.lengthMm()));
    }

    /** Grown at both ends, never beyond one turn. */
    public EdgeInterval grown(EdgeInterval interval, double byMm) {
        double length = Math.min(lengthMm, interval.lengthMm() + 2 * byMm);
        return new EdgeInterval(wrap(interval.fromMm() - (length - interval.lengthMm()) / 2), length);
    }
}
