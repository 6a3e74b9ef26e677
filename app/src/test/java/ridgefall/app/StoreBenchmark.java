package ridgefall.app;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.IntConsumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Journal;
import ridgefall.app.security.SignedIn;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Role;

/** What the journal and the bench view cost on a durable PostgreSQL; run by ./ridgefall bench, asserts nothing. */
public final class StoreBenchmark {
    private static final int WRITERS = 16;
    private static final int EACH = 40;
    private static final int ROUNDS = 8;
    private static final int SCREENS = 200;

    private StoreBenchmark() {}

    public static void main(String[] args) throws Exception {
        try (App app = RunningApp.start(true)) {
            JdbcClient jdbc = app.bean(JdbcClient.class);
            jdbc.sql("create table bench_plain (id uuid primary key, body jsonb not null)")
                    .update();
            System.out.println("store, " + WRITERS + " writers, " + EACH + " each, fsync on");
            for (int round = 1; round <= ROUNDS; round++) {
                // A shop's app has been at work for hours: the rounds before let the virtual machine learn.
                boolean shown = round == ROUNDS;
                double bare = write(
                        shown,
                        "bare JDBC insert",
                        writer -> i -> jdbc.sql("insert into bench_plain values (:id, cast(:body as jsonb))")
                                .param("id", UUID.randomUUID())
                                .param("body", "{\"type\":\"PowerSeen\",\"canSwitchOff\":true}")
                                .update());
                double journal = write(shown, "journal append", writer -> appends(app.bean(Journal.class), writer));
                if (shown) {
                    System.out.printf(Locale.ROOT, "  journal at %.2f of the bare insert's rate%n", journal / bare);
                }
            }
            screens(app);
            besideAPlan(app);
            benchView(app, jdbc);
            search(app, jdbc);
        }
    }

    /** How long after the last append its event is on the last of many screens; goal 2 s. */
    private static void screens(App app) throws Exception {
        Client client = app.client().as(Role.TECHNICIAN);
        UUID last = UUID.randomUUID();
        List<CompletableFuture<Long>> seen = new ArrayList<>();
        for (int i = 0; i < SCREENS; i++) {
            seen.add(client.hears("/api/live", last + "\",\"seq\":2"));
        }
        double rate = write(false, "", writer -> appends(app.bean(Journal.class), writer));
        SignedIn who = new SignedIn(new UUID(0, 99), "The last", Role.TECHNICIAN);
        Journal journal = app.bean(Journal.class);
        journal.open(last, null, new IntakeFact.JobOpened("marrowby-quire-11", 1, null, "bench", "bench"), null, who);
        journal.append(last, new Journal.Command(UUID.randomUUID(), 1, null, new IntakeFact.PowerSeen(true)), who);
        long appended = System.nanoTime();
        long slowest = 0;
        for (CompletableFuture<Long> screen : seen) {
            slowest = Math.max(slowest, screen.get(2, TimeUnit.MINUTES));
        }
        System.out.printf(
                Locale.ROOT,
                "  %d screens: %.0f appends per s, the last one's event on the last screen after %.2f s (goal 2)%n",
                SCREENS,
                rate,
                (slowest - appended) / 1e9);
    }

    /** What an append waits while another job's full heat plan is worked out. */
    private static void besideAPlan(App app) throws Exception {
        Client client = app.client().as(Role.TECHNICIAN);
        ExecutorService planning = Executors.newSingleThreadExecutor();
        AtomicBoolean over = new AtomicBoolean();
        Future<Integer> plans = planning.submit(() -> {
            int count = 0;
            for (int gap = 1; !over.get(); gap++) {
                UUID job = client.openJob();
                client.append(job, 1, Map.of("type", "BendMarked", "corner", "TOP_LEFT", "gapMm", 0.1 + gap / 100.0));
                client.get("/api/jobs/" + job + "/heat");
                count++;
            }
            return count;
        });
        write(true, "append beside plans", writer -> appends(app.bean(Journal.class), writer));
        over.set(true);
        System.out.printf(Locale.ROOT, "  (%d full heat plans meanwhile)%n", plans.get());
        planning.shutdown();
    }

