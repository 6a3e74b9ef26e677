package ridgefall.core.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeFact.DataKept;
import ridgefall.core.intake.IntakeFact.EarlierRepair;
import ridgefall.core.intake.IntakeFact.JobOpened;
import ridgefall.core.intake.IntakeFact.PhotoTaken;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.Symptom;
import ridgefall.core.stop.StopFact;

/**
 * How a device came in.
 *
 * @param opened null before the first fact, as is its time
 * @param functionsAdded what it does that its profile does not name
 * @param begun whether something was done to it that nothing brings back
 * @param cracks tapped on the edge, in the order they were
 * @param marks drawn on the outline, in the order they were
 * @param broughtIn when it came from another book as a file: what was done until then was done elsewhere; null where it was not
 */
public record IntakeState(
        JobOpened opened,
        Instant openedAt,
        Unit unit,
        Owner owner,
        boolean begun,
        List<Function> functionsAdded,
        List<EdgeInterval> cracks,
        List<Mark> marks,
        List<PhotoTaken> photos,
        Instant broughtIn) {
    static final IntakeState NOTHING = new IntakeState(
            null, null, Unit.UNSEEN, Owner.SILENT, false, List.of(), List.of(), List.of(), List.of(), null);

    /** Half the width, along the edge, that a crack tapped at one place is taken to have. */
    private static final double TAPPED_CRACK_HALF_MM = 4;

    public static IntakeState of(JobState job) {
        return job.of(IntakeFact.FAMILY);
    }

    /** A crack that was only pointed at. */
    public static EdgeInterval tappedCrack(double atMm) {
        return new EdgeInterval(Math.max(0, atMm - TAPPED_CRACK_HALF_MM), 2 * TAPPED_CRACK_HALF_MM);
    }

    /** A crack, dent or bend drawn on the outline, by the number of its fact. */
    public record Mark(long seq, IntakeFact mark) {}

    /** What was seen of this very unit; empty where nobody looked. */
    record Unit(
            Optional<FrontCondition> front,
            Optional<Battery> battery,
            Optional<Boolean> canSwitchOff,
            Set<Symptom> symptoms,
            Optional<Long> cameFrom,
            Optional<LocalDate> promisedOn,
            Optional<EarlierRepair> earlier) {
        static final Unit UNSEEN = new Unit(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());

        Unit front(FrontCondition seen) {
            return new Unit(Optional.of(seen), battery, canSwitchOff, symptoms, cameFrom, promisedOn, earlier);
        }

        Unit battery(Optional<Battery> seen) {
            return new Unit(front, seen, canSwitchOff, symptoms, cameFrom, promisedOn, earlier);
        }

        Unit canSwitchOff(boolean can) {
            return new Unit(front, battery, Optional.of(can), symptoms, cameFrom, promisedOn, earlier);
        }

        Unit symptom(Symptom symptom, boolean present) {
            Set<Symptom> seen = present ? Fold.plus(symptoms, symptom) : Fold.minus(symptoms, symptom);
            return new Unit(front, battery, canSwitchOff, seen, cameFrom, promisedOn, earlier);
        }

        Unit cameFrom(long jobNumber) {
            return new Unit(front, battery, canSwitchOff, symptoms, Optional.of(jobNumber), promisedOn, earlier);
        }

        Unit earlier(Optional<EarlierRepair> signs) {
            return new Unit(front, battery, canSwitchOff, symptoms, cameFrom, promisedOn, signs);
        }

        Unit promised(LocalDate on) {
            return new Unit(front, battery, canSwitchOff, symptoms, cameFrom, Optional.of(on), earlier);
        }
    }

    /** What the owner was asked; empty where nobody asked. */
    record Owner(Optional<DataKept> data, Optional<String> risksAcceptedBy, Optional<String> unlocked) {
        static final Owner SILENT = new Owner(Optional.empty(), Optional.empty(), Optional.empty());

        Owner data(DataKept said) {
            return new Owner(Optional.of(said), risksAcceptedBy, unlocked);
        }

        Owner accepted(String by) {
            return new Owner(data, Optional.of(by), unlocked);
        }

        Owner unlocked(Optional<String> what) {
            return new Owner(data, risksAcceptedBy, what);
        }
    }

    /** A cell that a lead lets go on is looked at once more. */
    IntakeState hears(Entry entry) {
        if (entry.fact() instanceof StopFact.LetGoOn) {
            return looked(unit.battery(Optional.empty()));
        } else if (entry.fact() instanceof JobFact.CheckAnswered none) {
            return switch (none.checkId()) {
                case "intake.earlier" -> looked(unit.earlier(Optional.empty()));
                case "intake.passcode" -> said(owner.unlocked(Optional.empty()));
                default -> this;
            };
        }
        return entry.fact().irreversible() && !begun
                ? new IntakeState(opened, openedAt, unit, owner, true, functionsAdded, cracks, marks, photos, broughtIn)
                : this;
    }

    IntakeState adding(Function function) {
        return new IntakeState(
                opened,
                openedAt,
                unit,
                owner,
                begun,
                Fold.plus(functionsAdded, function),
                cracks,
                marks,
                photos,
                broughtIn);
    }

    IntakeState said(Owner answers) {
        return new IntakeState(
                opened, openedAt, unit, answers, begun, functionsAdded, cracks, marks, photos, broughtIn);
    }

    IntakeState opened(JobOpened by, Instant at) {
        return new IntakeState(by, at, unit, owner, begun, functionsAdded, cracks, marks, photos, broughtIn);
    }

    IntakeState looked(Unit seen) {
        return new IntakeState(opened, openedAt, seen, owner, begun, functionsAdded, cracks, marks, photos, broughtIn);
    }

    IntakeState cracked(EdgeInterval crack) {
        return new IntakeState(
                opened,
                openedAt,
                unit,
                owner,
                begun,
                functionsAdded,
                Fold.plus(cracks, crack),
                marks,
                photos,
                broughtIn);
    }

    IntakeState marked(long seq, IntakeFact mark) {
        return new IntakeState(
                opened,
                openedAt,
                unit,
                owner,
                begun,
                functionsAdded,
                cracks,
                Fold.plus(marks, new Mark(seq, mark)),
                photos,
                broughtIn);
    }

    IntakeState unmarked(long seq) {
        List<Mark> left = marks.stream().filter(mark -> mark.seq() != seq).toList();
        return new IntakeState(opened, openedAt, unit, owner, begun, functionsAdded, cracks, left, photos, broughtIn);
    }

    IntakeState pictured(PhotoTaken photo) {
        return new IntakeState(
                opened,
                openedAt,
                unit,
                owner,
                begun,
                functionsAdded,
                cracks,
                marks,
                Fold.plus(photos, photo),
                broughtIn);
    }

    IntakeState broughtIn(Instant at) {
        return new IntakeState(opened, openedAt, unit, owner, begun, functionsAdded, cracks, marks, photos, at);
    }

    /** Whether something was done in this shop, and not where a file came from that it was brought in by. */
    public boolean here(Instant at) {
        return broughtIn == null || at.isAfter(broughtIn);
    }

    public Optional<FrontCondition> front() {
        return unit.front;
    }

    public Optional<Battery> battery() {
        return unit.battery;
    }

    public Optional<Boolean> canSwitchOff() {
        return unit.canSwitchOff;
    }

    public Set<Symptom> symptoms() {
        return unit.symptoms;
    }

    /** Number of the job as which it was here before with the same. */
    public Optional<Long> cameFrom() {
        return unit.cameFrom;
    }

    public Optional<LocalDate> promisedOn() {
        return unit.promisedOn;
    }

    public Optional<EarlierRepair> earlierRepair() {
        return unit.earlier;
    }

    /** Screws that were missing when it came in. */
    public int missingScrews() {
        return unit.earlier.map(EarlierRepair::missingScrews).orElse(0);
    }

    public List<BendMarked> bends() {
        return marks.stream()
                .filter(mark -> mark.mark() instanceof BendMarked)
                .map(mark -> (BendMarked) mark.mark())
                .toList();
    }
}
