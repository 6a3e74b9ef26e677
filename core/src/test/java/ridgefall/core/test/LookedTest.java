package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.test.Looked.Camera;
import ridgefall.core.test.Looked.Light;
import ridgefall.core.test.Looked.Motion;
import ridgefall.core.test.Looked.Picture;
import ridgefall.core.test.Looked.Sound;
import ridgefall.core.test.Looked.Spot;
import ridgefall.core.units.NotAllowed;

/** What the device's own page can say of what it does, beside its touch layer. */
class LookedTest {
    /** 248 mm wide and 178 high. */
    private static final DeviceProfile QUIRE = ShippedBook.profile("marrowby-quire-11");

    @Test
    void aPictureWorksOnceAllFieldsWereSeenEvenAndNotBefore() {
        assertThat(new Picture(7, List.of()).works()).contains(true);
        assertThat(new Picture(6, List.of()).works()).isEmpty();
        assertThat(new Picture(7, List.of()).words(QUIRE)).isEqualTo("its own picture: 7 of 7 fields even");
    }

    @Test
    void whatIsSeenFailsAndIsSaidFromTheNearestEdges() {
        double wide = QUIRE.edge().widthMm();
        double high = QUIRE.edge().heightMm();
        Picture seen = new Picture(2, List.of(new Spot(12 / wide, 1 - 30 / high, "white")));
        assertThat(seen.works()).contains(false);
        assertThat(seen.words(QUIRE)).isEqualTo("seen on white, {mm:12} from the left, {mm:30} from the bottom");
        List<Spot> many =
                IntStream.range(0, 5).mapToObj(i -> new Spot(0.5, 0.5, "red")).toList();
        assertThat(new Picture(7, many).words(QUIRE)).endsWith("; 2 more");
        assertThatThrownBy(() -> new Spot(1.2, 0, "red"))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("x");
    }

    /** A quiet room is not silent at one pitch: between half of what counts and all of it nobody says. */
    @ParameterizedTest
    @CsvSource({"-80, -40, true", "-60, -48, true", "-60, -51, ", "-60, -55, false", "-60, -70, false"})
    void tonesAreHeardOverTheSilenceBefore(double quietDb, double toneDb, Boolean works) {
        assertThat(new Sound(quietDb, toneDb, null).works()).isEqualTo(Optional.ofNullable(works));
    }

    @Test
    void anEarTellsOfALoudspeakerOnly() {
        assertThat(new Sound(null, null, false).works()).contains(false);
        assertThat(new Sound(null, null, true).works())
                .as("nobody asked its microphone")
                .isEmpty();
        assertThatThrownBy(() -> new Sound(-60.0, null, null))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("toneDb");
    }

    @ParameterizedTest
    @CsvSource({"120, 20, 30, true", "120, 110, 30, ", "9, 4, 1, false", "30, 28, 12, "})
    void aLensIsProvenByAFingerOnIt(double open, double covered, double contrast, Boolean works) {
        assertThat(new Camera(open, covered, contrast, null).works()).isEqualTo(Optional.ofNullable(works));
    }

    @Test
    void whatABrowserMayNotSeeAHandSays() {
        assertThat(new Camera(null, null, null, true).works()).contains(true);
        assertThat(new Light(false).works()).contains(false);
        assertThat(new Light(false).words(QUIRE)).isEqualTo("does not dim under a hand");
    }

    @Test
    void aDeviceIsAskedForWhatItHas() {
        assertThat(Look.of(QUIRE)).containsExactly(Look.PICTURE, Look.STYLUS, Look.LIGHT, Look.SOUND, Look.CAMERA);
        assertThat(Look.of(ShippedBook.profile("pellow-dial-45"))).containsExactly(Look.PICTURE);
    }

    @Test
    void aSensorThatFollowsFromFlatToUprightWorksAndOneThatNeverStirsIsStuck() {
        assertThat(new Motion(88.0, null).works()).contains(true);
        assertThat(new Motion(88.0, null).words(QUIRE)).isEqualTo("its own sensor: tilted by 88°");
        assertThat(new Motion(0.1, null).works()).contains(false);
        assertThat(new Motion(12.0, null).works()).as("nobody stood it up").isEmpty();
        assertThat(new Motion(null, false).works()).contains(false);
        assertThatThrownBy(() -> new Motion(null, null))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("tiltedDeg");
        assertThatThrownBy(() -> new Motion(200.0, null)).hasMessageContaining("tiltedDeg");
    }
}
