package ridgefall.core.units;

import java.util.Arrays;

/**
 * The spread of a computed number: the values that 10, 50 and 90 of 100 plausible benches stay below. Infinite where
 * that share of benches never gets there.
 */
public record Band(double p10, double p50, double p90) {

    /** Percentiles by linear interpolation between order statistics; infinities are kept as they are. */
    public static Band of(double[] samples) {
        double[] sorted = samples.clone();
        Arrays.sort(sorted);
        return new Band(percentile(sorted, 0.1), percentile(sorted, 0.5), percentile(sorted, 0.9));
    }

    private static double percentile(double[] sorted, double p) {
        double at = p * (sorted.length - 1);
        int below = (int) at;
        double low = sorted[below];
        double high = sorted[Math.min(below + 1, sorted.length - 1)];
        double share = at - below;
        // Not low + share·(high − low): infinity minus infinity is no number.
        return share == 0 || low == high ? low : low * (1 - share) + high * share;
    }
}
