package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.JoinFact.LampOff;
import ridgefall.core.bond.JoinFact.LampOn;
import ridgefall.core.bond.JoinFact.LampRead;
import ridgefall.core.bond.JoinFact.LiquidLaid;
import ridgefall.core.bond.JoinFact.LiquidLifted;
import ridgefall.core.bond.JoinFact.LiquidSpread;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ShippedBook;

/** New glass on a panel that was kept, with liquid and lamp. */
class GlassJoinTest {
    private static final Fact CLEAR = new CheckAnswered("bond.optical", Answer.PASS, null);
    private static final LocalDate FRESH = LocalDate.of(2026, 9, 30);

    /** At the bench it is March 2026. */
    private static Journey atTheGlass() {
        return beforeTheChoice().untilStep("bond.lamp");
    }

    private static Journey beforeTheChoice() {
        return new Journey(ShippedBook.profile("pellow-dial-45"))
                .untilStep("decide.repair")
                .append(new RepairAgreed("rebond", null, new BigDecimal("120.00"), "EUR", "Hut at Nine Tarns"))
                .until(Station.BOND);
    }

    private static Journey aligned() {
        return atTheGlass()
                .append(new LampRead(50))
                .append(new LiquidLaid(1, 20, FRESH))
                .append(new LiquidSpread())
                .append(new CheckAnswered("bond.aligned", Answer.PASS, null));
    }

    private static Step.Choice first(Journey journey, String stepId) {
        return journey.step(stepId).choices().get(0);
    }

    @Test
    void goesFromTheLampOverTheLiquidToTheLastLook() {
        assertThat(atTheGlass().stepIds(Station.BOND))
                .containsExactly(
                        "bond.seat",
                        "bond.held",
                        "bond.lamp",
                        "bond.liquid",
                        "bond.spread",
                        "bond.aligned",
                        "bond.lit-face",
                        "bond.squeeze-out",
                        "bond.lit-sides",
                        "bond.optical",
                        "bond.ring-measured",
                        "bond.ring");
        assertThat(atTheGlass().step("bond.liquid").title()).isEqualTo("Optical liquid, 0.28 ml: 33 drops");
    }

    @Test
    void aWeakLampTakesLongerAndWhatWasGivenIsNotGivenTwice() {
        Journey journey = aligned();
        assertThat(first(journey, "bond.lit-face").fact()).isEqualTo(new LampOn(Lit.FACE, 50, 67));
        journey.append(new LampOn(Lit.FACE, 50, 20)).append(new LampOff());
        // 20 s at 50 mW/cm² through glass that lets 0.9 by: 0.9 J/cm²; 2.1 more.
        assertThat(journey.step("bond.lit-face").hint()).startsWith("0.9 of 3 J/cm² given");
        assertThat(first(journey, "bond.lit-face").fact()).isEqualTo(new LampOn(Lit.FACE, 50, 47));
        journey.append(new LampRead(30));
        // 2100 / (30 · 0.9).
        assertThat(first(journey, "bond.lit-face").fact()).isEqualTo(new LampOn(Lit.FACE, 30, 78));
        journey.append(new LampOn(Lit.FACE, 30, 78)).append(new LampOff());
        assertThat(journey.step("bond.lit-face").answer()).isEqualTo("3.0 J/cm²");
    }

    @Test
    void aLampThatIsForgottenGivesNoMoreThanItWasSetTo() {
        Journey journey = aligned().append(new LampOn(Lit.FACE, 50, 20));
        for (int i = 0; i < 10; i++) {
            journey.append(new LampRead(50));
        }
        journey.append(new LampOff());
        assertThat(journey.step("bond.lit-face").hint()).startsWith("0.9 of 3 J/cm² given");
    }

    @Test
    void nothingHardensBeforeItIsSpreadAndAlignedAndNobodySaysClearBeforeItIsHard() {
        Fact lamp = new LampOn(Lit.FACE, 50, 67);
        assertThat(atTheGlass().heldBy(lamp)).containsExactly("bond.spread");
        Journey spread = atTheGlass().append(new LiquidLaid(1, 20, FRESH)).append(new LiquidSpread());
        assertThat(spread.heldBy(lamp)).containsExactly("bond.aligned");
        assertThat(aligned().heldBy(CLEAR)).contains("bond.lit-face", "bond.squeeze-out", "bond.lit-sides");
    }

    @Test
    void oneLampIsOnAtATimeAndOneThatIsOffCanNotBePutOff() {
        Fact lamp = new LampOn(Lit.FACE, 50, 67);
        assertThat(aligned().heldBy(new LampOff())).containsExactly("bond.lit-face");
        assertThat(aligned().append(lamp).heldBy(lamp)).containsExactly("bond.lit-face");
    }

