package ridgefall.app.instrument;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.Measured;

/** What instruments said while a device lay on a source. Rows are only ever added. */
@Repository
public class Readings {
    /** One reading a surface in this time moves a forecast; closer ones say the same again. */
    private static final Duration APART = Duration.ofSeconds(30);

    /** Of a probe taped on: what it touches is not quite what the model calls that surface. */
    private static final double SIGMA_K = 1.5;

    private final JdbcClient jdbc;

    Readings(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param surface FRAME or GLASS of the device, or SOURCE for the source's own face */
    public record Reading(String instrument, String surface, Instant readAt, double celsius) {}

    /** A device that lies on a source right now. */
    record Soaking(UUID jobId, long soakSeq, Instant startedAt) {}

    /** The latest soak that runs on a source. */
    Optional<Soaking> soakingOn(String sourceId) {
        return jdbc.sql("""
                        select t.job_id, t.seq, t.started_at from running_timer t
                        join journal j on j.job_id = t.job_id and j.seq = t.seq
                        where t.kind = 'SOAK' and j.fact ->> 'sourceId' = :source order by t.started_at desc limit 1""")
                .param("source", sourceId)
                .query((row, number) -> new Soaking(
                        row.getObject("job_id", UUID.class),
                        row.getLong("seq"),
                        row.getObject("started_at", OffsetDateTime.class).toInstant()))
                .optional();
    }

    public void add(UUID jobId, long soakSeq, Reading reading) {
        jdbc.sql("""
                        insert into reading (job_id, soak_seq, instrument, surface, read_at, celsius)
                        values (:job, :soak, :instrument, :surface, :at, :celsius)""")
                .param("job", jobId)
                .param("soak", soakSeq)
                .param("instrument", reading.instrument())
                .param("surface", reading.surface())
                .param("at", reading.readAt().atOffset(ZoneOffset.UTC))
                .param("celsius", reading.celsius())
                .update();
    }

    /** All of them or none. */
    @Transactional
    public void addAll(UUID jobId, long soakSeq, List<Reading> readings) {
        readings.forEach(reading -> add(jobId, soakSeq, reading));
    }

    /** Of one soak, in the order they came. */
    public List<Reading> of(UUID jobId, long soakSeq) {
        return jdbc.sql("""
                        select instrument, surface, read_at, celsius from reading
                        where job_id = :job and soak_seq = :soak order by id""")
                .param("job", jobId)
                .param("soak", soakSeq)
                .query((row, number) -> new Reading(
                        row.getString("instrument"),
                        row.getString("surface"),
                        row.getObject("read_at", OffsetDateTime.class).toInstant(),
                        row.getDouble("celsius")))
                .list();
    }

    /** What thermometers on the device said, for the fit. */
    public List<Measured> measured(UUID jobId, long soakSeq, Instant startedAt) {
        return of(jobId, soakSeq).stream()
                .filter(reading -> !reading.surface().equals("SOURCE"))
                .map(reading -> new Measured(
                        Duration.between(startedAt, reading.readAt()).toMillis() / 1000.0,
                        Surface.valueOf(reading.surface()),
                        reading.celsius(),
                        SIGMA_K))
                .toList();
    }

    /** Few enough to move a forecast no more than they say. */
    public List<Measured> thinned(UUID jobId, long soakSeq, Instant startedAt) {
        Map<Surface, Double> next = new HashMap<>();
        List<Measured> kept = new ArrayList<>();
        for (Measured m : measured(jobId, soakSeq, startedAt)) {
            if (m.seconds() >= next.getOrDefault(m.surface(), Double.NEGATIVE_INFINITY)) {
                kept.add(m);
                next.put(m.surface(), m.seconds() + APART.toSeconds());
            }
        }
        return kept;
    }
}
