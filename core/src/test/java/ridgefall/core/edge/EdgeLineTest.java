package ridgefall.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.units.NotAllowed;

class EdgeLineTest {
    private static final EdgeLine TABLET = EdgeLine.roundedRectangle(248, 178, 18);
    private static final EdgeLine UNEVEN = EdgeLine.roundedRectangle(100, 80, 5, 10, 15, 0);

    @Test
    void isAsLongAsTheRoundedRectangleItDraws() {
        assertThat(TABLET.lengthMm()).isCloseTo(2 * (248 + 178) - 8 * 18 + 2 * Math.PI * 18, within(0.01));
        // Each corner takes 2r of straight edge and gives πr/2 of arc.
        assertThat(UNEVEN.lengthMm()).isCloseTo(360 - (5 + 10 + 15) * (2 - Math.PI / 2), within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"0, 18, 0", "212, 230, 0", "240.274, 248, 18", "382.274, 248, 160", "-1, 17, 0.03"})
    void runsClockwiseFromWhereTheTopEdgeLeavesTheLandmarkCorner(double position, double x, double y) {
        Coordinate point = TABLET.pointAt(position);
        assertThat(point.x).isCloseTo(x, within(0.02));
        assertThat(point.y).isCloseTo(y, within(0.02));
    }

    @Test
    void pointAndPositionAreInverse() {
        Random random = new Random(7);
        for (EdgeLine line : new EdgeLine[] {TABLET, UNEVEN}) {
            for (int i = 0; i < 300; i++) {
                double position = random.nextDouble() * line.lengthMm();
                assertThat(line.positionOf(line.pointAt(position))).isCloseTo(position, within(1e-6));
            }
        }
    }

    /** An indexed line walks from its first point every time; both say the same, at the ends of parts, too. */
    @Test
    void aPointIsWhereAnIndexedLineHasIt() {
        Random random = new Random(11);
        for (EdgeLine line : new EdgeLine[] {TABLET, UNEVEN}) {
            DoubleStream.concat(
                            random.doubles(300, -line.lengthMm(), 2 * line.lengthMm()),
                            line.parts().stream()
                                    .mapToDouble(part -> part.interval().fromMm()))
                    .forEach(at -> assertThat(line.pointAt(at).distance(line.pointInside(at, 0)))
                            .as("at " + at)
                            .isLessThan(1e-9));
        }
    }

    @Test
    void pointsInsideLieSquareToTheEdge() {
        assertThat(TABLET.pointInside(106, 3)).isEqualTo(new Coordinate(124, 3));
        Coordinate corner = TABLET.pointInside(212 + Math.PI / 4 * 18, 18);
        assertThat(corner.distance(new Coordinate(230, 18))).isLessThan(0.05);
        assertThat(TABLET.normalAt(106).y).isCloseTo(-1, within(1e-9));
    }

    @Test
    void namesThePlaceByLandmark() {
        assertThat(TABLET.landmarkAt(10)).isEqualTo(Landmark.TOP);
        assertThat(TABLET.landmarkAt(220)).isEqualTo(Landmark.TOP_RIGHT);
        assertThat(TABLET.landmarkAt(-5)).isEqualTo(Landmark.TOP_LEFT);
        assertThat(UNEVEN.parts()).extracting(EdgeLine.Part::landmark).doesNotContain(Landmark.BOTTOM_LEFT);
    }

    @Test
    void everyCornerHasAPlaceOnTheEdgeSharpOrRound() {
        // Where a corner is round, the middle of its arc; where it is sharp, the corner itself.
        assertThat(TABLET.cornerMm(Landmark.TOP_RIGHT))
                .isCloseTo(TABLET.turn().middle(TABLET.interval(Landmark.TOP_RIGHT)), within(1e-6));
        EdgeLine sharp = EdgeLine.roundedRectangle(200, 100, 0);
        assertThat(sharp.cornerMm(Landmark.TOP_RIGHT)).isCloseTo(200, within(1e-9));
        assertThat(sharp.cornerMm(Landmark.BOTTOM_LEFT)).isCloseTo(500, within(1e-9));
    }

    @Test
    void theSameShapeIsTheSameAxis() {
        EdgeLine one = EdgeLine.roundedRectangle(200, 100, 12);
        assertThat(EdgeLine.roundedRectangle(200, 100, 12)).isEqualTo(one).hasSameHashCodeAs(one);
        assertThat(EdgeLine.roundedRectangle(200, 100, 12.1)).isNotEqualTo(one);
    }

    @Test
    void turningFourTimesOrMirroringTwiceChangesNothing() {
        Coordinate point = TABLET.pointAt(33);
        assertThat(TABLET.seen(point, new View(0, false))).isEqualTo(point);
        // Face down the camera edge stays on top and left becomes right.
        assertThat(TABLET.seen(point, new View(0, true))).isEqualTo(new Coordinate(248 - point.x, point.y));
        // A quarter turn clockwise brings the top edge to the right.
        assertThat(TABLET.seen(new Coordinate(124, 0), new View(1, false))).isEqualTo(new Coordinate(178, 124));
        assertThat(TABLET.seen(point, new View(2, false))).isEqualTo(new Coordinate(248 - point.x, 178 - point.y));
        assertThat(TABLET.seen(new Coordinate(124, 0), new View(3, false))).isEqualTo(new Coordinate(0, 124));
    }

    @Test
    void cornersThatMeetOnAnEdgeAreRefused() {
        assertThatThrownBy(() -> EdgeLine.roundedRectangle(100, 40, 0, 30, 0, 0))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("topRightMm is 30; allowed: 0 to 20 mm");
        assertThatThrownBy(() -> EdgeLine.roundedRectangle(Double.NaN, 40, 0)).isInstanceOf(NotAllowed.class);
    }
}
