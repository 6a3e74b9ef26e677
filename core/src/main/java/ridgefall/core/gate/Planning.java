package ridgefall.core.gate;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.Supply;
import ridgefall.core.clean.PrimerSchool;
import ridgefall.core.damage.Harm;
import ridgefall.core.fault.Faults;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.material.Hand;
import ridgefall.core.parts.Shelf;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

/**
 * The computed plans a course stands on. A plan depends on its question alone, so whoever asks often may keep the
 * answers: that is why this can be replaced.
 */
public interface Planning {
    /** What the bench owns to warm with. */
    default List<HeatSource> sources() {
        return HeatSource.bench();
    }

    /** How hard the shop's hands push. */
    default Hand hand() {
        return Hand.USUAL;
    }

    /** What devices lie on, of all jobs. */
    default List<SourceTaken> taken() {
        return List.of();
    }

    /** What is looked for where something fails. */
    default Faults faults() {
        return Faults.USUAL;
    }

    /** What the shop reckons in. */
    default String currency() {
        return "EUR";
    }

    /** What lies there to be put in. */
    default Shelf shelf() {
        return Shelf.EMPTY;
    }

    /**
     * All that the way round the edge depends on.
     *
     * @param heat by the hand that the plans are made for
     * @param handNPerMm what was found at this device meanwhile
     * @param harms where a tool went wrong at it
     * @param freed in the order it was freed
     * @param soaks what heat it had since it was last closed, in order
     * @param taken sources that other devices lie on
     */
    record CutQuestion(
            HeatQuestion heat,
            double handNPerMm,
            List<Harm> harms,
            List<String> freed,
            List<Soak> soaks,
            Set<String> taken,
            boolean wet,
            Instant now) {
        /** The source it was warmed on first, where it was warmed and the bench still has it. */
        Optional<HeatSource> begunOn() {
            return soaks.stream()
                    .findFirst()
                    .flatMap(soak -> heat.sources().stream()
                            .filter(source -> source.id().equals(soak.sourceId()))
                            .findFirst());
        }
    }

    /** When this house primes a ledge. */
    default PrimerSchool primer() {
        return PrimerSchool.WHERE_NEEDED;
    }

    /** What the bench has to hold fronts with; of a kind that is not kept on its list nothing is known. */
    default List<Supply> supplies() {
        return List.of();
    }

    /** Ways of laying strips on a device from rolls of these widths, the best first. */
    default List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
        return BenchTape.plans(profile, rollsMm, patched);
    }

    /** The best plan of each source, the best of all first. */
    default List<HeatPlan> heat(HeatQuestion question) {
        return question.ranked();
    }

    /** The best way to open it by each source, the best of all first. */
    default List<Opening> openings(HeatQuestion question) {
        return OpeningPlanner.ranked(question, heat(question));
    }

    /** The best way to open it that begins with a source. */
    default Opening opening(HeatQuestion question, HeatSource first) {
        return openings(question).stream()
                .filter(opening -> opening.heat().source().equals(first))
                .findFirst()
                .orElseThrow();
    }

    default CutPlan cut(CutQuestion question) {
        return OpeningPlanner.onward(
                question.heat.by(question.handNPerMm).after(question.harms),
                begun(question),
                question.freed,
                question.soaks,
                question.wet,
                question.now);
    }

    /** The way it was begun by; once something on it is taken, or the bench has it no more, the best that is left. */
    private Opening begun(CutQuestion question) {
        Optional<Opening> begun = question.begunOn().map(source -> opening(question.heat, source));
        if (begun.isPresent() && !begun.get().uses(question.taken)) {
            return begun.get();
        }
        List<Opening> openings = openings(question.heat);
        return openings.stream()
                .filter(Opening::feasible)
                .filter(opening -> !opening.uses(question.taken))
                .findFirst()
                .orElseGet(() -> begun.orElse(openings.get(0)));
    }
}
