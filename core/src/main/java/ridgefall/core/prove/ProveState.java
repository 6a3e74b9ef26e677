package ridgefall.core.prove;

import java.time.Instant;
import java.util.Optional;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;
import ridgefall.core.prove.ProveFact.SealTested;

/**
 * Whether it went back.
 *
 * @param toldHow how the owner was told that it is ready; empty where nobody has
 * @param sealTested what the tester read last of this seal
 */
public record ProveState(Optional<String> toldHow, Optional<Instant> handedOverAt, Optional<Tested> sealTested) {
    static final ProveState NOTHING = new ProveState(Optional.empty(), Optional.empty(), Optional.empty());

    public record Tested(SealTested fact, Instant at) {}

    public static ProveState of(JobState job) {
        return job.of(ProveFact.FAMILY);
    }

    /** Another seal was not tested. */
    ProveState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened
                ? new ProveState(toldHow, handedOverAt, Optional.empty())
                : this;
    }

    ProveState tested(SealTested fact, Instant at) {
        return new ProveState(toldHow, handedOverAt, Optional.of(new Tested(fact, at)));
    }
}
