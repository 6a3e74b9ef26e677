package ridgefall.app;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;

/**
 * What a bench that is signed in feels of a stranger at its door, both at one address; with passwords hashed as in a shop. Run by
 * ./ridgefall bench, asserts nothing.
 */
public final class DoorBenchmark {
    private static final int CONNECTIONS = 40;
    private static final int SIGN_INS_A_SECOND = 300;
    private static final int SLOW_BODIES = 200;
    private static final int SECONDS = 20;
    private static final String SIGN_IN = "POST /api/session HTTP/1.1\r\nHost: localhost\r\nCookie: XSRF-TOKEN=own\r\n"
            + "X-XSRF-TOKEN: own\r\nContent-Type: application/json\r\nContent-Length: 9000\r\n\r\n{";

    private DoorBenchmark() {}

    public static void main(String[] args) throws Exception {
        try (App app = RunningApp.start(true);
                ConfigurableApplicationContext shop = SpringApplication.run(
                        RidgefallApp.class,
                        "--server.port=0",
                        "--ridgefall.warm-up=false",
                        "--ridgefall.thorough-plans=false",
                        "--spring.datasource.url=" + app.postgres().url(),
                        "--spring.datasource.username=ridgefall")) {
            String url = App.url(shop);
            Client bench = new Client(url).as(Role.TECHNICIAN);
            UUID job = bench.openJob();
            felt("nobody at the door", bench, job, 5);
            randomSignIns(url, bench, job);
            slowBodies(url, bench, job);
        }
    }

    private static void randomSignIns(String url, Client bench, UUID job) throws InterruptedException {
        ScheduledExecutorService strangers = Executors.newScheduledThreadPool(CONNECTIONS);
        Map<Integer, Integer> answers = new TreeMap<>();
        for (int i = 0; i < CONNECTIONS; i++) {
            Client stranger = new Client(url);
            stranger.get("/api/session");
            strangers.scheduleAtFixedRate(
                    () -> {
                        int status = stranger.post(
                                        "/api/session",
                                        Map.of(
                                                "name",
                                                "n"
                                                        + ThreadLocalRandom.current()
                                                                .nextInt(),
                                                "password",
                                                "a guess"))
                                .status();
                        synchronized (answers) {
                            answers.merge(status, 1, Integer::sum);
                        }
                    },
                    i * 1000 / SIGN_INS_A_SECOND,
                    1000L * CONNECTIONS / SIGN_INS_A_SECOND,
                    TimeUnit.MILLISECONDS);
        }
        felt(
                SIGN_INS_A_SECOND + " random sign-ins a second wanted, " + CONNECTIONS + " connections",
                bench,
                job,
                SECONDS);
        strangers.shutdownNow();
        strangers.awaitTermination(1, TimeUnit.MINUTES);
        long from = System.nanoTime();
        Client next = new Client(url);
        while (next.signIn("Marn Ulscarth", "ridge-lead-33").status() != 200) {
            TimeUnit.MILLISECONDS.sleep(200);
        }
        System.out.printf(
                Locale.ROOT,
                "  answered %s; the next right sign-in of that address after %.2f s%n",
                answers,
                (System.nanoTime() - from) / 1e9);
    }

    private static void slowBodies(String url, Client bench, UUID job) throws IOException, InterruptedException {
        List<Socket> open = new ArrayList<>();
        for (int i = 0; i < SLOW_BODIES; i++) {
            Socket slow =
                    new Socket(InetAddress.getLoopbackAddress(), URI.create(url).getPort());
            slow.getOutputStream().write(SIGN_IN.getBytes(StandardCharsets.UTF_8));
            open.add(slow);
        }
        felt(SLOW_BODIES + " slow bodies", bench, job, SECONDS);
        for (Socket slow : open) {
            slow.close();
        }
    }

    /** How long the job's view takes the bench. */
    private static void felt(String what, Client bench, UUID job, int seconds) throws InterruptedException {
        List<Double> took = new ArrayList<>();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        while (System.nanoTime() < end) {
            long from = System.nanoTime();
            int status = bench.get("/api/jobs/" + job).status();
            if (status != 200) {
                throw new IllegalStateException("the bench was answered with " + status);
            }
            took.add((System.nanoTime() - from) / 1e6);
            TimeUnit.MILLISECONDS.sleep(50);
        }
        double[] sorted =
                took.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: the bench waits %.0f ms, at most %.0f in 99 of 100 of %d calls, %.0f at worst%n",
                what,
                sorted[sorted.length / 2],
                sorted[(int) (0.99 * (sorted.length - 1))],
                sorted.length,
                Arrays.stream(sorted).max().orElseThrow());
    }
}
