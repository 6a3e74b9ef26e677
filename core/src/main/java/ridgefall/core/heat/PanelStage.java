package ridgefall.core.heat;

import static ridgefall.core.heat.PanelNetwork.COLUMN;
import static ridgefall.core.heat.PanelNetwork.GLASS;
import static ridgefall.core.heat.PanelNetwork.GROUPS;
import static ridgefall.core.heat.PanelNetwork.INBOARD;
import static ridgefall.core.heat.PanelNetwork.STRIP;
import static ridgefall.core.heat.PanelNetwork.STRIPS;

import java.util.Arrays;

/**
 * One implicit stage: (C/δ + K)·x = C/δ·b + inflow, factored for its δ and what the front faces. A column of the border is a chain
 * tied to its frame and, by its glass, to the strip beside it; a strip is a few cells tied to the centre and to its part of the
 * back; frames and backs make two rings.
 */
final class PanelStage {
    /** Which cells of the strips are tied to a group of the centre: the last strip to glass and panel, each strip to the battery. */
    private static final int[][] TIED_TO = {
        {(STRIPS - 1) * STRIP}, {(STRIPS - 1) * STRIP + 1}, {(STRIPS - 1) * STRIP + 2}, {STRIP - 1, 2 * STRIP - 1}, {}
    };

    private final PanelNetwork net;
    private final int pieces;
    private final double perS;
    private final int centreCells;

    /** What holds each cell of a column, each frame and back, and each cell of a strip to what it was: C/δ. */
    private final double[] beforeWPerK;

    private final double[] ringsBeforeWPerK;
    private final double[] stripBeforeWPerK;

    /** What a piece's strips are tied to of the centre, W/K: by group of it, and cell of {@link #TIED_TO}. */
    private final double[][][] tied = new double[GROUPS][][];
    /** From the last cells of a piece's strips into its part of the back, W/K. */
    private final double[][] tiedToBack = new double[STRIPS][];
    /** What a piece's strips are, but for what the front faces: by row, column and piece. */
    private final double[][][] facelessStrips;

    // From here on with the front as it is exposed.
    private Exposure exposure;
    private final double[] faceW;
    private final double[][] stripFaceW;
    private final double[] sideW;
    private double centreFaceW;
    private final BorderColumns columns;
    /** From each of the cells of a column's glass. */
    private final double[] tieWPerK;
    /** How a column answers to a kelvin of its strip's glass, and to a watt into its last cell. */
    private final double[][] toStrip;

    private final double[][] toLedge;
    /** The inverse of what is left of the strips of a piece, by row, column and piece. */
    private final double[][][] strips;
    /** How strips answer to a kelvin of a group of the centre, and of their part of the back. */
    private final double[][][] toGroup;

    private final double[][] toBack;
    /** How a kelvin of the frame gets to a strip's outer glass, W/K. */
    private final double[] rimToStrip;

    /** What a kelvin of a group brings into frames and backs, and how these answer: frames first. */
    private final double[][] pull;

    private final double[][] drawn;
    private final double[] rimDiagonal;
    private final double[] backDiagonal;
    private final double[] between;
    private final PairedRings rings;
    private final double[][] left;
    private final Skyline centreFactor;
    private final double[] held;
    private final double[] stripsHeld;
    private final double[] ledge;
    private final double[][] column;
    private final double[][] strip;
    private final double[] rim;
    private final double[] back;
    private final double[] centre;
    private final double[] groups = new double[GROUPS];

