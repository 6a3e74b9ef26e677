package ridgefall.app.attach;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.attach.Attachments.Attachment;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Traces and pairing files of a job; photos go by their own end point, as they are drawn anew. */
@RestController
@RequestMapping("/api/jobs/{jobId}/attachments")
class AttachmentController {
    private final Attachments attachments;
    private final Jobs jobs;

    AttachmentController(Attachments attachments, Jobs jobs) {
        this.attachments = attachments;
        this.jobs = jobs;
    }

    /** @param sha256 in hexadecimal, of the file as it was brought */
    record AttachmentView(
            UUID id,
            Kind kind,
            String name,
            String mediaType,
            int size,
            @Schema(nullable = true) String sha256,
            @Schema(nullable = true) Long runSeq,
            Instant addedAt,
            String addedBy) {
        static AttachmentView of(Attachment a) {
            return new AttachmentView(
                    a.id(),
                    a.kind(),
                    a.name(),
                    a.mediaType(),
                    a.size(),
                    a.sha256() == null ? null : HexFormat.of().formatHex(a.sha256()),
                    a.runSeq(),
                    a.addedAt(),
                    a.addedBy());
        }
    }

    @GetMapping
    List<AttachmentView> all(@PathVariable UUID jobId) {
        jobs.job(jobId);
        return attachments.of(jobId).stream().map(AttachmentView::of).toList();
    }

    /** @param runSeq of the run it belongs to; absent where it belongs to none */
    @PostMapping(consumes = {MediaType.APPLICATION_JSON_VALUE, "text/csv", MediaType.APPLICATION_OCTET_STREAM_VALUE})
    List<AttachmentView> add(
            @PathVariable UUID jobId,
            @RequestParam UUID attachmentId,
            @RequestParam Kind kind,
            @RequestParam String name,
            @RequestParam(required = false) Long runSeq,
            @Parameter(hidden = true) @RequestHeader(HttpHeaders.CONTENT_TYPE) MediaType type,
            @RequestBody byte[] file,
            @AuthenticationPrincipal SignedIn who) {
        if (kind == Kind.PHOTO) {
            throw new NotAllowed("kind", kind, "photos go by /api/jobs/…/photos");
        }
        kind.check(file, type);
        List<Long> runs =
                jobs.course(jobId).state().timers().stream().map(Timer::seq).toList();
        if (runSeq != null && !runs.contains(runSeq)) {
            throw new NotAllowed("runSeq", runSeq, "the number of a fact that started a clock: " + runs);
        }
        attachments.add(
                jobId,
                new Attachments.New(
                        attachmentId,
                        kind,
                        Allowed.text("name", name, 80),
                        type.getType() + "/" + type.getSubtype(),
                        file,
                        null,
                        Attachments.sha256(file),
                        runSeq,
                        who.name()));
        return all(jobId);
    }

    @GetMapping("/{attachmentId}")
    ResponseEntity<byte[]> content(@PathVariable UUID jobId, @PathVariable UUID attachmentId) {
        Attachment found = attachments.of(jobId).stream()
                .filter(a -> a.id().equals(attachmentId))
                .findFirst()
                .orElseThrow(() -> Problem.of(
                        HttpStatus.NOT_FOUND,
                        "No such file",
                        "It was erased, or never brought",
                        Map.of("field", "attachmentId", "value", attachmentId, "allowed", "a file of this job")));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(found.mediaType()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(found.name())
                                .build()
                                .toString())
                .body(attachments.content(attachmentId).orElseThrow());
    }
}
