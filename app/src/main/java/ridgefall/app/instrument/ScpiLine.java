package ridgefall.app.instrument;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;

/**
 * One connection to an instrument: a query a line, an answer a line or a block of bytes whose length it begins with. Whatever
 * the other end does, an answer comes or fails within the patience; after a failure the line is of no use any more, as a late
 * answer would be taken for the next.
 */
public final class ScpiLine implements AutoCloseable {
    /** The longest answer that can be a number with its unit. */
    private static final int LONGEST = 200;

    /** Digits of a length that a block can have here. */
    private static final int MOST_DIGITS = 6;

    private final Socket socket = new Socket();
    private final Duration patience;

    /** @param patience for connecting, and for each answer */
    public ScpiLine(String host, int port, Duration patience) throws IOException {
        this.patience = patience;
        try {
            socket.setTcpNoDelay(true);
            socket.connect(new InetSocketAddress(host, port), (int) patience.toMillis());
        } catch (IOException e) {
            socket.close();
            throw e;
        }
    }

    /** Fewer bytes came than the block began by saying. */
    public static final class CutShort extends IOException {
        private static final long serialVersionUID = 1;

        CutShort(int said, int came) {
            super("says " + said + " bytes, sends " + came);
        }
    }

    /** @throws IOException when no whole line came in time, or the line is closed, or the answer is no answer */
    public String ask(String query) throws IOException {
        InputStream in = asked(query);
        long until = until();
        StringBuilder line = new StringBuilder();
        while (true) {
            int next;
            try {
                next = next(in, until);
            } catch (SocketTimeoutException e) {
                throw silent(line);
            }
            if (next == '\n') {
                return line.toString().strip();
            }
            line.append((char) next);
            if (line.length() > LONGEST) {
                throw new IOException("sends without end");
            }
        }
    }

    /**
     * A definite-length block (IEEE 488.2): {@code #}, how many digits, the length in them, the bytes, an end of line.
     *
     * @throws CutShort when fewer came than it said
     * @throws IOException when it is no such block, or longer than {@code most}
     */
    public byte[] askBlock(String query, int most) throws IOException {
        InputStream in = asked(query);
        long until = until();
        int said;
        try {
            if (next(in, until) != '#') {
                throw new IOException("answers with no block");
            }
            said = number(in, until, number(in, until, 1));
            if (said > most) {
                throw new IOException("says " + said + " bytes, asked for " + most + " at most");
            }
        } catch (SocketTimeoutException e) {
            throw new IOException("no answer", e);
        }
        byte[] block = new byte[said];
        int came = 0;
        try {
            while (came < said) {
                block[came] = (byte) next(in, until);
                came++;
            }
            next(in, until);
        } catch (IOException e) {
            throw new CutShort(said, came);
        }
        return block;
    }

    private int number(InputStream in, long until, int digits) throws IOException {
        if (digits < 1 || digits > MOST_DIGITS) {
            throw new IOException("a block's length of " + digits + " digits");
        }
        int value = 0;
        for (int i = 0; i < digits; i++) {
            int digit = Character.digit(next(in, until), 10);
            if (digit < 0) {
                throw new IOException("a block's length that is no number");
            }
            value = 10 * value + digit;
        }
        return value;
    }

    /** Nothing is answered: what came of it is asked after. */
    public void tell(String command) throws IOException {
        socket.getOutputStream().write((command + "\n").getBytes(StandardCharsets.US_ASCII));
    }

    /** The same with a definite-length block behind it. */
    public void tell(String command, byte[] block) throws IOException {
        String length = String.valueOf(block.length);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.writeBytes((command + "#" + length.length() + length).getBytes(StandardCharsets.US_ASCII));
        whole.writeBytes(block);
        whole.write('\n');
        socket.getOutputStream().write(whole.toByteArray());
    }

    private InputStream asked(String query) throws IOException {
        InputStream in = socket.getInputStream();
        if (in.available() > 0) {
            throw new IOException("talks without being asked");
        }
        tell(query);
        return in;
    }

    private long until() {
        return System.nanoTime() + patience.toNanos();
    }

    /** The patience is for the whole answer, not for each byte of it. */
    private int next(InputStream in, long until) throws IOException {
        long left = (until - System.nanoTime()) / 1_000_000;
        if (left <= 0) {
            throw new SocketTimeoutException();
        }
        socket.setSoTimeout((int) left);
        int next = in.read();
        if (next < 0) {
            throw new IOException("hung up");
        }
        return next;
    }

    private static IOException silent(StringBuilder sofar) {
        return new IOException(sofar.isEmpty() ? "no answer" : "half a line: " + sofar);
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
