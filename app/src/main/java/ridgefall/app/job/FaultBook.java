package ridgefall.app.job;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.fault.FaultCase;
import ridgefall.core.fault.FaultState;
import ridgefall.core.fault.FaultTable;
import ridgefall.core.fault.Faults;
import ridgefall.core.fault.UsualFaults;
import ridgefall.core.gate.Course;
import ridgefall.core.job.JobState;
import tools.jackson.databind.json.JsonMapper;

/** What this shop goes by where something fails: the shipped table or a lead's, and its own closed cases. */
@Repository
public class FaultBook implements Projector {
    /** Another node may have changed it; asked for by every step of every job, though. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final LoadingCache<Boolean, Faults> known =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build(any -> read());

    FaultBook(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    public Faults faults() {
        return known.get(true);
    }

    /** Who changed the table; empty where it is as shipped. */
    public Optional<String> changedBy() {
        return jdbc.sql("select changed_by from fault_table")
                .query(String.class)
                .optional();
    }

    public void change(FaultTable table, String by) {
        jdbc.sql("""
                        insert into fault_table (document, changed_by) values (cast(:document as jsonb), :by)
                        on conflict (only_one) do update
                        set document = excluded.document, changed_by = excluded.changed_by, changed_at = now()""")
                .param("document", json.writeValueAsString(table))
                .param("by", by)
                .update();
        known.invalidateAll();
    }

    /** As shipped again. */
    public void forget() {
        jdbc.sql("delete from fault_table").update();
        known.invalidateAll();
    }

    private Faults read() {
        FaultTable table = jdbc.sql("select document from fault_table")
                .query(String.class)
                .optional()
                .map(document -> json.readValue(document, FaultTable.class))
                .orElse(UsualFaults.TABLE);
        Map<String, Map<String, Double>> closed = new HashMap<>();
        jdbc.sql("select complaint, cause, sum(share) as cases from fault_case group by complaint, cause")
                .query((row, nth) -> closed.computeIfAbsent(row.getString("complaint"), any -> new HashMap<>())
                        .put(row.getString("cause"), row.getDouble("cases")))
                .list();
        return new Faults(table, closed);
    }

    @Override
    public String name() {
        return "fault_case";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !FaultState.of(here).closed().equals(FaultState.of(there).closed());
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        jdbc.sql("delete from fault_case where job_id = :job")
                .param("job", jobId)
                .update();
        FaultCase.closed(course.profile(), course.state(), faults().table())
                .forEach((complaint, causes) -> causes.forEach((cause, share) -> jdbc.sql("""
                                insert into fault_case (job_id, complaint, cause, share)
                                values (:job, :complaint, :cause, :share)""")
                        .param("job", jobId)
                        .param("complaint", complaint)
                        .param("cause", cause)
                        .param("share", share)
                        .update()));
        known.invalidateAll();
    }
}
