package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** One tablet from intake to hand-over, through the real interface; and whatever else needs the one programmer there is. */
@ExtendWith(RunningProduct.class)
@Order(2)
class JourneyTest {

    @Test
    void theKeyboardAloneTakesATabletThroughAllStationsToThePrintedRecord(Visit visit) {
        Browser bench = visit.browser()
                .signInByHand()
                .takeInByHand("Quire 11", "Hut at Long Rigg", "Fell on the stove, glass cracked");
        bench.goOnUntil("heat.soak");
        bench.awaitText("all free in");
        bench.goOnUntil("prove.hand-over");
        bench.openDialog();
        bench.goOn();
        bench.awaitText("Handed over. Open the record");
        bench.tabTo("Open the record");
        bench.press(Keys.ENTER);
        bench.awaitText("Worked on by");
        String record = bench.text();
        assertThat(record)
                .contains("Marrowby Quire 11", "Hut at Long Rigg", "Fell on the stove, glass cracked")
                .contains("Ansa Orrick, technician")
                .contains("Stylus data")
                // Whether its part brought tape is the shelf's to say: other journeys take from it.
                .containsAnyOf("tape that came on the front", "strips mitred on the diagonal")
                .contains("Laid on ")
                .contains("Water resistance was not tested");
        Map<String, Object> export =
                bench.send(bench.path().replace("/jobs", "/api/jobs").replace("record", "export"), null);
        assertThat((String) export.get("body"))
                .startsWith("{\"format\":\"ridgefall-job/3\"")
                .contains("\"HandedOver\"");
    }

    /** A plug that is not home, then a byte that goes wrong: each is told, mended where it is wrong, and nothing read is lost. */
    @Test
    void dataGoFromTheOldFrontToTheNewOneThoughAPlugAndAByteGoWrong(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.old-on-stylus-data", "Copy hut", "cracked");
        bench.awaitText("It need not show a picture");
        bench.goOn();
        bench.awaitStep("carry.read-stylus-data");
        bench.programmerPlays("OPEN");
        bench.tap(Keys.SPACE);
        bench.awaitText("a plug at the adapter is not home");
        bench.awaitStep("carry.old-on-stylus-data");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.awaitStep("carry.read-stylus-data");
        bench.awaitAnswers();
        bench.tap(Keys.SPACE);
        bench.awaitText("Stop");
        bench.awaitText("16,384 bytes");
        bench.awaitText("Save the file");
        bench.awaitStep("carry.new-on-stylus-data");
        bench.goOn();
        bench.awaitStep("carry.write-stylus-data");
        bench.programmerPlays("VERIFY");
        bench.tap(Keys.SPACE);
        bench.awaitText("byte 5,000: written");
        bench.awaitAnswers();
        bench.tap(Keys.SPACE);
        bench.awaitText("reads back the same");
        bench.awaitStep("carry.stylus-data");
        bench.goOn();
        bench.awaitStepAfter("carry.stylus-data");
        bench.station("Carry over");
        bench.awaitText("Nothing more to come from the old front");
    }

    /** Everything had moved when the picture died: on the next front all of it is asked once more, and nothing is read again. */
    @Test
    void aFrontSwappedAfterTheCarryOverIsCarriedOntoOnceMore(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.old-on-stylus-data", "Swap hut", "cracked");
        bench.goOn();
        bench.awaitStep("carry.read-stylus-data");
        bench.goOn();
        bench.awaitStep("carry.new-on-stylus-data");
        bench.skipTo("open.picture");
        bench.tap("2");
        bench.leaveChecksUntil("test.fault.picture.reseat");
        bench.goOn();
        bench.awaitStep("open.picture");
        bench.awaitAnswers();
        bench.tap("2");
        bench.leaveChecksUntil("test.fault.picture.swap");
        bench.tap(Keys.SPACE);
        bench.type("words", "dead after all");
        bench.awaitStep("parts.here");
        bench.skipTo("carry.magnets");
        bench.awaitText("Stylus data: to move");
        bench.skipTo("carry.new-on-stylus-data");
        bench.awaitText("16,384 bytes, kept");
        bench.awaitText("not written yet");
        bench.skipTo("seal.screws");
    }

    @Test
    void sealingIsHeldByWhatIsMissingAndTheServerRefusesToo(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.light-insert", "Ferry Merrow", "cracked");
        bench.station("Seal");
        bench.awaitText("Held by ");
        assertThat(bench.text())
                .contains("Stylus data", "Touch everywhere", "Inner film off the display", "Liner, cable edge");
        String job = bench.path().replace("/jobs/", "");
        String command =
                "{\"commandId\":\"00000000-0000-4000-8000-%012d\",\"expectedSeq\":%d,\"fact\":{\"type\":\"Sealed\"}}";
        String seq =
                ((String) bench.send("/api/jobs/" + job, null).get("body")).replaceAll("(?s).*?\"seq\":(\\d+).*", "$1");
        Map<String, Object> refused = bench.send(
                "/api/jobs/" + job + "/facts", command.formatted(System.nanoTime() % 1_000_000, Integer.parseInt(seq)));
        assertThat(refused.get("status")).isEqualTo(422L);
        assertThat((String) refused.get("body")).contains("carry.stylus-data", "open.touch", "seal.inner-film");
    }

    @Test
    void aWedgeLeftInHoldsTheSealUntilItIsPulled(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Ferry Sandling", "cracked");
        bench.goOn();
        bench.goOn();
        // A wedge is wanted in the first clear stretch once that is free; "2" is that answer.
        bench.awaitAnswers();
        while (!bench.text().contains("Wedge in\n2")) {
            bench.goOn();
            bench.awaitAnswers();
            assertThat(bench.nextStep()).startsWith("separate.");
        }
        bench.tap("2");
        bench.awaitText("Wedge in: ");
        bench.skipTo("seal.seal");
        bench.station("Seal");
        bench.awaitText("Held by 1 thing");
        assertThat(bench.text()).contains("A wedge is still in: ");
        bench.station("Separate");
        bench.click("Wedge: ");
        bench.click("Wedge out");
        bench.station("Seal");
        bench.awaitText("Seat the front");
        bench.awaitNoText("Held by");
    }

    @Test
    void badInputIsToldWhereItWasTypedAndNothingIsLost(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("decide.repair", "Lift station", "cracked");
        bench.openDialog();
        bench.type("price", "twelve");
        bench.awaitText("price is twelve; allowed: a number");
        bench.type("price", "189.999");
        bench.awaitText("allowed: 0 to 100000, at most two decimals");
        bench.type("price", "189.50");
        // What was quoted lies on the shelf and is this job's now.
        bench.awaitStepAfter("decide.repair");
    }

    @Test
    void aMisTapIsTakenBackWithOneKey(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Hut", "cracked");
        bench.goOn();
        bench.awaitStep("intake.battery");
        bench.awaitAnswers();
        bench.tap("u");
        bench.awaitStep("intake.front");
        bench.awaitNoText("cracked, holds together");
    }

    @Test
    void readersOfFahrenheitAndInchesSeeThemEverywhere(Visit visit) {
        // Nobody else's units: other journeys read theirs meanwhile.
        Browser bench = visit.browser().signIn("Tove Brandreth", "ferry-desk-22");
        bench.click("Tove Brandreth");
        bench.awaitText("Temperatures in °F");
        bench.press(Keys.ARROW_DOWN, Keys.ENTER);
        bench.takeIn("Hut", "cracked").station("Heat");
        bench.awaitText("battery then");
        assertThat(bench.text()).contains("°F").doesNotContain("°C");
    }
}
