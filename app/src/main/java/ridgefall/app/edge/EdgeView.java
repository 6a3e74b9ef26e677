package ridgefall.app.edge;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Landmark;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.Role;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;

/** All in mm; {@code inner} is the opening of the frame, {@code widthMm} and {@code heightMm} as seen. */
public record EdgeView(
        double perimeterMm,
        double widthMm,
        double heightMm,
        double borderMm,
        List<Vertex> outline,
        List<Vertex> inner,
        List<PartView> parts,
        List<CornerView> corners,
        List<FeatureView> features,
        List<WidthView> borders,
        List<WidthView> ledges,
        List<MarkView> marks) {

    private static final double CHORD_MM = 1.5;
    private static final int LEAST_CHORDS = 10;
    /** Outlines from drawings have many points; a screen needs no more of them than this. */
    private static final int MOST_CHORDS = 80;

    /** A point of the outline, and how far along the edge it is. */
    public record Vertex(double atMm, double x, double y) {}

    public record PartView(Landmark landmark, String words, double fromMm, double lengthMm) {}

    /** A corner of the box the outline lies in, as seen. */
    public record CornerView(Landmark landmark, String words, double x, double y) {}

    public record FeatureView(
            String id,
            EdgeFeature.Kind kind,
            String words,
            double fromMm,
            double lengthMm,
            @Schema(nullable = true) Double depthMm,
            double hazard,
            String consequence) {}

    public enum MarkKind {
        CRACK,
        DENT,
        BEND
    }

    public record Dot(double x, double y) {}

    /**
     * Damage as it was drawn, by the number of its fact.
     *
     * @param gapMm under a bent corner; null for the others
     */
    public record MarkView(
            long seq,
            MarkKind kind,
            List<Dot> dots,
            @Schema(nullable = true) Double gapMm,
            String words,
            ChoiceView remove) {}

    /** A width of border or ledge over an interval. */
    public record WidthView(double fromMm, double lengthMm, double widthMm) {}

    /** Of a device as it is drawn in the book: nothing is marked on it. */
    public static EdgeView of(DeviceProfile profile) {
        return of(profile, List.of(), new View(0, false), Role.DESK);
    }

    public static EdgeView of(DeviceProfile profile, List<IntakeState.Mark> marks, View view, Role role) {
        EdgeLine edge = profile.edge();
        boolean upright = view.quarterTurns() % 2 == 0;
        return new EdgeView(
                edge.lengthMm(),
                upright ? edge.widthMm() : edge.heightMm(),
                upright ? edge.heightMm() : edge.widthMm(),
                profile.document().border().everywhereMm(),
                vertices(edge, view, 0),
                vertices(edge, view, profile.heat().ledgeWidthMm()),
                edge.parts().stream()
                        .map(p -> new PartView(
                                p.landmark(),
                                profile.placeName(p.landmark()),
                                p.interval().fromMm(),
                                p.interval().lengthMm()))
                        .toList(),
                Stream.of(Landmark.values())
                        .filter(Landmark::isCorner)
                        .map(corner -> corner(profile, corner, view))
                        .toList(),
                profile.features().stream().map(EdgeView::feature).toList(),
                profile.borderMm().pieces().stream()
                        .map(p -> new WidthView(
                                p.interval().fromMm(), p.interval().lengthMm(), p.value()))
                        .toList(),
                profile.ledgeMm().pieces().stream()
                        .map(p -> new WidthView(
                                p.interval().fromMm(), p.interval().lengthMm(), p.value()))
                        .toList(),
                marks.stream().map(mark -> mark(profile, mark, view, role)).toList());
    }

    private static MarkView mark(DeviceProfile profile, IntakeState.Mark mark, View view, Role role) {
        EdgeLine edge = profile.edge();
        ChoiceView remove = ChoiceView.of(IntakeStation.remove(mark), role);
        if (mark.mark() instanceof IntakeFact.CrackDrawn f) {
            return new MarkView(
                    mark.seq(),
                    MarkKind.CRACK,
                    f.line().stream()
                            .map(p -> dot(edge, p.xMm(), p.yMm(), view))
                            .toList(),
                    null,
                    "Crack",
                    remove);
        } else if (mark.mark() instanceof IntakeFact.DentMarked f) {
            return new MarkView(
                    mark.seq(),
                    MarkKind.DENT,
                    List.of(dot(edge, f.at().xMm(), f.at().yMm(), view)),
                    null,
                    "Dent",
                    remove);
        }
        IntakeFact.BendMarked bend = (IntakeFact.BendMarked) mark.mark();
        CornerView corner = corner(profile, bend.corner(), view);
        return new MarkView(
                mark.seq(),
                MarkKind.BEND,
                List.of(new Dot(corner.x(), corner.y())),
                bend.gapMm(),
                "Bent at the " + corner.words(),
                remove);
    }

    private static CornerView corner(DeviceProfile profile, Landmark corner, View view) {
        Coordinate seen = profile.edge().seen(profile.edge().boxCorner(corner), view);
        return new CornerView(corner, profile.placeName(corner), seen.x, seen.y);
    }

    private static Dot dot(EdgeLine edge, double xMm, double yMm, View view) {
        Coordinate seen = edge.seen(new Coordinate(xMm, yMm), view);
        return new Dot(seen.x, seen.y);
    }

    /** Corners need points, straights only their ends; what was drawn freely keeps its own points. */
    private static List<Vertex> vertices(EdgeLine edge, View view, double insideMm) {
        List<Vertex> vertices = new ArrayList<>();
        for (EdgeLine.Part part : edge.parts()) {
            EdgeInterval where = part.interval();
            int chords = (int) Math.min(MOST_CHORDS, Math.max(LEAST_CHORDS, where.lengthMm() / CHORD_MM));
            int pieces = edge.straight(part) ? 1 : chords;
            for (int i = 0; i < pieces; i++) {
                vertices.add(vertex(edge, view, where.fromMm() + where.lengthMm() * i / pieces, insideMm));
            }
        }
        Vertex first = vertices.get(0);
        vertices.add(new Vertex(edge.lengthMm(), first.x(), first.y()));
        return vertices;
    }

    private static Vertex vertex(EdgeLine edge, View view, double atMm, double insideMm) {
        Coordinate seen = edge.seen(edge.pointInside(atMm, insideMm), view);
        return new Vertex(atMm, seen.x, seen.y);
    }

    private static FeatureView feature(EdgeFeature feature) {
        return new FeatureView(
                feature.id(),
                feature.kind(),
                feature.words(),
                feature.where().fromMm(),
                feature.where().lengthMm(),
                feature.allowedDepthMm() == EdgeFeature.ANY_DEPTH_MM ? null : feature.allowedDepthMm(),
                feature.hazard(),
                feature.consequence());
    }
}
