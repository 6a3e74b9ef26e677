package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Something fails, and the tool leads to what cures it. */
@ExtendWith(RunningProduct.class)
class FaultTest {
    @Test
    void aWeakChargeIsFollowedToAPlugThatWasNotHome(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.charge", "Charge hut", "cracked");
        bench.tap("2");
        bench.awaitText("why it fails");
        assertThat(bench.accessibilityFindings()).isEmpty();
        bench.awaitText("Its plug came off in this job");
        bench.leaveChecksUntil("test.fault.charge.reseat");
        bench.tap(Keys.SPACE);
        bench.awaitStep("open.charge");
        bench.awaitNoText("why it fails");
        bench.tap(Keys.SPACE);
        bench.awaitStepAfter("open.charge");
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/faults");
        lead.awaitText("Closed here");
        lead.choose("complaint", "charge");
        lead.awaitText("The battery's plug or contact not home");
        assertThat(lead.accessibilityFindings()).isEmpty();
    }

    @Test
    void aWavyStylusWhoseDataWereNeverWrittenGoesBackToCarryOver(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.old-on-stylus-data", "Wavy hut", "cracked");
        bench.click("Lost");
        bench.type("reason", "no adapter here");
        bench.awaitStepAfter("carry.old-on-stylus-data");
        bench.skipTo("open.stylus");
        bench.tap("2");
        bench.awaitText("Its data were never read back the same");
        bench.awaitText("Its data are not the old front's");
        bench.leaveChecksUntil("test.fault.stylus.copy");
        bench.tap(Keys.SPACE);
        bench.awaitStep("carry.old-on-stylus-data");
        bench.skipTo("open.stylus");
        bench.tap(Keys.SPACE);
        bench.awaitStepAfter("open.stylus");
    }

    @Test
    void whatFailsOnceItIsSealedIsTriedClosedBeforeItIsOpened(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("after.sound", "Sealed hut", "cracked");
        bench.tap("2");
        bench.awaitText("why it fails");
        bench.awaitText("It worked loose, and fails since the front is down");
        bench.awaitText("opened again");
        bench.leaveChecksUntil("after.fault.sound.mesh");
        bench.tap(Keys.SPACE);
        bench.awaitStep("after.sound");
        bench.tap(Keys.SPACE);
        bench.awaitStepAfter("after.sound");
    }
}
