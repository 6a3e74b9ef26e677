package ridgefall.core.carry;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.job.JobState;
import ridgefall.core.material.OpticalBond;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PlugRole;

/**
 * Old glass taken off the panel that is kept: with a wire drawn over the whole face through the clear bond, on a warm plate, glass
 * down. It goes in on the side that the panel's cable does not leave, and ends short of that cable.
 *
 * @param entry where the wire goes in
 * @param exit the side that it is drawn to
 * @param plateC of plate, pad or bed: so warm that the stiffest bond gives way to the wire, never above the panel's caution
 * @param warmSeconds until the panel is within 2 K of the plate, touching it badly
 * @param strokes from the entry on, a millimetre each
 * @param endsShortMm left to a card, for the cable's sake
 * @param slowestMmPerS through a stiff bond, where the wire spans most of the face
 */
public record GlassSplit(
        Landmark entry,
        Landmark exit,
        int plateC,
        int warmSeconds,
        double wireMm,
        List<Stroke> strokes,
        double endsShortMm,
        double slowestMmPerS) {
    /** The wire lies across so much bond at a distance from the edge of the bond where it went in. */
    public record Stroke(double atMm, double chordMm) {}

    /** Of drawn steel wire, the weaker ones; half of it is pulled with. */
    private static final double WIRE_MPA = 2000;

    private static final double PULLED_SHARE = 0.5;

    /** A wire bows; its ends are drawn at 45° to the way it goes, so both together push by √2 of one. */
    private static final double ADVANCING = Math.sqrt(2);

    /** In the middle of the bond it needs room to both sides, and thicker ones do not bend round a corner of it. */
    private static final double OF_BOND = 0.5;

    private static final double THICKEST_MM = 0.1;

    /** Sawing to and fro, a hand leads it no faster; and slower than the other it is warmed more. */
    private static final double FASTEST_MM_PER_S = 1;

    private static final double SLOWEST_MM_PER_S = 0.3;

    private static final int COOLEST_C = 50;
    private static final int STEP_C = 5;

    /** The bond lies that much below the plate. */
    private static final double BELOW_PLATE_K = 3;

    /** Glass laid dry on a plate; and how near to it is near enough. */
    private static final double TOUCHING_W_PER_M2K = 150;

    private static final double NEAR_K = 2;
    private static final double ROOM_C = 20;
    private static final int WARM_STEP_S = 30;

    private static final double CABLE_MM = 3;
    private static final double STROKE_MM = 1;

    /** For a repair that keeps the panel and gives it new glass; nothing for any other. */
    public static Optional<GlassSplit> of(DeviceProfile profile, JobState state) {
        return DecideState.of(state).joinsGlass(profile) && profile.heat().fused()
                ? Optional.of(of(profile))
                : Optional.empty();
    }

    static GlassSplit of(DeviceProfile profile) {
        EdgeLine edge = profile.edge();
        Optional<Landmark> cable = panelCable(profile);
        Landmark exit = cable.orElse(edge.widthMm() < edge.heightMm() ? Landmark.LEFT : Landmark.BOTTOM);
        Landmark entry = Landmark.values()[(exit.ordinal() + 4) % 8];
        double endsShortMm = cable.isPresent() ? CABLE_MM : 0;
        double wire = Math.min(
                THICKEST_MM,
                Math.floor(100 * OF_BOND * profile.heat().opticalAdhesive().thicknessMm()) / 100);
        List<Stroke> strokes = strokes(profile, entry, endsShortMm);
        double widest = strokes.stream().mapToDouble(Stroke::chordMm).max().orElseThrow();
        double pullN = ADVANCING * PULLED_SHARE * WIRE_MPA * Math.PI / 4 * wire * wire;
        int warmestC = (int) profile.limits().displayCautionC() / STEP_C * STEP_C;
        int plateC = IntStream.iterate(COOLEST_C, c -> c < warmestC, c -> c + STEP_C)
                .filter(c -> OpticalBond.STIFF.mmPerS(c - BELOW_PLATE_K, pullN / widest) >= FASTEST_MM_PER_S)
                .findFirst()
                .orElse(warmestC);
        return new GlassSplit(
                entry,
                exit,
                plateC,
                warmSeconds(profile.heat(), plateC),
                wire,
                strokes,
                endsShortMm,
                Math.min(FASTEST_MM_PER_S, OpticalBond.STIFF.mmPerS(plateC - BELOW_PLATE_K, pullN / widest)));
    }

    /** Whether a wire gets through at all before something breaks. */
    public boolean works() {
        return slowestMmPerS >= SLOWEST_MM_PER_S;
    }

    /** How far the wire is drawn. */
    public double wayMm() {
        return strokes.size() * STROKE_MM;
    }

    /** At most: where the bond is softer it goes sooner. */
    public double seconds() {
        return wayMm() / slowestMmPerS;
    }

    /** On which side the panel's cable leaves the front: where it comes nearest to the edge. */
    private static Optional<Landmark> panelCable(DeviceProfile profile) {
        EdgeLine edge = profile.edge();
        return profile.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.PANEL && plug.cable() != null)
                .map(Connector::cable)
                .flatMap(cable -> cable.route().stream())
                .min(Comparator.comparingDouble(at -> nearestSideMm(edge, at)))
                .map(at -> nearestSide(edge, at));
    }

    private static double nearestSideMm(EdgeLine edge, Point at) {
        return fromSideMm(edge, at, nearestSide(edge, at));
    }

    private static Landmark nearestSide(EdgeLine edge, Point at) {
        return List.of(Landmark.TOP, Landmark.RIGHT, Landmark.BOTTOM, Landmark.LEFT).stream()
                .min(Comparator.comparingDouble(side -> fromSideMm(edge, at, side)))
                .orElseThrow();
    }

    private static double fromSideMm(EdgeLine edge, Point at, Landmark side) {
        return switch (side) {
            case TOP -> at.yMm();
            case RIGHT -> edge.widthMm() - at.xMm();
            case BOTTOM -> edge.heightMm() - at.yMm();
            default -> at.xMm();
        };
    }

    private static List<Stroke> strokes(DeviceProfile profile, Landmark entry, double endsShortMm) {
        Geometry bond = bond(profile);
        Envelope box = bond.getEnvelopeInternal();
        boolean across = entry == Landmark.LEFT || entry == Landmark.RIGHT;
        double way = (across ? box.getWidth() : box.getHeight()) - endsShortMm;
        return IntStream.range(0, (int) Math.round(way / STROKE_MM))
                .mapToObj(i -> {
                    double at = (i + 0.5) * STROKE_MM;
                    return new Stroke(at, chordMm(bond.getCoordinates(), wire(box, entry, at), across));
                })
                .toList();
    }

    /** How much of a wire lies between crossings of a ring: a wire goes straight along one of the axes. */
    private static double chordMm(Coordinate[] ring, Coordinate[] wire, boolean upright) {
        double level = upright ? wire[0].x : wire[0].y;
        double[] crossings = IntStream.range(1, ring.length)
                .filter(i -> (off(ring[i - 1], upright) < level) != (off(ring[i], upright) < level))
                .mapToDouble(i -> {
                    double before = off(ring[i - 1], upright);
                    double share = (level - before) / (off(ring[i], upright) - before);
                    double from = off(ring[i - 1], !upright);
                    return from + share * (off(ring[i], !upright) - from);
                })
                .sorted()
                .toArray();
        return IntStream.range(0, crossings.length)
                .mapToDouble(i -> i % 2 == 0 ? -crossings[i] : crossings[i])
                .sum();
    }

    private static double off(Coordinate at, boolean x) {
        return x ? at.x : at.y;
    }

    /** The face that is bonded: all within the border. */
    private static Geometry bond(DeviceProfile profile) {
        return new GeometryFactory()
                .createPolygon(profile.edge().outline().getCoordinates())
                .buffer(-profile.document().border().everywhereMm());
    }

    private static Coordinate[] wire(Envelope box, Landmark entry, double atMm) {
        return switch (entry) {
            case TOP -> level(box, box.getMinY() + atMm);
            case BOTTOM -> level(box, box.getMaxY() - atMm);
            case LEFT -> upright(box, box.getMinX() + atMm);
            default -> upright(box, box.getMaxX() - atMm);
        };
    }

    private static Coordinate[] level(Envelope box, double y) {
        return new Coordinate[] {new Coordinate(box.getMinX(), y), new Coordinate(box.getMaxX(), y)};
    }

    private static Coordinate[] upright(Envelope box, double x) {
        return new Coordinate[] {new Coordinate(x, box.getMinY()), new Coordinate(x, box.getMaxY())};
    }

    /** Glass, bond and panel as one lump that touches the plate badly. */
    private static int warmSeconds(HeatStack stack, int plateC) {
        double jPerM2K = List.of(stack.glass(), stack.opticalAdhesive(), stack.display()).stream()
                .mapToDouble(sheet -> sheet.thicknessMm() / 1000 * sheet.heatCapacityJPerM3K())
                .sum();
        double seconds = jPerM2K / TOUCHING_W_PER_M2K * Math.log((plateC - ROOM_C) / NEAR_K);
        return WARM_STEP_S * (int) Math.ceil(seconds / WARM_STEP_S);
    }

    /** The wire on its way, and where it ends, in the device's own coordinates, for a drawing. */
    public List<Coordinate[]> drawn(DeviceProfile profile) {
        Envelope box = bond(profile).getEnvelopeInternal();
        return List.of(wire(box, entry, wayMm() / 3), wire(box, entry, wayMm()));
    }
}
