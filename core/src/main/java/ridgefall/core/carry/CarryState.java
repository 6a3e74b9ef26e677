package ridgefall.core.carry;

import java.util.Map;
import java.util.Set;
import ridgefall.core.bond.BondStation;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;

/**
 * What moved over.
 *
 * @param lost parts given up, with the reason
 * @param joined the panel that was kept has its new glass
 */
public record CarryState(Set<String> moved, Map<String, String> lost, boolean joined) {
    static final CarryState NOTHING = new CarryState(Set.of(), Map.of(), false);

    public static CarryState of(JobState job) {
        return job.of(CarryFact.FAMILY);
    }

    /**
     * What was moved onto a part that is swapped moves once more; what is lost stays lost. A panel that bad glass was joined to is
     * split off again, one that still waits for glass is not.
     */
    CarryState hears(Entry entry) {
        if (entry.fact() instanceof PartsFact.PartSwapped swap && swap.front()) {
            return new CarryState(waiting(), lost, false);
        } else if (entry.fact() instanceof JobFact.CheckAnswered check
                && check.checkId().equals(BondStation.OPTICAL)) {
            return new CarryState(moved, lost, check.answer() == Answer.PASS);
        }
        return this;
    }

    private Set<String> waiting() {
        return moved.contains(CarryStation.PANEL) && !joined ? Set.of(CarryStation.PANEL) : Set.of();
    }

    CarryState moved(String partId) {
        return new CarryState(Fold.plus(moved, partId), Fold.minus(lost, partId), joined);
    }

    CarryState lost(String partId, String reason) {
        return new CarryState(Fold.minus(moved, partId), Fold.plus(lost, partId, reason), joined);
    }

    public boolean carriedOver(String partId) {
        return moved.contains(partId);
    }
}
