package ridgefall.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.detour.DetourFact.Reopened;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.JobFact.TimerStarted;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveFact.HandedOver;
import ridgefall.core.prove.ProveFact.SealTested;

/** Nobody has to test a watch's seal; what was not tested is not claimed, and what leaks does not go out unsaid. */
class SealProofTest {
    private static final SealTested TIGHT = new SealTested(20, 20, 19.97, 60, 21, 21, 30, 1.2);
    private static final SealTested LEAKS = new SealTested(20, 20, 18.2, 60, 21, 21, 30, 1.2);

    private static Journey watch() {
        return new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("prove.hand-over");
    }

    @Test
    void untestedStaysNotTested() {
        Journey journey = watch();
        assertThat(journey.step("prove.seal-tested").optional()).isTrue();
        assertThat(journey.step("prove.hand-over").hint()).contains("not tested: no water resistance is claimed");
        assertThat(journey.course().record().sealed()).isEqualTo("Water resistance was not tested and is not claimed.");
    }

    @Test
    void tightIsSaidWithItsPressureAndDayAndStillClaimsNothing() {
        Journey journey = watch().append(new TimerStarted("LEAK_TEST", 75, null));
        assertThat(journey.step("prove.seal-tested").waitsFor()).isNotNull();
        journey.append(TIGHT);
        assertThat(journey.state().running()).isEmpty();
        assertThat(journey.step("prove.seal-tested").answer())
                .startsWith("tight under 20 kPa of air for 60 s: 0.01 ml");
        assertThat(journey.course().record().sealed())
                .startsWith("Seal tight under 20 kPa")
                .contains("on {day:2026-03-0")
                .endsWith("no rating against water: none is claimed.");
    }

    @Test
    void aLeakHoldsTheHandOverAndLeadsBackToTheRing() {
        Journey journey = watch().append(LEAKS);
        Step step = journey.step("prove.seal-tested");
        assertThat(step.problem()).isTrue();
        assertThat(step.choices().get(0).fact()).isInstanceOf(Reopened.class);
        assertThat(journey.heldBy(new HandedOver("x"))).containsExactly("prove.seal-tested");
        journey.append(new Reopened("the seal leaks"));
        assertThat(journey.step("prove.seal-tested").answer())
                .as("another seal")
                .isNull();
        assertThat(journey.next().orElseThrow().station()).isEqualTo(Station.HEAT);
    }

    @Test
    void aLeadMayHandItBackAsLeaking() {
        Journey journey = watch().append(LEAKS).signOff("prove.seal-tested", new HandedOver("x"));
        assertThat(journey.heldBy(new HandedOver("x"))).isEmpty();
        assertThat(journey.course().record().sealed()).startsWith("Seal leaks under 20 kPa");
    }

    @Test
    void aTabletHasNoSuchTest() {
        assertThatThrownBy(() -> new Journey().untilStep("prove.hand-over").holds(TIGHT))
                .hasMessageContaining("a fact for a watch");
    }
}
