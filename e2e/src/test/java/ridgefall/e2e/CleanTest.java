package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** The ledge gets clean stretch by stretch, and what a nail finds goes back by itself. */
@ExtendWith(RunningProduct.class)
class CleanTest {
    @Test
    void bladeAcetoneAlcoholClocksAndOneDullStretchThatGoesBack(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("clean.bare", "Dull hut", "cracked");
        bench.awaitText("0 of 13 stretches accepted");
        bench.awaitText("Camera edge bare");
        bench.tap("1");
        bench.awaitText("Port edge bare");
        bench.click("All round bare");
        bench.awaitStep("clean.wiped");
        bench.awaitText("Wiped with acetone");
        assertThat(bench.text()).contains("of plastic, paint, lens or battery");
        bench.goOn();
        bench.awaitText("Wiped with alcohol");
        bench.goOn();
        bench.awaitText("until the last of it is reckoned dry");
        bench.reload();
        bench.awaitText("until the last of it is reckoned dry");
        bench.tap("1");
        bench.awaitStep("clean.flat");
        bench.tapAt("svg[aria-label^='The edge unrolled']", 0.105, 0.35);
        bench.awaitText("well of the light sensor, front camera");
        bench.click("Dull, a film on it");
        bench.awaitStep("clean.wiped");
        bench.awaitText("1 of 13 stretches, lit above");
        bench.skipTo("clean.flat");
        bench.goOn();
        bench.awaitStepAfter("clean.flat");
        bench.station("Clean");
        bench.awaitText("13 of 13 stretches accepted");
    }

    @Test
    void primerOnAWatchHoldsTheRingUntilItIsDry(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("clean.primer", "Pellow Dial 41", "Primed hut", "cracked");
        bench.awaitText("the ledge is only 1.1 mm wide");
        bench.goOn();
        bench.awaitText("Primer dries");
        bench.station("Bond");
        bench.click("What will hold it");
        bench.click("Die-cut ring");
        bench.click("Ring measured by caliper");
        bench.click("It reads");
        bench.type("thicknessMm", "0.3");
        bench.awaitText("squeezed by 17 in 100");
        bench.click("Die-cut ring laid");
        bench.click("Laid flat");
        bench.awaitText("The primer is still wet");
    }

    /** Taken from the bench as it was left two hours ago. */
    @Test
    void primerThatRanOutIsAskedForAgainBeforeAnythingIsLaidOnIt(Visit visit) {
        Browser bench = visit.browser().signIn();
        bench.click("School at Ferrow");
        bench.awaitStep("clean.primer");
        bench.awaitText("Primer's open time is over: prime again");
        bench.station("Bond");
        bench.click("What will hold it");
        bench.click("Strips from the roll");
        bench.click("How the strips end");
        bench.click("butted");
        bench.awaitAnswers();
        bench.click("× 2.0 mm, camera edge");
        bench.click("Laid");
        bench.awaitText("The primer's open time is over: prime again");
        bench.click("Seen");
        bench.awaitText("Back to Clean");
        bench.goOn();
        bench.awaitText("too long: prime again before tape");
        bench.goOn();
        bench.awaitText("Primer dries");
        bench.reload();
        bench.awaitText("Primer dries");
    }
}
