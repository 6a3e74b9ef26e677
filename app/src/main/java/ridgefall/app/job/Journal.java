package ridgefall.app.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.JobState.Timer;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceBook;
import tools.jackson.databind.json.JsonMapper;

/**
 * The append-only journal in PostgreSQL. One append is one transaction: the job's row is locked, the command looked up
 * (a repeated one answers as the first did), the expected number compared, the core asked, the fact added, the
 * projections renewed and the other screens notified. A crash leaves all of it or none.
 */
@Repository
public class Journal {
    /** A tap that waited for the line longer than this is dated when it arrives. */
    private static final Duration OLDEST_TAP = Duration.ofHours(12);

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Plans plans;
    private final Clock clock;

    Journal(JdbcClient jdbc, JsonMapper json, Plans plans, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.plans = plans;
        this.clock = clock;
    }

    /** A fact someone wants recorded. {@code tappedAt} may be absent: then it happened when it arrived. */
    public record Command(UUID commandId, long expectedSeq, Instant tappedAt, Fact fact) {}

    /** What became of a command. */
    public sealed interface Outcome {
        /** It is in the journal, now or since the first time it was sent. */
        record Recorded(UUID jobId, long seq, Instant happenedAt) implements Outcome {}

        /** Someone else was faster; these facts came in between. */
        record Conflict(List<Entry> since) implements Outcome {}

        record Held(List<Hold> holds) implements Outcome {}

        record WrongRole(Role role) implements Outcome {}

        record NoSuchJob() implements Outcome {}
    }

    /** Opens a job; its id is the client's command id, so that sending twice opens one. */
    @Transactional
    public Outcome open(UUID commandId, Instant tappedAt, Fact.JobOpened fact, SignedIn who) {
        if (!who.role().mayRecord(fact)) {
            return new Outcome.WrongRole(who.role());
        }
        DeviceBook.profile(fact.profileId());
        Entry entry = new Entry(1, happenedAt(tappedAt, Instant.MIN), who.name(), who.role(), fact);
        Course course = plans.course(List.of(entry));
        int added = project(jdbc.sql("""
                        insert into job (id, seq, profile_id, profile_version, owner, fault, station, next_step, waiting,
                            mishaps, opened_at, touched_at, touched_by, handed_over_at)
                        values (:id, :seq, :profile, :version, :owner, :fault, :station, :next, :waiting,
                            :mishaps, :opened, :touched, :by, :handed)
                        on conflict (id) do nothing"""), commandId, entry, course);
        if (added == 0) {
            return repeated(commandId, commandId).orElseGet(Outcome.NoSuchJob::new);
        }
        insert(commandId, commandId, entry);
        notifyScreens(commandId, 1);
        return new Outcome.Recorded(commandId, 1, entry.happenedAt());
    }

    @Transactional
    public Outcome append(UUID jobId, Command command, SignedIn who) {
        Optional<Long> seq = jdbc.sql("select seq from job where id = :id for update")
                .param("id", jobId)
                .query(Long.class)
                .optional();
        if (seq.isEmpty()) {
            return new Outcome.NoSuchJob();
        }
        Optional<Outcome> before = repeated(jobId, command.commandId());
        if (before.isPresent()) {
            return before.get();
        }
        if (!who.role().mayRecord(command.fact())) {
            return new Outcome.WrongRole(who.role());
        }
        List<Entry> journal = entries(jobId);
        if (seq.get() != command.expectedSeq()) {
            return new Outcome.Conflict(journal.stream()
                    .filter(entry -> entry.seq() > command.expectedSeq())
                    .toList());
        }
        List<Hold> holds = plans.course(journal).holds(command.fact());
        if (!holds.isEmpty()) {
            return new Outcome.Held(holds);
        }
        Instant latest = journal.get(journal.size() - 1).happenedAt();
        Entry entry = new Entry(
                seq.get() + 1, happenedAt(command.tappedAt(), latest), who.name(), who.role(), command.fact());
        journal.add(entry);
        insert(jobId, command.commandId(), entry);
        Course course = plans.course(journal);
        project(jdbc.sql("""
                        update job set seq = :seq, station = :station, next_step = :next, waiting = :waiting,
                            mishaps = :mishaps, touched_at = :touched, touched_by = :by, handed_over_at = :handed
                        where id = :id"""), jobId, entry, course);
        projectTimers(jobId, course.state());
        notifyScreens(jobId, entry.seq());
        return new Outcome.Recorded(jobId, entry.seq(), entry.happenedAt());
    }

