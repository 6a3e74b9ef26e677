package ridgefall.core.gate;

import java.util.List;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.CutPlanner;
import ridgefall.core.separate.Warmth;

/**
 * The computed plans a course stands on. A plan depends on its question alone, so whoever asks often may keep the
 * answers: that is why this can be replaced.
 */
public interface Planning {
    /** What the bench owns to warm with. */
    default List<HeatSource> sources() {
        return HeatSource.bench();
    }

    /** What the shop reckons in. */
    default String currency() {
        return "EUR";
    }

    /** All that the way round the edge depends on; {@code freed} in the order it was freed. */
    record CutQuestion(HeatQuestion heat, List<String> freed) {}

    /** Ways of laying strips on a device, the best first. */
    default List<StripPlan> strips(DeviceProfile profile) {
        return BenchTape.plans(profile);
    }

    /** The best plan of each source, the best of all first. */
    default List<HeatPlan> heat(HeatQuestion question) {
        return question.ranked();
    }

    default CutPlan cut(CutQuestion question) {
        HeatPlan heat = heat(question.heat).get(0);
        DeviceProfile profile = question.heat.profile();
        return CutPlanner.plan(
                profile,
                question.heat.condition(),
                question.heat.cracks(),
                question.freed,
                Warmth.of(heat, profile.edge().turn()));
    }
}
