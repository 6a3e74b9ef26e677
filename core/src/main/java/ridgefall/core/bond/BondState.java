package ridgefall.core.bond;

import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.material.TapeSchool;

/** Which strips are laid, and by which school. */
public record BondState(Optional<TapeSchool> school, Set<String> stripsLaid) {
    static final BondState NOTHING = new BondState(Optional.empty(), Set.of());

    public static BondState of(JobState job) {
        return job.of(BondFact.FAMILY);
    }

    /** What held a front that was opened again is spent. */
    BondState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened ? NOTHING : this;
    }

    static BondState chosen(TapeSchool school) {
        return new BondState(Optional.of(school), Set.of());
    }

    BondState laid(String stripId) {
        return new BondState(school, Fold.plus(stripsLaid, stripId));
    }

    public boolean stripLaid(String stripId) {
        return stripsLaid.contains(stripId);
    }
}
