package ridgefall.app.live;

import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the database knows of changes: notices, and a mark from which nothing is missed. */
@Repository
class Marks {
    static final String CHANNEL = "ridgefall_journal";

    private final JdbcClient jdbc;

    Marks(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param mark to ask from the next time: every transaction before it has ended and was seen */
    record Since(String mark, Map<UUID, Long> changed) {}

    void announce(String notice) {
        jdbc.sql("select pg_notify(:channel, :notice)")
                .param("channel", CHANNEL)
                .param("notice", notice)
                .query((row, n) -> 0)
                .list();
    }

    /** Those of some sessions that have ended. */
    Set<String> ended(Set<String> sessions) {
        Set<String> ended = new HashSet<>(sessions);
        ended.removeAll(jdbc.sql("select trim(session_id) from spring_session where session_id in (:sessions)"
                        + " and expiry_time > 1000 * extract(epoch from now())")
                .param("sessions", sessions)
                .query(String.class)
                .set());
        return ended;
    }

    /** @param mark of the time before; null for the first, which only learns where things stand */
    Since since(String mark) {
        return jdbc.sql("""
                        select pg_snapshot_xmin(pg_current_snapshot())::text as mark,
                            (select json_agg(json_build_object('jobId', id, 'seq', seq))::text from job
                                where changed >= cast(:mark as xid8)) as changed""")
                .param("mark", mark)
                .query((row, n) -> new Since(
                        row.getString("mark"),
                        row.getString("changed") == null
                                ? Map.of()
                                : Notice.read(row.getString("changed").replace(" ", ""))))
                .single();
    }
}
