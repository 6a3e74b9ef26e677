package ridgefall.core.separate;

import java.time.Duration;
import java.time.Instant;
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
 * @param solventAt when solvent was laid along the edge; null where none is wet
 */
public record SeparateState(List<String> freed, List<Double> wedges, boolean frontOpened, Instant solventAt) {
    static final SeparateState NOTHING = new SeparateState(List.of(), List.of(), false, null);

    /** By then what is left of it has dried at the seam. */
    private static final double LONGEST_CREEP_MINUTES = 10;

    public static SeparateState of(JobState job) {
        return job.of(SeparateFact.FAMILY);
    }

    /** A front that was sealed holds all round. */
    SeparateState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened ? NOTHING : this;
    }

    SeparateState freed(String stretchId) {
        return freed.contains(stretchId)
                ? this
                : new SeparateState(Fold.plus(freed, stretchId), wedges, frontOpened, solventAt);
    }

    SeparateState wedged(double positionMm) {
        return wedges.contains(positionMm)
                ? this
                : new SeparateState(freed, Fold.plus(wedges, positionMm), frontOpened, solventAt);
    }

    SeparateState unwedged(double positionMm) {
        List<Double> left = wedges.stream().filter(wedge -> wedge != positionMm).toList();
        return new SeparateState(freed, left, frontOpened, solventAt);
    }

    SeparateState opened() {
        return new SeparateState(freed, wedges, true, null);
    }

    SeparateState wetSince(Instant at) {
        return new SeparateState(freed, wedges, frontOpened, at);
    }

    /** No source comes near until it is dry. */
    public boolean wet() {
        return solventAt != null;
    }

    /** For how long solvent has crept into the bond once it is cut: never less than it is waited for, min; 0 where none is. */
    public double solventMinutes(Instant now) {
        return !wet()
                ? 0
                : Math.min(
                        LONGEST_CREEP_MINUTES,
                        Math.max(
                                SeparateFact.CREEPS_MINUTES,
                                Duration.between(solventAt, now).toMinutes()));
    }
}
