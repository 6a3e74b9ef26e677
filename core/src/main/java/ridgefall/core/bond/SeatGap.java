package ridgefall.core.bond;

import java.util.Optional;
import ridgefall.core.decide.DecideState;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.PartThickness;
import ridgefall.core.profile.ProfileDocument.Seat;

/**
 * What the seat leaves between ledge and front for whatever holds it.
 *
 * @param depthMm from the rim down to the ledge
 * @param frontMm of the front, over the ledge
 * @param measured by caliper at this device, not taken from the book
 */
public record SeatGap(double depthMm, double frontMm, boolean measured) {
    /** A thumb feels a tenth. */
    static final double FELT_MM = 0.10;

    /** Less than that between the two and nothing can lie there. */
    static final double LEAST_MM = 0.01;

    private static final double HUNDREDTHS = 100;

    /** Under the part of the agreed repair; empty where neither the book nor a caliper says. */
    public static Optional<SeatGap> of(DeviceProfile profile, JobState state) {
        Optional<SeatGap> read = BondState.of(state).seat().map(it -> new SeatGap(it.depthMm(), it.frontMm(), true));
        return read.isPresent() ? read : inBook(profile, state);
    }

    private static Optional<SeatGap> inBook(DeviceProfile profile, JobState state) {
        Seat seat = profile.document().seat();
        Optional<PartKind> part = DecideState.of(state).repair().stream()
                .flatMap(agreed -> profile.repair(agreed.repairId()).parts().stream())
                .filter(kind -> seat.parts().stream().anyMatch(p -> p.part() == kind))
                .findFirst();
        return seat.parts().stream()
                .filter(thick -> part.isEmpty() || thick.part() == part.get())
                .findFirst()
                .map(PartThickness::overLedgeMm)
                .map(over -> new SeatGap(seat.depthMm(), over, false));
    }

    /** With the front flush in its rim; 0 or less where the front alone stands up to it, or over it. */
    public double gapMm() {
        return hundredths(depthMm - frontMm);
    }

    private static double hundredths(double mm) {
        return Math.round(mm * HUNDREDTHS) / HUNDREDTHS;
    }

    /** How far a front stands over its rim on tape of this thickness; below 0 it lies under it. */
    double proudMm(double adhesiveMm) {
        return hundredths(adhesiveMm - gapMm());
    }

    public boolean room() {
        return gapMm() >= LEAST_MM;
    }
}
