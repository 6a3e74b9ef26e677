package ridgefall.app.prove;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.attach.Attachments;
import ridgefall.app.attach.Kind;
import ridgefall.app.attach.LineDrawing;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.prove.RecordPage.Copy;
import ridgefall.app.security.SignedIn;
import ridgefall.app.shop.Shop;
import ridgefall.app.test.TouchProofs.Kept;
import ridgefall.core.detour.DetourState;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Phase;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.ProveFact.Signer;
import ridgefall.core.prove.ProveState;

@RestController
class RecordController {
    private final Jobs jobs;
    private final Evidence evidence;
    private final Attachments attachments;
    private final JobFiles files;
    private final Shop shop;
    private final TransactionTemplate atOneMoment;

    RecordController(
            Jobs jobs,
            Evidence evidence,
            Attachments attachments,
            JobFiles files,
            Shop shop,
            PlatformTransactionManager transactions) {
        this.jobs = jobs;
        this.evidence = evidence;
        this.attachments = attachments;
        this.files = files;
        this.shop = shop;
        this.atOneMoment = new TransactionTemplate(transactions);
        atOneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
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

    /** @param at null where it was not asked */
    record TryView(String words, @Schema(nullable = true) Instant at) {
        static TryView of(JobRecord.Tried tried) {
            return new TryView(tried.words(), tried.at());
        }
    }

    record FunctionView(String function, TryView before, TryView open, TryView after) {}

    /**
     * @param path where it is fetched from
     * @param sha256 of the file as it was brought, in hexadecimal
     */
    record EvidenceView(
            Instant at,
            Phase phase,
            String words,
            String who,
            String path,
            boolean photo,
            @Schema(nullable = true) String sha256) {}

    /** @param path of the lines drawn, 900 wide and 300 high; null where the name was typed */
    record SignatureView(
            Signer signer,
            String name,
            @Schema(nullable = true) String path,
            Instant at) {}

    record RecordView(
            String device,
            String owner,
            String fault,
            Instant openedAt,
            @Schema(nullable = true) Instant handedOverAt,
            @Schema(nullable = true) Instant askedFrom,
            String told,
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
            List<LineView> notes,
            List<EvidenceView> evidence,
            List<SignatureView> signatures,
            @Schema(nullable = true) HeardView afterAWeek) {}

    /** @param said in the owner's words; null where it is fine */
    record HeardView(boolean fine, @Schema(nullable = true) String said, Instant at) {
        static HeardView of(ProveState.Heard heard) {
            return heard == null
                    ? null
                    : new HeardView(heard.fact().fine(), heard.fact().said(), heard.at());
        }
    }

    @GetMapping("/api/jobs/{jobId}/record")
    RecordView record(@PathVariable UUID jobId) {
        return view(jobId, jobs.course(jobId));
    }

    /** On paper, days and measures as the shop writes them. */
    @GetMapping(path = "/api/jobs/{jobId}/record.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(@PathVariable UUID jobId, @RequestParam(defaultValue = "OWNER") Copy copy) {
        Jobs.Job job = jobs.job(jobId);
        JobRecord record = job.course().record();
        byte[] pdf = RecordPage.pdf(
                job.number(),
                record,
                evidence.of(jobId, job.course(), record),
                shop.said(),
                copy,
                piece -> attachments.thumb(piece.attachment().id()),
                signature -> drawing(jobId, signature));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("record-" + job.number() + (copy == Copy.SHOP ? "-shop" : "") + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    /** Erased with its owner, or never brought: then only the name is there. */
    private Optional<LineDrawing> drawing(UUID jobId, JobRecord.Signature signature) {
        return attachments.of(jobId).stream()
                .filter(file -> file.kind() == Kind.SIGNATURE && file.id().equals(signature.drawing()))
                .findFirst()
                .flatMap(file -> attachments.content(file.id()))
                .map(LineDrawing::read);
    }

    /** @param record what the journal says, told; read by people, and by no import */
    record Export(
            String format,
            UUID jobId,
            long number,
            RecordView record,
            List<JobFile.Line> journal,
            List<JobFile.Attached> files,
            List<JobFile.Run> runs,
            List<Kept> touch) {}

    @GetMapping("/api/jobs/{jobId}/export")
    ResponseEntity<Export> export(@PathVariable UUID jobId) {
        Export export = atOneMoment.execute(whole -> whole(jobId));
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

    /** An instrument may be telling its readings meanwhile: what is said of them has to be of those in the file. */
    private Export whole(UUID jobId) {
        Jobs.Job job = jobs.job(jobId);
        JobFile file = files.of(jobId, job);
        return new Export(
                JobFile.FORMAT,
                jobId,
                job.number(),
                view(jobId, job.course()),
                file.journal(),
                file.files(),
                file.runs(),
                file.touch());
    }

    /**
     * A job as it was exported, here or elsewhere: all of it or nothing.
     *
     * @param commandId made by the client; it becomes the job's id
     */
    @PostMapping(path = "/api/jobs-import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Receipt bringIn(@RequestParam UUID commandId, @RequestBody String text, @AuthenticationPrincipal SignedIn who) {
        return files.bringIn(commandId, text, who);
    }

    private RecordView view(UUID jobId, Course course) {
        JobRecord record = course.record();
        return new RecordView(
                record.device(),
                record.owner(),
                record.fault(),
                record.openedAt(),
                record.handedOverAt(),
                record.handedOverAt() == null ? null : record.handedOverAt().plus(ProveState.AT_HOME),
                record.told(),
                record.functions().stream()
                        .map(f -> new FunctionView(
                                f.function(), TryView.of(f.before()), TryView.of(f.open()), TryView.of(f.after())))
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
                        .toList(),
                evidence.of(jobId, course, record).stream()
                        .map(p -> new EvidenceView(
                                p.at(), p.phase(), p.words(), p.who(), p.path(), p.photo(), p.sha256()))
                        .toList(),
                record.signatures().stream()
                        .map(signature -> new SignatureView(
                                signature.signer(),
                                signature.name(),
                                drawing(jobId, signature).map(LineDrawing::path).orElse(null),
                                signature.at()))
                        .toList(),
                HeardView.of(record.afterAWeek()));
    }
}
