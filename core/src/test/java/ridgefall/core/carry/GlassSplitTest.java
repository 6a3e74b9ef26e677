package ridgefall.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CarryFact.CarriedOver;
import ridgefall.core.carry.CarryFact.CarryOverLost;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.material.OpticalBond;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;

/**
 * The 45 mm watch: outline 39 × 45 mm with corners of 11, border 2.8, so 33.4 × 39.4 mm are bonded with corners of 8.2; clear bond
 * 0.2 mm thick; the panel's cable leaves at the button edge, on the left; the panel's caution is 80 °C.
 */
class GlassSplitTest {
    private static final DeviceProfile DIAL = ShippedBook.profile("pellow-dial-45");
    private final GlassSplit split = GlassSplit.of(DIAL);

    private static Journey rebonded() {
        return new Journey(DIAL)
                .untilStep("decide.repair")
                .append(new RepairAgreed("rebond", null, new BigDecimal("120.00"), "EUR", "Hut at Nine Tarns"));
    }

    @Test
    void theWireGoesInAwayFromThePanelsCableAndEndsShortOfIt() {
        assertThat(split.entry()).isEqualTo(Landmark.RIGHT);
        assertThat(split.exit()).isEqualTo(Landmark.LEFT);
        assertThat(split.endsShortMm()).isEqualTo(3);
        // 33.4 - 3 mm.
        assertThat(split.wayMm()).isEqualTo(30);
    }

    @Test
    void itIsHalfAsThickAsTheBond() {
        assertThat(split.wireMm()).isEqualTo(0.1);
    }

    @Test
    void itSpansWhatIsBondedAndLessBetweenTheCorners() {
        // 39.4 - 2 (8.2 - sqrt(8.2² - 7.7²)) = 28.64 half a millimetre in.
        assertThat(split.strokes().get(0).chordMm()).isCloseTo(28.64, within(0.1));
        assertThat(split.strokes().get(15).chordMm()).isCloseTo(39.4, within(0.01));
    }

    @Test
    void thePlateIsAsWarmAsTheStiffestBondAsksForAndNoWarmer() {
        // 11.11 N on 39.4 mm; 1.6 exp(-(T - 23) / 35) = 0.2819 · 5^0.25 at 69.7 °C, 3 K below the plate: the next step
        // is 75.
        assertThat(split.plateC()).isEqualTo(75);
        assertThat(split.slowestMmPerS()).isEqualTo(1);
        assertThat(OpticalBond.STIFF.mmPerS(69.7, 11.11 / 39.4)).isCloseTo(1, within(0.01));
        assertThat(split.works()).isTrue();
        assertThat(split.seconds()).isEqualTo(30);
    }

    @Test
    void coldItWouldTakeHours() {
        // (0.2819 / 0.9)^4 · 5 mm/s = 0.048.
        assertThat(OpticalBond.USUAL.mmPerS(23, 11.11 / 39.4)).isCloseTo(0.048, within(0.001));
    }

    @Test
    void itLiesThereUntilThePanelIsWarmThroughToo() {
        // 4025 J/m²K over 150 W/m²K are 26.8 s; from 20 to within 2 K of 75 °C takes 3.31 of them: 88.9 s.
        assertThat(split.warmSeconds()).isEqualTo(90);
    }

    @Test
    void onlyARepairThatKeepsThePanelAsksForIt() {
        assertThat(rebonded().stepIds(Station.CARRY)).contains("carry.warmed", "carry.panel", "carry.panel-shows");
        assertThat(rebonded().stepIds(Station.CLEAN)).contains("clean.panel");
        Journey another = new Journey(DIAL)
                .untilStep("decide.repair")
                .append(new RepairAgreed("fused-front", null, new BigDecimal("180.00"), "EUR", "Hut at Nine Tarns"));
        assertThat(another.stepIds(Station.CARRY)).containsExactly("carry.new-ready", "carry.new-shows");
        assertThat(another.stepIds(Station.CLEAN)).doesNotContain("clean.panel");
    }

    @Test
    void aPanelThatBrokeStandsInTheWayAndIsNotBondedTo() {
        Journey broken = rebonded().untilStep("carry.panel").append(new CarryOverLost("panel", "dark corner"));
        assertThat(broken.step("carry.panel").problem()).isTrue();
        assertThat(broken.next().orElseThrow().id()).isEqualTo("carry.panel");
        assertThat(broken.next().orElseThrow().choices().get(0).label())
                .isEqualTo("Quote anew: New display with glass");
        broken.tapNext();
        assertThat(broken.stepIds(Station.CARRY)).containsExactly("carry.new-ready", "carry.new-shows");
        assertThat(broken.toTheEnd().next()).isEmpty();
    }

    @Test
    void goesOnToTheOwner() {
        Journey journey = rebonded().toTheEnd();
        assertThat(journey.next()).isEmpty();
        assertThat(journey.step("carry.panel").answer()).isEqualTo("off, panel whole");
    }

    @Test
    void glassThatIsSwappedBeforeItWasJoinedLeavesThePanelAsItIs() {
        PartSwapped dead = new PartSwapped(PartKind.TOUCH_GLASS, null, PartsFact.Bad.DEAD_ON_ARRIVAL, null, false);
        Journey waiting = rebonded().untilStep("carry.panel").append(new CarriedOver("panel"));
        assertThat(waiting.append(dead).step("carry.panel").answer()).isEqualTo("off, panel whole");
        Journey joined = rebonded().untilStep("carry.panel").append(new CarriedOver("panel"));
        joined.append(new CheckAnswered("bond.optical", Answer.PASS, null)).append(dead);
        assertThat(joined.step("carry.panel").answer()).isNull();
    }
}
