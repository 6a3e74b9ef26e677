package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * A device as a solid body: slices along the edge, strips from the outline inwards, cells through the depth. Another model than the
 * ring's, for trying plans on; it shares with it what a device is made of and nothing of how that is solved. Where the ring has
 * one centre and a fin, here the panel has an edge, the frame a back plate that conducts, the battery a place. Slices keep their
 * width inwards, as along a straight side; towards a corner they end where the next side's begin, and are neighbours there. The first
 * slice begins in the middle of a longer side.
 *
 * <p>Each step goes through the depth, across and along in turn (locally one-dimensional): implicit but along the edge, which is
 * taken in as many small steps as it needs. Temperatures are K above the room.
 */
final class SolidDevice {
    private static final double STILL_W_PER_M2K = 9;
    private static final int BORDER_STRIPS = 3;
    /** Boundaries of strips inboard of the ledge, mm. */
    private static final double[] INBOARD_MM = {1.5, 3.5, 6, 9, 13, 18, 24, 30, 38, 50, 70};

    private static final int GLASS = 4;
    private static final int BOND = 3;
    private static final int LEDGE = 2;
    private static final int OPTICAL = 2;
    private static final int DISPLAY = 5;
    private static final int BATTERY = 8;
    /** The first strips of the battery, where it is warmest. */
    private static final double BATTERY_STRIP_MM = 4.1;
    /** Half the shorter side of a rectangle as a tablet's, of twice its area over its perimeter. */
    private static final double DEEP = 0.833;
    /** Of what ties frame and back plate; the rest is the way round the corner. */
    private static final double TIED = 0.88;

    final int slices;
    final double sliceM;
    final double[] stripMm;
    private final HeatStack stack;
    private final double dtS;
    private final int border;
    private final int batteryFrom;
    private final int batteryTo;
    /** How many strips a slice has from the outline inwards: towards a corner it ends where the next side's begin. */
    private final int[] reaches;

    private final double backJPerM2K;
    private final double backWPerK;
    private final double[] stripM;
    /** Area of a strip in a slice, m². */
    private final double[] areaM2;
    /** All cells of a strip by depth, outermost first: front, battery where there is one. */
    private final double[][][] front;

    private final double[][][] battery;
    private final double[][] back;
    private final double[] frame;
    private final double frameJPerK;
    private final List<Line> depths = new ArrayList<>();
    private final List<Line> across = new ArrayList<>();
    /** The border, its last cells side by side on the ledge. */
    private final List<Column> columns = new ArrayList<>();

    private final double[] ledgeWPerK;
    /** How much of the ledge's own conduction goes on beside its last cell, slowly enough to be taken step by step. */
    private final double upperShare;

    private Line backPlate;
    private final List<Along> along = new ArrayList<>();
    private final double glassHalf;

    /**
     * What the front faces: W/(m²·K) and K above the room, by slice and strip; and the outer side of the frame, by slice.
     */
    record Facing(double[][] wPerM2K, double[][] riseK, double[] sideWPerM2K, double sideRiseK) {}

