package ridgefall.app.tools;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.bond.Supply;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What the bench holds fronts with, less what jobs have used since it was counted. */
@Repository
public class Supplies {
    private static final String SELECT = """
            select s.*, greatest(0, s.amount - coalesce((select sum(u.amount) from supply_use u
                where u.supply_id = s.id and u.at > s.counted_at), 0)) as there
            from supply s where not s.put_away order by s.place""";

    /** Asked for by every step of every job. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private static final TypeReference<Map<String, Double>> NUMBERS = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final LoadingCache<Boolean, List<Supply>> known =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build(any -> read());

    Supplies(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** In the order they came to the shelf. */
    public List<Supply> all() {
        return known.get(true);
    }

    private List<Supply> read() {
        return jdbc.sql(SELECT).query(this::supply).list();
    }

    /** Counted now: adds it, or says anew what it is and how much there is. */
    @Transactional
    public void put(Supply supply) {
        SupplyLine line = SupplyLine.of(supply);
        jdbc.sql("""
                        insert into supply (id, kind, name, amount, counted_at, numbers, profile_id, expires)
                        values (:id, :kind, :name, :left, now(), cast(:numbers as jsonb), :profile, :expires)
                        on conflict (id) do update set kind = :kind, name = :name, amount = :left, counted_at = now(),
                            numbers = cast(:numbers as jsonb), profile_id = :profile, expires = :expires,
                            put_away = false""")
                .param("id", supply.id())
                .param("kind", line.kind().name())
                .param("name", line.name())
                .param("left", line.left())
                .param("numbers", json.writeValueAsString(line.numbers()))
                .param("profile", line.profileId())
                .param("expires", line.expires())
                .update();
        known.invalidateAll();
    }

    /** Empty, or not to be used any more. */
    @Transactional
    public boolean putAway(String id) {
        int gone = jdbc.sql("update supply set put_away = true where id = :id and not put_away")
                .param("id", id)
                .update();
        known.invalidateAll();
        return gone > 0;
    }

    /** Something was used: whoever asks next is to know. */
    public void used() {
        known.invalidateAll();
    }

    private Supply supply(ResultSet row, int nth) throws SQLException {
        return new SupplyLine(
                        SupplyLine.Kind.valueOf(row.getString("kind")),
                        row.getString("name"),
                        row.getDouble("there"),
                        json.readValue(row.getString("numbers"), NUMBERS),
                        row.getString("profile_id"),
                        row.getObject("expires", LocalDate.class))
                .supply(row.getString("id"));
    }
}
