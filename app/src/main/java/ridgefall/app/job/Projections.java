package ridgefall.app.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact.JobOpened;
import ridgefall.core.job.Entry;

/** What is made from the journals can be made again from them, job by job, while the bench goes on. */
@Repository
public class Projections {
    private static final int AT_ONCE = 100;

    private final JdbcClient jdbc;
    private final JournalRows rows;
    private final Plans plans;
    private final List<Projector> projectors;
    private final TransactionTemplate transactions;

    Projections(
            JdbcClient jdbc,
            JournalRows rows,
            Plans plans,
            List<Projector> projectors,
            TransactionTemplate transactions) {
        this.jdbc = jdbc;
        this.rows = rows;
        this.plans = plans;
        this.projectors = projectors;
        this.transactions = transactions;
    }

    /** @param skipped jobs that a newer version has opened */
    public record Rebuilt(int jobs, int skipped) {}

    /** Names of projectors whose version is not the one that made what is there. */
    public List<String> outdated() {
        Map<String, Integer> made = new HashMap<>();
        jdbc.sql("select name, version from projection").query(row -> {
            made.put(row.getString("name"), row.getInt("version"));
        });
        return projectors.stream()
                .filter(projector -> !Integer.valueOf(projector.version()).equals(made.get(projector.name())))
                .map(Projector::name)
                .toList();
    }

    /** Makes all of it anew. Stopped half-way it harms nothing, and begins again the next time. */
    public Rebuilt rebuild() {
        int done = 0;
        int skipped = 0;
        UUID last = new UUID(0, 0);
        while (true) {
            List<UUID> some = jdbc.sql("select id from job where id > :last order by id limit :most")
                    .param("last", last)
                    .param("most", AT_ONCE)
                    .query(UUID.class)
                    .list();
            if (some.isEmpty()) {
                break;
            }
            for (Map.Entry<UUID, List<Entry>> journal : rows.of(some).entrySet()) {
                boolean told = journal.getValue().get(0).fact() instanceof JobOpened;
                if (told) {
                    rebuild(journal.getKey(), journal.getValue());
                    done++;
                } else {
                    skipped++;
                }
            }
            last = some.get(some.size() - 1);
        }
        for (Projector projector : projectors) {
            jdbc.sql("""
                            insert into projection (name, version) values (:name, :version)
                            on conflict (name) do update set version = excluded.version""")
                    .param("name", projector.name())
                    .param("version", projector.version())
                    .update();
        }
        return new Rebuilt(done, skipped);
    }

    /** Worked out before the row is held; what was added meanwhile is read then. */
    private void rebuild(UUID jobId, List<Entry> journal) {
        Course read = plans.course(journal);
        transactions.executeWithoutResult(status -> {
            long seq = jdbc.sql("select seq from job where id = :id for update")
                    .param("id", jobId)
                    .query(Long.class)
                    .single();
            Course course = read;
            if (course.state().seq() < seq) {
                for (Entry entry : rows.after(jobId, course.state().seq())) {
                    course = course.with(entry);
                }
            }
            for (Projector projector : projectors) {
                projector.rebuild(jobId, course);
            }
        });
    }
}
