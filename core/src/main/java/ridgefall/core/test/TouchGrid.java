package ridgefall.core.test;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;
import ridgefall.core.test.TouchTrace.Stroke;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Cells of a screen as large as a fingertip, and which of them ever answered. */
public final class TouchGrid {
    /** As wide as what a fingertip presses flat. */
    public static final double CELL_MM = 9.6;

    /** Between two samples of one finger everything answered; further apart it may not have. */
    public static final double JOINED_MM = 5;

    private final Screen screen;
    private final int columns;
    private final int rows;
    private final boolean[] answered;

    /** A cell by its column from the left and row from the top, as the screen's pixels count. */
    public record Cell(int column, int row) {}

    private TouchGrid(Screen screen, double cellPx) {
        this.screen = screen;
        this.columns = (int) Math.max(1, Math.ceil(screen.widthPx() / cellPx - 0.5));
        this.rows = (int) Math.max(1, Math.ceil(screen.heightPx() / cellPx - 0.5));
        this.answered = new boolean[columns * rows];
    }

    /** Of a screen that nothing was told of yet. */
    public static TouchGrid of(Screen screen) {
        return new TouchGrid(screen, CELL_MM * screen.pxPerMm());
    }

    public static TouchGrid of(TouchTrace sweep) {
        return of(sweep, CELL_MM * sweep.screen().pxPerMm());
    }

    static TouchGrid of(TouchTrace sweep, double cellPx) {
        Allowed.between("cellPx", cellPx, 5, 2000, "px");
        TouchGrid grid = new TouchGrid(sweep.screen(), cellPx);
        sweep.strokes().forEach(grid::take);
        return grid;
    }

    /**
     * Of a screen where all answered but some.
     *
     * @throws NotAllowed where a cell is not on it
     */
    static TouchGrid answeredBut(Screen screen, List<Cell> silent) {
        TouchGrid grid = of(screen);
        Arrays.fill(grid.answered, true);
        for (Cell cell : silent) {
            Allowed.between("column", cell.column(), 0, grid.columns - 1, "");
            Allowed.between("row", cell.row(), 0, grid.rows - 1, "");
            grid.answered[cell.row() * grid.columns + cell.column()] = false;
        }
        return grid;
    }

    private void take(Stroke stroke) {
        Sample before = null;
        for (Sample sample : stroke.samples()) {
            take(sample.xPx(), sample.yPx());
            if (before != null && screen.mm(before.apartPx(sample)) <= JOINED_MM) {
                take((before.xPx() + sample.xPx()) / 2, (before.yPx() + sample.yPx()) / 2);
            }
            before = sample;
        }
    }

    private void take(double x, double y) {
        int column = (int) Math.floor(x / screen.widthPx() * columns);
        int row = (int) Math.floor(y / screen.heightPx() * rows);
        if (column >= 0 && column < columns && row >= 0 && row < rows) {
            answered[row * columns + column] = true;
        }
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    public int cells() {
        return answered.length;
    }

    public List<Cell> silent() {
        List<Cell> silent = new ArrayList<>();
        for (int i = 0; i < answered.length; i++) {
            if (!answered[i]) {
                silent.add(new Cell(i % columns, i / columns));
            }
        }
        return silent;
    }

    /** Silent cells that touch each other, the largest patch first. */
    public List<List<Cell>> patches() {
        boolean[] seen = answered.clone();
        List<List<Cell>> patches = new ArrayList<>();
        for (int i = 0; i < seen.length; i++) {
            if (!seen[i]) {
                patches.add(patch(seen, i));
            }
        }
        patches.sort((one, other) -> other.size() - one.size());
        return patches;
    }

    private List<Cell> patch(boolean[] seen, int from) {
        List<Cell> patch = new ArrayList<>();
        Deque<Integer> next = new ArrayDeque<>(List.of(from));
        seen[from] = true;
        while (!next.isEmpty()) {
            int i = next.remove();
            int column = i % columns;
            int row = i / columns;
            patch.add(new Cell(column, row));
            for (int y = Math.max(0, row - 1); y <= Math.min(rows - 1, row + 1); y++) {
                for (int x = Math.max(0, column - 1); x <= Math.min(columns - 1, column + 1); x++) {
                    if (!seen[y * columns + x]) {
                        seen[y * columns + x] = true;
                        next.add(y * columns + x);
                    }
                }
            }
        }
        return patch;
    }
}
