package ridgefall.core.decide;

import java.util.Optional;
import ridgefall.core.decide.DecideFact.NotWorthIt;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
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

    /** What it costs to mend once it is closed: the agreed repair once more. Empty where none is agreed. */
    public String onceMore(DeviceProfile profile) {
        return repair.map(agreed -> profile.repair(agreed.repairId()))
                .map(what -> ", about " + (what.activeMinutes() + what.waitingMinutes()) + " min")
                .orElse("");
    }

    /** Whether the panel is kept and new glass is joined to it here, before anything is sealed. */
    public boolean joinsGlass(DeviceProfile profile) {
        return !profile.document().opticalBonds().isEmpty()
                && repair.map(agreed -> profile.repair(agreed.repairId()))
                        .filter(what -> what.parts().contains(PartKind.OPTICAL_LIQUID))
                        .isPresent();
    }
}
