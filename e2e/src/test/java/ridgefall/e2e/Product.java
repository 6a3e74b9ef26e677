package ridgefall.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The product as a person starts it, with the one script, in a data folder and on ports of its own. */
final class Product implements AutoCloseable {
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

    private final Path data;
    private final int port = freePort();
    private final int databasePort = freePort();

    Product() {
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

    /** Builds nothing new when the build is current; answers once the app does. */
    String start() {
        return script("demo");
    }

    /** As if the power went: no shutdown hook runs. */
    void killApp() {
        try {
            run(List.of("kill", "-9", Files.readString(data.resolve("app.pid")).strip()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
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
        return said(List.of(ROOT.resolve("ridgefall").toString(), "status"), 0, 3);
    }

    void stopDatabase() {
        script("db", "stop");
    }

    void startDatabase() {
        script("db", "start");
    }

    private String script(String... words) {
        return run(Stream.concat(Stream.of(ROOT.resolve("ridgefall").toString()), Stream.of(words))
                .toList());
    }

    private String run(List<String> command) {
        return said(command, 0);
    }

    private String said(List<String> command, Integer... fine) {
        try {
            Path output = Files.createTempFile("ridgefall-e2e", ".out");
            ProcessBuilder builder = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    // Not a pipe: the app that the script leaves behind would keep it open.
                    .redirectOutput(output.toFile());
            builder.environment()
                    .putAll(Map.of(
                            "RIDGEFALL_DATA", data.toString(),
                            "RIDGEFALL_PORT", Integer.toString(port),
                            "RIDGEFALL_DB_PORT", Integer.toString(databasePort)));
            int ended = builder.start().onExit().join().exitValue();
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
