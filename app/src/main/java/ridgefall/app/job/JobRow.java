package ridgefall.app.job;

import static ridgefall.app.job.JournalRows.at;

import java.sql.Types;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.core.simple.JdbcClient.StatementSpec;
import org.springframework.stereotype.Repository;
import ridgefall.core.damage.DamageState;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.decide.DecideState;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact.JobOpened;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Grade;
import ridgefall.core.prove.ProveState;

/** Where a job stands, in one row for lists and searches. Its number is what the next append has to expect. */
@Repository
class JobRow implements Projector {
    /** Sets what a fact can change; {@code where} and the number are for whoever moves it on. */
    static final String SET = """
            station = :station, next_step = :next, waiting = :waiting, needs = :needs, mishaps = :mishaps,
            grade = :grade, unrepaired = :unrepaired, came_from = :from, changed = pg_current_xact_id(),
            touched_at = :touched, touched_by = :by, handed_over_at = :handed, waits_for = :waitsFor,
            part_due = :due, promised_on = :promised, heard_back_at = :heard""";

    private final JdbcClient jdbc;

    JobRow(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public String name() {
        return "job";
    }

    @Override
    public int version() {
        return 2;
    }

    /** It goes along with every fact, in the same statement. */
    @Override
    public boolean concerns(JobState here, JobState there) {
        return false;
    }

    /** False where a job of this id is there already. */
    boolean add(UUID jobId, Course course) {
        JobOpened opened = IntakeState.of(course.state()).opened();
        StatementSpec statement = jdbc.sql("""
                        insert into job (id, seq, profile_id, profile_version, device, owner, fault, opened_at,
                            station, next_step, waiting, needs, mishaps, grade, unrepaired, came_from, changed,
                            touched_at, touched_by, handed_over_at, waits_for, part_due, promised_on, heard_back_at)
                        values (:id, :seq, :profile, :version, :device, :owner, :fault, :opened,
                            :station, :next, :waiting, :needs, :mishaps, :grade, :unrepaired, :from, pg_current_xact_id(),
                            :touched, :by, :handed, :waitsFor, :due, :promised, :heard)
                        on conflict (id) do nothing""")
                .param("id", jobId)
                .param("seq", course.state().seq())
                .param("profile", opened.profileId())
                .param("version", opened.profileVersion())
                .param("device", course.profile().name())
                .param("owner", opened.owner())
                .param("fault", opened.fault())
                .param("opened", at(IntakeState.of(course.state()).openedAt()));
        return tell(statement, course).update() > 0;
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        tell(
                        jdbc.sql("update job set device = :device, " + SET + " where id = :id")
                                .param("id", jobId)
                                .param("device", course.profile().name()),
                        course)
                .update();
    }

    /** Fills in what {@link #SET} names. */
    static StatementSpec tell(StatementSpec statement, Course course) {
        JobState state = course.state();
        Entry latest = course.journal().get(course.journal().size() - 1);
        Optional<Step> next = course.next();
        DecideState agreed = DecideState.of(state);
        return statement
                .param("station", next.map(Step::station).orElse(Station.PROVE).name())
                .param("next", next.map(Step::title).orElse(null))
                .param("waiting", next.map(step -> step.waitsFor() != null).orElse(false))
                .param("needs", needs(next).name())
                .param("mishaps", DamageState.of(state).mishaps().size())
                .param(
                        "grade",
                        agreed.repair()
                                .map(RepairAgreed::grade)
                                .map(Grade::name)
                                .orElse(null))
                .param("unrepaired", agreed.notWorthIt().isPresent())
                .param("from", cameFrom(state), Types.BIGINT)
                .param("waitsFor", Course.waitsFor(next).name())
                .param("due", PartsState.of(state).latestDue().orElse(null), Types.DATE)
                .param("promised", IntakeState.of(state).promisedOn().orElse(null), Types.DATE)
                .param("touched", at(latest.happenedAt()))
                .param("by", latest.who())
                .param(
                        "handed",
                        ProveState.of(state).handedOverAt().map(JournalRows::at).orElse(null))
                .param(
                        "heard",
                        ProveState.of(state)
                                .heardBack()
                                .map(heard -> at(heard.at()))
                                .orElse(null));
    }

    /** A number of another book says nothing here. */
    private static Long cameFrom(JobState state) {
        IntakeState intake = IntakeState.of(state);
        return intake.broughtIn() == null ? intake.cameFrom().orElse(null) : null;
    }

    /** Whose hands the next step waits for; a job that is done waits for nobody's and says so elsewhere. */
    private static Role needs(Optional<Step> next) {
        return next.flatMap(step -> step.choices().stream().findFirst())
                .map(choice -> choice.fact().by())
                .orElse(Role.DESK);
    }
}
