package ridgefall.core.heat;

import java.time.Instant;
import java.util.Arrays;
import java.util.Objects;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Band;

/**
 * What a logged soak taught about a source, and about the device it was logged on.
 *
 * @param profileId the device it was measured on
 * @param at when
 * @param contactWPerM2K into whole glass, or in the middle of an outlet's spot
 * @param offsetK true temperature less setting; of an outlet, of the air less the rule of thumb
 * @param rmsK what is left between log and model
 * @param readings how many values went in
 * @param mean see {@link Knowledge}
 * @param root see {@link Knowledge}
 */
public record Calibration(
        String profileId,
        Instant at,
        Band contactWPerM2K,
        Band offsetK,
        double rmsK,
        int readings,
        double[] mean,
        double[][] root) {
    public Calibration {
        Allowed.text("profileId", profileId, 60);
        Allowed.present("at", at);
        Allowed.between("readings", readings, 1, 1_000_000, "");
        Allowed.between("mean", mean.length, Unknown.count(), Unknown.count(), "scores");
        Allowed.between("root", root.length, Unknown.count(), Unknown.count(), "rows");
    }

    /** One soak is fitted once: when and what on says which it is; plans are kept by the sources they are about. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Calibration c
                && profileId.equals(c.profileId)
                && at.equals(c.at)
                && Arrays.equals(mean, c.mean);
    }

    @Override
    public int hashCode() {
        return Objects.hash(profileId, at);
    }
}
