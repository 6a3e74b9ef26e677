package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** A recipe from elsewhere is judged before anybody warms by it. */
@ExtendWith(RunningProduct.class)
class HeatTest {

    @Test
    void aRecipeFromElsewhereIsJudgedForThisDevice(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Recipe hut", "cracked").skipTo("heat.soak");
        bench.click("Sources and recipes");
        bench.awaitText("A recipe from elsewhere");
        bench.put("settingC", "95");
        bench.click("Judge it");
        bench.awaitText("50 to 90 °C on Plate 1");
        bench.put("settingC", "90");
        bench.put("seconds", "600");
        bench.click("Judge it");
        bench.awaitText("the coldest bond gets to");
        bench.awaitText("the battery passes its stop of 65 °C");
    }

    @Test
    void airAloneIsHeldOnTheStretchThatIsCutAndGoesOnWithIt(Visit visit) {
        Browser bench = visit.browser().asAnsa().takeIn("Gun hut", "cracked").skipTo("heat.soak");
        bench.click("Sources and recipes");
        bench.clickIn("Hot air gun", "Take");
        bench.awaitText("the first stretch");
        bench.awaitText("while you cut; glass below 78 °C");
        bench.click("Start with this");
        bench.awaitText("Warming a stretch");
        bench.awaitText("stretches hold");
        bench.awaitText("Hot air gun at 200 °C while you cut; glass below 78 °C");
        bench.awaitText("Free already");
        bench.tap("1");
        bench.awaitNoClock();
        bench.awaitAnswers();
        assertThat(bench.nextStep()).startsWith("separate.");
        bench.click("Done with the air?");
        bench.click("Air off");
        bench.awaitText("Bond workable");
    }
}
