package ridgefall.core.units;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

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

    /**
     * Percentiles where some benches are more plausible than others: the value that this share of all weight lies below.
     *
     * @param weights one for each sample, none negative, not all 0
     */
    public static Band of(double[] samples, double[] weights) {
        Integer[] order = IntStream.range(0, samples.length).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingDouble(i -> samples[i]));
        double all = Arrays.stream(weights).sum();
        return new Band(
                weighted(samples, weights, order, 0.1 * all),
                weighted(samples, weights, order, 0.5 * all),
                weighted(samples, weights, order, 0.9 * all));
    }

    /** About which share of the benches stays below a value: straight lines between the three, 0 to 1. */
    public double shareBelow(double value) {
        double[] at = {p10, p50, p90};
        double[] share = {0.1, 0.5, 0.9};
        if (value < p10) {
            return value < 0 || p10 <= 0 ? 0 : share[0] * value / p10;
        }
        for (int i = 0; i + 1 < at.length; i++) {
            if (value < at[i + 1]) {
                return Double.isInfinite(at[i + 1])
                        ? share[i]
                        : share[i] + (share[i + 1] - share[i]) * (value - at[i]) / (at[i + 1] - at[i]);
            }
        }
        return 1;
    }

    private static double weighted(double[] samples, double[] weights, Integer[] order, double below) {
        double sum = 0;
        for (int i : order) {
            sum += weights[i];
            if (sum >= below) {
                return samples[i];
            }
        }
        return samples[order[order.length - 1]];
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
