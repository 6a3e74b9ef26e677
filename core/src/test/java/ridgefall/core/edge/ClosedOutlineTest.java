package ridgefall.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.units.NotAllowed;

/** Outlines read from drawings behave as drawn rectangles do. */
class ClosedOutlineTest {

    private static List<Point> points(double... xy) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            points.add(new Point(xy[i], xy[i + 1]));
        }
        return points;
    }

    @Test
    void aRoundedRectangleDrawnPointByPointIsTheSameEdge() {
        EdgeLine drawn = EdgeLine.roundedRectangle(248, 178, 18);
        EdgeLine read = EdgeLine.closed(Arrays.stream(drawn.outline().getCoordinates())
                .map(c -> new Point(c.x + 500, c.y - 30))
                .toList());
        assertThat(read.lengthMm()).isCloseTo(drawn.lengthMm(), within(1e-6));
        assertThat(read.areaMm2()).isCloseTo(drawn.areaMm2(), within(1e-6));
        assertThat(read.parts()).extracting(EdgeLine.Part::landmark).containsExactly(Landmark.values());
        // An edge goes on where the arc is still within 0.3 mm of the bounding box: r·acos(1 − 0.3/r) = 3.3 mm.
        EdgeInterval top = read.interval(Landmark.TOP);
        assertThat(top.lengthMm()).isBetween(212.0, 212 + 2 * 3.4);
        assertThat(read.pointAt(top.lengthMm() / 2).y).isCloseTo(0, within(1e-9));
    }

    @Test
    void theWayItWasDrawnDoesNotMatter() {
        List<Point> clockwise = points(0, 0, 40, 0, 40, 30, 0, 30);
        List<Point> counter = new ArrayList<>(clockwise);
        Collections.reverse(counter);
        Collections.rotate(counter, 2);
        EdgeLine a = EdgeLine.closed(clockwise);
        EdgeLine b = EdgeLine.closed(counter);
        for (double at = 0; at < 140; at += 7) {
            assertThat(b.pointAt(at).distance(a.pointAt(at))).isLessThan(1e-9);
        }
        assertThat(a.parts())
                .extracting(EdgeLine.Part::landmark)
                .containsExactly(Landmark.TOP, Landmark.RIGHT, Landmark.BOTTOM, Landmark.LEFT);
    }

    @Test
    void aNotchBelongsToItsEdge() {
        EdgeLine line = EdgeLine.closed(points(0, 0, 40, 0, 40, 5, 60, 5, 60, 0, 100, 0, 100, 50, 0, 50));
        assertThat(line.interval(Landmark.TOP).lengthMm()).isCloseTo(110, within(1e-9));
        assertThat(line.lengthMm()).isCloseTo(310, within(1e-9));
    }

    @Test
    void aRoundWatchHasShortEdgesAndLongCorners() {
        List<Point> circle = new ArrayList<>();
        for (int i = 0; i < 360; i++) {
            circle.add(new Point(20 * Math.cos(Math.toRadians(i)), 20 * Math.sin(Math.toRadians(i))));
        }
        EdgeLine line = EdgeLine.closed(circle);
        assertThat(line.lengthMm()).isCloseTo(2 * Math.PI * 20, within(0.02));
        assertThat(line.parts()).hasSize(8);
        assertThat(line.parts().stream()
                        .mapToDouble(p -> p.interval().lengthMm())
                        .sum())
                .isCloseTo(line.lengthMm(), within(1e-6));
        assertThat(line.equivalentRadiusMm()).isCloseTo(20, within(0.05));
    }

    @Test
    void whatIsNoOutlineIsRefused() {
        assertThatThrownBy(() -> EdgeLine.closed(points(0, 0, 10, 10)))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("points is 2; allowed: 3 to 2000");
        assertThatThrownBy(() -> EdgeLine.closed(points(0, 0, 40, 40, 40, 0, 0, 40)))
                .hasMessageContaining("does not cross itself");
        assertThatThrownBy(() -> EdgeLine.closed(points(0, 0, 2000, 0, 2000, 50, 0, 50)))
                .hasMessageContaining("widthMm is 2000");
    }
}