    PanelStage(PanelNetwork net, double deltaS) {
        this.net = net;
        this.pieces = net.pieces;
        this.perS = 1 / deltaS;
        this.centreCells = net.centreCells;
        beforeWPerK = Rows.times(net.columnJPerK, perS);
        stripBeforeWPerK = Rows.times(net.stripJPerK, perS);
        ringsBeforeWPerK = Arrays.copyOf(Rows.times(net.rimJPerK, perS), 2 * pieces);
        Rows.addTimes(ringsBeforeWPerK, pieces, net.backJPerK, perS);
        facelessStrips = new double[INBOARD][INBOARD][pieces];
        faceW = new double[pieces];
        stripFaceW = new double[STRIPS][pieces];
        sideW = new double[pieces];
        columns = new BorderColumns(net);
        tieWPerK = new double[pieces];
        toStrip = new double[COLUMN][pieces];
        toLedge = new double[COLUMN][pieces];
        strips = new double[INBOARD][INBOARD][pieces];
        toGroup = new double[INBOARD][GROUPS][pieces];
        toBack = new double[INBOARD][pieces];
        rimToStrip = new double[pieces];
        pull = new double[GROUPS][2 * pieces];
        drawn = new double[GROUPS][2 * pieces];
        rimDiagonal = new double[pieces];
        backDiagonal = new double[pieces];
        between = new double[pieces];
        rings = new PairedRings(net.alongWPerK, net.backAlongWPerK);
        left = new double[centreCells][centreCells];
        centreFactor = new Skyline(centreCells);
        held = new double[COLUMN * pieces];
        stripsHeld = new double[INBOARD * pieces];
        ledge = new double[pieces];
        column = new double[COLUMN][pieces];
        strip = new double[INBOARD][pieces];
        rim = new double[2 * pieces];
        back = new double[pieces];
        centre = new double[centreCells];
        tieStrips();
        joinStrips();
    }

    /** The last strip to the glass and the panel of the centre; every strip to battery and its part of the back. */
    private void tieStrips() {
        int last = STRIPS - 1;
        tied[0] = new double[][] {onward(last, net.glassSquareWPerK)};
        tied[1] = new double[][] {onward(last, net.halfPanelSquareWPerK)};
        tied[2] = tied[1];
        tied[3] = new double[STRIPS][];
        tied[4] = new double[0][];
        for (int s = 0; s < STRIPS; s++) {
            tied[3][s] = Rows.times(net.stripM2[s], net.toBatteryWPerM2K);
            tiedToBack[s] = Rows.times(net.stripM2[s], net.toBackWPerM2K);
        }
    }

    private double[] onward(int strip, double squareWPerK) {
        double[] wPerK = new double[pieces];
        Arrays.setAll(wPerK, i -> net.onwardWPerK(strip, i, squareWPerK));
        return wPerK;
    }

    private void joinStrips() {
        for (int a = 0; a < INBOARD; a++) {
            System.arraycopy(stripBeforeWPerK, a * pieces, facelessStrips[a][a], 0, pieces);
        }
        for (int g = 0; g < GROUPS; g++) {
            for (int t = 0; t < TIED_TO[g].length; t++) {
                int a = TIED_TO[g][t];
                Rows.addTimes(facelessStrips[a][a], 0, tied[g][t], 1);
            }
        }
        for (int s = 0; s < STRIPS; s++) {
            int first = s * STRIP;
            int lowest = first + STRIP - 1;
            Rows.addTimes(facelessStrips[lowest][lowest], 0, tiedToBack[s], 1);
            for (int k = 0; k + 1 < STRIP; k++) {
                join(first + k, first + k + 1, Rows.times(net.stripM2[s], net.stripDownWPerM2K[k]));
            }
            if (s + 1 < STRIPS) {
                join(first, first + STRIP, onward(s, net.glassSquareWPerK));
                for (int k = 1; k < STRIP; k++) {
                    join(first + k, first + STRIP + k, onward(s, net.halfPanelSquareWPerK));
                }
            }
        }
    }

    private void join(int a, int b, double[] wPerK) {
        Rows.addTimes(facelessStrips[a][a], 0, wPerK, 1);
        Rows.addTimes(facelessStrips[b][b], 0, wPerK, 1);
        Rows.addTimes(facelessStrips[a][b], 0, wPerK, -1);
        Rows.addTimes(facelessStrips[b][a], 0, wPerK, -1);
    }

    /** Whether it is factored for what transfers like this. */
    boolean faces(Exposure other) {
        return other.transfersAs(exposure);
    }

    /** What it faces from here on; what transfers the same again costs nothing. */
    void face(Exposure exposure) {
        boolean factored = faces(exposure);
        this.exposure = exposure;
        if (factored) {
            return;
        }
        centreFaceW = net.facing(exposure.centreWPerM2K(), net.centreM2);
        for (int i = 0; i < pieces; i++) {
            faceW[i] = net.facing(exposure.borderWPerM2K()[i], net.faceM2[i]);
            tieWPerK[i] = net.borderTieWPerK(i, exposure.stripWPerM2K(0, i)) / GLASS;
            sideW[i] = exposure.sideWPerM2K(i) * net.sideM2[i];
            for (int s = 0; s < STRIPS; s++) {
                stripFaceW[s][i] = net.facingStrip(exposure.stripWPerM2K(s, i), net.stripM2[s][i]);
            }
        }
        factorColumns();
        factorStrips();
        answerGroups();
        factorRings();
        factorCentre();
    }

