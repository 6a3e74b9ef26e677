package ridgefall.app.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import ridgefall.app.http.BodiesUnderWay;
import ridgefall.core.units.NotAllowed;

class BenchNetworkTest {
    private static final Instant NOW = Instant.parse("2026-11-28T06:00:00Z");

    @TempDir
    Path folder;

    private void opened(NetworkSettings settings) {
        new BenchNetwork(settings, new BodiesUnderWay(200), Clock.systemUTC())
                .customize(new TomcatServletWebServerFactory());
    }

    @Test
    void nothingIsOpenedUnasked() {
        TomcatServletWebServerFactory server = new TomcatServletWebServerFactory();
        BenchNetwork network = new BenchNetwork(
                new NetworkSettings("", 8490, "", "", folder.toString(), ""),
                new BodiesUnderWay(200),
                Clock.systemUTC());
        network.customize(server);
        assertThat(server.getAdditionalConnectors()).isEmpty();
        assertThat(network.door()).isEmpty();
        assertThat(folder).isEmptyDirectory();
    }

    @Test
    void anAddressOfAnotherMachineIsRefusedWithThoseOfThisOne() {
        assertThatThrownBy(() -> opened(new NetworkSettings("203.0.113.7", 0, "", "", folder.toString(), "")))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("RIDGEFALL_BIND is 203.0.113.7")
                .hasMessageContaining("127.0.0.1");
        assertThatThrownBy(() -> opened(new NetworkSettings("127.0.0.1", 70000, "", "", folder.toString(), "")))
                .hasMessageContaining("RIDGEFALL_TLS_PORT");
    }

    @Test
    void aCertificateWithoutItsKeyIsRefused() throws IOException {
        Path certificate = Files.writeString(folder.resolve("cert.pem"), "no certificate");
        assertThatThrownBy(() -> opened(new NetworkSettings("127.0.0.1", 0, certificate.toString(), "", null, "")))
                .hasMessageContaining("RIDGEFALL_TLS_KEY");
        assertThatThrownBy(() -> opened(
                        new NetworkSettings("127.0.0.1", 0, certificate.toString(), certificate.toString(), null, "")))
                .hasMessageContaining("RIDGEFALL_TLS_CERT")
                .hasMessageContaining("a PEM file with a certificate");
    }

    @Test
    void aCertificateIsKeptUntilItIsOverOrAnAddressIsNew() throws IOException {
        List<String> here = List.of("127.0.0.1");
        TlsCertificate first = TlsCertificate.in(folder, here, NOW);
        assertThat(first.fingerprint()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
        assertThat(TlsCertificate.in(folder, here, NOW).fingerprint()).isEqualTo(first.fingerprint());
        TlsCertificate wider = TlsCertificate.in(folder, List.of("127.0.0.1", "10.7.0.2"), NOW);
        assertThat(wider.fingerprint()).isNotEqualTo(first.fingerprint());
        assertThat(TlsCertificate.in(folder, here, wider.until().plusSeconds(1)).fingerprint())
                .isNotEqualTo(wider.fingerprint());
    }

    @Test
    void onlyItsOwnUserReadsTheKey() throws IOException {
        TlsCertificate.in(folder, List.of("127.0.0.1"), NOW);
        for (String file : List.of(TlsCertificate.STORE, TlsCertificate.PASSWORD)) {
            assertThat(Files.getPosixFilePermissions(folder.resolve(file)).toString())
                    .as(file)
                    .doesNotContain("GROUP", "OTHERS");
        }
    }
}
