package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.bond.Ledge.PerSide;
import ridgefall.core.bond.Ledge.Side;
import ridgefall.core.bond.StripPlan.Skip;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeProfile;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;

/** Fits the tape on the bench's roll to a device: real ledge widths, windows to leave clear, narrow places to skip. */
public final class BenchTape {
    /** Rolls on the bench, the widest first: the widest that fits holds most. */
    private static final double[] WIDTHS_MM = {2, 1.5, 1};

    private static final double MARGIN_MM = 0.3;
    private static final double SAFETY = 3;
    private static final double WARM_USE_C = 40;
    /** A drop onto a hut floor, as a multiple of gravity; the tape sees it in shear. */
    private static final double SHOCK_G = 50;

    private BenchTape() {}

    /**
     * The three schools for a device, the recommended one first: most hold, then closed corners. None where no tape of
     * the bench fits the ledge.
     */
    public static List<StripPlan> plans(DeviceProfile profile) {
        if (width(profile).isEmpty()) {
            return List.of();
        }
        StripPlanner planner = planner(profile);
        return Arrays.stream(TapeSchool.values())
                .map(planner::plan)
                .sorted(Comparator.comparing(StripPlan::shearN).reversed())
                .toList();
    }

    /** Load on the bond in a drop. */
    public static double dropLoadN(DeviceProfile profile) {
        return profile.frontMassKg() * SHOCK_G * 9.81;
    }

    private static double widest(DeviceProfile profile) {
        return profile.ledgeMm().pieces().stream()
                .mapToDouble(EdgeProfile.Piece::value)
                .max()
                .orElseThrow();
    }

    private static OptionalDouble width(DeviceProfile profile) {
        double room = widest(profile) - MARGIN_MM;
        return Arrays.stream(WIDTHS_MM).filter(w -> w <= room).findFirst();
    }

    static StripPlanner planner(DeviceProfile profile) {
        EdgeLine edge = profile.edge();
        double widest = widest(profile);
        double width = width(profile).orElseThrow();
        List<Skip> skips = new ArrayList<>();
        for (EdgeFeature feature : profile.features()) {
            if (feature.keepsTapeOff()) {
                skip(edge, feature.where(), feature.words() + " stays clear").ifPresent(skips::add);
            }
        }
        for (EdgeProfile.Piece<Double> piece : profile.ledgeMm().pieces()) {
            boolean known = profile.features().stream()
                    .anyMatch(f -> f.keepsTapeOff() && f.where().equals(piece.interval()));
            if (piece.value() < MARGIN_MM + width && !known) {
                skip(edge, piece.interval(), "the ledge is too narrow").ifPresent(skips::add);
            }
        }
        return new StripPlanner(
                new Ledge(
                        edge.widthMm(),
                        edge.heightMm(),
                        edge.equivalentRadiusMm(),
                        profile.openingRadiusMm(),
                        PerSide.all(widest)),
                PerSide.all(width),
                MARGIN_MM,
                1,
                0.5,
                5,
                5,
                skips,
                Adhesive.PET_CARRIER_TAPE,
                SAFETY,
                WARM_USE_C);
    }

    /** An interval on a straight edge in that edge's own coordinate; corners carry no strips. */
    private static Optional<Skip> skip(EdgeLine edge, EdgeInterval where, String because) {
        Landmark landmark = edge.landmarkAt(edge.turn().middle(where));
        if (landmark.isCorner()) {
            return Optional.empty();
        }
        Side side = Side.valueOf(landmark.name());
        Coordinate from = edge.pointAt(where.fromMm());
        Coordinate to = edge.pointAt(edge.turn().end(where));
        double a = side.horizontal() ? from.x : from.y;
        double b = side.horizontal() ? to.x : to.y;
        return Optional.of(new Skip(side, Math.min(a, b), Math.max(a, b), because));
    }
}
