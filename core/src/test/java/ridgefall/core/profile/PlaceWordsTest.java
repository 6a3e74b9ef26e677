package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;

/** On the demo tablet: its camera edge lies between magnet edge (left) and port edge (right). */
class PlaceWordsTest {
    private static final DeviceProfile QUIRE = ShippedBook.quire11();
    private static final EdgeInterval TOP = QUIRE.edge().interval(Landmark.TOP);
    /** The straight edge begins where the corner's radius ends. */
    private static final double RADIUS_MM = (QUIRE.edge().widthMm() - TOP.lengthMm()) / 2;

    @Test
    void aPlaceIsMeasuredFromTheNearestSideBesideIt() {
        assertThat(PlaceWords.at(QUIRE, 30 - RADIUS_MM)).isEqualTo("camera edge, {mm:30} from the magnet edge");
        assertThat(PlaceWords.at(QUIRE, QUIRE.edge().widthMm() - 30 - RADIUS_MM))
                .isEqualTo("camera edge, {mm:30} from the port edge");
    }

    @Test
    void theEdgeBelowIsMeasuredTheWayItRuns() {
        EdgeInterval bottom = QUIRE.edge().interval(Landmark.BOTTOM);
        assertThat(PlaceWords.at(QUIRE, bottom.fromMm() + 40 - RADIUS_MM))
                .isEqualTo("cable edge, {mm:40} from the port edge");
    }

    @Test
    void aStretchIsToldInTheOrderInWhichAToolPassesIt() {
        EdgeInterval near = new EdgeInterval(56 - RADIUS_MM, 46);
        assertThat(PlaceWords.along(QUIRE, near, true))
                .isEqualTo("camera edge, {mm:56} to {mm:102} from the magnet edge");
        assertThat(PlaceWords.along(QUIRE, near, false))
                .isEqualTo("camera edge, {mm:102} to {mm:56} from the magnet edge");
        EdgeInterval far = new EdgeInterval(QUIRE.edge().widthMm() - 68 - RADIUS_MM, 40);
        assertThat(PlaceWords.along(QUIRE, far, true)).isEqualTo("camera edge, {mm:68} to {mm:28} from the port edge");
    }

    @Test
    void directionIsTheSideThatTheToolGoesTo() {
        assertThat(PlaceWords.towards(QUIRE, TOP, true)).isEqualTo("towards the port edge");
        assertThat(PlaceWords.towards(QUIRE, TOP, false)).isEqualTo("towards the magnet edge");
        EdgeInterval corner = QUIRE.edge().interval(Landmark.TOP_RIGHT);
        assertThat(PlaceWords.towards(QUIRE, corner, true)).isEqualTo("towards the port edge");
        assertThat(PlaceWords.along(QUIRE, corner, true)).isEqualTo("corner of camera edge and port edge");
    }
}
