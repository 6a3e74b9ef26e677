package ridgefall.core.parts;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.profile.Brings;

/** What is taken off the shelf for a job, by its row of the stock. */
public record PartsState(Map<UUID, PartReserved> reserved) {
    static final PartsState NOTHING = new PartsState(Map.of());

    public static PartsState of(JobState job) {
        return job.of(PartsFact.FAMILY);
    }

    PartsState with(PartReserved part) {
        return new PartsState(Fold.plus(reserved, part.stockId(), part));
    }

    PartsState without(UUID stockId) {
        return new PartsState(Fold.minus(reserved, stockId));
    }

    public List<PartReserved> parts() {
        return List.copyOf(reserved.values());
    }

    /** Whether a part of this job brings something along. */
    public boolean brought(Brings what) {
        return reserved.values().stream().anyMatch(part -> part.brings().contains(what));
    }
}
