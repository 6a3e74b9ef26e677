package ridgefall.app.job;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ridgefall.app.http.Problem;
import ridgefall.app.job.JobView.EntryView;
import ridgefall.app.job.JobView.HoldView;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.job.Entry;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Hold;

/** What the one who tapped is told: a receipt, or a problem that says what stands in the way. */
@Component
public class Answers {
    private final Jobs jobs;

    Answers(Jobs jobs) {
        this.jobs = jobs;
    }

    /** Where the fact stands in its job's journal. */
    public record Receipt(UUID jobId, long seq, Instant happenedAt) {}

    /** @throws Problem for everything but a recorded fact */
    public Receipt of(Outcome outcome, UUID jobId, SignedIn who) {
        if (outcome instanceof Outcome.Recorded r) {
            return new Receipt(r.jobId(), r.seq(), r.happenedAt());
        } else if (outcome instanceof Outcome.Conflict c) {
            throw conflict(jobId, c.since());
        } else if (outcome instanceof Outcome.Held held) {
            throw held(held, who);
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
        } else if (outcome instanceof Outcome.NotTheirs not) {
            throw Problem.of(
                    HttpStatus.FORBIDDEN,
                    "Not yours to take back",
                    not.whose() + " recorded this: " + not.whose() + " or a lead may take it back",
                    Map.of("field", "seq", "value", not.whose(), "allowed", "your own latest fact; a lead's any"));
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

    private Problem held(Outcome.Held held, SignedIn who) {
        List<Hold> holds = held.holds();
        return Problem.of(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "A hold point stands in the way",
                holds.stream().map(Hold::because).collect(Collectors.joining("; ")),
                Map.of(
                        "holds",
                        holds.stream()
                                .map(hold -> HoldView.of(hold, held.fact(), who.role()))
                                .toList()));
    }
}
