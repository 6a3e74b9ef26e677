package ridgefall.core.separate;

import java.util.List;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;

/**
 * How far the front is free.
 *
 * @param freed stretches, in the order it was done
 * @param wedges edge positions of those that are in, mm
 */
public record SeparateState(List<String> freed, List<Double> wedges, boolean frontOpened) {
    static final SeparateState NOTHING = new SeparateState(List.of(), List.of(), false);

    public static SeparateState of(JobState job) {
        return job.of(SeparateFact.FAMILY);
    }

    /** A front that was sealed holds all round. */
    SeparateState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened ? NOTHING : this;
    }

    SeparateState freed(String stretchId) {
        return freed.contains(stretchId) ? this : new SeparateState(Fold.plus(freed, stretchId), wedges, frontOpened);
    }

    SeparateState wedged(double positionMm) {
        return wedges.contains(positionMm)
                ? this
                : new SeparateState(freed, Fold.plus(wedges, positionMm), frontOpened);
    }

    SeparateState unwedged(double positionMm) {
        List<Double> left = wedges.stream().filter(wedge -> wedge != positionMm).toList();
        return new SeparateState(freed, left, frontOpened);
    }

    SeparateState opened() {
        return new SeparateState(freed, wedges, true);
    }
}
