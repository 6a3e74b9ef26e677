package ridgefall.core.heat;

import java.time.Duration;
import java.time.Instant;

/**
 * A source that a device lies on.
 *
 * @param whose that device, as it is called at the bench
 * @param since when it was laid on
 * @param freeAt when it is meant to come off
 */
public record SourceTaken(String sourceId, String whose, Instant since, Instant freeAt) {
    /** Later than this nobody lies there any more: it was taken off without a word. */
    private static final Duration FORGOTTEN = Duration.ofMinutes(2);

    public boolean at(Instant now) {
        return now.isBefore(freeAt.plus(FORGOTTEN));
    }

    public int secondsLeft(Instant now) {
        return (int) Math.max(0, Duration.between(now, freeAt).toSeconds());
    }
}
