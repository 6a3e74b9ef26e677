package ridgefall.core.heat;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Turn;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatStack;

/**
 * The edge cut into equal pieces with what matters of each for heat, clockwise from position 0.
 *
 * @param longest straight edge: no other takes air longer
 */
record EdgePieces(Turn turn, List<Piece> pieces, EdgeInterval longest) {
    /** Where nobody measured, a bent frame is lifted over this share of its shorter side, to both sides of the corner. */
    private static final double LIFTED_SHARE = 0.5;

    /** Share of the heat along the glass that still gets across cracks; an estimate. */
    private static final double ACROSS_CRACKS = 0.3;

    /** How far inside its ends a stretch is still meant to be warm all through. */
    private static final double INSIDE_END_MM = 2.5;

    private static final int LEAST = 12;
    private static final int MOST = 160;

    /**
     * @param gapMm air under this piece when the front lies on a flat plate
     * @param cracked glass that is broken here touches badly
     * @param place as it is called at the bench
     */
    record Piece(double fromMm, double lengthMm, double ledgeMm, double gapMm, boolean cracked, String place) {
        double middleMm() {
            return fromMm + lengthMm / 2;
        }
    }

    /** @param pieceMm about how long a piece is to be; there are {@value #LEAST} to {@value #MOST} of them */
    static EdgePieces of(DeviceProfile profile, List<EdgeInterval> cracks, List<BendMarked> bends, double pieceMm) {
        EdgeLine edge = profile.edge();
        Turn turn = edge.turn();
        int count = (int) Math.min(MOST, Math.max(LEAST, Math.round(turn.lengthMm() / pieceMm)));
        double length = turn.lengthMm() / count;
        List<Piece> pieces = IntStream.range(0, count)
                .mapToObj(i -> {
                    EdgeInterval here = new EdgeInterval(i * length, length);
                    double middle = turn.middle(here);
                    return new Piece(
                            i * length,
                            length,
                            profile.ledgeMm().at(middle),
                            gapMm(edge, bends, middle),
                            cracks.stream().anyMatch(crack -> turn.overlap(crack, here)),
                            profile.placeName(edge.landmarkAt(middle)));
                })
                .toList();
        EdgeInterval longest = edge.parts().stream()
                .filter(part -> !part.landmark().isCorner())
                .map(EdgeLine.Part::interval)
                .max(Comparator.comparingDouble(EdgeInterval::lengthMm))
                .orElse(turn.whole());
        return new EdgePieces(turn, pieces, longest);
    }

    /** Where air goes stretch by stretch, {@code strokeMm} at a time. */
    EdgeInterval workingStretch(double strokeMm) {
        double length = Math.min(longest.lengthMm(), strokeMm);
        double from = longest.fromMm() + (longest.lengthMm() - length) / 2;
        return new EdgeInterval(turn.wrap(from), length);
    }

    /** A device of which nothing is known but its layers. */
    static EdgePieces alike(HeatStack stack, int count) {
        Turn turn = new Turn(stack.perimeterM() * 1e3);
        double length = turn.lengthMm() / count;
        return new EdgePieces(
                turn,
                IntStream.range(0, count)
                        .mapToObj(i -> new Piece(i * length, length, stack.ledgeWidthMm(), 0, false, "edge"))
                        .toList(),
                new EdgeInterval(0, turn.lengthMm() / 3.4));
    }

    private static double gapMm(EdgeLine edge, List<BendMarked> bends, double positionMm) {
        double usualReach = LIFTED_SHARE * Math.min(edge.widthMm(), edge.heightMm());
        double gap = 0;
        for (BendMarked bend : bends) {
            double reach = bend.bentMm() == null ? usualReach : bend.bentMm();
            double distance = edge.turn().apart(edge.cornerMm(bend.corner()), positionMm);
            gap = Math.max(gap, bend.gapMm() * Math.max(0, 1 - distance / reach));
        }
        return gap;
    }

    int count() {
        return pieces.size();
    }

    /** As a face warms it. */
    FaceRing faceRing(HeatStack stack) {
        return new FaceRing(stack, lengthsMm(), ledgesMm(), conducting());
    }

    /** As air that is led along its border warms it. */
    PanelRing panelRing(HeatStack stack) {
        return new PanelRing(stack, lengthsMm(), ledgesMm(), conducting());
    }

    HeatRing ring(HeatStack stack, boolean air) {
        return air ? panelRing(stack) : faceRing(stack);
    }

    private double[] lengthsMm() {
        return pieces.stream().mapToDouble(Piece::lengthMm).toArray();
    }

    private double[] ledgesMm() {
        return pieces.stream().mapToDouble(Piece::ledgeMm).toArray();
    }

    private double[] conducting() {
        return pieces.stream().mapToDouble(p -> p.cracked() ? ACROSS_CRACKS : 1).toArray();
    }

    /**
     * What is meant to get warm: the pieces of it; and where it is a stretch, a point just inside each of its ends, where it is
     * coldest. The middles of long pieces do not know that.
     */
    record Warmed(int[] pieces, List<Between> ends) {
        /** @param ofPiece what the middle of a piece has */
        double coldest(IntToDoubleFunction ofPiece) {
            double coldest = Double.POSITIVE_INFINITY;
            for (int piece : pieces) {
                coldest = Math.min(coldest, ofPiece.applyAsDouble(piece));
            }
            for (Between end : ends) {
                coldest = Math.min(coldest, end.of(ofPiece));
            }
            return coldest;
        }

        boolean has(int piece) {
            return Arrays.stream(pieces).anyMatch(p -> p == piece);
        }
    }

    /** A point of the edge by the pieces whose middles it lies between, and the share of the way to the second. */
    record Between(int before, int after, double share) {
        double of(IntToDoubleFunction ofPiece) {
            return (1 - share) * ofPiece.applyAsDouble(before) + share * ofPiece.applyAsDouble(after);
        }
    }

    Between between(double positionMm) {
        double pieceMm = turn.lengthMm() / count();
        double at = turn.wrap(positionMm - pieceMm / 2) / pieceMm;
        int before = (int) at % count();
        return new Between(before, (before + 1) % count(), at - (int) at);
    }

    Warmed all() {
        return new Warmed(IntStream.range(0, count()).toArray(), List.of());
    }

    Warmed on(EdgeInterval stretch) {
        int[] on = IntStream.range(0, count())
                .filter(i -> turn.contains(stretch, pieces.get(i).middleMm()))
                .toArray();
        double inside = Math.min(INSIDE_END_MM, stretch.lengthMm() / 2);
        return new Warmed(
                on,
                List.of(between(stretch.fromMm() + inside), between(stretch.fromMm() + stretch.lengthMm() - inside)));
    }
}
