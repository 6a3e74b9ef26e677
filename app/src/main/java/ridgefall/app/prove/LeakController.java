package ridgefall.app.prove;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Step;
import ridgefall.core.job.Timer;
import ridgefall.core.prove.LeakTest;
import ridgefall.core.prove.LeakTest.Verdict;
import ridgefall.core.prove.ProveFact.SealTested;
import ridgefall.core.prove.ProveState;
import ridgefall.core.prove.SealProof;

/** What the chamber's pressure did while a watch lay in it. */
@RestController
class LeakController {
    /** Readings that near the start or the end are averaged. */
    private static final double NEAR_S = 6;

    private final Jobs jobs;
    private final Readings readings;

    LeakController(Jobs jobs, Readings readings) {
        this.jobs = jobs;
        this.readings = readings;
    }

    /** @param kPa over the air's; {@code atOneWarmthKPa} as it would be had the chamber kept its temperature */
    record PressureView(double seconds, double kPa, double atOneWarmthKPa) {}

    record ResultView(
            Verdict verdict, String words, double mlPerMinute, double uncertainMlPerMinute, double limitMlPerMinute) {}

    /**
     * @param curve of the latest test, from when it was filled
     * @param fromS where the test begins, once the air is no longer warm
     * @param result what was recorded; null while nothing is
     * @param take records what the tester read; null where it has not read enough
     */
    record LeakView(
            List<PressureView> curve,
            int fromS,
            int untilS,
            @Schema(nullable = true) ResultView result,
            @Schema(nullable = true) ChoiceView take) {}

    @GetMapping("/api/jobs/{jobId}/leak")
    LeakView leak(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        Optional<Timer> run = course.state().latest(SealProof.TESTING);
        List<Reading> said = run.map(timer -> readings.of(jobId, timer.seq())).orElse(List.of());
        Instant from = run.map(Timer::startedAt).orElse(Instant.EPOCH);
        return new LeakView(
                curve(said, from),
                SealProof.SETTLE_S,
                SealProof.SETTLE_S + SealProof.TEST_S,
                ProveState.of(course.state())
                        .sealTested()
                        .map(tested -> result(tested.fact().test()))
                        .orElse(null),
                run.filter(Timer::running)
                        .flatMap(timer -> read(said, from, LeakTest.innerMl(course.profile())))
                        .map(fact -> ChoiceView.of(Step.go("Take what the tester read", fact), who.role()))
                        .orElse(null));
    }

    private static ResultView result(LeakTest test) {
        return new ResultView(
                test.verdict(), test.words(), test.mlPerMinute(), test.uncertainMlPerMinute(), test.limitMlPerMinute());
    }

    private static List<PressureView> curve(List<Reading> said, Instant from) {
        OptionalDouble first = near(said, Quantity.TEMPERATURE, from, SealProof.SETTLE_S);
        return said.stream()
                .filter(r -> r.quantity() == Quantity.PRESSURE)
                .map(r -> {
                    double at = seconds(r, from);
                    double now = near(said, Quantity.TEMPERATURE, from, at).orElse(20);
                    return new PressureView(at, r.value(), LeakTest.atOneWarmthKPa(r.value(), now, first.orElse(now)));
                })
                .toList();
    }

    /** Once the test is over, and only of what both channels said then. */
    private static Optional<SealTested> read(List<Reading> said, Instant from, double innerMl) {
        double end = SealProof.SETTLE_S + SealProof.TEST_S;
        OptionalDouble startKPa = near(said, Quantity.PRESSURE, from, SealProof.SETTLE_S);
        OptionalDouble endKPa = near(said, Quantity.PRESSURE, from, end);
        OptionalDouble startC = near(said, Quantity.TEMPERATURE, from, SealProof.SETTLE_S);
        OptionalDouble endC = near(said, Quantity.TEMPERATURE, from, end);
        boolean over = said.stream().anyMatch(r -> seconds(r, from) >= end);
        return over && startKPa.isPresent() && endKPa.isPresent() && startC.isPresent() && endC.isPresent()
                ? Optional.of(new SealTested(
                        SealProof.USUAL_KPA,
                        hundredths(startKPa.getAsDouble()),
                        hundredths(endKPa.getAsDouble()),
                        SealProof.TEST_S,
                        hundredths(startC.getAsDouble()),
                        hundredths(endC.getAsDouble()),
                        SealProof.USUAL_CHAMBER_ML,
                        innerMl))
                : Optional.empty();
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }

    private static OptionalDouble near(List<Reading> said, Quantity quantity, Instant from, double atS) {
        return said.stream()
                .filter(r -> r.quantity() == quantity)
                .filter(r -> Math.abs(seconds(r, from) - atS) <= NEAR_S / 2)
                .mapToDouble(Reading::value)
                .average();
    }

    private static double seconds(Reading reading, Instant from) {
        return Duration.between(from, reading.readAt()).toMillis() / 1000.0;
    }
}
