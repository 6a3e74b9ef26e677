package ridgefall.app.live;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import ridgefall.app.job.Journal.Changed;

/**
 * Tells all nodes which jobs have changed, after the fact: a notice inside the transaction would make every commit of the
 * shop wait for the one before. One sender a node; what changes while it is at work goes out together. A notice that is
 * lost is found by the mark that every node keeps ({@link Marks}).
 */
@Component
class Announcer implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Announcer.class);

    private final Map<UUID, Long> changed = new ConcurrentHashMap<>();
    private final BlockingQueue<Boolean> work = new LinkedBlockingQueue<>(1);
    private final Marks marks;
    private volatile boolean running;
    private Thread sender;

    Announcer(Marks marks) {
        this.marks = marks;
    }

    @TransactionalEventListener
    void committed(Changed what) {
        changed.merge(what.jobId(), what.seq(), Math::max);
        work.offer(true);
    }

    private void send() {
        while (running) {
            try {
                work.take();
                for (Map<UUID, Long> some : Notice.parcels(changed)) {
                    marks.announce(Notice.text(some));
                    some.forEach(changed::remove);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            } catch (RuntimeException e) {
                LOG.warn("not announced yet: {}", e.getMessage());
                pause();
                work.offer(true);
            }
        }
    }

    private static void pause() {
        try {
            TimeUnit.SECONDS.sleep(1);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        running = true;
        sender = new Thread(this::send, "journal-announcer");
        sender.setDaemon(true);
        sender.start();
    }

    @Override
    public void stop() {
        running = false;
        sender.interrupt();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
