package ridgefall.app.carry;

import java.io.IOException;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.instrument.ShopNets;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What speaks with fronts' data chips at this bench, by address. */
@Repository
class Programmers {
    private static final int MOST = 24;

    private final JdbcClient jdbc;
    private final ShopNets nets;

    Programmers(JdbcClient jdbc, ShopNets nets) {
        this.jdbc = jdbc;
        this.nets = nets;
    }

    record Programmer(String id, String name, String host, int port) {
        Programmer {
            Allowed.text("id", id, 40);
            Allowed.text("name", name, 60);
            Allowed.text("host", host, 120);
            Allowed.between("port", port, 1, 65_535, "");
        }
    }

    List<Programmer> all() {
        return jdbc.sql("select id, name, host, port from programmer order by name")
                .query((row, n) -> new Programmer(
                        row.getString("id"), row.getString("name"), row.getString("host"), row.getInt("port")))
                .list();
    }

    /** @throws IOException where it may not be called, or does not answer */
    ProgrammerLine call(Programmer programmer) throws IOException {
        return new ProgrammerLine(nets.place(programmer.host(), programmer.port()));
    }

    /** @throws NotAllowed where it may not be called */
    void check(Programmer programmer) {
        nets.check(programmer.host(), programmer.port());
    }

    /** @throws NotAllowed where there are {@value #MOST} others */
    @Transactional
    public void put(Programmer programmer) {
        jdbc.sql("lock table programmer in share row exclusive mode").update();
        int others = jdbc.sql("select count(*) from programmer where id <> :id")
                .param("id", programmer.id())
                .query(Integer.class)
                .single();
        Allowed.between("programmers", others + 1, 1, MOST, "at one bench");
        jdbc.sql("""
                        insert into programmer (id, name, host, port) values (:id, :name, :host, :port)
                        on conflict (id) do update set name = :name, host = :host, port = :port""")
                .param("id", programmer.id())
                .param("name", programmer.name())
                .param("host", programmer.host())
                .param("port", programmer.port())
                .update();
    }

    /** @return whether there was one */
    boolean remove(String id) {
        return jdbc.sql("delete from programmer where id = :id").param("id", id).update() > 0;
    }
}
