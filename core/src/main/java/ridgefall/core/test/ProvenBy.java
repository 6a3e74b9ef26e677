package ridgefall.core.test;

import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;

/** What can prove the function that a step tries, beside a hand's word for it. */
public enum ProvenBy {
    /** The repaired device's own browser. */
    DEVICE,
    /** A meter in its charge. */
    METER,
    /** A reader that its card is held to. */
    READER;

    /** Empty for a step that tries nothing, or what hands alone can tell. */
    public static Optional<ProvenBy> of(DeviceProfile profile, Step step) {
        if (Checks.tried(step, Checks.TOUCH).isPresent()
                || Stream.of(Look.values()).anyMatch(look -> look.asked(step).isPresent())) {
            return Optional.of(DEVICE);
        }
        if (Checks.tried(step, Checks.CHARGE)
                .filter(phase -> phase != Phase.BEFORE)
                .isPresent()) {
            return Optional.of(METER);
        }
        return profile.functions().stream()
                        .map(Function::id)
                        .filter(profile::provenAtReader)
                        .anyMatch(function -> Checks.tried(step, function).isPresent())
                ? Optional.of(READER)
                : Optional.empty();
    }
}
