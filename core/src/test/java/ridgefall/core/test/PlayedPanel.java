package ridgefall.core.test;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;

/**
 * A panel with one fault, and a hand that does on it what it is asked for. Screens of 30 to 280 mm, 60 to 240 answers a second, grain of
 * 0.02 to 0.06 mm, lines bent by up to 3 mm, slow ones at 25 to 60 mm/s and others 1.7 to 2.5 times as fast.
 */
final class PlayedPanel {
    /** Faults, each drawn from its range. */
    enum Fault {
        HEALTHY,
        /** A row or a column of cells. */
        DEAD_ROW,
        /** A patch of two to twelve cells. */
        DEAD_ZONE,
        /** Two to six touches in ten seconds. */
        GHOST,
        /** 5 to 20 mm aside for a few answers, once to three times. */
        JUMP,
        /** 0.3 to 0.8 mm every 3 to 12 mm. */
        WAVE,
        /** 0.16 to 0.24 mm every 3 to 12 mm: nobody can say. */
        FAINT_WAVE,
        /** 8 to 11 Hz, 0.35 to 0.6 mm. */
        TREMOR,
        /** Near its edges 3 to 6 mm aside; from 13 mm on inside straight. On a watch there is no inside. */
        PULLED,
        /** 20 to 33 answers a second. */
        SLOW
    }

    private static final Screen[] SCREENS = {
        new Screen(1668, 2388, 10.39),
        new Screen(1200, 1920, 8.9),
        new Screen(2048, 2732, 10.4),
        new Screen(396, 484, 13.1)
    };

    final Screen screen;
    private final Random random;
    private final Fault fault;
    private final double hertz;
    private final double grainMm;
    private final double waveMm;
    private final double periodMm;
    private final double shakesHz;
    private final double[] dead;
    private int jumps;
    private int contact;
    private double ms;

    PlayedPanel(Fault fault, int seed) {
        this.random = new Random(31L * seed + fault.ordinal());
        this.fault = fault;
        screen = SCREENS[random.nextInt(SCREENS.length)];
        hertz = fault == Fault.SLOW ? between(20, 33) : between(60, 240);
        grainMm = between(0.02, 0.06);
        waveMm = switch (fault) {
            case WAVE -> between(0.3, 0.8);
            case FAINT_WAVE -> between(0.16, 0.24);
            case TREMOR -> between(0.35, 0.6);
            case PULLED -> between(3, 6);
            default -> 0;
        };
        periodMm = between(3, 12);
        shakesHz = between(8, 11);
        dead = fault == Fault.DEAD_ROW ? row() : fault == Fault.DEAD_ZONE ? zone() : null;
        jumps = fault == Fault.JUMP ? 1 + random.nextInt(3) : 0;
    }

