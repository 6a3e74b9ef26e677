package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Where a job leaves the straight way: each time through the screens that lead on. */
@ExtendWith(RunningProduct.class)
@Order(3)
class OffTheWayTest {

    @Test
    void aBatteryThatIsADangerStopsTheJobUntilALeadWhoSeesHowItLiesLetsItGoOn(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("strip.proven", "Danger hut", "cracked");
        bench.tap("w");
        bench.click("Left for whoever goes on");
        bench.type("words", "cell felt soft at the port");
        bench.awaitNoText("Left for whoever goes on");
        // Whoever looks ahead is led back to it.
        bench.tap("]");
        bench.awaitText("Back to Strip down");
        bench.tap("x");
        bench.awaitText("No heat, no charger, no pressing, no prying");
        bench.click("Hissing or smoking");
        bench.awaitText("Hissing or smoking: stop");
        bench.press(Keys.ESCAPE);
        assertThat(bench.nextStep()).isEqualTo("stop.cell");

        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/");
        lead.awaitText("Stopped: a lead looks at it");
        lead.open(bench.path());
        lead.awaitText("Front open");
        assertThat(lead.text())
                .contains("Ansa Orrick left it", "cell felt soft at the port", "Battery out of circuit, not proven");
        lead.click("I have it");
        lead.awaitNoText("Ansa Orrick left it");
        lead.tap(Keys.SPACE);
        lead.awaitText("Once it lies safe");
        lead.press(Keys.ESCAPE);
        lead.awaitNoText("Once it lies safe");
        lead.click("A lead lets it go on");
        lead.type("reason", "another cell is in");
        lead.awaitStep("intake.battery");
        bench.awaitStep("intake.battery");
    }

    @Test
    void aPictureThatFailsLeadsToThePlugThenToAnotherPartAndAsksForWhatHungOnIt(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.picture", "Dark hut", "cracked");
        bench.tap("2");
        bench.leaveChecksUntil("test.fault.picture.reseat");
        bench.tap(Keys.SPACE);
        bench.awaitStep("open.picture");
        bench.awaitAnswers();
        bench.tap("2");
        bench.leaveChecksUntil("test.fault.picture.swap");
        bench.tap(Keys.SPACE);
        bench.type("words", "dark, sound is fine");
        bench.awaitStep("parts.here");
        bench.skipTo("strip.isolate");
        bench.skipTo("carry.magnets");
        bench.skipTo("open.picture");
        bench.skipTo("prove.hand-over");
        bench.tap("w");
        bench.click("Open it again");
        bench.type("reason", "dust under the glass");
        bench.awaitText("Warm the bond");
        bench.skipTo("strip.isolate");
        bench.skipTo("prove.hand-over");
        bench.open("/shelf");
        bench.awaitText("To go back to the supplier");
        assertThat(bench.text()).contains("dead at the test", "(dark, sound is fine)");
    }

    @Test
    void aPartIsOrderedComesTheNextDayAndAnotherGradeIsSettledWithTheOwner(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("decide.repair", "Waiting hut", "cracked");
        bench.agreeToTheFirstQuote("Waiting warden");
        // It was kept from the shelf, and is no good.
        bench.click("✓ taken, put back");
        bench.awaitStep("parts.here");
        bench.tap("3");
        bench.put("why", "scratched under its film");
        bench.type("supplier", "Fellside");
        bench.awaitText("ordered: Fellside");
        Browser desk = visit.browser().signIn("Tove Brandreth", "ferry-desk-22");
        desk.awaitText("Waits for a part");
        desk.open(bench.path());
        desk.awaitText("Has it come?");
        desk.tap(Keys.SPACE);
        desk.awaitText("and now?");
        desk.tap("1");
        bench.awaitText("has come");

        bench.clickIn("refurbished original", "Take one");
        bench.awaitText("Another grade than agreed");
        bench.awaitText("Settle it with the owner");
        bench.tap(Keys.SPACE);
        bench.awaitText("and now?");
        bench.tap("2");
        bench.put("price", "214");
        bench.type("agreedBy", "Waiting warden");
        bench.awaitNoText("Another grade than agreed");
    }

    @Test
    void aCutCableIsToldWhereItWasAndTheOwnerWhoDeclinesGetsItBackTogether(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("separate.warm", "Cut hut", "cracked");
        bench.awaitText("Cut the");
        bench.tap("w");
        bench.click("Cut something");
        bench.awaitText("Cut something, ");
        bench.awaitText("Before sealing:");
        bench.skipTo("clean.bare");
        bench.tap("w");
        bench.click("Quote anew");
        bench.put("price", "289");
        bench.type("agreedBy", "Cut warden");
        bench.awaitNoText("Price agreed");
        bench.tap("w");
        bench.click("Goes back unrepaired");
        bench.put("reason", "the cable costs too much");
        bench.type("agreedBy", "Cut warden");
        bench.skipTo("prove.plugged");
        bench.goOn();
        bench.awaitStep("seal.screws");
        bench.skipTo("prove.hand-over");
        bench.openDialog();
        bench.goOn();
        bench.awaitText("Handed over. Open the record");
        bench.open(bench.path() + "/record");
        bench.awaitText("What went wrong at the bench");
        assertThat(bench.text()).contains("Cut something", "not looked at since", "Front back in its seat");
    }

    @Test
    void aBrokenClipIsToldAndLookedAtBeforeTheFrontGoesOn(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("separate.open", "Crate 10", "Clip hut", "cracked");
        bench.tap("w");
        bench.tap("7");
        bench.awaitText("Every piece out of the body");
        bench.skipTo("test.plugged");
        bench.station("Seal");
        bench.awaitText("After the broken clip");
    }
}