    private Optional<Outcome> repeated(UUID jobId, UUID commandId) {
        return jdbc.sql("select seq, happened_at from journal where command_id = :command and job_id = :job")
                .param("command", commandId)
                .param("job", jobId)
                .query((row, n) ->
                        (Outcome) new Outcome.Recorded(jobId, row.getLong("seq"), instant(row, "happened_at")))
                .optional();
    }

    /** Taps keep their own time, but never run before the fact they follow nor ahead of this clock. */
    private Instant happenedAt(Instant tappedAt, Instant latest) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        boolean usable = tappedAt != null
                && !tappedAt.isAfter(now)
                && !tappedAt.isBefore(latest)
                && tappedAt.isAfter(now.minus(OLDEST_TAP));
        return usable ? tappedAt.truncatedTo(ChronoUnit.MILLIS) : now;
    }

    private void insert(UUID jobId, UUID commandId, Entry entry) {
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, :seq, :command, :happened, :who, :role, cast(:fact as jsonb))""")
                .param("job", jobId)
                .param("seq", entry.seq())
                .param("command", commandId)
                .param("happened", at(entry.happenedAt()))
                .param("who", entry.who())
                .param("role", entry.role().name())
                .param("fact", json.writerFor(Fact.class).writeValueAsString(entry.fact()))
                .update();
    }

    private int project(JdbcClient.StatementSpec statement, UUID jobId, Entry entry, Course course) {
        JobState state = course.state();
        Optional<Step> next = Course.next(course.steps());
        return statement
                .param("id", jobId)
                .param("seq", entry.seq())
                .param("profile", state.opened().profileId())
                .param("version", state.opened().profileVersion())
                .param("owner", state.opened().owner())
                .param("fault", state.opened().fault())
                .param("station", next.map(Step::station).orElse(Station.PROVE).name())
                .param("next", next.map(Step::title).orElse(null))
                .param("waiting", next.map(step -> step.waitsFor() != null).orElse(false))
                .param("mishaps", state.mishaps().size())
                .param("opened", at(state.openedAt()))
                .param("touched", at(entry.happenedAt()))
                .param("by", entry.who())
                .param("handed", state.handedOverAt().map(Journal::at).orElse(null))
                .update();
    }

    private void projectTimers(UUID jobId, JobState state) {
        jdbc.sql("delete from running_timer where job_id = :job")
                .param("job", jobId)
                .update();
        for (Timer timer : state.timers()) {
            if (timer.running()) {
                jdbc.sql("""
                                insert into running_timer (job_id, seq, kind, words, started_at, seconds)
                                values (:job, :seq, :kind, :words, :started, :seconds)""")
                        .param("job", jobId)
                        .param("seq", timer.seq())
                        .param("kind", timer.kind().name())
                        .param("words", timer.words())
                        .param("started", at(timer.startedAt()))
                        .param("seconds", timer.seconds())
                        .update();
            }
        }
    }

    /** Delivered when the transaction commits, to every node. */
    private void notifyScreens(UUID jobId, long seq) {
        jdbc.sql("select pg_notify('ridgefall_journal', :what)")
                .param("what", "{\"jobId\":\"" + jobId + "\",\"seq\":" + seq + "}")
                .query((row, n) -> 0)
                .list();
    }

    /** The whole journal of a job in order; empty when there is no such job. */
    public List<Entry> entries(UUID jobId) {
        return new ArrayList<>(jdbc.sql(
                        "select seq, happened_at, who, role, fact from journal where job_id = :job order by seq")
                .param("job", jobId)
                .query((row, n) -> new Entry(
                        row.getLong("seq"),
                        instant(row, "happened_at"),
                        row.getString("who"),
                        Role.valueOf(row.getString("role")),
                        json.readValue(row.getString("fact"), Fact.class)))
                .list());
    }

    private static Instant instant(ResultSet row, String column) throws SQLException {
        return row.getObject(column, OffsetDateTime.class).toInstant();
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }
}
