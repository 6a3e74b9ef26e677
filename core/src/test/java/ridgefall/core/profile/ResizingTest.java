package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.units.NotAllowed;

class ResizingTest {

    @Test
    void whatLiesInTheMiddleOfAnEdgeStaysThere() {
        ProfileDocument quire = ShippedBook.document("marrowby-quire-11");
        ProfileDocument smaller = Resizing.of(quire, "small", "Small", 200, 140);
        EdgeLine edge = smaller.outline().edge();
        // The camera: 103 to 115 mm of the 218 mm top edge; the new top edge is 200 − 2·12.7 mm long.
        double top = 200 - 2 * 12.7;
        assertThat(edge.interval(Landmark.TOP).lengthMm()).isCloseTo(top, within(1e-9));
        ProfileDocument.Feature camera = smaller.features().get(1);
        assertThat(camera.fromMm()).isCloseTo(103 / 218.0 * top, within(0.06));
        assertThat(camera.lengthMm()).isCloseTo(12 / 218.0 * top, within(0.15));
        assertThat(smaller.screws().get(0).xMm()).isCloseTo(22 * 200 / 250.0, within(0.06));
        // What lies inside keeps its share of the face: plug, cable and cell.
        assertThat(smaller.connectors().get(0).place().yMm()).isCloseTo(64 * 140 / 176.0, within(0.06));
        assertThat(smaller.connectors().get(0).cable().route().get(0).xMm()).isCloseTo(72 * 200 / 250.0, within(0.06));
        ProfileDocument.Area cell = smaller.inside().get(4).area();
        assertThat(cell.widthMm()).isCloseTo(162 * 200 / 250.0, within(0.11));
        assertThat(cell.heightMm()).isCloseTo(96 * 140 / 176.0, within(0.11));
    }

    @ParameterizedTest
    @CsvSource({
        "marrowby-quire-11, 232, 158",
        "marrowby-quire-8, 220, 150",
        "brackenholt-tarn-10, 232, 158",
        "sillery-satchel-7, 160, 100",
        "drumlin-crate-10, 300, 200",
        "pellow-dial-41, 40, 44",
        "class-watch, 34, 40"
    })
    void aDeviceMadeFromAnotherIsRightFromTheStart(String from, double width, double height) {
        ProfileDocument made = Resizing.of(ShippedBook.document(from), "made-here", "Made here", width, height);
        assertThat(ProfileCheck.flaws(made)).isEmpty();
        assertThat(made.confidenceOf("features/camera")).isEqualTo(Confidence.GUESS);
        assertThat(made.variants()).isEqualTo(List.of());
        assertThat(List.of(
                        made.openingRadiusMm() * 10,
                        made.body().massKg() * 10_000,
                        made.front().massKg() * 10_000))
                .as("numbers a person would write: tenths of a millimetre and of a gram")
                .allSatisfy(number -> assertThat(number).isCloseTo(Math.rint(number), within(1e-6)));
    }

    @Test
    void aSizeNobodyCanHoldIsRefused() {
        assertThatThrownBy(() -> Resizing.of(ShippedBook.document("class-watch"), "x", "X", 4000, 40))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("widthMm is 4000; allowed: 5 to 1000 mm");
    }
}
