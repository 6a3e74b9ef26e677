package ridgefall.app.job;

import static ridgefall.app.job.JournalRows.at;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.gate.Course;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Timer;

/** The clocks that run, of all jobs. */
@Repository
class RunningTimers implements Projector {
    private final JdbcClient jdbc;

    RunningTimers(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public String name() {
        return "running_timer";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !there.running().equals(here.running());
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        jdbc.sql("delete from running_timer where job_id = :job")
                .param("job", jobId)
                .update();
        for (Timer timer : course.state().running()) {
            jdbc.sql("""
                            insert into running_timer (job_id, seq, timer_id, kind, words, started_at, seconds)
                            values (:job, :seq, :timer, :kind, :words, :started, :seconds)""")
                    .param("job", jobId)
                    .param("seq", timer.seq())
                    .param("timer", timer.id())
                    .param("kind", timer.kind())
                    .param("words", Course.clock(timer.kind()).words())
                    .param("started", at(timer.startedAt()))
                    .param("seconds", timer.seconds())
                    .update();
        }
    }
}
