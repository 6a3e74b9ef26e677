package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.ForeignBenches.Report;

/** What a plan is worth where the truth is another model's; {@code docs/studies/foreign-benches.md} has all devices. */
class ForeignBenchesTest {
    private static final int BENCHES = 20;

    /** One soak on a pad and round: no limit is seen by the hand, and none is passed. */
    @Test
    void aWatchComesOpenOnAPadWithinItsLimits() {
        HeatQuestion watch = new HeatQuestion(
                ShippedBook.profile("pellow-dial-41"),
                FrontCondition.INTACT,
                List.of(),
                List.of(),
                List.of(HeatSource.byId(HeatSource.bench(), "pad-1")));
        Opening pad = OpeningPlanner.ranked(
                        watch, watch.planner(HeatPlanner.QUICK).ranked(watch.sources()))
                .get(0);
        Report report = ForeignBenches.follow(watch, pad, BENCHES, 7);
        assertThat(report.passed()).hasSizeLessThanOrEqualTo(BENCHES / 20);
        // The others have weak hands at a strong bond: cut cold, as the product then says, with a thin blade.
        assertThat(report.opened()).isGreaterThanOrEqualTo(BENCHES * 7 / 10);
        assertThat(report.minutes().p50()).isLessThan(2 * pad.seconds() / 60);
    }
}
