package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.NotAllowed;

class HeatPlannerTest {
    private static final HeatSource PLATE = HeatSource.byId(HeatSource.bench(), "plate-1");
    private static final Setup AT_80 = Setup.face(80);

    private static HeatPlanner planner(FrontCondition condition) {
        HeatedDevice device = new HeatedDevice(
                "reference",
                ReferenceTablet.stack(),
                condition,
                EdgePieces.alike(ReferenceTablet.stack(), 12),
                Cutting.byHand(Adhesive.PET_CARRIER_TAPE),
                22,
                HeatLimits.USUAL);
        return new HeatPlanner(device, HeatPlanner.FULL);
    }

    @Test
    void theBondIsWorkableWhereAHandCutsAMillimetreASecond() {
        // 1.0 · exp(−(T−23)/38) · (1/5)^0.25 = 0.4  →  T = 23 + 38·ln(2.5 · 0.66874) = 42.53 °C
        assertThat(planner(FrontCondition.INTACT).on(PLATE, AT_80).workableFromC())
                .isCloseTo(42.53, within(0.01));
    }

    @ParameterizedTest
    @EnumSource(FrontCondition.class)
    void noPlanOfAnySourceSoaksBeyondALimitOfItsOwnSpread(FrontCondition condition) {
        assertThat(planner(condition).ranked(HeatSource.bench())).hasSize(7).allSatisfy(plan -> {
            assertThat(plan.batteryAtPullC().p50()).isLessThanOrEqualTo(60);
            assertThat(plan.batteryAtPullC().p90()).isLessThanOrEqualTo(65);
            assertThat(plan.displayAtPullC().p50()).isLessThanOrEqualTo(80);
            assertThat(plan.displayAtPullC().p90()).isLessThanOrEqualTo(85);
            assertThat(plan.plasticsAtPullC().p90()).isLessThanOrEqualTo(90);
            assertThat(plan.soakSeconds()).isLessThanOrEqualTo(plan.latestSeconds());
        });
    }

    @Test
    void shortAndHotWithGoodContactBeatsLongAndCool() {
        HeatPlan plan = planner(FrontCondition.INTACT).best(HeatSource.bench());
        assertThat(plan.source().kind()).isEqualTo(HeatSource.Kind.COMPLIANT_PAD);
        assertThat(plan.settingC()).isGreaterThanOrEqualTo(80);
        assertThat(plan.feasible()).isTrue();
        assertThat(plan.candidates()).filteredOn(HeatPlan.Candidate::chosen).hasSize(1);
        assertThat(plan.candidates()).allSatisfy(c -> assertThat(c.because()).isNotBlank());
    }

    @Test
    void everySourceOfTheBenchIsRankedAndSaysWhyOrWhyNot() {
        List<HeatPlan> plans = planner(FrontCondition.CRACKED).ranked(HeatSource.bench());
        assertThat(plans)
                .extracting(plan -> plan.source().id())
                .containsExactlyInAnyOrder("plate-1", "plate-2", "pad-1", "bed-1", "air-1", "air-2", "dryer-1");
        assertThat(plans).allSatisfy(plan -> assertThat(plan.because()).isNotEmpty());
        assertThat(plans.get(0).because()).first().isEqualTo("soonest within the limits");
        assertThat(plans).isSortedAccordingTo((a, b) -> Boolean.compare(!a.feasible(), !b.feasible()));
    }

    @Test
    void theBandHoldsTheSpreadOfPlausibleBenches() {
        // The reference series passes 42.53 °C at 77 s: 39.457 at 60, 48.104 at 120, ever slower. All uncertain inputs
        // together were sampled for 60 °C only: 170/266/472 s, that is 0.64 and 1.77 of the median.
        HeatPlan plan = planner(FrontCondition.INTACT).on(PLATE, AT_80);
        assertThat(plan.readyAt().p50()).isCloseTo(79, within(8.0));
        assertThat(plan.readyAt().p10() / plan.readyAt().p50()).isBetween(0.55, 0.75);
        assertThat(plan.readyAt().p90() / plan.readyAt().p50()).isBetween(1.5, 2.0);
    }

    @Test
    void contactDecidesMoreThanAnythingElse() {
        assertThat(planner(FrontCondition.INTACT)
                        .on(PLATE, AT_80)
                        .influences()
                        .get(0)
                        .unknown())
                .startsWith("contact");
    }

    @Test
    void shatteredGlassNeedsAboutTwiceTheTime() {
        Setup at85 = Setup.face(85);
        double whole = planner(FrontCondition.INTACT).on(PLATE, at85).readyAt().p50();
        double broken =
                planner(FrontCondition.SHATTERED).on(PLATE, at85).readyAt().p50();
        assertThat(broken / whole).isBetween(1.8, 2.8);
    }

    @Test
    void aSourceThatIsTooColdSaysSo() {
        HeatPlan plan = planner(FrontCondition.INTACT)
                .best(List.of(HeatSource.face("mat", "Mat", HeatSource.Kind.PLATE, 35, 40)));
        assertThat(plan.feasible()).isFalse();
        assertThat(plan.because()).first().asString().contains("never gets to {C:42.5}");
        assertThat(plan.candidates()).allSatisfy(c -> assertThat(c.because()).contains("never gets to {C:42.5}"));
    }

    @Test
    void theBondStaysWorkableForAWhileAfterTheSource() {
        HeatPlan plan = planner(FrontCondition.INTACT).best(HeatSource.bench());
        assertThat(plan.workableForSeconds().p50()).isBetween(60.0, 400.0);
    }

    @Test
    void aSettingTheSourceDoesNotHaveIsRefusedByName() {
        assertThatThrownBy(() -> planner(FrontCondition.INTACT).on(PLATE, Setup.face(-5)))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("settingC is -5; allowed: 50 to 90 °C on Plate 1");
    }

    @Test
    void aRecipeFromElsewhereIsJudgedAndNotImproved() {
        HeatSource pencil = HeatSource.byId(HeatSource.bench(), "air-1");
        Setup aThumbAway = new Setup(170, 3.0, 20.0, HeatFact.Sweep.ROUND);
        HeatPlan judged = planner(FrontCondition.INTACT).judged(pencil, aThumbAway, 90);
        assertThat(judged.soakSeconds()).isEqualTo(90);
        assertThat(judged.setup()).isEqualTo(aThumbAway);
        assertThat(judged.because())
                .first()
                .asString()
                .startsWith("the coldest bond gets to {C:")
                .endsWith("it is workable from {C:42.5}");
        assertThat(judged.because()).anyMatch(says -> says.contains("of 100 benches by then"));
    }

    @Test
    void aRecipeThatCooksTheBatteryIsToldSo() {
        HeatPlan judged = planner(FrontCondition.INTACT).judged(PLATE, Setup.face(90), 900);
        assertThat(judged.because())
                .anyMatch(says -> says.matches("the battery passes its stop of \\{C:65} on \\d+ of 100 benches"));
    }

    @ParameterizedTest
    @EnumSource(FrontCondition.class)
    void takenOffAtTheLatestMomentNothingRisesPastItsStopAfterwards(FrontCondition condition) {
        HeatPlan plan = planner(condition).on(PLATE, Setup.face(90));
        HeatPlan atTheLatest = planner(condition).judged(PLATE, Setup.face(90), plan.latestSeconds());
        assertThat(atTheLatest.because()).noneMatch(says -> says.contains("passes its stop"));
        HeatPlan later = planner(condition).judged(PLATE, Setup.face(90), plan.latestSeconds() + 20);
        assertThat(later.because()).anyMatch(says -> says.contains("passes its stop") || says.contains("caution"));
    }
}
