package ridgefall.core.decide;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.hipparchus.distribution.continuous.BetaDistribution;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Source;

/**
 * How likely something goes wrong: a beta distribution, from a weak prior and what this shop has counted (beta-binomial).
 *
 * @param mean 0–1; {@code p10} and {@code p90} bound it with four chances in five
 * @param jobs how many finished jobs of this kind were counted, {@code cases} of them went wrong
 */
public record Chance(double mean, double p10, double p90, int jobs, int cases, Source source) {
    /** A prior weighs as much as this many jobs: soon outvoted by the shop's own. */
    private static final double PRIOR_JOBS = 12;

    /** To the millionth, so that money does not see how a double was computed. */
    BigDecimal factor() {
        return BigDecimal.valueOf(mean).setScale(6, RoundingMode.HALF_EVEN);
    }

    /** @param prior common practice, 0.001–0.9 */
    public static Chance of(double prior, int jobs, int cases) {
        Allowed.between("prior", prior, 0.001, 0.9, "");
        Allowed.between("jobs", jobs, 0, 1_000_000, "jobs");
        Allowed.between("cases", cases, 0, jobs, "of the jobs");
        BetaDistribution beta =
                new BetaDistribution(PRIOR_JOBS * prior + cases, PRIOR_JOBS * (1 - prior) + jobs - cases);
        return new Chance(
                beta.getNumericalMean(),
                beta.inverseCumulativeProbability(0.1),
                beta.inverseCumulativeProbability(0.9),
                jobs,
                cases,
                jobs == 0 ? Source.COMMON_PRACTICE : Source.MEASURED_HERE);
    }
}
