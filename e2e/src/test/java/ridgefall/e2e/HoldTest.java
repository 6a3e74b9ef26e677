package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** What will hold it is judged first; glue and rings then go their own way, and how it sits is read. */
@ExtendWith(RunningProduct.class)
@Order(2)
class HoldTest {
    @Test
    void aBeadIsLaidLastSkinsIsWipedAndStaysClamped(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("bond.held", "Sillery Satchel 7", "Glue hut", "cracked");
        bench.awaitText("the tick is what a drop pulls");
        assertThat(bench.text()).contains("this front came without", "it is spent: torn once");
        bench.tap("2");
        bench.awaitStep("bond.bead-ready");
        bench.skipTo("seal.bead");
        bench.awaitText("0.15 ml");
        bench.goOn();
        bench.awaitText("until it skins");
        bench.reload();
        bench.awaitText("until it skins");
        bench.goOn();
        bench.awaitStep("seal.clamps");
        bench.goOn();
        bench.awaitStep("seal.wiped");
        bench.goOn();
        bench.awaitText("Left clamped until it has cured");
        bench.reload();
        bench.awaitText("Clamped until it has cured");
        bench.station("Seal");
        bench.click("Left clamped until it has cured");
        bench.click("Clamps off");
        bench.awaitText("It has not cured yet: the front comes up");
    }

    @Test
    void aPlaceThatStandsUpIsReadAgainAfterItWasPressed(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("seal.press", "Rim hut", "cracked");
        bench.awaitText("0 of 12 places read");
        bench.tapAt("svg[aria-label^='The edge unrolled']", 0.22, 0.35);
        bench.awaitText("of the gauge");
        bench.click("It reads");
        bench.type("overMm", "0.3");
        bench.awaitText("stands up: press there again");
        bench.awaitText("1 of 12 places read");
        bench.tapAt("svg[aria-label^='The edge unrolled']", 0.22, 0.35);
        bench.click("of the gauge");
        bench.awaitNoText("stands up: press there again");
    }

    @Test
    void aWatchThatLeaksIsNotHandedOverAsIfItWereTight(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("prove.hand-over", "Pellow Dial 41", "Leak hut", "cracked");
        bench.awaitText("Seal not tested");
        bench.click("Seal tested in the chamber");
        bench.click("It reads");
        bench.put("startKPa", "20");
        bench.put("endKPa", "18.6");
        bench.put("startC", "21");
        bench.type("endC", "21");
        bench.awaitText("It leaks");
        bench.awaitText("ml a minute");
        bench.tap(Keys.SPACE);
        bench.awaitText("Open it again");
    }

    /** A bubble of half a millimetre, a clock that follows from it, one that stays, and all of it off and anew with liquid. */
    @Test
    void filmIsPressedItsBubblesDissolvedAndWhatStaysIsDust(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("bond.joined-with", "Pellow Dial 45", "Film hut", "cracked");
        bench.tap("2");
        bench.awaitStep("bond.film");
        bench.skipTo("bond.chamber");
        bench.awaitText("wider than");
        bench.goOn();
        bench.type("acrossMm", "3");
        bench.awaitText("does not go in two hours of it");
        bench.type("acrossMm", "0.5");
        bench.awaitText("for a bubble of 0.50 mm and all smaller ones");
        bench.reload();
        bench.awaitText("Under pressure");
        bench.click("One is left: on again");
        bench.type("acrossMm", "0.5");
        bench.awaitText("it has not become smaller: dust");
        bench.click("Off again");
        bench.type("reason", "dust");
        bench.awaitStep("bond.joined-with");
        bench.tap(Keys.SPACE);
        bench.skipTo("bond.spread");
        bench.awaitText("tap each corner as it gets there");
        bench.clickLabelled("upper strap edge and crown edge: ");
        bench.awaitText("wet");
        bench.goOn();
        bench.awaitStep("bond.aligned");
    }

    @Test
    void aHairUnderTheGlassIsTappedWhereItLiesAndHoldsTheFront(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("seal.dust", "Hair hut", "cracked");
        bench.awaitText("0 of 6 zones clean");
        bench.clickLabelled("Zone 5");
        bench.click("A hair");
        bench.awaitText("lifted with a sticky roller");
        bench.station("Seal");
        bench.awaitText("A hair in zone 5 of 6");
        bench.goOn();
        bench.awaitText("1 of 6 zones clean");
        bench.goOn();
        bench.awaitStepAfter("seal.dust");
    }

    /** By a lamp as strong as none at this bench, so that the journey need not wait a quarter of an hour. */
    @Test
    void theDialGoesFromSplitGlassToCuredRingedAndSealed(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("bond.lamp", "Pellow Dial 45", "Split hut", "cracked");
        bench.goOn();
        bench.type("mwPerCm2", "2000");
        bench.awaitStep("bond.liquid");
        bench.skipTo("bond.lit-face");
        bench.goOnUntil("bond.squeeze-out");
        bench.goOn();
        bench.awaitStepAfter("bond.squeeze-out");
        bench.goOnUntil("bond.optical");
        bench.goOn();
        bench.awaitStep("bond.ring-measured");
        bench.awaitText("is what the seat leaves");
        bench.goOn();
        bench.type("thicknessMm", "0.3");
        bench.awaitText("17 in 100");
        bench.skipTo("prove.hand-over");
        bench.awaitText("Seal not tested");
    }
}
