package ridgefall.app.live;

import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import ridgefall.app.job.Journal.Changed;

/**
 * Tells all nodes which jobs have changed, after the fact: a notice inside the transaction would make every commit of the
 * shop wait for the one before. One sender a node; what changes while it is at work goes out together. A notice that is
 * lost is found by the mark that every node keeps ({@link Marks}).
 */
@Component
class Announcer {
    private static final Logger LOG = LoggerFactory.getLogger(Announcer.class);

    private final Map<UUID, Long> changed = new ConcurrentHashMap<>();
    private final AtomicBoolean asked = new AtomicBoolean();
    private final ScheduledExecutorService sender = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "journal-announcer");
        thread.setDaemon(true);
        return thread;
    });
    private final Marks marks;

    Announcer(Marks marks) {
        this.marks = marks;
    }

    /** After the commit; what was one statement has committed by itself. */
    @TransactionalEventListener(fallbackExecution = true)
    void committed(Changed what) {
        changed.merge(what.jobId(), what.seq(), Math::max);
        if (asked.compareAndSet(false, true)) {
            sender.execute(this::send);
        }
    }

    private void send() {
        asked.set(false);
        try {
            for (Map<UUID, Long> some : Notice.parcels(changed)) {
                marks.announce(Notice.text(some));
                some.forEach(changed::remove);
            }
        } catch (RuntimeException e) {
            LOG.warn("not announced yet: {}", e.getMessage());
            sender.schedule(this::send, 1, TimeUnit.SECONDS);
        }
    }

    @PreDestroy
    void close() {
        sender.shutdownNow();
    }
}
