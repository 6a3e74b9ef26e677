package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Projections;
import ridgefall.core.job.Role;

/** Lists and searches are made from the journals and can be made from them again. */
@ExtendWith(RunningApp.class)
class ProjectionsTest {
    private final JdbcClient jdbc;
    private final Projections projections;
    private final Client ansa;

    ProjectionsTest(App app) {
        this.jdbc = app.bean(JdbcClient.class);
        this.projections = app.bean(Projections.class);
        this.ansa = app.signedIn(Role.TECHNICIAN);
    }

    private List<Map<String, Object>> jobs() {
        return jdbc.sql("""
                        select id, seq, device, owner, station, next_step, waiting, needs, mishaps, grade, unrepaired, came_from,
                            opened_at, touched_at, touched_by, handed_over_at from job order by id""").query().listOfRows();
    }

    private List<Map<String, Object>> timers() {
        return jdbc.sql("select * from running_timer order by job_id, seq")
                .query()
                .listOfRows();
    }

    @Test
    void madeAnewTheyAreWhatTheyWereAndWhatWasBrokenIsMended() {
        UUID job = ansa.openJob();
        ansa.append(job, 1, Map.of("type", "MishapSeen", "mishap", "SLIP", "positionMm", 20));
        projections.rebuild();
        List<Map<String, Object>> jobs = jobs();
        List<Map<String, Object>> timers = timers();
        jdbc.sql(
                        "update job set station = 'PROVE', next_step = 'nonsense', mishaps = 77, waiting = true where id = :job")
                .param("job", job)
                .update();
        jdbc.sql("delete from running_timer").update();
        Projections.Rebuilt rebuilt = projections.rebuild();
        assertThat(rebuilt.jobs()).isPositive();
        assertThat(jobs()).isEqualTo(jobs);
        assertThat(timers()).isEqualTo(timers);
        assertThat(jobs.stream().filter(row -> row.get("id").equals(job)).findFirst())
                .hasValueSatisfying(row -> assertThat(row)
                        .containsEntry("station", "INTAKE")
                        .containsEntry("next_step", "Front glass")
                        .containsEntry("mishaps", 1));
    }

    @Test
    void whatAnotherVersionMadeIsKnownUntilItIsMadeAnew() {
        assertThat(projections.outdated()).isEmpty();
        jdbc.sql("update projection set version = 0 where name = 'running_timer'")
                .update();
        assertThat(projections.outdated()).containsExactly("running_timer");
        projections.rebuild();
        assertThat(projections.outdated()).isEmpty();
    }
}
