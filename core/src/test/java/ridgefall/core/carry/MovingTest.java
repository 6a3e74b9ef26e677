package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverDeclined;
import ridgefall.core.carry.CarryLedger.Row;
import ridgefall.core.carry.CarryLedger.Standing;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.LooseFront.Way;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.sheet.Sheet;

/** How each part gets over, and what is signed where it does not. */
class MovingTest {
    private static Row row(String device, String partId) {
        return row(new Journey(ShippedBook.profile(device)), partId);
    }

    private static Row row(Journey journey, String partId) {
        return CarryLedger.of(journey.course().profile(), journey.state(), null, HeatSource.bench()).rows().stream()
                .filter(row -> row.id().equals(partId))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void saysHowItComesOffHowWarmAndByWhat() {
        Moving insert = row("marrowby-quire-11", "light-insert").moving();
        assertThat(insert.offBy()).containsExactly("warm it", "thin blade under it, flat");
        // 0.3 N/mm of 1.0 · (2/5)^0.25 N/mm at 23 °C leaves 0.377 of its strength: 23 + 38 · 0.975.
        assertThat(insert.bondC()).isEqualTo(61);
        assertThat(insert.limitC()).as("the insert's, less than the panel's 80").isEqualTo(75);
        assertThat(insert.ways()).extracting(Way::sourceId).contains("pad-1", "plate-1", "air-1");
        Moving ring = row("marrowby-quire-11", "camera-ring").moving();
        assertThat(ring.bondC()).isNull();
        assertThat(ring.ways()).isEmpty();
    }

    /** 300 − √(300² − 20²) is 0.67: less is said. A strip that winds round a bottle has no sag. */
    @Test
    void saysHowItLiesThere() {
        assertThat(row("marrowby-quire-11", "magnets").moving().lays())
                .containsExactly(
                        "marked face to the glass, both halves the same way",
                        "lifted flat: its middle may sag {mm:0.6}, no more",
                        "on new tape {mm:2.0} wide");
        assertThat(row("brackenholt-tarn-10", "antenna").moving().lays())
                .contains("bent round nothing less than {mm:50} across");
        assertThat(row("marrowby-quire-8", "home-key").moving().lays())
                .contains("centred on its hole in the new front, within {mm:0.3}");
    }

    @Test
    void saysWhatIsLostWithItAndWhenThatIsTried() {
        assertThat(row("marrowby-quire-11", "magnets").tried())
                .isEqualTo("Stylus draws straight: tried while the front is open");
        assertThat(row("marrowby-quire-11", "light-insert").tried())
                .isEqualTo("Brightness adapts: only once it is closed; to mend it then the front comes off again");
        Journey agreed = new Journey().until(Station.HEAT);
        int minutes = agreed.course().profile().repairs().get(0).activeMinutes()
                + agreed.course().profile().repairs().get(0).waitingMinutes();
        assertThat(row(agreed, "light-insert").tried()).endsWith(", about " + minutes + " min");
    }

    /** The clip-held one with a network: panel, antenna and insert move, unless the new front brings its own. */
    @Test
    void theVariantMovesWhatItAloneHas() {
        DeviceProfile cellular = DeviceProfile.of(ShippedBook.document("drumlin-crate-10"), 1, "cellular");
        Journey journey = new Journey(cellular);
        for (String id : List.of("antenna", "light-insert", "old-panel")) {
            assertThat(row(journey, id).standing()).as(id).isEqualTo(Standing.TO_MOVE);
        }
        journey.until(Station.CARRY);
        assertThat(journey.step("carry.new-shows").title()).isEqualTo("New front tried loose: touch");
        journey.append(new PartReserved(
                new UUID(0, 1), PartKind.CLIPPED_FRONT, Grade.PREMIUM_COPY, "front with panel", List.of(Brings.PANEL)));
        assertThat(row(journey, "old-panel").standing()).isEqualTo(Standing.BROUGHT);
        assertThat(journey.step("carry.new-shows").title()).isEqualTo("New front tried loose: picture, touch, light");
    }

    /** By hand, τ 1.5 s: of 217 °C 1.5 · ln(318/93) = 1.8 s; cooled 10 · ln(225/38) = 17.8 s. */
    @ParameterizedTest
    @CsvSource({"217, 340, 2, 3, 20", "183, 300, 2, 3, 20", "138, 260, 2, 3, 15"})
    void aJointIsHotNoLongerThanItTakes(double melts, int tipC, int seconds, int most, int between) {
        DeviceProfile watch = ShippedBook.profile("pellow-dial-41");
        PairedPart board = watch.pairedParts().get(0);
        PairedPart other = new PairedPart(
                board.id(),
                board.words(),
                board.hint(),
                board.method(),
                board.functionId(),
                board.joints(),
                null,
                null,
                melts);
        assertThat(SolderHeat.of(watch, other)).isEqualTo(new SolderHeat(tipC, seconds, most, between, 80));
    }

    @Test
    void whatTheOwnerGivesUpIsSignedAndNotAskedForAgain() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("carry.look-payment-board");
        assertThat(watch.next().orElseThrow().choices())
                .extracting(choice -> choice.label())
                .contains("Owner gives it up");
        assertThatThrownBy(() -> watch.holds(new CarryOverDeclined("payment-board", " ")))
                .hasMessageContaining("signedBy");
        assertThat(Role.DESK.mayRecord(new CarryOverDeclined("payment-board", "Hut at Nine Tarns")))
                .as("signed at the desk")
                .isTrue();
        watch.append(new CarryOverDeclined("payment-board", "Hut at Nine Tarns"));
        assertThat(watch.next().orElseThrow().id()).doesNotContain("payment");
        assertThat(watch.course().record().lost())
                .contains("Payment chip board: given up by the owner, signed by Hut at Nine Tarns");
        Sheet sheet = GivenUpSheet.of(watch.course().profile(), watch.state(), 12, "payment-board");
        assertThat(sheet.marks().stream()
                        .filter(Sheet.Words.class::isInstance)
                        .map(mark -> ((Sheet.Words) mark).text().trim()))
                .contains(
                        "Job 12, Pellow Dial 41",
                        "Payment at a reader",
                        "Owner, date",
                        "On record: given up by the owner, signed by Hut at Nine Tarns.");
        assertThatThrownBy(() -> GivenUpSheet.of(watch.course().profile(), watch.state(), 12, "nothing"))
                .hasMessageStartingWith("partId is nothing; allowed:");
    }

    @Test
    void jointsAreInsulatedBeforeTheBoardGoesIn() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("carry.insulated-payment-board");
        assertThat(watch.stepIds(Station.CARRY)).endsWith("carry.joint-j4", "carry.insulated-payment-board");
    }

    @Test
    void whatIsSolderedAnewIsInsulatedAnew() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).untilStep("carry.insulated-payment-board");
        watch.tapNext();
        assertThat(watch.step("carry.insulated-payment-board").open()).isFalse();
        watch.append(new CarriedOver("payment-board"));
        assertThat(watch.step("carry.insulated-payment-board").open()).isTrue();
    }

    /** Whoever gives it up may say so while it all still hangs on its plugs. */
    @Test
    void anOwnerMaySignAtAnyTimeOnceTheFrontIsOpen() {
        Journey watch = new Journey(ShippedBook.profile("pellow-dial-41")).until(Station.STRIP);
        CarryOverDeclined signed = new CarryOverDeclined("payment-board", "Hut at Nine Tarns");
        assertThat(watch.holds(signed)).isEmpty();
        assertThat(signed.ownersField()).as("erased with the owner").contains("signedBy");
    }
}