    SolidDevice(HeatStack stack, int slices, double dtS) {
        this.stack = stack;
        this.slices = slices;
        this.dtS = dtS;
        this.sliceM = stack.perimeterM() / slices;
        double ledgeMm = stack.ledgeWidthMm();
        double deepMm = DEEP * 2 * stack.areaMm2() / stack.perimeterMm();
        // Per mm inwards each of the four sides loses so much at either end; a square-cornered one 1.
        double lostAtEndsMm = (stack.perimeterMm() * deepMm - stack.areaMm2()) / (4 * deepMm * deepMm);
        double batteryAtMm = ledgeMm + (1 - Math.sqrt(stack.batteryShare())) * (deepMm - ledgeMm);
        TreeSet<Double> bounds = new TreeSet<>(List.of(0.0));
        for (int i = 1; i <= BORDER_STRIPS; i++) {
            bounds.add(ledgeMm * i / BORDER_STRIPS);
        }
        for (double mm : INBOARD_MM) {
            if (ledgeMm + mm < deepMm - 1
                    && (ledgeMm + mm < batteryAtMm - 1.5 || ledgeMm + mm > batteryAtMm + 2.5 * BATTERY_STRIP_MM)) {
                bounds.add(ledgeMm + mm);
            }
        }
        bounds.add(batteryAtMm);
        for (int i = 1; i <= 2; i++) {
            if (batteryAtMm + i * BATTERY_STRIP_MM < deepMm - 1) {
                bounds.add(batteryAtMm + i * BATTERY_STRIP_MM);
            }
        }
        bounds.add(deepMm);
        double[] at = bounds.stream().mapToDouble(Double::doubleValue).toArray();
        int strips = at.length - 1;
        stripM = new double[strips];
        stripMm = new double[strips];
        areaM2 = new double[strips];
        int first = 0;
        int border = 0;
        for (int j = 0; j < strips; j++) {
            stripMm[j] = (at[j] + at[j + 1]) / 2;
            stripM[j] = (at[j + 1] - at[j]) / 1e3;
            areaM2[j] = sliceM * stripM[j];
            border += stripMm[j] < ledgeMm ? 1 : 0;
            first += stripMm[j] < batteryAtMm ? 1 : 0;
        }
        this.border = border;
        this.batteryFrom = Math.min(first, strips - 1);
        reaches = reaches(deepMm, lostAtEndsMm);
        double battery = stack.batteryShare() * stack.centreAreaM2();
        int to = batteryFrom;
        double filled = 0;
        while (to < strips && filled < battery) {
            filled += areaM2[to] * reaching(to);
            to++;
        }
        this.batteryTo = to;
        front = new double[strips][][];
        this.battery = new double[strips][][];
        back = new double[strips][slices];
        frame = new double[slices];
        glassHalf = stack.glass().thicknessM() / GLASS / 2 / stack.glass().conductivityWPerMK();
        double bodyJPerK = stack.bodyKg() * stack.bodyJPerKgK();
        Sheet ledge = stack.ledge();
        double wholeM2 = stack.areaMm2() / 1e6;
        double borderM2 = stack.borderAreaM2();
        double rim = Math.max(
                0.05 * bodyJPerK,
                stack.rimShare() * bodyJPerK - ledge.heatCapacityJPerM3K() * ledge.thicknessM() * borderM2);
        frameJPerK = rim / slices;
        backJPerM2K = (1 - stack.rimShare()) * bodyJPerK / wholeM2;
        backWPerK = ledge.conductivityWPerMK() * backJPerM2K / ledge.heatCapacityJPerM3K();
        for (int j = 0; j < strips; j++) {
            depth(j);
        }
        // From the frame inwards: half a strip, then from middle to middle. Through metal it makes no difference how
        // deep.
        upperShare = HeatedDevice.plasticBezel(stack) ? 1.0 / LEDGE : 0;
        ledgeWPerK = new double[border];
        for (int j = 0; j < border; j++) {
            double apart = j == 0 ? stripM[0] / 2 : (stripM[j - 1] + stripM[j]) / 2;
            ledgeWPerK[j] = (1 - upperShare) * ledge.conductivityWPerMK() * ledge.thicknessM() * sliceM / apart;
        }
        double frameSectionM2 = frameJPerK / sliceM / ledge.heatCapacityJPerM3K();
        along.add(new Along(frame, 0, frameJPerK, ledge.conductivityWPerMK() * frameSectionM2 / sliceM));
        acrossAndAlong();
    }

    private int[] reaches(double deepMm, double lostAtEndsMm) {
        double shorterMm = 2 * lostAtEndsMm * deepMm;
        double longerMm = stack.perimeterMm() / 2 - shorterMm;
        int[] reaches = new int[slices];
        for (int i = 0; i < slices; i++) {
            // From the middle of a longer side, round to the next like one.
            double fromMm = (i + 0.5) * sliceM * 1e3 % (stack.perimeterMm() / 2);
            double cornerMm = Math.min(Math.abs(fromMm - longerMm / 2), Math.abs(fromMm - longerMm / 2 - shorterMm));
            for (int j = 0; j < stripMm.length; j++) {
                reaches[i] += j < border || cornerMm > lostAtEndsMm * stripMm[j] ? 1 : 0;
            }
        }
        return reaches;
    }

    private int reaching(int strip) {
        return (int) Arrays.stream(reaches).filter(strips -> strips > strip).count();
    }

    private record Layer(Sheet sheet, int cells) {
        double half() {
            return sheet.thicknessM() / cells / 2 / sheet.conductivityWPerMK();
        }