    private void factorColumns() {
        int n = pieces;
        int last = COLUMN - 1;
        double[][] besides = Rows.cut(beforeWPerK, n);
        for (int k = 0; k < GLASS; k++) {
            Rows.addTimes(besides[k], 0, tieWPerK, 1);
        }
        Rows.addTimes(besides[last], 0, net.ledgeToRimWPerK, 1);
        columns.factor(besides);
        columns.face(faceW);
        Arrays.fill(held, 0);
        for (int k = 0; k < GLASS; k++) {
            System.arraycopy(tieWPerK, 0, held, k * n, n);
        }
        columns.solve(held, toStrip);
        Arrays.fill(held, 0);
        Arrays.fill(held, last * n, COLUMN * n, 1);
        columns.solve(held, toLedge);
        Rows.product(rimToStrip, net.ledgeToRimWPerK, toStrip[last], 0);
    }

    /** What is left of a piece's strips once its column is eliminated, inverted. */
    private void factorStrips() {
        for (int a = 0; a < INBOARD; a++) {
            for (int b = 0; b < INBOARD; b++) {
                System.arraycopy(facelessStrips[a][b], 0, strips[a][b], 0, pieces);
            }
        }
        for (int s = 0; s < STRIPS; s++) {
            Rows.addTimes(strips[s * STRIP][s * STRIP], 0, stripFaceW[s], 1);
        }
        // The border's glass, of which the column has been eliminated.
        double[] outer = strips[0][0];
        for (int k = 0; k < GLASS; k++) {
            for (int i = 0; i < pieces; i++) {
                outer[i] += tieWPerK[i] * (1 - toStrip[k][i]);
            }
        }
        invert(strips);
    }

    /** In place, of all pieces at once; positive definite, so that no pivot is nought. */
    private static void invert(double[][][] m) {
        int n = m[0][0].length;
        double[] factor = new double[n];
        for (int k = 0; k < m.length; k++) {
            double[][] row = m[k];
            for (int i = 0; i < n; i++) {
                factor[i] = 1 / row[k][i];
            }
            Arrays.fill(row[k], 1);
            for (double[] cell : row) {
                Rows.product(cell, factor, cell, 0);
            }
            for (double[][] other : m) {
                if (other != row) {
                    for (int i = 0; i < n; i++) {
                        factor[i] = -other[k][i];
                    }
                    Arrays.fill(other[k], 0);
                    for (int j = 0; j < m.length; j++) {
                        Rows.addProduct(other[j], 0, factor, row[j]);
                    }
                }
            }
        }
    }

    /** How strips answer to the centre and to the back, and what that brings into frames and backs. */
    private void answerGroups() {
        int n = pieces;
        for (int a = 0; a < INBOARD; a++) {
            Arrays.fill(toBack[a], 0);
            for (int s = 0; s < STRIPS; s++) {
                Rows.addProduct(toBack[a], 0, strips[a][s * STRIP + STRIP - 1], tiedToBack[s]);
            }
            for (int g = 0; g < GROUPS; g++) {
                double[] answer = toGroup[a][g];
                Arrays.fill(answer, 0);
                for (int t = 0; t < TIED_TO[g].length; t++) {
                    Rows.addProduct(answer, 0, strips[a][TIED_TO[g][t]], tied[g][t]);
                }
            }
        }
        for (int g = 0; g < GROUPS; g++) {
            Arrays.fill(pull[g], 0);
            Rows.addProduct(pull[g], 0, rimToStrip, toGroup[0][g]);
            for (int s = 0; s < STRIPS; s++) {
                Rows.addProduct(pull[g], n, tiedToBack[s], toGroup[s * STRIP + STRIP - 1][g]);
            }
        }
        Rows.addTimes(pull[GROUPS - 1], n, net.backInwardsWPerK, 1);
    }

