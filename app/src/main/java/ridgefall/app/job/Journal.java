package ridgefall.app.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.http.Problem;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.JobState.Timer;
import ridgefall.core.job.PartsFact;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.Grade;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The append-only journal in PostgreSQL. An append looks the command up (a repeated one answers as the first did),
 * compares the expected number and asks the core; then, in one transaction, it moves the job's row on from that number,
 * adds the fact and renews the projections. A crash leaves all of it or none. Screens are told once it is committed.
 */
@Repository
public class Journal {
    /** A tap that waited for the line longer than this is dated when it arrives. */
    private static final Duration OLDEST_TAP = Duration.ofHours(12);

    /** Facts that name an owner, and in which field: those words stand apart, so that they can be erased. */
    private static final Map<Class<? extends Fact>, String> PERSONAL = Map.of(
            Fact.JobOpened.class, "owner",
            Fact.RepairAgreed.class, "agreedBy",
            Fact.NotWorthIt.class, "agreedBy",
            Fact.HandedOver.class, "to");

    private static final String HELD = "held";
    private static final String KEPT_APART = "\u00a7kept-apart";
    public static final String ERASED = "(erased)";

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Plans plans;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;

    Journal(
            JdbcClient jdbc,
            JsonMapper json,
            Plans plans,
            Clock clock,
            TransactionTemplate transactions,
            ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.json = json;
        this.plans = plans;
        this.clock = clock;
        this.transactions = transactions;
        this.events = events;
    }

    /** A job's journal has grown to this number. */
    public record Changed(UUID jobId, long seq) {}

    /** A fact someone wants recorded. {@code tappedAt} may be absent: then it happened when it arrived. */
    public record Command(UUID commandId, long expectedSeq, Instant tappedAt, Fact fact) {}

    /** What became of a command. */
    public sealed interface Outcome {
        /** It is in the journal, now or ({@code before}) since the first time it was sent. */
        record Recorded(UUID jobId, long seq, Instant happenedAt, boolean before) implements Outcome {}

        /** Someone else was faster; these facts came in between. */
        record Conflict(List<Entry> since) implements Outcome {}

        record Held(Fact fact, List<Hold> holds) implements Outcome {}

        record WrongRole(Role role) implements Outcome {}

        /** Somebody else's fact, which only they or a lead may take back. */
        record NotTheirs(String whose) implements Outcome {}

        record NoSuchJob() implements Outcome {}
    }

    /**
     * Opens a job; its id is the client's command id, so that sending twice opens one.
     *
     * @param contact how the owner can be reached; null where nobody asked
     */
    @Transactional
    public Outcome open(UUID commandId, Instant tappedAt, Fact.JobOpened fact, String contact, SignedIn who) {
        if (!who.role().mayRecord(fact)) {
            return new Outcome.WrongRole(who.role());
        }
        Entry entry = new Entry(1, happenedAt(tappedAt, Instant.MIN), who.name(), who.role(), fact);
        Projected projected = projected(plans.course(List.of(entry)), entry);
        int added = project(jdbc.sql("""
                        insert into job (id, seq, profile_id, profile_version, device, owner, fault, station, next_step,
                            waiting, needs, mishaps, grade, unrepaired, came_from, changed, opened_at, touched_at, touched_by,
                            handed_over_at)
                        values (:id, :seq, :profile, :version, :device, :owner, :fault, :station, :next,
                            :waiting, :needs, :mishaps, :grade, :unrepaired, :from, pg_current_xact_id(), :opened, :touched, :by,
                            :handed)
                        on conflict (id) do nothing"""), commandId, projected);
        if (added == 0) {
            return repeated(commandId, commandId, fact).orElseThrow(() -> Problem.commandUsedBefore(commandId));
        }
        insert(commandId, commandId, entry);
        if (contact != null && !contact.isBlank()) {
            jdbc.sql("insert into owner_contact (job_id, contact) values (:job, :contact)")
                    .param("job", commandId)
                    .param("contact", contact)
                    .update();
        }
        events.publishEvent(new Changed(commandId, 1));
        return new Outcome.Recorded(commandId, 1, entry.happenedAt(), false);
    }

    /** Whether a job of this number was handed over. */
    public boolean handedOver(long number) {
        return jdbc.sql("select exists (select 1 from job where number = :number and handed_over_at is not null)")
                .param("number", number)
                .query(Boolean.class)
                .single();
    }

