package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.carry.CarryLedger.Row;
import ridgefall.core.carry.CarryLedger.Standing;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.Station;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;

/** Insert, magnets, camera ring and stylus data of the demo tablet; the board of the watch. */
class CarryLedgerTest {
    private static CarryLedger of(Journey journey, String stepId) {
        return CarryLedger.of(journey.course().profile(), journey.state(), stepId, HeatSource.bench());
    }

    private static List<Standing> standings(CarryLedger ledger) {
        return ledger.rows().stream().map(Row::standing).toList();
    }

    @Test
    void saysOfEachHowFarItIs() {
        Journey journey = new Journey()
                .until(Station.CARRY)
                .append(new PartReserved(
                        new UUID(0, 1),
                        PartKind.FUSED_FRONT,
                        Grade.PREMIUM_COPY,
                        "fused front",
                        List.of(Brings.CAMERA_BRACKET)))
                .append(new CarriedOver("light-insert"));
        assertThat(standings(of(journey, "carry.magnets")))
                .containsExactly(Standing.MOVED, Standing.NOW, Standing.BROUGHT, Standing.TO_MOVE);
        journey.append(new CarryOverLost("magnets", "snapped"));
        assertThat(standings(of(journey, "carry.stylus-data")))
                .containsExactly(Standing.MOVED, Standing.LOST, Standing.BROUGHT, Standing.NOW);
    }

    @Test
    void keepsTheOldFrontUntilNothingIsToComeFromIt() {
        Journey journey = new Journey().until(Station.CARRY);
        assertThat(of(journey, "carry.new-ready").oldFront()).isEqualTo("keep the old front: 4 still to come from it");
        journey.until(Station.CLEAN);
        assertThat(of(journey, "clean.bare").oldFront()).startsWith("nothing more to come from the old front");
    }

    @Test
    void saysByWhatAPairedPartIsKnownToWorkAndWhen() {
        Row board = of(new Journey(ShippedBook.profile("pellow-dial-41")), null).rows().stream()
                .filter(row -> row.id().equals("payment-board"))
                .findFirst()
                .orElseThrow();
        assertThat(board.tried()).isEqualTo("Payment at a reader: tried while the front is open");
        assertThat(board.joints()).hasSize(4);
        assertThat(board.irreplaceable()).isTrue();
    }

    /** The board stays in hand while it is measured; it does not come from the old front any more. */
    @Test
    void aBoardIsInHandUntilItsJointsAre() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("carry.joint-j2");
        CarryLedger ledger = of(watch, "carry.joint-j2");
        assertThat(standings(ledger)).containsExactly(Standing.MOVED, Standing.NOW);
        assertThat(ledger.oldFront()).startsWith("nothing more to come from the old front");
    }
}
