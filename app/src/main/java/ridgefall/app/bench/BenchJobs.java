package ridgefall.app.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.TimerKind;

/** Reads the projections that the journal renews with every fact. */
@Repository
class BenchJobs {
    private final JdbcClient jdbc;

    BenchJobs(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** {@code waiting} is true while a timer is what the job needs; else hands, of the desk or of the bench. */
    record BenchJob(
            UUID id,
            long number,
            String device,
            String owner,
            String fault,
            Station station,
            String stationWords,
            @Schema(nullable = true) String nextStep,
            boolean waiting,
            boolean atDesk,
            int mishaps,
            Instant openedAt,
            Instant touchedAt,
            String touchedBy,
            @Schema(nullable = true) Instant handedOverAt) {}

    record BenchTimer(
            UUID jobId,
            long jobNumber,
            String device,
            long seq,
            String kind,
            TimerKind.Warmth warmth,
            String words,
            Instant startedAt,
            int seconds) {}

    /** Open jobs, the oldest first. */
    List<BenchJob> open(int most) {
        return jobs("handed_over_at is null order by opened_at limit " + most);
    }

    /** Handed over, the latest first. */
    List<BenchJob> handedOver(int most) {
        return jobs("handed_over_at is not null order by handed_over_at desc limit " + most);
    }

    /** Under heat or under the pick, the latest touched first. */
    List<UUID> warm(int most) {
        return jdbc.sql("""
                        select id from job where handed_over_at is null and station in ('HEAT', 'SEPARATE')
                        order by touched_at desc limit :most""").param("most", most).query(UUID.class).list();
    }

    private List<BenchJob> jobs(String which) {
        return jdbc.sql("""
                        select id, number, device, owner, fault, station, next_step, waiting, needs, mishaps,
                            opened_at, touched_at, touched_by, handed_over_at
                        from job where\s""" + which)
                .query((row, n) -> {
                    Station station = Station.valueOf(row.getString("station"));
                    return new BenchJob(
                            row.getObject("id", UUID.class),
                            row.getLong("number"),
                            row.getString("device"),
                            row.getString("owner"),
                            row.getString("fault"),
                            station,
                            station.words(),
                            row.getString("next_step"),
                            row.getBoolean("waiting"),
                            row.getString("needs").equals(Role.DESK.name()),
                            row.getInt("mishaps"),
                            instant(row.getObject("opened_at", OffsetDateTime.class)),
                            instant(row.getObject("touched_at", OffsetDateTime.class)),
                            row.getString("touched_by"),
                            instant(row.getObject("handed_over_at", OffsetDateTime.class)));
                })
                .list();
    }

    /** All that run, the one that ends first on top. */
    List<BenchTimer> timers() {
        return jdbc.sql("""
                        select t.job_id, j.number, j.device, t.seq, t.kind, t.words, t.started_at, t.seconds
                        from running_timer t join job j on j.id = t.job_id
                        order by t.started_at + t.seconds * interval '1 second'""")
                .query((row, n) -> new BenchTimer(
                        row.getObject("job_id", UUID.class),
                        row.getLong("number"),
                        row.getString("device"),
                        row.getLong("seq"),
                        row.getString("kind"),
                        Course.clock(row.getString("kind")).warmth(),
                        row.getString("words"),
                        instant(row.getObject("started_at", OffsetDateTime.class)),
                        row.getInt("seconds")))
                .list();
    }

    private static Instant instant(OffsetDateTime at) {
        return at == null ? null : at.toInstant();
    }
}
