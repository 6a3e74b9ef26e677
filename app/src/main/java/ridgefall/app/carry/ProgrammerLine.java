package ridgefall.app.carry;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import ridgefall.app.instrument.ScpiLine;
import ridgefall.core.carry.CopyFact.Trouble;
import ridgefall.core.carry.FrontOnAdapter.Refused;

/** A conversation with a programmer, as docs/formats/programmer.md has it. */
final class ProgrammerLine implements AutoCloseable {
    /** The most bytes that are asked for, or given, at once. */
    static final int MOST_AT_ONCE = 4096;

    static final Duration PATIENCE = Duration.ofSeconds(3);

    private static final Pattern FRONT = Pattern.compile("\"([^\"]{1,60})\",\"([^\"]{1,60})\"");
    private static final Pattern ERROR = Pattern.compile("([+-]?\\d{1,5}),\"(.{0,150})\"");
    private static final int MOST_ERRORS = 20;
    private static final Logger LOG = LoggerFactory.getLogger(ProgrammerLine.class);

    private final ScpiLine line;

    /** @param place as {@link ridgefall.app.instrument.ShopNets} allows it */
    ProgrammerLine(InetSocketAddress place) throws IOException {
        line = new ScpiLine(place, PATIENCE);
    }

    /** It answered, and what it says speaks against going on. */
    static final class Unwilling extends Exception {
        private static final long serialVersionUID = 1;
        private final transient Refused why;

        Unwilling(Trouble trouble, String said) {
            this(new Refused(trouble, said));
        }

        Unwilling(Refused why) {
            super(why.said());
            this.why = why;
        }

        Refused why() {
            return why;
        }
    }

    /** @param front what no other front is called */
    record Front(String front, String generation) {}

    String identity() throws IOException {
        return line.ask("*IDN?");
    }

    String adapter() throws IOException {
        return line.ask("ADAP:TYPE?");
    }

    /** What it said before is not about us. */
    void clear() throws IOException {
        line.tell("*CLS");
    }

    void home() throws IOException, Unwilling {
        String state = line.ask("ADAP:STAT?");
        switch (state) {
            case "HOME" -> {
                return;
            }
            case "OPEN" -> throw new Unwilling(Trouble.ADAPTER_OPEN, null);
            case "LOOP" -> throw new Unwilling(Trouble.RESTARTS, null);
            default -> throw new Unwilling(Trouble.REFUSED, "says of its adapter: " + ScpiLine.shown(state));
        }
    }

    Front front() throws IOException, Unwilling {
        String said = line.ask("FRON:IDEN?");
        Matcher front = FRONT.matcher(said);
        if (!front.matches()) {
            agree();
            throw new Unwilling(Trouble.REFUSED, "says of the front: " + ScpiLine.shown(said));
        }
        return new Front(front.group(1), front.group(2));
    }

    /** @return 1 to {@code most} */
    int size(int most) throws IOException, Unwilling {
        String said = line.ask("DATA:SIZE?");
        if (!said.matches("\\d{1,7}") || Integer.parseInt(said) < 1 || Integer.parseInt(said) > most) {
            agree();
            throw new Unwilling(
                    Trouble.REFUSED, "says " + ScpiLine.shown(said) + " bytes; 1 to " + most + " can be kept");
        }
        return Integer.parseInt(said);
    }

    byte[] read(int offset, int count) throws IOException, Unwilling {
        byte[] block = line.askBlock("DATA:READ? " + offset + "," + count, MOST_AT_ONCE);
        agree();
        if (block.length != count) {
            throw new Unwilling(Trouble.CUT_SHORT, "byte " + offset + ": " + block.length + " of " + count + " bytes");
        }
        return block;
    }

    void write(int offset, byte[] block) throws IOException, Unwilling {
        line.tell("DATA:WRIT " + offset + ",", block);
        agree();
    }

    /** CRC-32 of all that the front holds. */
    long checksum() throws IOException, Unwilling {
        String said = line.ask("DATA:CHEC?");
        agree();
        if (!said.matches("[0-9A-Fa-f]{8}")) {
            throw new Unwilling(Trouble.REFUSED, "says of its checksum: " + ScpiLine.shown(said));
        }
        return Long.parseLong(said, 16);
    }

    /** Whether or not it hears that: what went on is over. */
    void abort() {
        try {
            line.tell("ABOR");
        } catch (IOException e) {
            LOG.debug("not aborted: {}", e.getMessage());
        }
    }

    /** @param fault what a stand-in is to play next */
    void play(String fault) throws IOException {
        line.tell("SIM:FAUL " + fault);
        // Once it answers it has heard.
        line.ask("*IDN?");
    }

    /** Its errors since last time; the first says what is wrong. */
    private void agree() throws IOException, Unwilling {
        Unwilling first = null;
        for (int i = 0; i < MOST_ERRORS; i++) {
            Matcher error = ERROR.matcher(line.ask("SYST:ERR?"));
            if (!error.matches()) {
                throw new IOException("no error queue");
            }
            int code = Integer.parseInt(error.group(1));
            if (code == 0) {
                break;
            } else if (first == null) {
                first = new Unwilling(trouble(code), ScpiLine.shown(error.group(2)));
            }
        }
        if (first != null) {
            throw first;
        }
    }

    private static Trouble trouble(int code) {
        return switch (code) {
            case 201 -> Trouble.ADAPTER_OPEN;
            case 202 -> Trouble.RESTARTS;
            case 203 -> Trouble.READ_ERROR;
            default -> Trouble.REFUSED;
        };
    }

    @Override
    public void close() throws IOException {
        line.close();
    }
}