    /** What a search costs with a small shop's rows and with a chain's; target 50 ms each. */
    private static void search(App app, JdbcClient jdbc) {
        Client client = app.client().as(Role.TECHNICIAN);
        String[][] questions = {
            {"devices", "/api/devices?query=slate%20copy%20199", "/api/devices?query=quire"},
            {"stock", "/api/stock?query=fellside%20bench-4", "/api/stock?query=panel%20original"}
        };
        double[][] before = new double[questions.length][];
        for (int round = 0; round < 2; round++) {
            if (round == 1) {
                jdbc.sql("""
                                insert into device (id, released_version, name, words, kind, generic, width_mm, height_mm, search)
                                select 'bench-' || i, 1, 'Slate copy ' || i, 'bench tablet', 'TABLET', false, 200, 150,
                                    'slate copy ' || i || ' bench tablet' from generate_series(1, 2000) i""").update();
                jdbc.sql("""
                                insert into device_version (device_id, version, document, made_by, made_at, released_by, released_at)
                                select d.id, 1, v.document, 'bench', now(), 'bench', now() from device d,
                                    (select document from device_version where device_id = 'marrowby-quire-11' limit 1) v
                                where d.id like 'bench-%'""").update();
                jdbc.sql("""
                                insert into stock (id, part_number, supplier, device_id, kind, grade, brings, price, currency,
                                    pieces, lot, search)
                                select gen_random_uuid(), 'bench-' || i, 'Fellside Parts', 'bench-' || (i % 2000), 'PANEL',
                                    'REFURBISHED_ORIGINAL', '{}', 10, 'EUR', 1, '',
                                    'bench-' || i || ' fellside parts panel refurbished original'
                                from generate_series(1, 50000) i""").update();
                jdbc.sql("analyze device, device_version, stock").update();
            }
            for (int q = 0; q < questions.length; q++) {
                double[] medians = {median(client, questions[q][1]), median(client, questions[q][2])};
                if (round == 0) {
                    before[q] = medians;
                } else {
                    System.out.printf(
                            Locale.ROOT,
                            "search of %s over HTTP: %.2f and %.2f ms with %s; %.2f and %.2f times the demo shop's%n",
                            questions[q][0],
                            medians[0],
                            medians[1],
                            q == 0 ? "2 000 profiles" : "50 000 rows",
                            medians[0] / before[q][0],
                            medians[1] / before[q][1]);
                }
            }
        }
    }

    private static double median(Client client, String path) {
        double[] ms = new double[100];
        for (int i = -100; i < ms.length; i++) {
            long start = System.nanoTime();
            if (client.get(path).status() != 200) {
                throw new IllegalStateException(path);
            }
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[ms.length / 2];
    }

    /** A job of its own for each writer: what is measured is the journal, not people in each other's way. */
    private static IntConsumer appends(Journal journal, int writer) {
        SignedIn who = new SignedIn(new UUID(0, writer), "Writer " + writer, Role.TECHNICIAN);
        UUID job = UUID.randomUUID();
        journal.open(job, null, new IntakeFact.JobOpened("marrowby-quire-11", 1, null, "bench", "bench"), null, who);
        return i -> journal.append(
                job, new Journal.Command(UUID.randomUUID(), i + 1, null, new IntakeFact.PowerSeen(i % 2 == 0)), who);
    }

    private interface Work {
        IntConsumer of(int writer);
    }

    private static double write(boolean shown, String what, Work work) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(WRITERS);
        try {
            List<Callable<double[]>> writers = new ArrayList<>();
            for (int w = 0; w < WRITERS; w++) {
                IntConsumer one = work.of(w);
                writers.add(() -> {
                    double[] ms = new double[EACH];
                    for (int i = 0; i < EACH; i++) {
                        long start = System.nanoTime();
                        one.accept(i);
                        ms[i] = (System.nanoTime() - start) / 1e6;
                    }
                    return ms;
                });
            }
            long start = System.nanoTime();
            List<Double> all = new ArrayList<>();
            for (Future<double[]> done : pool.invokeAll(writers)) {
                Arrays.stream(done.get()).forEach(all::add);
            }
            double rate = all.size() / ((System.nanoTime() - start) / 1e9);
            all.sort(null);
            if (shown) {
                System.out.printf(
                        Locale.ROOT,
                        "  %-20s p50 %7.2f ms  p99 %7.2f ms  %7.0f per s%n",
                        what,
                        all.get(all.size() / 2),
                        all.get(all.size() * 99 / 100),
                        rate);
            }
            return rate;
        } finally {
            pool.shutdownNow();
        }
    }

    private static void benchView(App app, JdbcClient jdbc) {
        Client client = app.client().as(Role.TECHNICIAN);
        double[] medians = new double[2];
        int[] old = {100, 10_000};
        for (int n = 0; n < 2; n++) {
            jdbc.sql("""
                            insert into job (id, seq, profile_id, profile_version, device, owner, fault, station, waiting, needs, mishaps,
                                opened_at, touched_at, touched_by, handed_over_at)
                            select gen_random_uuid(), 1, 'marrowby-quire-11', 1, 'Quire', 'old', 'old', 'PROVE', false, 'DESK', 0,
                                now(), now(), 'old', now() - i * interval '1 minute'
                            from generate_series(1, :n) i""").param("n", n == 0 ? old[0] : old[1] - old[0]).update();
            jdbc.sql("analyze job").update();
            double[] ms = new double[200];
            for (int i = -400; i < ms.length; i++) {
                long start = System.nanoTime();
                client.get("/api/bench");
                if (i >= 0) {
                    ms[i] = (System.nanoTime() - start) / 1e6;
                }
            }
            Arrays.sort(ms);
            medians[n] = ms[100];
        }
        System.out.printf(
                Locale.ROOT,
                "bench view over HTTP: %.2f ms with 100 old jobs, %.2f ms with 10 000; ratio %.2f%n",
                medians[0],
                medians[1],
                medians[1] / medians[0]);
    }
}
