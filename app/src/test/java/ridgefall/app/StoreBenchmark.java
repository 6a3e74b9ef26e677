package ridgefall.app;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntConsumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Journal;
import ridgefall.app.security.SignedIn;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;

/** What the journal and the bench view cost on a durable PostgreSQL; run by ./ridgefall bench, asserts nothing. */
public final class StoreBenchmark {
    private static final int WRITERS = 16;
    private static final int EACH = 40;

    private StoreBenchmark() {}

    public static void main(String[] args) throws Exception {
        try (App app = RunningApp.start(true)) {
            JdbcClient jdbc = app.bean(JdbcClient.class);
            jdbc.sql("create table bench_plain (id uuid primary key, body jsonb not null)")
                    .update();
            System.out.println("store, " + WRITERS + " writers, " + EACH + " each, fsync on");
            for (int round = 0; round < 2; round++) {
                boolean shown = round == 1;
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
            benchView(app, jdbc);
        }
    }

    /** A job of its own for each writer: what is measured is the journal, not people in each other's way. */
    private static IntConsumer appends(Journal journal, int writer) {
        SignedIn who = new SignedIn(new UUID(0, writer), "Writer " + writer, Role.TECHNICIAN);
        UUID job = UUID.randomUUID();
        journal.open(job, null, new Fact.JobOpened("marrowby-quire-11", 1, "bench", "bench"), who);
        return i -> journal.append(
                job, new Journal.Command(UUID.randomUUID(), i + 1, null, new Fact.PowerSeen(i % 2 == 0)), who);
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
                            insert into job (id, seq, profile_id, profile_version, owner, fault, station, waiting, mishaps,
                                opened_at, touched_at, touched_by, handed_over_at)
                            select gen_random_uuid(), 1, 'marrowby-quire-11', 1, 'old', 'old', 'PROVE', false, 0,
                                now(), now(), 'old', now() - i * interval '1 minute'
                            from generate_series(1, :n) i""").param("n", n == 0 ? old[0] : old[1] - old[0]).update();
            jdbc.sql("analyze job").update();
            double[] ms = new double[200];
            for (int i = -100; i < ms.length; i++) {
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
