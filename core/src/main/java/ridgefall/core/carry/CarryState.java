package ridgefall.core.carry;

import java.util.Map;
import java.util.Set;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;

/**
 * What moved over.
 *
 * @param lost parts given up, with the reason
 */
public record CarryState(Set<String> moved, Map<String, String> lost) {
    static final CarryState NOTHING = new CarryState(Set.of(), Map.of());

    public static CarryState of(JobState job) {
        return job.of(CarryFact.FAMILY);
    }

    /** What was moved onto a part that is swapped moves once more; what is lost stays lost. */
    CarryState hears(Entry entry) {
        return entry.fact() instanceof PartsFact.PartSwapped swap && swap.front()
                ? new CarryState(Set.of(), lost)
                : this;
    }

    CarryState moved(String partId) {
        return new CarryState(Fold.plus(moved, partId), Fold.minus(lost, partId));
    }

    CarryState lost(String partId, String reason) {
        return new CarryState(Fold.minus(moved, partId), Fold.plus(lost, partId, reason));
    }

    public boolean carriedOver(String partId) {
        return moved.contains(partId);
    }
}
