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
    /** What holds each cell of a column, and each frame, to what it was: C/δ. */
    private final double[] beforeWPerK;

    private final double[] rimBeforeWPerK;
    private final BorderColumns columns;
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
    /** What of a frame's right side goes on to the next, and of the next one's answer comes back. */
    private final double[] rimOn;

    private final double[] rimClosing;
    private double rimLast;
    private final double[][] left;
    private final Skyline centreFactor;
    private final double[] held;
    private final double[][] column;
    private final double[] rim;
    private final double[] centre;

    FaceStage(FaceNetwork net, double deltaS, double finWPerMK) {
        this.net = net;
        this.pieces = net.pieces;
        this.perS = 1 / deltaS;
        beforeWPerK = Rows.times(net.columnJPerK, perS);
        rimBeforeWPerK = Rows.times(net.rimJPerK, perS);
        columns = new BorderColumns(net);
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
        rimOn = new double[pieces];
        left = new double[net.centreCells][net.centreCells];
        centreFactor = new Skyline(net.centreCells);
        held = new double[COLUMN * pieces];
        column = new double[COLUMN][pieces];
        rim = new double[pieces];
        centre = new double[net.centreCells];
        for (int i = 0; i < pieces; i++) {
            tieWPerK[i] = net.finShare[i] * finWPerMK * net.lengthM[i] / GLASS;
        }
        tiesWPerK = RingNetwork.sum(tieWPerK);
        double[][] besides = new double[COLUMN][pieces];
        for (int k = 0; k < COLUMN; k++) {
            for (int i = 0; i < pieces; i++) {
                besides[k][i] = beforeWPerK[k * pieces + i] + (k < GLASS ? tieWPerK[i] : 0);
            }
        }
        Rows.addTimes(besides[COLUMN - 1], 0, net.ledgeToRimWPerK, 1);
        columns.factor(besides);
        columns.face(faceW);
        answerTies();
    }

    private void answerTies() {
        int n = pieces;
        for (int from = 0; from < TIES; from++) {
            Arrays.fill(held, 0);
            Arrays.fill(held, TIED[from] * n, (TIED[from] + 1) * n, 1);
            columns.solve(held, column);
            for (int to = 0; to < TIES; to++) {
                System.arraycopy(column[TIED[to]], 0, answer[from * TIES + to], 0, n);
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
            double ends = answered(TIES - 1, TIES - 1, i);
            double before = net.alongWPerK[(i + n - 1) % n];
            rimDiagonal[i] = rimBeforeWPerK[i]
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
        columns.face(faceW);
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
        Rows.product(rimOn, net.alongWPerK, rimPivot, 0);
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
            x[i] += rimOn[i - 1] * x[i - 1];
        }
        double last = x[n - 1];
        Rows.product(x, rimPivot, x, 0);
        x[n - 1] = last;
        for (int i = n - 3; i >= 0; i--) {
            x[i] += rimOn[i] * x[i + 1];
        }
    }

    private void solveRim(double[] x) {
        int n = pieces;
        double closing = x[n - 1];
        alongOpenRim(x);
        double end = (closing + net.alongWPerK[n - 1] * x[0] + net.alongWPerK[n - 2] * x[n - 2]) / rimLast;
        Rows.addTimes(x, 0, rimClosing, end);
        x[n - 1] = end;
    }

    /** What is left for the centre once columns and ring are eliminated. */
    private void factorCentre() {
        int m = net.centreCells;
        for (int a = 0; a < m; a++) {
            System.arraycopy(net.centreWPerK[a], 0, left[a], 0, m);
            left[a][a] += net.centreJPerK[a] * perS;
        }
        left[0][0] += centreFaceW;
        for (int a = 0; a < TIES; a++) {
            int row = tiedCentre(a);
            if (a < GLASS) {
                left[row][row] += tiesWPerK;
            }
            for (int b = 0; b <= a; b++) {
                double through = a < GLASS ? glassAnswer[a][b] : 0;
                for (int i = 0; i < pieces; i++) {
                    through += pull[a][i] * drawn[b][i] - faceShare[i] * faceAnswer[a][i] * faceAnswer[b][i];
                }
                left[row][tiedCentre(b)] -= through;
            }
        }
        centreFactor.factor(left);
    }

    /** The centre's cells that the edge is tied to: its glass, and the back. */
    private int tiedCentre(int tie) {
        return tie < GLASS ? tie : net.centreCells - 1;
    }

    void solve(double[] from, double[] to) {
        int n = pieces;
        int rimAt = COLUMN * n;
        int centreAt = rimAt + n;
        Rows.product(held, beforeWPerK, from, 0);
        Rows.addProduct(held, 0, faceW, exposure.borderRiseK());
        columns.solve(held, column);
        Rows.product(rim, rimBeforeWPerK, from, rimAt);
        Rows.addProduct(rim, 0, net.ledgeToRimWPerK, column[COLUMN - 1]);
        solveRim(rim);
        for (int k = 0; k < net.centreCells; k++) {
            centre[k] = net.centreJPerK[k] * perS * from[centreAt + k];
        }
        centre[0] += centreFaceW * exposure.centreRiseK();
        for (int tie = 0; tie < TIES; tie++) {
            centre[tiedCentre(tie)] += Rows.dot(pull[tie], rim) + (tie < GLASS ? Rows.dot(tieWPerK, column[tie]) : 0);
        }
        centreFactor.solve(centre);
        System.arraycopy(centre, 0, to, centreAt, net.centreCells);
        for (int tie = 0; tie < TIES; tie++) {
            Rows.addTimes(rim, 0, drawn[tie], centre[tiedCentre(tie)]);
        }
        System.arraycopy(rim, 0, to, rimAt, n);
        Rows.addProduct(held, (COLUMN - 1) * n, net.ledgeToRimWPerK, rim);
        for (int k = 0; k < GLASS; k++) {
            Rows.addTimes(held, k * n, tieWPerK, centre[k]);
        }
        columns.solve(held, column);
        for (int k = 0; k < COLUMN; k++) {
            System.arraycopy(column[k], 0, to, k * n, n);
        }
    }
}
