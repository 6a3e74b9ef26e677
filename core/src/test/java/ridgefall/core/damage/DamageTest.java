package ridgefall.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Point;
import ridgefall.core.edge.Turn;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.MarkRemoved;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

/** Where drawn cracks cross the bond line. The demo tablet is 250 × 176 mm, its border 7.5 mm, its corners 16 mm. */
class DamageTest {
    private static final DeviceProfile QUIRE = ShippedBook.quire11();
    private static final double PERIMETER = QUIRE.edge().lengthMm();

    private static JobState state(Fact... facts) {
        List<Entry> journal = new ArrayList<>();
        Instant at = Instant.parse("2026-03-02T08:00:00Z");
        journal.add(
                new Entry(1, at, "Ansa", Role.DESK, new IntakeFact.JobOpened(QUIRE.id(), 1, null, "Hut", "cracked")));
        for (Fact fact : facts) {
            journal.add(new Entry(journal.size() + 1, at, "Ansa", Role.DESK, fact));
        }
        return JobState.of(journal);
    }

    private static List<EdgeInterval> cracks(Point... line) {
        return Damage.edgeCracks(QUIRE, state(new CrackDrawn(List.of(line))));
    }

    @Test
    void aLineFromOneEdgeToAnotherCrossesTheBondTwice() {
        List<EdgeInterval> cracks = cracks(new Point(116, 0), new Point(116, 176));
        assertThat(cracks).hasSize(2);
        // Straight down from x = 116: position 116 − 16 on the top edge, 4 mm reckoned to both sides.
        assertThat(cracks.get(0).fromMm()).isCloseTo(96, within(0.1));
        assertThat(cracks.get(0).lengthMm()).isCloseTo(8, within(0.1));
    }

    @Test
    void aSlantingLineIsAsWideOnTheEdgeAsItRunsThroughTheBorder() {
        // 45°: through 7.5 mm of border and 2 mm of reach it moves 9.5 mm along the edge.
        EdgeInterval crack = cracks(new Point(100, 0), new Point(160, 60)).get(0);
        assertThat(crack.fromMm()).isCloseTo(100 - 16 - 4, within(0.6));
        assertThat(crack.lengthMm()).isCloseTo(9.5 + 8, within(0.8));
    }

    @Test
    void aCrackOverTheStartOfTheAxisIsOneInterval() {
        EdgeInterval crack = cracks(new Point(14, 1), new Point(20, 1)).get(0);
        assertThat(crack.fromMm()).isGreaterThan(PERIMETER - 10);
        assertThat(new Turn(PERIMETER).contains(crack, 0)).isTrue();
        assertThat(crack.lengthMm()).isLessThan(20);
    }

    @Test
    void aCrackInTheMiddleReachesNoEdge() {
        assertThat(cracks(new Point(60, 60), new Point(190, 120))).isEmpty();
    }

    @Test
    void tappedDrawnAndLaterCracksAllCountUntilTheyAreRemoved() {
        Fact drawn = new CrackDrawn(List.of(new Point(116, 0), new Point(116, 40)));
        Fact tapped = new IntakeFact.CrackMarked(300, 0);
        Fact later = new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, 500.0);
        assertThat(Damage.edgeCracks(QUIRE, state(drawn, tapped, later))).hasSize(3);
        assertThat(Damage.edgeCracks(QUIRE, state(drawn, tapped, later, new MarkRemoved(2))))
                .containsExactly(new EdgeInterval(296, 8), new EdgeInterval(496, 8));
    }
}
