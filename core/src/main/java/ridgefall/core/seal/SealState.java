package ridgefall.core.seal;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;

/** What is off the new front, and when it was seated for good. */
public record SealState(Set<String> coversOff, Optional<Instant> sealedAt) {
    static final SealState NOTHING = new SealState(Set.of(), Optional.empty());

    public static SealState of(JobState job) {
        return job.of(SealFact.FAMILY);
    }

    /** Fresh adhesive has its liners on, and so has another part. */
    SealState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened || entry.fact() instanceof PartsFact.PartSwapped
                ? NOTHING
                : this;
    }

    SealState uncovered(String coverId) {
        return new SealState(Fold.plus(coversOff, coverId), sealedAt);
    }

    SealState sealed(Instant at) {
        return new SealState(coversOff, Optional.of(at));
    }

    public boolean coverOff(String coverId) {
        return coversOff.contains(coverId);
    }
}
