package ridgefall.app.carry;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.app.sheet.SheetFiles;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.carry.CarryLedger;
import ridgefall.core.carry.CarryState;
import ridgefall.core.carry.GivenUpSheet;
import ridgefall.core.carry.GlassSplit;
import ridgefall.core.carry.Moving;
import ridgefall.core.carry.SolderHeat;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.LooseFront;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;

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

    /**
     * @param at in mm, as the device is seen
     * @param ohm null while it is not measured, with {@code read} as a meter shows it
     */
    record JointView(
            String id,
            String words,
            Spot at,
            @Schema(nullable = true) Double ohm,
            @Schema(nullable = true) String read,
            boolean sound) {}

    /** @param noLongerS warms well and it is at its limit then; null where none gets there */
    record WarmingWay(
            String source,
            boolean air,
            int settingC,
            int seconds,
            @Schema(nullable = true) Integer noLongerS) {
        static WarmingWay of(LooseFront.Way way) {
            return new WarmingWay(way.source(), way.air(), way.settingC(), way.seconds(), way.noLongerS());
        }
    }

    /** A stretch of the edge. */
    record On(double fromMm, double lengthMm, String words) {}

    /**
     * @param bondC its tape lets go from here on; null for what comes off cold
     * @param ways the quickest that it lies on, and the quickest by air; empty where none does within the limit
     * @param centre of its hole in the new front, as the device is seen; null for what has none
     * @param on the edge; null for what lies away from it
     */
    record MovingView(
            List<String> offBy,
            @Schema(nullable = true) Integer bondC,
            double limitC,
            List<WarmingWay> ways,
            List<String> lays,
            @Schema(nullable = true) Spot centre,
            @Schema(nullable = true) On on) {
        static MovingView of(Course course, CarryLedger.Row row, View view) {
            DeviceProfile profile = course.profile();
            Moving moving = row.moving();
            return new MovingView(
                    moving.offBy(),
                    moving.bondC(),
                    moving.limitC(),
                    Stream.of(false, true)
                            .flatMap(air -> moving.ways().stream()
                                    .filter(way -> way.air() == air)
                                    .limit(1))
                            .map(WarmingWay::of)
                            .toList(),
                    moving.lays(),
                    moving.centre() == null ? null : LedgerRowView.spot(profile, moving.centre(), view),
                    moving.onEdge(profile, row.area())
                            .map(where ->
                                    new On(where.fromMm(), where.lengthMm(), PlaceWords.along(profile, where, true)))
                            .orElse(null));
        }
    }

    /**
     * @param corners where it sits; null where nobody has looked yet, and for data
     * @param tried by what it is known to work; null for what has no function of its own
     */
    record LedgerRowView(
            String id,
            String words,
            String hint,
            boolean irreplaceable,
            @Schema(nullable = true) List<Spot> corners,
            List<JointView> joints,
            boolean data,
            CarryLedger.Standing standing,
            @Schema(nullable = true) String tried,
            @Schema(nullable = true) MovingView moving,
            @Schema(nullable = true) SolderHeat soldering) {
        static LedgerRowView of(Course course, CarryLedger.Row row, View view) {
            DeviceProfile profile = course.profile();
            Map<String, Double> ohm = CarryState.of(course.state()).ohm(row.id());
            return new LedgerRowView(
                    row.id(),
                    row.words(),
                    row.hint(),
                    row.irreplaceable(),
                    row.area() == null
                            ? null
                            : row.area().corners().stream()
                                    .map(corner -> spot(profile, corner, view))
                                    .toList(),
                    row.joints().stream()
                            .map(joint -> new JointView(
                                    joint.id(),
                                    joint.words(),
                                    spot(profile, joint.place(), view),
                                    ohm.get(joint.id()),
                                    ohm.containsKey(joint.id())
                                            ? CarryFact.JointMeasured.read(ohm.get(joint.id()))
                                            : null,
                                    CarryState.sound(ohm.get(joint.id()))))
                            .toList(),
                    row.data(),
                    row.standing(),
                    row.tried(),
                    row.moving() == null ? null : MovingView.of(course, row, view),
                    row.soldering());
        }

        private static Spot spot(DeviceProfile profile, Point at, View view) {
            Coordinate seen = profile.edge().seen(new Coordinate(at.xMm(), at.yMm()), view);
            return new Spot(seen.x, seen.y);
        }
    }

    /**
     * @param split null where no panel is kept
     * @param oldFront whether it is still needed, and what becomes of it
     */
    record CarryView(@Schema(nullable = true) SplitView split, List<LedgerRowView> ledger, String oldFront) {}

    @GetMapping("/api/jobs/{jobId}/carry")
    CarryView carry(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown) {
        Course course = jobs.course(jobId);
        View view = new View(quarterTurns, faceDown);
        CarryLedger ledger = CarryLedger.of(
                course.profile(), course.state(), course.next().map(Step::id).orElse(null), course.freeSources());
        return new CarryView(
                GlassSplit.of(course.profile(), course.state())
                        .map(split -> SplitView.of(course.profile(), split, view))
                        .orElse(null),
                ledger.rows().stream()
                        .map(row -> LedgerRowView.of(course, row, view))
                        .toList(),
                ledger.oldFront());
    }

    /** What stays gone with a part that does not move over, to be signed. */
    @GetMapping("/api/jobs/{jobId}/given-up-sheet/{partId}")
    ResponseEntity<byte[]> givenUp(
            @PathVariable UUID jobId,
            @PathVariable String partId,
            @RequestParam(defaultValue = "PDF") SheetFiles.Format format) {
        Jobs.Job job = jobs.job(jobId);
        return SheetFiles.answer(
                GivenUpSheet.of(job.course().profile(), job.course().state(), job.number(), partId),
                format,
                "given-up-" + partId);
    }
}
