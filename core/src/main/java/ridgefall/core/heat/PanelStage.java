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

    /** What holds each cell of a column, and of a strip, to what it was: C/δ. */
    private final double[] beforeWPerK;

    private final double[] stripBeforeWPerK;

    // From here on with the front as it is exposed.
    private Exposure exposure;
    private final double[] faceW;
    private final double[][] stripFaceW = new double[STRIPS][];
    private double centreFaceW;
    /** Of each column, from the ledge out to its face: 1/pivot, and what of a cell's right side goes on to the next. */
    private final double[] inverse;

    private final double[] carried;
    private final double[] tieWPerK;
    /** How a column answers to a kelvin of its strip's glass, and to a watt into its last cell. */
    private final double[] toStrip;

    private final double[] toLedge;
    /** The inverse of what is left of the strips of a piece, row by row. */
    private final double[][] strips = new double[INBOARD * INBOARD][];
    /** What a piece's strips are tied to of the centre, W/K: by cell of theirs and group of its. */
    private final double[][][] tied = new double[INBOARD][GROUPS][];
    /** How strips answer to a kelvin of a group of the centre. */
    private final double[][][] toGroup = new double[INBOARD][GROUPS][];
    /** How a kelvin of the frame gets to a strip's outer glass, W/K. */
    private final double[] rimToStrip;
    /** From the last cells of a piece's strips into its part of the back, W/K; and how strips answer to a kelvin of it. */
    private final double[][] tiedToBack = new double[STRIPS][];

    private final double[][] toBack = new double[INBOARD][];

    /** What a kelvin of a group brings into frames and backs, and how these answer: frames first. */
    private final double[][] pull = new double[GROUPS][];

    private final double[][] drawn = new double[GROUPS][];
    private final double[] rimDiagonal;
    private final double[] backDiagonal;
    private final double[] between;
    private final PairedRings rings;
    private final double[][] centreFactor;
    private final double[] held;
    private final double[] answered;
    private final double[][] right = new double[INBOARD][];
    private final double[] column;
    private final double[][] strip = new double[INBOARD][];
    private final double[] rim;
    private final double[] centre;

    PanelStage(PanelNetwork net, double deltaS) {
        this.net = net;
        this.pieces = net.pieces;
        this.perS = 1 / deltaS;
        this.centreCells = net.centreCells;
        beforeWPerK = times(net.columnJPerK, perS);
        stripBeforeWPerK = times(net.stripJPerK, perS);
        faceW = new double[pieces];
        inverse = new double[COLUMN * pieces];
        carried = new double[COLUMN * pieces];
        tieWPerK = new double[pieces];
        toStrip = new double[COLUMN * pieces];
        toLedge = new double[COLUMN * pieces];
        rimToStrip = new double[pieces];
        rimDiagonal = new double[pieces];
        backDiagonal = new double[pieces];
        between = new double[pieces];
        rings = new PairedRings(net.alongWPerK, net.backAlongWPerK);
        centreFactor = new double[centreCells][centreCells];
        held = new double[COLUMN * pieces];
        answered = new double[pieces];
        column = new double[COLUMN * pieces];
        rim = new double[2 * pieces];
        centre = new double[centreCells];
        for (double[][] rows : new double[][][] {stripFaceW, strips, strip, right, tiedToBack, toBack}) {
            Arrays.setAll(rows, row -> new double[pieces]);
        }
        Arrays.setAll(pull, g -> new double[2 * pieces]);
        Arrays.setAll(drawn, g -> new double[2 * pieces]);
        for (int a = 0; a < INBOARD; a++) {
            Arrays.setAll(tied[a], g -> new double[pieces]);
            Arrays.setAll(toGroup[a], g -> new double[pieces]);
        }
        tieStrips();
    }

    private static double[] times(double[] values, double factor) {
        return Arrays.stream(values).map(value -> value * factor).toArray();
    }

    /** The last strip to the glass and the panel of the centre; every strip to battery and its part of the back. */
    private void tieStrips() {
        int last = (STRIPS - 1) * STRIP;
        for (int i = 0; i < pieces; i++) {
            tied[last][0][i] = net.onwardWPerK(STRIPS - 1, i, net.glassSquareWPerK);
            tied[last + 1][1][i] = net.onwardWPerK(STRIPS - 1, i, net.halfPanelSquareWPerK);
            tied[last + 2][2][i] = net.onwardWPerK(STRIPS - 1, i, net.halfPanelSquareWPerK);
            for (int s = 0; s < STRIPS; s++) {
                tied[s * STRIP + 2][3][i] = net.toBatteryWPerM2K * net.stripM2[s][i];
                tiedToBack[s][i] = net.toBackWPerM2K * net.stripM2[s][i];
            }
        }
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
            tieWPerK[i] = net.borderTieWPerK(i, exposure.stripWPerM2K(0, i));
            for (int s = 0; s < STRIPS; s++) {
                stripFaceW[s][i] = net.facingStrip(exposure.stripWPerM2K(s, i), net.stripM2[s][i]);
            }
        }
        factorColumns();
        factorStrips();
        rings.factor(rimDiagonal, backDiagonal, between);
        for (int g = 0; g < GROUPS; g++) {
            System.arraycopy(pull[g], 0, drawn[g], 0, 2 * pieces);
            rings.solve(drawn[g]);
        }
        factorCentre();
    }

    private void factorColumns() {
        int n = pieces;
        for (int k = COLUMN - 1; k >= 0; k--) {
            for (int i = 0; i < n; i++) {
                int at = k * n + i;
                double diagonal = beforeWPerK[at]
                        + (k > 0 ? net.columnWPerK[at - n] : faceW[i])
                        + (k < COLUMN - 1 ? net.columnWPerK[at] : net.ledgeToRimWPerK[i])
                        + (k < GLASS ? tieWPerK[i] / GLASS : 0);
                if (k < COLUMN - 1) {
                    carried[at] = net.columnWPerK[at] * inverse[at + n];
                    diagonal -= net.columnWPerK[at] * carried[at];
                }
                inverse[at] = 1 / diagonal;
            }
        }
        Arrays.fill(toStrip, 0);
        for (int k = 0; k < GLASS; k++) {
            for (int i = 0; i < n; i++) {
                toStrip[k * n + i] = tieWPerK[i] / GLASS;
            }
        }
        eliminate(toStrip);
        Arrays.fill(toLedge, 0);
        Arrays.fill(toLedge, (COLUMN - 1) * n, COLUMN * n, 1);
        eliminate(toLedge);
    }

    /** Solves all columns in place. Most of a plan's time is spent here: what it reads is at hand, not looked up. */
    private void eliminate(double[] x) {
        int n = pieces;
        double[] passed = carried;
        double[] pivot = inverse;
        double[] wPerK = net.columnWPerK;
        for (int at = (COLUMN - 1) * n - 1; at >= 0; at--) {
            x[at] += passed[at] * x[at + n];
        }
        for (int i = 0; i < n; i++) {
            x[i] *= pivot[i];
        }
        for (int before = 0, at = n; at < COLUMN * n; before++, at++) {
            x[at] = (x[at] + wPerK[before] * x[before]) * pivot[at];
        }
    }

    /** What is left of a piece's strips once its column is eliminated, inverted; and what that makes of frame and centre. */
    private void factorStrips() {
        int n = pieces;
        int ledge = (COLUMN - 1) * n;
        double[][] matrix = new double[INBOARD][INBOARD];
        for (int i = 0; i < n; i++) {
            stripMatrix(i, matrix);
            invert(matrix);
            for (int a = 0; a < INBOARD; a++) {
                for (int b = 0; b < INBOARD; b++) {
                    strips[a * INBOARD + b][i] = matrix[a][b];
                }
            }
            double tie = net.ledgeToRimWPerK[i];
            rimToStrip[i] = tie * toStrip[ledge + i];
            for (int g = 0; g < GROUPS; g++) {
                for (int a = 0; a < INBOARD; a++) {
                    double answer = 0;
                    for (int b : TIED_TO[g]) {
                        answer += matrix[a][b] * tied[b][g][i];
                    }
                    toGroup[a][g][i] = answer;
                }
                pull[g][i] = rimToStrip[i] * toGroup[0][g][i];
                double intoBack = g == GROUPS - 1 ? net.backInwardsWPerK[i] : 0;
                for (int s = 0; s < STRIPS; s++) {
                    intoBack += tiedToBack[s][i] * toGroup[s * STRIP + STRIP - 1][g][i];
                }
                pull[g][n + i] = intoBack;
            }
            double backThrough = 0;
            for (int a = 0; a < INBOARD; a++) {
                double answer = 0;
                for (int s = 0; s < STRIPS; s++) {
                    answer += matrix[a][s * STRIP + STRIP - 1] * tiedToBack[s][i];
                }
                toBack[a][i] = answer;
            }
            for (int s = 0; s < STRIPS; s++) {
                backThrough += tiedToBack[s][i] * (1 - toBack[s * STRIP + STRIP - 1][i]);
            }
            between[i] = net.rimToBackWPerK[i] + rimToStrip[i] * toBack[0][i];
            backDiagonal[i] = net.backJPerK[i] * perS
                    + net.backLossWPerK[i]
                    + net.rimToBackWPerK[i]
                    + net.backInwardsWPerK[i]
                    + net.backAlongWPerK[i]
                    + net.backAlongWPerK[(i + n - 1) % n]
                    + backThrough;
            double side = exposure.sideWPerM2K(i) * net.sideM2[i];
            rimDiagonal[i] = net.rimJPerK[i] * perS
                    + tie
                    - tie * tie * toLedge[ledge + i]
                    - rimToStrip[i] * rimToStrip[i] * matrix[0][0]
                    + net.alongWPerK[i]
                    + net.alongWPerK[(i + n - 1) % n]
                    + net.rimToBackWPerK[i]
                    + net.rimLossWPerK[i]
                    + side;
        }
    }

    private void stripMatrix(int i, double[][] matrix) {
        int n = pieces;
        for (double[] row : matrix) {
            Arrays.fill(row, 0);
        }
        for (int a = 0; a < INBOARD; a++) {
            matrix[a][a] = stripBeforeWPerK[a * n + i];
            for (int g = 0; g < GROUPS; g++) {
                matrix[a][a] += tied[a][g][i];
            }
        }
        for (int s = 0; s < STRIPS; s++) {
            matrix[s * STRIP + STRIP - 1][s * STRIP + STRIP - 1] += tiedToBack[s][i];
        }
        for (int s = 0; s < STRIPS; s++) {
            int first = s * STRIP;
            matrix[first][first] += stripFaceW[s][i];
            for (int k = 0; k + 1 < STRIP; k++) {
                join(matrix, first + k, first + k + 1, net.stripDownWPerM2K[k] * net.stripM2[s][i]);
            }
            if (s + 1 < STRIPS) {
                join(matrix, first, first + STRIP, net.onwardWPerK(s, i, net.glassSquareWPerK));
                for (int k = 1; k < STRIP; k++) {
                    join(matrix, first + k, first + STRIP + k, net.onwardWPerK(s, i, net.halfPanelSquareWPerK));
                }
            }
        }
        // The border's glass, of which the column has been eliminated.
        matrix[0][0] += tieWPerK[i];
        for (int k = 0; k < GLASS; k++) {
            matrix[0][0] -= tieWPerK[i] / GLASS * toStrip[k * n + i];
        }
    }

    private static void join(double[][] matrix, int a, int b, double wPerK) {
        matrix[a][a] += wPerK;
        matrix[b][b] += wPerK;
        matrix[a][b] -= wPerK;
        matrix[b][a] -= wPerK;
    }

    /** In place; positive definite, so that no pivot is nought. */
    private static void invert(double[][] m) {
        for (int k = 0; k < m.length; k++) {
            double pivot = 1 / m[k][k];
            m[k][k] = 1;
            for (int j = 0; j < m.length; j++) {
                m[k][j] *= pivot;
            }
            for (int i = 0; i < m.length; i++) {
                if (i != k) {
                    double factor = m[i][k];
                    m[i][k] = 0;
                    for (int j = 0; j < m.length; j++) {
                        m[i][j] -= factor * m[k][j];
                    }
                }
            }
        }
    }

    /** What is left for the centre once pieces and ring are eliminated, in Cholesky factors. */
    private void factorCentre() {
        int m = centreCells;
        for (int a = 0; a < m; a++) {
            System.arraycopy(net.centreWPerK[a], 0, centreFactor[a], 0, m);
            centreFactor[a][a] += net.centreJPerK[a] * perS;
        }
        centreFactor[0][0] += centreFaceW;
        for (int g = 0; g < GROUPS; g++) {
            double own = 0;
            for (int a : TIED_TO[g]) {
                own += PanelNetwork.sum(tied[a][g]);
            }
            own += g == GROUPS - 1 ? PanelNetwork.sum(net.backInwardsWPerK) : 0;
            int cells = PanelNetwork.groupCells(g);
            for (int k = 0; k < cells; k++) {
                centreFactor[net.groupFrom(g) + k][net.groupFrom(g) + k] += own / cells;
            }
            for (int h = 0; h <= g; h++) {
                spread(g, h, through(g, h));
            }
        }
        for (int a = 0; a < m; a++) {
            for (int b = 0; b <= a; b++) {
                double value = centreFactor[a][b];
                for (int k = 0; k < b; k++) {
                    value -= centreFactor[a][k] * centreFactor[b][k];
                }
                centreFactor[a][b] = a == b ? Math.sqrt(value) : value / centreFactor[b][b];
            }
        }
    }

    /** How one group of the centre is joined to another through strips and frames. */
    private double through(int g, int h) {
        double through = dot(pull[g], drawn[h]);
        for (int a : TIED_TO[g]) {
            through += dot(tied[a][g], toGroup[a][h]);
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
                centreFactor[Math.max(row, at)][Math.min(row, at)] -= g == h && row != at && a < b ? 0 : each;
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
        int backAt = rimAt + n;
        int stripsAt = backAt + n;
        int centreAt = stripsAt + INBOARD * n;
        hold(from);
        eliminateStrips(from, stripsAt);
        int ledge = (COLUMN - 1) * n;
        Arrays.fill(answered, 0);
        addProducts(answered, toLedge, held);
        for (int i = 0; i < n; i++) {
            rim[i] = net.rimJPerK[i] * perS * from[rimAt + i]
                    + exposure.sideWPerM2K(i) * net.sideM2[i] * exposure.sideRiseK()
                    + net.ledgeToRimWPerK[i] * answered[i]
                    + rimToStrip[i] * strip[0][i];
            double back = net.backJPerK[i] * perS * from[backAt + i];
            for (int s = 0; s < STRIPS; s++) {
                back += tiedToBack[s][i] * strip[s * STRIP + STRIP - 1][i];
            }
            rim[n + i] = back;
        }
        rings.solve(rim);
        for (int k = 0; k < centreCells; k++) {
            centre[k] = net.centreJPerK[k] * perS * from[centreAt + k];
        }
        centre[0] += centreFaceW * exposure.centreRiseK();
        for (int g = 0; g < GROUPS; g++) {
            double watts = dot(pull[g], rim);
            for (int a : TIED_TO[g]) {
                watts += dot(tied[a][g], strip[a]);
            }
            intoGroup(g, watts);
        }
        solveCentre();
        System.arraycopy(centre, 0, to, centreAt, centreCells);
        for (int g = 0; g < GROUPS; g++) {
            double kelvin = group(g);
            for (int i = 0; i < 2 * n; i++) {
                rim[i] += drawn[g][i] * kelvin;
            }
        }
        System.arraycopy(rim, 0, to, rimAt, 2 * n);
        for (int a = 0; a < INBOARD; a++) {
            double[] own = strip[a];
            double[] byGlass = strips[a * INBOARD];
            double[] byBack = toBack[a];
            for (int i = 0; i < n; i++) {
                own[i] += byGlass[i] * rimToStrip[i] * rim[i] + byBack[i] * rim[n + i];
            }
            for (int g = 0; g < GROUPS; g++) {
                double kelvin = group(g);
                double[] by = toGroup[a][g];
                for (int i = 0; i < n; i++) {
                    own[i] += by[i] * kelvin;
                }
            }
            System.arraycopy(own, 0, to, stripsAt + a * n, n);
        }
        System.arraycopy(held, 0, column, 0, rimAt);
        for (int i = 0; i < n; i++) {
            column[ledge + i] += net.ledgeToRimWPerK[i] * rim[i];
        }
        for (int k = 0; k < GLASS; k++) {
            for (int i = 0; i < n; i++) {
                column[k * n + i] += tieWPerK[i] / GLASS * strip[0][i];
            }
        }
        eliminate(column);
        System.arraycopy(column, 0, to, 0, rimAt);
    }

    private void hold(double[] from) {
        double[] right = held;
        double[] before = beforeWPerK;
        for (int i = 0; i < right.length; i++) {
            right[i] = before[i] * from[i];
        }
        double[] faceK = exposure.borderRiseK();
        for (int i = 0; i < pieces; i++) {
            right[i] += faceW[i] * faceK[i];
        }
    }

    /** As warm as the strips would be with frame and centre at the room's temperature. */
    private void eliminateStrips(double[] from, int stripsAt) {
        int n = pieces;
        for (int a = 0; a < INBOARD; a++) {
            double[] rightHere = right[a];
            for (int i = 0; i < n; i++) {
                rightHere[i] = stripBeforeWPerK[a * n + i] * from[stripsAt + a * n + i];
            }
        }
        for (int s = 0; s < STRIPS; s++) {
            for (int i = 0; i < n; i++) {
                right[s * STRIP][i] += stripFaceW[s][i] * exposure.stripRiseK(s, i);
            }
        }
        addProducts(right[0], toStrip, held);
        for (int a = 0; a < INBOARD; a++) {
            double[] sum = strip[a];
            Arrays.fill(sum, 0);
            for (int b = 0; b < INBOARD; b++) {
                double[] row = strips[a * INBOARD + b];
                double[] by = right[b];
                for (int i = 0; i < n; i++) {
                    sum[i] += row[i] * by[i];
                }
            }
        }
    }

    /** Cell by cell of a column, for all pieces. */
    private void addProducts(double[] to, double[] a, double[] b) {
        for (int k = 0, at = 0; k < COLUMN; k++) {
            for (int i = 0; i < pieces; i++, at++) {
                to[i] += a[at] * b[at];
            }
        }
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    private void solveCentre() {
        for (int a = 0; a < centreCells; a++) {
            double[] row = centreFactor[a];
            double value = centre[a];
            for (int k = 0; k < a; k++) {
                value -= row[k] * centre[k];
            }
            centre[a] = value / row[a];
        }
        for (int a = centreCells - 1; a >= 0; a--) {
            centre[a] /= centreFactor[a][a];
            for (int k = 0; k < a; k++) {
                centre[k] -= centreFactor[a][k] * centre[a];
            }
        }
    }
}
