package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.junit.jupiter.api.Test;

/** What every stage of a ring ends in: a few cells of the middle, most of which know their neighbours alone. */
class SkylineTest {
    private static double[] solved(double[][] matrix, double... right) {
        Skyline skyline = new Skyline(matrix.length);
        skyline.factor(matrix);
        double[] x = right.clone();
        skyline.solve(x);
        return x;
    }

    /** By hand: 4x + 2y = 10 and 2x + 3y = 9. */
    @Test
    void twoCellsAreSolvedAsByHand() {
        assertThat(solved(new double[][] {{4, 2}, {2, 3}}, 10, 9))
                .containsExactly(new double[] {1.5, 2}, within(1e-12));
    }

    /** A chain whose last cell knows the first four and itself, as glass and back do; each matrix against a general solver. */
    @Test
    void aChainTiedAtItsEndIsSolvedAsByAGeneralSolver() {
        Random random = new Random(7);
        for (int size = 6; size < 26; size++) {
            double[][] matrix = tied(size, random);
            double[] right = random.doubles(size, -50, 50).toArray();
            double[] general = new LUDecomposition(MatrixUtils.createRealMatrix(matrix))
                    .getSolver()
                    .solve(new ArrayRealVector(right))
                    .toArray();
            assertThat(solved(matrix, right)).as("%d cells", size).containsExactly(general, within(1e-9));
        }
    }

    private static double[][] tied(int size, Random random) {
        double[][] matrix = new double[size][size];
        for (int cell = 0; cell < size; cell++) {
            matrix[cell][cell] += 0.1 + random.nextDouble();
            if (cell > 0) {
                join(matrix, cell, cell - 1, 5 * random.nextDouble());
            }
        }
        for (int glass = 0; glass < 4; glass++) {
            join(matrix, size - 1, glass, random.nextDouble());
        }
        return matrix;
    }

    private static void join(double[][] matrix, int a, int b, double wPerK) {
        matrix[a][a] += wPerK;
        matrix[b][b] += wPerK;
        matrix[a][b] -= wPerK;
        matrix[b][a] -= wPerK;
    }
}
