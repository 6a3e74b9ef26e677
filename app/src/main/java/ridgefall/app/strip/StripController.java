package ridgefall.app.strip;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
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
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.ScrewFit;
import ridgefall.core.strip.Screws;
import ridgefall.core.strip.StripMap;
import ridgefall.core.strip.StripMap.Alike;
import ridgefall.core.strip.StripMap.Lie;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;
import ridgefall.core.strip.TraySheet;

@RestController
class StripController {
    private final Jobs jobs;

    StripController(Jobs jobs) {
        this.jobs = jobs;
    }

    /** In mm, as the device is seen. */
    record SeenAt(double x, double y) {}

    /**
     * @param corners null where nobody has looked yet
     */
    record LyingPartView(
            String id,
            String words,
            InsideKind kind,
            int layer,
            @Schema(nullable = true) List<SeenAt> corners,
            Lie lie) {}

    /**
     * What a screw of some kind would do in a hole.
     *
     * @param drive tells that it is driven there; null where it is the hole's own, and where none is driven now
     */
    record ScrewFitView(
            int kind,
            ScrewFit.Verdict verdict,
            String words,
            @Schema(nullable = true) ChoiceView drive) {}

    /**
     * @param kind screws that look alike, from 0, the most of them first
     * @param where its screw is, as it was told; null while nothing was, with {@code told} in words
     * @param choices what can be told of it
     * @param fits what each kind of this device's would do in it
     */
    record HoleView(
            String id,
            SeenAt at,
            int kind,
            boolean hidden,
            Lie lie,
            @Schema(nullable = true) ScrewAt.Where where,
            @Schema(nullable = true) String told,
            List<ChoiceView> choices,
            List<ScrewFitView> fits) {}

    /** @param now how many of them are in hand */
    record ScrewKind(String words, int now, int hiddenNow) {}

    /**
     * @param at null where nobody has looked yet
     * @param route of its cable, from the plug on
     */
    record LyingPlugView(
            String id,
            String words,
            String hint,
            @Schema(nullable = true) SeenAt at,
            List<SeenAt> route,
            Lie lie) {}

    record OpenDeviceView(
            List<LyingPartView> parts,
            List<HoleView> holes,
            List<ScrewKind> screws,
            List<LyingPlugView> plugs,
            List<String> onTheWay) {}

    @GetMapping("/api/jobs/{jobId}/strip")
    OpenDeviceView strip(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        EdgeLine edge = course.profile().edge();
        View view = new View(quarterTurns, faceDown);
        String stepId = course.next().map(Step::id).orElse(null);
        StripMap map = StripMap.of(course.profile(), course.state(), stepId);
        Optional<Screws> screws = Screws.of(course.profile(), course.state());
        boolean goingIn = Screws.goIn(stepId);
        List<Alike> kinds = map.alike();
        List<String> looks = kinds.stream().map(Alike::words).toList();
        return new OpenDeviceView(
                map.parts().stream().map(part -> part(part, edge, view)).toList(),
                map.holes().stream()
                        .map(hole -> new HoleView(
                                hole.screw().id(),
                                place(new Point(hole.screw().xMm(), hole.screw().yMm()), edge, view),
                                looks.indexOf(StripMap.looks(hole.screw())),
                                hole.screw().hidden(),
                                hole.lie(),
                                hole.at() == null ? null : hole.at().where(),
                                hole.at() == null ? null : hole.at().told(),
                                screws.stream()
                                        .flatMap(all -> all.about(hole.screw().id()).stream())
                                        .map(choice -> ChoiceView.of(choice, who.role()))
                                        .toList(),
                                fits(hole, kinds, goingIn, who.role())))
                        .toList(),
                kinds.stream()
                        .map(kind -> new ScrewKind(kind.words(), kind.now(), kind.hiddenNow()))
                        .toList(),
                map.plugs().stream().map(plug -> plug(plug, stepId, edge, view)).toList(),
                map.onTheWay());
    }

    /** The device as large as it is, with a place for each screw and shield that comes off. */
    @GetMapping("/api/jobs/{jobId}/tray-sheet")
    ResponseEntity<byte[]> traySheet(
            @PathVariable UUID jobId, @RequestParam(defaultValue = "PDF") SheetFiles.Format format) {
        return SheetFiles.answer(TraySheet.of(jobs.course(jobId).profile()), format, "screw-tray");
    }

    /** Every hole of the device, and where its screw is. */
    @GetMapping(path = "/api/jobs/{jobId}/screws", produces = "text/csv")
    ResponseEntity<String> screws(@PathVariable UUID jobId) {
        Jobs.Job job = jobs.job(jobId);
        return ScrewFile.write(
                "job-" + job.number() + "-screws.csv",
                job.course().profile().document().screws(),
                StripState.of(job.course().state()).holes());
    }

    private static LyingPartView part(StripMap.Part part, EdgeLine edge, View view) {
        Inside thing = part.part();
        return new LyingPartView(
                thing.id(),
                thing.words(),
                thing.kind(),
                thing.layer(),
                thing.area() == null ? null : corners(thing.area(), edge, view),
                part.lie());
    }

    private static List<SeenAt> corners(Area area, EdgeLine edge, View view) {
        return area.corners().stream().map(corner -> place(corner, edge, view)).toList();
    }

    private static LyingPlugView plug(StripMap.Plug it, String stepId, EdgeLine edge, View view) {
        Connector plug = it.plug();
        return new LyingPlugView(
                plug.id(),
                plug.words(),
                StripStation.homeStep(plug).equals(stepId) ? plug.homeHint() : plug.offHint(),
                plug.place() == null ? null : place(plug.place(), edge, view),
                plug.cable() == null
                        ? List.of()
                        : plug.cable().route().stream()
                                .map(at -> place(at, edge, view))
                                .toList(),
                it.lie());
    }

    private static SeenAt place(Point at, EdgeLine edge, View view) {
        Coordinate seen = edge.seen(new Coordinate(at.xMm(), at.yMm()), view);
        return new SeenAt(seen.x, seen.y);
    }

    private static List<ScrewFitView> fits(StripMap.Hole hole, List<Alike> kinds, boolean goingIn, Role role) {
        boolean empty = goingIn && hole.at() != null && !hole.at().driven();
        String own = StripMap.looks(hole.screw());
        return IntStream.range(0, kinds.size())
                .mapToObj(kind -> {
                    Screw like = kinds.get(kind).like();
                    ScrewFit fit = ScrewFit.of(hole.screw(), like);
                    ChoiceView drive = empty && !kinds.get(kind).words().equals(own)
                            ? ChoiceView.of(Step.other("Drive it", Screws.driven(hole.screw(), like)), role)
                            : null;
                    return new ScrewFitView(kind, fit.verdict(), fit.words(), drive);
                })
                .toList();
    }
}
