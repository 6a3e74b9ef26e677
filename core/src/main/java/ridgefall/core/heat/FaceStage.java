package ridgefall.core.heat;

import static ridgefall.core.heat.FaceNetwork.TIED;
import static ridgefall.core.heat.FaceNetwork.TIES;
import static ridgefall.core.heat.RingNetwork.COLUMN;
import static ridgefall.core.heat.RingNetwork.GLASS;

import java.util.Arrays;

/** One implicit stage: (C/δ + K)·x = C/δ·b + inflow, factored for its δ and fin. */
final class FaceStage {
    private final FaceNetwork net;
    private final int pieces;
    private final double perS;
    /** What holds each cell of a column to what it was: C/δ. */
    private final double[] beforeWPerK;
    /**
     * Of each column, from the ledge out to its face: 1/pivot, and what of a cell's right side goes on to the next. A
     * face is the last to be met and changes its own pivot alone.
     */
    private final double[] inverse;

    private final double[] carried;
    private final double[] facelessPivot;
    /** How the tied cells of a column without its face answer to one watt into each of them. */
    private final double[][] answer;

    private final double[] tieWPerK;
    private final double tiesWPerK;
    /** How the outermost cell answers to a kelvin at the far end of a tie; and the glass to itself, all pieces together. */
    private final double[][] faceAnswer;

    private final double[][] glassAnswer;

    // From here on with the faces as they are exposed.
    private final double[] faceW;
    private final double[] faceShare;
    private double centreFaceW;
    private final double[][] pull;
    private final double[][] drawn;
    private final double[] rimDiagonal;
    private final double[] rimPivot;
    private final double[] rimClosing;
    private double rimLast;
    private final double[][] centreFactor;
    private final double[] right;
    private final double[] column;
    private final double[] rim;
    private final double[] centre;

    FaceStage(FaceNetwork net, double deltaS, double finWPerMK) {
        this.net = net;
        this.pieces = net.pieces;
        this.perS = 1 / deltaS;
        beforeWPerK = new double[COLUMN * pieces];
        inverse = new double[COLUMN * pieces];
        carried = new double[COLUMN * pieces];
        facelessPivot = new double[pieces];
        answer = new double[TIES * TIES][pieces];
        tieWPerK = new double[pieces];
        faceAnswer = new double[TIES][pieces];
        glassAnswer = new double[GLASS][GLASS];
        faceW = new double[pieces];
        faceShare = new double[pieces];
        pull = new double[TIES][pieces];
        drawn = new double[TIES][pieces];
        rimDiagonal = new double[pieces];
        rimPivot = new double[pieces];
        rimClosing = new double[pieces];
        centreFactor = new double[net.centreCells][net.centreCells];
        right = new double[COLUMN * pieces];
        column = new double[COLUMN * pieces];
        rim = new double[pieces];
        centre = new double[net.centreCells];
        for (int i = 0; i < pieces; i++) {
            tieWPerK[i] = net.finShare[i] * finWPerMK * net.lengthM[i] / GLASS;
        }
        tiesWPerK = RingNetwork.sum(tieWPerK);
        for (int i = 0; i < beforeWPerK.length; i++) {
            beforeWPerK[i] = net.columnJPerK[i] * perS;
        }
        factorColumns();
        answerTies();
    }

    private void factorColumns() {
        int n = pieces;
        for (int k = COLUMN - 1; k >= 0; k--) {
            for (int i = 0; i < n; i++) {
                int at = k * n + i;
                double diagonal = beforeWPerK[at]
                        + (k > 0 ? net.columnWPerK[at - n] : 0)
                        + (k < COLUMN - 1 ? net.columnWPerK[at] : 0)
                        + (k < GLASS ? tieWPerK[i] : 0)
                        + (k == COLUMN - 1 ? net.ledgeToRimWPerK[i] : 0);
                if (k < COLUMN - 1) {
                    carried[at] = net.columnWPerK[at] * inverse[at + n];
                    diagonal -= net.columnWPerK[at] * carried[at];
                }
                inverse[at] = 1 / diagonal;
                if (k == 0) {
                    facelessPivot[i] = diagonal;
                }
            }
        }
    }

