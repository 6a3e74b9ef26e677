package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import ridgefall.core.bond.Ledge.PerSide;
import ridgefall.core.bond.Ledge.Side;
import ridgefall.core.bond.StripPlan.Skip;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.TapeSchool;

/** What holds for tape on every ledge, from a watch to the largest tablet, whatever is cut out of it. */
class StripsOnAnyLedgeTest {
    private static final double MARGIN_MM = 0.3;
    private static final double CLEARANCE_MM = 0.5;
    private static final double LEAST_MM = 5;
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** More of them in {@code ./ridgefall bench}. */
    private static final int LEDGES = Integer.getInteger("ridgefall.ledges", 20);

    static Stream<StripPlanner> planners() {
        return IntStream.range(0, LEDGES).mapToObj(StripsOnAnyLedgeTest::planner);
    }

    private static StripPlanner planner(int seed) {
        Random random = new Random(seed);
        double width = 32 + random.nextDouble() * 250;
        double height = 32 + random.nextDouble() * 180;
        double ledge = 1.6 + 2 * random.nextDouble();
        double radius = random.nextInt(4) == 0 ? 0 : random.nextDouble() * Math.min(width, height) / 4;
        List<Skip> skips = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            Side side = Side.values()[random.nextInt(4)];
            double long_ = side.horizontal() ? width : height;
            double from = random.nextDouble() * long_;
            skips.add(new Skip(
                    side.landmark(), from, Math.min(long_, from + 2 + random.nextDouble() * 20), "window " + i));
        }
        double tape = 1 + random.nextDouble() * (ledge - MARGIN_MM - 1);
        return new StripPlanner(
                new Ledge(width, height, radius, Math.max(0, radius - ledge), PerSide.all(ledge)),
                PerSide.all(tape),
                List.of(tape, tape / 2),
                MARGIN_MM,
                1,
                CLEARANCE_MM,
                LEAST_MM,
                5,
                skips,
                Adhesive.PET_CARRIER_TAPE,
                3,
                40);
    }

    @ParameterizedTest
    @MethodSource("planners")
    void tapeLiesOnTheLedgeAndNowhereElse(StripPlanner planner) {
        // Butted square ends touch the outline with their outer corner.
        Geometry ledge = planner.ledge().area().buffer(0.02);
        for (TapeSchool school : TapeSchool.values()) {
            for (Strip strip : planner.plan(school).strips()) {
                assertThat(polygon(strip).difference(ledge).getArea())
                        .as("%s %s beside the ledge, mm²", school, strip.id())
                        .isCloseTo(0, within(0.02));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("planners")
    void noStripIsTooShortToLayOrNearerToACutOutThanItsClearance(StripPlanner planner) {
        for (TapeSchool school : TapeSchool.values()) {
            for (Strip strip : planner.plan(school).strips()) {
                assertThat(strip.lengthMm()).isGreaterThanOrEqualTo(LEAST_MM);
                assertThat(planner.cutOuts())
                        .filteredOn(cut -> cut.on() == strip.on())
                        .allMatch(cut -> strip.toMm() <= cut.fromMm() - CLEARANCE_MM + 1e-9
                                || strip.fromMm() >= cut.toMm() + CLEARANCE_MM - 1e-9);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("planners")
    void noTwoStripsLieOnEachOther(StripPlanner planner) {
        for (TapeSchool school : TapeSchool.values()) {
            List<Strip> strips = planner.plan(school).strips();
            for (int a = 0; a < strips.size(); a++) {
                for (int b = 0; b < a; b++) {
                    assertThat(polygon(strips.get(a))
                                    .intersection(polygon(strips.get(b)))
                                    .getArea())
                            .as(
                                    "%s: %s on %s, mm²",
                                    school, strips.get(a).id(), strips.get(b).id())
                            .isCloseTo(0, within(1e-6));
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("planners")
    void whatIsSaidOfAPlanAddsUpFromItsStrips(StripPlanner planner) {
        for (TapeSchool school : TapeSchool.values()) {
            StripPlan plan = planner.plan(school);
            double area = plan.strips().stream()
                    .mapToDouble(s -> polygon(s).getArea())
                    .sum();
            assertThat(plan.areaMm2()).isCloseTo(area, within(1e-6));
            assertThat(plan.rollMm() - plan.lengthMm())
                    .isCloseTo(5.0 * plan.strips().size(), within(1e-6));
            assertThat(plan.coverage()).isBetween(0.0, 1.0);
            assertThat(plan.shearN()).isCloseTo(Adhesive.PET_CARRIER_TAPE.shearMPa(40) * area / 3, within(1e-6));
        }
    }

    private static Geometry polygon(Strip strip) {
        return GEOMETRY.createPolygon(strip.outline().toArray(Coordinate[]::new));
    }
}
