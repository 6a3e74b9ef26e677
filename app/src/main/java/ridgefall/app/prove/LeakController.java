package ridgefall.app.prove;

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
import ridgefall.app.prove.LeakReadings.Pressure;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Timer;
import ridgefall.core.prove.LeakTest;
import ridgefall.core.prove.LeakTest.Verdict;
import ridgefall.core.prove.ProveState;
import ridgefall.core.prove.SealProof;

/** What the chamber's pressure did while a watch lay in it. */
@RestController
class LeakController {
    private final Jobs jobs;
    private final Readings readings;

    LeakController(Jobs jobs, Readings readings) {
        this.jobs = jobs;
        this.readings = readings;
    }

    record ResultView(
            Verdict verdict, String words, double mlPerMinute, double uncertainMlPerMinute, double limitMlPerMinute) {}

    /**
     * @param curve of the latest test, from when it was filled
     * @param fromS where the test begins, once the air is no longer warm
     * @param result what was recorded; null while nothing is
     * @param read whether the tester has all it takes: that leads then
     */
    record LeakView(
            List<Pressure> curve,
            int fromS,
            int untilS,
            @Schema(nullable = true) ResultView result,
            boolean read) {}

    @GetMapping("/api/jobs/{jobId}/leak")
    LeakView leak(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        Optional<Timer> run = course.state().latest(SealProof.TESTING);
        LeakReadings said = new LeakReadings(
                run.map(timer -> readings.of(jobId, timer.seq())).orElse(List.of()),
                run.map(Timer::startedAt).orElse(Instant.EPOCH));
        return new LeakView(
                said.curve(),
                SealProof.SETTLE_S,
                SealProof.SETTLE_S + SealProof.TEST_S,
                ProveState.of(course.state())
                        .sealTested()
                        .map(tested -> result(tested.fact().test()))
                        .orElse(null),
                run.filter(Timer::running).isPresent()
                        && said.read(LeakTest.innerMl(course.profile())).isPresent());
    }

    private static ResultView result(LeakTest test) {
        return new ResultView(
                test.verdict(), test.words(), test.mlPerMinute(), test.uncertainMlPerMinute(), test.limitMlPerMinute());
    }
}
