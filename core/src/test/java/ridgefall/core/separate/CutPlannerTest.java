package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.CutPlan.Move;

class CutPlannerTest {
    private static final DeviceProfile QUIRE = ShippedBook.quire11();

    private static CutPlan plan(List<EdgeInterval> cracks, String... freed) {
        return plan(FrontCondition.CRACKED, cracks, COOLING, freed);
    }

    private static CutPlan plan(FrontCondition condition, List<EdgeInterval> cracks, double kPerS, String... freed) {
        CutPlanner.Round round = CutPlanner.round(
                new HeatQuestion(QUIRE, condition, cracks, List.of(), HeatSource.bench()), List.of(freed));
        return CutPlanner.plan(round, round.cut(new LinearWarmth(60, kPerS)), null, null);
    }

    private static final double COOLING = 0.1;

    private static Stretch stretch(CutPlan plan, String id) {
        return plan.stretches().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void stretchesCoverTheEdgeOnceWithoutGaps() {
        List<Stretch> stretches = plan(List.of()).stretches();
        double at = 0;
        for (Stretch stretch : stretches) {
            assertThat(stretch.where().fromMm()).isCloseTo(at, within(1e-9));
            at += stretch.where().lengthMm();
        }
        assertThat(at).isCloseTo(QUIRE.edge().lengthMm(), within(1e-9));
        assertThat(stretches).hasSizeLessThanOrEqualTo(CutOrder.GREATEST_STRETCHES);
    }

    /** Warm, a moulded bezel bears the pick that the glass bears; cold the glue presses it down harder than it holds. */
    @Test
    void overAMouldedBezelTheColdBondTakesAThinnerPick() {
        assertThat(thickestPickMm("sillery-satchel-7", 70)).isEqualTo(0.8);
        assertThat(thickestPickMm("sillery-satchel-7", 30))
                .isLessThan(0.5)
                .isLessThan(thickestPickMm("brackenholt-tarn-10", 30));
    }

    private static double thickestPickMm(String device, double bondC) {
        CutPlanner.Round round = CutPlanner.round(
                new HeatQuestion(
                        ShippedBook.profile(device), FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench()),
                List.of());
        return CutPlanner.plan(round, round.cut(new LinearWarmth(bondC, 0)), null, null).moves().stream()
                .mapToDouble(Move::pickMm)
                .max()
                .orElseThrow();
    }

    @Test
    void theHingeIsFreedLastAndTheCablesOnItLastOfAll() {
        CutPlan plan = plan(List.of());
        long hinge = plan.stretches().stream().filter(Stretch::hinge).count();
        List<Move> last = plan.moves()
                .subList(plan.moves().size() - (int) hinge, plan.moves().size());
        assertThat(last)
                .allSatisfy(move ->
                        assertThat(stretch(plan, move.stretchId()).hinge()).isTrue());
        assertThat(plan.opensOn()).isEqualTo(Landmark.BOTTOM);
        Stretch latest = stretch(plan, plan.moves().get(plan.moves().size() - 1).stretchId());
        assertThat(latest.depthBecause()).isEqualTo("display and touch cables");
    }

    @Test
    void startsWhereNothingLiesBeneath() {
        CutPlan plan = plan(List.of());
        assertThat(plan.moves().get(0).newEntry()).isTrue();
        assertThat(stretch(plan, plan.moves().get(0).stretchId()).hazardWords()).isNull();
    }

    @Test
    void anOledsEdgeIsKeptFurtherFromThanAnLcds() {
        // Border 2.8 mm, 1.5 of margin and half a millimetre for the seal; never less than the tip.
        assertThat(Stretch.along(ShippedBook.profile("pellow-dial-45"), List.of()))
                .allSatisfy(stretch -> assertThat(stretch.depthMm()).isLessThanOrEqualTo(1));
    }

    @Test
    void depthIsTheBordersOrTheFeaturesWhicheverIsLess() {
        CutPlan plan = plan(List.of());
        // Border 7.5 mm less 1.5 mm.
        assertThat(stretch(plan, "top-1").depthMm()).isEqualTo(6.0);
        assertThat(plan.stretches())
                .filteredOn(s -> "fingerprint key cable".equals(s.depthBecause()))
                .singleElement()
                .satisfies(s -> assertThat(s.depthMm()).isEqualTo(1.5));
    }

    @Test
    void aCrackMakesItShallowAndSlowAndNothingMayLiftItThere() {
        EdgeInterval crack = new EdgeInterval(30, 5);
        Move before = move(plan(List.of()), "top-1");
        Move after = move(plan(List.of(crack)), "top-1");
        assertThat(stretch(plan(List.of(crack)), "top-1").depthMm()).isEqualTo(2.0);
        assertThat(after.seconds()).isGreaterThan(before.seconds());
        Move whole = move(plan(FrontCondition.INTACT, List.of(), COOLING), "top-1");
        assertThat(whole.pickMm()).isGreaterThanOrEqualTo(0.5);
        assertThat(whole.riseMm()).isGreaterThanOrEqualTo(0.5);
        assertThat(after.riseMm()).isNull();
    }

    private static Move move(CutPlan plan, String id) {
        return plan.moves().stream()
                .filter(m -> m.stretchId().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** At 60 °C and less by a tenth of a kelvin a second it falls below 35.95 °C, where the pick crawls, after 240.5 s. */
    @Test
    void warmsAgainBeforeTheBondGoesColdAndNotSooner() {
        double warm = 0;
        for (Move move : plan(List.of()).moves()) {
            assertThat(move.bondC()).isGreaterThan(35.9);
            if (move.warmFirst() != null) {
                // One more stretch would have been too much.
                assertThat(warm + move.seconds()).isGreaterThan(237);
                warm = 0;
            }
            warm = move.pauses().isEmpty() ? warm + move.seconds() : 0;
            assertThat(warm).isLessThan(245);
        }
    }

    @Test
    void whatStaysWarmIsNotWarmedAgain() {
        CutPlan plan = plan(FrontCondition.INTACT, List.of(), 0);
        assertThat(plan.warmings()).isZero();
        assertThat(plan.totalSeconds()).isEqualTo(plan.cuttingSeconds());
    }

    @Test
    void theClockRunsUntilTheFirstWarmingOrUntilAllIsFree() {
        CutPlan cooling = plan(List.of());
        assertThat(cooling.warmings()).isPositive();
        // Half a stretch more or less: where the pick rests on the way is told by its place.
        assertThat(cooling.secondsUntilWarming()).isBetween(200.0, 245.0);
        CutPlan warm = plan(FrontCondition.INTACT, List.of(), 0);
        assertThat(warm.secondsUntilWarming()).isEqualTo(warm.cuttingSeconds());
    }

    @Test
    void leavesFreedStretchesOutAndContinuesBesideThem() {
        CutPlan plan = plan(List.of(), "top-1", "top-left");
        assertThat(plan.moves()).extracting(Move::stretchId).doesNotContain("top-1", "top-left");
        assertThat(plan.moves()).hasSize(plan.stretches().size() - 2);
    }

    @Test
    void wedgesStandOnFreedClearEdgeOnly() {
        CutPlan plan = plan(List.of());
        List<Move> wedged =
                plan.moves().stream().filter(m -> m.wedgeAtMm() != null).toList();
        assertThat(wedged).isNotEmpty().allSatisfy(m -> {
            Stretch on = stretch(plan, m.stretchId());
            assertThat(QUIRE.edge().turn().contains(on.where(), m.wedgeAtMm())).isTrue();
            assertThat(on.hazard()).isLessThan(0.5);
        });
    }
}
