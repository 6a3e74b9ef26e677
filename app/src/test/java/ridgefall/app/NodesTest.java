package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.instrument.ShopNets;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** Two nodes on one database are one bench and ask an instrument with one voice. */
@ExtendWith(RunningApp.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NodesTest {
    private static final Duration SECONDS = Duration.ofSeconds(30);

    private final App app;
    private ConfigurableApplicationContext other;
    private Client here;
    private Client there;

    NodesTest(App app) {
        this.app = app;
    }

    @BeforeAll
    void start() {
        other = RunningApp.besides(app);
        here = app.signedIn(Role.TECHNICIAN);
        there = new Client(App.url(other)).as(Role.TECHNICIAN);
    }

    @AfterAll
    void stop() {
        other.close();
    }

    private static Map<String, Object> power(boolean off) {
        return Map.of("type", "PowerSeen", "canSwitchOff", off);
    }

    @Test
    void aJobIsWorkedOnAtBothInTurnAndNeitherFallsBehind() {
        UUID job = here.openJob();
        for (int seq = 1; seq < 9; seq += 2) {
            assertThat(here.append(job, seq, power(true)).status()).isEqualTo(200);
            assertThat(there.append(job, seq + 1, power(false)).status()).isEqualTo(200);
        }
        JsonNode seenHere = here.get("/api/jobs/" + job).json();
        JsonNode seenThere = there.get("/api/jobs/" + job).json();
        assertThat(seenHere.get("seq").asLong()).isEqualTo(9);
        assertThat(seenThere.get("journal")).isEqualTo(seenHere.get("journal"));
        assertThat(seenThere.get("steps")).isEqualTo(seenHere.get("steps"));
    }

    @Test
    void whoeverStandsBehindIsToldWhatTheOtherNodeRecorded() {
        UUID job = here.openJob();
        there.get("/api/jobs/" + job);
        here.append(job, 1, power(true));
        Answer late = there.append(job, 1, power(false));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.text("detail")).isEqualTo("Ansa Orrick: Switched off");
    }

    /** While versions change over, nodes of both are up: what only the newer knows is neither lost nor passed by. */
    @Test
    void aNewerNodeWritesBetweenTheTapsOfThisOneAndNothingIsLost() {
        UUID job = here.openJob();
        assertThat(here.append(job, 1, power(true)).status()).isEqualTo(200);
        there.get("/api/jobs/" + job);
        String written = "{\"type\":\"PanelGlowed\",\"lumen\":7}";
        JdbcClient jdbc = app.bean(JdbcClient.class);
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, 3, gen_random_uuid(), now(), 'Somebody', 'LEAD', cast(:fact as jsonb))""").param("job", job).param("fact", written).update();
        jdbc.sql("update job set seq = 3 where id = :job").param("job", job).update();
        for (Client node : List.of(here, there)) {
            Answer late = node.append(job, 2, power(false));
            assertThat(late.status()).isEqualTo(409);
            assertThat(late.text("detail")).isEqualTo("Somebody: Recorded by a newer version: PanelGlowed");
            assertThat(node.append(job, 3, power(false)).status()).isEqualTo(422);
            JsonNode exported = node.get("/api/jobs/" + job + "/export").json();
            assertThat(exported.get("journal")).hasSize(3);
            assertThat(exported.at("/journal/2/fact")).isEqualTo(Client.JSON.readTree(written));
        }
        UUID other = here.openJob();
        assertThat(here.append(other, 1, power(true)).status())
                .as("other jobs go on")
                .isEqualTo(200);
    }

    @Test
    void aCommandThatWasSentToOneIsNoNewOneAtTheOther() {
        UUID job = here.openJob();
        UUID command = UUID.randomUUID();
        Answer first = here.append(job, command, 1, power(true));
        Answer again = there.append(job, command, 1, power(true));
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json()).isEqualTo(first.json());
    }

    @Test
    void aScreenOfOneHearsOfATapAtTheOther() throws Exception {
        UUID job = here.openJob();
        CompletableFuture<Long> heard = there.hears("/api/live", "{\"jobId\":\"" + job + "\",\"seq\":2}");
        here.append(job, 1, power(true));
        assertThat(heard.get(3, TimeUnit.MINUTES)).isNotNull();
    }

    @Test
    void oneNodeAsksAnInstrumentAndAnotherTakesOverFromOneThatDied() throws IOException {
        JdbcClient jdbc = app.bean(JdbcClient.class);
        ExecutorService talking = Executors.newCachedThreadPool();
        AtomicInteger callers = new AtomicInteger();
        AtomicInteger mostAtOnce = new AtomicInteger();
        try (ServerSocket thermometer = new ServerSocket(0, 8, InetAddress.getLoopbackAddress())) {
            talking.execute(() -> {
                while (!thermometer.isClosed()) {
                    try {
                        Socket caller = thermometer.accept();
                        talking.execute(() -> talk(caller, callers, mostAtOnce));
                    } catch (IOException e) {
                        // Closed: the test is over.
                    }
                }
            });
            // Held by a node that is no more.
            jdbc.sql("""
                            insert into instrument_lease (instrument_id, node, until)
                            values ('shared', gen_random_uuid(), now() + interval '4 seconds')""").update();
            app.bean(ShopNets.class).standsIn(thermometer.getLocalPort());
            other.getBean(ShopNets.class).standsIn(thermometer.getLocalPort());
            Map<String, Object> given = Map.of(
                    "name", "Shared thermocouple",
                    "host", "127.0.0.1",
                    "port", thermometer.getLocalPort(),
                    "attends", "SOAK",
                    "sourceId", "plate-2",
                    "channels", List.of(Map.of("quantity", "TEMPERATURE", "place", "FRAME", "query", "MEAS:TEMP?")));
            assertThat(here.send("PUT", "/api/instruments/shared", given).status())
                    .isEqualTo(200);
            await().atMost(SECONDS).untilAsserted(() -> {
                assertThat(status(here).at("/said/0/words").asString()).isEqualTo("{t:44.5}");
                assertThat(status(there).at("/said/0/words").asString()).isEqualTo("{t:44.5}");
            });
            // Both go round their instruments every two seconds.
            await().pollDelay(Duration.ofSeconds(5)).atMost(SECONDS).until(() -> callers.get() == 1);
            assertThat(mostAtOnce.get()).as("nodes that talked to it at once").isEqualTo(1);
            assertThat(jdbc.sql(
                                    "select count(*) from instrument_lease where instrument_id = 'shared' and until > now()")
                            .query(Integer.class)
                            .single())
                    .isEqualTo(1);
        } finally {
            here.send("DELETE", "/api/instruments/shared", Map.of());
            talking.shutdownNow();
        }
    }

    private static JsonNode status(Client node) {
        for (JsonNode instrument : node.get("/api/instruments").json().get("instruments")) {
            if (instrument.get("id").asString().equals("shared")) {
                return instrument.get("status");
            }
        }
        throw new IllegalStateException("no such instrument");
    }

    private static void talk(Socket caller, AtomicInteger callers, AtomicInteger mostAtOnce) {
        mostAtOnce.accumulateAndGet(callers.incrementAndGet(), Math::max);
        try (caller) {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
            for (String query = in.readLine(); query != null; query = in.readLine()) {
                String answer = query.equals("UNIT:TEMP?") ? "C\n" : "44.5\n";
                caller.getOutputStream().write(answer.getBytes(StandardCharsets.US_ASCII));
                caller.getOutputStream().flush();
            }
        } catch (IOException e) {
            // Hung up.
        } finally {
            callers.decrementAndGet();
        }
    }
}
