package ridgefall.e2e;

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
}
