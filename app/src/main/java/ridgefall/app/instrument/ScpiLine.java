package ridgefall.app.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;

/**
 * One connection to an instrument: a query a line, an answer a line. Whatever the other end does, an answer comes or fails
 * within the patience; after a failure the line is of no use any more, as a late answer would be taken for the next.
 */
final class ScpiLine implements AutoCloseable {
    /** The longest answer that can be a number with its unit. */
    private static final int LONGEST = 200;

    private final Socket socket = new Socket();
    private final Duration patience;

    /** @param patience for connecting, and for each answer */
    ScpiLine(String host, int port, Duration patience) throws IOException {
        this.patience = patience;
        try {
            socket.setTcpNoDelay(true);
            socket.connect(new InetSocketAddress(host, port), (int) patience.toMillis());
        } catch (IOException e) {
            socket.close();
            throw e;
        }
    }

    /** @throws IOException when no whole line came in time, or the line is closed, or the answer is no answer */
    String ask(String query) throws IOException {
        InputStream in = socket.getInputStream();
        if (in.available() > 0) {
            throw new IOException("talks without being asked");
        }
        socket.getOutputStream().write((query + "\n").getBytes(StandardCharsets.US_ASCII));
        long until = System.nanoTime() + patience.toNanos();
        StringBuilder line = new StringBuilder();
        while (true) {
            // The patience is for the whole line, not for each byte of it.
            long left = (until - System.nanoTime()) / 1_000_000;
            if (left <= 0) {
                throw silent(line);
            }
            socket.setSoTimeout((int) left);
            int next;
            try {
                next = in.read();
            } catch (SocketTimeoutException e) {
                throw silent(line);
            }
            if (next < 0) {
                throw new IOException("hung up");
            } else if (next == '\n') {
                return line.toString().strip();
            }
            line.append((char) next);
            if (line.length() > LONGEST) {
                throw new IOException("sends without end");
            }
        }
    }

    private static IOException silent(StringBuilder sofar) {
        return new IOException(sofar.isEmpty() ? "no answer" : "half a line: " + sofar);
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
