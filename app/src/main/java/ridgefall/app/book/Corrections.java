package ridgefall.app.book;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What technicians found to be different from the book, until a lead has settled it. */
@Repository
class Corrections {
    private final JdbcClient jdbc;
    private final Clock clock;

    Corrections(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    record Correction(
            long id,
            int version,
            @Schema(nullable = true) UUID jobId,
            String what,
            String found,
            String byWhom,
            Instant madeAt) {}

    void propose(String deviceId, int version, UUID jobId, String what, String found, String by) {
        Allowed.text("what", what, 120);
        Allowed.text("found", found, 300);
        jdbc.sql("""
                        insert into correction (device_id, version, job_id, what, found, by_whom, made_at)
                        values (:device, :version, :job, :what, :found, :by, :at)""")
                .param("device", deviceId)
                .param("version", version)
                .param("job", jobId)
                .param("what", what)
                .param("found", found)
                .param("by", by)
                .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    List<Correction> open(String deviceId) {
        return jdbc.sql("""
                        select id, version, job_id, what, found, by_whom, made_at from correction
                        where device_id = :device and settled_at is null order by id""")
                .param("device", deviceId)
                .query((row, n) -> new Correction(
                        row.getLong("id"),
                        row.getInt("version"),
                        row.getObject("job_id", UUID.class),
                        row.getString("what"),
                        row.getString("found"),
                        row.getString("by_whom"),
                        row.getObject("made_at", OffsetDateTime.class).toInstant()))
                .list();
    }

    /** @param taken whether the book was changed for it */
    void settle(String deviceId, long id, boolean taken, String by) {
        int settled = jdbc.sql("""
                        update correction set settled_by = :by, settled_at = :at, taken = :taken
                        where id = :id and device_id = :device and settled_at is null""")
                .param("by", by)
                .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                .param("taken", taken)
                .param("id", id)
                .param("device", deviceId)
                .update();
        if (settled == 0) {
            throw new NotAllowed("correctionId", id, "an open correction of this device");
        }
    }
}
