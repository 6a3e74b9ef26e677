package ridgefall.app.separate;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.app.sheet.SheetFiles;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageState;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.gate.Course;
import ridgefall.core.profile.Beneath;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.ClipMap;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.PickSheet;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.separate.SeparateStation;
import ridgefall.core.separate.Warming;

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
            double markMm,
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
                plan.moves().stream().map(m -> move(profile, plan, m)).toList(),
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

    /**
     * @param heldFromMm of the edge that it holds
     * @param turn which of those that still hold comes when, from 1; null once free
     * @param closes which of all is pressed home when, from 1, and in which step
     */
    record ClipView(
            String id,
            String words,
            double heldFromMm,
            double heldMm,
            int closes,
            String closedBy,
            @Schema(nullable = true) Integer turn,
            List<String> beneath,
            boolean stiff,
            boolean broken) {}

    record ClipsView(
            List<ClipView> clips, @Schema(nullable = true) String towards, String opensOn, int greatestOpeningDeg) {}

    /** The clips that hold a front, and in which order they come free. */
    @GetMapping("/api/jobs/{jobId}/clips")
    ClipsView clips(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        List<String> freed = SeparateState.of(course.state()).freed();
        ClipMap map = new ClipMap(profile);
        List<ClipMap.Move> moves = map.moves(freed);
        List<Long> broken = DamageState.of(course.state()).mishaps().stream()
                .map(DamageState.Noted::mishap)
                .filter(seen -> seen.mishap() == Mishap.CLIP_BROKEN && seen.positionMm() != null)
                .map(seen -> Math.round(seen.positionMm()))
                .toList();
        List<ClipMap.Closing> closingEdges = map.closing();
        List<EdgeFeature> closing =
                closingEdges.stream().flatMap(edge -> edge.clips().stream()).toList();
        List<ClipView> clips = map.moves(List.of()).stream()
                .map(whole -> {
                    EdgeFeature clip = whole.clip();
                    int turn = IntStream.range(0, moves.size())
                            .filter(i -> moves.get(i).clip().equals(clip))
                            .findFirst()
                            .orElse(-1);
                    return new ClipView(
                            clip.id(),
                            clip.words(),
                            map.held(clip).fromMm(),
                            map.held(clip).lengthMm(),
                            closing.indexOf(clip) + 1,
                            SealStation.closingId(edgeOf(closingEdges, clip)),
                            turn < 0 ? null : turn + 1,
                            whole.beneath().stream().map(Beneath::told).toList(),
                            whole.stiff(),
                            broken.contains(Math.round(ClipMap.middleMm(profile, clip))));
                })
                .toList();
        return new ClipsView(
                clips,
                moves.stream()
                        .findFirst()
                        .map(next -> PlaceWords.towards(profile, next.clip().where(), next.clockwise()))
                        .orElse(null),
                profile.placeName(profile.hinge()),
                profile.greatestOpeningDeg());
    }

    private static int edgeOf(List<ClipMap.Closing> edges, EdgeFeature clip) {
        return IntStream.range(0, edges.size())
                .filter(i -> edges.get(i).clips().contains(clip))
                .findFirst()
                .orElseThrow();
    }

    /** Where the tape flags go on the picks for what still holds, at true scale. */
    @GetMapping("/api/jobs/{jobId}/pick-marks")
    ResponseEntity<byte[]> pickMarks(
            @PathVariable UUID jobId, @RequestParam(defaultValue = "PDF") SheetFiles.Format format) {
        Course course = jobs.course(jobId);
        return SheetFiles.answer(PickSheet.of(course.profile(), course.cutPlan()), format, "pick-marks");
    }

    /** With what is not said again where the air over it is told beside it. */
    private static String warming(CutPlan plan, CutPlan.Pause pause) {
        Warming warming = pause.warming();
        boolean told = plan.airOn() && warming.source().equals(plan.air().source());
        return told ? "{s:" + Math.round(warming.seconds()) + "}" : warming.words();
    }

    private static MoveView move(DeviceProfile profile, CutPlan plan, CutPlan.Move m) {
        EdgeInterval where = plan.stretch(m.stretchId()).where();
        return new MoveView(
                m.stretchId(),
                m.clockwise(),
                m.newEntry(),
                PlaceWords.towards(profile, where, m.clockwise()),
                m.warmFirst() == null ? null : m.warmFirst().words(),
                m.pauses().stream()
                        .map(pause -> PlaceWords.at(profile, pause.atMm()) + ": " + warming(plan, pause))
                        .toList(),
                m.airShare(),
                m.seconds(),
                m.mmPerS(where.lengthMm()),
                m.bondC(),
                m.tool(),
                m.pickMm(),
                plan.markMm(m),
                m.forceN(),
                m.riseMm(),
                m.wedgeAtMm());
    }
}
