package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import ridgefall.app.RunningApp.App;

/**
 * A node of twelve threads, and who would have them all. Nothing here is timed: what would be kept waiting before was kept for as long as
 * the others held on, far beyond what a call is waited for here.
 */
@ExtendWith(RunningApp.class)
@TestInstance(Lifecycle.PER_CLASS)
class SlowBodiesTest {
    private static final int THREADS = 12;
    private static final int WAITS_MS = 8000;

    private final App app;
    private final List<Socket> open = new ArrayList<>();
    private ConfigurableApplicationContext node;

    SlowBodiesTest(App app) {
        this.app = app;
    }

    @BeforeAll
    void start() {
        node = RunningApp.besides(app, "--server.tomcat.threads.max=" + THREADS);
    }

    @AfterAll
    void stop() {
        node.close();
    }

    @AfterEach
    void hangUp() throws IOException {
        for (Socket one : open) {
            one.close();
        }
    }

    private Socket from(String address) throws IOException {
        Socket socket = new Socket(
                InetAddress.getByName("127.0.0.1"),
                URI.create(App.url(node)).getPort(),
                InetAddress.getByName(address),
                0);
        socket.setSoTimeout(WAITS_MS);
        open.add(socket);
        return socket;
    }

    private Socket says(String address, String head, String body, int length) throws IOException {
        Socket socket = from(address);
        String said = head
                + " HTTP/1.1\r\nHost: localhost\r\nCookie: XSRF-TOKEN=own\r\nX-XSRF-TOKEN: own\r\nContent-Type: application/json\r\n"
                + (length < 0 ? "" : "Content-Length: " + length + "\r\n") + "\r\n" + body;
        socket.getOutputStream().write(said.getBytes(StandardCharsets.UTF_8));
        return socket;
    }

    private static String firstLine(Socket socket) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int next = socket.getInputStream().read();
                next >= 0 && next != '\r';
                next = socket.getInputStream().read()) {
            line.append((char) next);
        }
        return line.toString();
    }

    /** Half a sign-in, and the rest never. */
    private List<Socket> halves(int many, String address, String head) throws IOException {
        List<Socket> halves = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            halves.add(says(address, head, "{\"name\":", 60));
        }
        return halves;
    }

    @Test
    void bodiesThatNeverComeKeepNobodyWaiting() throws IOException {
        halves(4 * THREADS, "127.0.0.1", "POST /api/session");
        assertThat(firstLine(says("127.0.0.1", "GET /api/session", "", -1))).startsWith("HTTP/1.1 200");
        String wrong = "{\"name\":\"Nobody\",\"password\":\"of those\"}";
        assertThat(firstLine(says("127.0.0.2", "POST /api/session", wrong, wrong.length())))
                .startsWith("HTTP/1.1 401");
    }

    @Test
    void whoIsRefusedIsNotWaitedForEither() throws IOException {
        List<Socket> halves = halves(4 * THREADS, "127.0.0.1", "POST /api/jobs");
        for (Socket half : halves) {
            assertThat(firstLine(half)).startsWith("HTTP/1.1 401");
            while (half.getInputStream().read() >= 0) {
                // Until it is hung up on: else this runs into its timeout.
            }
        }
        assertThat(firstLine(says("127.0.0.1", "GET /api/session", "", -1))).startsWith("HTTP/1.1 200");
    }

    /** A token that opens nothing is told so though its body is still under way. */
    @Test
    void aTokenIsLookedAtBeforeABody() throws IOException {
        Socket half = says("127.0.0.1", "PUT /api/touch/" + "x".repeat(43) + "/WATCH/0", "{", 60_000);
        assertThat(firstLine(half)).startsWith("HTTP/1.1 404");
    }

    @Test
    void anAddressHoldsSoManyConnectionsAndLeavesTheRestToOthers() throws IOException {
        for (int i = 0; i < 1000; i++) {
            from("127.0.0.3");
        }
        assertThat(from("127.0.0.3").getInputStream().read())
                .as("hung up on before a word")
                .isNegative();
        assertThat(firstLine(says("127.0.0.4", "GET /api/session", "", -1))).startsWith("HTTP/1.1 200");
    }
}
