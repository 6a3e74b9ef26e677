package ridgefall.app.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import ridgefall.app.http.Problem;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.profile.DeviceProfile;

/**
 * Jobs as their journals tell them. A journal only grows, so this node keeps how far it has read one and reads on from
 * there; once an owner's words are erased it reads anew.
 */
@Repository
public class Jobs {
    private static final int KEPT = 500;

    private final Cache<UUID, Known> known =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    private final JdbcClient jdbc;
    private final JournalRows rows;
    private final Plans plans;
    private final Clock clock;

    Jobs(JdbcClient jdbc, JournalRows rows, Plans plans, Clock clock) {
        this.jdbc = jdbc;
        this.rows = rows;
        this.plans = plans;
        this.clock = clock;
    }

    /** @param erasedAt when the owner's words went that it was read without; null while they are there */
    private record Known(Course course, OffsetDateTime erasedAt) {
        long seq() {
            return course.state().seq();
        }
    }

    /** @param number what people call it by */
    public record Job(long number, Course course) {}

    private record Row(long number, long seq, OffsetDateTime erasedAt) {}

    /**
     * A job as it is now.
     *
     * @throws Problem when there is none of this id
     */
    public Job job(UUID jobId) {
        Row row = row(jobId).orElseThrow(() -> Problem.unknownJob(jobId));
        return new Job(row.number, upTo(jobId, row).at(clock.instant()));
    }

    public Course course(UUID jobId) {
        return job(jobId).course;
    }

    public DeviceProfile profile(UUID jobId) {
        return course(jobId).profile();
    }

    /** Whether a job of this number was handed over. */
    boolean handedOver(long number) {
        return jdbc.sql("select exists (select 1 from job where number = :number and handed_over_at is not null)")
                .param("number", number)
                .query(Boolean.class)
                .single();
    }

    /**
     * A job as it stood at its latest fact: as far as this node knows where that is what is asked for, else as far as it
     * is written. Whoever adds to it finds out whether that was all.
     */
    Optional<Course> asFarAs(UUID jobId, long seq) {
        Known at = known.getIfPresent(jobId);
        return at != null && at.seq() == seq ? Optional.of(at.course) : written(jobId);
    }

    /** As far as it is written. */
    Optional<Course> written(UUID jobId) {
        return row(jobId).map(row -> upTo(jobId, row));
    }

    /** It has grown by what this node itself has written, unless it was read anew meanwhile, such as without its owner. */
    void grown(UUID jobId, Course here, Course there) {
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            known.asMap().computeIfPresent(jobId, (id, at) -> at.course == here ? new Known(there, at.erasedAt) : at);
        }
    }

    private Optional<Row> row(UUID jobId) {
        return jdbc.sql("select number, seq, owner_erased_at from job where id = :id")
                .param("id", jobId)
                .query((row, n) -> new Row(
                        row.getLong("number"),
                        row.getLong("seq"),
                        row.getObject("owner_erased_at", OffsetDateTime.class)))
                .optional();
    }

    private Course upTo(UUID jobId, Row row) {
        Known at = known.getIfPresent(jobId);
        boolean usable = at != null
                && at.seq() <= row.seq
                && (at.erasedAt == null ? row.erasedAt == null : at.erasedAt.equals(row.erasedAt));
        if (usable && at.seq() == row.seq) {
            return at.course;
        }
        List<Entry> more = rows.after(jobId, usable ? at.seq() : 0);
        Course course = usable ? at.course : plans.course(more);
        for (Entry entry : usable ? more : List.<Entry>of()) {
            course = course.with(entry);
        }
        keep(jobId, new Known(course, row.erasedAt));
        return course;
    }

    /** What a transaction sees that may still come to nothing is not kept. */
    private void keep(UUID jobId, Known one) {
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            known.put(jobId, one);
        }
    }

    /** Whether there is one by this id. */
    public boolean there(UUID jobId) {
        return written(jobId).isPresent();
    }

    /** Whether there is one at all. */
    public boolean any() {
        return jdbc.sql("select exists (select 1 from job)")
                .query(Boolean.class)
                .single();
    }
}
