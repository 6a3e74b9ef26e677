package ridgefall.app.carry;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A programmer that is not there, on loopback: the other end of docs/formats/programmer.md, faults included. What stands on
 * its adapter is told by whoever made it; what a front holds it makes up, and remembers what was written.
 */
final class SimulatedProgrammer implements AutoCloseable {
    static final int BYTES = 16 << 10;

    /** Where a byte goes wrong, and where a block does. */
    static final int BAD_BYTE = 5_000;

    private static final Logger LOG = LoggerFactory.getLogger(SimulatedProgrammer.class);
    private static final Pattern BLOCK = Pattern.compile("DATA:READ\\? (\\d{1,6}),(\\d{1,6})");
    private static final int LONGEST_LINE = 200;
    private static final int SLOWER = 20;

    private final ServerSocket server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
    private final ExecutorService talking = Executors.newCachedThreadPool();
    private final Map<String, byte[]> memory = new ConcurrentHashMap<>();
    private final Deque<Fault> faults = new ArrayDeque<>();
    private final Deque<String> errors = new ArrayDeque<>();
    private final String adapter;
    private final Supplier<OnAdapter> bench;
    private final Duration aBlock;
    private volatile boolean slow;

    /**
     * @param bench what stands on the adapter now
     * @param aBlock how long a block takes
     */
    SimulatedProgrammer(String adapter, Supplier<OnAdapter> bench, Duration aBlock) throws IOException {
        this.adapter = adapter;
        this.bench = bench;
        this.aBlock = aBlock;
        talking.execute(this::accept);
    }

    /** @param other a front that does not belong here, for when that is played */
    record OnAdapter(String front, String generation, String other) {}

    /** What goes wrong next, once. */
    enum Fault {
        OPEN("a plug is not home"),
        LOOP("the front starts over and over"),
        READ("a block can't be read"),
        SHORT("a block breaks off"),
        CHECKSUM("a byte is lost on the way"),
        VERIFY("a byte is written wrong"),
        GENERATION("a front of another generation"),
        FRONT("another job's front"),
        SILENT("it hangs up"),
        SLOW("it takes its time");

        private final String words;

        Fault(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    String host() {
        return server.getInetAddress().getHostAddress();
    }

    int port() {
        return server.getLocalPort();
    }

    void play(Fault fault) {
        synchronized (faults) {
            faults.add(fault);
        }
    }

    /** What a front holds, as it was written, or as it came. */
    byte[] holds(String front) {
        return memory.computeIfAbsent(front, name -> {
            byte[] data = new byte[BYTES];
            new Random(name.hashCode()).nextBytes(data);
            return data;
        });
    }

    private boolean plays(Fault fault) {
        synchronized (faults) {
            return faults.peek() == fault && faults.poll() == fault;
        }
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                Socket caller = server.accept();
                talking.execute(() -> talk(caller));
            } catch (IOException e) {
                LOG.debug("stand-in: {}", e.getMessage());
            }
        }
    }

    private void talk(Socket caller) {
        try (caller;
                DataInputStream in = new DataInputStream(new BufferedInputStream(caller.getInputStream()));
                OutputStream out = caller.getOutputStream()) {
            for (String line = line(in); line != null; line = line(in)) {
                if (line.endsWith("?") || line.startsWith("DATA:READ?")) {
                    if (line.startsWith("DATA:READ?") && plays(Fault.SILENT)) {
                        return;
                    }
                    byte[] answer = answer(line);
                    out.write(answer);
                    out.flush();
                    if (answer.length > 0 && answer[answer.length - 1] != '\n') {
                        return;
                    }
                } else {
                    told(line, in);
                }
            }
        } catch (IOException e) {
            LOG.debug("stand-in: {}", e.getMessage());
        }
    }

