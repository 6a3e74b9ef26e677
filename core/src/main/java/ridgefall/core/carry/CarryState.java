package ridgefall.core.carry;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
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
 * @param ohm what was measured of the joints of boards that moved, by part and joint
 * @param copies how far data have come, by part
 */
public record CarryState(
        Set<String> moved,
        Map<String, String> lost,
        boolean joined,
        Map<String, Map<String, Double>> ohm,
        Map<String, DataCopy> copies) {
    static final double MOST_OHM = 1;

    static final CarryState NOTHING = new CarryState(Set.of(), Map.of(), false, Map.of(), Map.of());

    public static CarryState of(JobState job) {
        return job.of(CarryFact.FAMILY);
    }

    /**
     * What was moved onto a part that is swapped moves once more; what is lost stays lost. A panel that bad glass was joined to is
     * split off again, one that still waits for glass is not.
     */
    CarryState hears(Entry entry) {
        if (entry.fact() instanceof PartsFact.PartSwapped swap && swap.front()) {
            Map<String, DataCopy> still = new LinkedHashMap<>(copies);
            still.replaceAll((partId, copy) -> copy.swapped());
            return new CarryState(waiting(), lost, false, Map.of(), still);
        } else if (entry.fact() instanceof JobFact.CheckAnswered check) {
            boolean good = check.answer() == Answer.PASS;
            return check.checkId().equals(BondStation.OPTICAL)
                    ? new CarryState(moved, lost, good, ohm, copies)
                    : Copying.plugged(check.checkId())
                            .map(on -> copying(on.partId(), copy -> good ? copy.plugged(on.front()) : copy.unplugged()))
                            .orElse(this);
        }
        return this;
    }

    /** How far the data of a part have come. */
    public DataCopy copy(String partId) {
        return copies.getOrDefault(partId, DataCopy.NONE);
    }

    CarryState copying(String partId, UnaryOperator<DataCopy> change) {
        return new CarryState(moved, lost, joined, ohm, Fold.plus(copies, partId, change.apply(copy(partId))));
    }

    /** Data that are written once more; what was read is kept. */
    CarryState dueAgain(String partId) {
        return new CarryState(Fold.minus(moved, partId), Fold.minus(lost, partId), joined, ohm, copies)
                .copying(partId, DataCopy::swapped);
    }

    private Set<String> waiting() {
        return moved.contains(CarryStation.PANEL) && !joined ? Set.of(CarryStation.PANEL) : Set.of();
    }

    CarryState moved(String partId) {
        // What was soldered anew is measured anew.
        return new CarryState(
                Fold.plus(moved, partId), Fold.minus(lost, partId), joined, Fold.minus(ohm, partId), copies);
    }

    CarryState lost(String partId, String reason) {
        return new CarryState(
                Fold.minus(moved, partId), Fold.plus(lost, partId, reason), joined, Fold.minus(ohm, partId), copies);
    }

    CarryState measured(String partId, String jointId, double read) {
        return new CarryState(
                moved, lost, joined, Fold.plus(ohm, partId, Fold.plus(ohm(partId), jointId, read)), copies);
    }

    /** By joint. */
    public Map<String, Double> ohm(String partId) {
        return ohm.getOrDefault(partId, Map.of());
    }

    /** Whether a joint was measured and conducts as one does; far below that as a rule, but a handheld meter's leads are not. */
    public static boolean sound(Double ohm) {
        return ohm != null && ohm <= MOST_OHM;
    }

    public boolean carriedOver(String partId) {
        return moved.contains(partId);
    }
}
