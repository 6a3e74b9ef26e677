package ridgefall.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;

/** The product as a person starts it, with the one script, in a data folder and on ports of its own. */
final class Product implements AutoCloseable {
    private static final String SCRIPT =
            Path.of("..").toAbsolutePath().normalize().resolve("ridgefall").toString();

    private final Map<String, Signed> sessions = new ConcurrentHashMap<>();
    private final String compilers;
    private final boolean thoroughPlans;
    private final Path data;
    private final int port = freePort();
    private final int databasePort = freePort();

    /**
     * What lives for minutes does better without the compiler that pays off after hours.
     *
     * @param thoroughPlans whether what no kept plan answers is planned as in a shop, or at a glance
     */
    Product(boolean thoroughPlans) {
        this("one", thoroughPlans);
    }

    /** @param compilers of the virtual machine: all or one */
    Product(String compilers) {
        this(compilers, true);
    }

    private Product(String compilers, boolean thoroughPlans) {
        this.compilers = compilers;
        this.thoroughPlans = thoroughPlans;
        try {
            data = Files.createTempDirectory("ridgefall-e2e");
            Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("rwxr-xr-x"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        start();
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    /** Somebody signed in, for all their screens of a run. */
    private record Signed(HttpClient http, CookieManager cookies) {}

    /** The cookie of it. */
    String session(String name, String password) {
        return cookie(signed(name, password).cookies, "ridgefall_session");
    }

    private Signed signed(String name, String password) {
        return sessions.computeIfAbsent(name, who -> signIn(who, password));
    }

    private Signed signIn(String name, String password) {
        CookieManager cookies = new CookieManager();
        Signed signed =
                new Signed(HttpClient.newBuilder().cookieHandler(cookies).build(), cookies);
        send(signed, HttpRequest.newBuilder(URI.create(url() + "/api/session")));
        String body = "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password);
        post(signed, "/api/session", "application/json", body);
        return signed;
    }

    /** A job as its file has it, brought in by the lead; its id. */
    String bringIn(String file) {
        String id = UUID.randomUUID().toString();
        post(signed("Marn Ulscarth", "ridge-lead-33"), "/api/jobs-import?commandId=" + id, "text/plain", file);
        return id;
    }

    private void post(Signed who, String path, String type, String body) {
        send(
                who,
                HttpRequest.newBuilder(URI.create(url() + path))
                        .header("Content-Type", type)
                        .header("X-XSRF-TOKEN", cookie(who.cookies, "XSRF-TOKEN"))
                        .POST(BodyPublishers.ofString(body)));
    }

    private static void send(Signed who, HttpRequest.Builder asked) {
        try {
            HttpResponse<String> answer = who.http.send(asked.build(), BodyHandlers.ofString());
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(
                        answer.uri() + " was answered with " + answer.statusCode() + ": " + answer.body());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static String cookie(CookieManager cookies, String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no cookie " + name));
    }

    /** Builds nothing new when the build is current; answers once the app does. */
    String start() {
        return script("demo");
    }

    void stop() {
        script("stop");
    }

    /** A start that is at work: what it launched, which is not ready yet, and the command itself. */
    record Starting(String pid, Process command) {}

    /** Begins a start of an app that was killed, and returns once what it launched has its number. */
    Starting beginStart() {
        try {
            Path pid = data.resolve("app.pid");
            Files.deleteIfExists(pid);
            Process command = command(List.of(SCRIPT, "demo"))
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            while (command.isAlive() && (Files.notExists(pid) || pid().isEmpty())) {
                LockSupport.parkNanos(Duration.ofMillis(20).toNanos());
            }
            return new Starting(pid(), command);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The number of the app's process. */
    String pid() {
        try {
            return Files.readString(data.resolve("app.pid")).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** As if the power went: no shutdown hook runs. Returns once the kernel has taken it away, which may take a moment. */
    void killApp() {
        String pid = pid();
        run(List.of("kill", "-9", pid));
        for (int i = 0; i < 100 && ProcessHandle.of(Long.parseLong(pid)).isPresent(); i++) {
            LockSupport.parkNanos(Duration.ofMillis(100).toNanos());
        }
    }

    /** The server's first process, as the kernel does where memory runs out. */
    void killDatabase() {
        try (Stream<String> lines = Files.lines(data.resolve("db/postmaster.pid"))) {
            run(List.of("kill", "-9", lines.findFirst().orElseThrow().strip()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What the script says of both halves, whether all runs or not. */
    String status() {
        return said(List.of(SCRIPT, "status"), 0, 3);
    }

    void stopDatabase() {
        script("db", "stop");
    }

    void startDatabase() {
        script("db", "start");
    }

    private String script(String... words) {
        return run(Stream.concat(Stream.of(SCRIPT), Stream.of(words)).toList());
    }

    private String run(List<String> command) {
        return said(command, 0);
    }

    private ProcessBuilder command(List<String> words) {
        ProcessBuilder builder = new ProcessBuilder(words).redirectErrorStream(true);
        builder.environment()
                .putAll(Map.of(
                        "RIDGEFALL_COMPILERS",
                        compilers,
                        "RIDGEFALL_WARM_UP",
                        "false",
                        "RIDGEFALL_THOROUGH_PLANS",
                        Boolean.toString(thoroughPlans),
                        "RIDGEFALL_HASH_ROUNDS",
                        "4",
                        // One journey's picks would be another one's hands, and everything planned anew by them.
                        "RIDGEFALL_PICKS_REMEMBERED",
                        "0",
                        "RIDGEFALL_DATA",
                        data.toString(),
                        "RIDGEFALL_PORT",
                        Integer.toString(port),
                        "RIDGEFALL_DB_PORT",
                        Integer.toString(databasePort)));
        return builder;
    }

    private String said(List<String> command, Integer... fine) {
        try {
            Path output = Files.createTempFile("ridgefall-e2e", ".out");
            // Not a pipe: the app that the script leaves behind would keep it open.
            int ended = command(command)
                    .redirectOutput(output.toFile())
                    .start()
                    .onExit()
                    .join()
                    .exitValue();
            String said = Files.readString(output);
            Files.delete(output);
            if (!List.of(fine).contains(ended)) {
                throw new IllegalStateException(String.join(" ", command) + " ended with " + ended + ": " + said);
            }
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        script("stop");
        try {
            // Whoever looks for why a journey failed wants to know what the app said meanwhile.
            Files.copy(data.resolve("app.log"), Path.of("target/app.log"), StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        run(List.of("rm", "-rf", data.toString()));
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
