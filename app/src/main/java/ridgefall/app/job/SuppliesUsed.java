package ridgefall.app.job;

import static ridgefall.app.job.JournalRows.at;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.tools.Supplies;
import ridgefall.core.bond.BondState;
import ridgefall.core.bond.BondState.Used;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;

/** What of the shelf went into which job. */
@Repository
class SuppliesUsed implements Projector {
    private final JdbcClient jdbc;
    private final Supplies supplies;

    SuppliesUsed(JdbcClient jdbc, Supplies supplies) {
        this.jdbc = jdbc;
        this.supplies = supplies;
    }

    @Override
    public String name() {
        return "supply_use";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !BondState.of(here).used().equals(BondState.of(there).used());
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        jdbc.sql("delete from supply_use where job_id = :job")
                .param("job", jobId)
                .update();
        List<Used> used = BondState.of(course.state()).used().stream()
                .filter(one -> IntakeState.of(course.state()).here(one.at()))
                .toList();
        for (int nth = 0; nth < used.size(); nth++) {
            jdbc.sql("""
                            insert into supply_use (job_id, nth, supply_id, amount, at)
                            values (:job, :nth, :supply, :amount, :at)""")
                    .param("job", jobId)
                    .param("nth", nth)
                    .param("supply", used.get(nth).supplyId())
                    .param("amount", used.get(nth).amount())
                    .param("at", at(used.get(nth).at()))
                    .update();
        }
        supplies.used();
    }
}
