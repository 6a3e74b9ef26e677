package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import ridgefall.core.bond.Ledge.PerSide;
import ridgefall.core.bond.Ledge.Side;
import ridgefall.core.bond.StripPlan.Instead;
import ridgefall.core.bond.StripPlan.Skip;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.units.Allowed;

/**
 * Lays tape on a ledge: one strip an edge, broken by cut-outs, ended in the corners as the school says. Areas are those
 * of the polygons that really lie on the ledge.
 *
 * @param marginMm from the outline to the tape, so that nothing creeps up the side wall
 * @param cornerGapMm kept free by the gapped school
 * @param clearanceMm added to both ends of a cut-out
 * @param leastPieceMm shorter pieces are not worth laying
 * @param wasteMm roll lost with every piece
 * @param safety factor taken off the shear strength
 * @param cornerMm tapes to go round corners with, the widest first: beside its straights a corner leaves less to turn on
 * @param loadC temperature the hold is computed for: warm use weakens tape
 */
public record StripPlanner(
        Ledge ledge,
        PerSide tapeMm,
        List<Double> cornerMm,
        double marginMm,
        double cornerGapMm,
        double clearanceMm,
        double leastPieceMm,
        double wasteMm,
        List<Skip> cutOuts,
        Adhesive adhesive,
        double safety,
        double loadC) {

    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** Outlines are drawn in short straight lines. */
    private static final double HAIR_MM = 0.02;

    /** A 45° strip end reaches the corner arc's diagonal only below this many widths of radius: 2 + √2. */
    private static final double DIAGONAL_WIDTHS = 2 + Math.sqrt(2);

    public StripPlanner {
        Allowed.between("marginMm", marginMm, 0, 5, "mm");
        Allowed.between("cornerGapMm", cornerGapMm, 0, 20, "mm");
        Allowed.between("clearanceMm", clearanceMm, 0, 10, "mm");
        Allowed.between("safety", safety, 1, 20, "");
        for (Side side : Side.values()) {
            Allowed.between(
                    "tapeMm",
                    tapeMm.of(side),
                    0.3,
                    ledge.ledgeMm().of(side) - marginMm,
                    "mm, the ledge less the margin");
        }
        cutOuts = List.copyOf(cutOuts);
        cornerMm = List.copyOf(cornerMm);
    }

    public StripPlan plan(TapeSchool school) {
        List<Strip> strips = new ArrayList<>();
        for (Side side : Side.values()) {
            strips.addAll(strips(side, school));
            if (school == TapeSchool.CHORDS) {
                strips.addAll(chords(side));
            }
        }
        double length = strips.stream().mapToDouble(Strip::lengthMm).sum();
        double area = strips.stream().mapToDouble(Strip::areaMm2).sum();
        return new StripPlan(
                school,
                List.copyOf(strips),
                cutOuts,
                length,
                length + wasteMm * strips.size(),
                area,
                area / usableLedgeMm2(),
                adhesive.shearMPa(loadC) * area / safety,
                cornersClosed(school));
    }

    private boolean cornersClosed(TapeSchool school) {
        return switch (school) {
            case GAPPED -> false;
            case CHORDS ->
                ledge.radiusMm() > 0
                        && Arrays.stream(Side.values())
                                .noneMatch(side -> chords(side).isEmpty());
            case BUTT -> ledge.radiusMm() == 0;
            case MITRE ->
                Arrays.stream(Side.values())
                        .allMatch(side -> ledge.radiusMm() < marginMm + DIAGONAL_WIDTHS * tapeMm.of(side));
        };
    }

    private double usableLedgeMm2() {
        Geometry usable = ledge.area();
        for (Side side : Side.values()) {
            for (Skip cut : on(side.landmark())) {
                usable = usable.difference(box(
                        side,
                        cut.fromMm(),
                        cut.toMm(),
                        cut.ledgeMm(),
                        ledge.ledgeMm().of(side)));
            }
        }
        return usable.getArea();
    }

    private List<Strip> strips(Side side, TapeSchool school) {
        double from = end(side, side.atStart(), school);
        double to = ledge.lengthMm(side) - end(side, side.atEnd(), school);
        List<double[]> free = new ArrayList<>();
        double at = from;
        for (Skip cut : on(side.landmark()).stream()
                .filter(cut -> cut.instead() != Instead.NOTCH)
                .sorted(Comparator.comparing(Skip::fromMm))
                .toList()) {
            free.add(new double[] {at, Math.min(to, cut.fromMm() - clearanceMm)});
            at = Math.max(at, cut.toMm() + clearanceMm);
        }
        free.add(new double[] {at, to});
        List<Strip> strips = new ArrayList<>();
        for (double[] piece : free) {
            if (piece[1] - piece[0] >= leastPieceMm) {
                Geometry lies = notched(side, shape(side, school, piece[0], piece[1]));
                strips.add(strip(
                        side.landmark(), String.valueOf(strips.size() + 1), piece[0], piece[1], tapeMm.of(side), lies));
            }
        }
        for (Skip cut : on(side.landmark())) {
            double start = Math.max(from, cut.fromMm());
            double end = Math.min(to, cut.toMm());
            if (cut.instead() == Instead.PATCH && end - start >= leastPieceMm) {
                Geometry lies = box(side, start, end, marginMm, marginMm + cut.mm());
                strips.add(strip(side.landmark(), "patch-" + (strips.size() + 1), start, end, cut.mm(), lies));
            }
        }
        return strips;
    }

    private List<Skip> on(Landmark landmark) {
        return cutOuts.stream().filter(cut -> cut.on() == landmark).toList();
    }

    private Geometry notched(Side side, Geometry strip) {
        Geometry left = strip;
        for (Skip cut : on(side.landmark())) {
            if (cut.instead() == Instead.NOTCH) {
                left = left.difference(box(
                        side,
                        cut.fromMm() - clearanceMm,
                        cut.toMm() + clearanceMm,
                        marginMm + cut.mm(),
                        marginMm + tapeMm.of(side)));
            }
        }
        return left;
    }

    /**
     * Equal short pieces round the corner that ends a side, clockwise, as few as stay on the ledge; none where the corner is
     * nearly square, something stays clear there, or even the shortest worth laying would hang over the opening.
     */
    private List<Strip> chords(Side side) {
        Landmark corner = side.clockwiseCorner();
        double outer = ledge.radiusMm() - marginMm;
        if (!on(corner).isEmpty()) {
            return List.of();
        }
        Geometry bed = ledge.area().buffer(HAIR_MM);
        for (double width : cornerMm) {
            for (int count = 1; width < outer && 2 * outer * Math.sin(Math.PI / 4 / count) >= leastPieceMm; count++) {
                List<Strip> row = row(corner, count, outer, width);
                if (row.stream().allMatch(strip -> bed.covers(polygon(strip.outline())))) {
                    return row;
                }
            }
        }
        return List.of();
    }

    private List<Strip> row(Landmark corner, int count, double outer, double width) {
        double turn = Math.PI / 2 / count;
        double lengthMm = 2 * outer * Math.sin(turn / 2);
        // Cut towards the corner's middle, each end lies against its neighbour's.
        double inner = outer - width / Math.cos(turn / 2);
        boolean right = corner == Landmark.TOP_RIGHT || corner == Landmark.BOTTOM_RIGHT;
        boolean bottom = corner == Landmark.BOTTOM_RIGHT || corner == Landmark.BOTTOM_LEFT;
        Coordinate middle = new Coordinate(
                right ? ledge.widthMm() - ledge.radiusMm() : ledge.radiusMm(),
                bottom ? ledge.heightMm() - ledge.radiusMm() : ledge.radiusMm());
        // Clockwise with y down; the top right corner begins where the top ends.
        double begins = (bottom ? right ? 0 : 1 : right ? 3 : 2) * Math.PI / 2;
        List<Strip> row = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double from = begins + i * turn;
            double to = from + turn;
            Coordinate first = round(middle, outer, from);
            Geometry lies = polygon(List.of(
                    first, round(middle, outer, to), round(middle, inner, to), round(middle, inner, from), first));
            row.add(strip(corner, String.valueOf(i + 1), i * lengthMm, (i + 1) * lengthMm, width, lies));
        }
        return row;
    }

    private static Coordinate round(Coordinate middle, double radius, double angle) {
        return new Coordinate(middle.x + radius * Math.cos(angle), middle.y + radius * Math.sin(angle));
    }

    private static Polygon polygon(List<Coordinate> outline) {
        return GEOMETRY.createPolygon(outline.toArray(Coordinate[]::new));
    }

    private static Strip strip(Landmark on, String name, double from, double to, double widthMm, Geometry lies) {
        return new Strip(
                on.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + name,
                on,
                from,
                to,
                widthMm,
                lies.getArea(),
                List.of(lies.getCoordinates()));
    }

    /** How far from the bounding box's corner a strip starts, next to a neighbour. */
    private double end(Side side, Side neighbour, TapeSchool school) {
        double beside = marginMm + tapeMm.of(neighbour);
        return switch (school) {
            case MITRE -> marginMm;
            case GAPPED -> Math.max(ledge.radiusMm(), beside + cornerGapMm);
            case CHORDS -> Math.max(ledge.radiusMm(), beside);
            case BUTT -> side.horizontal() ? squareEnd() : Math.max(squareEnd(), beside);
        };
    }

    /** Where a square end at the margin touches the corner arc. */
    private double squareEnd() {
        double r = ledge.radiusMm();
        double inner = Math.max(0, r - marginMm);
        return Math.max(marginMm, r - Math.sqrt(r * r - inner * inner));
    }

    private Geometry shape(Side side, TapeSchool school, double from, double to) {
        double width = tapeMm.of(side);
        Polygon box = box(side, from, to, marginMm, marginMm + width);
        if (school != TapeSchool.MITRE) {
            return box;
        }
        double end = ledge.lengthMm(side) - marginMm;
        Polygon mitred = GEOMETRY.createPolygon(new Coordinate[] {
            onSide(side, marginMm, marginMm),
            onSide(side, end, marginMm),
            onSide(side, end - tapeMm.of(side.atEnd()), marginMm + width),
            onSide(side, marginMm + tapeMm.of(side.atStart()), marginMm + width),
            onSide(side, marginMm, marginMm)
        });
        return mitred.intersection(box).intersection(ledge.inset(marginMm));
    }

    private Polygon box(Side side, double from, double to, double near, double far) {
        return GEOMETRY.createPolygon(new Coordinate[] {
            onSide(side, from, near),
            onSide(side, to, near),
            onSide(side, to, far),
            onSide(side, from, far),
            onSide(side, from, near)
        });
    }

    private Coordinate onSide(Side side, double along, double inward) {
        return switch (side) {
            case TOP -> new Coordinate(along, inward);
            case RIGHT -> new Coordinate(ledge.widthMm() - inward, along);
            case BOTTOM -> new Coordinate(along, ledge.heightMm() - inward);
            case LEFT -> new Coordinate(inward, along);
        };
    }
}