    @Test
    void oneLampFromSideToSideTakesFourTimesAsLongAndIsCountedSo() {
        Journey journey = aligned().append(new LampOn(Lit.FACE, 50, 67)).append(new LampOff());
        List<Step.Choice> ways = journey.step("bond.lit-sides").choices();
        assertThat(ways)
                .extracting(Step.Choice::label)
                .containsExactly("Lamp all round, {s:389}", "Side by side, {s:1553}", "Off again");
        journey.append(ways.get(1).fact()).append(new LampOff());
        assertThat(journey.step("bond.lit-sides").answer()).isEqualTo("3.0 J/cm²");
    }

    @Test
    void aLampThatIsTooWeakForOneClockIsPutOnAgainAndOneThatNobodyMeasuredIsNot() {
        Journey weak = aligned().untilStep("bond.lit-sides").append(new LampRead(1));
        Fact on = first(weak, "bond.lit-sides").fact();
        assertThat(((LampOn) on).seconds()).isEqualTo(7200);
        assertThat(weak.holds(on)).isEmpty();
        weak.append(on).append(new LampOff());
        assertThat(weak.step("bond.lit-sides").hint()).startsWith("1.1 of 3 J/cm² given");
        Journey unmeasured = atTheGlass()
                .append(new LiquidLaid(1, 20, FRESH))
                .append(new LiquidSpread())
                .append(new CheckAnswered("bond.aligned", Answer.PASS, null));
        assertThat(unmeasured.heldBy(new LampOn(Lit.FACE, 50, 67))).containsExactly("bond.lamp");
    }

    /** As new 80 mW/cm² at 50 mm: a quarter of it, 20, at 100 mm; 12 read there are 60 in 100. */
    @Test
    void aLampOfTheShelfIsJudgedByWhatItGaveAsNewAndItsHoursAreCounted() {
        Supply lamp = new Supply.Lamp("lamp", "lamp", 400, 80, 50);
        Journey journey = new Journey(ShippedBook.profile("pellow-dial-45"), Journey.withShelf(List.of(lamp)))
                .untilStep("decide.repair")
                .append(new RepairAgreed("rebond", null, new BigDecimal("120.00"), "EUR", "Hut at Nine Tarns"))
                .untilStep("bond.lamp");
        assertThat(first(journey, "bond.lamp").asks())
                .extracting(Step.Ask::suggestion)
                .containsExactly(null, "50");
        journey.append(new LampRead(12, "lamp", 100.0));
        assertThat(journey.step("bond.lamp").answer()).isEqualTo("12.0 mW/cm², 60 in 100 of what it gave as new");
        journey.append(new LampRead(19, "lamp", 100.0));
        assertThat(journey.step("bond.lamp").answer()).isEqualTo("19.0 mW/cm²");
        journey.untilStep("bond.lit-face")
                .append(first(journey, "bond.lit-face").fact());
        int seconds =
                ((LampOn) journey.journal().get(journey.journal().size() - 1).fact()).seconds();
        assertThat(BondState.of(journey.state()).used()).anySatisfy(used -> {
            assertThat(used.supplyId()).isEqualTo("lamp");
            assertThat(used.amount()).isEqualTo(seconds / 3600.0);
        });
    }

    @Test
    void aSyringePastItsDateIsHeldAndALeadMayLetItBy() {
        Fact old = new LiquidLaid(1, 20, LocalDate.of(2026, 3, 1));
        Journey journey = atTheGlass().append(new LampRead(50));
        assertThat(journey.holds(old))
                .extracting(Hold::because)
                .containsExactly("This liquid was to be used by {day:2026-03-01}: another syringe");
        assertThat(journey.signOff("bond.liquid", old).holds(old)).isEmpty();
        assertThat(journey.holds(new LiquidLaid(1, 20, LocalDate.of(2026, 3, 2))))
                .as("on its day it is good")
                .isEmpty();
    }

    @Test
    void aBubbleTakesTheGlassOffAgainAndAllOfItIsDoneAnew() {
        Journey journey = aligned().append(new LampOn(Lit.FACE, 50, 67)).append(new LampOff());
        journey.append(new LiquidLifted("a bubble at a corner"));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("bond.liquid");
        assertThat(journey.step("bond.aligned").answer()).isNull();
        assertThat(journey.step("bond.lit-face").hint()).startsWith("0.0 of 3 J/cm² given");
        assertThat(journey.step("bond.lamp").answer())
                .as("the lamp stands as it stood")
                .isEqualTo("50.0 mW/cm²");
    }

    @Test
    void whatWasToldInOneTapBeforeIsNotAskedForAgain() {
        Journey journey = beforeTheChoice().append(CLEAR);
        assertThat(journey.stepIds(Station.BOND)).containsExactly("bond.optical");
    }

    @Test
    void aDeviceWithoutAKeptPanelTakesNoLiquid() {
        assertThatThrownBy(() -> new Journey().until(Station.BOND).holds(new LampRead(50)))
                .hasMessageContaining("a fact for a job that joins glass to a panel");
    }
}
