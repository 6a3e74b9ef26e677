package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Fronts that hold in other ways, by the keys of a pedal; and the tools a cut is made ready with. */
@ExtendWith(RunningProduct.class)
class OpeningTest {

    @Test
    void clipsComeFreeInTheOrderOfTheirMapAndGoHomeTheWayBack(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Drumlin Crate 10", "Clip hut", "cracked");
        bench.station("Separate");
        bench.awaitText("16 of 16 hold");
        bench.awaitText("Begin here, then towards the");
        bench.skipTo("separate.clip-bottom-4");
        String first = bench.nextStep();
        bench.tap("2");
        bench.awaitText("Broken clip");
        assertThat(bench.nextStep()).isEqualTo(first);
        bench.tap(Keys.SPACE);
        bench.awaitText("15 of 16 hold");
        bench.skipTo("separate.clip-top-2");
        bench.awaitText("Beneath: front camera (camera window cracked)");
        bench.skipTo("separate.open");
        bench.awaitText("All free. It opens on the hatch edge, 60° at most.");
        bench.skipTo("seal.clips-1");
        bench.awaitText("Press home the hatch edge: 3 clips");
    }

    @Test
    void aWatchIsCutAsDeepAsItsFlagOfTapeLetsThePick(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Pellow Dial 41", "Watch hut", "cracked");
        bench.layOn("Plate 2");
        bench.tap("1");
        bench.awaitStep("separate.warm");
        bench.awaitText("from the tip");
        bench.click("from the tip");
        bench.awaitText("it stops at the glass before it is");
        bench.awaitText("Lay a rule on this bar");
        bench.click("It is 80 mm long");
        bench.awaitText("As large as it is on this screen.");
        assertThat(bench.send("/api" + bench.path() + "/pick-marks?format=DXF", null)
                        .get("body")
                        .toString())
                .contains("Pick marks, Pellow Dial 41", "$INSUNITS");
    }

    @Test
    void glassIsSplitOffThePanelWithAWireAndAPanelThatBreaksIsQuotedAnew(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.warmed", "Pellow Dial 45", "Wire hut", "cracked");
        bench.awaitText("In at the crown edge, towards the button edge");
        assertThat(bench.text()).contains("75 °C", "plate, 1:30 on it", "Stop 3.0 mm short: the panel's cable");
        bench.goOn();
        bench.awaitText("Warming to split");
        bench.skipTo("carry.panel");
        bench.click("Lost");
        bench.type("reason", "dark corner");
        bench.awaitText("lost: dark corner");
        bench.awaitText("Quote anew: New display with glass");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.put("price", "289");
        bench.type("agreedBy", "Wire warden");
        bench.awaitStep("parts.here");
    }

    @Test
    void newGlassIsJoinedByDoseAndASyringePastItsDateIsHeld(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("bond.lamp", "Pellow Dial 45", "Lamp hut", "cracked");
        bench.awaitText("Radiometer (stand-in): 42 mW/cm²");
        bench.click("Take it");
        bench.awaitStep("bond.liquid");
        bench.awaitText("0.28 ml");
        bench.goOn();
        bench.pickDay("expires", "2024-02-01");
        bench.awaitText("to be used by");
        bench.tap(Keys.ESCAPE);
        bench.awaitStep("bond.liquid");
        bench.goOn();
        bench.pickDay("expires", "2099-12-31");
        bench.awaitText("tap each corner as it gets there");
        bench.reload();
        bench.awaitText("J/cm²");
        bench.skipTo("bond.lit-face");
        // 3 J/cm² at 42 mW/cm² through glass that lets nine tenths by.
        bench.awaitText("Lamp on, 1 min 20 s");
        bench.goOn();
        bench.awaitText("0.0 of 3 J/cm²");
    }

    @Test
    void afterASlipACrackAndABondThatSticksTheWayRoundGoesOnWithCare(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Slip hut", "cracked");
        bench.layOn("Plate 2");
        bench.tap("1");
        bench.awaitText("Cut the");
        bench.tap("s");
        bench.awaitText("Before sealing:");
        bench.tap("c");
        bench.awaitText("New crack, ");
        bench.click("Sticks though warm? Solvent along the edge");
        bench.click("Laid, 3 min");
        // The bar above knows of the clock before the job's own screen does.
        bench.awaitText("no flame, no source");
        bench.awaitNoText("while you cut");
        bench.skipTo("separate.open");
        bench.awaitText("All free.");
        bench.skipTo("strip.isolate");
        bench.awaitText("First off: Bridge over the battery plug");
        bench.skipTo("strip.screws");
        bench.awaitText("flat, cross 00");
    }
}
