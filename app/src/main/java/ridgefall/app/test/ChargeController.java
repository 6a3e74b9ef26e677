package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Readings;
import ridgefall.app.job.Jobs;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Timer;
import ridgefall.core.test.ChargeTrace;
import ridgefall.core.test.ChargeTrace.Verdict;

/** The current of a device on its charger, as a meter between the two reads it. */
@RestController
class ChargeController {
    private final Jobs jobs;
    private final Readings readings;

    ChargeController(Jobs jobs, Readings readings) {
        this.jobs = jobs;
        this.readings = readings;
    }

    record ChargePointView(double seconds, double volts, double amps) {}

    /**
     * @param curve of the latest minute that was watched
     * @param leastW to {@code mostW}: what such a device draws, W
     * @param verdict null while it is not over and no danger shows
     */
    record ChargeView(
            List<ChargePointView> curve,
            int seconds,
            double leastW,
            double mostW,
            boolean runs,
            @Schema(nullable = true) Verdict verdict,
            @Schema(nullable = true) String words) {}

    @GetMapping("/api/jobs/{jobId}/charge")
    ChargeView charge(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        Optional<Timer> run = course.state().latest(ChargeTrace.CHARGING);
        ChargeTrace trace = new ChargeReadings(
                        run.map(timer -> readings.of(jobId, timer.seq())).orElse(List.of()),
                        run.map(Timer::startedAt).orElse(Instant.EPOCH))
                .trace(course.profile().document().kind());
        boolean told =
                trace.over() || !trace.samples().isEmpty() && trace.verdict().danger();
        return new ChargeView(
                trace.samples().stream()
                        .map(s -> new ChargePointView(s.seconds(), s.volts(), s.amps()))
                        .toList(),
                ChargeTrace.SECONDS,
                trace.leastW(),
                trace.mostW(),
                run.filter(Timer::running).isPresent(),
                told ? trace.verdict() : null,
                told ? trace.words() : null);
    }
}