    private double between(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    private double cellPx() {
        return TouchGrid.CELL_MM * screen.pxPerMm();
    }

    /** As wide as a cell, right across: whole cells, wherever they lie. */
    private double[] row() {
        TouchGrid grid = TouchGrid.of(new TouchTrace(screen, List.of()));
        if (random.nextBoolean()) {
            double high = screen.heightPx() / grid.rows();
            int at = random.nextInt(grid.rows());
            return new double[] {0, at * high, screen.widthPx(), (at + 1) * high};
        }
        double wide = screen.widthPx() / grid.columns();
        int at = random.nextInt(grid.columns());
        return new double[] {at * wide, 0, (at + 1) * wide, screen.heightPx()};
    }

    private double[] zone() {
        TouchGrid grid = TouchGrid.of(new TouchTrace(screen, List.of()));
        double wide = screen.widthPx() / grid.columns();
        double high = screen.heightPx() / grid.rows();
        int columns = 1 + random.nextInt(Math.min(4, grid.columns()));
        int rows = columns == 1 ? 2 : 1 + random.nextInt(Math.min(3, grid.rows()));
        int x = random.nextInt(grid.columns() - columns + 1);
        int y = random.nextInt(grid.rows() - rows + 1);
        return new double[] {x * wide, y * high, (x + columns) * wide, (y + rows) * high};
    }

    Map<Task, TouchTrace> proof() {
        Map<Task, TouchTrace> traces = new EnumMap<>(Task.class);
        double mmPerS = between(25, 60);
        traces.put(Task.SWEEP, sweep());
        traces.put(Task.LINES_SLOW, lines(mmPerS));
        traces.put(Task.LINES_FAST, lines(mmPerS * between(1.7, 2.5)));
        traces.put(Task.WATCH, watch());
        return traces;
    }

    private TouchTrace sweep() {
        List<Sample> all = new ArrayList<>();
        double mmPerS = between(60, Math.min(200, hertz * 2));
        double step = 0.8 * cellPx();
        for (double x = step / 2; x < screen.widthPx() + step / 2; x += step) {
            double at = Math.min(x, screen.widthPx() - 4);
            draw(all, at, 4, at, screen.heightPx() - 4, mmPerS, 0.6);
        }
        return new TouchTrace(screen, all);
    }

    private TouchTrace lines(double mmPerS) {
        List<Sample> all = new ArrayList<>();
        double in = 5 * screen.pxPerMm();
        draw(all, in, in, screen.widthPx() - in, screen.heightPx() - in, mmPerS, 3);
        draw(all, screen.widthPx() - in, in, in, screen.heightPx() - in, mmPerS, 3);
        return new TouchTrace(screen, all);
    }

    private TouchTrace watch() {
        List<Sample> all = new ArrayList<>();
        for (int i = fault == Fault.GHOST ? 2 + random.nextInt(5) : 0; i > 0; i--) {
            contact++;
            double x = between(0, screen.widthPx());
            double y = between(0, screen.heightPx());
            double at = between(0, 9_900);
            for (int k = 0; k <= random.nextInt(5); k++) {
                all.add(new Sample(at + k * 1000 / hertz, x, y, contact));
            }
        }
        return new TouchTrace(screen, all);
    }

    private void draw(List<Sample> all, double x0, double y0, double x1, double y1, double mmPerS, double mostBentMm) {
        contact++;
        double lengthPx = Math.hypot(x1 - x0, y1 - y0);
        double lengthMm = lengthPx / screen.pxPerMm();
        double bent = between(-mostBentMm, mostBentMm) * Math.min(1, lengthMm / 200);
        double begins = between(0, 2 * Math.PI);
        int n = (int) Math.max(TouchLine.LEAST_SAMPLES, lengthMm / mmPerS * hertz);
        int leapsAt = jumps > 0 && random.nextInt(4) == 0 ? n / 4 + random.nextInt(n / 2) : -1;
        double leapsMm = between(5, 20);
        boolean lost = false;
        for (int i = 0; i <= n; i++) {
            double share = i / (double) n;
            double s = share * lengthMm;
            double aside = 4 * bent * share * (1 - share) + grainMm * random.nextGaussian();
            if (fault == Fault.WAVE || fault == Fault.FAINT_WAVE) {
                aside += waveMm * Math.sin(2 * Math.PI * s / periodMm + begins);
            } else if (fault == Fault.TREMOR) {
                aside += waveMm * Math.sin(2 * Math.PI * shakesHz * i / hertz + begins);
            }
            if (fault == Fault.PULLED && mostBentMm > 1) {
                double edgeMm = edgeMm(x0 + share * (x1 - x0), y0 + share * (y1 - y0));
                aside += waveMm * Math.max(0, Math.min(1, (13 - edgeMm) / 8));
            }
            if (leapsAt >= 0 && i >= leapsAt && i < leapsAt + 4) {
                aside += leapsMm;
                jumps = Math.max(0, jumps - (i == leapsAt ? 1 : 0));
            }
            double along = s + grainMm * random.nextGaussian();
            double px = screen.pxPerMm();
            double x = x0 + ((x1 - x0) * along / lengthMm) - (y1 - y0) / lengthPx * aside * px;
            double y = y0 + ((y1 - y0) * along / lengthMm) + (x1 - x0) / lengthPx * aside * px;
            ms += 1000 / hertz;
            if (dead != null && x >= dead[0] && x < dead[2] && y >= dead[1] && y < dead[3]) {
                lost = true;
                continue;
            }
            // A finger that comes out of nothing has come down anew.
            contact += lost ? 1 : 0;
            lost = false;
            all.add(new Sample(ms, x, y, contact));
        }
        ms += 400;
    }

    private double edgeMm(double x, double y) {
        return screen.mm(Math.min(Math.min(x, screen.widthPx() - x), Math.min(y, screen.heightPx() - y)));
    }

    /** Whether its fault has shown: a leap that never came about is none. */
    boolean played() {
        return (jumps == 0 || fault != Fault.JUMP) && (fault != Fault.PULLED || screen.mm(screen.widthPx()) > 100);
    }
}