        double jPerM2K() {
            return sheet.heatCapacityJPerM3K() * sheet.thicknessM() / cells;
        }

        double wPerK() {
            return sheet.conductivityWPerMK() * sheet.thicknessM() / cells;
        }
    }

    private List<Layer> layers(int strip) {
        Layer glass = new Layer(stack.glass(), GLASS);
        if (strip < border) {
            return List.of(glass, new Layer(stack.adhesive(), BOND), new Layer(stack.ledge(), LEDGE));
        }
        Layer display = new Layer(stack.display(), DISPLAY);
        return stack.fused()
                ? List.of(glass, new Layer(stack.opticalAdhesive(), OPTICAL), display)
                : List.of(glass, display);
    }

    private static double gap(double mm) {
        return 1 / (0.027 / (mm / 1e3) + 5);
    }

    /** One strip through its depth. */
    private void depth(int j) {
        List<double[]> cells = new ArrayList<>();
        List<Double> jPerK = new ArrayList<>();
        List<Double> links = new ArrayList<>();
        double before = 0;
        Layer last = null;
        for (Layer layer : layers(j)) {
            for (int k = 0; k < layer.cells(); k++) {
                if (!cells.isEmpty()) {
                    boolean gap = k == 0 && !stack.fused() && j >= border;
                    links.add(areaM2[j] / (before + (gap ? gap(stack.frontGapMm()) : 0) + layer.half()));
                }
                cells.add(new double[slices]);
                jPerK.add(layer.jPerM2K() * areaM2[j]);
                before = layer.half();
                last = layer;
            }
        }
        front[j] = cells.toArray(double[][]::new);
        if (j >= batteryFrom && j < batteryTo) {
            Layer cell = new Layer(stack.battery(), BATTERY);
            double m2 = areaM2[j];
            battery[j] = new double[BATTERY][slices];
            for (int k = 0; k < BATTERY; k++) {
                links.add(m2 / ((k == 0 ? last.half() + gap(stack.gapMm()) : cell.half()) + cell.half()));
                cells.add(battery[j][k]);
                jPerK.add(cell.jPerM2K() * m2);
            }
            links.add(m2 / (cell.half() + 1 / stack.batteryToBackWPerM2K()));
        } else if (j >= border) {
            links.add(areaM2[j] / (last.half() + 1 / stack.displayToBackWPerM2K()));
        }
        if (j < border) {
            columns.add(new Column(jPerK, links, j));
            depths.add(new Line(List.of(back[j]), List.of(backJPerM2K * areaM2[j]), List.of(), j, false)
                    .losing(STILL_W_PER_M2K * areaM2[j]));
            return;
        }
        cells.add(back[j]);
        jPerK.add(backJPerM2K * areaM2[j]);
        depths.add(new Line(cells, jPerK, links, j, true).losing(STILL_W_PER_M2K * areaM2[j]));
    }

    private void acrossAndAlong() {
        int strips = stripM.length;
        // Layers by their number from the top: glass goes on over all strips, what is beneath it ends at the ledge.
        for (int[] span : new int[][] {{0, border}, {border, strips}}) {
            int cell = 0;
            for (Layer layer : layers(span[0])) {
                for (int k = 0; k < layer.cells(); k++, cell++) {
                    boolean glass = cell < GLASS;
                    if (glass && span[0] > 0) {
                        continue;
                    }
                    lineAcross(cell, layer, glass ? 0 : span[0], glass ? strips : span[1]);
                }
            }
        }
        Layer cell = new Layer(stack.battery(), BATTERY);
        for (int k = 0; k < BATTERY; k++) {
            List<double[]> cells = new ArrayList<>();
            List<Double> jPerK = new ArrayList<>();
            List<Double> links = new ArrayList<>();
            for (int j = batteryFrom; j < batteryTo; j++) {
                if (j > batteryFrom) {
                    links.add(between(cell.wPerK(), j - 1));
                }
                cells.add(battery[j][k]);
                jPerK.add(cell.jPerM2K() * areaM2[j]);
                along.add(new Along(battery[j][k], j, jPerK.get(jPerK.size() - 1), cell.wPerK() * stripM[j] / sliceM));
            }
            across.add(new Line(cells, jPerK, links, batteryFrom, false));
        }
        List<double[]> cells = new ArrayList<>();
        List<Double> jPerK = new ArrayList<>();
        List<Double> links = new ArrayList<>();
        for (int j = 0; j < strips; j++) {
            if (j > 0) {
                links.add(between(backWPerK, j - 1));
            }
            cells.add(back[j]);
            jPerK.add(backJPerM2K * areaM2[j]);
            along.add(new Along(back[j], j, backJPerM2K * areaM2[j], backWPerK * stripM[j] / sliceM));
        }
        backPlate = new Line(cells, jPerK, links, 0, false).tied(TIED * stack.rimToBackWPerMK() * sliceM);
    }

