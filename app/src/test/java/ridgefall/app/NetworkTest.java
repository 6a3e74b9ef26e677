package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import ridgefall.app.RunningApp.App;
import ridgefall.app.reach.BenchNetwork;
import ridgefall.app.reach.BenchNetwork.Door;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What the bench's network gets to see: by TLS, and without a sign-in the proof page alone. */
@ExtendWith(RunningApp.class)
@TestInstance(Lifecycle.PER_CLASS)
class NetworkTest {
    /** What answers to nobody in particular: who is signed in, signing in, and what goes by a link's token. */
    private static final List<String> OPEN = List.of("GET /api/session", "POST /api/session");

    private final App app;
    private ConfigurableApplicationContext node;
    private Door door;
    private Path folder;

    NetworkTest(App app) {
        this.app = app;
    }

    @BeforeAll
    void openTheDoor(@TempDir Path folder) {
        this.folder = folder;
        node = node(folder);
        door = door(node);
    }

    @AfterAll
    void close() {
        node.close();
    }

    private static Door door(ConfigurableApplicationContext node) {
        return node.getBean(BenchNetwork.class).door().orElseThrow();
    }

    private KeyStore keys() throws Exception {
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(folder.resolve("tls.p12"))) {
            keys.load(in, Files.readString(folder.resolve("tls.password")).toCharArray());
        }
        return keys;
    }

    /** Trusts what the node made, and nothing else: its address has to stand in the certificate too. */
    private SSLContext trusting() throws Exception {
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry("door", keys().getCertificate("ridgefall"));
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(trusted);
        SSLContext tls = SSLContext.getInstance("TLS");
        tls.init(null, trust.getTrustManagers(), null);
        return tls;
    }

    private ConfigurableApplicationContext node(Path folder, String... more) {
        List<String> asked = new ArrayList<>(List.of(
                "--ridgefall.network.bind=127.0.0.1",
                "--ridgefall.network.port=0",
                "--ridgefall.network.folder=" + folder));
        asked.addAll(List.of(more));
        return RunningApp.besides(app, asked.toArray(String[]::new));
    }

    @Test
    void offALinkOpensOnThisMachineOnly() {
        Client ansa = app.signedIn(Role.TECHNICIAN);
        assertThat(ansa.get("/api/network").json().get("url").isNull()).isTrue();
        JsonNode link = ansa.send("POST", "/api/jobs/" + ansa.openJob() + "/touch", null)
                .json();
        assertThat(link.get("address").asString()).startsWith("http://127.0.0.1:");
        assertThat(link.get("fingerprint").isNull()).isTrue();
    }

    @Test
    void withoutASignInNothingAnswersButTheProofPage() throws Exception {
        Client stranger = new Client(door.url(), trusting());
        List<String> answered = new ArrayList<>();
        JsonNode paths = app.signedIn(Role.LEAD).get("/v3/api-docs").json().get("paths");
        paths.properties()
                .forEach(path -> path.getValue().propertyNames().forEach(method -> {
                    String call = method.toUpperCase(Locale.ROOT) + " " + path.getKey();
                    if (!path.getKey().startsWith("/api/touch/") && !OPEN.contains(call)) {
                        int status = stranger.call(
                                        method.toUpperCase(Locale.ROOT),
                                        path.getKey().replaceAll("\\{\\w+}", new UUID(0, 0).toString()))
                                .status();
                        if (status != 401 && status != 403) {
                            answered.add(call + ": " + status);
                        }
                    }
                }));
        assertThat(answered).isEmpty();
        for (String path : List.of("/actuator/health", "/actuator/health/readiness", "/v3/api-docs", "/api/live")) {
            assertThat(stranger.get(path).status()).as(path).isEqualTo(401);
        }
        assertThat(stranger.get("/touch.html").status()).isEqualTo(200);
        assertThat(stranger.get("/api/touch/" + "x".repeat(43) + "/400/400").status())
                .as("a token nobody made")
                .isEqualTo(404);
    }

    @Test
    void aLinkLeadsThroughTheDoorAndItsTokenIsEnough() throws Exception {
        UUID job = app.signedIn(Role.TECHNICIAN).openJob();
        JsonNode link = new Client(door.url(), trusting())
                .as(Role.TECHNICIAN)
                .send("POST", "/api/jobs/" + job + "/touch", null)
                .json();
        assertThat(link.get("address").asString()).startsWith(door.url() + "/touch.html#");
        assertThat(link.get("fingerprint").asString()).isEqualTo(door.fingerprint());
        String token = link.get("address").asString().split("#")[1];
        assertThat(new Client(door.url(), trusting())
                        .send(
                                "PUT",
                                "/api/touch/" + token + "/WATCH/0",
                                Map.of("widthPx", 1194, "heightPx", 834, "samples", List.of(), "last", true))
                        .status())
                .isEqualTo(204);
        assertThat(Files.readString(folder.resolve("network.txt"))).contains(door.url(), door.fingerprint());
    }

    @Test
    void whoeverSpeaksWithoutTlsIsTurnedAway() throws IOException {
        String url = door.url();
        int port = Integer.parseInt(url.substring(url.lastIndexOf(':') + 1));
        try (Socket plain = new Socket("127.0.0.1", port)) {
            plain.getOutputStream()
                    .write("GET /touch.html HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n".getBytes());
            assertThat(new String(plain.getInputStream().readAllBytes())).doesNotContain("Ridgefall");
        }
    }

    @Test
    void theShopsOwnCertificateIsTheOneShown(@TempDir Path other) throws Exception {
        X509Certificate certificate = (X509Certificate) keys().getCertificate("ridgefall");
        Path cert = pem("cert.pem", "CERTIFICATE", certificate.getEncoded());
        Path key = pem(
                "key.pem",
                "PRIVATE KEY",
                keys().getKey(
                                "ridgefall",
                                Files.readString(folder.resolve("tls.password")).toCharArray())
                        .getEncoded());
        try (ConfigurableApplicationContext node =
                node(other, "--ridgefall.network.certificate=" + cert, "--ridgefall.network.key=" + key)) {
            Door door = door(node);
            assertThat(new Client(door.url(), trusting()).get("/touch.html").status())
                    .isEqualTo(200);
            assertThat(door.fingerprint().replace(":", ""))
                    .isEqualToIgnoringCase(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded())));
            assertThat(other.resolve("tls.p12")).doesNotExist();
        }
    }

    private Path pem(String name, String kind, byte[] content) throws IOException {
        return Files.writeString(
                folder.resolve(name),
                "-----BEGIN " + kind + "-----\n" + Base64.getMimeEncoder().encodeToString(content) + "\n-----END "
                        + kind + "-----\n");
    }
}
