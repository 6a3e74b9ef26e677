package ridgefall.app.bond;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.bond.BondController.OutlinePoint;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readers;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.bond.GlassJoin;
import ridgefall.core.bond.JoinFact;
import ridgefall.core.bond.Joining;
import ridgefall.core.bond.OpticalLiquid;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.gate.Course;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;

/** Liquid between glass and panel, as it is reckoned to spread, and what the lamp gave. */
@RestController
class JoinController {
    /** Enough that a circle grows smoothly between them. */
    private static final int MOMENTS = 24;

    private final Jobs jobs;
    private final Readers readers;

    JoinController(Jobs jobs, Readers readers) {
        this.jobs = jobs;
        this.readers = readers;
    }

    /** How far a dot reaches, mm from its middle, so long after it was laid. */
    record ReachView(double seconds, double mm) {}

    /** @param neededJ and {@code givenJ} in J/cm² of what gets there */
    record LitView(Lit lit, String words, double givenJ, double neededJ, double share) {}

    /** @param take records what it says */
    record RadiometerView(String instrument, double mwPerCm2, ChoiceView take) {}

    /**
     * @param dots their middles in mm, as the device is seen
     * @param laidAt null while no liquid lies there
     * @param lampMwPerCm2 null before it was measured
     * @param radiometer null where none says anything now
     */
    record JoinView(
            double ml,
            int drops,
            double gapMm,
            double inkMm,
            List<OutlinePoint> dots,
            List<ReachView> reach,
            @Schema(nullable = true) Instant laidAt,
            boolean spread,
            @Schema(nullable = true) Double lampMwPerCm2,
            @Schema(nullable = true) RadiometerView radiometer,
            List<LitView> lit) {}

    @GetMapping("/api/jobs/{jobId}/join")
    JoinView join(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        JobState state = course.state();
        OpticalLiquid liquid = OpticalLiquid.of(profile, course.liquid());
        Joining joining = Joining.of(state);
        int dots = joining.liquid().map(Joining.Liquid::dots).orElse(1);
        double all = liquid.spreadSeconds(dots);
        return new JoinView(
                liquid.ml(),
                liquid.drops(),
                liquid.gapMm(),
                liquid.inkMm(),
                GlassJoin.middles(profile, dots).stream()
                        .map(at -> seen(profile.edge(), at, new View(quarterTurns, faceDown)))
                        .toList(),
                IntStream.rangeClosed(0, MOMENTS)
                        .mapToDouble(i -> all * i / MOMENTS)
                        .mapToObj(seconds -> new ReachView(seconds, liquid.reachMm(dots, seconds)))
                        .toList(),
                joining.liquid().map(Joining.Liquid::laidAt).orElse(null),
                joining.liquid().filter(Joining.Liquid::spread).isPresent(),
                joining.lampMwPerCm2().orElse(null),
                readers.latest(Quantity.IRRADIANCE)
                        .filter(read -> read.value() >= 1)
                        .map(read -> new RadiometerView(read.instrument(), read.value(), taking(read.value(), who)))
                        .orElse(null),
                Stream.of(Lit.values())
                        .map(lit -> new LitView(
                                lit,
                                lit.words(),
                                joining.givenJ(liquid, lit),
                                joining.doseJPerCm2(),
                                liquid.share(lit)))
                        .toList());
    }

    private static ChoiceView taking(double mwPerCm2, SignedIn who) {
        return ChoiceView.of(Step.go("Take it", new JoinFact.LampRead(mwPerCm2)), who.role());
    }

    private static OutlinePoint seen(EdgeLine edge, Coordinate at, View view) {
        Coordinate there = edge.seen(at, view);
        return new OutlinePoint(there.x, there.y);
    }
}
