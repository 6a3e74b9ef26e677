package ridgefall.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.decide.DecideFact.NotWorthIt;
import ridgefall.core.detour.DetourFact.Reopened;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.PowerSeen;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Timer;
import ridgefall.core.prove.ProveFact.HandedOver;
import ridgefall.core.prove.ProveFact.HeardBack;
import ridgefall.core.prove.ProveFact.OwnerTold;
import ridgefall.core.prove.ProveFact.Signed;
import ridgefall.core.prove.ProveFact.Signer;
import ridgefall.core.units.NotAllowed;

/** Closed, every function is tried once more; then the device goes back with its page. */
class ProveStationTest {
    private static final Fact OVER = new HandedOver("Hut warden");

    private static Journey sealed() {
        return new Journey().until(Station.PROVE);
    }

    @Test
    void everyFunctionIsProvenClosedAndThenItGoesBack() {
        assertThat(new Journey().stepIds(Station.PROVE))
                .containsExactly(
                        "after.picture",
                        "after.touch",
                        "after.stylus",
                        "after.finger",
                        "after.camera",
                        "after.light",
                        "after.sound",
                        "after.charge",
                        "prove.told",
                        "prove.signed-owner",
                        "prove.signed-shop",
                        "prove.hand-over");
    }

    @Test
    void whatCouldNotBeTriedOpenSaysWhatMendingItNowCosts() {
        assertThat(sealed().step("after.light").hint())
                .startsWith("At intake: works; could not be tried open: to mend it the front comes off again, about ");
        assertThat(sealed().step("after.touch").hint()).isEqualTo("At intake: works");
    }

    @Test
    void theDeskTellsTheOwnerOnceItIsReadyAndNobodyMust() {
        Fact told = new OwnerTold("by phone");
        assertThat(new Journey().heldBy(told)).as("not before it is sealed").contains("seal.seal");
        assertThat(Role.DESK.mayRecord(told)).isTrue();
        Journey journey = sealed();
        assertThat(journey.step("prove.told").open()).isFalse();
        assertThat(journey.append(told).step("prove.told").answer()).isEqualTo("by phone");
        assertThat(journey.toTheEnd().course().record().done())
                .extracting(JobRecord.Line::words)
                .contains("Owner told that it is ready: by phone");
    }

    @Test
    void bothSidesMaySignTypedOrDrawnAndAnotherRepairIsNotWhatTheySignedFor() {
        String lines = "3f0c2b7e-6d1a-4c55-9a0e-0d8f5b1c2a34";
        Journey journey = sealed();
        assertThat(journey.step("prove.signed-owner").open()).as("nobody must").isFalse();
        journey.append(new Signed(Signer.OWNER, "Hut warden", null));
        journey.append(new Signed(Signer.SHOP, "Ansa Orrick", lines));
        journey.append(new Signed(Signer.OWNER, "H. Warden", lines));
        assertThat(journey.step("prove.signed-owner").answer()).isEqualTo("H. Warden");
        assertThat(journey.course().record().signatures())
                .extracting(JobRecord.Signature::signer, JobRecord.Signature::name, JobRecord.Signature::drawing)
                .containsExactly(
                        tuple(Signer.SHOP, "Ansa Orrick", UUID.fromString(lines)),
                        tuple(Signer.OWNER, "H. Warden", UUID.fromString(lines)));
        assertThatThrownBy(() -> new Signed(Signer.OWNER, "Hut warden", "scribble").check())
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("drawing");
        journey.append(new Reopened("dust under the glass"));
        assertThat(journey.course().record().signatures()).isEmpty();
    }

    /** The journal is closed by then, to all but this. */
    @Test
    void afterAWeekTheOwnerIsAskedHowItIs() {
        Fact fine = new HeardBack(true, null);
        assertThat(sealed().heldBy(fine)).containsExactly("prove.hand-over");
        Journey gone = sealed().toTheEnd();
        assertThat(gone.course().record().afterAWeek()).isNull();
        gone.append(new HeardBack(false, "touch skips at the top"));
        assertThat(gone.course().record().afterAWeek().fact().said()).isEqualTo("touch skips at the top");
        assertThat(gone.append(fine).course().record().afterAWeek().fact()).isEqualTo(fine);
        assertThat(gone.heldBy(OVER)).containsExactly("prove.closed");
        assertThatThrownBy(() -> new HeardBack(false, " ").check()).isInstanceOf(NotAllowed.class);
        assertThat(Role.DESK.mayRecord(fine)).isTrue();
    }

    @Test
    void nothingIsProvenOfAFrontThatIsNotSealed() {
        assertThat(new Journey().heldBy(new FunctionTested("touch", Phase.AFTER, Answer.PASS, null)))
                .contains("seal.seal");
        assertThat(sealed().heldBy(new FunctionTested("touch", Phase.AFTER, Answer.PASS, null)))
                .isEmpty();
    }

    @Test
    void whatWasNotProvenHoldsTheHandOver() {
        Journey journey = sealed().untilStep("after.charge");
        assertThat(journey.heldBy(OVER)).containsExactly("after.charge");
        journey.tapNext();
        assertThat(journey.heldBy(OVER)).isEmpty();
    }

    @Test
    void whatGoesBackUnrepairedIsHandedBackAndNothingMore() {
        Journey journey = new Journey().append(new NotWorthIt("too dear", "Hut warden"));
        assertThat(journey.stepIds(Station.PROVE))
                .containsExactly("prove.told", "prove.signed-owner", "prove.signed-shop", "prove.hand-over");
        assertThat(journey.stepIds(Station.HEAT)).isEmpty();
        assertThat(journey.step("prove.hand-over").title()).isEqualTo("Hand back unrepaired");
        assertThat(journey.heldBy(OVER)).isEmpty();
        assertThat(journey.heldBy(new OwnerTold("by letter"))).isEmpty();
    }

    @Test
    void afterTheHandOverTheJournalIsClosedAndNoClockRuns() {
        Journey journey = new Journey().toTheEnd();
        assertThat(journey.heldBy(new PowerSeen(true))).containsExactly("prove.closed");
        assertThat(journey.state().timers()).isNotEmpty().noneMatch(Timer::running);
        assertThat(journey.next()).isEmpty();
    }

    @Test
    void thePageSaysWhatWasKeptWhatWasLostAndWhatWorksLessThanBefore() {
        Journey journey = new Journey().until(Station.CARRY);
        journey.append(new CarryOverLost("magnets", "snapped")).until(Station.PROVE);
        journey.append(new FunctionTested("sound", Phase.AFTER, Answer.CANNOT_TEST, "noisy bench"));
        JobRecord page = journey.toTheEnd().course().record();
        assertThat(page.lost())
                .anySatisfy(line -> assertThat(line).endsWith(": snapped"))
                .anySatisfy(line -> assertThat(line).contains("worked before, now could not be tested, noisy bench"));
        assertThat(page.kept()).contains("Stylus data").noneMatch(part -> part.contains("agnet"));
        assertThat(page.measured())
                .extracting(JobRecord.Line::words)
                .contains("4 screws out: plate-1, plate-2, plate-3, plate-4", "2 screws back in: cover-6, cover-5");
        assertThat(page.people()).containsExactly("Ansa Orrick, technician");
    }

    @Test
    void theHandOverAsksToWhomAndKnowsTheOwner() {
        Step.Ask to =
                new Journey().step("prove.hand-over").choices().get(0).asks().get(0);
        assertThat(to.field()).isEqualTo("to");
        assertThat(to.suggestion()).isEqualTo("Hut at Nine Tarns");
    }
}
