package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.instrument.ShopNets;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** Devices whose browser tells nothing: a rig's finger over them, or a hand's, square by square. */
@ExtendWith(RunningApp.class)
class TouchRigTest {
    private final App app;
    private static final String SCREEN = "1200,840";

    private final Client ansa;
    private final Client lead;
    private final ConcurrentLinkedQueue<String> asked = new ConcurrentLinkedQueue<>();
    private ServerSocket server;

    /** Between these pixels across nothing answers. */
    private double deadFrom;

    private double deadTo;

    TouchRigTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        lead = app.signedIn(Role.LEAD);
    }

    @BeforeEach
    void rigUnderTools() throws IOException {
        server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
        Thread talking = new Thread(this::talk, "rig");
        talking.setDaemon(true);
        talking.start();
        app.bean(ShopNets.class).standsIn(server.getLocalPort());
        Map<String, Object> channel = Map.of("quantity", "TOUCH", "place", "under its finger", "query", "TOUC:DEV?");
        Answer put = lead.send(
                "PUT",
                "/api/instruments/rig",
                Map.of(
                        "name",
                        "Rig",
                        "host",
                        "127.0.0.1",
                        "port",
                        server.getLocalPort(),
                        "attends",
                        "NONE",
                        "channels",
                        List.of(channel)));
        assertThat(put.status()).as(put.raw().body()).isEqualTo(200);
    }

    @AfterEach
    void away() throws IOException {
        lead.send("DELETE", "/api/instruments/rig", null);
        server.close();
    }

    private void talk() {
        while (!server.isClosed()) {
            try {
                Socket caller = server.accept();
                Thread one = new Thread(() -> answer(caller));
                one.setDaemon(true);
                one.start();
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void answer(Socket caller) {
        try (caller;
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
                OutputStream out = caller.getOutputStream()) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                asked.add(line);
                if (line.equals("TOUC:SCR?")) {
                    out.write((SCREEN + "\n").getBytes(StandardCharsets.US_ASCII));
                } else if (line.startsWith("TOUC:TRAC? ")) {
                    String csv = line.endsWith("SWEEP") ? sweep() : "t_ms,x,y,contact_id\n";
                    out.write(("#6" + String.format(Locale.ROOT, "%06d", csv.length()) + csv + "\n")
                            .getBytes(StandardCharsets.US_ASCII));
                } else if (line.endsWith("?")) {
                    out.write("1\n".getBytes(StandardCharsets.US_ASCII));
                }
                out.flush();
            }
        } catch (IOException gone) {
            // The next one calls again.
        }
    }

    private String sweep() {
        StringBuilder csv = new StringBuilder("t_ms,x,y,contact_id\n");
        int contact = 0;
        double ms = 0;
        for (double y = 8; y < 840; y += 24) {
            contact++;
            for (double x = 8; x < 1200; x += 12, ms += 8) {
                if (x > deadFrom && x < deadTo) {
                    contact++;
                } else {
                    csv.append(String.format(Locale.ROOT, "%.1f,%.1f,%.1f,%d%n", ms, x, y, contact));
                }
            }
            ms += 300;
        }
        return csv.toString();
    }

    private UUID atTheTouch() {
        UUID job = app.jobAt("open.touch");
        return job;
    }

    private JsonNode seen(UUID job) {
        return ansa.get("/api/jobs/" + job + "/touch").json();
    }

    private Answer byRig(UUID job, String task) {
        return ansa.send("PUT", "/api/jobs/" + job + "/touch/" + task + "/by-rig", null);
    }

    @Test
    void aDeadBandUnderTheRigsFingerFailsAndTheFaultFinderGoesOn() {
        deadFrom = 560;
        deadTo = 650;
        UUID job = atTheTouch();
        assertThat(seen(job).get("rig").asString()).isEqualTo("Rig");
        Answer swept = byRig(job, "SWEEP");
        assertThat(swept.status()).as(swept.raw().body()).isEqualTo(204);
        assertThat(asked).anyMatch(line -> line.matches("TOUC:FACE [0-9.]+,[0-9.]+"));
        assertThat(seen(job).get("findings").toString()).contains("dead right across");
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Fails, by its trace");
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        assertThat(ansa.append(job, seq, ansa.leads(job).get("fact")).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).text("nextStepId")).startsWith("test.fault.touch.");
    }

    @Test
    void aRigThatIsAwaySaysSoAndNothingIsLost() throws IOException {
        UUID job = atTheTouch();
        assertThat(byRig(job, "SWEEP").status()).isEqualTo(204);
        String before = seen(job).get("tasks").toString();
        server.close();
        Answer away = byRig(job, "LINES_SLOW");
        assertThat(away.status()).isEqualTo(400);
        assertThat(away.raw().body()).contains("rig", "see to it");
        assertThat(seen(job).get("tasks").toString()).isEqualTo(before);
    }

    @Test
    void theRigThatShipsProvesAWholeTouch() {
        lead.send("DELETE", "/api/instruments/rig", null);
        UUID job = atTheTouch();
        assertThat(seen(job).get("rig").asString()).isEqualTo("Touch rig (stand-in)");
        for (JsonNode task : seen(job).get("tasks")) {
            if (task.get("byRig").asBoolean()) {
                assertThat(byRig(job, task.get("task").asString()).status()).isEqualTo(204);
            }
        }
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Works, by its trace");
    }

    private Answer byHand(UUID job, List<Map<String, Integer>> silent) {
        return ansa.send(
                "POST",
                "/api/jobs/" + job + "/touch/by-hand",
                Map.of("commandId", UUID.randomUUID(), "silent", silent));
    }

    @Test
    void aHandTellsOfSquaresAndIsJudgedAsATraceIs() {
        UUID job = atTheTouch();
        JsonNode squares = ansa.get("/api/jobs/" + job + "/touch/by-hand").json();
        assertThat(squares.get("squares").get(0).get("name").asString()).isEqualTo("A1");
        List<Map<String, Integer>> column = StreamSupport.stream(
                        squares.get("squares").spliterator(), false)
                .filter(square -> square.get("column").asInt() == 4)
                .map(square -> Map.of("column", 4, "row", square.get("row").asInt()))
                .toList();
        assertThat(ansa.get("/api/jobs/" + job + "/touch/by-hand/sheet").raw().body())
                .startsWith("%PDF");
        Answer beside = byHand(job, List.of(Map.of("column", 900, "row", 0)));
        assertThat(beside.status()).isEqualTo(400);
        assertThat(beside.raw().body()).contains("column", "900");
        assertThat(byHand(job, column).status()).isEqualTo(201);
        assertThat(ansa.get("/api/jobs/" + job).raw().body()).contains("by hand on the grid", "dead right across");
        assertThat(ansa.get("/api/jobs/" + job).text("nextStepId")).startsWith("test.fault.touch.");
        UUID whole = atTheTouch();
        assertThat(byHand(whole, List.of()).status()).isEqualTo(201);
        assertThat(ansa.get("/api/jobs/" + whole).text("nextStepId")).isEqualTo("open.stylus");
    }
}
