package ridgefall.core.heat;

import java.util.Arrays;

/**
 * Frames and the parts of the back behind them, two rings side by side: each frame is joined to its neighbours and to its part of
 * the back, each part of the back to its neighbours. Solved exactly: pair by pair along the open rings, the last pair kept back.
 * Unknowns are {@code [frame 0 … n−1, back 0 … n−1]}.
 */
final class PairedRings {
    private final int n;
    private final double[] frameAlong;
    private final double[] backAlong;
    /** What of a pair's neighbour is left in it: the inverse of its 2 × 2 pivot. */
    private final double[] inverseFF;

    private final double[] inverseFB;
    private final double[] inverseBB;
    /** How a pair answers to a kelvin of the one before it, and of the next: frame to frame, to back, and so on. */
    private final double[][] onward = new double[4][];

    private final double[][] backward = new double[4][];
    /** How all answer to a kelvin of the last frame, and of the last back. */
    private final double[][] closing = new double[2][];

    private double lastFF;
    private double lastFB;
    private double lastBB;

    /** @param frameAlong W/K from each frame to the next, and {@code backAlong} in the same way */
    PairedRings(double[] frameAlong, double[] backAlong) {
        this.n = frameAlong.length;
        this.frameAlong = frameAlong;
        this.backAlong = backAlong;
        inverseFF = new double[n];
        inverseFB = new double[n];
        inverseBB = new double[n];
        Arrays.setAll(closing, i -> new double[2 * n]);
        Arrays.setAll(onward, i -> new double[n]);
        Arrays.setAll(backward, i -> new double[n]);
    }

    /**
     * @param frame diagonals of the frames, and {@code back} of the backs, with what goes along
     * @param between how much a kelvin of the one brings into the other, W/K
     */
    void factor(double[] frame, double[] back, double[] between) {
        for (int i = 0; i < n - 1; i++) {
            double ff = frame[i];
            double bb = back[i];
            double fb = -between[i];
            if (i > 0) {
                double f = frameAlong[i - 1];
                double b = backAlong[i - 1];
                ff -= f * f * inverseFF[i - 1];
                bb -= b * b * inverseBB[i - 1];
                fb -= f * b * inverseFB[i - 1];
            }
            double determinant = ff * bb - fb * fb;
            inverseFF[i] = bb / determinant;
            inverseBB[i] = ff / determinant;
            inverseFB[i] = -fb / determinant;
            answer(onward, i, (i + n - 1) % n);
            answer(backward, i, i);
        }
        for (int c = 0; c < 2; c++) {
            double[] along = c == 0 ? frameAlong : backAlong;
            Arrays.fill(closing[c], 0);
            closing[c][c * n] += along[n - 1];
            closing[c][c * n + n - 2] += along[n - 2];
            open(closing[c]);
        }
        lastFF = frame[n - 1] - fromNeighbours(0, closing[0]);
        lastBB = back[n - 1] - fromNeighbours(1, closing[1]);
        lastFB = -between[n - 1] - fromNeighbours(0, closing[1]);
    }

    /** What the neighbours of the last frame or back bring it. */
    private double fromNeighbours(int ring, double[] x) {
        double[] along = ring == 0 ? frameAlong : backAlong;
        return along[n - 1] * x[ring * n] + along[n - 2] * x[ring * n + n - 2];
    }

    private void answer(double[][] answers, int pair, int joint) {
        answers[0][pair] = inverseFF[pair] * frameAlong[joint];
        answers[1][pair] = inverseFB[pair] * backAlong[joint];
        answers[2][pair] = inverseFB[pair] * frameAlong[joint];
        answers[3][pair] = inverseBB[pair] * backAlong[joint];
    }

    /** Each pair by itself, then what goes on from one to the next: a short way, as each waits for the one before it. */
    private void open(double[] x) {
        for (int i = 0; i < n - 1; i++) {
            double f = x[i];
            double b = x[n + i];
            x[i] = inverseFF[i] * f + inverseFB[i] * b;
            x[n + i] = inverseFB[i] * f + inverseBB[i] * b;
        }
        for (int i = 1; i < n - 1; i++) {
            bring(x, i, onward, x[i - 1], x[n + i - 1]);
        }
        for (int i = n - 3; i >= 0; i--) {
            bring(x, i, backward, x[i + 1], x[n + i + 1]);
        }
    }

    private void bring(double[] x, int pair, double[][] answers, double frameK, double backK) {
        x[pair] += answers[0][pair] * frameK + answers[1][pair] * backK;
        x[n + pair] += answers[2][pair] * frameK + answers[3][pair] * backK;
    }

    /** In place. */
    void solve(double[] x) {
        double f = x[n - 1];
        double b = x[2 * n - 1];
        x[n - 1] = 0;
        x[2 * n - 1] = 0;
        open(x);
        f += fromNeighbours(0, x);
        b += fromNeighbours(1, x);
        double determinant = lastFF * lastBB - lastFB * lastFB;
        double frame = (lastBB * f - lastFB * b) / determinant;
        double back = (lastFF * b - lastFB * f) / determinant;
        for (int i = 0; i < n - 1; i++) {
            x[i] += closing[0][i] * frame + closing[1][i] * back;
            x[n + i] += closing[0][n + i] * frame + closing[1][n + i] * back;
        }
        x[n - 1] = frame;
        x[2 * n - 1] = back;
    }
}
