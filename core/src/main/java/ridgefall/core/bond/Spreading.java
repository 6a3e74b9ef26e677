package ridgefall.core.bond;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.profile.DeviceProfile;

/**
 * How liquid runs out under the glass: every dot a growing disc that the face's own edge cuts off, so that what comes up against it
 * early goes on to the corners.
 *
 * @param face that is joined, inside the border's ink
 * @param dots their middles, mm, seen from the front
 */
public record Spreading(OpticalLiquid liquid, Polygon face, List<Coordinate> dots) {
    /** A corner that takes so many times as long as the others say is dry for a reason. */
    private static final double LATE = 1.5;

    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** After so long it reaches so far from the middle of each dot. */
    public record Reach(double seconds, double mm) {}

    /**
     * @param forecastSeconds from when it was laid, as the corners that have it already tell
     * @param reached whether somebody saw it there
     */
    public record Corner(Landmark landmark, Coordinate at, double forecastSeconds, boolean reached) {
        /** @param seconds since it was laid */
        public boolean late(double seconds) {
            return !reached && seconds > LATE * forecastSeconds;
        }
    }

    public static Spreading of(DeviceProfile profile, OpticalLiquid liquid, int dots) {
        return new Spreading(liquid, face(profile), GlassJoin.middles(profile, dots));
    }

    /** What of the front one looks through. */
    static Polygon face(DeviceProfile profile) {
        return (Polygon) GEOMETRY.createPolygon(profile.edge().outline().getCoordinates())
                .buffer(-profile.document().border().everywhereMm());
    }

    private double coveredMm2(double radiusMm) {
        Geometry wet = dots.stream()
                .map(dot -> GEOMETRY.createPoint(dot).buffer(radiusMm, 32))
                .reduce(GEOMETRY.createPolygon(), Geometry::union);
        return wet.intersection(face).getArea();
    }

    private double secondsTo(double radiusMm) {
        return liquid.secondsToCover(coveredMm2(radiusMm), dots.size());
    }

    private double nearestDotMm(Coordinate at) {
        return dots.stream().mapToDouble(at::distance).min().orElseThrow();
    }

    /** From how it stands until all of the face is wet, at so many moments at most. */
    public List<Reach> reach(int moments) {
        double farthest = Arrays.stream(face.getCoordinates())
                .mapToDouble(this::nearestDotMm)
                .max()
                .orElseThrow();
        List<Reach> all = IntStream.rangeClosed(1, moments)
                .mapToDouble(i -> farthest * i / moments)
                .mapToObj(mm -> new Reach(secondsTo(mm), mm))
                .toList();
        // As wide as it stands before the glass sinks: what is smaller than that never was.
        int stands = (int) all.stream().filter(reach -> reach.seconds() == 0).count();
        return all.subList(Math.max(0, stands - 1), all.size());
    }

    /** The corners of the face, clockwise from the top left. */
    public List<Corner> corners(EdgeLine edge, Joining.Liquid laid) {
        Map<Landmark, Coordinate> at = new EnumMap<>(Landmark.class);
        Map<Landmark, Double> reckoned = new EnumMap<>(Landmark.class);
        for (Landmark corner : Landmark.values()) {
            if (corner.isCorner()) {
                Coordinate outside = edge.pointAt(edge.turn().middle(edge.interval(corner)));
                Coordinate inside = Arrays.stream(face.getCoordinates())
                        .min(Comparator.comparingDouble(outside::distance))
                        .orElseThrow();
                at.put(corner, inside);
                reckoned.put(corner, Math.max(1, secondsTo(nearestDotMm(inside))));
            }
        }
        double pace = pace(reckoned, laid);
        List<Corner> corners = new ArrayList<>();
        for (Landmark corner :
                List.of(Landmark.TOP_LEFT, Landmark.TOP_RIGHT, Landmark.BOTTOM_RIGHT, Landmark.BOTTOM_LEFT)) {
            corners.add(new Corner(
                    corner,
                    at.get(corner),
                    pace * reckoned.get(corner),
                    laid.spread() || laid.corners().containsKey(corner)));
        }
        return corners;
    }

    /** How much slower than reckoned it runs, as the corners tell that have it; cold liquid is thick. */
    private static double pace(Map<Landmark, Double> reckoned, Joining.Liquid laid) {
        return laid.corners().entrySet().stream()
                .mapToDouble(seen -> seconds(laid.laidAt(), seen.getValue()) / reckoned.get(seen.getKey()))
                .average()
                .orElse(1);
    }

    private static double seconds(Instant from, Instant to) {
        return Math.max(1, Duration.between(from, to).toMillis() / 1000.0);
    }
}
