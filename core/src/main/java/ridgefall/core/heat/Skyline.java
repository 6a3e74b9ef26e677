package ridgefall.core.heat;

/**
 * A symmetric positive definite matrix, factored as L·D·Lᵀ within its skyline: nothing appears before the first that a row knows.
 * Without roots, and without a division where it is solved: each row waits for the one before it.
 */
final class Skyline {
    /** L below its diagonal of ones. */
    private final double[][] below;

    private final double[] inverse;
    private final int[] first;

    Skyline(int size) {
        below = new double[size][size];
        inverse = new double[size];
        first = new int[size];
    }

    /** @param matrix of which the lower triangle is read */
    void factor(double[][] matrix) {
        for (int a = 0; a < below.length; a++) {
            double[] row = below[a];
            System.arraycopy(matrix[a], 0, row, 0, a);
            first[a] = 0;
            while (first[a] < a && row[first[a]] == 0) {
                first[a]++;
            }
            for (int b = first[a]; b < a; b++) {
                double[] other = below[b];
                double value = row[b];
                for (int k = Math.max(first[a], first[b]); k < b; k++) {
                    value -= row[k] * other[k];
                }
                row[b] = value;
            }
            double pivot = matrix[a][a];
            for (int b = first[a]; b < a; b++) {
                double share = row[b] * inverse[b];
                pivot -= row[b] * share;
                row[b] = share;
            }
            inverse[a] = 1 / pivot;
        }
    }

    /** In place. */
    void solve(double[] x) {
        for (int a = 1; a < below.length; a++) {
            double[] row = below[a];
            double value = x[a];
            for (int k = first[a]; k < a; k++) {
                value -= row[k] * x[k];
            }
            x[a] = value;
        }
        for (int a = 0; a < below.length; a++) {
            x[a] *= inverse[a];
        }
        for (int a = below.length - 1; a > 0; a--) {
            double[] row = below[a];
            double value = x[a];
            for (int k = first[a]; k < a; k++) {
                x[k] -= row[k] * value;
            }
        }
    }
}
