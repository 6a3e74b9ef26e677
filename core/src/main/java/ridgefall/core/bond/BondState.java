package ridgefall.core.bond;

import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.material.TapeSchool;

/**
 * Which strips are laid, and by which school.
 *
 * @param ringMm how thick a die-cut ring is, as a caliper read it
 */
public record BondState(Optional<TapeSchool> school, Set<String> stripsLaid, Optional<Double> ringMm) {
    static final BondState NOTHING = new BondState(Optional.empty(), Set.of(), Optional.empty());

    public static BondState of(JobState job) {
        return job.of(BondFact.FAMILY);
    }

    /** What held a front that was opened again is spent. */
    BondState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened ? NOTHING : this;
    }

    static BondState chosen(TapeSchool school) {
        return new BondState(Optional.of(school), Set.of(), Optional.empty());
    }

    BondState laid(String stripId) {
        return new BondState(school, Fold.plus(stripsLaid, stripId), ringMm);
    }

    BondState ring(double thicknessMm) {
        return new BondState(school, stripsLaid, Optional.of(thicknessMm));
    }

    public boolean stripLaid(String stripId) {
        return stripsLaid.contains(stripId);
    }
}
