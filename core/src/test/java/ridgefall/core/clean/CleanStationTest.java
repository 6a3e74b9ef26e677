package ridgefall.core.clean;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.TimerStarted;
import ridgefall.core.job.JobFact.TimerStopped;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;

/** Bare, wiped, dry, flat: in that order, with the drying timed. */
class CleanStationTest {
    private static Journey atTheLedge() {
        return new Journey().until(Station.CLEAN);
    }

    @Test
    void goesFromBladeToSolventToDryingToTheNail() {
        assertThat(new Journey().stepIds(Station.CLEAN))
                .containsExactly("clean.bare", "clean.wiped", "clean.drying", "clean.flat");
    }

    @Test
    void aMetalLedgeDriesForNinetySecondsAndTheStepWaitsForThatClock() {
        Journey journey = atTheLedge().untilStep("clean.drying");
        Fact start = journey.next().orElseThrow().choices().get(0).fact();
        assertThat(start).isEqualTo(new TimerStarted("DRYING", 90, null));
        journey.append(start);
        Step drying = journey.step("clean.drying");
        assertThat(drying.open()).isTrue();
        assertThat(drying.waitsFor()).isEqualTo(journey.state().seq());
        journey.append(new TimerStopped("DRYING", null));
        assertThat(journey.step("clean.drying").answer()).isEqualTo("dried");
    }

    @Test
    void theOldFrontIsOffItsPlugsFirst() {
        Fact bare = new CheckAnswered("clean.bare", Answer.PASS, null);
        assertThat(new Journey().heldBy(bare)).containsExactly("strip.isolate");
        assertThat(atTheLedge().heldBy(bare)).isEmpty();
    }

    @Test
    void aLedgeThatIsNotRightStaysOpenAndAsksAgain() {
        Journey journey = atTheLedge().append(new CheckAnswered("clean.flat", Answer.FAIL, "ridge at the port"));
        assertThat(journey.step("clean.flat").lead()).isEqualTo(Step.Lead.ASK_AGAIN);
        assertThat(journey.step("clean.flat").answer()).isEqualTo("ridge at the port");
        assertThat(journey.step("clean.flat").open()).isTrue();
    }

    @Test
    void checksAndClocksOfOtherKindsAreRefused() {
        assertThatThrownBy(() -> atTheLedge().holds(new CheckAnswered("clean.windows", Answer.PASS, null)))
                .hasMessage(
                        "checkId is clean.windows; allowed: one of clean.bare, clean.wiped, clean.drying, clean.flat");
        assertThatThrownBy(() -> atTheLedge().holds(new TimerStarted("TEA", 240, null)))
                .hasMessage("kind is TEA; allowed: CREEPING or SPLIT_WARMING or DRYING or PRESSING");
    }
}
