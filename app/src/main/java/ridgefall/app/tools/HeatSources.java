package ridgefall.app.tools;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.heat.Calibration;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.units.Band;

/** The heat sources of this bench, each with its latest calibration. */
@Repository
public class HeatSources {
    private static final String SELECT = """
            select s.*, c.profile_id, c.at, c.contact, c.offset_k, c.rms_k, c.readings, c.mean, c.root
            from heat_source s
            left join lateral (select * from calibration
                where source_id = s.id and withdrawn_at is null order by id desc limit 1) c on true
            where not s.put_away order by s.place""";

    /** Another node may have changed them; asked for by every step of every job, though. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final JdbcClient jdbc;
    private final LoadingCache<Boolean, List<HeatSource>> known =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build(any -> read());

    HeatSources(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In the order they came to the bench. */
    public List<HeatSource> all() {
        return known.get(true);
    }

    private List<HeatSource> read() {
        return jdbc.sql(SELECT).query(HeatSources::source).list();
    }

    /** Adds a source, or changes the one of this id; one that was put away comes back. */
    @Transactional
    public void put(HeatSource source) {
        Optional<HeatSource.Air> air = Optional.ofNullable(source.air());
        jdbc.sql("""
                        insert into heat_source (id, name, kind, min_c, max_c, settle_s, outlet_mm, dial_from, dial_to,
                            usual_distance_mm, shielded)
                        values (:id, :name, :kind, :min, :max, :settle, :outlet, :from, :to, :distance, :shielded)
                        on conflict (id) do update set name = :name, kind = :kind, min_c = :min, max_c = :max,
                            settle_s = :settle, outlet_mm = :outlet, dial_from = :from, dial_to = :to,
                            usual_distance_mm = :distance, shielded = :shielded, put_away = false""")
                .param("id", source.id())
                .param("name", source.name())
                .param("kind", source.kind().name())
                .param("min", source.minC())
                .param("max", source.maxC())
                .param("settle", source.settleS())
                .param("outlet", air.map(HeatSource.Air::outletMm).orElse(null))
                .param("from", air.map(HeatSource.Air::dialFrom).orElse(null))
                .param("to", air.map(HeatSource.Air::dialTo).orElse(null))
                .param("distance", air.map(HeatSource.Air::usualDistanceMm).orElse(null))
                .param("shielded", source.shielded())
                .update();
        known.invalidateAll();
    }

    /** It is no longer offered. */
    @Transactional
    public void putAway(String id) {
        jdbc.sql("update heat_source set put_away = true where id = :id")
                .param("id", id)
                .update();
        known.invalidateAll();
    }

    @Transactional
    public void calibrated(String id, Calibration measured, String who) {
        jdbc.sql("""
                        insert into calibration (source_id, profile_id, at, who, contact, offset_k, rms_k, readings, mean,
                            root)
                        values (:id, :profile, :at, :who, :contact, :offset, :rms, :readings, :mean, :root)""")
                .param("id", id)
                .param("profile", measured.profileId())
                .param("at", measured.at().atOffset(ZoneOffset.UTC))
                .param("who", who)
                .param("contact", numbers(measured.contactWPerM2K()))
                .param("offset", numbers(measured.offsetK()))
                .param("rms", measured.rmsK())
                .param("readings", measured.readings())
                .param("mean", measured.mean())
                .param(
                        "root",
                        Stream.of(measured.root())
                                .flatMapToDouble(Arrays::stream)
                                .toArray())
                .update();
        known.invalidateAll();
    }

    /** Back to common practice. */
    @Transactional
    public void withdrawCalibrations(String id) {
        jdbc.sql("update calibration set withdrawn_at = now() where source_id = :id and withdrawn_at is null")
                .param("id", id)
                .update();
        known.invalidateAll();
    }

    private static double[] numbers(Band band) {
        return new double[] {band.p10(), band.p50(), band.p90()};
    }

    private static HeatSource source(ResultSet row, int number) throws SQLException {
        HeatSource.Kind kind = HeatSource.Kind.valueOf(row.getString("kind"));
        HeatSource source = new HeatSource(
                row.getString("id"),
                row.getString("name"),
                kind,
                row.getInt("min_c"),
                row.getInt("max_c"),
                row.getDouble("settle_s"),
                kind.air()
                        ? new HeatSource.Air(
                                row.getDouble("outlet_mm"),
                                row.getDouble("dial_from"),
                                row.getDouble("dial_to"),
                                row.getDouble("usual_distance_mm"),
                                row.getBoolean("shielded"))
                        : null,
                null);
        return row.getString("profile_id") == null ? source : source.measured(calibration(row));
    }

    private static Calibration calibration(ResultSet row) throws SQLException {
        double[] mean = numbers(row.getArray("mean"));
        double[] flat = numbers(row.getArray("root"));
        double[][] root = new double[mean.length][];
        for (int i = 0; i < mean.length; i++) {
            root[i] = Arrays.copyOfRange(flat, i * mean.length, (i + 1) * mean.length);
        }
        return new Calibration(
                row.getString("profile_id"),
                row.getObject("at", OffsetDateTime.class).toInstant(),
                band(row.getArray("contact")),
                band(row.getArray("offset_k")),
                row.getDouble("rms_k"),
                row.getInt("readings"),
                mean,
                root);
    }

    private static Band band(Array array) throws SQLException {
        double[] numbers = numbers(array);
        return new Band(numbers[0], numbers[1], numbers[2]);
    }

    private static double[] numbers(Array array) throws SQLException {
        return Arrays.stream((Double[]) array.getArray())
                .mapToDouble(Double::doubleValue)
                .toArray();
    }
}
