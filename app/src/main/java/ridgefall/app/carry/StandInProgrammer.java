package ridgefall.app.carry;

import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import ridgefall.app.carry.CopyRuns.Run;
import ridgefall.app.carry.Programmers.Programmer;
import ridgefall.app.carry.SimulatedProgrammer.OnAdapter;
import ridgefall.app.instrument.ShopNets;
import ridgefall.app.job.Jobs;
import ridgefall.core.carry.CarryState;
import ridgefall.core.carry.DataCopy;
import ridgefall.core.carry.DataCopy.On;
import ridgefall.core.gate.Course;
import ridgefall.core.parts.PartsFact;

/** The demo bench's programmer: on its adapter stands whatever the job that it works for has put there. */
@Component
@ConditionalOnProperty("ridgefall.demo")
@Order
class StandInProgrammer implements ApplicationRunner, DisposableBean {
    static final String ID = "stand-in-programmer";
    static final String ADAPTER = "24-way ribbon adapter, type R";

    private final Programmers programmers;
    private final ShopNets nets;
    private final CopyRuns runs;
    private final FrontData files;
    private final Jobs jobs;
    private final Duration aBlock;
    private SimulatedProgrammer stand;

    /** @param aBlockMs how long a block takes: enough to see it move */
    StandInProgrammer(
            Programmers programmers,
            ShopNets nets,
            CopyRuns runs,
            FrontData files,
            Jobs jobs,
            @Value("${ridgefall.stand-in-block-ms:60}") int aBlockMs) {
        this.programmers = programmers;
        this.nets = nets;
        this.runs = runs;
        this.files = files;
        this.jobs = jobs;
        this.aBlock = Duration.ofMillis(aBlockMs);
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        stand = new SimulatedProgrammer(ADAPTER, () -> onAdapter().orElse(null), aBlock);
        nets.standsIn(stand.port());
        programmers.put(new Programmer(ID, "Programmer (stand-in)", stand.host(), stand.port()));
    }

    private Optional<OnAdapter> onAdapter() {
        return runs.on(ID).flatMap(run -> {
            Course course = jobs.course(run.jobId());
            DataCopy copy = CarryState.of(course.state()).copy(run.partId());
            return copy.on() == On.NONE ? Optional.empty() : Optional.of(front(run, course, copy));
        });
    }

    private OnAdapter front(Run run, Course course, DataCopy copy) {
        String generation = course.profile().pairedParts().stream()
                .filter(part -> part.id().equals(run.partId()))
                .map(part -> part.generation() == null ? "data of one generation" : part.generation())
                .findFirst()
                .orElse("");
        String old = "R2-" + run.jobId().toString().substring(0, 6);
        long swapped = course.journal().stream()
                .filter(entry -> entry.fact() instanceof PartsFact.PartSwapped)
                .count();
        return copy.on() == On.OLD
                ? new OnAdapter(old, generation, files.anotherFront(run.jobId()).orElse(old))
                : new OnAdapter(old + "-n" + (swapped + 1), generation, old);
    }

    @Override
    public void destroy() throws IOException {
        if (stand != null) {
            stand.close();
        }
    }
}
