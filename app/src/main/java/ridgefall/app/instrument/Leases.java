package ridgefall.app.instrument;

import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.instrument.Watch.Status;
import tools.jackson.databind.json.JsonMapper;

/**
 * Which node of this app asks an instrument: many can't talk to one at once. A lease runs out unless it is renewed, so
 * that another node takes over from one that died. Times are the database's own.
 */
@Repository
class Leases {
    /** Some rounds of questions: a node that stalls for one does not lose its instruments. */
    static final Duration LASTS = Duration.ofSeconds(6);

    private final UUID node = UUID.randomUUID();
    private final JdbcClient jdbc;
    private final JsonMapper json;

    Leases(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** Takes or renews it; false while another node has it. */
    boolean hold(String instrumentId) {
        return jdbc.sql("""
                                insert into instrument_lease (instrument_id, node, until)
                                values (:id, :node, now() + make_interval(secs => :seconds))
                                on conflict (instrument_id) do update set node = excluded.node, until = excluded.until
                                where instrument_lease.node = excluded.node or instrument_lease.until < now()""")
                        .param("id", instrumentId)
                        .param("node", node)
                        .param("seconds", LASTS.toSeconds())
                        .update()
                > 0;
    }

    /** What it was told, for the other nodes' screens; nothing where the lease is lost meanwhile. */
    void told(String instrumentId, Status status) {
        jdbc.sql("update instrument_lease set told = cast(:told as jsonb) where instrument_id = :id and node = :node")
                .param("told", json.writeValueAsString(status))
                .param("id", instrumentId)
                .param("node", node)
                .update();
    }

    /** How an instrument does, whichever node asks it; nothing where none does. */
    Optional<Status> told(String instrumentId) {
        return jdbc.sql(
                        "select told from instrument_lease where instrument_id = :id and told is not null and until > now()")
                .param("id", instrumentId)
                .query((row, n) -> json.readValue(row.getString("told"), Status.class))
                .optional();
    }

    /** A node that is shut down leaves its instruments to the others at once. */
    void giveBack() {
        jdbc.sql("delete from instrument_lease where node = :node")
                .param("node", node)
                .update();
    }
}