    private void lineAcross(int cell, Layer layer, int from, int to) {
        List<double[]> cells = new ArrayList<>();
        List<Double> jPerK = new ArrayList<>();
        List<Double> links = new ArrayList<>();
        for (int j = from; j < to; j++) {
            if (j > from) {
                links.add(between(layer.wPerK(), j - 1));
            }
            cells.add(front[j][cell]);
            jPerK.add(layer.jPerM2K() * areaM2[j]);
            along.add(new Along(front[j][cell], j, layer.jPerM2K() * areaM2[j], layer.wPerK() * stripM[j] / sliceM));
        }
        boolean ledge = from == 0 && cell >= GLASS + BOND;
        if (!ledge) {
            across.add(new Line(cells, jPerK, links, from, false));
        }
    }

    private double between(double wPerK, int j) {
        return wPerK * sliceM / ((stripM[j] + stripM[j + 1]) / 2);
    }

    /**
     * Cells in a row; eliminated from the far end to the first. Through the depth all slices have them all; across, a slice has
     * those that it reaches.
     */
    private final class Line {
        private final double[][] cells;
        private final double[] perS;
        private final double[] links;
        /** By how many cells there are. */
        private final double[][] pivot;

        private final double[][] onward;

        private final int strip;
        private final boolean faces;
        private double tieWPerK;

        /** @param strip the strip it goes down in, or the first it goes across */
        Line(List<double[]> cells, List<Double> jPerK, List<Double> links, int strip, boolean faces) {
            this.cells = cells.toArray(double[][]::new);
            this.perS = jPerK.stream().mapToDouble(c -> c / dtS).toArray();
            this.links = links.stream().mapToDouble(Double::doubleValue).toArray();
            this.strip = strip;
            this.faces = faces;
            this.pivot = new double[this.cells.length + 1][this.cells.length];
            this.onward = new double[this.cells.length + 1][this.cells.length];
            factor(0);
        }

        Line losing(double wPerK) {
            factor(wPerK);
            return this;
        }

        Line tied(double wPerK) {
            tieWPerK = wPerK;
            factor(0);
            return this;
        }

        private void factor(double lossWPerK) {
            for (int n = 1; n <= cells.length; n++) {
                for (int k = n - 1; k >= 0; k--) {
                    pivot[n][k] = perS[k]
                            + (k > 0 ? links[k - 1] : tieWPerK)
                            + (k < n - 1 ? links[k] - links[k] * links[k] / pivot[n][k + 1] : lossWPerK);
                    onward[n][k] = k < n - 1 ? links[k] / pivot[n][k + 1] : 0;
                }
            }
        }

        /** What a slice's first cells hold, carried on to the first. */
        private double carried(double[] held, int n, int i) {
            for (int k = n - 1; k >= 0; k--) {
                held[k] = perS[k] * cells[k][i] + (k < n - 1 ? onward[n][k] * held[k + 1] : 0);
            }
            return held[0];
        }

        private void back(double[] held, int n, int i, double first) {
            cells[0][i] = first;
            for (int k = 1; k < n; k++) {
                cells[k][i] = (held[k] + links[k - 1] * cells[k - 1][i]) / pivot[n][k];
            }
        }

        void down(Facing facing) {
            double[] held = new double[cells.length];
            int n = cells.length;
            for (int i = 0; i < slices; i++) {
                if (reaches[i] <= strip) {
                    continue;
                }
                double right = carried(held, n, i);
                double diagonal = pivot[n][0];
                if (faces) {
                    double w = areaM2[strip] / (1 / facing.wPerM2K[i][strip] + glassHalf);
                    right += w * facing.riseK[i][strip];
                    diagonal += w;
                }
                back(held, n, i, right / diagonal);
            }
        }

