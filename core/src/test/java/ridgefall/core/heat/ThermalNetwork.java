package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/**
 * Nodes with a heat capacity, conductances between them and to surroundings of a fixed temperature.
 *
 * <p>Time steps are Crank–Nicolson; the first {@value #DAMPED_STEPS} are taken as two backward-Euler half steps each,
 * without which the solution rings after a sudden start (Rannacher 1984). Both are linear maps with the same inverse, so
 * a run solves once and then multiplies.
 */
final class ThermalNetwork {
    private static final int DAMPED_STEPS = 4;

    private final double[] capacityJPerK;
    private final double[][] conductanceWPerK;
    private final double[] inflowW;
    private int[][] linked;

    private ThermalNetwork(double[] capacityJPerK, double[][] conductanceWPerK, double[] inflowW) {
        this.capacityJPerK = capacityJPerK;
        this.conductanceWPerK = conductanceWPerK;
        this.inflowW = inflowW;
    }

    /** A row of cells through a sheet, hot side first, with the resistance of half a cell (m²·K/W). */
    record Cells(int first, int count, double halfCellM2KPerW) {
        int last() {
            return first + count - 1;
        }
    }

    /** Gathers nodes and conductances; every area is in m². */
    static final class Builder {
        private final List<Double> capacities = new ArrayList<>();
        private final List<double[]> links = new ArrayList<>();
        private final List<double[]> surroundings = new ArrayList<>();

        int node(double capacityJPerK) {
            capacities.add(capacityJPerK);
            return capacities.size() - 1;
        }

        double capacity(int node) {
            return capacities.get(node);
        }

        /** Splits a sheet into equal cells over an area. */
        Cells cells(int count, double thicknessM, double conductivity, double heatCapacity, double areaM2) {
            double dx = thicknessM / count;
            int first = capacities.size();
            for (int i = 0; i < count; i++) {
                node(heatCapacity * dx * areaM2);
                if (i > 0) {
                    link(first + i - 1, first + i, areaM2 * conductivity / dx);
                }
            }
            return new Cells(first, count, dx / 2 / conductivity);
        }

        /** Joins the last cell of one row to the first of the next through a contact resistance (m²·K/W). */
        void join(Cells from, Cells to, double areaM2, double contactM2KPerW) {
            link(from.last(), to.first(), areaM2 / (from.halfCellM2KPerW() + contactM2KPerW + to.halfCellM2KPerW()));
        }

        void link(int a, int b, double wPerK) {
            links.add(new double[] {a, b, wPerK});
        }

        void surround(int node, double wPerK, double celsius) {
            surroundings.add(new double[] {node, wPerK, celsius});
        }

        /** A face to its surroundings: {@code 1/(1/h + half cell)}. */
        void surround(int node, Cells cells, double areaM2, double hWPerM2K, double celsius) {
            surround(node, areaM2 / (1 / hWPerM2K + cells.halfCellM2KPerW()), celsius);
        }

        ThermalNetwork build() {
            int n = capacities.size();
            double[][] k = new double[n][n];
            double[] inflow = new double[n];
            for (double[] link : links) {
                int a = (int) link[0];
                int b = (int) link[1];
                k[a][a] += link[2];
                k[b][b] += link[2];
                k[a][b] -= link[2];
                k[b][a] -= link[2];
            }
            for (double[] s : surroundings) {
                k[(int) s[0]][(int) s[0]] += s[1];
                inflow[(int) s[0]] += s[1] * s[2];
            }
            return new ThermalNetwork(
                    capacities.stream().mapToDouble(Double::doubleValue).toArray(), k, inflow);
        }
    }

    int size() {
        return capacityJPerK.length;
    }

    /** How fast each node warms, K/s; only what is linked is looked at. Written into {@code perS}. */
    void slopes(double[] celsius, double[] perS) {
        if (linked == null) {
            linked = Arrays.stream(conductanceWPerK)
                    .map(row -> IntStream.range(0, row.length)
                            .filter(j -> row[j] != 0)
                            .toArray())
                    .toArray(int[][]::new);
        }
        for (int i = 0; i < perS.length; i++) {
            double flow = inflowW[i];
            double[] row = conductanceWPerK[i];
            for (int j : linked[i]) {
                flow -= row[j] * celsius[j];
            }
            perS[i] = flow / capacityJPerK[i];
        }
    }

    /** Takes a look at the temperatures after every step. */
    interface Observer {
        void at(double seconds, double[] celsius);
    }

    /**
     * Runs from {@code startC} (one temperature a node, left untouched) for {@code steps} steps and returns the last
     * temperatures. The observer sees the array being worked on: it must copy what it keeps.
     */
    double[] run(double[] startC, double stepS, int steps, Observer observer) {
        double[] now = startC.clone();
        double[] next = new double[now.length];
        Step damped = backwardEuler(stepS / 2);
        Step plain = damped.extrapolated();
        for (int i = 0; i < steps; i++) {
            if (i < DAMPED_STEPS) {
                damped.apply(now, next);
                damped.apply(next, now);
            } else {
                plain.apply(now, next);
                double[] swap = now;
                now = next;
                next = swap;
            }
            observer.at((i + 1) * stepS, now);
        }
        return now;
    }

    double[] uniform(double celsius) {
        double[] start = new double[size()];
        Arrays.fill(start, celsius);
        return start;
    }

    /** Where it ends when nothing changes: solves K·T = inflow. */
    double[] steady() {
        return new LUDecomposition(new Array2DRowRealMatrix(conductanceWPerK, false))
                .getSolver()
                .solve(new ArrayRealVector(inflowW, false))
                .toArray();
    }

    /** (C/dt + K)·T' = C/dt·T + inflow, solved for T' as a matrix and a vector. */
    private Step backwardEuler(double stepS) {
        int n = size();
        double[][] left = new double[n][n];
        double[][] right = new double[n][n];
        for (int i = 0; i < n; i++) {
            System.arraycopy(conductanceWPerK[i], 0, left[i], 0, n);
            left[i][i] += capacityJPerK[i] / stepS;
            right[i][i] = capacityJPerK[i] / stepS;
        }
        var solver = new LUDecomposition(new Array2DRowRealMatrix(left, false)).getSolver();
        double[][] columns =
                solver.solve(new Array2DRowRealMatrix(right, false)).transpose().getData();
        double[] shift = solver.solve(new ArrayRealVector(inflowW, false)).toArray();
        return new Step(columns, shift);
    }

    /** Column by column, because the JVM turns that loop into vector instructions and a sum over a row not. */
    private record Step(double[][] columns, double[] shift) {
        /** Crank–Nicolson over twice this backward-Euler step: as far again as it went, 2·T' − T. */
        Step extrapolated() {
            double[][] twice = new double[columns.length][];
            for (int j = 0; j < columns.length; j++) {
                twice[j] = Arrays.stream(columns[j]).map(c -> 2 * c).toArray();
                twice[j][j] -= 1;
            }
            return new Step(twice, Arrays.stream(shift).map(c -> 2 * c).toArray());
        }

        void apply(double[] from, double[] to) {
            System.arraycopy(shift, 0, to, 0, to.length);
            for (int j = 0; j < from.length; j++) {
                double[] column = columns[j];
                double factor = from[j];
                for (int i = 0; i < to.length; i++) {
                    to[i] += column[i] * factor;
                }
            }
        }
    }
}
