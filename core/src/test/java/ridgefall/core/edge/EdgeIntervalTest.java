package ridgefall.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EdgeIntervalTest {
    private static final double P = 100;

    @Test
    void runsOverTheLandmarkCorner() {
        EdgeInterval over = EdgeInterval.between(90, 10, P);
        assertThat(over.lengthMm()).isEqualTo(20);
        assertThat(over.toMm(P)).isEqualTo(10);
        assertThat(over.middleMm(P)).isEqualTo(0);
        assertThat(over.contains(95, P)).isTrue();
        assertThat(over.contains(5, P)).isTrue();
        assertThat(over.contains(10, P)).isFalse();
        assertThat(over.contains(50, P)).isFalse();
    }

    @Test
    void twoLongIntervalsCanMeetTwice() {
        assertThat(new EdgeInterval(0, 60).intersection(new EdgeInterval(50, 60), P))
                .containsExactly(new EdgeInterval(50, 10), new EdgeInterval(0, 10));
    }

    @Test
    void touchingEndsAreNoOverlap() {
        assertThat(new EdgeInterval(0, 10).overlaps(new EdgeInterval(10, 10), P))
                .isFalse();
        assertThat(new EdgeInterval(90, 10).overlaps(new EdgeInterval(0, 10), P))
                .isFalse();
    }

    @Test
    void growsByBothEndsButNeverBeyondATurn() {
        assertThat(new EdgeInterval(2, 4).grown(5, P)).isEqualTo(new EdgeInterval(97, 14));
        assertThat(new EdgeInterval(2, 90).grown(50, P).lengthMm()).isEqualTo(P);
    }

    @Test
    void intersectionIsTheSetOfSharedPositions() {
        Random random = new Random(11);
        for (int i = 0; i < 500; i++) {
            EdgeInterval a = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(99));
            EdgeInterval b = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(99));
            double at = random.nextInt(100) + 0.5;
            boolean both = a.contains(at, P) && b.contains(at, P);
            List<EdgeInterval> shared = a.intersection(b, P);
            assertThat(shared.stream().anyMatch(s -> s.contains(at, P))).isEqualTo(both);
            assertThat(a.complement(P).contains(at, P)).isNotEqualTo(a.contains(at, P));
        }
    }

    @Test
    void aProfileKeepsOneValueForEveryPositionWhateverIsLaidOver() {
        Random random = new Random(3);
        for (int round = 0; round < 100; round++) {
            EdgeProfile<Integer> profile = EdgeProfile.uniform(P, 0);
            int[] expected = new int[100];
            for (int n = 1; n <= 5; n++) {
                EdgeInterval where = new EdgeInterval(random.nextInt(100), 1 + random.nextInt(98));
                profile = profile.with(where, n);
                for (int i = 0; i < 100; i++) {
                    if (where.contains(i + 0.5, P)) {
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
        assertThatThrownBy(() -> new EdgeProfile<>(P, List.of(new EdgeProfile.Piece<>(new EdgeInterval(0, 99), 1))))
                .hasMessageContaining("99.0 mm of an edge of 100.0 mm");
        assertThat(EdgeProfile.uniform(P, 2.0).map(v -> v * 2).at(12)).isCloseTo(4, within(0.0));
    }
}
