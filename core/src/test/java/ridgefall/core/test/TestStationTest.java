package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.CoverRemoved;

/** What can be tried with the front loose is tried; camera and light sensor of the demo tablet work only closed. */
class TestStationTest {
    private static final String LINER = "seal.liner-long";

    private static Journey loose() {
        return new Journey().until(Station.TEST);
    }

    private static FunctionTested touch(Answer answer, String reason) {
        return new FunctionTested("touch", Phase.OPEN, answer, reason);
    }

    @Test
    void plugsFirstThenEveryFunctionThatWorksOpen() {
        assertThat(new Journey().until(Station.TEST).stepIds(Station.TEST))
                .containsExactly(
                        "test.home-sensor-latch",
                        "test.home-touch-plug",
                        "test.home-display-plug",
                        "test.plugged",
                        "open.picture",
                        "open.touch",
                        "open.stylus",
                        "open.finger",
                        "open.sound",
                        "open.charge");
    }

    /** Its battery and thirteen screws lie under the panel, and the panel's plug came off live: on again after them. */
    @Test
    void whatCameOffBeforeTheBatteryGoesOnAfterIt() {
        Journey quire = new Journey(ShippedBook.profile("marrowby-quire-8")).until(Station.TEST);
        assertThat(quire.stepIds(Station.TEST))
                .startsWith(
                        "test.home-home-latch",
                        "test.home-touch-latch",
                        "test.home-battery-card",
                        "test.screws-under",
                        "test.home-panel-plug",
                        "test.plugged");
        assertThat(quire.step("test.home-home-latch").hint()).endsWith("home: line hidden");
        quire.untilStep("test.screws-under");
        assertThat(quire.next().orElseThrow().hint()).endsWith("13 to go, 0 back");
        quire.untilStep("seal.screws");
        assertThat(quire.step("seal.screws").hint()).endsWith("4 to go, 13 back");
    }

    @Test
    void nothingIsTriedOpenWhileTheFrontIsClosed() {
        assertThat(new Journey().heldBy(touch(Answer.PASS, null))).containsExactly("separate.open");
        assertThat(loose().heldBy(touch(Answer.PASS, null)))
                .as("its plugs are off")
                .containsExactly("test.home-sensor-latch");
        assertThat(loose().untilStep("open.picture").heldBy(touch(Answer.PASS, null)))
                .as("in any order")
                .isEmpty();
    }

    @Test
    void whatFailsLeadsOnAndHoldsTheLiners() {
        Journey journey = loose().untilStep(LINER).append(touch(Answer.FAIL, null));
        assertThat(journey.step("open.touch").lead()).isEqualTo(Step.Lead.LEAD_ON);
        assertThat(journey.heldBy(new CoverRemoved("liner-long"))).containsExactly("open.touch");
        assertThat(journey.append(touch(Answer.PASS, null)).heldBy(new CoverRemoved("liner-long")))
                .isEmpty();
    }

    @Test
    void whatCannotBeTriedSaysWhyAndHoldsNothing() {
        Journey journey = loose().untilStep(LINER).append(touch(Answer.CANNOT_TEST, "no picture to touch"));
        assertThat(journey.step("open.touch").answer()).isEqualTo("Can't test: no picture to touch");
        assertThat(journey.heldBy(new CoverRemoved("liner-long"))).isEmpty();
        assertThatThrownBy(() -> journey.holds(touch(Answer.CANNOT_TEST, null))).hasMessageContaining("reason");
    }

    /** Of the tablet whose back comes off first the battery lies beside it since before the heat. */
    @Test
    void aBatteryThatLayBesideItIsHeldAgainBeforeAnyPlugGoesHome() {
        Journey satchel = new Journey(ShippedBook.profile("sillery-satchel-7")).until(Station.TEST);
        assertThat(satchel.next().orElseThrow().title()).isEqualTo("Battery back in its place, held as it was");
        satchel.tapNext();
        assertThat(satchel.next().orElseThrow().id()).startsWith("test.home-");
        assertThat(loose().stepIds(Station.TEST)).doesNotContain("test.battery-held");
    }

