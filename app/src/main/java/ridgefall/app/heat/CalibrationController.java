package ridgefall.app.heat;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.heat.HeatViews.BandView;
import ridgefall.app.instrument.Readings;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.job.Jobs;
import ridgefall.app.run.LogFile;
import ridgefall.app.security.SignedIn;
import ridgefall.app.tools.HeatSources;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.Calibration;
import ridgefall.core.heat.CalibrationFit;
import ridgefall.core.heat.CalibrationFit.Fitted;
import ridgefall.core.heat.CalibrationFit.Outcome;
import ridgefall.core.heat.CalibrationFit.Refused;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.units.NotAllowed;

/** The log of a job's last soak: out, in, and into the bench's own numbers. */
@RestController
@RequestMapping("/api/jobs/{jobId}/heat")
class CalibrationController {
    private final Jobs jobs;
    private final Readings readings;
    private final HeatSources sources;
    private final Clock clock;

    CalibrationController(Jobs jobs, Readings readings, HeatSources sources, Clock clock) {
        this.jobs = jobs;
        this.readings = readings;
        this.sources = sources;
        this.clock = clock;
    }

    /** @param because empty where it was taken */
    record FitView(
            boolean taken,
            String sourceName,
            List<String> because,
            @Schema(nullable = true) BandView contactWPerM2K,
            @Schema(nullable = true) BandView offsetK,
            @Schema(nullable = true) Double rmsK,
            @Schema(nullable = true) Integer readings) {}

    record Kept(int readings) {}

    static Soak last(UUID jobId, Course course) {
        return HeatState.of(course.state())
                .lastSoak()
                .orElseThrow(() -> new NotAllowed("jobId", jobId, "a job that was laid on a source"));
    }

    @GetMapping(path = "/log", produces = "text/csv")
    ResponseEntity<String> log(@PathVariable UUID jobId) {
        Jobs.Job job = jobs.job(jobId);
        Soak soak = last(jobId, job.course());
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"soak-" + job.number() + ".csv\"")
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(HeatLog.of(soak.startedAt(), readings.of(jobId, soak.seq())));
    }

    /** A log that some other program kept of the last soak; once. */
    @PostMapping(path = "/log", consumes = MediaType.TEXT_PLAIN_VALUE)
    Kept importLog(@PathVariable UUID jobId, @RequestBody String csv) {
        Soak soak = last(jobId, jobs.course(jobId));
        if (readings.of(jobId, soak.seq()).stream().anyMatch(r -> r.instrument().equals(LogFile.IMPORTED))) {
            throw new NotAllowed("file", "a second log", "one imported log a soak");
        }
        List<Reading> read = HeatLog.read(csv, soak.startedAt());
        readings.addAll(jobId, soak.seq(), read);
        return new Kept(read.size());
    }

    /** Fits the last soak's log; what is sound becomes what this bench knows of the source. */
    @PostMapping("/calibration")
    FitView calibrate(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        Soak soak = last(jobId, course);
        HeatQuestion question = course.heatQuestion();
        Outcome outcome = CalibrationFit.of(
                question,
                HeatState.of(course.state()).soaks(),
                readings.measured(jobId, soak.seq(), soak.startedAt()),
                clock.instant());
        String name = question.sourceName(soak.sourceId());
        if (outcome instanceof Fitted fitted) {
            Calibration measured = fitted.calibration();
            sources.calibrated(soak.sourceId(), measured, who.name());
            return new FitView(
                    true,
                    name,
                    List.of(),
                    BandView.of(measured.contactWPerM2K()),
                    BandView.of(measured.offsetK()),
                    measured.rmsK(),
                    measured.readings());
        }
        return new FitView(false, name, ((Refused) outcome).because(), null, null, null, null);
    }
}
