package ridgefall.core.parts;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.decide.Piece;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact.PartOrdered;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;

/**
 * What is there for a job, and what is not yet.
 *
 * @param reserved taken off the shelf, by its row of the stock
 * @param ordered on its way, by the step that asked for it
 * @param arrived steps whose order has come
 * @param bad what went to the returns, in the order it did
 * @param agreedAfterAll a grade other than the agreed one that the owner takes
 */
public record PartsState(
        Map<UUID, PartReserved> reserved,
        Map<String, PartOrdered> ordered,
        Set<String> arrived,
        List<Returned> bad,
        Optional<Grade> agreedAfterAll) {
    static final PartsState NOTHING = new PartsState(Map.of(), Map.of(), Set.of(), List.of(), Optional.empty());

    /** What came with a part and is spent once a front was sealed with it. */
    private static final Set<Brings> SPENT = Set.of(Brings.TAPE, Brings.DIE_CUT_RING);

    public static PartsState of(JobState job) {
        return job.of(PartsFact.FAMILY);
    }

    /** A part that went to the returns: the fact's number, when and by whom. */
    public record Returned(long seq, Instant at, String who, PartSwapped part) {}

    /** What was agreed is kept for this job; adhesive that came with a part is spent once its front was sealed. */
    PartsState hears(Entry entry) {
        if (entry.fact() instanceof RepairAgreed agreed) {
            return kept(agreed.pieces());
        }
        if (!(entry.fact() instanceof DetourFact.Reopened)) {
            return this;
        }
        Map<UUID, PartReserved> left = reserved;
        for (PartReserved part : reserved.values()) {
            List<Brings> still =
                    part.brings().stream().filter(what -> !SPENT.contains(what)).toList();
            left = Fold.plus(
                    left,
                    part.stockId(),
                    new PartReserved(part.stockId(), part.kind(), part.grade(), part.words(), still));
        }
        return new PartsState(left, ordered, arrived, bad, agreedAfterAll);
    }

    /** Agreed anew with another piece of a kind, the one before it goes back. */
    private PartsState kept(List<Piece> pieces) {
        PartsState now = this;
        for (Piece piece : pieces) {
            for (PartReserved part : now.parts()) {
                now = part.kind() == piece.kind() ? now.without(part.stockId()) : now;
            }
            now = now.with(PartReserved.of(piece));
        }
        return now;
    }

    /** Whether agreeing to these would put a piece that the job has back on the shelf. */
    public boolean givesBack(List<Piece> pieces) {
        return pieces.stream()
                .anyMatch(piece -> reserved.values().stream()
                        .anyMatch(part ->
                                part.kind() == piece.kind() && !part.stockId().equals(piece.stockId())));
    }

    PartsState with(PartReserved part) {
        return new PartsState(Fold.plus(reserved, part.stockId(), part), ordered, arrived, bad, agreedAfterAll);
    }

    PartsState without(UUID stockId) {
        return new PartsState(Fold.minus(reserved, stockId), ordered, arrived, bad, agreedAfterAll);
    }

    PartsState ordered(PartOrdered order) {
        return new PartsState(
                reserved,
                Fold.plus(ordered, order.stepId(), order),
                Fold.minus(arrived, order.stepId()),
                bad,
                agreedAfterAll);
    }

    PartsState arrived(String stepId) {
        return new PartsState(reserved, Fold.minus(ordered, stepId), Fold.plus(arrived, stepId), bad, agreedAfterAll);
    }

    /** What was ordered for the part itself has come and was bad; orders for what goes with it stand. */
    PartsState swapped(PartSwapped swap, Entry entry) {
        Map<UUID, PartReserved> left = swap.stockId() == null ? reserved : Fold.minus(reserved, swap.stockId());
        return new PartsState(
                left,
                ordered,
                Set.of(),
                Fold.plus(bad, new Returned(entry.seq(), entry.happenedAt(), entry.who(), swap)),
                Optional.empty());
    }

    PartsState agreedAfterAll(Grade taken) {
        return new PartsState(reserved, ordered, arrived, bad, Optional.of(taken));
    }

    /** When the last of what is on its way is due; empty where nobody said when, or nothing is. */
    public Optional<LocalDate> latestDue() {
        return ordered.values().stream()
                .map(PartOrdered::due)
                .filter(Objects::nonNull)
                .max(Comparator.naturalOrder());
    }

    public List<PartReserved> parts() {
        return List.copyOf(reserved.values());
    }

    /** Whether a part of this job brings something along. */
    public boolean brought(Brings what) {
        return reserved.values().stream().anyMatch(part -> part.brings().contains(what));
    }
}
