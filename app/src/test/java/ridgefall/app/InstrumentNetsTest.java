package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** Instruments are called where a lead said they are, and nothing is learned about what else is in reach. */
@ExtendWith(RunningApp.class)
class InstrumentNetsTest {
    private final App app;
    private final Client ansa;
    private final Client marn;
    private final List<String> put = new ArrayList<>();

    InstrumentNetsTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        marn = app.signedIn(Role.LEAD);
    }

    @AfterEach
    void asBefore() {
        put.forEach(path -> ansa.call("DELETE", path));
        assertThat(named().status()).isEqualTo(200);
    }

    private Answer named(String... nets) {
        return marn.send("PUT", "/api/instruments/nets", Map.of("nets", List.of(nets)));
    }

    private Answer instrument(String id, String host, int port, String query) {
        put.add("/api/instruments/" + id);
        return ansa.send(
                "PUT",
                "/api/instruments/" + id,
                Map.of(
                        "name",
                        "Thermometer",
                        "host",
                        host,
                        "port",
                        port,
                        "attends",
                        "NONE",
                        "channels",
                        List.of(Map.of("quantity", "TEMPERATURE", "place", "x", "query", query))));
    }

    private Answer instrument(String host, int port) {
        return instrument("asked", host, port, "MEAS:TEMP?");
    }

    @Test
    void nothingIsCalledUntilALeadNamedANet() {
        assertThat(marn.get("/api/instruments").json().get("nets").size()).isZero();
        assertThat(instrument("192.168.7.9", 5025).text("field")).isEqualTo("host");
        assertThat(named("192.168.7.0/24").json().get("nets").get(0).asString()).isEqualTo("192.168.7.0/24");
        assertThat(instrument("192.168.7.9", 5025).status()).isEqualTo(200);
        assertThat(instrument("192.168.8.9", 5025).text("allowed")).contains("192.168.7.0/24");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "8.8.8.0/24",
                "10.0.0.0/8",
                "169.254.0.0/16",
                "0.0.0.0/0",
                "fe80::/64",
                "::/48",
                "fd00::/8",
                "face/64",
                "192.168.7.0",
                "192.168.7.0/33",
                "router.local/24",
                ""
            })
    void aNetIsAPrivateOneOfAShopsSize(String net) {
        Answer refused = named(net);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text("field")).isEqualTo("nets");
        assertThat(refused.text("value")).isEqualTo(net);
    }

    /** Named or not: 0.0.0.0 and an address in IPv6's clothes are this machine too. */
    @ParameterizedTest
    @ValueSource(strings = {"127.0.0.1", "localhost", "127.0.9.9", "0.0.0.0", "::ffff:127.0.0.1"})
    void itsOwnDoorsAndItsDatabaseAreNoInstruments(String host) {
        named("127.0.0.0/16");
        int door = URI.create(app.url()).getPort();
        int database =
                URI.create(app.postgres().url().substring("jdbc:".length())).getPort();
        for (int own : new int[] {door, database}) {
            assertThat(instrument(host, own).text("field")).isEqualTo("host");
        }
    }

    @Test
    void addressesThatAMachineGivesItselfAreNotCalled() {
        named("192.168.7.0/24", "fd12:3456:789a::/48");
        assertThat(instrument("169.254.169.254", 80).text("field")).isEqualTo("host");
        assertThat(instrument("fe80::1", 80).text("field")).isEqualTo("host");
        assertThat(instrument("fd12:3456:789a::7", 80).status()).isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource({
        "MEAS:TEMP?, 200",
        "MEAS:TEMP? (@101), 200",
        "READ?, 200",
        "*RST, 400",
        "SYST:BOOT?, 400",
        "GET / HTTP/1.0, 400",
        "MEAS:TEMP? (@101);*RST, 400",
        "MEAS:VOLT?, 400"
    })
    void aQuestionIsOneOfItsQuantitys(String query, int status) {
        named("192.168.7.0/24");
        Answer answer = instrument("asked", "192.168.7.9", 5025, query);
        assertThat(answer.status()).isEqualTo(status);
        if (status == 400) {
            assertThat(answer.text("field")).isEqualTo("query");
            assertThat(answer.text("allowed")).contains("MEAS:TEMP?");
        }
    }

    @Test
    void aBenchHasSoManyInstrumentsAndNoMore() {
        named("192.168.7.0/24");
        int there = marn.get("/api/instruments").json().get("instruments").size();
        for (int i = there; i < 24; i++) {
            assertThat(instrument("asked-" + i, "192.168.7.9", 5000 + i, "READ?")
                            .status())
                    .isEqualTo(200);
        }
        Answer refused = instrument("asked-24", "192.168.7.9", 5025, "READ?");
        assertThat(refused.text("field")).isEqualTo("instruments");
        assertThat(refused.text("allowed")).startsWith("1 to 24");
    }

    /** Nobody there, somebody silent, somebody who hangs up: no telling them apart by words or by how long it took. */
    @Test
    void failuresLookAlike() throws IOException {
        named("127.0.0.0/16");
        int nobody;
        try (ServerSocket closed = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            nobody = closed.getLocalPort();
        }
        try (ServerSocket silent = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
                ServerSocket rude = new ServerSocket(0, 8, InetAddress.getLoopbackAddress())) {
            Thread hangsUp = new Thread(() -> {
                while (!rude.isClosed()) {
                    try {
                        rude.accept().close();
                    } catch (IOException e) {
                        // The test is over.
                    }
                }
            });
            hangsUp.setDaemon(true);
            hangsUp.start();
            for (int port : new int[] {nobody, silent.getLocalPort(), rude.getLocalPort()}) {
                String path = "/api/programmers/asked";
                put.add(path);
                assertThat(ansa.send("PUT", path, Map.of("name", "P", "host", "127.0.0.1", "port", port))
                                .status())
                        .isEqualTo(200);
                long from = System.nanoTime();
                JsonNode tried = ansa.post(path + "/try", Map.of()).json();
                assertThat(tried.get("trouble").asString()).isEqualTo("does not answer");
                // The least only: how much longer is the machine's affair.
                assertThat((System.nanoTime() - from) / 1_000_000).isGreaterThanOrEqualTo(2990);
            }
        }
    }
}
