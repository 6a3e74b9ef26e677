package ridgefall.core.heat;

import java.util.Arrays;

/**
 * Short loops over all pieces of one cell at a time, each over arrays of its own: written like this the machine does several
 * pieces at once. Most of a plan's time is spent here.
 */
final class Rows {
    private Rows() {}

    static double[] times(double[] values, double factor) {
        return Arrays.stream(values).map(value -> value * factor).toArray();
    }

    /** {@code to = a · b}, of which {@code b} begins later. */
    static void product(double[] to, double[] a, double[] b, int bFrom) {
        for (int i = 0; i < to.length; i++) {
            to[i] = a[i] * b[bFrom + i];
        }
    }

    /** {@code to += a · b}, where {@code to} begins later. */
    static void addProduct(double[] to, int toFrom, double[] a, double[] b) {
        for (int i = 0; i < a.length; i++) {
            to[toFrom + i] += a[i] * b[i];
        }
    }

    /** {@code to += a · b + c · d}, where {@code to} begins later. */
    static void addProducts(double[] to, int toFrom, double[] a, double[] b, double[] c, double[] d) {
        for (int i = 0; i < a.length; i++) {
            to[toFrom + i] += a[i] * b[i] + c[i] * d[i];
        }
    }

    /** {@code to += times · a}, where {@code to} begins later. */
    static void addTimes(double[] to, int toFrom, double[] a, double times) {
        for (int i = 0; i < a.length; i++) {
            to[toFrom + i] += a[i] * times;
        }
    }

    /** Four sums side by side: one alone waits for itself. */
    static double dot(double[] a, double[] b) {
        double first = 0;
        double second = 0;
        double third = 0;
        double fourth = 0;
        int i = 0;
        for (; i + 3 < a.length; i += 4) {
            first += a[i] * b[i];
            second += a[i + 1] * b[i + 1];
            third += a[i + 2] * b[i + 2];
            fourth += a[i + 3] * b[i + 3];
        }
        for (; i < a.length; i++) {
            first += a[i] * b[i];
        }
        return first + second + (third + fourth);
    }

    /** A vector of all cells, cut into one row of all pieces for each. */
    static double[][] cut(double[] cells, int pieces) {
        double[][] rows = new double[cells.length / pieces][pieces];
        for (int row = 0; row < rows.length; row++) {
            System.arraycopy(cells, row * pieces, rows[row], 0, pieces);
        }
        return rows;
    }
}
