package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.sheet.Sheet;

/** A place on paper for everything that comes off. */
class TraySheetTest {
    static List<DeviceProfile> screwed() {
        return ScrewsTest.screwed();
    }

    private static List<Point> rings(Sheet sheet) {
        return sheet.paths()
                .filter(path -> path.points().size() == 24)
                .map(path -> new Point(
                        path.points().stream().mapToDouble(Point::xMm).average().orElseThrow(),
                        path.points().stream().mapToDouble(Point::yMm).average().orElseThrow()))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("screwed")
    void everyScrewHasARingAsFarFromTheOthersAsInTheDevice(DeviceProfile profile) {
        Sheet sheet = TraySheet.of(profile);
        List<Point> rings = rings(sheet);
        assertThat(rings).hasSize(profile.screws());
        double wide = rings.stream().mapToDouble(Point::xMm).max().orElseThrow()
                - rings.stream().mapToDouble(Point::xMm).min().orElseThrow();
        double inBook = profile.stripOrder().screws().stream()
                        .mapToDouble(s -> s.xMm())
                        .max()
                        .orElseThrow()
                - profile.stripOrder().screws().stream()
                        .mapToDouble(s -> s.xMm())
                        .min()
                        .orElseThrow();
        assertThat(wide).isCloseTo(inBook, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("screwed")
    void allOfItIsOnThePaper(DeviceProfile profile) {
        Sheet sheet = TraySheet.of(profile);
        assertThat(sheet.paths().flatMap(path -> path.points().stream())).allSatisfy(at -> {
            assertThat(at.xMm()).isBetween(5.0, sheet.widthMm() - 5);
            assertThat(at.yMm()).isBetween(5.0, sheet.heightMm() - 5);
        });
        double lowest = sheet.words()
                .filter(words -> words.text().matches("[A-Z]:.*|\\*.*"))
                .mapToDouble(words -> words.at().yMm())
                .max()
                .orElseThrow();
        assertThat(lowest).as("above the bar").isLessThan(sheet.heightMm() - Sheet.MARGIN_MM - 5);
    }

    @Test
    void aKindBearsOneLetterAndItsScrewsCountAsTheyComeOut() {
        List<String> words = TraySheet.of(ShippedBook.profile("marrowby-quire-8"))
                .words()
                .map(Sheet.Words::text)
                .toList();
        assertThat(words)
                .contains("A:  10 × 1.8 mm M1.2, flat, cross 000", "A1", "A10", "B4", "C3*", "*  under tape or rubber")
                .doesNotContain("A11");
    }

    @Test
    void aDeviceWithoutHolesInTheBookHasNone() {
        assertThatThrownBy(() -> TraySheet.of(ShippedBook.profile("class-watch")))
                .hasMessageContaining("a device whose holes are in the book");
    }
}
