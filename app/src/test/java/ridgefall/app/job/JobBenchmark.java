package ridgefall.app.job;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongSupplier;
import java.util.stream.Stream;
import ridgefall.app.RunningApp;
import ridgefall.app.RunningApp.App;
import ridgefall.app.book.Book;
import ridgefall.app.security.SignedIn;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;
import ridgefall.core.strip.StripFact;

/** Processor time of looking at a job of a hundred facts and of adding one to it, plans at hand; run by ./ridgefall bench. */
public final class JobBenchmark {
    private static final int FACTS = 100;
    private static final int ROUNDS = 600;
    private static final int JOBS = 40;
    private static final SignedIn WHO = new SignedIn(new UUID(0, 1), "Ansa Orrick", Role.TECHNICIAN);

    private JobBenchmark() {}

    public static void main(String[] args) {
        try (App app = RunningApp.start(false)) {
            Jobs jobs = app.bean(Jobs.class);
            Journal journal = app.bean(Journal.class);
            JobController controller = app.bean(JobController.class);
            Book book = app.bean(Book.class);
            List<UUID> grown = Stream.generate(() -> grown(book, jobs, journal))
                    .limit(JOBS)
                    .toList();
            LongSupplier view = () -> controller.job(grown.get(0), WHO).seq();
            // Of each job a few: a hundred facts stay about a hundred.
            AtomicInteger nth = new AtomicInteger();
            LongSupplier append = () -> {
                UUID job = grown.get(nth.getAndIncrement() % JOBS);
                long seq = jobs.course(job).state().seq();
                IntakeFact.PowerSeen fact = new IntakeFact.PowerSeen(seq % 2 == 0);
                return timed(() -> {
                    journal.append(job, new Journal.Command(UUID.randomUUID(), seq, null, fact), WHO);
                    return 0;
                });
            };
            System.out.printf(
                    Locale.ROOT,
                    "a job of %d facts, processor time: its view %.2f ms, a fact more %.2f ms (medians of %d)%n",
                    FACTS,
                    median(() -> timed(view)),
                    median(append),
                    ROUNDS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static double median(LongSupplier nanos) {
        double[] ms = new double[ROUNDS];
        for (int i = -ROUNDS; i < ROUNDS; i++) {
            long took = nanos.getAsLong();
            if (i >= 0) {
                ms[i] = took / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[ROUNDS / 2];
    }

    private static long timed(LongSupplier work) {
        long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        work.getAsLong();
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before;
    }

    /** The demo tablet, taken straight on until its journal holds so many facts. */
    private static UUID grown(Book book, Jobs jobs, Journal journal) {
        UUID job = UUID.randomUUID();
        String device = "marrowby-quire-11";
        journal.open(
                job,
                null,
                new IntakeFact.JobOpened(device, book.newest(device, null).version(), null, "bench", "bench"),
                null,
                WHO);
        while (true) {
            Course course = jobs.course(job);
            Optional<Step> next = course.next();
            if (course.state().seq() >= FACTS || next.isEmpty()) {
                return job;
            }
            journal.append(
                    job, new Journal.Command(UUID.randomUUID(), course.state().seq(), null, filled(next.get())), WHO);
        }
    }

    private static Fact filled(Step step) {
        Fact fact =
                step.choices().get(step.id().equals("separate.warm") ? 1 : 0).fact();
        if (fact instanceof DecideFact.RepairAgreed f) {
            return new DecideFact.RepairAgreed(
                    f.repairId(), f.grade(), new BigDecimal("189.00"), f.currency(), "bench");
        } else if (fact instanceof IntakeFact.RisksAccepted) {
            return new IntakeFact.RisksAccepted("bench");
        } else if (fact instanceof StripFact.ScrewsCounted f) {
            return new StripFact.ScrewsCounted(f.direction(), 14);
        } else if (fact instanceof CopyFact.CopyBegun f) {
            return new CopyFact.CopiedElsewhere(f.partId(), "4F3A 91C0", "4F3A 91C0");
        }
        return fact;
    }
}
