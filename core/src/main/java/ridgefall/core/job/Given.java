package ridgefall.core.job;

import java.time.Instant;

/** An answer with who gave it; {@code signedOff} once a lead has taken a bad one for good enough. */
public record Given(Answer answer, String reason, Instant at, String who, boolean signedOff) {
    Given signedOff(boolean yes) {
        return new Given(answer, reason, at, who, yes && answer == Answer.FAIL);
    }
}
