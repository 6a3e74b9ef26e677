package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.e2e.RunningProduct.Visit;

/** No serious or critical finding of axe in any main view, in both themes; nothing runs off a narrow window. */
@ExtendWith(RunningProduct.class)
class AccessibilityTest {

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyMainViewIsAccessible(boolean dark, Visit visit) {
        Browser bench = visit.browser();
        bench.dark(dark);
        bench.awaitText("Sign in");
        check(bench, "sign-in");
        bench.signIn();
        check(bench, "bench");
        bench.takeIn("Checked hut", "cracked").goOnUntil("heat.soak");
        bench.awaitText("battery then");
        for (String station : new String[] {
            "Intake",
            "Decide",
            "Parts",
            "Heat",
            "Separate",
            "Strip down",
            "Carry over",
            "Clean",
            "Bond",
            "Test",
            "Seal",
            "Prove"
        }) {
            bench.station(station);
            check(bench, station);
        }
        bench.press("?");
        bench.awaitText("the next action; a foot pedal types this");
        check(bench, "help");
        bench.open(bench.path() + "/record");
        bench.awaitText("Worked on by");
        check(bench, "record");
    }

    private static void check(Browser bench, String view) {
        assertThat(bench.accessibilityFindings()).as(view).isEmpty();
        bench.size(900, 800);
        assertThat(bench.overflowsSideways()).as(view + " at 900 px").isFalse();
        bench.size(1280, 800);
    }
}
