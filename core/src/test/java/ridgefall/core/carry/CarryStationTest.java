package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Station;
import ridgefall.core.parts.PartsFact.PartReserved;
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
                .containsExactly("carry.light-insert", "carry.magnets", "carry.camera-ring", "carry.stylus-data");
    }

    @Test
    void nothingIsMovedWhileAPlugIsIn() {
        Journey journey = new Journey().append(new PlugFreed("display-plug"));
        assertThat(journey.heldBy(new CarriedOver("magnets")))
                .containsExactly("strip.isolate", "strip.touch-plug", "strip.sensor-latch");
        assertThat(unplugged().heldBy(new CarriedOver("magnets"))).isEmpty();
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
    void aPairedBoardIsMovedAndPairedDataIsCopied() {
        assertThat(new Journey(ShippedBook.profile("pellow-dial-41"))
                        .step("carry.payment-board")
                        .choices()
                        .get(0)
                        .label())
                .isEqualTo("Board moved and tested");
        assertThat(new Journey().step("carry.stylus-data").choices().get(0).label())
                .isEqualTo("Copied and read back");
    }

    @Test
    void onlyPartsOfThisDeviceAreMoved() {
        assertThatThrownBy(() -> unplugged().holds(new CarriedOver("payment-board")))
                .hasMessage("partId is payment-board; allowed: one of light-insert, magnets, camera-ring, stylus-data");
    }
}
