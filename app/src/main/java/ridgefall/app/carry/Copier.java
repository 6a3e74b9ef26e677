package ridgefall.app.carry;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.zip.CRC32;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import ridgefall.app.carry.CopyRuns.Run;
import ridgefall.app.carry.CopyRuns.Stage;
import ridgefall.app.carry.ProgrammerLine.Unwilling;
import ridgefall.app.carry.Programmers.Programmer;
import ridgefall.app.instrument.ScpiLine;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.carry.CarryState;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.carry.CopyFact.CopyFailed;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.DataWritten;
import ridgefall.core.carry.CopyFact.Doing;
import ridgefall.core.carry.CopyFact.Trouble;
import ridgefall.core.carry.FrontOnAdapter;
import ridgefall.core.carry.FrontOnAdapter.Refused;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.profile.ProfileDocument.PairedPart;

/**
 * Does with a programmer what a job's journal says was begun, and tells the journal how it ended. What was read is kept before
 * it is told, and told before anything is written from it. A run whose node died, or that is found too late, is told as broken
 * off: nobody's programmer begins by itself.
 */
@Component
class Copier implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Copier.class);

    /** Small enough that a screen sees it move. */
    private static final int AT_ONCE = 1024;

    private final CopyRuns runs;
    private final Programmers programmers;
    private final FrontData files;
    private final Jobs jobs;
    private final Journal journal;
    private final ExecutorService working = Executors.newCachedThreadPool();
    private volatile boolean closing;

    Copier(CopyRuns runs, Programmers programmers, FrontData files, Jobs jobs, Journal journal) {
        this.runs = runs;
        this.programmers = programmers;
        this.files = files;
        this.jobs = jobs;
        this.journal = journal;
    }

    @Scheduled(fixedDelay = 500)
    void lookForWork() {
        try {
            for (Run run : runs.untaken()) {
                if (runs.take(run)) {
                    working.execute(() -> end(run, run.old() ? failed(run, Trouble.BROKEN_OFF, null) : copied(run)));
                }
            }
            for (Run run : runs.forsaken()) {
                if (runs.take(run)) {
                    working.execute(() -> end(run, failed(run, Trouble.BROKEN_OFF, null)));
                }
            }
        } catch (DataAccessException e) {
            LOG.warn("copies not looked for: {}", e.getMessage());
        }
    }

    /** Told under the name of whoever began it, once, however often it is tried. */
    private void end(Run run, CopyFact fact) {
        if (closing) {
            return;
        }
        try {
            Entry begun = CopyRuns.begun(jobs.course(run.jobId()), run.partId());
            if (begun.seq() == run.seq()) {
                UUID commandId = UUID.nameUUIDFromBytes(
                        ("copy " + run.jobId() + " " + run.seq()).getBytes(StandardCharsets.UTF_8));
                Outcome outcome = journal.appendNow(
                        run.jobId(), commandId, fact, new SignedIn(null, begun.who(), begun.role()), () -> {});
                if (outcome instanceof Outcome.Held held) {
                    // Such as a device that went back meanwhile; where it goes on hands say that it stopped.
                    LOG.info("how a copy of job {} ended is held: {}", run.jobId(), held.holds());
                    runs.forget(run);
                }
            }
        } catch (RuntimeException e) {
            // Its lease runs out and it is told as broken off; what was read is kept.
            LOG.warn("how a copy of job {} ended is not told: {}", run.jobId(), e.getMessage());
        }
    }

    private static CopyFailed failed(Run run, Trouble trouble, String said) {
        return new CopyFailed(
                run.partId(), run.doing(), trouble, said == null || said.isBlank() ? null : shortened(said));
    }

    private static String shortened(String said) {
        return said.substring(0, Math.min(said.length(), CopyFact.LONGEST_WORDS));
    }

    private CopyFact copied(Run run) {
        Job job = new Job(run, jobs.course(run.jobId()));
        try (ProgrammerLine line = programmers.call(programmer(job))) {
            line.clear();
            try {
                return run.doing() == Doing.READ ? read(job, line) : write(job, line);
            } catch (Unwilling e) {
                line.abort();
                return failed(run, e.why().trouble(), e.why().said());
            }
        } catch (Unwilling e) {
            return failed(run, e.why().trouble(), e.why().said());
        } catch (ScpiLine.CutShort e) {
            return failed(run, Trouble.CUT_SHORT, e.getMessage());
        } catch (IOException e) {
            return failed(run, Trouble.SILENT, e.getMessage());
        } catch (RuntimeException e) {
            LOG.warn("copy of job {}", run.jobId(), e);
            return failed(run, Trouble.BROKEN_OFF, e.getMessage());
        }
    }

    private record Job(Run run, Course course) {
        PairedPart part() {
            return course.profile().pairedParts().stream()
                    .filter(part -> part.id().equals(run.partId()))
                    .findFirst()
                    .orElseThrow();
        }

        DataRead read() {
            return CarryState.of(course.state()).copy(run.partId()).read();
        }
    }

    /** The first one with the adapter that fits, and nothing else to do. */
    private Programmer programmer(Job job) throws Unwilling {
        String wanted = job.part().adapter();
        List<String> others = new ArrayList<>();
        for (Programmer programmer : programmers.all()) {
            try (ProgrammerLine asked = programmers.call(programmer)) {
                String adapter = asked.adapter();
                if (wanted != null && !wanted.equals(adapter)) {
                    others.add(programmer.name() + " has " + adapter);
                } else if (!runs.takes(job.run(), programmer.id())) {
                    others.add(programmer.name() + " is at another job");
                } else {
                    return programmer;
                }
            } catch (IOException e) {
                others.add(programmer.name() + ": " + e.getMessage());
            }
        }
        throw new Unwilling(
                Trouble.NO_PROGRAMMER, others.isEmpty() ? "none is entered under tools" : String.join("; ", others));
    }

    private FrontOnAdapter front(Job job, ProgrammerLine line) throws IOException, Unwilling {
        line.home();
        ProgrammerLine.Front front = line.front();
        return new FrontOnAdapter(
                front.front(),
                front.generation(),
                files.elsewhere(front.front(), job.course(), job.run().jobId()));
    }

    private static void willing(Optional<Refused> refused) throws Unwilling {
        if (refused.isPresent()) {
            throw new Unwilling(refused.get());
        }
    }

    private CopyFact read(Job job, ProgrammerLine line) throws IOException, Unwilling {
        FrontOnAdapter front = front(job, line);
        willing(front.toRead(job.part(), job.read()));
        byte[] data = all(job, line, Stage.READING);
        UUID file = files.keep(job.run().jobId(), job.part(), front.front(), data, who(job));
        return new DataRead(
                job.part().id(),
                front.front(),
                front.generation(),
                data.length,
                FrontData.sha256(data),
                file,
                shortName(line.identity()));
    }

    private CopyFact write(Job job, ProgrammerLine line) throws IOException, Unwilling {
        FrontOnAdapter front = front(job, line);
        willing(front.toWrite(job.part(), job.read()));
        byte[] data = files.kept(job.read());
        int size = line.size(FrontData.MOST_BYTES);
        if (size != data.length) {
            throw new Unwilling(
                    Trouble.OTHER_GENERATION,
                    String.format(Locale.ROOT, "it holds %,d bytes, the old one %,d", size, data.length));
        }
        if (!files.keptBefore(job.run().jobId(), job.part(), front.front())) {
            files.keepBefore(job.run().jobId(), job.part(), front.front(), all(job, line, Stage.KEEPING), who(job));
        }
        for (int at = 0; at < data.length; at += AT_ONCE) {
            goesOn(job, Stage.WRITING, at, data.length);
            line.write(at, Arrays.copyOfRange(data, at, Math.min(data.length, at + AT_ONCE)));
        }
        willing(FrontOnAdapter.differs(data, all(job, line, Stage.READING_BACK)));
        return new DataWritten(job.part().id(), front.front(), FrontData.sha256(data), shortName(line.identity()));
    }

    /** All that the front holds, as its checksum says. */
    private byte[] all(Job job, ProgrammerLine line, Stage stage) throws IOException, Unwilling {
        int size = line.size(FrontData.MOST_BYTES);
        ByteArrayOutputStream data = new ByteArrayOutputStream(size);
        while (data.size() < size) {
            goesOn(job, stage, data.size(), size);
            data.writeBytes(line.read(data.size(), Math.min(AT_ONCE, size - data.size())));
        }
        CRC32 crc = new CRC32();
        crc.update(data.toByteArray());
        long said = line.checksum();
        if (crc.getValue() != said) {
            throw new Unwilling(
                    Trouble.CHECKSUM, String.format(Locale.ROOT, "says %08X, is %08X", said, crc.getValue()));
        }
        return data.toByteArray();
    }

    private void goesOn(Job job, Stage stage, int done, int total) throws Unwilling {
        if (closing || !runs.told(job.run(), stage, done, total)) {
            throw new Unwilling(Trouble.STOPPED, null);
        }
    }

    private static String who(Job job) {
        return CopyRuns.begun(job.course(), job.part().id()).who();
    }

    /** Maker, model and serial number; what comes after them changes. */
    private static String shortName(String identity) {
        String name = Arrays.stream(identity.split(",", -1))
                .limit(3)
                .reduce((a, b) -> a + " " + b)
                .orElse("");
        return name.isBlank() ? "programmer" : name.substring(0, Math.min(60, name.length()));
    }

    @Override
    public void destroy() {
        closing = true;
        working.shutdownNow();
    }
}
