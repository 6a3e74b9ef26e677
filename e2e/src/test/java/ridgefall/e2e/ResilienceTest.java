package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** Browsers reload, cables are pulled, servers die: what was acknowledged stays, and timers stay right. */
@ExtendWith(RunningProduct.class)
class ResilienceTest {

    @Test
    void aSecondScreenSeesATap(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Two screens", "cracked");
        Browser second = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        second.open(bench.path());
        second.awaitStep("intake.front");
        bench.tap(" ");
        second.awaitStep("intake.battery");
    }

    @Test
    void theSlowerOfTwoBenchesIsToldWhatChangedAndDecides(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Conflicting hut", "cracked");
        Browser second = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        second.open(bench.path());
        second.awaitStep("intake.front");
        second.offline(true);
        second.tap(" ");
        second.awaitText("1 tap is kept");
        bench.goOn();
        bench.awaitStep("intake.battery");
        second.offline(false);
        second.awaitText("Someone was faster");
        assertThat(second.text()).contains("Ansa Orrick: Front glass cracked", "was not recorded");
        second.click("Drop my tap");
        second.awaitStep("intake.battery");
        assertThat(bench.text()).doesNotContain("Someone was faster");
    }
}