    private void answerTies() {
        int n = pieces;
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

    /** Solves all columns in place. Most of a plan's time is spent here: what it reads is at hand, not looked up. */
    private void eliminate() {
        int n = pieces;
        double[] x = column;
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

    private Exposure exposure;

    /** What it faces from here on; the same again costs nothing. */
    void face(Exposure exposure) {
        if (exposure == this.exposure) {
            return;
        }
        this.exposure = exposure;
        int n = pieces;
        centreFaceW = net.facing(exposure.centreWPerM2K(), net.insideM2);
        for (int i = 0; i < n; i++) {
            faceW[i] = net.facing(exposure.borderWPerM2K()[i], net.faceM2[i]);
            faceShare[i] = faceW[i] / (1 + faceW[i] * answer[0][i]);
            inverse[i] = 1 / (facelessPivot[i] + faceW[i]);
            double ends = answered(TIES - 1, TIES - 1, i);
            double before = net.alongWPerK[(i + n - 1) % n];
            rimDiagonal[i] = net.rimJPerK[i] * perS
                    + net.ledgeToRimWPerK[i] * (1 - net.ledgeToRimWPerK[i] * ends)
                    + net.alongWPerK[i]
                    + before
                    + net.rimToBackWPerK[i]
                    + net.rimLossWPerK[i];
            for (int k = 0; k < GLASS; k++) {
                pull[k][i] = net.ledgeToRimWPerK[i] * tieWPerK[i] * answered(k, TIES - 1, i);
            }
            pull[GLASS][i] = net.rimToBackWPerK[i];
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
            rimPivot[i] = 1 / (rimDiagonal[i] - net.alongWPerK[i - 1] * net.alongWPerK[i - 1] * rimPivot[i - 1]);
        }
        Arrays.fill(rimClosing, 0);
        rimClosing[0] = net.alongWPerK[n - 1];
        rimClosing[n - 2] += net.alongWPerK[n - 2];
        alongOpenRim(rimClosing);
        rimLast =
                rimDiagonal[n - 1] - net.alongWPerK[n - 1] * rimClosing[0] - net.alongWPerK[n - 2] * rimClosing[n - 2];
    }

    private void alongOpenRim(double[] x) {
        int n = pieces;
        for (int i = 1; i < n - 1; i++) {
            x[i] += net.alongWPerK[i - 1] * rimPivot[i - 1] * x[i - 1];
        }
        x[n - 2] *= rimPivot[n - 2];
        for (int i = n - 3; i >= 0; i--) {
            x[i] = (x[i] + net.alongWPerK[i] * x[i + 1]) * rimPivot[i];
        }
    }

    private void solveRim(double[] x) {
        int n = pieces;
        double closing = x[n - 1];
        alongOpenRim(x);
        double end = (closing + net.alongWPerK[n - 1] * x[0] + net.alongWPerK[n - 2] * x[n - 2]) / rimLast;
        for (int i = 0; i < n - 1; i++) {
            x[i] += rimClosing[i] * end;
        }
        x[n - 1] = end;
    }

    /** What is left for the centre once columns and ring are eliminated, in Cholesky factors. */
    private void factorCentre() {
        int m = net.centreCells;
        for (int a = 0; a < m; a++) {
            System.arraycopy(net.centreWPerK[a], 0, centreFactor[a], 0, m);
            centreFactor[a][a] += net.centreJPerK[a] * perS;
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
        return cell < GLASS || cell == net.centreCells - 1 ? 0 : cell - 1;
    }

    /** The centre's cells that the edge is tied to: its glass, and the back. */
    private int tiedCentre(int tie) {
        return tie < GLASS ? tie : net.centreCells - 1;
    }

    void solve(double[] from, double[] to) {
        int n = pieces;
        int rimAt = COLUMN * n;
        int centreAt = rimAt + n;
        double[] held = right;
        double[] before = beforeWPerK;
        double[] facing = faceW;
        double[] faceK = exposure.borderRiseK();
        for (int i = 0; i < rimAt; i++) {
            held[i] = before[i] * from[i];
        }
        for (int i = 0; i < n; i++) {
            held[i] += facing[i] * faceK[i];
        }
        System.arraycopy(held, 0, column, 0, rimAt);
        eliminate();
        int ledge = (COLUMN - 1) * n;
        for (int i = 0; i < n; i++) {
            rim[i] = net.rimJPerK[i] * perS * from[rimAt + i] + net.ledgeToRimWPerK[i] * column[ledge + i];
        }
        solveRim(rim);
        for (int k = 0; k < net.centreCells; k++) {
            centre[k] = net.centreJPerK[k] * perS * from[centreAt + k];
        }
        centre[0] += centreFaceW * exposure.centreRiseK();
        for (int tie = 0; tie < TIES; tie++) {
            centre[tiedCentre(tie)] += dot(pull[tie], rim, 0) + (tie < GLASS ? dot(tieWPerK, column, tie * n) : 0);
        }
        solveCentre();
        System.arraycopy(centre, 0, to, centreAt, net.centreCells);
        System.arraycopy(rim, 0, to, rimAt, n);
        for (int tie = 0; tie < TIES; tie++) {
            add(to, rimAt, drawn[tie], centre[tiedCentre(tie)]);
        }
        System.arraycopy(held, 0, column, 0, rimAt);
        for (int i = 0; i < n; i++) {
            column[ledge + i] += net.ledgeToRimWPerK[i] * to[rimAt + i];
        }
        for (int k = 0; k < GLASS; k++) {
            add(column, k * n, tieWPerK, centre[k]);
        }
        eliminate();
        System.arraycopy(column, 0, to, 0, rimAt);
    }

    private double dot(double[] a, double[] b, int bFrom) {
        double sum = 0;
        for (int i = 0; i < pieces; i++) {
            sum += a[i] * b[bFrom + i];
        }
        return sum;
    }

    private void add(double[] to, int toFrom, double[] what, double times) {
        for (int i = 0; i < pieces; i++) {
            to[toFrom + i] += what[i] * times;
        }
    }

    private void solveCentre() {
        for (int a = 0; a < net.centreCells; a++) {
            double[] row = centreFactor[a];
            double value = centre[a];
            for (int k = knows(a); k < a; k++) {
                value -= row[k] * centre[k];
            }
            centre[a] = value / row[a];
        }
        for (int a = net.centreCells - 1; a >= 0; a--) {
            centre[a] /= centreFactor[a][a];
            for (int k = knows(a); k < a; k++) {
                centre[k] -= centreFactor[a][k] * centre[a];
            }
        }
    }
}
