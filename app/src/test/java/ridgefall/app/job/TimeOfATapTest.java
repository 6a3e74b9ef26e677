package ridgefall.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

/** When a tap happened: by its own clock, unless that can't be. */
class TimeOfATapTest {
    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

    @Test
    void aTapKeepsItsOwnTimeWhileItWaitsForTheLine() {
        assertThat(Journal.happenedAt(NOON.minusSeconds(90), NOON.minusSeconds(300), NOON))
                .isEqualTo(NOON.minusSeconds(90));
    }

    @Test
    void oneFromTheFutureOrFromBeforeWhatItFollowsHappenedNow() {
        assertThat(Journal.happenedAt(NOON.plusSeconds(5), NOON.minusSeconds(300), NOON))
                .isEqualTo(NOON);
        assertThat(Journal.happenedAt(NOON.minusSeconds(400), NOON.minusSeconds(300), NOON))
                .isEqualTo(NOON);
        assertThat(Journal.happenedAt(null, NOON.minusSeconds(300), NOON)).isEqualTo(NOON);
    }

    @Test
    void aClockThatWasSetBackPutsNothingBeforeWhatItFollows() {
        Instant latest = NOON.plusSeconds(3600);
        assertThat(Journal.happenedAt(null, latest, NOON)).isEqualTo(latest);
        assertThat(Journal.happenedAt(NOON, latest, NOON)).isEqualTo(latest);
        assertThat(Journal.happenedAt(latest.plusMillis(5), latest, NOON)).isEqualTo(latest);
    }
}
