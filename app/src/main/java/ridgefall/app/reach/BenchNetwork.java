package ridgefall.app.reach;

import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;
import ridgefall.app.http.BodiesUnderWay;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * A second door beside the one of this machine, by TLS only: what comes through it is the same app, and but for the proof page of a
 * link and the sign-in it answers nobody who is not signed in.
 */
@Component
@EnableConfigurationProperties(NetworkSettings.class)
public class BenchNetwork implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final NetworkSettings asked;
    private final BodiesUnderWay underWay;
    private final Clock clock;
    private Connector door;
    private TlsCertificate certificate;
    private Collection<String> certified = List.of();

    BenchNetwork(NetworkSettings asked, BodiesUnderWay underWay, Clock clock) {
        this.asked = asked;
        this.underWay = underWay;
        this.clock = clock;
    }

    /**
     * @param url without a path
     * @param fingerprint SHA-256 of the certificate, as a browser shows it
     * @param until when the certificate is over
     */
    public record Door(String url, String fingerprint, Instant until) {}

    /** How others get here; empty where they can't. */
    public Optional<Door> door() {
        return Optional.ofNullable(door)
                .map(open -> new Door(
                        "https://" + host() + ":" + open.getLocalPort(),
                        certificate.fingerprint(),
                        certificate.until()));
    }

    /** Names and addresses that the certificate of the second door is made out to; none where there is none. */
    Collection<String> certified() {
        return certified;
    }

    /** @throws NotAllowed where what was asked for can't be had: better no start than a door nobody meant */
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.setProtocol(CountedConnections.class.getName());
        factory.addEngineValves(new UnreadBodies(underWay));
        if (!asked.asked()) {
            return;
        }
        Allowed.between("RIDGEFALL_TLS_PORT", asked.port(), 0, 65535, "");
        if (!asked.bind().equals(ALL) && !here().contains(asked.bind())) {
            throw new NotAllowed("RIDGEFALL_BIND", asked.bind(), "0.0.0.0, or one of " + String.join(", ", here()));
        }
        SSLHostConfig tls = new SSLHostConfig();
        tls.setProtocols("TLSv1.2+TLSv1.3");
        tls.addCertificate(asked.ownCertificate() ? own(tls) : made(tls));
        certified = certificate.names();
        door = new Connector(CountedConnections.class.getName());
        door.setScheme("https");
        door.setSecure(true);
        door.setPort(asked.port());
        door.addSslHostConfig(tls);
        AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) door.getProtocolHandler();
        protocol.setSSLEnabled(true);
        door.setProperty("address", asked.bind());
        door.setProperty("compression", "on");
        door.setProperty("connectionTimeout", String.valueOf(SILENT_FOR.toMillis()));
        factory.addAdditionalConnectors(door);
    }

    /** As the first door has it. */
    private static final Duration SILENT_FOR = Duration.ofSeconds(10);

    private static final String ALL = "0.0.0.0";

    private String host() {
        return asked.bind().equals(ALL) ? here().get(0) : asked.bind();
    }

    private SSLHostConfigCertificate own(SSLHostConfig tls) {
        readable("RIDGEFALL_TLS_CERT", asked.certificate());
        readable("RIDGEFALL_TLS_KEY", asked.key());
        try {
            certificate = TlsCertificate.ofPem(Path.of(asked.certificate()));
        } catch (IOException e) {
            throw new NotAllowed("RIDGEFALL_TLS_CERT", asked.certificate(), "a PEM file with a certificate");
        }
        SSLHostConfigCertificate use = new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.UNDEFINED);
        use.setCertificateFile(Path.of(asked.certificate()).toAbsolutePath().toString());
        use.setCertificateKeyFile(Path.of(asked.key()).toAbsolutePath().toString());
        return use;
    }

    private static void readable(String field, String file) {
        if (NetworkSettings.blank(file) || !Files.isReadable(Path.of(file))) {
            throw new NotAllowed(field, file, "a PEM file this user can read; certificate and key go together");
        }
    }

    private SSLHostConfigCertificate made(SSLHostConfig tls) {
        Path folder = Path.of(NetworkSettings.blank(asked.folder()) ? "." : asked.folder())
                .toAbsolutePath();
        SSLHostConfigCertificate use = new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.UNDEFINED);
        try {
            certificate = TlsCertificate.in(
                    folder, asked.bind().equals(ALL) ? here() : List.of(asked.bind()), clock.instant());
            use.setCertificateKeystorePassword(TlsCertificate.password(folder));
        } catch (IOException e) {
            throw new IllegalStateException("no certificate for the bench's network in " + folder, e);
        }
        use.setCertificateKeystoreFile(folder.resolve(TlsCertificate.STORE).toString());
        use.setCertificateKeystoreType("PKCS12");
        return use;
    }

    /** This machine's addresses, those a bench's network uses first. */
    private static List<String> here() {
        try {
            return NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(address -> address instanceof java.net.Inet4Address)
                    .sorted((a, b) -> Boolean.compare(a.isLoopbackAddress(), b.isLoopbackAddress()))
                    .map(InetAddress::getHostAddress)
                    .toList();
        } catch (SocketException e) {
            throw new IllegalStateException("this machine's addresses can't be read", e);
        }
    }
}
