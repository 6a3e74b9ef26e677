package ridgefall.core.heat;

import java.util.Comparator;
import java.util.List;
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

    /** The pieces of a stretch; where all are longer than it, the one in its middle. */
    int[] on(EdgeInterval stretch) {
        int[] on = IntStream.range(0, count())
                .filter(i -> turn.contains(stretch, pieces.get(i).middleMm()))
                .toArray();
        return on.length > 0 ? on : new int[] {at(turn.middle(stretch))};
    }

    /** The piece at a position. */
    int at(double positionMm) {
        return (int) (turn.wrap(positionMm) / turn.lengthMm() * count()) % count();
    }
}