    /**
     * Records a fact that nothing holds back. Everything is worked out before the job's row is touched, plans too; then one
     * statement moves the job on if it still stands where it stood.
     */
    public Outcome append(UUID jobId, Command command, SignedIn who) {
        List<Entry> journal = entries(jobId);
        if (journal.isEmpty()) {
            return new Outcome.NoSuchJob();
        }
        Optional<Outcome> before = repeated(jobId, command.commandId(), command.fact());
        if (before.isPresent()) {
            return before.get();
        }
        if (!who.role().mayRecord(command.fact())) {
            return new Outcome.WrongRole(who.role());
        }
        Entry latest = journal.get(journal.size() - 1);
        if (latest.seq() != command.expectedSeq()) {
            return conflict(journal, command);
        }
        Optional<Entry> notTheirs =
                takenBack(journal, command.fact()).filter(entry -> !who.role().mayTakeBack(entry, who.name()));
        if (notTheirs.isPresent()) {
            return new Outcome.NotTheirs(notTheirs.get().who());
        }
        Instant happenedAt = happenedAt(command.tappedAt(), latest.happenedAt());
        Course here = plans.course(journal);
        List<Hold> holds = here.at(happenedAt).holds(command.fact());
        if (!holds.isEmpty()) {
            return new Outcome.Held(command.fact(), holds);
        }
        Entry entry = new Entry(latest.seq() + 1, happenedAt, who.name(), who.role(), command.fact());
        journal.add(entry);
        Projected projected = projected(plans.course(journal), entry);
        List<Timer> running = running(here.state());
        return transactions.execute(status -> moveOn(jobId, command, projected, running));
    }

    private Outcome moveOn(UUID jobId, Command command, Projected projected, List<Timer> runningBefore) {
        Entry entry = projected.entry();
        int moved = project(jdbc.sql("""
                        update job set seq = :seq, station = :station, next_step = :next, waiting = :waiting,
                            needs = :needs, mishaps = :mishaps, grade = :grade, unrepaired = :unrepaired,
                            came_from = :from, changed = pg_current_xact_id(),
                            touched_at = :touched, touched_by = :by, handed_over_at = :handed
                        where id = :id and seq = :expected""").param("expected", command.expectedSeq()), jobId, projected);
        if (moved == 0) {
            return repeated(jobId, command.commandId(), command.fact())
                    .orElseGet(() -> conflict(entries(jobId), command));
        }
        insert(jobId, command.commandId(), entry);
        if (!running(projected.course().state()).equals(runningBefore)) {
            projectTimers(jobId, projected.course().state());
        }
        events.publishEvent(new Changed(jobId, entry.seq()));
        return new Outcome.Recorded(jobId, entry.seq(), entry.happenedAt(), false);
    }

    private static Outcome conflict(List<Entry> journal, Command command) {
        return new Outcome.Conflict(journal.stream()
                .filter(entry -> entry.seq() > command.expectedSeq())
                .toList());
    }

    /**
     * For what the server itself puts together with something else it stores: after whatever fact is the latest, inside
     * the caller's transaction.
     *
     * @param first runs unless the command was recorded before; what it throws keeps everything as it was
     */
    @Transactional
    public Outcome appendNow(UUID jobId, UUID commandId, Fact fact, SignedIn who, Runnable first) {
        Optional<Long> seq = jdbc.sql("select seq from job where id = :id for update")
                .param("id", jobId)
                .query(Long.class)
                .optional();
        if (seq.isEmpty()) {
            return new Outcome.NoSuchJob();
        }
        if (repeated(jobId, commandId, fact).isEmpty()) {
            first.run();
        }
        return append(jobId, new Command(commandId, seq.get(), null, fact), who);
    }

    private static Optional<Entry> takenBack(List<Entry> journal, Fact fact) {
        return fact instanceof Fact.Undone undo
                ? journal.stream().filter(entry -> entry.seq() == undo.seq()).findFirst()
                : Optional.empty();
    }

    /**
     * What became of a command that was sent before.
     *
     * @throws Problem when its id stands for something else: another fact, or one of another job
     */
    private Optional<Outcome> repeated(UUID jobId, UUID commandId, Fact fact) {
        return jdbc.sql("""
                        select j.job_id, j.seq, j.happened_at, j.fact, o.words from journal j
                        left join owner_words o on o.job_id = j.job_id and o.seq = j.seq
                        where j.command_id = :command""")
                .param("command", commandId)
                .query((row, n) -> {
                    boolean same = jobId.equals(row.getObject("job_id", UUID.class))
                            && sameWish(fact(row.getString("fact"), row.getString("words")), fact);
                    if (!same) {
                        throw Problem.commandUsedBefore(commandId);
                    }
                    return (Outcome) new Outcome.Recorded(jobId, row.getLong("seq"), instant(row, "happened_at"), true);
                })
                .optional();
    }

