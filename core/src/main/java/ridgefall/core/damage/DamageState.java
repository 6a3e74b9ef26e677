package ridgefall.core.damage;

import java.time.Instant;
import java.util.List;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageFact.MishapSeen;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;

/** What went wrong so far, in the order it did. */
public record DamageState(List<Noted> mishaps) {
    static final DamageState NOTHING = new DamageState(List.of());

    public static DamageState of(JobState job) {
        return job.of(DamageFact.FAMILY);
    }

    public record Noted(Instant at, MishapSeen mishap) {}

    DamageState with(Instant at, MishapSeen mishap) {
        return new DamageState(Fold.plus(mishaps, new Noted(at, mishap)));
    }

    /** Cracks that came at the bench, where they were pointed at. */
    List<EdgeInterval> cracks() {
        return mishaps.stream()
                .map(Noted::mishap)
                .filter(seen -> seen.mishap() == Mishap.NEW_CRACK && seen.positionMm() != null)
                .map(seen -> IntakeState.tappedCrack(seen.positionMm()))
                .toList();
    }
}
