package ridgefall.app.carry;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.units.Allowed;

/** What speaks with fronts' data chips at this bench, by address. */
@Repository
class Programmers {
    private final JdbcClient jdbc;

    Programmers(JdbcClient jdbc) {
        this.jdbc = jdbc;
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

    void put(Programmer programmer) {
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
