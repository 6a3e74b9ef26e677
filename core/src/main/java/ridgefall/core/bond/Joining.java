package ridgefall.core.bond;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;

/**
 * How far new glass has been joined to the panel that was kept.
 *
 * @param lampMwPerCm2 as it was measured last; empty before that
 * @param liquid between the two; empty where none is
 * @param lamp that is on
 * @param shoneJ what fell on it so far, J/cm², before glass or ink took their share
 */
public record Joining(
        Optional<Double> lampMwPerCm2, Optional<Liquid> liquid, Optional<Lamp> lamp, Map<Lit, Double> shoneJ) {
    static final Joining NOTHING = new Joining(Optional.empty(), Optional.empty(), Optional.empty(), Map.of());

    /**
     * @param spread whether it is at every corner
     * @param doseJPerCm2 that it hardens by
     */
    public record Liquid(int dots, Instant laidAt, boolean spread, double doseJPerCm2) {}

    record Lamp(Lit lit, double mwPerCm2, int seconds, Instant since) {
        double joules(Instant until) {
            double on = Math.min(seconds, Duration.between(since, until).toMillis() / 1000.0);
            return mwPerCm2 * Math.max(0, on) / 1000;
        }
    }

    public static Joining of(JobState job) {
        return job.of(JoinFact.FAMILY);
    }

    /** Other glass is joined anew, and so is what was opened again. */
    Joining hears(Entry entry) {
        boolean anew = entry.fact() instanceof DetourFact.Reopened
                || entry.fact() instanceof PartsFact.PartSwapped swap && swap.front();
        return anew ? lifted() : this;
    }

    /** What it hardens by, J/cm². */
    public double doseJPerCm2() {
        return liquid.map(Liquid::doseJPerCm2).orElse(OpticalLiquid.DOSE_J_PER_CM2);
    }

    /** What fell on it, J/cm². */
    double shoneJ(Lit lit) {
        return shoneJ.getOrDefault(lit, 0.0);
    }

    /** What of that got to where it hardens, J/cm². */
    public double givenJ(OpticalLiquid through, Lit lit) {
        return through.share(lit) * shoneJ(lit);
    }

    Joining lamp(double mwPerCm2) {
        return new Joining(Optional.of(mwPerCm2), liquid, lamp, shoneJ);
    }

    Joining laid(Liquid anew) {
        return new Joining(lampMwPerCm2, Optional.of(anew), Optional.empty(), Map.of());
    }

    Joining spread() {
        return new Joining(
                lampMwPerCm2,
                liquid.map(it -> new Liquid(it.dots(), it.laidAt(), true, it.doseJPerCm2())),
                lamp,
                shoneJ);
    }

    Joining lifted() {
        return new Joining(lampMwPerCm2, Optional.empty(), Optional.empty(), Map.of());
    }

    Joining on(Lamp anew) {
        return new Joining(lampMwPerCm2, liquid, Optional.of(anew), shoneJ);
    }

    Joining off(Instant at) {
        Map<Lit, Double> after = lamp.map(it -> Fold.plus(shoneJ, it.lit(), shoneJ(it.lit()) + it.joules(at)))
                .orElse(shoneJ);
        return new Joining(lampMwPerCm2, liquid, Optional.empty(), after);
    }
}
