package ridgefall.app.bench;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import ridgefall.app.job.Plans;
import ridgefall.app.live.SeenByAll;

/** What a tap at one job changes on the screens of all others. */
@Configuration(proxyBeanMethods = false)
class BenchEvents {
    @Bean
    SeenByAll clocksSeen(BenchJobs jobs) {
        return new SeenByAll("clocks", jobs::timers);
    }

    /** What is laid on a source, or comes off it, changes what other devices are warmed with. */
    @Bean
    SeenByAll sourcesSeen(Plans plans) {
        return new SeenByAll("sources", plans::taken);
    }
}
