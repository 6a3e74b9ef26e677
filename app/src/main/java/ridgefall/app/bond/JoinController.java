package ridgefall.app.bond;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
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
import ridgefall.core.bond.FilmJoin;
import ridgefall.core.bond.GlassJoin;
import ridgefall.core.bond.JoinFact;
import ridgefall.core.bond.Joining;
import ridgefall.core.bond.OpticalFilm;
import ridgefall.core.bond.OpticalLiquid;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.bond.Spreading;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Course;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.OpticalBond;

/** Liquid between glass and panel, as it is reckoned to spread, and what the lamp gave. */
@RestController
class JoinController {
    /** Enough that a circle grows smoothly between them. */
    private static final int MOMENTS = 24;

    private static final double BUBBLE_STEP_MM = 0.1;

    private final Jobs jobs;
    private final Readers readers;
    private final Clock clock;

    JoinController(Jobs jobs, Readers readers, Clock clock) {
        this.jobs = jobs;
        this.readers = readers;
        this.clock = clock;
    }

    /** How far a dot reaches, mm from its middle, so long after it was laid. */
    record ReachView(double seconds, double mm) {}

    /** @param neededJ and {@code givenJ} in J/cm² of what gets there */
    record LitView(Lit lit, String words, double givenJ, double neededJ, double share) {}

    /**
     * A corner of what one looks through.
     *
     * @param forecastSeconds from when the liquid was laid
     * @param late whether it should have been there long ago
     * @param take tells that it is there
     */
    record WetCornerView(
            Landmark corner,
            String place,
            OutlinePoint at,
            double forecastSeconds,
            boolean reached,
            boolean late,
            ChoiceView take) {}

    record FilmChamberView(double acrossMm, int seconds) {}

    /**
     * @param against why it does not suit this device; empty where nothing speaks against it
     * @param chamber how long a bubble takes
     * @param bubblesMm the largest that were seen, in the order of the runs
     */
    record FilmView(
            String film,
            String laminator,
            List<String> against,
            double thicknessMm,
            double chamberKPa,
            double chamberC,
            List<FilmChamberView> chamber,
            List<Double> bubblesMm) {}

    /** @param take records what it says */
    record RadiometerView(String instrument, double mwPerCm2, ChoiceView take) {}

    /**
     * @param with what was chosen; null where nobody was asked, or not yet
     * @param film null where the shelf has none
     * @param dots their middles in mm, as the device is seen
     * @param laidAt null while no liquid lies there
     * @param lampMwPerCm2 null before it was measured
     * @param radiometer null where none says anything now
     */
    record JoinView(
            @Schema(nullable = true) OpticalBond with,
            @Schema(nullable = true) FilmView film,
            List<WetCornerView> corners,
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
        GlassJoin.Means means = course.joinedWith();
        OpticalLiquid liquid = OpticalLiquid.of(profile, means.syringe());
        Joining joining = Joining.of(state);
        int dots = joining.liquid().map(Joining.Liquid::dots).orElse(1);
        Spreading spreading = Spreading.of(profile, liquid, dots);
        View view = new View(quarterTurns, faceDown);
        return new JoinView(
                joining.with().orElse(null),
                means.film().map(film -> film(film, joining)).orElse(null),
                joining.liquid()
                        .map(laid -> corners(spreading, profile, laid, view, who))
                        .orElse(List.of()),
                liquid.ml(),
                liquid.drops(),
                liquid.gapMm(),
                liquid.inkMm(),
                spreading.dots().stream()
                        .map(at -> seen(profile.edge(), at, view))
                        .toList(),
                spreading.reach(MOMENTS).stream()
                        .map(reach -> new ReachView(reach.seconds(), reach.mm()))
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

    private List<WetCornerView> corners(
            Spreading spreading, DeviceProfile profile, Joining.Liquid laid, View view, SignedIn who) {
        double since = Duration.between(laid.laidAt(), clock.instant()).toMillis() / 1000.0;
        return spreading.corners(profile.edge(), laid).stream()
                .map(corner -> new WetCornerView(
                        corner.landmark(),
                        profile.placeName(corner.landmark()),
                        seen(profile.edge(), corner.at(), view),
                        corner.forecastSeconds(),
                        corner.reached(),
                        corner.late(since),
                        ChoiceView.of(
                                Step.go("It is there", new JoinFact.CornerReached(corner.landmark())), who.role())))
                .toList();
    }

    private static FilmView film(FilmJoin.Means means, Joining joining) {
        double kPa = means.laminator().chamberKPa();
        double celsius = means.laminator().chamberC();
        int most = (int) Math.round(OpticalFilm.largestMm(kPa, celsius) / BUBBLE_STEP_MM);
        return new FilmView(
                means.film().name(),
                means.laminator().name(),
                means.against(),
                means.film().thicknessMm(),
                kPa,
                celsius,
                IntStream.rangeClosed(1, most)
                        .mapToDouble(i -> i * BUBBLE_STEP_MM)
                        .mapToObj(mm -> new FilmChamberView(mm, OpticalFilm.chamberSeconds(mm, kPa, celsius)))
                        .toList(),
                joining.film().map(Joining.Film::bubblesMm).orElse(List.of()));
    }

    private static ChoiceView taking(double mwPerCm2, SignedIn who) {
        return ChoiceView.of(Step.go("Take it", new JoinFact.LampRead(mwPerCm2)), who.role());
    }

    private static OutlinePoint seen(EdgeLine edge, Coordinate at, View view) {
        Coordinate there = edge.seen(at, view);
        return new OutlinePoint(there.x, there.y);
    }
}
