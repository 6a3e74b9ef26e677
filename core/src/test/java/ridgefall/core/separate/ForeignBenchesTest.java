package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.ForeignBenches.Outcome;
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
        Report report = ForeignBenches.follow(watch, BENCHES, 7).iterator().next();
        assertThat(report.passed()).hasSizeLessThanOrEqualTo(BENCHES / 20);
        // The others have hands too weak for the bond, and are told so before.
        assertThat(report.percent(outcome -> outcome.opened() || outcome.refused()))
                .isGreaterThanOrEqualTo(95);
        assertThat(report.percent(Outcome::opened)).isGreaterThanOrEqualTo(65);
        assertThat(report.minutes(Outcome::minutes).p50())
                .isLessThan(1.3 * report.minutes(Outcome::forecastMinutes).p50());
    }
}
