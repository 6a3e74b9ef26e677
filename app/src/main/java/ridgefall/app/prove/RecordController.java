package ridgefall.app.prove;

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
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.http.ApiDescription;
import ridgefall.app.job.Jobs;
import ridgefall.core.detour.DetourState;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;
import ridgefall.core.prove.JobRecord;

@RestController
class RecordController {
    private final Jobs jobs;

    RecordController(Jobs jobs) {
        this.jobs = jobs;
    }

    record LineView(Instant at, String who, String words) {
        static List<LineView> of(List<JobRecord.Line> lines) {
            return lines.stream()
                    .map(l -> new LineView(l.at(), l.who(), l.words()))
                    .toList();
        }
    }

    /** @param forOwner whether it stands on the owner's copy too */
    record IncidentView(
            Instant at,
            String who,
            String words,
            @Schema(nullable = true) String told,
            String outcome,
            boolean forOwner) {}

    record FunctionView(String function, String before, String open, String after) {}

    record RecordView(
            String device,
            String owner,
            String fault,
            Instant openedAt,
            @Schema(nullable = true) Instant handedOverAt,
            List<FunctionView> functions,
            List<LineView> found,
            List<IncidentView> wentWrong,
            List<LineView> done,
            List<LineView> measured,
            List<LineView> signedOff,
            List<String> kept,
            List<String> lost,
            String adhesive,
            String sealed,
            List<String> people,
            List<LineView> notes) {}

    /** One fact of the exported journal. */
    record ExportedEntry(
            long seq,
            Instant happenedAt,
            String who,
            Role role,
            @Schema(ref = ApiDescription.FACT) Fact fact) {}

    /** {@code format} names this shape, so that a reader knows what it holds. */
    record Export(String format, UUID jobId, RecordView record, List<ExportedEntry> journal) {}

    @GetMapping("/api/jobs/{jobId}/record")
    RecordView record(@PathVariable UUID jobId) {
        return view(jobs.course(jobId));
    }

    @GetMapping("/api/jobs/{jobId}/export")
    ResponseEntity<Export> export(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        Export export = new Export(
                "ridgefall-job/1",
                jobId,
                view(course),
                course.journal().stream().map(RecordController::exported).toList());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("job-" + jobId + ".json")
                                .build()
                                .toString())
                .body(export);
    }

    private static ExportedEntry exported(Entry entry) {
        return new ExportedEntry(entry.seq(), entry.happenedAt(), entry.who(), entry.role(), entry.fact());
    }

    private RecordView view(Course course) {
        JobRecord record = course.record();
        return new RecordView(
                record.device(),
                record.owner(),
                record.fault(),
                record.openedAt(),
                record.handedOverAt(),
                record.functions().stream()
                        .map(f -> new FunctionView(f.function(), f.before(), f.open(), f.after()))
                        .toList(),
                LineView.of(record.found()),
                record.wentWrong().stream()
                        .map(i -> new IncidentView(i.at(), i.who(), i.words(), i.told(), i.outcome(), i.forOwner()))
                        .toList(),
                LineView.of(record.done()),
                LineView.of(record.measured()),
                LineView.of(record.signedOff()),
                record.kept(),
                record.lost(),
                record.adhesive(),
                record.sealed(),
                record.people(),
                DetourState.of(course.state()).notes().stream()
                        .map(note -> new LineView(note.at(), note.who(), note.words()))
                        .toList());
    }
}
