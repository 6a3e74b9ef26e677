package ridgefall.app.edge;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Landmark;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;

/** The shared picture of a device: its outline by edge position, as it lies on the bench. */
@RestController
class EdgeController {
    private final Jobs jobs;

    EdgeController(Jobs jobs) {
        this.jobs = jobs;
    }

    /** A point of the outline, and how far along the edge it is. */
    record Vertex(double atMm, double x, double y) {}

    record PartView(Landmark landmark, String words, double fromMm, double lengthMm) {}

    record FeatureView(
            String id,
            EdgeFeature.Kind kind,
            String words,
            double fromMm,
            double lengthMm,
            double depthMm,
            double hazard,
            String consequence) {}

    /** All in mm; {@code inner} is the opening of the frame, {@code widthMm} and {@code heightMm} as seen. */
    record EdgeView(
            double perimeterMm,
            double widthMm,
            double heightMm,
            double borderMm,
            List<Vertex> outline,
            List<Vertex> inner,
            List<PartView> parts,
            List<FeatureView> features) {}

    @GetMapping("/api/jobs/{jobId}/edge")
    EdgeView edge(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown) {
        DeviceProfile profile = jobs.profile(jobId);
        View view = new View(quarterTurns, faceDown);
        EdgeLine edge = profile.edge();
        boolean upright = quarterTurns % 2 == 0;
        return new EdgeView(
                edge.lengthMm(),
                upright ? edge.widthMm() : edge.heightMm(),
                upright ? edge.heightMm() : edge.widthMm(),
                profile.borderMm(),
                vertices(edge, view, 0),
                vertices(edge, view, profile.heat().ledgeWidthMm()),
                edge.parts().stream()
                        .map(p -> new PartView(
                                p.landmark(),
                                profile.placeName(p.landmark()),
                                p.interval().fromMm(),
                                p.interval().lengthMm()))
                        .toList(),
                profile.features().stream().map(EdgeController::feature).toList());
    }

    /** Corners need points, straights only their ends; every tenth chord is fine enough for a screen. */
    private static List<Vertex> vertices(EdgeLine edge, View view, double insideMm) {
        List<Vertex> vertices = new ArrayList<>();
        for (EdgeLine.Part part : edge.parts()) {
            EdgeInterval where = part.interval();
            int pieces = part.landmark().isCorner() ? 10 : 1;
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
                feature.allowedDepthMm(),
                feature.hazard(),
                feature.consequence());
    }
}
