package ridgefall.core.heat;

import java.util.Arrays;
import org.hipparchus.random.SobolSequenceGenerator;
import org.hipparchus.special.Erf;

/**
 * What is known of the {@link Unknown}s, as a normal distribution of their scores: before anything is measured each is
 * standard normal and knows nothing of the others.
 *
 * @param mean one score an unknown
 * @param root lower triangular; its product with its transpose is the covariance
 */
record Knowledge(double[] mean, double[][] root) {

    static Knowledge handbook() {
        int n = Unknown.count();
        double[][] root = new double[n][n];
        for (int i = 0; i < n; i++) {
            root[i][i] = 1;
        }
        return new Knowledge(new double[n], root);
    }

    /** What a source's calibration says about this device: all of it where the same kind was measured. */
    static Knowledge of(HeatSource source, String profileId) {
        Calibration measured = source.measured();
        if (measured == null) {
            return handbook();
        }
        if (measured.profileId().equals(profileId)) {
            return new Knowledge(measured.mean(), measured.root());
        }
        // Another device's layers say nothing about this one's; the source is the same.
        Knowledge own = handbook();
        for (Unknown unknown : new Unknown[] {Unknown.CONTACT, Unknown.SURFACE}) {
            int i = unknown.ordinal();
            own.mean[i] = measured.mean()[i];
            own.root[i][i] =
                    Math.sqrt(Arrays.stream(measured.root()[i]).map(r -> r * r).sum());
        }
        return own;
    }

    double[] scores(double[] normals) {
        double[] scores = mean.clone();
        for (int i = 0; i < scores.length; i++) {
            for (int j = 0; j <= i; j++) {
                scores[i] += root[i][j] * normals[j];
            }
        }
        return scores;
    }

    double sigma(Unknown unknown) {
        return Math.sqrt(Arrays.stream(root[unknown.ordinal()]).map(r -> r * r).sum());
    }

    /** Points of a Sobol sequence as standard normal numbers, a row each; the same whenever asked. */
    static double[][] normals(int count) {
        SobolSequenceGenerator sobol = new SobolSequenceGenerator(Unknown.count());
        sobol.skipTo(1); // the first point is the corner at zero
        double[][] normals = new double[count][];
        for (int i = 0; i < count; i++) {
            normals[i] = Arrays.stream(sobol.nextVector())
                    .map(u -> Math.sqrt(2) * Erf.erfInv(2 * Math.min(Math.max(u, 1e-3), 1 - 1e-3) - 1))
                    .toArray();
        }
        return normals;
    }
}
