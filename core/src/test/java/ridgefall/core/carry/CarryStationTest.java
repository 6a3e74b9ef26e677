package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.carry.CarryFact.JointMeasured;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.strip.StripFact.PlugFreed;

/** What moves from the old front of the demo tablet: insert, magnets, camera ring and the stylus data of its chip. */
class CarryStationTest {
    private static Journey unplugged() {
        return new Journey().until(Station.CARRY);
    }

    @Test
    void everyPartAndEveryPairedChipIsAStep() {
        assertThat(new Journey().stepIds(Station.CARRY))
                .containsExactly(
                        "carry.new-ready",
                        "carry.new-shows",
                        "carry.light-insert",
                        "carry.magnets",
                        "carry.camera-ring",
                        "carry.old-on-stylus-data",
                        "carry.read-stylus-data",
                        "carry.new-on-stylus-data",
                        "carry.write-stylus-data",
                        "carry.stylus-data");
    }

    @Test
    void nothingIsMovedWhileAPlugIsIn() {
        Journey journey = new Journey().append(new PlugFreed("display-plug"));
        assertThat(journey.heldBy(new CarriedOver("magnets")))
                .containsExactly("strip.isolate", "strip.touch-plug", "strip.sensor-latch");
        assertThat(unplugged().heldBy(new CarriedOver("magnets")))
                .as("the new front is tried first")
                .containsExactly("carry.new-ready");
        assertThat(unplugged().untilStep("carry.light-insert").heldBy(new CarriedOver("magnets")))
                .as("parts in any order")
                .isEmpty();
    }

    @Test
    void whatIsLostSaysWhyAndCanStillTurnUp() {
        Journey journey = unplugged().append(new CarryOverLost("magnets", "rolled under the bench"));
        assertThat(journey.step("carry.magnets").answer()).isEqualTo("lost: rolled under the bench");
        assertThat(journey.step("carry.magnets").open()).isFalse();
        journey.append(new CarriedOver("magnets"));
        assertThat(journey.step("carry.magnets").answer()).isEqualTo("moved over");
    }

    @Test
    void whatTheNewPartBringsNeedNotMove() {
        Journey journey = new Journey()
                .append(new PartReserved(
                        new UUID(0, 1),
                        PartKind.FUSED_FRONT,
                        Grade.PREMIUM_COPY,
                        "fused front",
                        List.of(Brings.MAGNETS)));
        assertThat(journey.step("carry.magnets").answer()).isEqualTo("the new part brings it");
        assertThat(journey.step("carry.camera-ring").open()).isTrue();
    }

    @Test
    void aDeadNewFrontIsFoundBeforeAnythingMovesOntoIt() {
        Journey journey = unplugged().append(pass("carry.new-ready"));
        journey.append(new CheckAnswered("carry.new-shows", Answer.FAIL, "a line down the middle"));
        Step shows = journey.step("carry.new-shows");
        assertThat(shows.lead()).isEqualTo(Step.Lead.LEAD_ON);
        Fact swap = shows.choices().get(0).fact();
        assertThat(swap).isInstanceOf(PartSwapped.class);
        journey.append(swap);
        assertThat(journey.next().orElseThrow().id()).isEqualTo("parts.here");
        journey.until(Station.CARRY);
        assertThat(journey.next().orElseThrow().id())
                .as("the next one is made ready and tried too")
                .isEqualTo("carry.new-ready");
    }

    @Test
    void whoeverHadBegunToMoveBeforeTheNewFrontWasAskedForIsNotAsked() {
        Journey journey = unplugged().append(new CarriedOver("light-insert"));
        assertThat(journey.stepIds(Station.CARRY)).doesNotContain("carry.new-ready", "carry.new-shows");
    }

    @Test
    void whatCannotBeReplacedIsLookedAtTwice() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("carry.look-home-key");
        assertThat(journey.heldBy(new CarriedOver("home-key"))).containsExactly("carry.look-home-key");
        journey.append(pass("carry.look-home-key"));
        assertThat(journey.heldBy(new CarriedOver("home-key"))).isEmpty();
    }

    @Test
    void pairedDataIsCopiedAndReadBack() {
        assertThat(new Journey().step("carry.stylus-data").choices().get(0).label())
                .isEqualTo("Copied and read back");
    }

    /** Four joints; the third has none until it is touched up. */
    @Test
    void aBoardThatMovedIsMeasuredJointByJoint() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("carry.look-payment-board");
        assertThat(watch.heldBy(new JointMeasured("payment-board", "j1", 0.2))).containsExactly("carry.payment-board");
        watch.append(pass("carry.look-payment-board")).append(new CarriedOver("payment-board"));
        assertThat(watch.stepIds(Station.CARRY))
                .endsWith(
                        "carry.payment-board",
                        "carry.joint-j1",
                        "carry.joint-j2",
                        "carry.joint-j3",
                        "carry.joint-j4",
                        "carry.insulated-payment-board");
        watch.append(new JointMeasured("payment-board", "j1", 0.3))
                .append(new JointMeasured("payment-board", "j2", 0.2))
                .append(new JointMeasured("payment-board", "j3", JointMeasured.NO_CONTACT_OHM));
        assertThat(watch.step("carry.joint-j1").answer()).isEqualTo("0.3 Ω");
        assertThat(watch.step("carry.joint-j3").problem()).isTrue();
        assertThat(watch.step("carry.joint-j3").answer()).isEqualTo("no contact");
        assertThat(watch.next().orElseThrow().id()).isEqualTo("carry.joint-j3");
        watch.append(new JointMeasured("payment-board", "j3", 1.4));
        assertThat(watch.step("carry.joint-j3").open()).as("over 1 Ω").isTrue();
        watch.append(new JointMeasured("payment-board", "j3", 1));
        assertThat(watch.next().orElseThrow().title()).isEqualTo("Measure joint 4 of 4: clock");
        watch.append(new CarriedOver("payment-board"));
        assertThat(watch.step("carry.joint-j1").open())
                .as("soldered anew, measured anew")
                .isTrue();
        assertThatThrownBy(() -> watch.holds(new JointMeasured("payment-board", "j9", 0.1)))
                .hasMessage("jointId is j9; allowed: one of j1, j2, j3, j4");
    }

    private static Fact pass(String checkId) {
        return new CheckAnswered(checkId, Answer.PASS, null);
    }

    @Test
    void onlyPartsOfThisDeviceAreMoved() {
        assertThatThrownBy(() -> unplugged().holds(new CarriedOver("payment-board")))
                .hasMessage("partId is payment-board; allowed: one of light-insert, magnets, camera-ring, stylus-data");
    }
}
