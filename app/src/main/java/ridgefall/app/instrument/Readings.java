package ridgefall.app.instrument;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.Measured;

/** What instruments said during runs: a run is whatever a fact started a clock for. Rows are only ever added. */
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

    /** @param place FRAME or GLASS of the device, SOURCE for the source's own face, or another word of the bench */
    public record Reading(String instrument, Quantity quantity, String place, Instant readAt, double value) {}

    /** What one instrument said of one thing. */
    public record ChannelOf(String instrument, Quantity quantity, String place, int samples) {}

    /** A run that goes on right now, by the number of the fact that started it. */
    public record Run(UUID jobId, long seq, Instant startedAt) {}

    /** The latest soak that runs on a source. */
    public Optional<Run> soakingOn(String sourceId) {
        return running("""
                        join journal j on j.job_id = t.job_id and j.seq = t.seq
                        where t.kind = 'SOAK' and j.fact ->> 'sourceId' = :what""", sourceId);
    }

    /** The latest run of a kind. */
    Optional<Run> latest(String kind) {
        return running("where t.kind = :what", kind);
    }

    /** What was begun at another bench, before its job was brought in, lies at none of this one's instruments. */
    private Optional<Run> running(String which, String what) {
        return jdbc.sql("select t.job_id, t.seq, t.started_at from running_timer t " + which + """
                         and not exists (select 1 from journal b where b.job_id = t.job_id and b.seq > t.seq
                            and b.fact ->> 'type' = 'BroughtIn')
                        order by t.started_at desc limit 1""")
                .param("what", what)
                .query((row, number) -> new Run(
                        row.getObject("job_id", UUID.class),
                        row.getLong("seq"),
                        row.getObject("started_at", OffsetDateTime.class).toInstant()))
                .optional();
    }

    public void add(UUID jobId, long runSeq, Reading reading) {
        addAll(jobId, runSeq, List.of(reading));
    }

    /** All of them or none. */
    @Transactional
    public void addAll(UUID jobId, long runSeq, List<Reading> readings) {
        Map<ChannelOf, List<Reading>> channels = new LinkedHashMap<>();
        for (Reading r : readings) {
            channels.computeIfAbsent(new ChannelOf(r.instrument, r.quantity, r.place, 0), c -> new ArrayList<>())
                    .add(r);
        }
        channels.forEach((channel, said) -> jdbc.sql("""
                        insert into sample (channel_id, at, value)
                        select :channel, unnest(cast(:times as timestamptz[])), unnest(cast(:values as float8[]))""")
                .param("channel", id(jobId, runSeq, channel))
                .param("times", said.stream().map(r -> r.readAt().toString()).toArray(String[]::new))
                .param("values", said.stream().map(Reading::value).toArray(Double[]::new))
                .update());
    }

    private long id(UUID jobId, long runSeq, ChannelOf channel) {
        String which = "job_id = :job and run_seq = :run and instrument = :instrument and quantity = :quantity"
                + " and place = :place";
        bound("""
                        insert into channel (job_id, run_seq, instrument, quantity, place)
                        select :job, :run, :instrument, :quantity, :place
                        where not exists (select 1 from channel where\s""" + which + ") on conflict do nothing", jobId, runSeq, channel).update();
        return bound("select id from channel where " + which, jobId, runSeq, channel)
                .query(Long.class)
                .single();
    }

    private JdbcClient.StatementSpec bound(String sql, UUID jobId, long runSeq, ChannelOf channel) {
        return jdbc.sql(sql)
                .param("job", jobId)
                .param("run", runSeq)
                .param("instrument", channel.instrument())
                .param("quantity", channel.quantity().name())
                .param("place", channel.place());
    }

    /** Of one run, in the order they came. */
    public List<Reading> of(UUID jobId, long runSeq) {
        return jdbc.sql("""
                        select c.instrument, c.quantity, c.place, s.at, s.value from sample s
                        join channel c on c.id = s.channel_id
                        where c.job_id = :job and c.run_seq = :run order by s.id""")
                .param("job", jobId)
                .param("run", runSeq)
                .query((row, number) -> new Reading(
                        row.getString("instrument"),
                        Quantity.valueOf(row.getString("quantity")),
                        row.getString("place"),
                        row.getObject("at", OffsetDateTime.class).toInstant(),
                        row.getDouble("value")))
                .list();
    }

    /** What was measured in one run, and how often. */
    public List<ChannelOf> channels(UUID jobId, long runSeq) {
        return jdbc.sql("""
                        select instrument, quantity, place,
                            (select count(*) from sample s where s.channel_id = c.id) as samples
                        from channel c where job_id = :job and run_seq = :run order by id""")
                .param("job", jobId)
                .param("run", runSeq)
                .query((row, number) -> new ChannelOf(
                        row.getString("instrument"),
                        Quantity.valueOf(row.getString("quantity")),
                        row.getString("place"),
                        row.getInt("samples")))
                .list();
    }

    /** What thermometers on the device said, for the fit. */
    public List<Measured> measured(UUID jobId, long soakSeq, Instant startedAt) {
        return of(jobId, soakSeq).stream()
                .filter(reading -> reading.quantity == Quantity.TEMPERATURE && isSurface(reading.place))
                .map(reading -> new Measured(
                        Duration.between(startedAt, reading.readAt()).toMillis() / 1000.0,
                        Surface.valueOf(reading.place),
                        reading.value,
                        SIGMA_K))
                .toList();
    }

    private static boolean isSurface(String place) {
        return place.equals(Surface.FRAME.name()) || place.equals(Surface.GLASS.name());
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
