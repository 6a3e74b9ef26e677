package ridgefall.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TurnTest {
    private static final Turn TURN = new Turn(100);

    @Test
    void runsOverTheLandmarkCorner() {
        EdgeInterval over = TURN.between(90, 10);
        assertThat(over.lengthMm()).isEqualTo(20);
        assertThat(TURN.end(over)).isEqualTo(10);
        assertThat(TURN.middle(over)).isEqualTo(0);
        assertThat(TURN.contains(over, 95)).isTrue();
        assertThat(TURN.contains(over, 5)).isTrue();
        assertThat(TURN.contains(over, 10)).isFalse();
        assertThat(TURN.contains(over, 50)).isFalse();
    }

    @Test
    void twoLongIntervalsCanMeetTwice() {
        assertThat(TURN.shared(new EdgeInterval(0, 60), new EdgeInterval(50, 60)))
                .containsExactly(new EdgeInterval(50, 10), new EdgeInterval(0, 10));
    }

    @Test
    void touchingEndsAreNoOverlap() {
        assertThat(TURN.overlap(new EdgeInterval(0, 10), new EdgeInterval(10, 10)))
                .isFalse();
        assertThat(TURN.overlap(new EdgeInterval(90, 10), new EdgeInterval(0, 10)))
                .isFalse();
    }

    @Test
    void theWayIsTheShortOne() {
        assertThat(TURN.way(90, 10)).isEqualTo(20);
        assertThat(TURN.way(10, 90)).isEqualTo(-20);
        assertThat(TURN.apart(10, 90)).isEqualTo(20);
        assertThat(TURN.wrap(-10)).isEqualTo(90);
        assertThat(TURN.wrap(100)).isZero();
    }

    @Test
    void growsByBothEndsButNeverBeyondATurn() {
        assertThat(TURN.grown(new EdgeInterval(2, 4), 5)).isEqualTo(new EdgeInterval(97, 14));
        assertThat(TURN.grown(new EdgeInterval(2, 90), 50).lengthMm()).isEqualTo(100);
    }

    @Test
    void intersectionIsTheSetOfSharedPositions() {
        Random random = new Random(11);
        for (int i = 0; i < 500; i++) {
            EdgeInterval a = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(99));
            EdgeInterval b = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(99));
            double at = random.nextInt(100) + 0.5;
            boolean both = TURN.contains(a, at) && TURN.contains(b, at);
            List<EdgeInterval> shared = TURN.shared(a, b);
            assertThat(shared.stream().anyMatch(s -> TURN.contains(s, at))).isEqualTo(both);
            assertThat(TURN.contains(TURN.rest(a), at)).isNotEqualTo(TURN.contains(a, at));
        }
    }

    @Test
    void aProfileKeepsOneValueForEveryPositionWhateverIsLaidOver() {
        Random random = new Random(3);
        for (int round = 0; round < 100; round++) {
            EdgeProfile<Integer> profile = EdgeProfile.uniform(TURN, 0);
            int[] expected = new int[100];
            for (int n = 1; n <= 5; n++) {
                EdgeInterval where = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(98));
                profile = profile.with(where, n);
                for (int i = 0; i < 100; i++) {
                    if (TURN.contains(where, i + 0.5)) {
                        expected[i] = n;
                    }
                }
            }
            for (int i = 0; i < 100; i++) {
                assertThat(profile.at(i + 0.5)).isEqualTo(expected[i]);
            }
            EdgeProfile<Integer> doubled = profile.combine(profile, Integer::sum);
            assertThat(doubled.at(33.5)).isEqualTo(2 * expected[33]);
        }
    }

    @Test
    void aProfileWithAHoleIsRefused() {
        assertThatThrownBy(() -> new EdgeProfile<>(TURN, List.of(new EdgeProfile.Piece<>(new EdgeInterval(0, 99), 1))))
                .hasMessageContaining("99.0 mm of an edge of 100.0 mm");
        assertThat(EdgeProfile.uniform(TURN, 2.0).map(v -> v * 2).at(12)).isCloseTo(4, within(0.0));
    }
}
