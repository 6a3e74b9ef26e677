package ridgefall.app.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The thermometers of this bench, by address. */
@Repository
class Instruments {
    static final String SOURCE = "SOURCE";

    private final JdbcClient jdbc;

    Instruments(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param sourceId the heat source beside which it stands
     * @param glassQuery what asks for a temperature of the glass; null where nothing measures it
     * @param frameQuery of the frame
     * @param surfaceQuery of the source's own face
     */
    record Instrument(
            String id,
            String name,
            String host,
            int port,
            String sourceId,
            String glassQuery,
            String frameQuery,
            String surfaceQuery) {
        Instrument {
            Allowed.text("id", id, 40);
            Allowed.text("name", name, 60);
            Allowed.text("host", host, 120);
            Allowed.between("port", port, 1, 65_535, "");
            Allowed.text("sourceId", sourceId, 40);
            for (String query : new String[] {glassQuery, frameQuery, surfaceQuery}) {
                if (query != null && (query.isBlank() || query.length() > 80 || !query.matches("[ -~]+"))) {
                    throw new NotAllowed("query", query, "1 to 80 plain characters on one line");
                }
            }
            if (glassQuery == null && frameQuery == null && surfaceQuery == null) {
                throw new NotAllowed("frameQuery", "missing", "at least one question to ask, such as MEAS:TEMP?");
            }
        }

        /** What to ask, by what the answer is the temperature of. */
        Map<String, String> queries() {
            Map<String, String> queries = new LinkedHashMap<>();
            queries.put("FRAME", frameQuery);
            queries.put("GLASS", glassQuery);
            queries.put(SOURCE, surfaceQuery);
            queries.values().removeIf(query -> query == null);
            return queries;
        }
    }

    /** The app calls nobody outside the shop. */
    static void onOwnNetwork(String host) {
        try {
            InetAddress address = InetAddress.getByName(host);
            if (address.isLoopbackAddress() || address.isSiteLocalAddress() || address.isLinkLocalAddress()) {
                return;
            }
        } catch (UnknownHostException e) {
            throw new NotAllowed("host", host, "a name or number that this machine can find");
        }
        throw new NotAllowed("host", host, "an address on the shop's own network");
    }

    List<Instrument> all() {
        return jdbc.sql("select * from instrument order by name")
                .query(Instrument.class)
                .list();
    }

    void put(Instrument instrument) {
        jdbc.sql("""
                        insert into instrument (id, name, host, port, source_id, glass_query, frame_query, surface_query)
                        values (:id, :name, :host, :port, :source, :glass, :frame, :surface)
                        on conflict (id) do update set name = :name, host = :host, port = :port, source_id = :source,
                            glass_query = :glass, frame_query = :frame, surface_query = :surface""")
                .param("id", instrument.id())
                .param("name", instrument.name())
                .param("host", instrument.host())
                .param("port", instrument.port())
                .param("source", instrument.sourceId())
                .param("glass", instrument.glassQuery())
                .param("frame", instrument.frameQuery())
                .param("surface", instrument.surfaceQuery())
                .update();
    }

    /** @return whether there was one */
    boolean remove(String id) {
        return jdbc.sql("delete from instrument where id = :id").param("id", id).update() > 0;
    }
}
