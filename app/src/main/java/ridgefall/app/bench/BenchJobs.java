package ridgefall.app.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.store.WordSearch;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.TimerKind;
import ridgefall.core.prove.ProveState;

/** Reads the projections that the journal renews with every fact. */
@Repository
class BenchJobs {
    private static final String SELECT = """
            select id, number, device, owner, fault, station, next_step, waits_for, needs, mishaps,
                part_due, promised_on, opened_at, touched_at, touched_by, handed_over_at
            from job where\s""";

    /** Who is called later than that remembers nothing of it. */
    private static final Duration LONG_ENOUGH = Duration.ofDays(28);

    private final JdbcClient jdbc;

    BenchJobs(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param atDesk whether the hands it needs are the desk's
     * @param partDue when what it waits for should be here, and {@code promisedOn} when its owner was told it is ready
     */
    record BenchJob(
            UUID id,
            long number,
            String device,
            String owner,
            String fault,
            Station station,
            String stationWords,
            @Schema(nullable = true) String nextStep,
            Course.Waits waitsFor,
            boolean atDesk,
            int mishaps,
            Instant openedAt,
            Instant touchedAt,
            String touchedBy,
            @Schema(nullable = true) LocalDate partDue,
            @Schema(nullable = true) LocalDate promisedOn,
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

    /** Whatever job has all the given words in its number, owner, device or fault, or is of this id; the latest first. */
    List<BenchJob> find(String query, boolean handedOver, int most) {
        WordSearch words = WordSearch.of(query);
        String text = "lower(concat_ws(' ', number, owner, device, fault, id))";
        return words.bind(jdbc.sql(SELECT + words.matches(text)
                        + (handedOver ? " and handed_over_at is not null" : "")
                        + " order by opened_at desc limit :most"))
                .param("most", most)
                .query((row, n) -> job(row))
                .list();
    }

    /** Handed over, the latest first. */
    List<BenchJob> handedOver(int most) {
        return jobs("handed_over_at is not null order by handed_over_at desc limit " + most);
    }

    /** Repaired, at home for a week and for no more than four, and nobody has asked since; the longest at home first. */
    List<BenchJob> atHomeForAWeek(Instant now, int most) {
        return jdbc.sql(SELECT + """
                        handed_over_at between :from and :until and heard_back_at is null and not unrepaired
                            and not exists (select 1 from job later where later.came_from = job.number)
                        order by handed_over_at limit :most""")
                .param("from", now.minus(LONG_ENOUGH).atOffset(ZoneOffset.UTC))
                .param("until", now.minus(ProveState.AT_HOME).atOffset(ZoneOffset.UTC))
                .param("most", most)
                .query((row, n) -> job(row))
                .list();
    }

    /** Under heat or under the pick, the latest touched first. */
    List<UUID> warm(int most) {
        return jdbc.sql("""
                        select id from job where handed_over_at is null and station in ('HEAT', 'SEPARATE')
                        order by touched_at desc limit :most""").param("most", most).query(UUID.class).list();
    }

    private List<BenchJob> jobs(String which) {
        return jdbc.sql(SELECT + which).query((row, n) -> job(row)).list();
    }

    private static BenchJob job(ResultSet row) throws SQLException {
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
                Course.Waits.valueOf(row.getString("waits_for")),
                row.getString("needs").equals(Role.DESK.name()),
                row.getInt("mishaps"),
                instant(row.getObject("opened_at", OffsetDateTime.class)),
                instant(row.getObject("touched_at", OffsetDateTime.class)),
                row.getString("touched_by"),
                row.getObject("part_due", LocalDate.class),
                row.getObject("promised_on", LocalDate.class),
                instant(row.getObject("handed_over_at", OffsetDateTime.class)));
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