        void across() {
            double[] held = new double[cells.length];
            for (int i = 0; i < slices; i++) {
                int n = Math.min(reaches[i] - strip, cells.length);
                if (n > 0) {
                    back(held, n, i, carried(held, n, i) / pivot[n][0]);
                }
            }
        }
    }

    /** Cells of a kind along the edge, round and round: of the slices that reach so far in. */
    private final class Along {
        private final double[] cells;
        private final int[] round;
        private final double share;
        private final int times;
        private final double[] next;

        Along(double[] cells, int strip, double jPerK, double wPerK) {
            this.cells = cells;
            this.round =
                    IntStream.range(0, slices).filter(i -> reaches[i] > strip).toArray();
            double whole = wPerK * dtS / jPerK;
            this.times = (int) Math.max(1, Math.ceil(whole / 0.4));
            this.share = whole / times;
            this.next = new double[slices];
        }

        void step() {
            int n = round.length;
            for (int time = 0; time < times; time++) {
                for (int k = 0; k < n; k++) {
                    double here = cells[round[k]];
                    double before = cells[round[k == 0 ? n - 1 : k - 1]];
                    double after = cells[round[k == n - 1 ? 0 : k + 1]];
                    next[round[k]] = here + share * (before + after - 2 * here);
                }
                for (int i : round) {
                    cells[i] = next[i];
                }
            }
        }
    }

    /** What the back plate conducts over the middle line, from one longer side's slices to the other's. */
    private void overTheMiddle() {
        int last = stripM.length - 1;
        double perS = backWPerK / stripM[last] / (backJPerM2K * stripM[last]);
        double share = (1 - Math.exp(-2 * perS * dtS)) / 2;
        double[] middle = back[last];
        for (int i = 0; i < slices; i++) {
            int opposite = Math.floorMod(slices / 2 - (1 - slices % 2) - i, slices);
            if (opposite > i && reaches[i] > last && reaches[opposite] > last) {
                double passed = share * (middle[i] - middle[opposite]);
                middle[i] -= passed;
                middle[opposite] += passed;
            }
        }
    }

    /** One step on. */
    void step(Facing facing) {
        depths.forEach(line -> line.down(facing));
        across.forEach(Line::across);
        solveFrame(facing);
        along.forEach(Along::step);
        overTheMiddle();
    }

    /**
     * A column of the border with what it faces, down to its last cell on the ledge. Metal ties that to the frame far more
     * closely than a step is short: border, ledge and frame are solved as one.
     */
    private final class Column {
        private final int strip;
        private final double[] perS;
        private final double[] links;
        private final double[] pivot;
        private final double[] held;

        Column(List<Double> jPerK, List<Double> links, int strip) {
            this.strip = strip;
            this.perS = jPerK.stream().mapToDouble(c -> c / dtS).toArray();
            this.links = links.stream().mapToDouble(Double::doubleValue).toArray();
            this.pivot = new double[perS.length];
            this.held = new double[perS.length];
        }

        int last() {
            return perS.length - 1;
        }

        /** From the face down to the last, which is left to be solved. */
        void eliminate(Facing facing, int i) {
            double faces = areaM2[strip] / (1 / facing.wPerM2K[i][strip] + glassHalf);
            for (int k = 0; k <= last(); k++) {
                pivot[k] = perS[k]
                        + (k == 0 ? faces : links[k - 1] - links[k - 1] * links[k - 1] / pivot[k - 1])
                        + (k < last() ? links[k] : 0);
                held[k] = perS[k] * front[strip][k][i]
                        + (k == 0 ? faces * facing.riseK[i][strip] : links[k - 1] / pivot[k - 1] * held[k - 1]);
            }
        }

        void back(int i, double lastK) {
            front[strip][last()][i] = lastK;
            for (int k = last() - 1; k >= 0; k--) {
                front[strip][k][i] = (held[k] + links[k] * front[strip][k + 1][i]) / pivot[k];
            }
        }
    }