    /** Up to the end of the line, or to a block; null at the end. */
    private static String line(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int next = in.read(); next >= 0 && line.length() < LONGEST_LINE; next = in.read()) {
            if (next == '\n' || next == '#') {
                return line.toString().strip();
            }
            line.append((char) next);
        }
        return null;
    }

    private byte[] answer(String query) {
        Matcher block = BLOCK.matcher(query);
        if (block.matches()) {
            return block(Integer.parseInt(block.group(1)), Integer.parseInt(block.group(2)));
        }
        return (text(query) + "\n").getBytes(StandardCharsets.US_ASCII);
    }

    private String text(String query) {
        OnAdapter on = bench.get();
        return switch (query) {
            case "*IDN?" -> "Ridgefall,stand-in programmer,0,1";
            case "ADAP:TYPE?" -> adapter;
            case "ADAP:STAT?" -> state(on);
            case "FRON:IDEN?" -> identity(on);
            case "DATA:SIZE?" -> String.valueOf(BYTES);
            case "DATA:CHEC?" -> checksum(on);
            case "SYST:ERR?" -> error();
            default -> "";
        };
    }

    /** Asked as a job begins. */
    private String state(OnAdapter on) {
        slow = plays(Fault.SLOW);
        return on == null || plays(Fault.OPEN) ? "OPEN" : plays(Fault.LOOP) ? "LOOP" : "HOME";
    }

    private String identity(OnAdapter on) {
        if (on == null) {
            return "";
        }
        String front = plays(Fault.FRONT) ? on.other() : on.front();
        String generation = plays(Fault.GENERATION) ? "another generation" : on.generation();
        return "\"" + front + "\",\"" + generation + "\"";
    }

    private String checksum(OnAdapter on) {
        CRC32 crc = new CRC32();
        crc.update(holds(on.front()));
        return String.format(Locale.ROOT, "%08X", crc.getValue());
    }

    private String error() {
        synchronized (errors) {
            return errors.isEmpty() ? "0,\"No error\"" : errors.poll();
        }
    }

    private void error(String error) {
        synchronized (errors) {
            errors.add(error);
        }
    }

    private byte[] block(int offset, int count) {
        pause();
        OnAdapter on = bench.get();
        if (on == null) {
            error("201,\"Adapter not home\"");
            return "#10\n".getBytes(StandardCharsets.US_ASCII);
        } else if (count < 1 || count > ProgrammerLine.MOST_AT_ONCE || offset + count > BYTES) {
            error("-222,\"Data out of range\"");
            return "#10\n".getBytes(StandardCharsets.US_ASCII);
        }
        boolean bad = offset <= BAD_BYTE && BAD_BYTE < offset + count;
        if (bad && plays(Fault.READ)) {
            error("203,\"Read error at " + BAD_BYTE + "\"");
            return "#10\n".getBytes(StandardCharsets.US_ASCII);
        }
        byte[] data = Arrays.copyOfRange(holds(on.front()), offset, offset + count);
        if (bad && plays(Fault.CHECKSUM)) {
            data[BAD_BYTE - offset] ^= 1;
        }
        ByteArrayOutputStream answer = new ByteArrayOutputStream();
        String length = String.valueOf(count);
        answer.writeBytes(("#" + length.length() + length).getBytes(StandardCharsets.US_ASCII));
        if (bad && plays(Fault.SHORT)) {
            answer.write(data, 0, count / 2);
            return answer.toByteArray();
        }
        answer.writeBytes(data);
        answer.write('\n');
        return answer.toByteArray();
    }

    private void told(String command, DataInputStream in) throws IOException {
        if (command.startsWith("DATA:WRIT ")) {
            write(Integer.parseInt(command.substring("DATA:WRIT ".length(), command.length() - 1)), in);
        } else if (command.startsWith("SIM:FAUL ")) {
            play(Fault.valueOf(command.substring("SIM:FAUL ".length())));
        } else if (command.equals("*CLS")) {
            synchronized (errors) {
                errors.clear();
            }
        } else if (!command.equals("ABOR") && !command.isEmpty()) {
            error("-113,\"Undefined header\"");
        }
    }

    private void write(int offset, DataInputStream in) throws IOException {
        int digits = Character.digit(in.read(), 10);
        byte[] block = new byte[Integer.parseInt(new String(in.readNBytes(digits), StandardCharsets.US_ASCII))];
        in.readFully(block);
        in.read();
        pause();
        OnAdapter on = bench.get();
        if (on == null) {
            error("201,\"Adapter not home\"");
        } else if (offset + block.length > BYTES) {
            error("-222,\"Data out of range\"");
        } else {
            byte[] after = holds(on.front()).clone();
            System.arraycopy(block, 0, after, offset, block.length);
            if (offset <= BAD_BYTE && BAD_BYTE < offset + block.length && plays(Fault.VERIFY)) {
                after[BAD_BYTE] ^= 1;
            }
            memory.put(on.front(), after);
        }
    }

    private void pause() {
        try {
            Thread.sleep(aBlock.toMillis() * (slow ? SLOWER : 1));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() throws IOException {
        talking.shutdownNow();
        server.close();
    }
}
