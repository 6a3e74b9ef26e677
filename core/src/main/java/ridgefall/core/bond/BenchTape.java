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
import ridgefall.core.bond.StripPlan.Instead;
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
    /** Rolls as every bench has them, the widest first: the widest that fits holds most. */
    static final List<Double> USUAL_MM = List.of(2.0, 1.5, 1.0);

    private static final double MARGIN_MM = 0.3;

    /** Narrower than that, tape tears as it is trimmed. */
    private static final double LEAST_NOTCH_MM = 0.6;

    /** Lost with every piece that is cut. */
    static final double WASTE_MM = 5;

    static final double SAFETY = 3;
    static final double WARM_USE_C = 40;
    /** A drop onto a hut floor, as a multiple of gravity; the tape sees it in shear. */
    private static final double SHOCK_G = 50;

    private BenchTape() {}

    /**
     * The schools for a device, the recommended one first: most hold; chords last, where its corners carry them. None where
     * no tape of the bench fits the ledge.
     */
    public static List<StripPlan> plans(DeviceProfile profile) {
        return plans(profile, USUAL_MM, false);
    }

    /**
     * The same from the rolls there are.
     *
     * @param rollsMm widths
     * @param patched whether a narrower one goes on where the ledge is too narrow for the widest that fits
     */
    public static List<StripPlan> plans(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
        if (width(profile, rollsMm).isEmpty()) {
            return List.of();
        }
        StripPlanner planner = planner(profile, rollsMm, patched);
        return Arrays.stream(TapeSchool.values())
                .map(planner::plan)
                // Twelve short pieces more are laid by choice, for the corners, not for a few newtons.
                .sorted(Comparator.comparing((StripPlan plan) -> plan.school() == TapeSchool.CHORDS)
                        .thenComparing(Comparator.comparing(StripPlan::shearN).reversed()))
                .filter(plan -> plan.school() != TapeSchool.CHORDS
                        || plan.strips().stream().anyMatch(strip -> strip.on().isCorner()))
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

    /** The ledge where it is narrowest of all that may carry anything. */
    static double narrowestMm(DeviceProfile profile) {
        return profile.ledgeMm().pieces().stream()
                .filter(piece -> !keptOff(profile, piece.interval()))
                .mapToDouble(EdgeProfile.Piece::value)
                .min()
                .orElseThrow();
    }

    private static boolean keptOff(DeviceProfile profile, EdgeInterval where) {
        return profile.features().stream()
                .anyMatch(f -> f.keepsTapeOff() && f.where().equals(where));
    }

    private static OptionalDouble width(DeviceProfile profile, List<Double> rollsMm) {
        return fitting(widest(profile), rollsMm);
    }

    private static OptionalDouble fitting(double ledgeMm, List<Double> rollsMm) {
        return rollsMm.stream()
                .mapToDouble(Double::doubleValue)
                .filter(w -> w <= ledgeMm - MARGIN_MM)
                .max();
    }

    static StripPlanner planner(DeviceProfile profile) {
        return planner(profile, USUAL_MM, false);
    }

    private static StripPlanner planner(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
        EdgeLine edge = profile.edge();
        double widest = widest(profile);
        double width = width(profile, rollsMm).orElseThrow();
        List<Skip> skips = new ArrayList<>();
        for (EdgeFeature feature : profile.features()) {
            if (feature.keepsTapeOff()) {
                String because = feature.words() + " stays clear";
                skip(edge, feature.where(), because, 0, Instead.NOTHING, 0).ifPresent(skips::add);
                skips.addAll(corners(edge, feature.where(), because));
            }
        }
        for (EdgeProfile.Piece<Double> piece : profile.ledgeMm().pieces()) {
            if (piece.value() < MARGIN_MM + width && !keptOff(profile, piece.interval())) {
                double patchMm = patched ? fitting(piece.value(), rollsMm).orElse(0) : 0;
                double notchMm = Math.floor(10 * (piece.value() - MARGIN_MM) + 1e-9) / 10;
                Instead instead = !patched || patchMm == 0 && notchMm < LEAST_NOTCH_MM
                        ? Instead.NOTHING
                        : patchMm > 0 ? Instead.PATCH : Instead.NOTCH;
                skip(
                                edge,
                                piece.interval(),
                                "the ledge is too narrow",
                                patched ? piece.value() : 0,
                                instead,
                                instead == Instead.NOTHING ? 0 : Math.max(patchMm, patchMm > 0 ? 0 : notchMm))
                        .ifPresent(skips::add);
                skips.addAll(corners(edge, piece.interval(), "the ledge is too narrow"));
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
                rollsMm.stream()
                        .filter(w -> w <= width)
                        .sorted(Comparator.reverseOrder())
                        .toList(),
                MARGIN_MM,
                1,
                0.5,
                5,
                WASTE_MM,
                skips,
                Adhesive.PET_CARRIER_TAPE,
                SAFETY,
                WARM_USE_C);
    }

    /** Corners that an interval reaches into. */
    private static List<Skip> corners(EdgeLine edge, EdgeInterval where, String because) {
        return edge.parts().stream()
                .filter(part -> part.landmark().isCorner() && edge.turn().overlap(part.interval(), where))
                .map(part -> new Skip(part.landmark(), 0, part.interval().lengthMm(), because))
                .toList();
    }

    /** An interval on a straight edge in that edge's own coordinate. */
    private static Optional<Skip> skip(
            EdgeLine edge, EdgeInterval where, String because, double ledgeMm, Instead instead, double mm) {
        Landmark landmark = edge.landmarkAt(edge.turn().middle(where));
        if (landmark.isCorner()) {
            return Optional.empty();
        }
        Side side = Side.valueOf(landmark.name());
        Coordinate from = edge.pointAt(where.fromMm());
        Coordinate to = edge.pointAt(edge.turn().end(where));
        double a = side.horizontal() ? from.x : from.y;
        double b = side.horizontal() ? to.x : to.y;
        return Optional.of(new Skip(landmark, Math.min(a, b), Math.max(a, b), because, ledgeMm, instead, mm));
    }
}
