package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Readers;
import ridgefall.app.instrument.Readers.Seen;
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
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** A payment or card chip proven at a reader: the answer is the reader's, not a hand's. */
@RestController
@RequestMapping("/api/jobs/{jobId}/proof")
class ProofController {
    private final Jobs jobs;
    private final Readers readers;
    private final Journal journal;
    private final Answers answers;

    ProofController(Jobs jobs, Readers readers, Journal journal, Answers answers) {
        this.jobs = jobs;
        this.readers = readers;
        this.journal = journal;
        this.answers = answers;
    }

    private record Due(String functionId, Phase phase) {}

    /**
     * @param stepId what a reader can prove next; null where that is nothing
     * @param says what it sees, in words; null where the bench has none
     * @param answers whether a card answers; null where no reader says
     */
    record ProofView(
            @Schema(nullable = true) String stepId,
            @Schema(nullable = true) String says,
            @Schema(nullable = true) Boolean answers) {}

    record Asked(UUID commandId) {}

    @GetMapping
    ProofView proof(@PathVariable UUID jobId) {
        Optional<Due> due = due(jobs.course(jobId));
        if (due.isEmpty()) {
            return new ProofView(null, null, null);
        }
        Optional<Seen> seen = readers.seen();
        return new ProofView(
                Checks.functionStepId(due.get().phase(), due.get().functionId()),
                seen.map(Seen::words).orElse(null),
                seen.map(Seen::answers).orElse(null));
    }

    /** @throws NotAllowed where nothing is to be proven by a reader now, or no reader answers */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Receipt prove(@PathVariable UUID jobId, @RequestBody Asked asked, @AuthenticationPrincipal SignedIn who) {
        Due due = due(jobs.course(jobId))
                .orElseThrow(() -> new NotAllowed("step", "another", "one whose function a reader can prove"));
        Seen seen = readers.seen()
                .filter(reader -> reader.answers() != null)
                .orElseThrow(() -> new NotAllowed("reader", "none answers", "a reader under tools that answers"));
        FunctionTested fact = new FunctionTested(
                due.functionId(), due.phase(), seen.answers() ? Answer.PASS : Answer.FAIL, seen.words());
        UUID commandId = Allowed.present("commandId", asked.commandId());
        return answers.of(journal.appendNow(jobId, commandId, fact, who, () -> {}), jobId, who);
    }

    /** The next step, if it tries a function that hangs on a board that moves. */
    private static Optional<Due> due(Course course) {
        return course.next()
                .flatMap(step -> course.profile().functions().stream()
                        .map(Function::id)
                        .filter(course.profile()::provenAtReader)
                        .flatMap(function ->
                                Checks.tried(step, function).map(phase -> new Due(function, phase)).stream())
                        .findFirst());
    }
}
