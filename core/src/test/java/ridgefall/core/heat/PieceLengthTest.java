package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ShippedBook;

/**
 * Plans run on long pieces of the edge and few benches: neither makes air over a stretch look warmer at its ends than it is, nor the
 * glass cooler, nor nine of ten benches safer than many more say.
 */
class PieceLengthTest {
    private static final double FINE_MM = 2.5;
    private static final double JET_RISE_K = 237;
    private static final double CONTACT_W_PER_M2K = 150;

    /** Nobody holds the air off. */
    private static final HeatLimits NONE = new HeatLimits(900, 900, 900, 900, 900);

    private record Warm(double coldestBondK, double glassK) {}

    /** After a minute of air over a stretch whose middle lies {@code shift} pieces from where two meet. */
    private static Warm blown(HeatStack stack, HeatSource air, double stretchMm, double pieceMm, double shift) {
        EdgePieces pieces = EdgePieces.alike(stack, (int) Math.round(stack.perimeterMm() / pieceMm));
        double middleMm = (pieces.count() / 2 + shift) * stack.perimeterMm() / pieces.count();
        EdgeInterval where = new EdgeInterval(middleMm - stretchMm / 2, stretchMm);
        Setup setup = air.completed(new Setup(300.0, null, null, Sweep.STRETCH_BY_STRETCH))
                .over(where);
        HeatedDevice device = new HeatedDevice("reference", stack, FrontCondition.INTACT, pieces, null, 22, NONE);
        PanelRing ring = pieces.panelRing(stack);
        double[] state = ring.run(
                ring.atRoom(),
                0,
                new Meeting(device, air, setup, 2.5, 24).over(ring, CONTACT_W_PER_M2K, s -> JET_RISE_K, true),
                2.5,
                24,
                (s, now) -> {});
        return new Warm(pieces.on(where).coldest(piece -> ring.bond(state, piece)), ring.hottestGlass(state));
    }

    @ParameterizedTest
    @CsvSource({
        "metal, false, 40", "metal, false, 60", "metal, false, 100", "metal, true, 60",
        "plastic, false, 40", "plastic, false, 60", "plastic, false, 100", "plastic, true, 60"
    })
    void atPlanningSizeTheStretchsEndsAndTheGlassAreAsWarmAsOnFinePieces(
            String frame, boolean shielded, double stretchMm) {
        HeatStack stack = frame.equals("metal") ? ReferenceTablet.stack() : ReferenceTablet.plastic();
        HeatSource pencil = HeatSource.byId(HeatSource.bench(), "air-1");
        HeatSource air = shielded ? pencil.behindShield() : pencil.bare();
        Warm fine = blown(stack, air, stretchMm, FINE_MM, 0);
        for (double shift : List.of(0.0, 0.25, 0.5, 0.75)) {
            Warm planned = blown(stack, air, stretchMm, HeatedDevice.PLANNING_MM, shift);
            assertThat(planned.coldestBondK / fine.coldestBondK)
                    .as("coldest bond, %.2f of a piece on", shift)
                    .isBetween(0.88, 1.05);
            assertThat(planned.glassK / fine.glassK)
                    .as("hottest glass, %.2f of a piece on", shift)
                    .isBetween(0.98, 1.05);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"plate-1", "pad-1", "bed-1", "air-1", "air-2", "dryer-1"})
    void whatNineOfTenBenchesKeepIsWhatAThousandSay(String source) {
        HeatQuestion question = new HeatQuestion(
                ShippedBook.quire11(), FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
        HeatSource on = question.source(source);
        Setup setup = on.usual(Math.min(on.maxC(), on.kind().air() ? 250 : 80), on.wholeEdge());
        HeatPlan planned = question.planner(HeatPlanner.FULL).judged(on, setup, 240);
        HeatPlan many = question.planner(1024).judged(on, setup, 240);
        assertThat(planned.bondAtPullC().p90()).isCloseTo(many.bondAtPullC().p90(), within(2.0));
        assertThat(planned.bondAtPullC().p10()).isCloseTo(many.bondAtPullC().p10(), within(2.0));
        assertThat(planned.batteryAtPullC().p90())
                .isCloseTo(many.batteryAtPullC().p90(), within(2.0));
        assertThat(planned.displayAtPullC().p90())
                .isCloseTo(many.displayAtPullC().p90(), within(2.0));
    }
}