    private void factorRings() {
        int n = pieces;
        for (int i = 0; i < n; i++) {
            double backThrough = 0;
            for (int s = 0; s < STRIPS; s++) {
                backThrough += tiedToBack[s][i] * (1 - toBack[s * STRIP + STRIP - 1][i]);
            }
            between[i] = net.rimToBackWPerK[i] + rimToStrip[i] * toBack[0][i];
            backDiagonal[i] = ringsBeforeWPerK[n + i]
                    + net.backLossWPerK[i]
                    + net.rimToBackWPerK[i]
                    + net.backInwardsWPerK[i]
                    + net.backAlongWPerK[i]
                    + net.backAlongWPerK[(i + n - 1) % n]
                    + backThrough;
            double tie = net.ledgeToRimWPerK[i];
            rimDiagonal[i] = ringsBeforeWPerK[i]
                    + tie * (1 - tie * toLedge[COLUMN - 1][i])
                    - rimToStrip[i] * rimToStrip[i] * strips[0][0][i]
                    + net.alongWPerK[i]
                    + net.alongWPerK[(i + n - 1) % n]
                    + net.rimToBackWPerK[i]
                    + net.rimLossWPerK[i]
                    + sideW[i];
        }
        rings.factor(rimDiagonal, backDiagonal, between);
        for (int g = 0; g < GROUPS; g++) {
            System.arraycopy(pull[g], 0, drawn[g], 0, 2 * n);
            rings.solve(drawn[g]);
        }
    }

    /** What is left for the centre once pieces and ring are eliminated. */
    private void factorCentre() {
        int m = centreCells;
        for (int a = 0; a < m; a++) {
            System.arraycopy(net.centreWPerK[a], 0, left[a], 0, m);
            left[a][a] += net.centreJPerK[a] * perS;
        }
        left[0][0] += centreFaceW;
        for (int g = 0; g < GROUPS; g++) {
            double own = 0;
            for (double[] tie : tied[g]) {
                own += PanelNetwork.sum(tie);
            }
            own += g == GROUPS - 1 ? PanelNetwork.sum(net.backInwardsWPerK) : 0;
            int cells = PanelNetwork.groupCells(g);
            for (int k = 0; k < cells; k++) {
                left[net.groupFrom(g) + k][net.groupFrom(g) + k] += own / cells;
            }
            for (int h = 0; h <= g; h++) {
                spread(g, h, through(g, h));
            }
        }
        centreFactor.factor(left);
    }

    /** How one group of the centre is joined to another through strips and frames. */
    private double through(int g, int h) {
        double through = Rows.dot(pull[g], drawn[h]);
        for (int t = 0; t < TIED_TO[g].length; t++) {
            through += Rows.dot(tied[g][t], toGroup[TIED_TO[g][t]][h]);
        }
        return through;
    }

    /** A group's cells share what it is joined by. */
    private void spread(int g, int h, double through) {
        double each = through / PanelNetwork.groupCells(g) / PanelNetwork.groupCells(h);
        for (int a = 0; a < PanelNetwork.groupCells(g); a++) {
            for (int b = 0; b < PanelNetwork.groupCells(h); b++) {
                int row = net.groupFrom(g) + a;
                int at = net.groupFrom(h) + b;
                left[Math.max(row, at)][Math.min(row, at)] -= g == h && row != at && a < b ? 0 : each;
            }
        }
    }

    private double group(int g) {
        double sum = 0;
        int cells = PanelNetwork.groupCells(g);
        for (int k = 0; k < cells; k++) {
            sum += centre[net.groupFrom(g) + k];
        }
        return sum / cells;
    }

    private void intoGroup(int g, double watts) {
        int cells = PanelNetwork.groupCells(g);
        for (int k = 0; k < cells; k++) {
            centre[net.groupFrom(g) + k] += watts / cells;
        }
    }

