package ridgefall.app.job;

import static ridgefall.app.job.JournalRows.at;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;

/** The soaks that run, of all jobs. */
@Repository
class SourcesTaken implements Projector {
    private final JdbcClient jdbc;

    SourcesTaken(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Not kept for a moment: whoever lays a device on is to know at once. */
    List<SourceTaken> all() {
        return jdbc.sql("""
                        select source_id, number, device, since, free_at
                        from source_taken join job on job.id = job_id
                        where handed_over_at is null order by since desc""")
                .query((row, nth) -> new SourceTaken(
                        row.getString("source_id"),
                        "job " + row.getLong("number") + ", " + row.getString("device"),
                        row.getObject("since", OffsetDateTime.class).toInstant(),
                        row.getObject("free_at", OffsetDateTime.class).toInstant()))
                .list();
    }

    @Override
    public String name() {
        return "source_taken";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !HeatState.of(here).runningSoak().equals(HeatState.of(there).runningSoak());
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        jdbc.sql("delete from source_taken where job_id = :job")
                .param("job", jobId)
                .update();
        HeatState.of(course.state())
                .runningSoak()
                .filter(soak -> IntakeState.of(course.state()).here(soak.startedAt()))
                .ifPresent(soak -> jdbc.sql("""
                                insert into source_taken (job_id, source_id, since, free_at)
                                values (:job, :source, :since, :free)""")
                        .param("job", jobId)
                        .param("source", soak.sourceId())
                        .param("since", at(soak.startedAt()))
                        .param("free", at(soak.startedAt().plusSeconds(soak.seconds())))
                        .update());
    }
}
