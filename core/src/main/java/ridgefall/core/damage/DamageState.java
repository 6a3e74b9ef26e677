package ridgefall.core.damage;

import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageFact.MishapSeen;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;

/**
 * What went wrong so far, in the order it did.
 *
 * @param sealedIn what happened before the front was sealed, where it was opened again since
 */
public record DamageState(List<Noted> mishaps, int sealedIn) {
    private static final Set<Mishap> TOOL = EnumSet.of(Mishap.SLIP, Mishap.TOO_DEEP, Mishap.CUT);

    static final DamageState NOTHING = new DamageState(List.of(), 0);

    public static DamageState of(JobState job) {
        return job.of(DamageFact.FAMILY);
    }

    /**
     * @param seq of the fact that told it
     * @param words what was said about it later; null where nothing was
     */
    public record Noted(long seq, Instant at, String who, MishapSeen mishap, String words) {}

    DamageState with(Noted noted) {
        return new DamageState(Fold.plus(mishaps, noted), sealedIn);
    }

    /** Cracks of the old front are not the new one's. */
    DamageState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened ? new DamageState(mishaps, mishaps.size()) : this;
    }

    DamageState placed(long seq, double positionMm) {
        return changed(
                seq,
                noted -> new Noted(
                        seq,
                        noted.at,
                        noted.who,
                        new MishapSeen(noted.mishap.mishap(), positionMm, noted.mishap.stepId()),
                        noted.words));
    }

    DamageState told(long seq, String words) {
        return changed(seq, noted -> new Noted(seq, noted.at, noted.who, noted.mishap, words));
    }

    private DamageState changed(long seq, UnaryOperator<Noted> change) {
        return new DamageState(
                mishaps.stream()
                        .map(noted -> noted.seq == seq ? change.apply(noted) : noted)
                        .toList(),
                sealedIn);
    }

    /** What happened to the front that is on now, in the order it did. */
    public List<Noted> sinceClosed() {
        return mishaps.subList(sealedIn, mishaps.size());
    }

    /** Where a tool went wrong under the front that is on now, where it was pointed at. */
    List<Harm> harms() {
        return sinceClosed().stream()
                .map(Noted::mishap)
                .filter(seen -> TOOL.contains(seen.mishap()) && seen.positionMm() != null)
                .map(seen -> new Harm(IntakeState.tappedCrack(seen.positionMm()), seen.mishap()))
                .toList();
    }

    /** Cracks that came at the bench to the front that is on now, where they were pointed at. */
    List<EdgeInterval> cracks() {
        return sinceClosed().stream()
                .map(Noted::mishap)
                .filter(seen -> seen.mishap() == Mishap.NEW_CRACK && seen.positionMm() != null)
                .map(seen -> IntakeState.tappedCrack(seen.positionMm()))
                .toList();
    }
}
