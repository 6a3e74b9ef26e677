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
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.MarkRemoved;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact;

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

    @Test
    void aSlipSaysWhatLiesThereTheWorstFirst() {
        // The fingerprint key's cable runs over 255 to 273 mm of the demo tablet's edge.
        Consequence slip = Consequence.all(QUIRE, state(new DamageFact.MishapSeen(DamageFact.Mishap.SLIP, 262.0)))
                .get(0);
        assertThat(slip.beneath()).first().isEqualTo("fingerprint key cable (fingerprint is lost for good)");
        assertThat(slip.todo()).startsWith("Look at fingerprint key cable");
        assertThat(slip.title()).isEqualTo("After the slip, port edge, {mm:35} from the camera edge");
        Consequence nowhere = Consequence.all(QUIRE, state(new DamageFact.MishapSeen(DamageFact.Mishap.SLIP, null)))
                .get(0);
        assertThat(nowhere.place()).isNull();
        assertThat(nowhere.todo()).startsWith("Look at what lies there");
    }

    @Test
    void itsPlaceAndItsStoryMayFollow() {
        JobState state = state(
                new DamageFact.MishapSeen(DamageFact.Mishap.CUT, 40.0, "separate.top-1"),
                new DamageFact.MishapPlaced(2, 309.0),
                new DamageFact.MishapTold(2, "pick went under the port"));
        assertThat(DamageState.of(state).mishaps()).singleElement().satisfies(noted -> {
            assertThat(noted.mishap())
                    .isEqualTo(new DamageFact.MishapSeen(DamageFact.Mishap.CUT, 309.0, "separate.top-1"));
            assertThat(noted.words()).isEqualTo("pick went under the port");
            assertThat(noted.who()).isEqualTo("Ansa");
        });
        assertThat(Consequence.all(QUIRE, state).get(0).beneath()).anyMatch(words -> words.startsWith("charging port"));
    }

    @Test
    void whatHasToBeLookedAtHoldsTheSealUntilItWas() {
        Journey journey = new Journey().until(Station.SEPARATE);
        journey.append(new DamageFact.MishapSeen(DamageFact.Mishap.SLIP, 262.0));
        String id = "test.after-" + journey.state().seq();
        journey.until(Station.SEAL);
        assertThat(journey.step(id).answer()).as("tapped on the way").isEqualTo("Sound");
        journey.append(new CheckAnswered(id, Answer.FAIL, "cable scored"));
        assertThat(journey.heldBy(new SealFact.Sealed())).contains(id);
        assertThat(journey.step(id).choices().get(0).label()).isEqualTo("Mended since");
        journey.append(new CheckAnswered(id, Answer.PASS, "new cable"));
        assertThat(journey.heldBy(new SealFact.Sealed())).doesNotContain(id);
    }

    @Test
    void theOldFrontMayCrackTheNewOneMayNot() {
        DamageFact.MishapSeen old = new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, 40.0, "separate.top-1");
        DamageFact.MishapSeen fresh = new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, 40.0, "seal.dust");
        assertThat(Consequence.all(QUIRE, state(old, fresh)))
                .extracting(Consequence::todo)
                .containsExactly(null, "The new front is cracked: it does not go on like that");
    }

    @Test
    void itIsToldAtWhatIsInHand() {
        Journey journey = new Journey().until(Station.SEPARATE);
        while (!journey.next().orElseThrow().id().startsWith("separate.top")) {
            journey.tapNext();
        }
        Step stretch = journey.next().orElseThrow();
        DamageFact.MishapSeen slip = (DamageFact.MishapSeen)
                journey.course().whenItGoesWrong().get(0).fact();
        assertThat(slip.stepId()).isEqualTo(stretch.id());
        assertThat(stretch.title()).contains("Cut the");
        assertThat(slip.positionMm()).isBetween(0.0, QUIRE.edge().lengthMm());
        assertThat(journey.course().words().say(slip)).contains("at “" + stretch.title() + "”");
    }
}
