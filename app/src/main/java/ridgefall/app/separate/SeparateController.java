package ridgefall.app.separate;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.gate.Course;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.separate.SeparateStation;

@RestController
class SeparateController {
    private final Jobs jobs;

    SeparateController(Jobs jobs) {
        this.jobs = jobs;
    }

    record StretchView(
            String id,
            String place,
            double fromMm,
            double lengthMm,
            double depthMm,
            String depthBecause,
            boolean dangerous,
            @Schema(nullable = true) String hazardWords,
            boolean hinge,
            boolean cracked,
            boolean free) {}

    record MoveView(
            String stretchId,
            boolean clockwise,
            boolean newEntry,
            String towards,
            @Schema(nullable = true) String warmFirst,
            List<String> warmedOnTheWay,
            double airShare,
            double seconds,
            double mmPerS,
            double bondC,
            String tool,
            @Schema(nullable = true) Double pickMm,
            double forceN,
            @Schema(nullable = true) Double riseMm,
            @Schema(nullable = true) Double wedgeAtMm) {}

    record SeparateView(
            List<StretchView> stretches,
            List<MoveView> moves,
            String entrySeam,
            String opensOn,
            int greatestOpeningDeg,
            double workableFromC,
            double cuttingSeconds,
            int warmings,
            double totalSeconds,
            @Schema(nullable = true) String air,
            @Schema(nullable = true) String unknownCracks,
            ChoiceView wedge) {}

    @GetMapping("/api/jobs/{jobId}/separate")
    SeparateView separate(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        CutPlan plan = course.cutPlan();
        return new SeparateView(
                plan.stretches().stream()
                        .map(s -> new StretchView(
                                s.id(),
                                profile.placeName(s.landmark()),
                                s.where().fromMm(),
                                s.where().lengthMm(),
                                s.depthMm(),
                                s.depthBecause(),
                                s.dangerous(),
                                s.hazardWords(),
                                s.hinge(),
                                s.cracked(),
                                SeparateState.of(course.state()).freed().contains(s.id())))
                        .toList(),
                plan.moves().stream()
                        .map(m -> move(profile, plan.stretch(m.stretchId()).where(), m))
                        .toList(),
                plan.entrySeam(),
                profile.placeName(plan.opensOn()),
                plan.greatestOpeningDeg(),
                plan.workableFromC(),
                plan.cuttingSeconds(),
                plan.warmings(),
                plan.totalSeconds(),
                plan.airOn() ? plan.air().words() : null,
                SeparateStation.unknownCracks(course.heatQuestion()),
                ChoiceView.of(SeparateStation.wedge(), who.role()));
    }

    private static MoveView move(DeviceProfile profile, EdgeInterval where, CutPlan.Move m) {
        return new MoveView(
                m.stretchId(),
                m.clockwise(),
                m.newEntry(),
                PlaceWords.towards(profile, where, m.clockwise()),
                m.warmFirst() == null ? null : m.warmFirst().words(),
                m.pauses().stream()
                        .map(pause -> PlaceWords.at(profile, pause.atMm()) + ": "
                                + pause.warming().words())
                        .toList(),
                m.airShare(),
                m.seconds(),
                m.mmPerS(where.lengthMm()),
                m.bondC(),
                m.tool(),
                m.pickMm(),
                m.forceN(),
                m.riseMm(),
                m.wedgeAtMm());
    }
}
