package ridgefall.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.sheet.Sheet.Mark;
import ridgefall.core.test.TouchFinding.DeadPatch;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.test.TouchTrace.Screen;

/**
 * Touch tried square by square where no browser can tell: on the device's own drawing page or test screen, with the squares printed at
 * true scale beside it. What a hand says of squares is judged as a trace is; of waves and ghosts it says nothing.
 */
public final class TouchByHand {
    /** Any number of them a millimetre: there are no pixels. */
    private static final double PX_PER_MM = 10;

    private static final double HEAD_MM = 40;
    private static final double FOOT_MM = 30;
    private static final double WORDS_MM = 3;

    /** @param works only where every square answers; a lone one that is marked was tried more than once */
    public record Told(boolean works, String words) {}

    private TouchByHand() {}

    private static Screen screen(DeviceProfile profile) {
        Area screen = profile.screen();
        return new Screen(screen.widthMm() * PX_PER_MM, screen.heightMm() * PX_PER_MM, PX_PER_MM);
    }

    /** The squares there are, all of them answering. */
    public static TouchGrid grid(DeviceProfile profile) {
        return TouchGrid.answeredBut(screen(profile), List.of());
    }

    /** As written on the paper: A1 is the square at the top left. */
    public static String name(Cell cell) {
        return (char) ('A' + cell.row() % 26) + (cell.row() < 26 ? "" : "'") + (cell.column() + 1);
    }

    /**
     * @param silent squares that do not answer
     * @throws ridgefall.core.units.NotAllowed where one is not on the screen
     */
    public static Told judge(DeviceProfile profile, List<Cell> silent) {
        TouchGrid grid = TouchGrid.answeredBut(screen(profile), silent);
        int answer = grid.cells() - grid.silent().size();
        String words = "by hand on the grid, touch proof: " + answer + " of " + grid.cells() + " cells";
        if (grid.silent().isEmpty()) {
            return new Told(true, words);
        }
        List<TouchFinding> found = new ArrayList<>();
        TouchProof.coverage(grid, found);
        String patches = found.stream()
                .filter(DeadPatch.class::isInstance)
                .map(it -> "; " + it.words() + ", from "
                        + name(((DeadPatch) it).cells().get(0)))
                .collect(Collectors.joining());
        String lone = found.stream()
                .filter(TouchFinding.NotProven.class::isInstance)
                .flatMap(it -> ((TouchFinding.NotProven) it).cells().stream())
                .map(TouchByHand::name)
                .collect(Collectors.joining(", "));
        return new Told(false, words + patches + (lone.isEmpty() ? "" : "; dead: " + lone));
    }

    /** To lie beside the device, or under it where it is shown through: its squares as large as they are, with their names. */
    public static Sheet sheet(DeviceProfile profile) {
        Screen screen = screen(profile);
        TouchGrid grid = grid(profile);
        double widthMm = screen.mm(screen.widthPx());
        double heightMm = screen.mm(screen.heightPx());
        double[] paper = Sheet.paperFor(widthMm, heightMm + HEAD_MM + FOOT_MM);
        double left = (paper[0] - widthMm) / 2;
        List<Mark> marks = new ArrayList<>();
        marks.add(
                new Sheet.Words(
                        new Point(Sheet.MARGIN_MM, HEAD_MM - 8),
                        WORDS_MM,
                        "A finger into every square, slowly, over its lines too. What does not answer: cross it out, try it again, tap it on the bench."));
        double cellWidthMm = widthMm / grid.columns();
        double cellHeightMm = heightMm / grid.rows();
        for (int row = 0; row < grid.rows(); row++) {
            for (int column = 0; column < grid.columns(); column++) {
                double x = left + column * cellWidthMm;
                double y = HEAD_MM + row * cellHeightMm;
                marks.add(Sheet.box(x, y, cellWidthMm, cellHeightMm, 0.2));
                marks.add(new Sheet.Words(new Point(x + 1, y + WORDS_MM + 0.5), 2.4, name(new Cell(column, row))));
            }
        }
        return Sheet.of("Touch grid, " + profile.name(), paper[0], paper[1], marks);
    }
}
