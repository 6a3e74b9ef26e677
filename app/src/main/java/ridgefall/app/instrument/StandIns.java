package ridgefall.app.instrument;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.ToDoubleBiFunction;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Instruments.Instrument;
import ridgefall.app.instrument.Readings.Run;
import ridgefall.app.job.Jobs;
import ridgefall.core.bond.BondState;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.Setup;
import ridgefall.core.heat.StandInBench;
import ridgefall.core.prove.SealProof;
import ridgefall.core.test.ChargeTrace;

/**
 * Instruments that are not there: a plate with a sensor in its face, a thermometer with two thermocouples, both
 * beside Plate 1, a payment reader, a radiometer, a dial gauge, a leak tester and a USB
 * power meter with a thermocouple and a touch rig, speaking SCPI over TCP on loopback like real ones. What they say comes from a bench whose truth no plan
 * knows.
 */
@Component
@ConditionalOnProperty("ridgefall.demo")
@Order
class StandIns implements ApplicationRunner, DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(StandIns.class);
    private static final String SOURCE = "plate-1";
    private static final long SEED = 7;
    private static final double NOISE_K = 0.3;

    /** A lamp of 50 that has lost a sixth of its light. */
    private static final double AGED_LAMP_MW_PER_CM2 = 42;

    /** Where its foot stands, left alone. */
    private static final double ON_ITS_PLACE_MM = 0.03;

    private static final double THIN_RING_MM = 0.295;

    private final Instruments instruments;
    private final ShopNets nets;
    private final Readings readings;
    private final Jobs jobs;
    private final Clock clock;
    private final ExecutorService talking = Executors.newCachedThreadPool();
    private final Cache<List<Soak>, StandInBench> benches =
            Caffeine.newBuilder().maximumSize(4).build();
    private final Random noise = new Random(SEED);
    private ServerSocket plate;
    private ServerSocket thermometer;
    private ServerSocket reader;
    private ServerSocket radiometer;
    private ServerSocket gauge;
    private ServerSocket tester;
    private ServerSocket meter;
    private ServerSocket rig;
    private volatile StandInRig under = StandInRig.TABLET;

    StandIns(Instruments instruments, ShopNets nets, Readings readings, Jobs jobs, Clock clock) {
        this.instruments = instruments;
        this.nets = nets;
        this.readings = readings;
        this.jobs = jobs;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        plate = open();
        thermometer = open();
        reader = open();
        radiometer = open();
        gauge = open();
        tester = open();
        meter = open();
        rig = open();
        String host = plate.getInetAddress().getHostAddress();
        instruments.put(new Instrument(
                "stand-in-plate",
                "Plate 1's own sensor (stand-in)",
                host,
                plate.getLocalPort(),
                HeatFact.SOAK.id(),
                SOURCE,
                List.of(new Channel(Quantity.TEMPERATURE, Channel.SOURCE, "MEAS:TEMP:SURF?"))));
        instruments.put(new Instrument(
                "stand-in-thermocouples",
                "Two thermocouples (stand-in)",
                host,
                thermometer.getLocalPort(),
                HeatFact.SOAK.id(),
                SOURCE,
                List.of(
                        new Channel(Quantity.TEMPERATURE, Surface.FRAME.name(), "MEAS:TEMP? (@101)"),
                        new Channel(Quantity.TEMPERATURE, Surface.GLASS.name(), "MEAS:TEMP? (@102)"))));
        instruments.put(new Instrument(
                "stand-in-reader",
                "Payment reader (stand-in)",
                host,
                reader.getLocalPort(),
                Instruments.NO_RUN,
                null,
                List.of(new Channel(Quantity.CARD, "pad", "CARD:ANSW? (@101)"))));
        instruments.put(new Instrument(
                "stand-in-radiometer",
                "Radiometer (stand-in)",
                host,
                radiometer.getLocalPort(),
                Instruments.NO_RUN,
                null,
                List.of(new Channel(Quantity.IRRADIANCE, "under the lamp", "MEAS:IRR?"))));
        instruments.put(new Instrument(
                "stand-in-dial-gauge",
                "Dial gauge (stand-in)",
                host,
                gauge.getLocalPort(),
                Instruments.NO_RUN,
                null,
                List.of(new Channel(Quantity.DISPLACEMENT, "over the rim", "MEAS:DISP?"))));
        instruments.put(new Instrument(
                "stand-in-leak-tester",
                "Leak tester (stand-in)",
                host,
                tester.getLocalPort(),
                SealProof.TESTING.id(),
                null,
                List.of(
                        new Channel(Quantity.PRESSURE, "chamber", "MEAS:PRES?"),
                        new Channel(Quantity.TEMPERATURE, "chamber", "MEAS:TEMP? (@201)"))));
        instruments.put(new Instrument(
                "stand-in-usb-meter",
                "USB power meter (stand-in)",
                host,
                meter.getLocalPort(),
                ChargeTrace.CHARGING.id(),
                null,
                List.of(
                        new Channel(Quantity.CURRENT, "cable", "MEAS:CURR?"),
                        new Channel(Quantity.VOLTAGE, "cable", "MEAS:VOLT?"),
                        new Channel(Quantity.TEMPERATURE, "back", "MEAS:TEMP? (@301)"))));
        instruments.put(new Instrument(
                "stand-in-touch-rig",
                "Touch rig (stand-in)",
                host,
                rig.getLocalPort(),
                Instruments.NO_RUN,
                null,
                List.of(new Channel(Quantity.TOUCH, "under its finger", "TOUC:DEV?"))));
        talking.execute(() -> accept(rig));
        talking.execute(() -> accept(meter));
        talking.execute(() -> accept(gauge));
        talking.execute(() -> accept(tester));
        talking.execute(() -> accept(radiometer));
        talking.execute(() -> accept(reader));
        talking.execute(() -> accept(plate));
        talking.execute(() -> accept(thermometer));
    }

    private ServerSocket open() throws IOException {
        ServerSocket server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
        nets.standsIn(server.getLocalPort());
        return server;
    }

    private void accept(ServerSocket server) {
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
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
                OutputStream out = caller.getOutputStream()) {
            for (String query = in.readLine(); query != null; query = in.readLine()) {
                if (query.startsWith("TOUC:FACE ")) {
                    String[] mm = query.substring("TOUC:FACE ".length()).split(",");
                    under = new StandInRig(Double.parseDouble(mm[0]), Double.parseDouble(mm[1]));
                } else {
                    out.write((answer(query.strip()) + "\n").getBytes(StandardCharsets.US_ASCII));
                    out.flush();
                }
            }
        } catch (IOException e) {
            LOG.debug("stand-in: {}", e.getMessage());
        }
    }

    private String answer(String query) {
        if (query.startsWith("TOUC:TRAC? ")) {
            String csv = under.trace(query.substring("TOUC:TRAC? ".length()));
            String length = String.valueOf(csv.length());
            return "#" + length.length() + length + csv;
        }
        return switch (query) {
            case "TOUC:DEV?" -> "1";
            case "TOUC:SCR?" -> under.screen();
            case "*IDN?" -> "Ridgefall,stand-in,0,1";
            case "UNIT:TEMP?" -> "C";
            case "MEAS:TEMP? (@101)" -> number(device(Surface.FRAME));
            case "MEAS:TEMP? (@102)" -> number(device(Surface.GLASS));
            case "MEAS:TEMP:SURF?" -> number(surface());
            // A device lies on its first pad, nothing on its second.
            case "CARD:ANSW? (@101)" -> "1";
            case "CARD:ANSW? (@102)" -> "0";
            case "MEAS:IRR?" -> number(AGED_LAMP_MW_PER_CM2);
            case "MEAS:DISP?" -> number(ON_ITS_PLACE_MM);
            case "MEAS:PRES?" -> number(chamber(true));
            case "MEAS:TEMP? (@201)" -> number(chamber(false));
            case "MEAS:CURR?" -> number(charge(StandInCharge::amps));
            case "MEAS:VOLT?" -> number(charge(StandInCharge::volts));
            case "MEAS:TEMP? (@301)" -> number(charge(StandInCharge::celsius));
            default -> "";
        };
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%+.6E", value);
    }

    /** The tester's chamber, its pressure or its warmth: empty until a watch's test runs. */
    private double chamber(boolean pressure) {
        Optional<Run> testing = readings.latest(SealProof.TESTING.id());
        if (testing.isEmpty()) {
            return pressure ? 0 : HeatQuestion.USUAL_ROOM_C;
        }
        StandInChamber chamber =
                new StandInChamber(leaks(jobs.course(testing.get().jobId())));
        double seconds = since(testing.get());
        return pressure ? chamber.kPa(seconds) : chamber.celsius(seconds);
    }

    /** What hangs on the cable: nothing until a device is watched on it. */
    private double charge(ToDoubleBiFunction<StandInCharge, Double> what) {
        Optional<Run> watched = readings.latest(ChargeTrace.CHARGING.id());
        return what.applyAsDouble(
                watched.map(run -> StandInCharge.of(jobs.course(run.jobId()))).orElse(StandInCharge.NONE),
                watched.map(this::since).orElse(0.0));
    }

    /** A ring that is thinner than it should be: squeezed just enough by the caliper, and yet it leaks. */
    private static boolean leaks(Course course) {
        return BondState.of(course.state())
                .ringMm()
                .filter(mm -> mm < THIN_RING_MM)
                .isPresent();
    }

    private double idle() {
        synchronized (noise) {
            return HeatQuestion.USUAL_ROOM_C + NOISE_K * noise.nextGaussian();
        }
    }

    private double device(Surface surface) {
        return readings.soakingOn(SOURCE)
                .map(soaking -> bench(soaking).shows(surface, since(soaking)))
                .orElseGet(this::idle);
    }

    private double surface() {
        Optional<Run> soaking = readings.soakingOn(SOURCE);
        if (soaking.isEmpty()) {
            return idle();
        }
        Course course = jobs.course(soaking.get().jobId());
        HeatSource source = course.heatQuestion().source(SOURCE);
        Setup setup = Setup.face(
                HeatState.of(course.state()).runningSoak().orElseThrow().settingC());
        return bench(soaking.get()).surfaceC(source, setup) + idle() - HeatQuestion.USUAL_ROOM_C;
    }

    private double since(Run soaking) {
        return Duration.between(soaking.startedAt(), clock.instant()).toMillis() / 1000.0;
    }

    private StandInBench bench(Run soaking) {
        Course course = jobs.course(soaking.jobId());
        HeatQuestion question = course.heatQuestion();
        return benches.get(HeatState.of(course.state()).soaks(), soaks -> new StandInBench(question, soaks, SEED));
    }

    @Override
    public void destroy() throws IOException {
        talking.shutdownNow();
        for (ServerSocket server :
                new ServerSocket[] {plate, thermometer, reader, radiometer, gauge, tester, meter, rig}) {
            if (server != null) {
                server.close();
            }
        }
    }
}
