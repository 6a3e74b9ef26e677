package ridgefall.app.carry;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.job.Projector;
import ridgefall.core.carry.CarryState;
import ridgefall.core.carry.CopyFact.CopyBegun;
import ridgefall.core.carry.CopyFact.Doing;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;

/**
 * What programmers are to do and do, of all jobs: made of the journals, so that nothing that was begun is forgotten. A node
 * takes a run for as long as it tells how far it is; one that stopped telling has died, and the run with it. Times are the
 * database's own.
 */
@Repository
class CopyRuns implements Projector {
    /** A node that stalls for one answer of a programmer keeps its run. */
    static final Duration LASTS = Duration.ofSeconds(8);

    private static final String RUN =
            "select job_id, part_id, seq, doing, begun_at < now() - interval '20 s' as old from copy_run where ";

    private final UUID node = UUID.randomUUID();
    private final JdbcClient jdbc;

    CopyRuns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What is under way in a run. */
    enum Stage {
        READING("reads the old front"),
        KEEPING("reads what the new front holds, to keep it"),
        WRITING("writes"),
        READING_BACK("reads back");

        private final String words;

        Stage(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * @param seq of the fact that began it
     * @param old whether it was asked for so long ago that whoever began it has looked away since
     */
    record Run(UUID jobId, String partId, long seq, Doing doing, boolean old) {}

    /** @param programmer null while none was found yet */
    record Progress(Stage stage, int done, int total, String programmer) {}

    @Override
    public String name() {
        return "copy_run";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !CarryState.of(here).copies().equals(CarryState.of(there).copies());
    }

    /** What goes on already goes on: only the fact that began it may have changed. */
    @Override
    public void rebuild(UUID jobId, Course course) {
        List<String> running = CarryState.of(course.state()).copies().entrySet().stream()
                .filter(copy -> copy.getValue().running() != null)
                .map(Map.Entry::getKey)
                // What another bench's programmer had begun is not begun anew by itself.
                .filter(partId -> IntakeState.of(course.state())
                        .here(begun(course, partId).happenedAt()))
                .toList();
        jdbc.sql("delete from copy_run where job_id = :job and part_id <> all(:running)")
                .param("job", jobId)
                .param("running", running.toArray(String[]::new))
                .update();
        for (String partId : running) {
            Entry begun = begun(course, partId);
            jdbc.sql("""
                            insert into copy_run (job_id, part_id, seq, doing, begun_at)
                            values (:job, :part, :seq, :doing, :at) on conflict (job_id, part_id) do nothing""")
                    .param("job", jobId)
                    .param("part", partId)
                    .param("seq", begun.seq())
                    .param(
                            "doing",
                            CarryState.of(course.state()).copy(partId).running().name())
                    .param("at", begun.happenedAt().atOffset(ZoneOffset.UTC))
                    .update();
        }
    }

    /** The fact that began what runs. */
    static Entry begun(Course course, String partId) {
        return course.journal().stream()
                .filter(entry -> entry.fact() instanceof CopyBegun begun
                        && begun.partId().equals(partId))
                .reduce((before, after) -> after)
                .orElseThrow();
    }

    /** Those that nobody has taken. */
    List<Run> untaken() {
        return runs("node is null");
    }

    /** Those whose node has died. */
    List<Run> forsaken() {
        return runs("until < now()");
    }

    private List<Run> runs(String which) {
        return jdbc.sql(RUN + which).query(CopyRuns::run).list();
    }

    private static Run run(ResultSet row, int number) throws SQLException {
        return new Run(
                row.getObject("job_id", UUID.class),
                row.getString("part_id"),
                row.getLong("seq"),
                Doing.valueOf(row.getString("doing")),
                row.getBoolean("old"));
    }

    /** @return false where another node was faster, or it has ended */
    boolean take(Run run) {
        return about(
                                run,
                                "node = :node, until = now() + make_interval(secs => :lasts)",
                                "(node is null or until < now())")
                        .param("lasts", LASTS.toSeconds())
                        .update()
                > 0;
    }

    /** @return false where another run has it */
    boolean takes(Run run, String programmerId) {
        try {
            return about(run, "programmer_id = :programmer", "node = :node")
                            .param("programmer", programmerId)
                            .update()
                    > 0;
        } catch (DuplicateKeyException taken) {
            return false;
        }
    }

    /** @return false where it was stopped meanwhile, or is no longer this node's */
    boolean told(Run run, Stage stage, int done, int total) {
        return about(
                                run,
                                "stage = :stage, done = :done, total = :total, until = now() + make_interval(secs => :lasts)",
                                "node = :node")
                        .param("stage", stage.name())
                        .param("done", done)
                        .param("total", total)
                        .param("lasts", LASTS.toSeconds())
                        .update()
                > 0;
    }

    /** Nobody does it any more, though the journal never heard how it ended. */
    void forget(Run run) {
        jdbc.sql("delete from copy_run where job_id = :job and part_id = :part and seq = :seq")
                .param("job", run.jobId())
                .param("part", run.partId())
                .param("seq", run.seq())
                .update();
    }

    private JdbcClient.StatementSpec about(Run run, String set, String where) {
        return jdbc.sql("update copy_run set " + set + " where job_id = :job and part_id = :part and seq = :seq and "
                        + where)
                .param("job", run.jobId())
                .param("part", run.partId())
                .param("seq", run.seq())
                .param("node", node);
    }

    /** How far a job's copy of a part is; empty where none runs, or none has been taken. */
    Optional<Progress> progress(UUID jobId, String partId) {
        return jdbc.sql("""
                        select r.stage, r.done, r.total, p.name from copy_run r left join programmer p on p.id = r.programmer_id
                        where r.job_id = :job and r.part_id = :part and r.stage is not null""")
                .param("job", jobId)
                .param("part", partId)
                .query((row, n) -> new Progress(
                        Stage.valueOf(row.getString("stage")),
                        row.getInt("done"),
                        row.getInt("total"),
                        row.getString("name")))
                .optional();
    }

    /** The job that a programmer works for right now. */
    Optional<Run> on(String programmerId) {
        return jdbc.sql(RUN + "programmer_id = :programmer")
                .param("programmer", programmerId)
                .query(CopyRuns::run)
                .optional();
    }
}
