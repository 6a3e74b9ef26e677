package ridgefall.app.job;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Makes the projections anew and ends, if that is what it was started for; else says when it is due. */
@Component
@Order(Integer.MIN_VALUE)
class Rebuild implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Rebuild.class);

    private final Projections projections;
    private final ConfigurableApplicationContext context;
    private final boolean wanted;

    Rebuild(
            Projections projections,
            ConfigurableApplicationContext context,
            @Value("${ridgefall.rebuild:false}") boolean wanted) {
        this.projections = projections;
        this.context = context;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (wanted) {
            Projections.Rebuilt rebuilt = projections.rebuild();
            LOG.info(
                    "made anew from the journals: {} jobs{}",
                    rebuilt.jobs(),
                    rebuilt.skipped() == 0 ? "" : ", " + rebuilt.skipped() + " of a newer version left as they are");
            System.exit(SpringApplication.exit(context));
        }
        List<String> outdated = projections.outdated();
        if (!outdated.isEmpty()) {
            LOG.warn("made by another version: {}; ./ridgefall rebuild makes it anew from the journals", outdated);
        }
    }
}
