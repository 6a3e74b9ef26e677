package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import ridgefall.core.bond.Spreading.Corner;
import ridgefall.core.bond.Spreading.Reach;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;

/** The reference plate of 172 × 108 mm, watched as it gets wet. */
class SpreadingTest {
    private static final OpticalLiquid LIQUID = new OpticalLiquid(172 * 108, 0.15, 2.42, 1.0, 4);
    private static final Polygon FACE = (Polygon) new GeometryFactory().toGeometry(new Envelope(0, 172, 0, 108));
    private static final EdgeLine EDGE = EdgeLine.roundedRectangle(172, 108, 0.5);
    private static final Instant LAID = Instant.parse("2026-03-02T08:00:00Z");

    private static Spreading from(Coordinate... dots) {
        return new Spreading(LIQUID, FACE, List.of(dots));
    }

    private static Joining.Liquid seen(Map<Landmark, Instant> corners) {
        return new Joining.Liquid(1, LAID, corners, false, 3);
    }

    private static Reach last(List<Reach> reach) {
        return reach.get(reach.size() - 1);
    }

    /** The same law in small steps of time instead of an integral over the thickness. */
    private static double stepped(double toMm) {
        double m3 = 172 * 108 * 0.15e-9;
        double pull = 2 * 0.032 * Math.cos(Math.toRadians(20)) * m3;
        double h = 2e-3;
        double t = 0;
        while (h > toMm * 1e-3) {
            double falls = 2 * Math.PI * Math.pow(h, 5) * (2.42 + pull / (h * h)) / (3 * m3 * m3);
            double dt = 1e-4 * h / falls;
            h -= falls * dt;
            t += dt;
        }
        return t;
    }

    @Test
    void oneDotIsAtTheCornersWhenItIsDoneAndAtTheLongEdgesLongBefore() {
        List<Reach> reach = from(new Coordinate(86, 54)).reach(24);
        assertThat(last(reach).mm()).isCloseTo(Math.hypot(86, 54), within(1e-9));
        assertThat(last(reach).seconds()).isCloseTo(267.1, within(0.3));
        // At 54 mm, against the long edges: π 54² of 18 576 mm², so 0.304 mm thick.
        double thick = 172 * 108 * 0.15 / (Math.PI * 54 * 54);
        assertThat(LIQUID.secondsToCover(Math.PI * 54 * 54, 1)).isCloseTo(stepped(thick), within(0.05));
        assertThat(LIQUID.secondsToCover(Math.PI * 54 * 54, 1)).isLessThan(60);
    }

    @Test
    void whatStandsAsADotHasNotBegunToRun() {
        assertThat(LIQUID.secondsToCover(172 * 108 * 0.15 / 2, 1)).isZero();
    }

    @Test
    void everyMomentIsLaterAndFurther() {
        for (List<Reach> reach : List.of(
                from(new Coordinate(86, 54)).reach(24),
                from(new Coordinate(30, 54), new Coordinate(140, 54)).reach(24))) {
            assertThat(reach).extracting(Reach::mm).isSorted();
            assertThat(reach).extracting(Reach::seconds).isSorted();
        }
    }

    @Test
    void aDotBesideTheMiddleIsAtItsOwnCornersFirst() {
        List<Corner> corners = from(new Coordinate(60, 54)).corners(EDGE, seen(Map.of()));
        assertThat(corners)
                .extracting(Corner::landmark)
                .containsExactly(Landmark.TOP_LEFT, Landmark.TOP_RIGHT, Landmark.BOTTOM_RIGHT, Landmark.BOTTOM_LEFT);
        assertThat(corners.get(0).forecastSeconds())
                .isLessThan(0.8 * corners.get(1).forecastSeconds());
        assertThat(corners.get(1).forecastSeconds()).isCloseTo(267.1, within(0.3));
        assertThat(corners.get(3).forecastSeconds()).isCloseTo(corners.get(0).forecastSeconds(), within(0.5));
    }

    /** Cold liquid: one corner took twice its time, so the others are expected at twice theirs. */
    @Test
    void aCornerThatWasSeenTellsTheOthersPace() {
        Spreading one = from(new Coordinate(86, 54));
        double reckoned = one.corners(EDGE, seen(Map.of())).get(0).forecastSeconds();
        Map<Landmark, Instant> slow = Map.of(Landmark.TOP_LEFT, LAID.plusMillis(Math.round(2000 * reckoned)));
        List<Corner> corners = one.corners(EDGE, seen(slow));
        assertThat(corners.get(0).reached()).isTrue();
        assertThat(corners.get(2).reached()).isFalse();
        assertThat(corners.get(2).forecastSeconds()).isCloseTo(2 * reckoned, within(0.1));
        assertThat(corners.get(2).late(2.9 * reckoned)).isFalse();
        assertThat(corners.get(2).late(3.1 * reckoned)).isTrue();
        assertThat(corners.get(0).late(1000 * reckoned)).as("it is there").isFalse();
    }

    @Test
    void nineDotsAreThereSoonerThanOne() {
        Coordinate[] nine = IntStream.range(0, 9)
                .mapToObj(i -> new Coordinate(172 * (i % 3 + 0.5) / 3, 108 * (i / 3 + 0.5) / 3))
                .toArray(Coordinate[]::new);
        assertThat(last(from(nine).reach(24)).seconds()).isCloseTo(29.67, within(0.05));
    }
}
