package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.test.TouchGrid.Cell;

/** Squares that a hand tried, judged as a trace is. */
class TouchByHandTest {
    private static final DeviceProfile TABLET = ShippedBook.profile("marrowby-quire-11");

    @Test
    void allAnsweringWorks() {
        TouchByHand.Told told = TouchByHand.judge(TABLET, List.of());
        int cells = TouchByHand.grid(TABLET).cells();
        assertThat(told.works()).isTrue();
        assertThat(told.words()).endsWith("touch proof: " + cells + " of " + cells + " cells");
    }

    @Test
    void aRowThatDoesNotAnswerIsALineOfTheLayer() {
        TouchGrid grid = TouchByHand.grid(TABLET);
        List<Cell> row = IntStream.range(0, grid.columns())
                .mapToObj(column -> new Cell(column, 3))
                .toList();
        TouchByHand.Told told = TouchByHand.judge(TABLET, row);
        assertThat(told.works()).isFalse();
        assertThat(told.words()).contains("dead right across, " + grid.columns() + " cells", "from D1");
    }

    /** A sweep may pass a lone cell by; who crossed it out tried it twice. */
    @Test
    void aLoneSquareThatWasCrossedOutFails() {
        TouchByHand.Told told = TouchByHand.judge(TABLET, List.of(new Cell(1, 0)));
        assertThat(told.works()).isFalse();
        assertThat(told.words()).endsWith("; dead: A2");
    }

    @Test
    void aSquareBesideTheScreenIsRefused() {
        assertThatThrownBy(() -> TouchByHand.judge(TABLET, List.of(new Cell(400, 0))))
                .hasMessageContaining("column")
                .hasMessageContaining("400");
    }

    @Test
    void thePaperHasEverySquareAsLargeAsItIsOnEveryDevice() {
        for (String id : ShippedBook.IDS) {
            DeviceProfile profile = ShippedBook.profile(id);
            TouchGrid grid = TouchByHand.grid(profile);
            Sheet sheet = TouchByHand.sheet(profile);
            List<Sheet.Path> boxes = sheet.paths().filter(Sheet.Path::closed).toList();
            assertThat(boxes).as(id).hasSize(grid.cells());
            double border = profile.document().border().everywhereMm();
            double wideMm = boxes.get(0).points().get(1).xMm()
                    - boxes.get(0).points().get(0).xMm();
            assertThat(wideMm * grid.columns()).as(id).isCloseTo(profile.edge().widthMm() - 2 * border, within(1e-6));
            assertThat(wideMm).as(id).isBetween(6.0, 14.5);
            assertThat(boxes.stream()
                            .flatMap(box -> box.points().stream())
                            .allMatch(point -> point.xMm() >= 5
                                    && point.xMm() <= sheet.widthMm() - 5
                                    && point.yMm() <= sheet.heightMm() - 20))
                    .as(id)
                    .isTrue();
        }
    }
}
