package ridgefall.core.bond;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.bond.BondFact.BeadLaid;
import ridgefall.core.bond.BondFact.CornerMeasured;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.bond.BondFact.SeatMeasured;
import ridgefall.core.bond.BondFact.StripLaid;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.parts.PartsFact;

/**
 * What holds the front, and how far it lies.
 *
 * @param ringMm how thick a die-cut ring is, as a caliper read it
 * @param bead that lies on the frame, and since when
 * @param seat as a caliper read it
 * @param corners bent ones that were measured again
 * @param used of the shelf, however often it was laid
 */
public record BondState(
        Optional<HeldByChosen> held,
        Optional<TapeSchool> school,
        Set<String> stripsLaid,
        Optional<Double> ringMm,
        Optional<Laid> bead,
        Optional<SeatMeasured> seat,
        Map<Landmark, CornerMeasured> corners,
        List<Used> used) {
    static final BondState NOTHING = new BondState(
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Map.of(),
            List.of());

    /** @param amount in the unit of what it is of */
    public record Used(String supplyId, double amount, Instant at) {}

    /** A bead on the frame, and since when. */
    public record Laid(BeadLaid bead, Instant at) {
        boolean skinned(Instant now) {
            return now.isAfter(at.plusSeconds(bead.skinSeconds()));
        }
    }

    public static BondState of(JobState job) {
        return job.of(BondFact.FAMILY);
    }

    /** What held a front that was opened again is spent; rings and liquid of the shelf are told by others' facts. */
    BondState hears(Entry entry) {
        if (entry.fact() instanceof DetourFact.Reopened) {
            return new BondState(
                    Optional.empty(),
                    Optional.empty(),
                    Set.of(),
                    Optional.empty(),
                    Optional.empty(),
                    seat,
                    corners,
                    used);
        } else if (entry.fact() instanceof PartsFact.PartSwapped swap && swap.front()) {
            // The tape that came on it went with it, and nobody has measured the other one.
            return new BondState(
                    held.filter(it -> it.held() != HeldBy.CAME_ON_IT),
                    school,
                    stripsLaid,
                    ringMm,
                    bead,
                    Optional.empty(),
                    corners,
                    used);
        } else if (entry.fact() instanceof JobFact.CheckAnswered f
                && f.checkId().equals(BondStation.RING)
                && f.answer() == Answer.PASS) {
            return held.filter(it -> it.supplyId() != null)
                    .map(it -> using(it.supplyId(), 1, entry.happenedAt()))
                    .orElse(this);
        } else if (entry.fact() instanceof JoinFact.LiquidLaid f && f.supplyId() != null && f.ml() != null) {
            return using(f.supplyId(), f.ml(), entry.happenedAt());
        } else if (entry.fact() instanceof FilmFact.FilmLaid f) {
            return using(f.supplyId(), 1, entry.happenedAt());
        } else if (entry.fact() instanceof JoinFact.LampOn f && f.lampId() != null) {
            return using(f.lampId(), f.seconds() / 3600.0, entry.happenedAt());
        }
        return this;
    }

    private BondState using(String supplyId, double amount, Instant at) {
        return new BondState(
                held, school, stripsLaid, ringMm, bead, seat, corners, Fold.plus(used, new Used(supplyId, amount, at)));
    }

    BondState heldBy(HeldByChosen chosen) {
        return new BondState(
                Optional.of(chosen), Optional.empty(), Set.of(), ringMm, Optional.empty(), seat, corners, used);
    }

    BondState chosen(TapeSchool anew) {
        return new BondState(held, Optional.of(anew), Set.of(), Optional.empty(), bead, seat, corners, used);
    }

    BondState laid(StripLaid strip, Instant at) {
        BondState after =
                new BondState(held, school, Fold.plus(stripsLaid, strip.stripId()), ringMm, bead, seat, corners, used);
        return strip.rollId() == null || strip.usedMm() == null
                ? after
                : after.using(strip.rollId(), strip.usedMm(), at);
    }

    BondState ring(double thicknessMm) {
        return new BondState(held, school, stripsLaid, Optional.of(thicknessMm), bead, seat, corners, used);
    }

    BondState bead(BeadLaid laid, Instant at) {
        BondState after =
                new BondState(held, school, stripsLaid, ringMm, Optional.of(new Laid(laid, at)), seat, corners, used);
        return laid.supplyId() == null ? after : after.using(laid.supplyId(), laid.ml(), at);
    }

    BondState withoutBead() {
        return new BondState(held, school, stripsLaid, ringMm, Optional.empty(), seat, corners, used);
    }

    BondState measured(SeatMeasured read) {
        return new BondState(held, school, stripsLaid, ringMm, bead, Optional.of(read), corners, used);
    }

    BondState measured(CornerMeasured read) {
        return new BondState(
                held, school, stripsLaid, ringMm, bead, seat, Fold.plus(corners, read.corner(), read), used);
    }

    public boolean stripLaid(String stripId) {
        return stripsLaid.contains(stripId);
    }
}
