package ridgefall.app.run;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.job.Jobs;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Timer;
import ridgefall.core.units.NotAllowed;

/** What was measured while a clock of a job ran, whichever station it was at. */
@RestController
@RequestMapping("/api/jobs/{jobId}/runs")
class RunController {
    private final Jobs jobs;
    private final Readings readings;

    RunController(Jobs jobs, Readings readings) {
        this.jobs = jobs;
        this.readings = readings;
    }

    record ChannelView(String instrument, Quantity quantity, String unit, String place, int samples) {}

    /** @param seq of the fact that started it */
    record RunView(
            long seq,
            String kind,
            String words,
            Instant startedAt,
            @Schema(nullable = true) Instant endedAt,
            List<ChannelView> channels) {}

    record Taken(int readings) {}

    @GetMapping
    List<RunView> runs(@PathVariable UUID jobId) {
        return jobs.course(jobId).state().timers().stream()
                .map(timer -> new RunView(
                        timer.seq(),
                        timer.kind(),
                        Course.clock(timer.kind()).words(),
                        timer.startedAt(),
                        timer.stoppedAt(),
                        readings.channels(jobId, timer.seq()).stream()
                                .map(c -> new ChannelView(
                                        c.instrument(),
                                        c.quantity(),
                                        c.quantity().unit(),
                                        c.place(),
                                        c.samples()))
                                .toList()))
                .toList();
    }

    @GetMapping(path = "/{seq}/log", produces = "text/csv")
    ResponseEntity<String> log(@PathVariable UUID jobId, @PathVariable long seq) {
        Jobs.Job job = jobs.job(jobId);
        Timer run = run(job.course(), seq);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("run-" + job.number() + "-" + seq + ".csv")
                                .build()
                                .toString())
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(RunLog.of(run.startedAt(), readings.of(jobId, seq)));
    }

    /** A log that some other program kept of this run; once. */
    @PostMapping(path = "/{seq}/log", consumes = MediaType.TEXT_PLAIN_VALUE)
    Taken take(@PathVariable UUID jobId, @PathVariable long seq, @RequestBody String csv) {
        Timer run = run(jobs.course(jobId), seq);
        if (readings.channels(jobId, seq).stream().anyMatch(c -> c.instrument().equals(LogFile.IMPORTED))) {
            throw new NotAllowed("file", "a second log", "one imported log a run");
        }
        List<Reading> read = RunLog.read(csv, run.startedAt());
        readings.addAll(jobId, seq, read);
        return new Taken(read.size());
    }

    private static Timer run(Course course, long seq) {
        return course.state().timers().stream()
                .filter(timer -> timer.seq() == seq)
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "seq",
                        seq,
                        "the number of a fact that started a clock: "
                                + course.state().timers().stream()
                                        .map(Timer::seq)
                                        .toList()));
    }
}
