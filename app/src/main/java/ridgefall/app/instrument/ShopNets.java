package ridgefall.app.instrument;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.postgresql.Driver;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * Where instruments may be called: in the nets that a lead named, and at the ports of the stand-ins that this app opened itself.
 * Never at its own doors or its database, and never at addresses that a machine gives itself. Whether a name is not known, or not in
 * those nets, can't be told from outside: both are said in the same words after the same time.
 */
@Repository
public class ShopNets {
    /** As long as one waits for an answer too. */
    static final Duration PATIENCE = Duration.ofMillis(1500);

    static final String WORDS = "its address is in no net that a lead named under tools";
    private static final int MOST = 8;
    private static final Logger LOG = LoggerFactory.getLogger(ShopNets.class);

    private final JdbcClient jdbc;
    private final Environment environment;
    private final Set<Integer> standIns = ConcurrentHashMap.newKeySet();

    ShopNets(JdbcClient jdbc, Environment environment) {
        this.jdbc = jdbc;
        this.environment = environment;
    }

    /** It is not called, by whatever name. */
    static final class NotCalled extends IOException {
        private static final long serialVersionUID = 1;

        NotCalled() {
            super(WORDS);
        }
    }

    List<String> named() {
        return jdbc.sql("select net from instrument_net order by net")
                .query(String.class)
                .list();
    }

    /** @throws NotAllowed where one is no private net of a shop's size, or there are more than {@value #MOST} */
    @Transactional
    void name(List<String> nets) {
        Allowed.between("nets", Allowed.present("nets", nets).size(), 0, MOST, "nets");
        List<Net> all = nets.stream().map(Net::new).distinct().toList();
        jdbc.sql("delete from instrument_net").update();
        all.forEach(net -> jdbc.sql("insert into instrument_net (net) values (:net)")
                .param("net", net.words())
                .update());
    }

    /** A port of this machine that an instrument of our own stands behind. */
    public void standsIn(int port) {
        standIns.add(port);
    }

    /** @throws NotAllowed where nobody may call there */
    public void check(String host, int port) {
        try {
            place(host, port);
        } catch (NotCalled e) {
            List<String> nets = named();
            throw new NotAllowed(
                    "host",
                    host,
                    nets.isEmpty()
                            ? "nothing yet: a lead first names the net of this shop's instruments, under tools"
                            : "a name or number in " + String.join(" or ", nets)
                                    + ", and none of Ridgefall's own ports");
        }
    }

    /**
     * Looked up once: what is called is what was checked.
     *
     * @throws NotCalled after {@link #PATIENCE}, for whatever reason
     */
    public InetSocketAddress place(String host, int port) throws NotCalled {
        long from = System.nanoTime();
        List<Net> nets = named().stream().map(Net::new).toList();
        try {
            InetAddress address = InetAddress.getByName(host);
            boolean standIn = address.isLoopbackAddress() && standIns.contains(port);
            if (standIn || nets.stream().anyMatch(net -> net.holds(address)) && !ours(address, port)) {
                return new InetSocketAddress(address, port);
            }
        } catch (UnknownHostException e) {
            LOG.debug("not found: {}", host);
        }
        // Where nothing may be called there is nothing to find out either.
        if (!nets.isEmpty()) {
            Patience.spent(from, PATIENCE);
        }
        throw new NotCalled();
    }

    private boolean ours(InetAddress address, int port) {
        try {
            Properties database = Driver.parseURL(environment.getProperty("spring.datasource.url", ""), null);
            List<String> hosts = database == null ? List.of() : listed(database, "PGHOST");
            Set<Integer> databases = new HashSet<>();
            if (database != null) {
                listed(database, "PGPORT").forEach(one -> databases.add(Integer.valueOf(one)));
            }
            boolean itsMachine = thisMachine(address);
            for (String host : hosts) {
                itsMachine = itsMachine
                        || Arrays.asList(InetAddress.getAllByName(host)).contains(address);
            }
            boolean door = thisMachine(address)
                    && Stream.of("local.server.port", "server.port", "ridgefall.network.port")
                            .map(name -> environment.getProperty(name, Integer.class))
                            .filter(Objects::nonNull)
                            .anyMatch(own -> own == port);
            return door || itsMachine && databases.contains(port);
        } catch (IOException e) {
            LOG.debug("taken for our own: {}", e.getMessage());
            return true;
        }
    }

    private static List<String> listed(Properties database, String name) {
        return List.of(database.getProperty(name, "").split(","));
    }

    private static boolean thisMachine(InetAddress address) throws IOException {
        return address.isLoopbackAddress() || NetworkInterface.getByInetAddress(address) != null;
    }
}
