package ridgefall.e2e;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** The open device: what comes off, where it goes, and what of it is not as the book has it. */
@ExtendWith(RunningProduct.class)
class InsideTest {

    private static void tapHole(Browser bench, String id) {
        bench.awaitText("Tap a hole");
        bench.focus("[aria-label='Hole " + id + "']");
        bench.press(Keys.ENTER);
        bench.awaitText("Hole " + id);
    }

    @Test
    void everyScrewComesOutAndGoesHomeThoughOneFellOneWasMissingAndOneIsTooLong(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("strip.screws-over", "Marrowby Quire 8", "Screw hut", "cracked");
        bench.awaitText("4 × 2.8 mm M1.4");
        bench.goOn();
        bench.skipTo("strip.screws-under");
        bench.awaitText("5 out");
        tapHole(bench, "plate-1");
        bench.awaitText("3.4 mm M1.2, flat, cross 000: too long by 1.4 mm");
        bench.click("Was not there");
        bench.awaitText("4 of 17 out");
        tapHole(bench, "plate-7");
        bench.click("Dropped it");
        bench.awaitText("plate-7 dropped, not found");
        bench.skipTo("test.home-touch-latch");
        bench.awaitText("home: line hidden");
        bench.skipTo("seal.lost-plate-7");
        bench.awaitText("Find the screw of hole plate-7");
        bench.tap("1");
        bench.awaitStep("test.screws-under");
        tapHole(bench, "plate-1");
        bench.click("Another screw");
        bench.put("underHeadMm", "3.4");
        bench.click("Another screw");
        bench.awaitText("3.4 mm in hole plate-1: too long by 1.4 mm: hits what lies behind");
        bench.put("underHeadMm", "1.9");
        bench.click("Another screw");
        bench.awaitText("12 to go, 1 back");
        bench.skipTo("seal.dust");
        bench.awaitText("17 back; plate-1 another one in its hole");
    }

    @Test
    void aNewFrontThatIsDeadIsFoundBeforeAnythingMovesOntoIt(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.new-ready", "Dead front hut", "cracked");
        bench.awaitText("Keep the old front: 4 still to come from it");
        bench.goOn();
        bench.awaitStep("carry.new-shows");
        bench.tap("2");
        bench.type("reason", "line down the middle");
        bench.awaitText("See what to do");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.type("words", "line down the middle");
        bench.awaitStep("parts.here");
        bench.skipTo("carry.new-ready");
        bench.awaitText("New front made ready");
    }

    @Test
    void aBoardThatMovesIsMeasuredAndTheOpenJointIsFound(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("carry.look-payment-board", "Pellow Dial 41", "Joint hut", "cracked");
        bench.awaitText("Payment at a reader: tried while the front is open");
        bench.skipTo("carry.joint-j1");
        bench.tap("1");
        bench.type("ohm", "0.3");
        bench.awaitStep("carry.joint-j2");
        bench.awaitNoText("Joint supply reads");
        bench.awaitAnswers();
        bench.tap("2");
        bench.awaitText("no contact");
        bench.awaitText("Check again");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.type("ohm", "0.4");
        bench.awaitStep("carry.joint-j3");
        bench.skipTo("open.pay");
        bench.awaitText("Payment reader (stand-in): card answers");
        bench.click("Take what the reader says");
        bench.awaitStepAfter("open.pay");
        bench.awaitText("Works, Payment reader (stand-in): card answers");
    }

    @Test
    void whatCannotBeSwitchedOffIsLiveUntilTheBatteryIsProvenOut(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("intake.power", "Live hut", "cracked");
        bench.tap("2");
        bench.awaitText("live until isolation is proven");
        bench.skipTo("strip.isolate");
        bench.awaitText("Live: it can't be switched off");
        bench.goOn();
        bench.awaitStep("strip.proven");
        bench.awaitText("Live: it can't be switched off");
        bench.goOn();
        bench.awaitNoText("Live: it can't be switched off");
    }

    /** Its panel moves over, and with it what a hand forgets in the old front: the closing waits for each. */
    @Test
    void theCellularClipHeldOneIsNotClosedBeforeAntennaInsertAndPanelHaveMoved(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("carry.new-shows", "Crate 10", "cellular", "Antenna hut", "cracked");
        bench.awaitText("New front tried loose: touch");
        bench.skipTo("carry.antenna");
        bench.awaitText("Keep the old front: 3 still to come from it");
        bench.awaitText("its middle may sag 5.3 mm, no more");
        bench.station("Seal");
        bench.awaitText("Due at Carry over: Antenna strip");
        bench.tap(Keys.SPACE);
        bench.awaitText("Antenna strip: in hand");
        bench.goOn();
        bench.awaitStep("carry.light-insert");
        bench.awaitText("look there before it is laid away");
        bench.station("Seal");
        bench.awaitText("Due at Carry over: Light sensor insert");
        bench.tap(Keys.SPACE);
        bench.goOn();
        bench.awaitStep("carry.old-panel");
        bench.awaitText("Cable side first, then the lugs");
        bench.goOn();
        bench.awaitStepAfter("carry.old-panel");
        bench.station("Carry over");
        bench.awaitText("Nothing more to come from the old front");
    }

    @Test
    void anOwnerWhoDoesWithoutPaymentSignsAndTheBoardIsNotAskedFor(Visit visit) {
        Browser bench = visit.browser()
                .asAnsa()
                .takenTo("carry.look-payment-board", "Pellow Dial 41", "Without hut", "cracked");
        bench.awaitText("Paper for an owner who does without it");
        bench.awaitAnswers();
        bench.tap("3");
        bench.type("signedBy", "Without hut");
        bench.awaitStepAfter("carry.look-payment-board");
        bench.station("Carry over");
        bench.awaitText("Payment chip board: lost");
    }
}
