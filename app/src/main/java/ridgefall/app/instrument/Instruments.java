package ridgefall.app.instrument;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;
import tools.jackson.databind.json.JsonMapper;

/** The instruments of this bench, by address. */
@Repository
class Instruments {
    private static final int MOST_CHANNELS = 12;
    private static final int MOST = 24;
    private static final String[][] OLD_QUESTIONS = {
        {"frame_query", "FRAME"}, {"glass_query", "GLASS"}, {"surface_query", Channel.SOURCE}
    };

    private final JdbcClient jdbc;
    private final JsonMapper json;

    Instruments(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** What is asked all the time and whose answers belong to no run. */
    static final String NO_RUN = "NONE";

    /**
     * @param attends the kind of clock whose run its answers belong to, or {@link #NO_RUN}
     * @param sourceId the heat source beside which it stands; null where what it attends to is no soak
     * @param channels what it is asked, a question each
     */
    record Instrument(
            String id, String name, String host, int port, String attends, String sourceId, List<Channel> channels) {
        Instrument {
            Allowed.text("id", id, 40);
            Allowed.text("name", name, 60);
            Allowed.text("host", host, 120);
            Allowed.between("port", port, 1, 65_535, "");
            Allowed.text("attends", attends, 40);
            Allowed.optionalText("sourceId", sourceId, 40);
            channels = List.copyOf(Allowed.present("channels", channels));
            Allowed.between("channels", channels.size(), 1, MOST_CHANNELS, "questions to ask, such as MEAS:TEMP?");
        }
    }

    List<Instrument> all() {
        return jdbc.sql("select * from instrument order by name")
                .query((row, n) -> new Instrument(
                        row.getString("id"),
                        row.getString("name"),
                        row.getString("host"),
                        row.getInt("port"),
                        row.getString("attends"),
                        row.getString("source_id"),
                        channels(row)))
                .list();
    }

    /** As kept; of instruments from before channels were, the three questions there were then. */
    private List<Channel> channels(ResultSet row) throws SQLException {
        List<Channel> channels = new ArrayList<>(List.of(json.readValue(row.getString("channels"), Channel[].class)));
        if (channels.isEmpty()) {
            for (String[] old : OLD_QUESTIONS) {
                if (row.getString(old[0]) != null) {
                    channels.add(new Channel(Quantity.TEMPERATURE, old[1], row.getString(old[0])));
                }
            }
        }
        return channels;
    }

    /** @throws NotAllowed where there are {@value #MOST} others */
    @Transactional
    public void put(Instrument instrument) {
        jdbc.sql("lock table instrument in share row exclusive mode").update();
        int others = jdbc.sql("select count(*) from instrument where id <> :id")
                .param("id", instrument.id())
                .query(Integer.class)
                .single();
        Allowed.between("instruments", others + 1, 1, MOST, "at one bench");
        jdbc.sql("""
                        insert into instrument (id, name, host, port, attends, source_id, channels)
                        values (:id, :name, :host, :port, :attends, :source, cast(:channels as jsonb))
                        on conflict (id) do update set name = :name, host = :host, port = :port, attends = :attends,
                            source_id = :source, channels = cast(:channels as jsonb)""")
                .param("id", instrument.id())
                .param("name", instrument.name())
                .param("host", instrument.host())
                .param("port", instrument.port())
                .param("attends", instrument.attends())
                .param("source", instrument.sourceId())
                .param("channels", json.writeValueAsString(instrument.channels()))
                .update();
    }

    /** @return whether there was one */
    boolean remove(String id) {
        return jdbc.sql("delete from instrument where id = :id").param("id", id).update() > 0;
    }
}
