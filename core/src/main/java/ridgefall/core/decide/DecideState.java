package ridgefall.core.decide;

import java.util.Optional;
import ridgefall.core.decide.DecideFact.NotWorthIt;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.job.JobState;
import ridgefall.core.units.Money;

/**
 * What stands between shop and owner: a repair, or none.
 *
 * @param replacement what another device like this costs
 */
public record DecideState(Optional<RepairAgreed> repair, Optional<NotWorthIt> notWorthIt, Optional<Money> replacement) {
    static final DecideState NOTHING = new DecideState(Optional.empty(), Optional.empty(), Optional.empty());

    public static DecideState of(JobState job) {
        return job.of(DecideFact.FAMILY);
    }
}
