package ridgefall.app.carry;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.core.carry.GlassSplit;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.gate.Course;
import ridgefall.core.profile.DeviceProfile;

@RestController
class CarryController {
    private final Jobs jobs;

    CarryController(Jobs jobs) {
        this.jobs = jobs;
    }

    /** In mm, as the device is seen. */
    record Spot(double x, double y) {}

    /**
     * @param wire its two ends a third of the way on
     * @param ends where it stops
     */
    record SplitView(
            String entry,
            String exit,
            int plateC,
            int warmSeconds,
            double wireMm,
            double mmPerS,
            double seconds,
            double endsShortMm,
            List<Spot> wire,
            List<Spot> ends) {
        static SplitView of(DeviceProfile profile, GlassSplit split, View view) {
            List<List<Spot>> drawn = split.drawn(profile).stream()
                    .map(line -> List.of(line).stream()
                            .map(end -> spot(profile, end, view))
                            .toList())
                    .toList();
            return new SplitView(
                    profile.placeName(split.entry()),
                    profile.placeName(split.exit()),
                    split.plateC(),
                    split.warmSeconds(),
                    split.wireMm(),
                    split.slowestMmPerS(),
                    split.seconds(),
                    split.endsShortMm(),
                    drawn.get(0),
                    drawn.get(1));
        }

        private static Spot spot(DeviceProfile profile, Coordinate at, View view) {
            Coordinate seen = profile.edge().seen(at, view);
            return new Spot(seen.x, seen.y);
        }
    }

    /** @param split null where no panel is kept */
    record CarryView(@Schema(nullable = true) SplitView split) {}

    @GetMapping("/api/jobs/{jobId}/carry")
    CarryView carry(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown) {
        Course course = jobs.course(jobId);
        return new CarryView(GlassSplit.of(course.profile(), course.state())
                .map(split -> SplitView.of(course.profile(), split, new View(quarterTurns, faceDown)))
                .orElse(null));
    }
}
