package ridgefall.core.seal;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.seal.DustLook.Speck;
import ridgefall.core.seal.SealFact.FlushRead;

/**
 * What is off the new front, and when it was seated for good.
 *
 * @param clamps how far a bead's front is with them
 * @param flush readings round the edge, in order of coming
 * @param dust what a light from the side showed last, zone by zone
 */
public record SealState(
        Set<String> coversOff,
        Optional<Instant> sealedAt,
        Clamped clamps,
        List<FlushRead> flush,
        Map<Integer, Speck> dust) {
    static final SealState NOTHING = new SealState(Set.of(), Optional.empty(), Clamped.NOT, List.of(), Map.of());

    enum Clamped {
        NOT,
        ON,
        WIPED,
        OFF
    }

    public static SealState of(JobState job) {
        return job.of(SealFact.FAMILY);
    }

    /** Fresh adhesive has its liners on, and so has another part. */
    SealState hears(Entry entry) {
        return entry.fact() instanceof DetourFact.Reopened || entry.fact() instanceof PartsFact.PartSwapped
                ? NOTHING
                : this;
    }

    SealState uncovered(String coverId) {
        return new SealState(Fold.plus(coversOff, coverId), sealedAt, clamps, flush, dust);
    }

    SealState sealed(Instant at) {
        return new SealState(coversOff, Optional.of(at), Clamped.NOT, List.of(), dust);
    }

    SealState clamped() {
        return new SealState(coversOff, sealedAt, Clamped.ON, flush, dust);
    }

    SealState wiped() {
        return new SealState(coversOff, sealedAt, Clamped.WIPED, flush, dust);
    }

    SealState unclamped() {
        return new SealState(coversOff, sealedAt, Clamped.OFF, flush, dust);
    }

    SealState read(FlushRead reading) {
        return new SealState(coversOff, sealedAt, clamps, Fold.plus(flush, reading), dust);
    }

    SealState looked(int zone, Speck found) {
        return new SealState(coversOff, sealedAt, clamps, flush, Fold.plus(dust, zone, found));
    }

    public boolean coverOff(String coverId) {
        return coversOff.contains(coverId);
    }
}