    @Test
    void howItWasBeforeStandsBesideTheQuestion() {
        Journey journey = new Journey().append(new FunctionTested("touch", Phase.BEFORE, Answer.FAIL, null));
        assertThat(journey.step("open.touch").hint()).isEqualTo("At intake: fails");
    }

    @Test
    void whatOnlyWorksClosedIsNotAskedHere() {
        assertThatThrownBy(() -> loose().holds(new FunctionTested("camera", Phase.OPEN, Answer.PASS, null)))
                .hasMessageContaining("functionId is camera; allowed: one of picture, touch");
        assertThatThrownBy(() -> loose().holds(new CheckAnswered("test.smell", Answer.PASS, null)))
                .hasMessageContaining("allowed: one of test.plugged");
    }

    @Test
    void afterAFailureTheCheapestCheckComesNextAndThenTheSameQuestionAnew() {
        Journey journey = loose().untilStep("open.picture").append(picture(Answer.FAIL));
        Step reseat = journey.next().orElseThrow();
        assertThat(reseat.id()).isEqualTo("test.fault.picture.reseat");
        assertThat(reseat.hint()).isEqualTo("3 min; most likely a plug not home, about 5 in 10; display press plug");
        assertThat(reseat.choices())
                .extracting(Step.Choice::label)
                .containsExactly("Done: test it again", "Not that: what else?");
        journey.tapNext();
        assertThat(journey.next().orElseThrow().id()).isEqualTo("open.picture");
        assertThat(journey.step("open.picture").answer()).isNull();
        journey.append(picture(Answer.FAIL));
        List<String> after = new ArrayList<>();
        for (Step next = journey.next().orElseThrow();
                next.id().startsWith("test.fault.");
                next = journey.next().orElseThrow()) {
            after.add(next.id().substring("test.fault.picture.".length()));
            if (next.id().endsWith(".swap")) {
                assertThat(next.choices().get(0).fact())
                        .isEqualTo(new PartSwapped(PartKind.FUSED_FRONT, null, PartsFact.Bad.DEAD_AT_TEST, null, true));
            }
            journey.append(next.choices().get(next.choices().size() - 1).fact());
        }
        assertThat(after).contains("swap", "relay").doesNotHaveDuplicates().doesNotContain("reseat");
        assertThat(journey.next().orElseThrow().id())
                .as("nothing more to check")
                .isEqualTo("open.picture");
        assertThat(journey.step("open.picture").choices())
                .extracting(Step.Choice::label)
                .containsExactly(
                        "Swap it: to the returns",
                        "Quote anew",
                        "Goes back unrepaired",
                        "Works",
                        "Fails",
                        "Can't test");
    }

    @Test
    void aProposedCheckHoldsNothing() {
        Journey journey = loose().until(Station.SEAL).append(picture(Answer.FAIL));
        assertThat(journey.heldBy(new CoverRemoved("liner-long")))
                .as("the stylus can't be seen to draw without a picture")
                .containsExactly("open.picture", "open.stylus");
    }

    @Test
    void whatFailedWhenItCameInAndNoFrontCuresHoldsNothing() {
        Journey journey = new Journey().append(new FunctionTested("sound", Phase.BEFORE, Answer.FAIL, null));
        journey.untilStep("open.sound").append(new FunctionTested("sound", Phase.OPEN, Answer.FAIL, null));
        assertThat(journey.step("open.sound").answer()).isEqualTo("Fails, as at intake");
        assertThat(journey.step("open.sound").open()).isFalse();
    }

    private static FunctionTested picture(Answer answer) {
        return new FunctionTested("picture", Phase.OPEN, answer, null);
    }

    @Test
    void anAnswerThatCannotBeTrueIsAskedAgainAndNoFaultIsLookedForInIt() {
        Journey journey = loose().until(Station.SEAL).append(picture(Answer.FAIL));
        assertThat(journey.step("open.stylus").answer()).isEqualTo("works, yet there is no picture");
        assertThat(journey.step("open.stylus").lead()).isEqualTo(Step.Lead.ASK_AGAIN);
        assertThat(journey.stepIds(Station.TEST)).noneMatch(id -> id.startsWith("test.fault.stylus"));
    }
}
