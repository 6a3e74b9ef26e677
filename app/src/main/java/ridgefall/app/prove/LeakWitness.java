package ridgefall.app.prove;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Readings;
import ridgefall.app.job.Witness;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Step;
import ridgefall.core.prove.LeakTest;
import ridgefall.core.prove.SealProof;

/** A leak tester has its five numbers itself: nobody types them where it is on the network. */
@Component
class LeakWitness implements Witness {
    private final Readings readings;

    LeakWitness(Readings readings) {
        this.readings = readings;
    }

    @Override
    public Fact heard(UUID jobId, Course here, Fact fact) {
        return fact;
    }

    @Override
    public List<Hold> against(UUID jobId, Course here, Fact fact) {
        return List.of();
    }

    @Override
    public Optional<Step.Choice> offers(UUID jobId, Course here, Step next) {
        return next.id().equals(SealProof.STEP)
                ? here.state()
                        .timer(SealProof.TESTING)
                        .flatMap(timer -> new LeakReadings(readings.of(jobId, timer.seq()), timer.startedAt())
                                .read(LeakTest.innerMl(here.profile())))
                        .map(fact -> Step.go("Take what the tester read", fact))
                : Optional.empty();
    }
}
