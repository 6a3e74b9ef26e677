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
        bench.awaitText("Broken clip at");
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
        Browser bench = visit.browser().asAnsa().takeIn("Pellow Dial 41", "Watch hut", "cracked");
        bench.skipTo("heat.soak");
        bench.goOn();
        bench.tap("1");
        bench.awaitText("deep at most");
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

    /** A plate warms it all; what has gone cold under the pick is warmed by air that stays on while it is cut. */
    @Test
    void afterAPlateAirWarmsWhatHasGoneColdUnderThePick(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Marrowby Quire 8", "Plate hut", "cracked");
        bench.skipTo("heat.soak");
        bench.click("Sources and recipes");
        bench.clickIn("Plate 1", "Take");
        bench.awaitText("Hot air gun");
        bench.click("Start with this");
        bench.awaitText("Soaking on Plate 1");
        bench.tap("1");
        bench.awaitText("Cut the");
        bench.click("Gone cold? Warm it again");
        bench.click(": begin");
        bench.awaitText("Warming a stretch");
        bench.awaitText("while you cut; glass below");
    }

    @Test
    void aDryerIsEnoughForAPlasticBezel(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Sillery Satchel 7", "Dryer hut", "no touch");
        bench.skipTo("heat.soak");
        bench.click("Sources and recipes");
        bench.clickIn("Hair dryer", "Take");
        bench.awaitText("the first stretch");
        bench.click("Start with this");
        bench.awaitText("Warming a stretch");
        bench.awaitText("Hair dryer at 90 °C while you cut");
        bench.tap("1");
        bench.awaitNoClock();
        bench.awaitAnswers();
        assertThat(bench.nextStep()).startsWith("separate.");
    }
}
