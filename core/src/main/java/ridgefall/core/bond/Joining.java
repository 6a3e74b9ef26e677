package ridgefall.core.bond;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.ProfileDocument.OpticalBond;

/**
 * How far new glass has been joined to the panel that was kept.
 *
 * @param with what was chosen, where there was a choice
 * @param lampRead as it was measured last; empty before that
 * @param between what lies between the two
 * @param lamp that is on
 * @param shoneJ what fell on it so far, J/cm², before glass or ink took their share
 */
public record Joining(
        Optional<OpticalBond> with,
        Optional<JoinFact.LampRead> lampRead,
        Between between,
        Optional<Lamp> lamp,
        Map<Lit, Double> shoneJ) {
    static final Joining NOTHING =
            new Joining(Optional.empty(), Optional.empty(), new Nothing(), Optional.empty(), Map.of());

    sealed interface Between permits Nothing, Liquid, Film {}

    record Nothing() implements Between {}

    /**
     * @param corners that somebody saw it at, and when
     * @param spread whether it is at every corner
     * @param doseJPerCm2 that it hardens by
     */
    public record Liquid(int dots, Instant laidAt, Map<Landmark, Instant> corners, boolean spread, double doseJPerCm2)
            implements Between {}

    /**
     * @param pressed how far it has come through the laminator
     * @param bubblesMm the largest that was seen before each run of the chamber
     * @param clear whether none is left
     */
    public record Film(Pressed pressed, List<Double> bubblesMm, boolean clear) implements Between {}

    enum Pressed {
        NOT,
        RUNNING,
        DONE
    }

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

    public Optional<Liquid> liquid() {
        return between instanceof Liquid it ? Optional.of(it) : Optional.empty();
    }

    public Optional<Film> film() {
        return between instanceof Film it ? Optional.of(it) : Optional.empty();
    }

    public Optional<Double> lampMwPerCm2() {
        return lampRead.map(JoinFact.LampRead::mwPerCm2);
    }

    /** What it hardens by, J/cm². */
    public double doseJPerCm2() {
        return liquid().map(Liquid::doseJPerCm2).orElse(OpticalLiquid.DOSE_J_PER_CM2);
    }

    /** What fell on it, J/cm². */
    double shoneJ(Lit lit) {
        return shoneJ.getOrDefault(lit, 0.0);
    }

    /** What of that got to where it hardens, J/cm². */
    public double givenJ(OpticalLiquid through, Lit lit) {
        return through.share(lit) * shoneJ(lit);
    }

    Joining with(OpticalBond chosen) {
        return new Joining(Optional.of(chosen), lampRead, new Nothing(), Optional.empty(), Map.of());
    }

    Joining lamp(JoinFact.LampRead read) {
        return new Joining(with, Optional.of(read), between, lamp, shoneJ);
    }

    /** Anew: nothing has shone on it yet. */
    Joining laid(Between anew) {
        return new Joining(with, lampRead, anew, Optional.empty(), Map.of());
    }

    private Joining as(Between further) {
        return new Joining(with, lampRead, further, lamp, shoneJ);
    }

    Joining reached(Landmark corner, Instant at) {
        return liquid().map(it -> as(new Liquid(
                        it.dots(),
                        it.laidAt(),
                        it.corners().containsKey(corner) ? it.corners() : Fold.plus(it.corners(), corner, at),
                        it.spread(),
                        it.doseJPerCm2())))
                .orElse(this);
    }

    Joining spread() {
        return liquid().map(it -> as(new Liquid(it.dots(), it.laidAt(), it.corners(), true, it.doseJPerCm2())))
                .orElse(this);
    }

    Joining pressed(Pressed far) {
        return film().map(it -> as(new Film(far, it.bubblesMm(), it.clear()))).orElse(this);
    }

    Joining underPressure(double bubbleMm) {
        return film().map(it -> as(new Film(Pressed.DONE, Fold.plus(it.bubblesMm(), bubbleMm), false)))
                .orElse(this);
    }

    Joining clear() {
        return film().map(it -> as(new Film(it.pressed(), it.bubblesMm(), true)))
                .orElse(this);
    }

    /** Off again: how it is joined the next time is asked anew. */
    Joining lifted() {
        return new Joining(Optional.empty(), lampRead, new Nothing(), Optional.empty(), Map.of());
    }

    Joining on(Lamp anew) {
        return new Joining(with, lampRead, between, Optional.of(anew), shoneJ);
    }

    Joining off(Instant at) {
        Map<Lit, Double> after = lamp.map(it -> Fold.plus(shoneJ, it.lit(), shoneJ(it.lit()) + it.joules(at)))
                .orElse(shoneJ);
        return new Joining(with, lampRead, between, Optional.empty(), after);
    }
}
