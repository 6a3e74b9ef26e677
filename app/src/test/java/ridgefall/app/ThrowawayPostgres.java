package ridgefall.app;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** A PostgreSQL cluster of its own for one test run, without a password; gone afterwards. */
public final class ThrowawayPostgres implements AutoCloseable {
    private final Path bin;
    private final Path folder;
    private final int port;

    /** @param durable whether it waits for its disk */
    public ThrowawayPostgres(boolean durable) throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            bin = versions.max(Comparator.comparing(
                            p -> Integer.valueOf(p.getFileName().toString())))
                    .orElseThrow()
                    .resolve("bin");
        }
        folder = Files.createTempDirectory("ridgefall-pg");
        if (root()) {
            run(List.of("chown", "postgres", folder.toString()));
        }
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        Path data = folder.resolve("data");
        server("initdb", "-D", data, "-U", "ridgefall", "-E", "UTF8", "--locale=C.UTF-8", "-A", "trust", "-N");
        server(
                "pg_ctl",
                "-D",
                data,
                "-w",
                "-l",
                folder.resolve("log"),
                "-o",
                "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync="
                        + (durable ? "on" : "off"),
                "start");
    }

    public String url() {
        return "jdbc:postgresql://127.0.0.1:" + port + "/postgres";
    }

    @Override
    public void close() throws IOException {
        server("pg_ctl", "-D", folder.resolve("data"), "-m", "immediate", "stop");
        run(List.of("rm", "-rf", folder.toString()));
    }

    private static boolean root() {
        return "root".equals(System.getProperty("user.name"));
    }

    private void server(String program, Object... args) throws IOException {
        List<String> command = new ArrayList<>(root() ? List.of("runuser", "-u", "postgres", "--") : List.of());
        command.add(bin.resolve(program).toString());
        Arrays.stream(args).map(String::valueOf).forEach(command::add);
        run(command);
    }

    private void run(List<String> command) throws IOException {
        Process process = new ProcessBuilder(command)
                .directory(Path.of("/").toFile())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        // A start or stop of the server is not to be broken off half way.
        if (process.onExit().join().exitValue() != 0) {
            throw new IOException(String.join(" ", command) + " ended with " + process.exitValue());
        }
    }
}
