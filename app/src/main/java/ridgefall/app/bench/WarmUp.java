package ridgefall.app.bench;

import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import ridgefall.app.book.Book;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Plans;
import ridgefall.app.tools.HeatSources;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.material.FrontCondition;

/**
 * Looks at a plan or two once the app has started, so that the first person to ask does not wait for the virtual machine to
 * learn how; then works out again what the jobs that are warm right now stand on.
 */
@Component
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);
    private static final String ANY_DEVICE = "class-tablet-metal";
    private static final int LOOKS = 10;
    private static final int WARM_JOBS = 3;

    private final Book book;
    private final HeatSources sources;
    private final BenchJobs bench;
    private final Jobs jobs;
    private final Plans plans;
    private final boolean wanted;

    /** @param wanted false where nobody waits at first: it takes some seconds of one processor */
    WarmUp(
            Book book,
            HeatSources sources,
            BenchJobs bench,
            Jobs jobs,
            Plans plans,
            @Value("${ridgefall.warm-up}") boolean wanted) {
        this.book = book;
        this.sources = sources;
        this.bench = bench;
        this.jobs = jobs;
        this.plans = plans;
        this.wanted = wanted;
    }

    @EventListener(ApplicationReadyEvent.class)
    void look() {
        if (!wanted) {
            return;
        }
        Thread looking = new Thread(this::looks, "heat-warm-up");
        looking.setDaemon(true);
        looking.setPriority(Thread.MIN_PRIORITY);
        looking.start();
    }

    private void looks() {
        try {
            HeatQuestion question = new HeatQuestion(
                    book.newest(ANY_DEVICE, null), FrontCondition.CRACKED, List.of(), List.of(), sources.all());
            for (int i = 0; i < LOOKS; i++) {
                question.firstLook();
            }
            plans.openings(question);
            for (UUID jobId : bench.warm(WARM_JOBS)) {
                jobs.course(jobId).steps();
            }
        } catch (RuntimeException e) {
            LOG.debug("not warmed up: {}", e.getMessage());
        }
    }
}
