package ridgefall.app.tools;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.bond.Supply;

/** What the bench holds fronts with, less what jobs have used since it was counted. */
@Repository
public class Supplies {
    private static final String SELECT = """
            select s.*, greatest(0, s.amount - coalesce((select sum(u.amount) from supply_use u
                where u.supply_id = s.id and u.at > s.counted_at), 0)) as there
            from supply s where not s.put_away order by s.place""";

    /** Asked for by every step of every job. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final JdbcClient jdbc;
    private final LoadingCache<Boolean, List<Supply>> known =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build(any -> read());

    Supplies(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In the order they came to the shelf. */
    public List<Supply> all() {
        return known.get(true);
    }

    private List<Supply> read() {
        return jdbc.sql(SELECT).query(Supplies::supply).list();
    }

    /** Counted now: adds it, or says anew what it is and how much there is. */
    @Transactional
    public void put(Supply supply) {
        SupplyLine line = SupplyLine.of(supply);
        jdbc.sql("""
                        insert into supply (id, kind, name, amount, counted_at, width_mm, thickness_mm, profile_id,
                            needle_mm, skin_minutes, cure_hours, viscosity_pa_s, dose_j_per_cm2, newtons, expires)
                        values (:id, :kind, :name, :left, now(), :width, :thickness, :profile, :needle, :skin, :cure,
                            :viscosity, :dose, :newtons, :expires)
                        on conflict (id) do update set kind = :kind, name = :name, amount = :left, counted_at = now(),
                            width_mm = :width, thickness_mm = :thickness, profile_id = :profile, needle_mm = :needle,
                            skin_minutes = :skin, cure_hours = :cure, viscosity_pa_s = :viscosity,
                            dose_j_per_cm2 = :dose, newtons = :newtons, expires = :expires, put_away = false""")
                .param("id", supply.id())
                .param("kind", line.kind().name())
                .param("name", line.name())
                .param("left", line.left())
                .param("width", line.widthMm())
                .param("thickness", line.thicknessMm())
                .param("profile", line.profileId())
                .param("needle", line.needleMm())
                .param("skin", line.skinMinutes())
                .param("cure", line.cureHours())
                .param("viscosity", line.viscosityPaS())
                .param("dose", line.doseJPerCm2())
                .param("newtons", line.newtons())
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

    private static Supply supply(ResultSet row, int nth) throws SQLException {
        return new SupplyLine(
                        SupplyLine.Kind.valueOf(row.getString("kind")),
                        row.getString("name"),
                        row.getDouble("there"),
                        row.getObject("width_mm", Double.class),
                        row.getObject("thickness_mm", Double.class),
                        row.getString("profile_id"),
                        row.getObject("needle_mm", Double.class),
                        row.getObject("skin_minutes", Integer.class),
                        row.getObject("cure_hours", Integer.class),
                        row.getObject("viscosity_pa_s", Double.class),
                        row.getObject("dose_j_per_cm2", Double.class),
                        row.getObject("newtons", Double.class),
                        row.getObject("expires", LocalDate.class))
                .supply(row.getString("id"));
    }
}
