package ridgefall.app.reach;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.Base64;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/** The certificate that callers from the network see: the shop's own, or one made here and kept. */
record TlsCertificate(X509Certificate seen) {
    static final String STORE = "tls.p12";
    static final String PASSWORD = "tls.password";
    private static final String ALIAS = "ridgefall";

    /** Longer no browser takes one. */
    private static final int DAYS = 825;

    /** SHA-256 over it, as browsers show it. */
    String fingerprint() {
        try {
            return HexFormat.ofDelimiter(":")
                    .withUpperCase()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(seen.getEncoded()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    Instant until() {
        return seen.getNotAfter().toInstant();
    }

    /** @throws IOException where the file is not there or holds none */
    static TlsCertificate ofPem(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new TlsCertificate(
                    (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in));
        } catch (GeneralSecurityException e) {
            throw new IOException("it holds no certificate", e);
        }
    }

    /** The one in this folder; made where there is none, it is over, or it does not name all of these addresses. */
    static TlsCertificate in(Path folder, List<String> addresses, Instant now) throws IOException {
        Path store = folder.resolve(STORE);
        if (Files.exists(store)) {
            TlsCertificate kept = read(folder);
            if (kept.until().isAfter(now) && kept.names().containsAll(addresses)) {
                return kept;
            }
            Files.delete(store);
        }
        make(folder, addresses);
        return read(folder);
    }

    static String password(Path folder) throws IOException {
        return Files.readString(folder.resolve(PASSWORD)).strip();
    }

    private static TlsCertificate read(Path folder) throws IOException {
        try (InputStream in = Files.newInputStream(folder.resolve(STORE))) {
            KeyStore keys = KeyStore.getInstance("PKCS12");
            keys.load(in, password(folder).toCharArray());
            return new TlsCertificate((X509Certificate) keys.getCertificate(ALIAS));
        } catch (GeneralSecurityException e) {
            throw new IOException(folder.resolve(STORE) + " can't be opened; delete it and it is made anew", e);
        }
    }

    /** Names and addresses that it is made out to. */
    Collection<String> names() {
        try {
            Collection<List<?>> names = seen.getSubjectAlternativeNames();
            return names == null
                    ? List.of()
                    : names.stream()
                            .map(name -> String.valueOf(name.get(1)).toLowerCase(Locale.ROOT))
                            .collect(Collectors.toCollection(TreeSet::new));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("the certificate's names can't be read", e);
        }
    }

    /** By the Java runtime's own tool: nothing else in it makes certificates. */
    private static void make(Path folder, List<String> addresses) throws IOException {
        Files.createDirectories(folder);
        byte[] secret = new byte[24];
        new SecureRandom().nextBytes(secret);
        Path password = folder.resolve(PASSWORD);
        Files.deleteIfExists(password);
        Files.createFile(password, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(password, Base64.getUrlEncoder().withoutPadding().encodeToString(secret));
        Process tool = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-J-XX:TieredStopAtLevel=1",
                        "-J-XX:+UseSerialGC",
                        "-genkeypair",
                        "-alias",
                        ALIAS,
                        "-keyalg",
                        "EC",
                        "-groupname",
                        "secp256r1",
                        "-dname",
                        "CN=Ridgefall bench",
                        "-validity",
                        String.valueOf(DAYS),
                        "-ext",
                        "SAN=" + addresses.stream().map(a -> "ip:" + a).collect(Collectors.joining(",")),
                        "-storetype",
                        "PKCS12",
                        "-keystore",
                        folder.resolve(STORE).toString(),
                        "-storepass:file",
                        password.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(tool.getInputStream().readAllBytes());
        try {
            if (!tool.waitFor(60, TimeUnit.SECONDS) || tool.exitValue() != 0) {
                throw new IOException("no certificate was made: " + said.strip());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted while a certificate was made", e);
        }
        Files.setPosixFilePermissions(folder.resolve(STORE), PosixFilePermissions.fromString("rw-------"));
    }
}
