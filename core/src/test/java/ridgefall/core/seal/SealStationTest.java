package ridgefall.core.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.TimerStarted;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.CoverRemoved;
import ridgefall.core.seal.SealFact.Sealed;
import ridgefall.core.separate.SeparateFact.WedgePulled;
import ridgefall.core.separate.SeparateFact.WedgeSet;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.ScrewsCounted;

/** Nothing missing, nothing left in, nothing left on: then seated, pressed, and flush all round. */
class SealStationTest {
    private static final Fact SEALED = new Sealed();

    private static Journey ready() {
        return new Journey().untilStep("seal.seal");
    }

    @Test
    void screwsFilmsLinersDustThenTheSeatAndThePress() {
        assertThat(new Journey().stepIds(Station.SEAL))
                .containsExactly(
                        "seal.screws",
                        "seal.inner-film",
                        "seal.liner-long",
                        "seal.liner-sides",
                        "seal.liner-hinge",
                        "seal.dust",
                        "seal.seal",
                        "seal.press",
                        "seal.flush");
    }

    @Test
    void aBentFrameIsAskedAboutBeforeItIsSeated() {
        Journey bent = new Journey().append(new BendMarked(Landmark.TOP_LEFT, 0.8, null));
        assertThat(bent.stepIds(Station.SEAL)).containsSubsequence("seal.straight", "seal.dust", "seal.seal");
        assertThat(bent.heldBy(SEALED)).contains("seal.straight");
    }

    /** 0.1 over 120 pulls a twentieth of what half a millimetre over 60 does, which holds with the same glass: nothing is asked for. */
    @Test
    void aBendThatTapeHoldsAsksForNothing() {
        Journey bent = new Journey().append(new BendMarked(Landmark.TOP_LEFT, 0.1, 120.0));
        assertThat(bent.step("seal.straight").answer()).isEqualTo("tape holds it");
        assertThat(bent.heldBy(SEALED)).doesNotContain("seal.straight");
        bent.append(new BendMarked(Landmark.TOP_RIGHT, 2, 60.0));
        assertThat(bent.step("seal.straight").open()).isTrue();
        assertThat(bent.step("seal.straight").hint())
                .contains(
                        "no tape holds it: straighten it, battery out; else a bead and clamps side by side all along it")
                .contains("tape holds it for good")
                .endsWith("never bend it with the battery in");
    }

    /** As in journals from before each hole was asked for. */
    @Test
    void aScrewTooFewHoldsTheSealUntilCountedAgainOrSignedOffOnce() {
        Journey journey = new Journey()
                .until(Station.STRIP)
                .append(new ScrewsCounted(Count.OUT, 14))
                .untilStep("seal.seal")
                .append(new ScrewsCounted(Count.IN, 13));
        assertThat(journey.step("seal.screws").answer()).isEqualTo("13 in, 14 out");
        assertThat(journey.heldBy(SEALED)).containsExactly("seal.screws");
        journey.signOff("seal.screws", SEALED);
        assertThat(journey.heldBy(SEALED)).isEmpty();
        assertThat(journey.append(new ScrewsCounted(Count.IN, 12)).heldBy(SEALED))
                .as("a new count is a new answer")
                .containsExactly("seal.screws");
        assertThat(journey.append(new ScrewsCounted(Count.IN, 14)).heldBy(SEALED))
                .isEmpty();
    }

    @Test
    void aWedgeLeftInHoldsTheSealAndNoneGoesInAfterIt() {
        Journey journey = ready().append(new WedgeSet(52.5));
        assertThat(journey.heldBy(SEALED)).containsExactly("separate.wedge.52.5");
        journey.append(new WedgePulled(52.5)).append(SEALED);
        assertThat(journey.heldBy(new WedgeSet(10))).contains("separate.sealed");
        assertThat(journey.heldBy(SEALED)).containsExactly("seal.done");
    }

    @Test
    void itIsPressedPlaceByPlaceOnceItIsSeated() {
        Journey journey = ready();
        // 248 by 178 with corners of 12: 831 round, 28 places a thumb apart, five seconds each at 20 °C.
        Fact press = new TimerStarted("PRESSING", 140, null);
        assertThat(journey.heldBy(press)).containsExactly("seal.seal");
        journey.append(SEALED);
        assertThat(journey.heldBy(press)).isEmpty();
        assertThat(journey.next().map(Step::id)).contains("seal.press");
        assertThat(journey.next().orElseThrow().choices().get(0).fact()).isEqualTo(press);
    }

    @Test
    void whatClipsHoldIsNotPressed() {
        assertThat(new Journey(ShippedBook.profile("drumlin-crate-10")).stepIds(Station.SEAL))
                .doesNotContain("seal.press");
    }

    @Test
    void onlyCoversOfThisFrontComeOff() {
        assertThatThrownBy(() -> ready().holds(new CoverRemoved("ring-liner")))
                .hasMessage("coverId is ring-liner; allowed: one of inner-film, liner-long, liner-sides, liner-hinge");
    }
}
