package ridgefall.core.heat;

import java.util.Arrays;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * The heat of a device resolved round its edge: a ring of border columns (glass, bond line, ledge, frame), joined to
 * each other along the frame and each to one centre column (glass, display, gap, battery, back), to which the glass
 * ties them as a fin. With every piece alike it is the two-column model of the reference case.
 *
 * <p>Temperatures are K above the room, so everything scales with the source. Steps are those of the L-stable
 * two-stage diagonally implicit method of second order (Alexander 1977, γ = 1 − 1/√2): no ringing after a sudden start, and
 * both stages share one matrix. Each stage eliminates the columns one by one (they only know their frame and the
 * centre's glass), then the ring of frames, then solves what is left for the centre: the cost grows with the number of
 * pieces, not with its cube. Columns are eliminated from the ledge out: an exposure changes the last pivot of each alone, so
 * that a moving nozzle needs no new factors.
 *
 * <p>State vectors hold the columns cell by cell, outermost first, each cell for all pieces ({@code cell * pieces +
 * piece}); then the frame in the same way; then the centre column with the back last.
 */
final class HeatRing {
    static final double AIR_W_PER_MK = 0.027;
    static final double RADIATION_W_PER_M2K = 5;

    private static final double GAMMA = 1 - 1 / Math.sqrt(2);
    private static final int GLASS = 4;
    private static final int BOND = 4;
    private static final int LEDGE = 3;
    private static final int COLUMN = GLASS + BOND + LEDGE;
    private static final int OPTICAL = 2;
    private static final int DISPLAY = 6;
    private static final int BATTERY = 8;

    /** The cells of a column that its surroundings are tied to: the glass, and the last of the ledge. */
    private static final int[] TIED = {0, 1, 2, 3, COLUMN - 1};

    private static final int TIES = TIED.length;

    private final HeatStack stack;
    private final int pieces;
    private final double[] faceM2;
    private final double[] lengthM;
    private final double[] finShare;
    private final double glassHalfM2KPerW;
    private final double[] columnJPerK;
    private final double[] columnWPerK;
    private final double[] rimJPerK;
    private final double[] ledgeToRimWPerK;
    private final double[] rimToBackWPerK;
    private final double[] rimLossWPerK;
    private final double[] alongWPerK;
    private final double centreM2;
    private final int centreCells;
    private final int displayFrom;
    private final int batteryFrom;
    private final double[] centreJPerK;
    private final double[][] centreWPerK;

    /**
     * @param lengthMm the pieces of the edge in their order, at least 3
     * @param ledgeMm width of the ledge under each piece
     */
    HeatRing(HeatStack stack, double[] lengthMm, double[] ledgeMm) {
        this(stack, lengthMm, ledgeMm, ones(lengthMm.length));
    }

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    HeatRing(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        if (lengthMm.length < 3 || lengthMm.length != ledgeMm.length) {
            throw new IllegalArgumentException(lengthMm.length + " lengths, " + ledgeMm.length + " ledges");
        }
        this.stack = stack;
        this.pieces = lengthMm.length;
        this.finShare = finShare;
        int n = pieces;
        faceM2 = new double[n];
        lengthM = new double[n];
        rimJPerK = new double[n];
        ledgeToRimWPerK = new double[n];
        rimToBackWPerK = new double[n];
        rimLossWPerK = new double[n];
        alongWPerK = new double[n];
        columnJPerK = new double[COLUMN * n];
        columnWPerK = new double[(COLUMN - 1) * n];
        Sheet glass = stack.glass();
        Sheet ledge = stack.ledge();
        glassHalfM2KPerW = halfCell(glass, GLASS);
        double perimeter = stack.perimeterM();
        double meanLedgeM2 = stack.ledgeWidthMm() / 1e3 * perimeter;
        double border = 0;
        for (int i = 0; i < n; i++) {
            lengthM[i] = lengthMm[i] / 1e3;
            faceM2[i] = stack.borderAreaM2() * ledgeMm[i] / 1e3 * lengthM[i] / meanLedgeM2;
            border += faceM2[i];
        }
        double bodyJPerK = stack.bodyKg() * stack.bodyJPerKgK();
        double ledgeJPerK = ledge.heatCapacityJPerM3K() * ledge.thicknessM() * border;
        // A light plastic body can have less to give to the frame than the ledge alone holds.
        double rim = Math.max(0.05 * bodyJPerK, stack.rimShare() * bodyJPerK - ledgeJPerK);
        double frameSectionM2 = (rim + ledgeJPerK) / perimeter / ledge.heatCapacityJPerM3K();
        for (int i = 0; i < n; i++) {
            column(i, glass, stack.adhesive(), ledge);
            double share = lengthM[i] / perimeter;
            rimJPerK[i] = rim * share;
            ledgeToRimWPerK[i] = ledge.conductivityWPerMK() * ledge.thicknessM() * lengthM[i] / (ledgeMm[i] / 1e3 / 2);
            rimToBackWPerK[i] = stack.rimToBackWPerMK() * lengthM[i];
            rimLossWPerK[i] = Exposure.STILL_AIR_W_PER_M2K * lengthM[i] * stack.thicknessMm() / 1e3;
            double apart = (lengthM[i] + lengthMm[(i + 1) % n] / 1e3) / 2;
            alongWPerK[i] = ledge.conductivityWPerMK() * frameSectionM2 / apart;
        }
        centreM2 = stack.areaM2() - border;
        displayFrom = GLASS + (stack.fused() ? OPTICAL : 0);
        batteryFrom = displayFrom + DISPLAY;
        centreCells = batteryFrom + BATTERY + 1;
        centreJPerK = new double[centreCells];
        centreWPerK = new double[centreCells][centreCells];
        centre(bodyJPerK);
    }

    private static double[] ones(int count) {
        double[] ones = new double[count];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** Pieces of equal length with the stack's own ledge everywhere. */
    static HeatRing uniform(HeatStack stack, int pieces) {
        double[] length = new double[pieces];
        Arrays.fill(length, stack.perimeterM() * 1e3 / pieces);
        double[] ledge = new double[pieces];
        Arrays.fill(ledge, stack.ledgeWidthMm());
        return new HeatRing(stack, length, ledge);
    }

    private void column(int i, Sheet... layers) {
        int[] counts = {GLASS, BOND, LEDGE};
        int cell = 0;
        double before = 0;
        for (int layer = 0; layer < layers.length; layer++) {
            double half = halfCell(layers[layer], counts[layer]);
            for (int k = 0; k < counts[layer]; k++, cell++) {
                columnJPerK[cell * pieces + i] = cellJPerK(layers[layer], counts[layer], faceM2[i]);
                if (cell > 0) {
                    columnWPerK[(cell - 1) * pieces + i] = faceM2[i] / (before + half);
                }
                before = half;
            }
        }
    }

    private void centre(double bodyJPerK) {
        double batteryM2 = stack.batteryShare() * centreM2;
        int back = centreCells - 1;
        cells(0, GLASS, stack.glass(), centreM2);
        double toDisplay = halfCell(stack.display(), DISPLAY);
        if (stack.fused()) {
            cells(GLASS, OPTICAL, stack.opticalAdhesive(), centreM2);
            double optical = halfCell(stack.opticalAdhesive(), OPTICAL);
            link(GLASS - 1, GLASS, centreM2 / (glassHalfM2KPerW + optical));
            link(displayFrom - 1, displayFrom, centreM2 / (optical + toDisplay));
        } else {
            link(GLASS - 1, GLASS, centreM2 / (glassHalfM2KPerW + airGap(stack.frontGapMm()) + toDisplay));
        }
        cells(displayFrom, DISPLAY, stack.display(), centreM2);
        cells(batteryFrom, BATTERY, stack.battery(), batteryM2);
        double battery = halfCell(stack.battery(), BATTERY);
        link(batteryFrom - 1, batteryFrom, batteryM2 / (toDisplay + airGap(stack.gapMm()) + battery));
        centreJPerK[back] = (1 - stack.rimShare()) * bodyJPerK;
        link(back - 1, back, batteryM2 / (battery + 1 / stack.batteryToBackWPerM2K()));
        link(batteryFrom - 1, back, stack.displayToBackWPerM2K() * (centreM2 - batteryM2));
        centreWPerK[back][back] += Exposure.STILL_AIR_W_PER_M2K * stack.areaM2() + sum(rimToBackWPerK);
    }

    private void cells(int from, int count, Sheet sheet, double areaM2) {
        for (int k = 0; k < count; k++) {
            centreJPerK[from + k] = cellJPerK(sheet, count, areaM2);
            if (k > 0) {
                link(from + k - 1, from + k, areaM2 * sheet.conductivityWPerMK() / (sheet.thicknessM() / count));
            }
        }
    }

    private void link(int a, int b, double wPerK) {
        centreWPerK[a][a] += wPerK;
        centreWPerK[b][b] += wPerK;
        centreWPerK[a][b] -= wPerK;
        centreWPerK[b][a] -= wPerK;
    }

    private static double cellJPerK(Sheet sheet, int count, double areaM2) {
        return sheet.heatCapacityJPerM3K() * sheet.thicknessM() / count * areaM2;
    }

    private static double halfCell(Sheet sheet, int count) {
        return sheet.thicknessM() / count / 2 / sheet.conductivityWPerMK();
    }

    private static double airGap(double gapMm) {
        return 1 / (AIR_W_PER_MK / (gapMm / 1e3) + RADIATION_W_PER_M2K);
    }

    private static double sum(double[] values) {
        return Arrays.stream(values).sum();
    }

    int pieces() {
        return pieces;
    }

    double lengthM(int piece) {
        return lengthM[piece];
    }

    double centreM2() {
        return centreM2;
    }

    /** Everything at room temperature. */
    double[] atRoom() {
        return new double[(COLUMN + 1) * pieces + centreCells];
    }

    /** Middle of the bond line, K above the room. */
    double bond(double[] state, int piece) {
        return (state[(GLASS + 1) * pieces + piece] + state[(GLASS + 2) * pieces + piece]) / 2;
    }

    /** The side of the bond line that lies on the glass. */
    double bondAtGlass(double[] state, int piece) {
        return state[GLASS * pieces + piece];
    }

    /** The outermost cell of the glass over the border. */
    double glass(double[] state, int piece) {
        return state[piece];
    }

    /** The ledge side of the bond line; the last of its cells. */
    double bondAtLedge(double[] state, int piece) {
        return state[(GLASS + BOND - 1) * pieces + piece];
    }

    double rim(double[] state, int piece) {
        return state[COLUMN * pieces + piece];
    }

    double back(double[] state) {
        return state[state.length - 1];
    }

    /** The hottest cell of the display. */
    double display(double[] state) {
        return hottest(state, displayFrom, DISPLAY);
    }

    /** The hottest cell of the battery. */
    double battery(double[] state) {
        return hottest(state, batteryFrom, BATTERY);
    }

    private double hottest(double[] state, int from, int count) {
        int first = (COLUMN + 1) * pieces + from;
        double hottest = state[first];
        for (int k = 1; k < count; k++) {
            hottest = Math.max(hottest, state[first + k]);
        }
        return hottest;
    }

    /** What the device holds above the room's temperature, J. */
    double storedJ(double[] state) {
        double stored = 0;
        for (int i = 0; i < columnJPerK.length; i++) {
            stored += columnJPerK[i] * state[i];
        }
        for (int i = 0; i < pieces; i++) {
            stored += rimJPerK[i] * state[COLUMN * pieces + i];
        }
        for (int i = 0; i < centreCells; i++) {
            stored += centreJPerK[i] * state[(COLUMN + 1) * pieces + i];
        }
        return stored;
    }

    /** What flows into the device from all that surrounds it, W; losses count below zero. */
    double inflowW(double[] state, Exposure exposure) {
        double inflow = 0;
        for (int i = 0; i < pieces; i++) {
            inflow += facing(exposure.borderWPerM2K()[i], faceM2[i]) * (exposure.borderRiseK()[i] - state[i]);
            inflow -= rimLossWPerK[i] * rim(state, i);
        }
        double centre = exposure.centreRiseK() - state[(COLUMN + 1) * pieces];
        return inflow
                + facing(exposure.centreWPerM2K(), centreM2) * centre
                - Exposure.STILL_AIR_W_PER_M2K * stack.areaM2() * back(state);
    }

    private double facing(double wPerM2K, double areaM2) {
        return areaM2 / (1 / wPerM2K + glassHalfM2KPerW);
    }

    /** Takes a look after every step; it must copy what it keeps. */
    interface Observer {
        void at(double seconds, double[] state);
    }

    /**
     * Runs on from a state, which is left untouched, and returns the last one. An exposure is held over its step.
     *
     * @param startS the time of {@code from}, as exposures and observer count it
     */
    double[] run(double[] from, double startS, Exposure.Over front, double stepS, int steps, Observer observer) {
        double[] now = from.clone();
        double[] first = new double[now.length];
        double[] ahead = new double[now.length];
        Stage stage = null;
        Exposure last = null;
        double onward = (1 - GAMMA) / GAMMA;
        for (int step = 0; step < steps; step++) {
            double at = startS + step * stepS;
            Exposure exposure = front.between(at, at + stepS);
            if (exposure != last) {
                double fin = fin(exposure);
                if (stage == null || stage.finWPerMK != fin) {
                    stage = new Stage(GAMMA * stepS, fin);
                }
                stage.face(exposure);
                last = exposure;
            }
            stage.solve(now, first);
            for (int i = 0; i < now.length; i++) {
                ahead[i] = now[i] + onward * (first[i] - now[i]);
            }
            stage.solve(ahead, now);
            observer.at(at + stepS, now);
        }
        return now;
    }

    /** The glass between centre and border as a fin, per length of edge. */
    private double fin(Exposure exposure) {
        Sheet glass = stack.glass();
        return Math.sqrt(glass.conductivityWPerMK()
                * glass.thicknessM()
                * Math.max(exposure.centreWPerM2K(), Exposure.STILL_AIR_W_PER_M2K));
    }

    /** One implicit stage: (C/δ + K)·x = C/δ·b + inflow, factored for its δ and fin. */
    private final class Stage {
        private final double perS;
        private final double finWPerMK;
        /** What holds each cell of a column to what it was: C/δ. */
        private final double[] beforeWPerK = new double[COLUMN * pieces];
        /**
         * Of each column, from the ledge out to its face: 1/pivot, and what of a cell's right side goes on to the next. A
         * face is the last to be met and changes its own pivot alone.
         */
        private final double[] inverse = new double[COLUMN * pieces];

        private final double[] carried = new double[COLUMN * pieces];
        private final double[] facelessPivot = new double[pieces];
        /** How the tied cells of a column without its face answer to one watt into each of them. */
        private final double[][] answer = new double[TIES * TIES][pieces];

        private final double[] tieWPerK = new double[pieces];
        private final double tiesWPerK;
        /** How the outermost cell answers to a kelvin at the far end of a tie; and the glass to itself, all pieces together. */
        private final double[][] faceAnswer = new double[TIES][pieces];

        private final double[][] glassAnswer = new double[GLASS][GLASS];

        // From here on with the faces as they are exposed.
        private final double[] faceW = new double[pieces];
        private final double[] faceShare = new double[pieces];
        private double centreFaceW;
        private final double[][] pull = new double[TIES][pieces];
        private final double[][] drawn = new double[TIES][pieces];
        private final double[] rimDiagonal = new double[pieces];
        private final double[] rimPivot = new double[pieces];
        private final double[] rimClosing = new double[pieces];
        private double rimLast;
        private final double[][] centreFactor = new double[centreCells][centreCells];
        private final double[] right = new double[COLUMN * pieces];
        private final double[] column = new double[COLUMN * pieces];
        private final double[] rim = new double[pieces];
        private final double[] centre = new double[centreCells];

        Stage(double deltaS, double finWPerMK) {
            this.perS = 1 / deltaS;
            this.finWPerMK = finWPerMK;
            int n = pieces;
            for (int i = 0; i < n; i++) {
                tieWPerK[i] = finShare[i] * finWPerMK * lengthM[i] / GLASS;
            }
            tiesWPerK = sum(tieWPerK);
            for (int i = 0; i < beforeWPerK.length; i++) {
                beforeWPerK[i] = columnJPerK[i] * perS;
            }
            for (int k = COLUMN - 1; k >= 0; k--) {
                for (int i = 0; i < n; i++) {
                    int at = k * n + i;
                    double diagonal = beforeWPerK[at]
                            + (k > 0 ? columnWPerK[at - n] : 0)
                            + (k < COLUMN - 1 ? columnWPerK[at] : 0)
                            + (k < GLASS ? tieWPerK[i] : 0)
                            + (k == COLUMN - 1 ? ledgeToRimWPerK[i] : 0);
                    if (k < COLUMN - 1) {
                        carried[at] = columnWPerK[at] * inverse[at + n];
                        diagonal -= columnWPerK[at] * carried[at];
                    }
                    inverse[at] = 1 / diagonal;
                    if (k == 0) {
                        facelessPivot[i] = diagonal;
                    }
                }
            }
            for (int from = 0; from < TIES; from++) {
                Arrays.fill(column, 0);
                Arrays.fill(column, TIED[from] * n, (TIED[from] + 1) * n, 1);
                eliminate();
                for (int to = 0; to < TIES; to++) {
                    System.arraycopy(column, TIED[to] * n, answer[from * TIES + to], 0, n);
                }
            }
            for (int a = 0; a < GLASS; a++) {
                for (int i = 0; i < n; i++) {
                    faceAnswer[a][i] = tieWPerK[i] * answer[a * TIES][i];
                    for (int b = 0; b <= a; b++) {
                        glassAnswer[a][b] += tieWPerK[i] * tieWPerK[i] * answer[a * TIES + b][i];
                    }
                }
            }
        }

        /** Solves all columns in place. */
        private void eliminate() {
            int n = pieces;
            for (int at = (COLUMN - 1) * n - 1; at >= 0; at--) {
                column[at] += carried[at] * column[at + n];
            }
            for (int i = 0; i < n; i++) {
                column[i] *= inverse[i];
            }
            for (int at = n; at < COLUMN * n; at++) {
                column[at] = (column[at] + columnWPerK[at - n] * column[at - n]) * inverse[at];
            }
        }

        private Exposure exposure;

        void face(Exposure exposure) {
            this.exposure = exposure;
            int n = pieces;
            centreFaceW = facing(exposure.centreWPerM2K(), centreM2);
            for (int i = 0; i < n; i++) {
                faceW[i] = facing(exposure.borderWPerM2K()[i], faceM2[i]);
                faceShare[i] = faceW[i] / (1 + faceW[i] * answer[0][i]);
                inverse[i] = 1 / (facelessPivot[i] + faceW[i]);
                double ends = answered(TIES - 1, TIES - 1, i);
                double before = alongWPerK[(i + n - 1) % n];
                rimDiagonal[i] = rimJPerK[i] * perS
                        + ledgeToRimWPerK[i] * (1 - ledgeToRimWPerK[i] * ends)
                        + alongWPerK[i]
                        + before
                        + rimToBackWPerK[i]
                        + rimLossWPerK[i];
                for (int k = 0; k < GLASS; k++) {
                    pull[k][i] = ledgeToRimWPerK[i] * tieWPerK[i] * answered(k, TIES - 1, i);
                }
                pull[GLASS][i] = rimToBackWPerK[i];
            }
            factorRim();
            for (int k = 0; k < TIES; k++) {
                System.arraycopy(pull[k], 0, drawn[k], 0, n);
                solveRim(drawn[k]);
            }
            factorCentre();
        }

        private double answered(int from, int to, int i) {
            return answer[from * TIES + to][i] - faceShare[i] * answer[from][i] * answer[to][i];
        }

        /** The ring of frames: tridiagonal but for its closing; the last piece is kept back. */
        private void factorRim() {
            int n = pieces;
            rimPivot[0] = 1 / rimDiagonal[0];
            for (int i = 1; i < n - 1; i++) {
                rimPivot[i] = 1 / (rimDiagonal[i] - alongWPerK[i - 1] * alongWPerK[i - 1] * rimPivot[i - 1]);
            }
            Arrays.fill(rimClosing, 0);
            rimClosing[0] = alongWPerK[n - 1];
            rimClosing[n - 2] += alongWPerK[n - 2];
            alongOpenRim(rimClosing);
            rimLast = rimDiagonal[n - 1] - alongWPerK[n - 1] * rimClosing[0] - alongWPerK[n - 2] * rimClosing[n - 2];
        }

        private void alongOpenRim(double[] x) {
            int n = pieces;
            for (int i = 1; i < n - 1; i++) {
                x[i] += alongWPerK[i - 1] * rimPivot[i - 1] * x[i - 1];
            }
            x[n - 2] *= rimPivot[n - 2];
            for (int i = n - 3; i >= 0; i--) {
                x[i] = (x[i] + alongWPerK[i] * x[i + 1]) * rimPivot[i];
            }
        }

        private void solveRim(double[] x) {
            int n = pieces;
            double closing = x[n - 1];
            alongOpenRim(x);
            double end = (closing + alongWPerK[n - 1] * x[0] + alongWPerK[n - 2] * x[n - 2]) / rimLast;
            for (int i = 0; i < n - 1; i++) {
                x[i] += rimClosing[i] * end;
            }
            x[n - 1] = end;
        }

        /** What is left for the centre once columns and ring are eliminated, in Cholesky factors. */
        private void factorCentre() {
            int m = centreCells;
            for (int a = 0; a < m; a++) {
                System.arraycopy(centreWPerK[a], 0, centreFactor[a], 0, m);
                centreFactor[a][a] += centreJPerK[a] * perS;
            }
            centreFactor[0][0] += centreFaceW;
            for (int a = 0; a < TIES; a++) {
                int row = tiedCentre(a);
                if (a < GLASS) {
                    centreFactor[row][row] += tiesWPerK;
                }
                for (int b = 0; b <= a; b++) {
                    double through = a < GLASS ? glassAnswer[a][b] : 0;
                    for (int i = 0; i < pieces; i++) {
                        through += pull[a][i] * drawn[b][i] - faceShare[i] * faceAnswer[a][i] * faceAnswer[b][i];
                    }
                    centreFactor[row][tiedCentre(b)] -= through;
                }
            }
            for (int a = 0; a < m; a++) {
                for (int b = knows(a); b <= a; b++) {
                    double value = centreFactor[a][b];
                    for (int k = Math.max(knows(a), knows(b)); k < b; k++) {
                        value -= centreFactor[a][k] * centreFactor[b][k];
                    }
                    centreFactor[a][b] = a == b ? Math.sqrt(value) : value / centreFactor[b][b];
                }
            }
        }

        /** The first cell of the centre that another knows: itself where tied to the edge, else the one before it. */
        private int knows(int cell) {
            return cell < GLASS || cell == centreCells - 1 ? 0 : cell - 1;
        }

        /** The centre's cells that the edge is tied to: its glass, and the back. */
        private int tiedCentre(int tie) {
            return tie < GLASS ? tie : centreCells - 1;
        }

        void solve(double[] from, double[] to) {
            int n = pieces;
            int rimAt = COLUMN * n;
            int centreAt = rimAt + n;
            for (int i = 0; i < rimAt; i++) {
                right[i] = beforeWPerK[i] * from[i];
            }
            for (int i = 0; i < n; i++) {
                right[i] += faceW[i] * exposure.borderRiseK()[i];
            }
            System.arraycopy(right, 0, column, 0, rimAt);
            eliminate();
            int ledge = (COLUMN - 1) * n;
            for (int i = 0; i < n; i++) {
                rim[i] = rimJPerK[i] * perS * from[rimAt + i] + ledgeToRimWPerK[i] * column[ledge + i];
            }
            solveRim(rim);
            for (int k = 0; k < centreCells; k++) {
                centre[k] = centreJPerK[k] * perS * from[centreAt + k];
            }
            centre[0] += centreFaceW * exposure.centreRiseK();
            for (int tie = 0; tie < TIES; tie++) {
                double in = 0;
                for (int i = 0; i < n; i++) {
                    in += pull[tie][i] * rim[i];
                }
                for (int i = 0; tie < GLASS && i < n; i++) {
                    in += tieWPerK[i] * column[tie * n + i];
                }
                centre[tiedCentre(tie)] += in;
            }
            solveCentre();
            System.arraycopy(centre, 0, to, centreAt, centreCells);
            for (int i = 0; i < n; i++) {
                double at = rim[i];
                for (int tie = 0; tie < TIES; tie++) {
                    at += drawn[tie][i] * centre[tiedCentre(tie)];
                }
                to[rimAt + i] = at;
            }
            System.arraycopy(right, 0, column, 0, rimAt);
            for (int i = 0; i < n; i++) {
                column[ledge + i] += ledgeToRimWPerK[i] * to[rimAt + i];
            }
            for (int k = 0; k < GLASS; k++) {
                for (int i = 0; i < n; i++) {
                    column[k * n + i] += tieWPerK[i] * centre[k];
                }
            }
            eliminate();
            System.arraycopy(column, 0, to, 0, rimAt);
        }

        private void solveCentre() {
            for (int a = 0; a < centreCells; a++) {
                double[] row = centreFactor[a];
                double value = centre[a];
                for (int k = knows(a); k < a; k++) {
                    value -= row[k] * centre[k];
                }
                centre[a] = value / row[a];
            }
            for (int a = centreCells - 1; a >= 0; a--) {
                centre[a] /= centreFactor[a][a];
                for (int k = knows(a); k < a; k++) {
                    centre[k] -= centreFactor[a][k] * centre[a];
                }
            }
        }
    }
}
