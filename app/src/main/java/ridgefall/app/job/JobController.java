package ridgefall.app.job;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.book.Book;
import ridgefall.app.http.ApiDescription;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.security.SignedIn;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Fact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

@RestController
@RequestMapping("/api/jobs")
class JobController {
    private static final Logger LOG = LoggerFactory.getLogger(JobController.class);

    private final Journal journal;
    private final Book book;
    private final Answers answers;
    private final Jobs jobs;
    private final Plans plans;
    private final Ahead ahead;
    private final Clock clock;

    JobController(Journal journal, Book book, Answers answers, Jobs jobs, Plans plans, Ahead ahead, Clock clock) {
        this.journal = journal;
        this.book = book;
        this.answers = answers;
        this.jobs = jobs;
        this.plans = plans;
        this.ahead = ahead;
        this.clock = clock;
    }

    /** {@code commandId} is made by the client and becomes the job's id. */
    record NewJob(
            UUID commandId,
            String profileId,
            @Schema(nullable = true) String variantId,
            String owner,
            @Schema(nullable = true) String contact,
            String fault) {}

    record NewFact(
            UUID commandId,
            long expectedSeq,
            @Schema(nullable = true) Instant tappedAt,
            @Schema(ref = ApiDescription.FACT) Fact fact) {}

    /** Where a fact stands, and its job as it is then: whoever tapped draws that next. */
    record Tapped(
            long seq,
            Instant happenedAt,
            @Schema(nullable = true) JobView job) {}

    @PostMapping
    Receipt open(@RequestBody NewJob given, @AuthenticationPrincipal SignedIn who) {
        Allowed.present("commandId", given.commandId());
        DeviceProfile profile = book.newest(given.profileId(), given.variantId());
        Allowed.optionalText("contact", given.contact(), 120);
        IntakeFact.JobOpened fact = new IntakeFact.JobOpened(
                profile.id(), profile.version(), profile.variantId(), given.owner(), given.fault());
        return answers.of(journal.open(given.commandId(), null, fact, given.contact(), who), given.commandId(), who);
    }

    /**
     * @param view whether the job is wanted, too; it is left out all the same where it would have to be planned first, for nobody
     *     waits for that to know that a tap is in
     */
    @PostMapping("/{jobId}/facts")
    Tapped append(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "false") boolean view,
            @RequestBody NewFact given,
            @AuthenticationPrincipal SignedIn who) {
        Allowed.present("commandId", given.commandId());
        Allowed.present("fact", given.fact());
        if (given.fact() instanceof IntakeFact.PhotoTaken) {
            throw new NotAllowed("type", "PhotoTaken", "photos go by /api/jobs/…/photos");
        } else if (given.fact() instanceof IntakeFact.BroughtIn) {
            throw new NotAllowed("type", "BroughtIn", "jobs come in with their file, by /api/jobs-import");
        } else if (given.fact() instanceof CopyFact copy && !byHand(copy)) {
            throw new NotAllowed("type", copy.getClass().getSimpleName(), "what a programmer did it tells itself");
        } else if (given.fact() instanceof IntakeFact.CameBack back && !jobs.handedOver(back.jobNumber())) {
            throw new NotAllowed("jobNumber", back.jobNumber(), "the number of a job that was handed over");
        }
        Receipt receipt = answers.of(
                journal.append(
                        jobId,
                        new Journal.Command(given.commandId(), given.expectedSeq(), given.tappedAt(), given.fact()),
                        who),
                jobId,
                who);
        return new Tapped(receipt.seq(), receipt.happenedAt(), view ? atOnce(jobId, who) : null);
    }

    /** The tap is in: what goes wrong here is said when the job is asked for by itself, and keeps no other tap waiting. */
    private JobView atOnce(UUID jobId, SignedIn who) {
        try {
            Jobs.Job job = jobs.job(jobId);
            return plans.atHand(job.course()) ? shown(jobId, job, who) : null;
        } catch (RuntimeException e) {
            LOG.warn("recorded, but not shown with its answer", e);
            return null;
        }
    }

    /** Of what is copied, hands begin, stop, or tell of another programmer. */
    private static boolean byHand(CopyFact copy) {
        return copy instanceof CopyFact.CopyBegun
                || copy instanceof CopyFact.CopyDueAgain
                || copy instanceof CopyFact.CopiedElsewhere
                || copy instanceof CopyFact.CopyFailed failed && failed.trouble() == CopyFact.Trouble.STOPPED;
    }

    @GetMapping("/{jobId}")
    JobView job(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        return shown(jobId, jobs.job(jobId), who);
    }

    private JobView shown(UUID jobId, Jobs.Job job, SignedIn who) {
        return JobView.of(jobId, job, ahead, clock.instant(), who);
    }
}
