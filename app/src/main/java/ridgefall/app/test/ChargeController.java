package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Readings;
import ridgefall.app.job.Answers;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Timer;
import ridgefall.core.test.ChargeTrace;
import ridgefall.core.test.ChargeTrace.Verdict;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The current of a device on its charger, as a meter between the two reads it. */
@RestController
class ChargeController {
    private final Jobs jobs;
    private final Readings readings;
    private final Journal journal;
    private final Answers answers;

    ChargeController(Jobs jobs, Readings readings, Journal journal, Answers answers) {
        this.jobs = jobs;
        this.readings = readings;
        this.journal = journal;
        this.answers = answers;
    }

    record ChargePointView(
            double seconds,
            double volts,
            double amps,
            @Schema(nullable = true) Double celsius) {}

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
        ChargeTrace trace = trace(jobId, course);
        boolean told =
                trace.over() || !trace.samples().isEmpty() && trace.verdict().danger();
        return new ChargeView(
                trace.samples().stream()
                        .map(s -> new ChargePointView(s.seconds(), s.volts(), s.amps(), s.celsius()))
                        .toList(),
                ChargeTrace.SECONDS,
                trace.leastW(),
                trace.mostW(),
                run.filter(Timer::running).isPresent(),
                told ? trace.verdict() : null,
                told ? trace.words() : null);
    }

    /** @param percent the device's own level */
    record LevelRead(UUID commandId, Double percent) {}

    /**
     * What the current alone leaves open: a cell that is nearly full takes little, a weak one too.
     *
     * @throws NotAllowed where nothing is open, or no charge is to be tried now
     */
    @PostMapping("/api/jobs/{jobId}/charge/level")
    @ResponseStatus(HttpStatus.CREATED)
    Receipt level(@PathVariable UUID jobId, @RequestBody LevelRead read, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        Phase phase = course.next()
                .flatMap(step -> Checks.tried(step, Checks.CHARGE))
                .orElseThrow(() -> new NotAllowed("step", "another", "one that asks whether it charges"));
        ChargeTrace.AtLevel told = trace(jobId, course).at(Allowed.present("percent", read.percent()));
        FunctionTested fact =
                new FunctionTested(Checks.CHARGE, phase, told.works() ? Answer.PASS : Answer.FAIL, told.words());
        UUID commandId = Allowed.present("commandId", read.commandId());
        return answers.of(journal.appendNow(jobId, commandId, fact, who, () -> {}), jobId, who);
    }

    /** Of the latest minute that was watched; none where none was. */
    private ChargeTrace trace(UUID jobId, Course course) {
        Optional<Timer> run = course.state().latest(ChargeTrace.CHARGING);
        return new ChargeReadings(
                        run.map(timer -> readings.of(jobId, timer.seq())).orElse(List.of()),
                        run.map(Timer::startedAt).orElse(Instant.EPOCH))
                .trace(course.profile().document().kind());
    }
}
