package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** What front desk, technicians and leads are offered, and how one calls in the other. */
@ExtendWith(RunningProduct.class)
class RolesTest {

    @Test
    void theFrontDeskSeesTheBenchButIsNotOfferedItsWork(Visit visit) {
        Browser desk =
                visit.browser().as("Tove Brandreth", "ferry-desk-22").takenTo("decide.repair", "Desk job", "cracked");
        desk.goOn();
        desk.goOn();
        desk.awaitText("This is for the bench, not for your role");
    }

    @Test
    void aFailedTestHoldsTheSealUntilALeadAnswersForIt(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.stylus", "Signed-off hut", "cracked");
        bench.tap("2");
        bench.awaitText("Fails");
        bench.station("Seal");
        bench.awaitText("A lead may sign this off.");
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open(bench.path());
        lead.station("Seal");
        lead.awaitText("Stylus draws straight: Fails");
        lead.click("Sign off");
        lead.type("reason", "the hut has no stylus");
        lead.awaitNoText("Stylus draws straight: Fails");
        bench.awaitNoText("Stylus draws straight: Fails");
        bench.skipTo("prove.hand-over");
        bench.station("Seal");
        bench.awaitText("Back to Prove");
        bench.goOn();
        bench.awaitNoText("Back to Prove");
        bench.openDialog();
        bench.goOn();
        bench.awaitText("Handed over. Open the record");
        bench.open(bench.path() + "/record");
        bench.awaitText("the hut has no stylus");
    }

    @Test
    void aLeadAddsSomeoneAndTakesTheirSignInAwayAgain(Visit visit) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.click("Marn Ulscarth");
        lead.click("People of the shop");
        lead.click("Add someone");
        lead.type("new-name", "Ild Farrow");
        lead.awaitText("8 to 72 characters");
        lead.type("new-password", "oar-lock-77");
        lead.awaitText("Ild Farrow");
        Browser ild = visit.browser().signInByHand("Ild Farrow", "oar-lock-77");
        lead.clickIn("Ild Farrow", "Take away sign-in");
        lead.awaitText("can't sign in");
        ild.reload();
        ild.awaitText("Sign in");
        assertThat(ild.text()).doesNotContain("Take a job in");
    }

    @Test
    void everyoneChangesTheirOwnPassword(Visit visit) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/people");
        lead.click("Add someone");
        lead.put("new-password", "first-day-1");
        lead.type("new-name", "Hale Osgood");
        lead.awaitText("Hale Osgood");
        Browser hale = visit.browser().signInByHand("Hale Osgood", "first-day-1");
        hale.click("Hale Osgood");
        hale.click("Change my password");
        hale.type("own-password", "mine-alone-2");
        hale.awaitText("the password you sign in with now");
        hale.type("old-password", "first-day-1");
        hale.awaitNoText("Change my password");
        visit.browser().signInByHand("Hale Osgood", "mine-alone-2");
    }
}
