package ridgefall.app.bond;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.app.sheet.SheetFiles;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.bond.BondState;
import ridgefall.core.bond.HeldBy;
import ridgefall.core.bond.RingSeal;
import ridgefall.core.bond.SeatGap;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.StripPlan.Instead;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.bond.StripSheet;
import ridgefall.core.bond.WhatHolds.Way;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Course;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.NotAllowed;

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

    /**
     * A way to hold the front down.
     *
     * @param against why not, the weightiest first; empty where nothing speaks against it
     * @param proudMm over the rim, below 0 under it; null where nobody knows
     */
    record WayView(
            HeldBy by,
            String words,
            @Schema(nullable = true) String supply,
            List<String> against,
            List<String> asks,
            boolean allRound,
            double holdsN,
            @Schema(nullable = true) Double proudMm,
            int minutes,
            int restsMinutes,
            String takes) {}

    /**
     * @param depthMm from the rim down to the ledge
     * @param frontMm of the front, over the ledge
     * @param measured by caliper; else by the book
     */
    record SeatView(double depthMm, double frontMm, boolean measured) {}

    /**
     * A ring that was measured, as a share of its thickness.
     *
     * @param stretch how far it may be stretched and still seal; below 0 for one that is too thin as it is
     */
    record RingView(double thicknessMm, double squeeze, double leastSqueeze, double stretch) {}

    /**
     * @param held what was chosen to hold it; null before that
     * @param ways the best first; none where clips hold it
     * @param seat null where nobody measured it
     * @param ring null where none was measured, or nobody knows what its seat leaves
     * @param plans of strips, the recommended first; none where something else holds it
     */
    record BondView(
            @Schema(nullable = true) HeldBy held,
            List<WayView> ways,
            @Schema(nullable = true) SeatView seat,
            @Schema(nullable = true) RingView ring,
            List<PlanView> plans,
            double dropLoadN) {}

    @GetMapping("/api/jobs/{jobId}/bond")
    BondView bond(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        View view = new View(quarterTurns, faceDown);
        return new BondView(
                BondState.of(course.state()).held().map(HeldByChosen::held).orElse(null),
                course.waysToHold().stream().map(BondController::way).toList(),
                SeatGap.of(profile, course.state())
                        .map(it -> new SeatView(it.depthMm(), it.frontMm(), it.measured()))
                        .orElse(null),
                SeatGap.of(profile, course.state())
                        .filter(SeatGap::room)
                        .flatMap(seat ->
                                BondState.of(course.state()).ringMm().map(mm -> ring(new RingSeal(mm, seat.gapMm()))))
                        .orElse(null),
                course.strips().stream()
                        .map(plan -> plan(plan, course, profile, view))
                        .toList(),
                BenchTape.dropLoadN(profile));
    }

    /** The strips of a school as large as they are, with what to cut. */
    @GetMapping("/api/jobs/{jobId}/strip-sheet")
    ResponseEntity<byte[]> stripSheet(
            @PathVariable UUID jobId,
            @RequestParam TapeSchool school,
            @RequestParam(defaultValue = "PDF") SheetFiles.Format format) {
        Course course = jobs.course(jobId);
        StripPlan plan = course.strips().stream()
                .filter(one -> one.school() == school)
                .findFirst()
                .orElseThrow(() -> new NotAllowed("school", school, "a job whose front is held by strips"));
        return SheetFiles.answer(StripSheet.of(course.profile(), plan), format, "strips");
    }

    private static RingView ring(RingSeal ring) {
        return new RingView(ring.thicknessMm(), ring.squeeze(0), RingSeal.LEAST_SQUEEZE, ring.greatestStretch());
    }

    private static WayView way(Way way) {
        return new WayView(
                way.by(),
                way.by().words(),
                way.from() == null ? null : way.from().name(),
                way.against(),
                way.asks(),
                way.allRound(),
                way.holdsN(),
                way.proudMm(),
                way.minutes(),
                way.restsMinutes(),
                way.takes());
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
                            EdgeInterval along = along(edge, plan, strip);
                            return new StripView(
                                    strip.id(),
                                    profile.placeName(strip.on()),
                                    along.fromMm(),
                                    along.lengthMm(),
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
                        .filter(skip ->
                                skip.instead() == Instead.NOTHING && !skip.on().isCorner())
                        .map(skip -> {
                            EdgeInterval along = alongSide(edge, skip.on(), skip.fromMm(), skip.toMm());
                            return new SkipView(
                                    profile.placeName(skip.on()), along.fromMm(), along.lengthMm(), skip.because());
                        })
                        .toList(),
                plan.rollMm(),
                plan.coverage(),
                plan.shearN(),
                plan.cornersClosed());
    }

    /** Chords share their corner as they share their row. */
    private static EdgeInterval along(EdgeLine edge, StripPlan plan, Strip strip) {
        if (!strip.on().isCorner()) {
            return alongSide(edge, strip.on(), strip.fromMm(), strip.toMm());
        }
        double row = plan.strips().stream()
                .filter(other -> other.on() == strip.on())
                .mapToDouble(Strip::toMm)
                .max()
                .orElseThrow();
        EdgeInterval corner = edge.interval(strip.on());
        return new EdgeInterval(
                edge.turn().wrap(corner.fromMm() + corner.lengthMm() * strip.fromMm() / row),
                corner.lengthMm() * strip.lengthMm() / row);
    }

    /** From a side's own coordinate to the edge line; bottom and left run backwards on that. */
    private static EdgeInterval alongSide(EdgeLine edge, Landmark side, double from, double to) {
        Coordinate a = onOutline(edge, side, from);
        Coordinate b = onOutline(edge, side, to);
        boolean forward = side == Landmark.TOP || side == Landmark.RIGHT;
        double start = edge.positionOf(forward ? a : b);
        double end = edge.positionOf(forward ? b : a);
        return new EdgeInterval(start, edge.turn().wrap(end - start));
    }

    private static Coordinate onOutline(EdgeLine edge, Landmark side, double along) {
        return switch (side) {
            case TOP -> new Coordinate(along, 0);
            case RIGHT -> new Coordinate(edge.widthMm(), along);
            case BOTTOM -> new Coordinate(along, edge.heightMm());
            default -> new Coordinate(0, along);
        };
    }
}
