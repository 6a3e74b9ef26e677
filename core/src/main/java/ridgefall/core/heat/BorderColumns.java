package ridgefall.core.heat;

import static ridgefall.core.heat.RingNetwork.COLUMN;

/**
 * The columns of the border, each a chain of cells from its face in to its ledge: eliminated from the ledge out, so that what the
 * face meets changes the last pivot of each alone.
 */
final class BorderColumns {
    private final double[][] onwardWPerK;
    private final double[][] carried;
    private final double[][] inverse;
    private final double[] facelessPivot;

    BorderColumns(RingNetwork net) {
        onwardWPerK = Rows.cut(net.columnWPerK, net.pieces);
        carried = new double[COLUMN - 1][net.pieces];
        inverse = new double[COLUMN][net.pieces];
        facelessPivot = new double[net.pieces];
    }

    /** @param besidesWPerK by cell and piece: what holds it but its neighbours in the column, and but its face */
    void factor(double[][] besidesWPerK) {
        int last = COLUMN - 1;
        for (int i = 0; i < facelessPivot.length; i++) {
            for (int k = last; k >= 0; k--) {
                double pivot = besidesWPerK[k][i] + (k > 0 ? onwardWPerK[k - 1][i] : 0);
                if (k < last) {
                    carried[k][i] = onwardWPerK[k][i] * inverse[k + 1][i];
                    pivot += onwardWPerK[k][i] * (1 - carried[k][i]);
                }
                inverse[k][i] = 1 / pivot;
                facelessPivot[i] = pivot;
            }
        }
    }

    void face(double[] faceWPerK) {
        double[] outermost = inverse[0];
        for (int i = 0; i < outermost.length; i++) {
            outermost[i] = 1 / (facelessPivot[i] + faceWPerK[i]);
        }
    }

    /**
     * Kelvins of watts.
     *
     * @param watts cell by cell, each for all pieces
     * @param x by cell and piece: what comes of it
     */
    void solve(double[] watts, double[][] x) {
        int n = facelessPivot.length;
        System.arraycopy(watts, (COLUMN - 1) * n, x[COLUMN - 1], 0, n);
        for (int k = COLUMN - 2; k >= 0; k--) {
            inward(x[k], watts, k * n, carried[k], x[k + 1]);
        }
        Rows.product(x[0], inverse[0], x[0], 0);
        for (int k = 1; k < COLUMN; k++) {
            onward(x[k], onwardWPerK[k - 1], x[k - 1], inverse[k]);
        }
    }

    private static void inward(double[] x, double[] watts, int wattsFrom, double[] carried, double[] next) {
        for (int i = 0; i < x.length; i++) {
            x[i] = watts[wattsFrom + i] + carried[i] * next[i];
        }
    }

    private static void onward(double[] x, double[] wPerK, double[] before, double[] inverse) {
        for (int i = 0; i < x.length; i++) {
            x[i] = (x[i] + wPerK[i] * before[i]) * inverse[i];
        }
    }
}
