package ridgefall.app.bond;

import java.util.List;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.BondState;
import ridgefall.core.bond.Ledge;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Course;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.DeviceProfile;

@RestController
class BondController {
    private final Jobs jobs;

    BondController(Jobs jobs) {
        this.jobs = jobs;
    }

    record OutlinePoint(double x, double y) {}

    /** {@code fromMm} and {@code lengthMm} along the edge line; the outline as the device is seen. */
    record StripView(
            String id,
            String place,
            double fromMm,
            double lengthMm,
            double pieceMm,
            double widthMm,
            boolean laid,
            List<OutlinePoint> outline) {}

    record SkipView(String place, double fromMm, double lengthMm, String because) {}

    record PlanView(
            TapeSchool school,
            String words,
            boolean chosen,
            List<StripView> strips,
            List<SkipView> skips,
            double rollMm,
            double coverage,
            double shearN,
            boolean cornersClosed) {}

    /** The recommended plan first. */
    record BondView(List<PlanView> plans, double dropLoadN) {}

    @GetMapping("/api/jobs/{jobId}/bond")
    BondView bond(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        View view = new View(quarterTurns, faceDown);
        return new BondView(
                course.strips().stream()
                        .map(plan -> plan(plan, course, profile, view))
                        .toList(),
                BenchTape.dropLoadN(profile));
    }

    private static PlanView plan(StripPlan plan, Course course, DeviceProfile profile, View view) {
        boolean chosen = BondState.of(course.state())
                .school()
                .filter(s -> s == plan.school())
                .isPresent();
        EdgeLine edge = profile.edge();
        return new PlanView(
                plan.school(),
                plan.school().words(),
                chosen,
                plan.strips().stream()
                        .map(strip -> {
                            Landmark place = Landmark.valueOf(strip.side().name());
                            double[] along = alongEdge(edge, strip.side(), strip.fromMm(), strip.toMm());
                            return new StripView(
                                    strip.id(),
                                    profile.placeName(place),
                                    along[0],
                                    along[1],
                                    strip.lengthMm(),
                                    strip.widthMm(),
                                    chosen && BondState.of(course.state()).stripLaid(strip.id()),
                                    strip.outline().stream()
                                            .map(point -> {
                                                Coordinate seen = edge.seen(point, view);
                                                return new OutlinePoint(seen.x, seen.y);
                                            })
                                            .toList());
                        })
                        .toList(),
                plan.skips().stream()
                        .map(skip -> {
                            double[] along = alongEdge(edge, skip.side(), skip.fromMm(), skip.toMm());
                            return new SkipView(
                                    profile.placeName(
                                            Landmark.valueOf(skip.side().name())),
                                    along[0],
                                    along[1],
                                    skip.because());
                        })
                        .toList(),
                plan.rollMm(),
                plan.coverage(),
                plan.shearN(),
                plan.cornersClosed());
    }

    /** From a side's own coordinate to edge position and length; bottom and left run backwards on the edge line. */
    private static double[] alongEdge(EdgeLine edge, Ledge.Side side, double from, double to) {
        Coordinate a = onOutline(edge, side, from);
        Coordinate b = onOutline(edge, side, to);
        boolean forward = side == Ledge.Side.TOP || side == Ledge.Side.RIGHT;
        double start = edge.positionOf(forward ? a : b);
        double end = edge.positionOf(forward ? b : a);
        return new double[] {start, edge.turn().wrap(end - start)};
    }

    private static Coordinate onOutline(EdgeLine edge, Ledge.Side side, double along) {
        return switch (side) {
            case TOP -> new Coordinate(along, 0);
            case RIGHT -> new Coordinate(edge.widthMm(), along);
            case BOTTOM -> new Coordinate(along, edge.heightMm());
            case LEFT -> new Coordinate(0, along);
        };
    }
}
