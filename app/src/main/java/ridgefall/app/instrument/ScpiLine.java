package ridgefall.app.instrument;

import java.io.ByteArrayOutputStream;
import java.io.EOFException;
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
    /** The longest line that an instrument has reason to send. */
    private static final int LONGEST = 200;

    /** So much of an answer is shown. */
    private static final int SHOWN = 80;

    private static final String SILENT = "does not answer";

    /** Digits of a length that a block can have here. */
    private static final int MOST_DIGITS = 6;

    private final Socket socket = new Socket();
    private final InetSocketAddress place;
    private final Duration patience;
    private boolean answered;

    /**
     * @param place as {@link ShopNets} allows it
     * @param patience for connecting, and for each answer; a failure takes as long, so that nobody learns from it what is there
     */
    public ScpiLine(InetSocketAddress place, Duration patience) throws IOException {
        this.place = place;
        this.patience = patience;
        long from = System.nanoTime();
        try {
            socket.setTcpNoDelay(true);
            socket.connect(place, (int) patience.toMillis());
        } catch (IOException e) {
            socket.close();
            Patience.spent(from, patience);
            throw new IOException(SILENT, e);
        }
    }

    boolean at(InetSocketAddress other) {
        return place.equals(other);
    }

    /** What of an answer can be shown: plain characters, not many. */
    public static String shown(String answer) {
        String plain = answer.replaceAll("[^ -~]", "?");
        return plain.length() > SHOWN ? plain.substring(0, SHOWN - 1) + "\u2026" : plain;
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
            } catch (IOException e) {
                throw silent(line, e, until);
            }
            if (next == '\n') {
                answered = true;
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
        return askBlock(query, most, patience);
    }

    /** The same of one that has answered before and needs longer for this. */
    byte[] askBlock(String query, int most, Duration longer) throws IOException {
        InputStream in = asked(query);
        long until = System.nanoTime() + longer.toNanos();
        int said;
        try {
            if (next(in, until) != '#') {
                throw new IOException("answers with no block");
            }
            said = number(in, until, number(in, until, 1));
            if (said > most) {
                throw new IOException("says " + said + " bytes, asked for " + most + " at most");
            }
        } catch (SocketTimeoutException | EOFException e) {
            throw silent(new StringBuilder(), e, System.nanoTime());
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
            throw new EOFException();
        }
        return next;
    }

    /** Of one that never answered nothing is told apart. */
    private IOException silent(StringBuilder sofar, IOException because, long until) {
        if (!sofar.isEmpty()) {
            return new IOException("half a line: " + shown(sofar.toString()));
        }
        if (answered) {
            return new IOException(because instanceof EOFException ? "hung up" : "no answer", because);
        }
        Patience.spent(until - patience.toNanos(), patience);
        return new IOException(SILENT, because);
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