    void solve(double[] from, double[] to) {
        int n = pieces;
        int rimAt = COLUMN * n;
        int stripsAt = rimAt + 2 * n;
        int centreAt = stripsAt + INBOARD * n;
        hold(from, stripsAt);
        for (int a = 0; a < INBOARD; a++) {
            Arrays.fill(strip[a], 0);
            for (int s = 0; s < STRIPS; s++) {
                addStrip(strip[a], strips[a], s);
            }
        }
        holdRings(from, rimAt);
        rings.solve(rim);
        for (int k = 0; k < centreCells; k++) {
            centre[k] = net.centreJPerK[k] * perS * from[centreAt + k];
        }
        centre[0] += centreFaceW * exposure.centreRiseK();
        for (int g = 0; g < GROUPS; g++) {
            double watts = Rows.dot(pull[g], rim);
            for (int t = 0; t < TIED_TO[g].length; t++) {
                watts += Rows.dot(tied[g][t], strip[TIED_TO[g][t]]);
            }
            intoGroup(g, watts);
        }
        centreFactor.solve(centre);
        System.arraycopy(centre, 0, to, centreAt, centreCells);
        Arrays.setAll(groups, this::group);
        addGroups(rim, drawn);
        System.arraycopy(rim, 0, to, rimAt, 2 * n);
        System.arraycopy(rim, n, back, 0, n);
        Rows.product(ledge, rimToStrip, rim, 0);
        for (int a = 0; a < INBOARD; a++) {
            Rows.addProducts(strip[a], 0, strips[a][0], ledge, toBack[a], back);
            addGroups(strip[a], toGroup[a]);
            System.arraycopy(strip[a], 0, to, stripsAt + a * n, n);
        }
        Rows.addProduct(held, (COLUMN - 1) * n, net.ledgeToRimWPerK, rim);
        for (int k = 0; k < GLASS; k++) {
            Rows.addProduct(held, k * n, tieWPerK, strip[0]);
        }
        columns.solve(held, column);
        for (int k = 0; k < COLUMN; k++) {
            System.arraycopy(column[k], 0, to, k * n, n);
        }
    }

    /** What columns and strips hold and face; what the columns bring to the strips beside them, and how warm their ledges get. */
    private void hold(double[] from, int stripsAt) {
        Rows.product(held, beforeWPerK, from, 0);
        Rows.addProduct(held, 0, faceW, exposure.borderRiseK());
        Rows.product(stripsHeld, stripBeforeWPerK, from, stripsAt);
        for (int s = 0; s < STRIPS; s++) {
            int at = s * STRIP * pieces;
            if (exposure.inboard() == null) {
                Rows.addTimes(stripsHeld, at, stripFaceW[s], exposure.centreRiseK());
            } else {
                Rows.addProduct(
                        stripsHeld, at, stripFaceW[s], exposure.inboard().riseK()[s]);
            }
        }
        Arrays.fill(ledge, 0);
        for (int k = 0; k < COLUMN; k++) {
            double[] intoStrip = toStrip[k];
            double[] intoLedge = toLedge[k];
            int at = k * pieces;
            for (int i = 0; i < intoStrip.length; i++) {
                stripsHeld[i] += intoStrip[i] * held[at + i];
                ledge[i] += intoLedge[i] * held[at + i];
            }
        }
    }

    private void holdRings(double[] from, int rimAt) {
        Rows.product(rim, ringsBeforeWPerK, from, rimAt);
        Rows.addTimes(rim, 0, sideW, exposure.sideRiseK());
        Rows.addProducts(rim, 0, net.ledgeToRimWPerK, ledge, rimToStrip, strip[0]);
        for (int s = 0; s < STRIPS; s++) {
            Rows.addProduct(rim, pieces, tiedToBack[s], strip[s * STRIP + STRIP - 1]);
        }
    }

    /** What the watts into the cells of a strip, {@value PanelNetwork#STRIP} of them, make of a cell. */
    private void addStrip(double[] cell, double[][] by, int s) {
        int n = pieces;
        double[] first = by[s * STRIP];
        double[] second = by[s * STRIP + 1];
        double[] third = by[s * STRIP + 2];
        double[] watts = stripsHeld;
        for (int i = 0, at = s * STRIP * n; i < cell.length; i++, at++) {
            cell[i] += first[i] * watts[at] + second[i] * watts[at + n] + third[i] * watts[at + 2 * n];
        }
    }

    /** What the groups of the centre, {@value PanelNetwork#GROUPS} of them, as warm as they are make of cells. */
    private void addGroups(double[] cells, double[][] by) {
        double[] glass = by[0];
        double[] front = by[1];
        double[] rear = by[2];
        double[] battery = by[3];
        double[] backs = by[4];
        double glassK = groups[0];
        double frontK = groups[1];
        double rearK = groups[2];
        double batteryK = groups[3];
        double backK = groups[4];
        for (int i = 0; i < cells.length; i++) {
            cells[i] +=
                    glass[i] * glassK + front[i] * frontK + rear[i] * rearK + battery[i] * batteryK + backs[i] * backK;
        }
    }
}
