package ridgefall.app.job;

import static ridgefall.app.job.JournalRows.at;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.http.Problem;
import ridgefall.app.job.StoredFacts.Stored;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.Role;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.units.NotAllowed;

/**
 * The append-only journal in PostgreSQL. An append asks the core and then moves the job on from the expected number,
 * adding the fact and renewing the projections in the same breath. A crash leaves all of it or none. Screens are told once
 * it is committed. What is refused is looked up first: a repeated command answers as the first did.
 */
@Repository
public class Journal {
    /** A tap that waited for the line longer than this is dated when it arrives. */
    private static final Duration OLDEST_TAP = Duration.ofHours(12);

    /** What stands where an owner's words were. */
    public static final String ERASED = StoredFacts.ERASED;

    private static final String INSERT = """
            insert into journal (job_id, seq, command_id, happened_at, who, role, fact)""";

    private final JdbcClient jdbc;
    private final JournalRows rows;
    private final StoredFacts facts;
    private final Jobs jobs;
    private final JobRow jobRow;
    private final List<Projector> projectors;
    private final List<Witness> witnesses;
    private final Plans plans;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;

    Journal(
            JdbcClient jdbc,
            JournalRows rows,
            StoredFacts facts,
            Jobs jobs,
            JobRow jobRow,
            List<Projector> projectors,
            List<Witness> witnesses,
            Plans plans,
            Clock clock,
            TransactionTemplate transactions,
            ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.rows = rows;
        this.facts = facts;
        this.jobs = jobs;
        this.jobRow = jobRow;
        this.projectors = projectors;
        this.witnesses = witnesses;
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
    public Outcome open(UUID commandId, Instant tappedAt, IntakeFact.JobOpened fact, String contact, SignedIn who) {
        fact.check();
        if (!who.role().mayRecord(fact)) {
            return new Outcome.WrongRole(who.role());
        }
        Entry entry = new Entry(1, happenedAt(tappedAt, Instant.MIN), who.name(), who.role(), fact);
        if (!jobRow.add(commandId, plans.course(List.of(entry)))) {
            return repeated(commandId, commandId, fact).orElseThrow(() -> Problem.commandUsedBefore(commandId));
        }
        Stored stored = facts.write(fact);
        int added = bind(
                        jdbc.sql(INSERT + " values (:job, :seq, :command, :happened, :who, :role, cast(:fact as jsonb))"
                                + " on conflict (command_id) do nothing"),
                        commandId,
                        commandId,
                        entry,
                        stored)
                .update();
        if (added == 0) {
            throw Problem.commandUsedBefore(commandId);
        }
        keepApart(commandId, 1, stored);
        if (contact != null && !contact.isBlank()) {
            jdbc.sql("insert into owner_contact (job_id, contact) values (:job, :contact)")
                    .param("job", commandId)
                    .param("contact", contact)
                    .update();
        }
        events.publishEvent(new Changed(commandId, 1));
        return new Outcome.Recorded(commandId, 1, entry.happenedAt(), false);
    }

    /**
     * Takes in a whole journal that was written elsewhere, in the caller's transaction: nothing of it is proposed, so nothing holds
     * it back. Its id is the client's command id, so that sending twice takes one in.
     *
     * @param course of the journal, the latest fact of which says where it comes from
     * @return false where a job of this id is there already
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean bringIn(UUID commandId, Course course) {
        if (!jobRow.add(commandId, course)) {
            return false;
        }
        for (Entry entry : course.journal()) {
            Stored stored = facts.write(entry.fact());
            bind(
                            jdbc.sql(INSERT
                                    + " values (:job, :seq, :command, :happened, :who, :role, cast(:fact as jsonb))"),
                            commandId,
                            UUID.randomUUID(),
                            entry,
                            stored)
                    .update();
            keepApart(commandId, entry.seq(), stored);
        }
        projectors.forEach(projector -> projector.rebuild(commandId, course));
        events.publishEvent(new Changed(commandId, course.state().seq()));
        return true;
    }

    /**
     * Records a fact that nothing holds back. Everything is worked out before the job's row is touched, plans too; then one
     * statement moves the job on if it still stands where it stood.
     */
    public Outcome append(UUID jobId, Command command, SignedIn who) {
        Optional<Course> here = jobs.asFarAs(jobId, command.expectedSeq());
        if (here.isEmpty()) {
            return new Outcome.NoSuchJob();
        }
        Outcome outcome;
        try {
            outcome = append(jobId, here.get(), command, who);
        } catch (NotAllowed refused) {
            return repeated(jobId, command.commandId(), command.fact()).orElseThrow(() -> refused);
        } catch (DuplicateKeyException used) {
            if (TransactionSynchronizationManager.isActualTransactionActive()) {
                // Another job was given the same id in this very moment.
                throw Problem.commandUsedBefore(command.commandId());
            }
            return repeated(jobId, command.commandId(), command.fact()).orElseThrow(() -> used);
        }
        return outcome instanceof Outcome.Recorded
                ? outcome
                : repeated(jobId, command.commandId(), command.fact()).orElse(outcome);
    }

    private Outcome append(UUID jobId, Course here, Command command, SignedIn who) {
        // Whose it is to record is asked of a fact that can be.
        command.fact().check();
        if (!who.role().mayRecord(command.fact())) {
            return new Outcome.WrongRole(who.role());
        }
        if (here.state().seq() != command.expectedSeq()) {
            return conflict(here, command);
        }
        Optional<Entry> notTheirs =
                takenBack(here, command.fact()).filter(entry -> !who.role().mayTakeBack(entry, who.name()));
        if (notTheirs.isPresent()) {
            return new Outcome.NotTheirs(notTheirs.get().who());
        }
        Entry latest = here.journal().get(here.journal().size() - 1);
        Instant happenedAt = happenedAt(command.tappedAt(), latest.happenedAt());
        Course then = here.at(happenedAt);
        List<Hold> holds = Stream.concat(
                        then.holds(command.fact()).stream(),
                        witnesses.stream().flatMap(witness -> witness.against(jobId, here, command.fact()).stream()))
                .toList();
        if (!holds.isEmpty()) {
            return new Outcome.Held(command.fact(), holds);
        }
        Fact fact = heard(jobId, here, then.reckoned(command.fact()));
        Entry entry = new Entry(latest.seq() + 1, happenedAt, who.name(), who.role(), fact);
        Course there = here.with(entry);
        Stored stored = facts.write(fact);
        boolean alone = stored.ownersWords().isEmpty()
                && projectors.stream().noneMatch(projector -> projector.concerns(here.state(), there.state()));
        // What comes next may have to be planned first: before a connection is held.
        JdbcClient.StatementSpec moveOn = moveOn(jobId, command, there, entry, stored);
        boolean moved = alone
                ? moveOn.update() > 0
                : Boolean.TRUE.equals(transactions.execute(
                        status -> moveOn.update() > 0 && beside(jobId, here, there, entry, stored)));
        if (!moved) {
            return conflict(jobs.written(jobId).orElseThrow(), command);
        }
        jobs.grown(jobId, here, there);
        events.publishEvent(new Changed(jobId, entry.seq()));
        return new Outcome.Recorded(jobId, entry.seq(), entry.happenedAt(), false);
    }

    private Fact heard(UUID jobId, Course here, Fact fact) {
        Fact told = fact;
        for (Witness witness : witnesses) {
            told = witness.heard(jobId, here, told);
        }
        return told;
    }

    /** Row and fact in one statement; it changes nothing where somebody was faster. */
    private JdbcClient.StatementSpec moveOn(UUID jobId, Command command, Course there, Entry entry, Stored stored) {
        return bind(
                        JobRow.tell(
                                jdbc.sql("with moved as (update job set seq = :seq, " + JobRow.SET
                                        + " where id = :job and seq = :expected returning id) " + INSERT
                                        + " select id, :seq, :command, :happened, :who, :role,"
                                        + " cast(:fact as jsonb) from moved"),
                                there),
                        jobId,
                        command.commandId(),
                        entry,
                        stored)
                .param("expected", command.expectedSeq());
    }

    private boolean beside(UUID jobId, Course here, Course there, Entry entry, Stored stored) {
        keepApart(jobId, entry.seq(), stored);
        for (Projector projector : projectors) {
            if (projector.concerns(here.state(), there.state())) {
                projector.admit(jobId, here, there);
                projector.rebuild(jobId, there);
            }
        }
        return true;
    }

    private static JdbcClient.StatementSpec bind(
            JdbcClient.StatementSpec statement, UUID jobId, UUID commandId, Entry entry, Stored stored) {
        return statement
                .param("job", jobId)
                .param("seq", entry.seq())
                .param("command", commandId)
                .param("happened", at(entry.happenedAt()))
                .param("who", entry.who())
                .param("role", entry.role().name())
                .param("fact", stored.text());
    }

    private void keepApart(UUID jobId, long seq, Stored stored) {
        stored.ownersWords()
                .ifPresent(words -> jdbc.sql("insert into owner_words (job_id, seq, words) values (:job, :seq, :words)")
                        .param("job", jobId)
                        .param("seq", seq)
                        .param("words", words)
                        .update());
    }

    private static Outcome conflict(Course there, Command command) {
        return new Outcome.Conflict(there.journal().stream()
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
        Optional<Outcome> before = repeated(jobId, commandId, fact);
        if (before.isPresent()) {
            return before.get();
        }
        first.run();
        return append(jobId, new Command(commandId, seq.get(), null, fact), who);
    }

    private static Optional<Entry> takenBack(Course here, Fact fact) {
        return fact instanceof JobFact.Undone undo
                ? here.journal().stream()
                        .filter(entry -> entry.seq() == undo.seq())
                        .findFirst()
                : Optional.empty();
    }

    /**
     * What became of a command that was sent before.
     *
     * @throws Problem when its id stands for something else: another fact, or one of another job
     */
    private Optional<Outcome> repeated(UUID jobId, UUID commandId, Fact fact) {
        return rows.recorded(commandId).map(recorded -> {
            if (!recorded.jobId().equals(jobId) || !sameWish(recorded.fact(), fact)) {
                throw Problem.commandUsedBefore(commandId);
            }
            return new Outcome.Recorded(jobId, recorded.seq(), recorded.happenedAt(), true);
        });
    }

    /** Whether the same was asked for: what the app itself fills in may have changed since. */
    private static boolean sameWish(Fact recorded, Fact given) {
        if (recorded instanceof IntakeFact.JobOpened r && given instanceof IntakeFact.JobOpened g) {
            return r.equals(
                    new IntakeFact.JobOpened(g.profileId(), r.profileVersion(), g.variantId(), g.owner(), g.fault()));
        } else if (recorded instanceof PartsFact.PartReserved r && given instanceof PartsFact.PartReserved g) {
            return r.stockId().equals(g.stockId());
        } else if (recorded instanceof JobFact.FunctionTested r && given instanceof JobFact.FunctionTested g) {
            // Where no hand gave a reason, an instrument may have.
            return r.equals(g)
                    || g.reason() == null
                            && r.equals(new JobFact.FunctionTested(g.functionId(), g.phase(), g.answer(), r.reason()));
        } else if (recorded instanceof HeatFact.SoakEnded && given instanceof HeatFact.SoakEnded) {
            return true;
        }
        return recorded.equals(given);
    }

    private Instant happenedAt(Instant tappedAt, Instant latest) {
        return happenedAt(tappedAt, latest, clock.instant());
    }

    /**
     * Taps keep their own time, but never run before the fact they follow nor ahead of the clock; where that was set back, nothing runs
     * before what it follows either.
     */
    static Instant happenedAt(Instant tappedAt, Instant latest, Instant clock) {
        Instant now = clock.truncatedTo(ChronoUnit.MILLIS);
        boolean usable = tappedAt != null
                && !tappedAt.isAfter(now)
                && !tappedAt.isBefore(latest)
                && tappedAt.isAfter(now.minus(OLDEST_TAP));
        Instant at = usable ? tappedAt.truncatedTo(ChronoUnit.MILLIS) : now;
        return at.isBefore(latest) ? latest : at;
    }
}
