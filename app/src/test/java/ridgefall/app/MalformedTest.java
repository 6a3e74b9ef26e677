package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;

/** What is no proper call at all is told like everything else: a problem detail, under the usual headers. */
@ExtendWith(RunningApp.class)
class MalformedTest {
    private final App app;

    MalformedTest(App app) {
        this.app = app;
    }

    /** Says something no client library would. */
    private String raw(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", URI.create(app.url()).getPort())) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.shutdownOutput();
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private String call(String method, String target, String... headers) throws IOException {
        return raw(method + " " + target + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n"
                + (headers.length == 0 ? "" : String.join("\r\n", headers) + "\r\n") + "\r\n");
    }

    private static void isProblem(String answer, int status) {
        assertThat(answer)
                .startsWith("HTTP/1.1 " + status)
                .contains("Content-Type: application/problem+json")
                .contains("Content-Security-Policy: default-src 'none'")
                .contains("X-Content-Type-Options: nosniff")
                .contains("X-Frame-Options: DENY")
                .contains("Referrer-Policy: no-referrer")
                .contains("\"status\":" + status)
                .doesNotContain("Tomcat")
                .doesNotContain("null");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/stock?query=%ff",
                "/api/stock?query=%zz",
                "/api/bench?x=%",
                "/api/stock?query=a%00b",
                "/api/jobs/%00",
                "/%00",
                "/api/jobs/a;b",
                "/api/jobs/a%2fb",
                "/a[b",
                "/api/book/%ff"
            })
    void anAddressThatIsNone(String target) throws IOException {
        isProblem(call("GET", target), 400);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "*/*",
                "application/*",
                "nonsense",
                "",
                "application/x-www-form-urlencoded",
                "multipart/form-data; boundary=x"
            })
    void aContentTypeThatNamesNoKindSignedInOrNot(String type) throws IOException {
        isProblem(call("POST", "/api/jobs", "Content-Type: " + type, "Content-Length: 0"), 415);
        Answer signedIn = app.signedIn(Role.LEAD).upload("/api/people", type, new byte[] {'{', '}'});
        assertThat(signedIn.status()).isEqualTo(415);
        assertThat(signedIn.text("field")).isEqualTo("Content-Type");
    }

    /** What came in a form once was read before it was looked at: a NUL or a broken escape was our fault then. */
    @ParameterizedTest
    @ValueSource(strings = {"a=%00", "a=%zz", "\u0000", "--x"})
    void formsAreNotRead(String form) throws IOException {
        for (String target : List.of("/api/session", "/api/touch/1/WATCH/0", "/api/jobs")) {
            for (String type : List.of("application/x-www-form-urlencoded", "multipart/form-data; boundary=x")) {
                isProblem(
                        raw("PUT " + target + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: "
                                + type + "\r\nContent-Length: " + form.length() + "\r\n\r\n" + form),
                        415);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"evil.example", "127.0.0.1.evil.example", "192.168.7.9", "localhost.evil.example", "[::2]", "0"})
    void aNameOrAddressThatIsNotThisMachines(String host) throws IOException {
        for (String target : List.of("/", "/api/session", "/touch.html", "/actuator/health")) {
            isProblem(raw("GET " + target + " HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n"), 421);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "LOCALHOST:9", "127.0.0.1", "[::1]:80"})
    void thisMachinesOwnAreAnswered(String host) throws IOException {
        assertThat(raw("GET /api/session HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 200");
    }

    @Test
    void aCallThatIsTooLongOrOfNoKnownMethodOrWithoutAHost() throws IOException {
        isProblem(call("POST", "/api/session", "Content-Type: application/json", "Content-Length: 9999999"), 413);
        isProblem(call("GET", "/", "Padding: " + "x".repeat(20_000)), 400);
        isProblem(call("BREW", "/"), 400);
        isProblem(call("TRACE", "/"), 405);
        isProblem(raw("GET / HTTP/1.1\r\nConnection: close\r\n\r\n"), 400);
    }

    @Test
    void anAnswerInAKindThatThereIsNot() {
        assertThat(app.signedIn(Role.DESK).accepting("image/png", "/api/bench"))
                .satisfies(answer -> assertThat(answer.status()).isEqualTo(406))
                .satisfies(answer -> assertThat(answer.text("title")).isEqualTo("Not Acceptable"));
        assertThat(app.signedIn(Role.DESK)
                        .accepting("image/jpeg", "/api/photos/" + UUID.randomUUID())
                        .text("title"))
                .isEqualTo("No such photo");
    }

    @Test
    void thePageWhereErrorsAreToldAskedForByName() throws IOException {
        isProblem(call("GET", "/error"), 404);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/session | {\"name\":\"a\\u0000b\",\"password\":\"x\"} | name",
                "/api/people | {\"name\":\"a\\u0000b\",\"password\":\"long-enough-1\",\"role\":\"DESK\"} | name",
                "/api/people | {\"name\":17,\"password\":\"long-enough-1\",\"role\":\"DESK\"} | name",
                "/api/book-check | {\"name\":\"a\\u0000b\"} | name"
            })
    void aTextThatIsNone(String path, String body, String field) {
        Answer answer = app.signedIn(Role.LEAD).post(path, body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("field")).isEqualTo(field);
    }

    @Test
    void wordsAndNumbersAreSaidAsAPersonWould() {
        Client lead = app.signedIn(Role.LEAD);
        String source = "{\"name\":\"Plate 1\",\"kind\":\"PLATE\",\"minC\":80,\"maxC\":70,\"settleS\":60,\"air\":null}";
        assertThat(lead.send("PUT", "/api/heat-sources/plate-1", Client.JSON.readTree(source))
                        .text("detail"))
                .startsWith("highest setting is 70; allowed: 80 to ");
        assertThat(lead.post("/api/book-start", "{\"name\":\"x\",\"widthMm\":10,\"heightMm\":10}")
                        .text("detail"))
                .startsWith("the device to start from is missing");
        assertThat(lead.post("/api/people", "{\"name\":{},\"password\":null,\"role\":\"DESK\"}")
                        .text("detail"))
                .isEqualTo("name is an object; allowed: a text");
        UUID job = lead.openJob();
        assertThat(lead.post(
                                "/api/jobs/" + job + "/facts",
                                "{\"commandId\":\"" + UUID.randomUUID()
                                        + "\",\"expectedSeq\":1,\"fact\":{\"type\":\"SoakStarted\",\"sourceId\":\"plate-1\","
                                        + "\"settingC\":null,\"seconds\":10.689655172413794}}")
                        .text("detail"))
                .isEqualTo("setting is missing; allowed: a number");
    }
}