    private void solveFrame(Facing facing) {
        double side = sliceM * stack.thicknessMm() / 1e3;
        double[] plate = new double[stripM.length];
        double[] pivots = new double[border];
        double[] rights = new double[border];
        for (int i = 0; i < slices; i++) {
            throughTheUpperLedge(i);
            double blown = side * facing.sideWPerM2K[i];
            double diagonal = frameJPerK / dtS + side * STILL_W_PER_M2K + blown;
            double right = frameJPerK / dtS * frame[i] + blown * facing.sideRiseK;
            double tie = backPlate.tieWPerK;
            int n = reaches[i];
            diagonal += tie - tie * tie / backPlate.pivot[n][0];
            right += tie / backPlate.pivot[n][0] * backPlate.carried(plate, n, i);
            // Along the ledge from its inner end to the frame.
            for (int j = border - 1; j >= 0; j--) {
                Column column = columns.get(j);
                column.eliminate(facing, i);
                pivots[j] = column.pivot[column.last()] + ledgeWPerK[j];
                rights[j] = column.held[column.last()];
                if (j < border - 1) {
                    pivots[j] += ledgeWPerK[j + 1] - ledgeWPerK[j + 1] * ledgeWPerK[j + 1] / pivots[j + 1];
                    rights[j] += ledgeWPerK[j + 1] / pivots[j + 1] * rights[j + 1];
                }
            }
            diagonal += ledgeWPerK[0] - ledgeWPerK[0] * ledgeWPerK[0] / pivots[0];
            right += ledgeWPerK[0] / pivots[0] * rights[0];
            frame[i] = right / diagonal;
            backPlate.back(plate, n, i, (plate[0] + tie * frame[i]) / backPlate.pivot[n][0]);
            double before = frame[i];
            for (int j = 0; j < border; j++) {
                before = (rights[j] + ledgeWPerK[j] * before) / pivots[j];
                columns.get(j).back(i, before);
            }
        }
    }

    private void throughTheUpperLedge(int i) {
        int cell = GLASS + BOND;
        double before = frame[i];
        double perS = frameJPerK / dtS;
        for (int j = 0; j < border; j++) {
            double here = front[j][cell][i];
            double passed = upperShare / (1 - upperShare) * ledgeWPerK[j] * (before - here);
            if (j == 0) {
                frame[i] -= passed / perS;
            } else {
                front[j - 1][cell][i] -= passed / perS;
            }
            perS = columns.get(j).perS[cell];
            front[j][cell][i] += passed / perS;
            before = here;
        }
    }

    int strips() {
        return stripM.length;
    }

    /** Middle of the bond in a slice, over the width of the ledge. */
    double bond(int i) {
        double sum = 0;
        for (int j = 0; j < border; j++) {
            sum += front[j][GLASS + BOND / 2][i];
        }
        return sum / border;
    }

    double glassFace(int i) {
        double hottest = 0;
        for (double[][] strip : front) {
            hottest = Math.max(hottest, strip[0][i]);
        }
        return hottest;
    }

    /** The hottest of the panel in a slice. */
    double panel(int i) {
        double hottest = 0;
        for (int j = border; j < front.length; j++) {
            int from = GLASS + (stack.fused() ? OPTICAL : 0);
            for (int k = from; k < from + DISPLAY; k++) {
                hottest = Math.max(hottest, front[j][k][i]);
            }
        }
        return hottest;
    }

    /** Of the panel, what lies no further in than so much from the outline: the edge that hot air endangers. */
    double panelWithin(double mm, int i) {
        int from = GLASS + (stack.fused() ? OPTICAL : 0);
        double hottest = 0;
        for (int k = from; k < from + DISPLAY; k++) {
            hottest = Math.max(hottest, hottestWithin(mm, border, k, i));
        }
        return hottest;
    }

    /** The same of the glass's face. */
    double glassFaceWithin(double mm, int i) {
        return hottestWithin(mm, 0, 0, i);
    }

    private double hottestWithin(double mm, int firstStrip, int cell, int i) {
        double hottest = 0;
        for (int j = firstStrip; j < front.length && stripMm[j] <= mm; j++) {
            double here = front[j][cell][i];
            double share = (mm - stripMm[j]) / (stripMm[j + 1] - stripMm[j]);
            double there = here + Math.min(1, share) * (front[j + 1][cell][i] - here);
            hottest = Math.max(hottest, Math.max(here, there));
        }
        return hottest;
    }

    double frame(int i) {
        return frame[i];
    }

    /** The hottest of the battery in a slice. */
    double battery(int i) {
        double hottest = 0;
        for (int j = batteryFrom; j < batteryTo; j++) {
            for (double[] cell : battery[j]) {
                hottest = Math.max(hottest, cell[i]);
            }
        }
        return hottest;
    }
}
