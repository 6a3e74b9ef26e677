package ridgefall.app.carry;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.carry.CopyRuns.Progress;
import ridgefall.app.carry.CopyRuns.Stage;
import ridgefall.app.carry.FrontData.DataFile;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Answers;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Jobs.Job;
import ridgefall.app.job.Journal;
import ridgefall.app.security.SignedIn;
import ridgefall.core.carry.AtTheAdapter;
import ridgefall.core.carry.CarryState;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.DataWritten;
import ridgefall.core.carry.CopyFact.Doing;
import ridgefall.core.carry.DataCopy;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Data on their way from the old front to the new one. */
@RestController
@RequestMapping("/api/jobs/{jobId}/copies")
class CopyController {
    private final Jobs jobs;
    private final Journal journal;
    private final Answers answers;
    private final CopyRuns runs;
    private final FrontData files;

    CopyController(Jobs jobs, Journal journal, Answers answers, CopyRuns runs, FrontData files) {
        this.jobs = jobs;
        this.journal = journal;
        this.answers = answers;
        this.runs = runs;
        this.files = files;
    }

    record ReadView(String front, String generation, int bytes, String sha256, String from) {
        static ReadView of(DataRead read) {
            return new ReadView(read.front(), read.generation(), read.bytes(), read.sha256(), read.from());
        }
    }

    record WrittenView(String front, String sha256, String programmer) {
        static WrittenView of(DataWritten written) {
            return new WrittenView(written.front(), written.sha256(), written.programmer());
        }
    }

    /**
     * @param done of {@code total} bytes
     * @param programmer null while one is looked for
     */
    record ProgressView(
            @Schema(nullable = true) Stage stage,
            @Schema(nullable = true) String words,
            int done,
            int total,
            @Schema(nullable = true) String programmer) {
        static final ProgressView LOOKING = new ProgressView(null, null, 0, 0, null);

        static ProgressView of(Progress p) {
            return new ProgressView(p.stage(), p.stage().words(), p.done(), p.total(), p.programmer());
        }
    }

    /**
     * @param at the adapter, what is there and what is to be done
     * @param running null where nothing goes on
     * @param half whether the new front may hold half of it
     */
    record CopyView(
            String partId,
            String words,
            @Schema(nullable = true) String adapter,
            AtTheAdapter at,
            @Schema(nullable = true) Doing doing,
            @Schema(nullable = true) ProgressView running,
            @Schema(nullable = true) ReadView read,
            @Schema(nullable = true) WrittenView written,
            boolean half) {}

    record GivenFile(UUID commandId, DataFile file) {}

    @GetMapping
    List<CopyView> all(@PathVariable UUID jobId) {
        Job job = jobs.job(jobId);
        return job.course().profile().pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.COPY_DATA)
                .map(part -> view(jobId, job, part))
                .toList();
    }

    private CopyView view(UUID jobId, Job job, PairedPart part) {
        DataCopy copy = CarryState.of(job.course().state()).copy(part.id());
        return new CopyView(
                part.id(),
                part.words(),
                part.adapter(),
                AtTheAdapter.of(
                        part,
                        job.course().state(),
                        job.course().next().map(Step::id).orElse(null)),
                copy.running(),
                copy.running() == null
                        ? null
                        : runs.progress(jobId, part.id()).map(ProgressView::of).orElse(ProgressView.LOOKING),
                copy.read() == null ? null : ReadView.of(copy.read()),
                copy.written() == null ? null : WrittenView.of(copy.written()),
                copy.half());
    }

    /** What was read, as a file that comes in again whole or not at all. */
    @GetMapping("/{partId}/file")
    ResponseEntity<DataFile> file(@PathVariable UUID jobId, @PathVariable String partId) {
        Job job = jobs.job(jobId);
        part(job, partId);
        DataRead read = CarryState.of(job.course().state()).copy(partId).read();
        if (read == null) {
            throw Problem.of(
                    HttpStatus.NOT_FOUND,
                    "Nothing was read yet",
                    "There is no file of these data",
                    Map.of("field", "partId", "value", partId, "allowed", "data that were read"));
        }
        String name = "job-" + job.number() + "-" + partId + ".json";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(files.file(job.number(), job.course(), read));
    }

    /** What was read before, or elsewhere: instead of reading the old front once more. */
    @PutMapping("/{partId}/file")
    Receipt bring(
            @PathVariable UUID jobId,
            @PathVariable String partId,
            @RequestBody GivenFile given,
            @AuthenticationPrincipal SignedIn who) {
        Job job = jobs.job(jobId);
        PairedPart part = part(job, partId);
        DataFile file = Allowed.present("file", given.file());
        Allowed.present("commandId", given.commandId());
        List<Long> numbers = Stream.concat(Stream.of(job.number()), FrontData.cameBackFrom(job.course()).stream())
                .toList();
        byte[] data = FrontData.brought(file, numbers, job.course(), part);
        DataRead before = CarryState.of(job.course().state()).copy(partId).read();
        if (before != null && !before.sha256().equals(file.sha256())) {
            throw new NotAllowed("sha256", file.sha256(), "that of what was read already, " + before.sha256());
        }
        UUID kept = files.keep(jobId, part, file.front(), data, who.name());
        DataRead read = new DataRead(
                partId, file.front(), file.generation(), data.length, file.sha256(), kept, "file of job " + file.job());
        return answers.of(journal.appendNow(jobId, given.commandId(), read, who, () -> {}), jobId, who);
    }

    private static PairedPart part(Job job, String partId) {
        List<PairedPart> copied = job.course().profile().pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.COPY_DATA)
                .toList();
        return copied.stream()
                .filter(part -> part.id().equals(partId))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "partId",
                        partId,
                        "one of " + copied.stream().map(PairedPart::id).toList()));
    }
}
