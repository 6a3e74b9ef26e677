package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.e2e.RunningProduct.Visit;

/** Every device of the book is taken in, decided and met by its part; what is special about a unit is said later. */
@ExtendWith(RunningProduct.class)
class DevicesTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Marrowby Quire 11   | its data must be copied from the old front   | heat.
            Marrowby Quire 8    | the glass alone is replaced                  | heat.
            Drumlin Crate 10    | clips and a gasket hold it                   | separate.clip
            Sillery Satchel 7   | they are replaced together                   | heat.battery-out
            Brackenholt Tarn 10 | the panel stays, the glass alone is replaced | heat.
            Pellow Dial 41      | its board must move to the new front         | heat.
            Pellow Dial 45      | bonded to the old panel with optical liquid  | heat.
            """)
    void goesThroughIntakeDecisionAndPartsAndExplainsItself(String device, String because, String after, Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("decide.repair", device, "Owner of a " + device, "cracked");
        bench.awaitText(because);
        bench.agreeToTheFirstQuote("Hut warden");
        bench.awaitText("On the shelf for " + device);
        bench.awaitText("taken, put back");
        bench.goOnWhile(step -> step.startsWith("parts."));
        assertThat(bench.nextStep()).startsWith(after);
    }

    @Test
    void aDeadPanelTooNeedsBoth(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("before.picture", "Marrowby Quire 8", "Stove hut", "no picture");
        bench.tap("2");
        bench.skipTo("decide.repair");
        bench.awaitText("both are replaced");
        bench.awaitText("Try the plugs first");
    }

    @Test
    void whatIsNotWorthItGoesBackAsItCame(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("decide.repair", "Sillery Satchel 7", "Old satchel", "cracked");
        bench.click("What another one costs");
        bench.type("price", "60");
        bench.awaitText("another one costs no more than the repair");
        bench.tap("2");
        bench.type("reason", "costs more than another one");
        bench.awaitStep("prove.hand-over");
        bench.awaitText("Hand back unrepaired");
        bench.openDialog();
        bench.goOn();
        bench.awaitText("Handed over. Open the record");
    }

    @Test
    void cracksBendsAndALiveDeviceAreSaidAtTheLaterStations(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Quire 11", "Marked hut", "bent and cracked");
        bench.awaitText("Draw each crack");
        bench.stroke("[data-board]", 0.55, 0.1, 0.45, 0.4);
        bench.awaitText("Crack ✕");
        bench.click("Bend");
        bench.tapAt("[data-board]", 0.8, 0.9);
        bench.type("gapMm", "0.7");
        bench.awaitText("Bent at the corner of port edge and cable edge, 0.70 mm");
        bench.skipTo("intake.power");
        bench.tap("2");
        bench.station("Heat");
        bench.awaitText("Crack over the camera edge");
        bench.awaitText("a plate does not touch there");
        bench.awaitText("Live: it can't be switched off");
        bench.station("Separate");
        bench.awaitText("lift there, don't slide");
        bench.station("Seal");
        bench.awaitText("straighten with the battery out, or clamp");
    }

    @Test
    void aTechnicianTellsTheLeadThatTheBookIsWrong(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Brackenholt Tarn 10", "Tarn hut", "cracked");
        bench.click("The book is wrong here");
        bench.put("correction-what", "antenna");
        bench.type("correction-found", "starts 4 mm earlier");
        bench.awaitNoText("As found on this device");
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/book/brackenholt-tarn-10");
        lead.awaitText("starts 4 mm earlier");
        lead.click("Taken up");
        lead.awaitNoText("starts 4 mm earlier");
    }
}
