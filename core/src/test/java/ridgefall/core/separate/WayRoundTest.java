package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

/** What other schools of going round cost beside the plan. */
class WayRoundTest {
    static List<DeviceProfile> bonded() {
        return ShippedBook.IDS.stream()
                .map(ShippedBook::profile)
                .filter(DeviceProfile::bonded)
                .toList();
    }

    private static List<WayRound> beside(DeviceProfile profile) {
        return WayRound.beside(
                new HeatQuestion(profile, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench()));
    }

    /** The plan is the cheapest with the hinge last: no school that keeps to that is quicker and safer. */
    @ParameterizedTest
    @MethodSource("bonded")
    void noneThatLeavesTheHingeForLastIsBothQuickerAndSaferThanThePlan(DeviceProfile profile) {
        assertThat(beside(profile))
                .isNotEmpty()
                .filteredOn(way -> way.because() == null)
                .noneMatch(way -> way.moreSeconds() < 0 && way.riskShare() < 1);
    }

    /** Left for last, its neighbours hold the gap open: less of a risk, for a hand that goes to and fro. */
    @Test
    void theDangerSpotLastCostsTimeAndSparesWhatLiesBeneath() {
        WayRound last = beside(ShippedBook.quire11()).stream()
                .filter(way -> way.words().startsWith("the danger spot last"))
                .findFirst()
                .orElseThrow();
        assertThat(last.moreSeconds()).isBetween(10.0, 90.0);
        assertThat(last.riskShare()).isBetween(0.7, 0.99);
        assertThat(last.price()).matches("\\{s:\\d+} more, \\d+ % less risk to what lies beneath");
    }

    @Test
    void allTheWayRoundSaysWhatHoldsTheFrontThen() {
        assertThat(beside(ShippedBook.quire11()))
                .anySatisfy(way -> assertThat(way.price()).endsWith("the front hangs on its cables"));
    }
}
