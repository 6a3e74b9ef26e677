package ridgefall.core.test;

import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;

/** What the repaired device's own browser can try beside its touch layer, by the function of a profile that it proves. */
public enum Look {
    PICTURE("picture"),
    /** By the lines that it drew. */
    STYLUS("stylus"),
    LIGHT("light"),
    SOUND("sound"),
    CAMERA("camera"),
    MOTION("motion");

    private final String functionId;

    Look(String functionId) {
        this.functionId = functionId;
    }

    public String functionId() {
        return functionId;
    }

    /** Those that a device has something for. */
    public static Stream<Look> of(DeviceProfile profile) {
        return Stream.of(values())
                .filter(look -> profile.functions().stream()
                        .anyMatch(function -> function.id().equals(look.functionId)));
    }

    /** When a step asks for what it proves; empty for any other. */
    public Optional<Phase> asked(Step step) {
        return Checks.tried(step, functionId);
    }
}
