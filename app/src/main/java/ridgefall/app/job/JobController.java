package ridgefall.app.job;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.http.Problem;
import ridgefall.app.job.JobView.EntryView;
import ridgefall.app.job.JobView.HoldView;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Hold;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;
import tools.jackson.databind.json.JsonMapper;

@RestController
@RequestMapping("/api/jobs")
class JobController {
    private final Journal journal;
    private final Jobs jobs;
    private final Clock clock;
    private final JsonMapper json;

    JobController(Journal journal, Jobs jobs, Clock clock, JsonMapper json) {
        this.journal = journal;
        this.jobs = jobs;
        this.clock = clock;
        this.json = json;
    }

    /** {@code commandId} is made by the client and becomes the job's id. */
    record NewJob(UUID commandId, String profileId, String owner, String fault) {}

    record NewFact(
            UUID commandId,
            long expectedSeq,
            @Schema(nullable = true) Instant tappedAt,
            @Schema(implementation = Map.class) Fact fact) {}

    /** Where the fact stands in its job's journal. */
    record Receipt(UUID jobId, long seq, Instant happenedAt) {}

    @PostMapping
    Receipt open(@RequestBody NewJob given, @AuthenticationPrincipal SignedIn who) {
        Allowed.present("commandId", given.commandId());
        DeviceProfile profile = DeviceBook.profile(given.profileId());
        Fact.JobOpened fact = new Fact.JobOpened(profile.id(), profile.version(), given.owner(), given.fault());
        return answer(journal.open(given.commandId(), null, fact, who), given.commandId());
    }

    @PostMapping("/{jobId}/facts")
    Receipt append(@PathVariable UUID jobId, @RequestBody NewFact given, @AuthenticationPrincipal SignedIn who) {
        Allowed.present("commandId", given.commandId());
        Allowed.present("fact", given.fact());
        return answer(
                journal.append(
                        jobId,
                        new Journal.Command(given.commandId(), given.expectedSeq(), given.tappedAt(), given.fact()),
                        who),
                jobId);
    }

    @GetMapping("/{jobId}")
    JobView job(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        return JobView.of(jobId, jobs.course(jobId), clock.instant(), who.role(), json);
    }

    private Receipt answer(Outcome outcome, UUID jobId) {
        if (outcome instanceof Outcome.Recorded r) {
            return new Receipt(r.jobId(), r.seq(), r.happenedAt());
        } else if (outcome instanceof Outcome.Conflict c) {
            throw conflict(jobId, c.since());
        } else if (outcome instanceof Outcome.Held held) {
            throw held(held.holds());
        } else if (outcome instanceof Outcome.WrongRole wrong) {
            throw Problem.of(
                    HttpStatus.FORBIDDEN,
                    "Not for this role",
                    "Signed in as " + wrong.role().words() + ", which may not record this",
                    Map.of(
                            "field",
                            "role",
                            "value",
                            wrong.role().words(),
                            "allowed",
                            "a role that works at this station"));
        }
        throw Problem.unknownJob(jobId);
    }

    private Problem conflict(UUID jobId, List<Entry> since) {
        FactWords words = jobs.course(jobId).words();
        List<EntryView> changes =
                since.stream().map(e -> EntryView.of(e, words, false)).toList();
        Map<String, Object> more = new LinkedHashMap<>();
        more.put("field", "expectedSeq");
        more.put("changes", changes);
        return Problem.of(
                HttpStatus.CONFLICT,
                "Someone was faster",
                changes.isEmpty()
                        ? "This screen was ahead of the journal; it has been brought up to date"
                        : changes.stream().map(c -> c.who() + ": " + c.words()).collect(Collectors.joining("; ")),
                more);
    }

    private static Problem held(List<Hold> holds) {
        return Problem.of(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "A hold point stands in the way",
                holds.stream().map(Hold::because).collect(Collectors.joining("; ")),
                Map.of("holds", holds.stream().map(HoldView::of).toList()));
    }
}