    /** Whether the same was asked for: what the app itself fills in may have changed since. */
    private static boolean sameWish(Fact recorded, Fact given) {
        if (recorded instanceof Fact.JobOpened r && given instanceof Fact.JobOpened g) {
            return r.equals(new Fact.JobOpened(g.profileId(), r.profileVersion(), g.variantId(), g.owner(), g.fault()));
        } else if (recorded instanceof PartsFact.PartReserved r && given instanceof PartsFact.PartReserved g) {
            return r.stockId().equals(g.stockId());
        }
        return recorded.equals(given);
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
        ObjectNode fact = json.readValue(json.writerFor(Fact.class).writeValueAsString(entry.fact()), ObjectNode.class);
        // A sign-off says whole the fact it is for.
        boolean signOff = entry.fact() instanceof Fact.HoldOverridden;
        ObjectNode naming = signOff ? (ObjectNode) fact.get(HELD) : fact;
        String personal =
                PERSONAL.get((signOff ? ((Fact.HoldOverridden) entry.fact()).held() : entry.fact()).getClass());
        if (personal != null) {
            jdbc.sql("insert into owner_words (job_id, seq, words) values (:job, :seq, :words)")
                    .param("job", jobId)
                    .param("seq", entry.seq())
                    .param("words", naming.get(personal).asString())
                    .update();
            naming.put(personal, KEPT_APART);
        }
        int added = jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, :seq, :command, :happened, :who, :role, cast(:fact as jsonb))
                        on conflict (command_id) do nothing""")
                .param("job", jobId)
                .param("seq", entry.seq())
                .param("command", commandId)
                .param("happened", at(entry.happenedAt()))
                .param("who", entry.who())
                .param("role", entry.role().name())
                .param("fact", json.writeValueAsString(fact))
                .update();
        if (added == 0) {
            // Another job was given the same id in this very moment.
            throw Problem.commandUsedBefore(commandId);
        }
    }

    /** What lists and searches are told of a job once an entry is in its journal. */
    private record Projected(Course course, Entry entry, Optional<Step> next) {}

    private static Projected projected(Course course, Entry entry) {
        return new Projected(course, entry, Course.next(course.steps()));
    }

    private static int project(JdbcClient.StatementSpec statement, UUID jobId, Projected projected) {
        Course course = projected.course();
        Entry entry = projected.entry();
        Optional<Step> next = projected.next();
        JobState state = course.state();
        return statement
                .param("id", jobId)
                .param("seq", entry.seq())
                .param("profile", state.opened().profileId())
                .param("version", state.opened().profileVersion())
                .param("device", course.profile().name())
                .param("owner", state.opened().owner())
                .param("fault", state.opened().fault())
                .param("station", next.map(Step::station).orElse(Station.PROVE).name())
                .param("next", next.map(Step::title).orElse(null))
                .param("waiting", next.map(step -> step.waitsFor() != null).orElse(false))
                .param("needs", needs(next).name())
                .param("mishaps", state.mishaps().size())
                .param(
                        "grade",
                        state.repair()
                                .map(Fact.RepairAgreed::grade)
                                .map(Grade::name)
                                .orElse(null))
                .param("unrepaired", state.notWorthIt().isPresent())
                .param("from", state.cameFrom().orElse(null), Types.BIGINT)
                .param("opened", at(state.openedAt()))
                .param("touched", at(entry.happenedAt()))
                .param("by", entry.who())
                .param("handed", state.handedOverAt().map(Journal::at).orElse(null))
                .update();
    }

    /** Whose hands the next step waits for; a job that is done waits for nobody's and says so elsewhere. */
    private static Role needs(Optional<Step> next) {
        return next.flatMap(step -> step.choices().stream().findFirst())
                .map(choice -> Role.first(choice.fact()))
                .orElse(Role.DESK);
    }

    private static List<Timer> running(JobState state) {
        return state.timers().stream().filter(Timer::running).toList();
    }

    private void projectTimers(UUID jobId, JobState state) {
        jdbc.sql("delete from running_timer where job_id = :job")
                .param("job", jobId)
                .update();
        for (Timer timer : running(state)) {
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

    public Optional<Long> number(UUID jobId) {
        return jdbc.sql("select number from job where id = :id")
                .param("id", jobId)
                .query(Long.class)
                .optional();
    }

    /** The whole journal of a job in order; empty when there is no such job. */
    public List<Entry> entries(UUID jobId) {
        return new ArrayList<>(jdbc.sql("""
                        select j.seq, j.happened_at, j.who, j.role, j.fact, o.words from journal j
                        left join owner_words o on o.job_id = j.job_id and o.seq = j.seq
                        where j.job_id = :job order by j.seq""")
                .param("job", jobId)
                .query((row, n) -> new Entry(
                        row.getLong("seq"),
                        instant(row, "happened_at"),
                        row.getString("who"),
                        Role.valueOf(row.getString("role")),
                        fact(row.getString("fact"), row.getString("words"))))
                .list());
    }

    /** Puts an owner's words back in their place; once erased there are none. */
    private Fact fact(String text, String words) {
        if (!text.contains(KEPT_APART)) {
            return json.readValue(text, Fact.class);
        }
        ObjectNode tree = json.readValue(text, ObjectNode.class);
        ObjectNode naming = tree.get(HELD) instanceof ObjectNode held ? held : tree;
        for (String field : PERSONAL.values()) {
            if (naming.has(field) && KEPT_APART.equals(naming.get(field).asString())) {
                naming.put(field, words == null ? ERASED : words);
            }
        }
        return json.treeToValue(tree, Fact.class);
    }

    private static Instant instant(ResultSet row, String column) throws SQLException {
        return row.getObject(column, OffsetDateTime.class).toInstant();
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }
}
