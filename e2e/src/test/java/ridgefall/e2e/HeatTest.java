package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** Soaks on the bench's own sources: chosen, judged, running side by side, measured. */
@ExtendWith(RunningProduct.class)
class HeatTest {

    private static Browser prepared(Visit visit, String name, String password, String owner) {
        return visit.browser().signIn(name, password).takeIn(owner, "cracked").skipTo("heat.soak");
    }

    private static void isRight(Browser bench, double endsAt) {
        bench.awaitText("coldest bond now");
        bench.awaitTimerEndsAt(endsAt);
    }

    @Test
    void twoDevicesOnTwoSourcesKeepTimersAndForecastsOverARestartOfServerAndDatabase(Visit visit) {
        Browser pad = prepared(visit, "Ansa Orrick", "warm-ledge-11", "Two sources, left");
        pad.goOn();
        pad.awaitText("Soaking on Gel pad");
        double padEnds = pad.soakEndsAt();
        Browser plate = prepared(visit, "Marn Ulscarth", "ridge-lead-33", "Two sources, right");
        plate.click("Sources and recipes");
        plate.awaitText("why, or why not");
        plate.clickIn("Plate 1", "Take");
        plate.awaitText("on Plate 1 at");
        plate.click("Start with this");
        plate.awaitText("Soaking on Plate 1");
        double plateEnds = plate.soakEndsAt();
        isRight(pad, padEnds);

        visit.product().killApp();
        pad.awaitText("Timers go on");
        visit.product().start();
        pad.awaitNoText("Timers go on");
        visit.product().stopDatabase();
        visit.product().startDatabase();
        pad.awaitNoText("can't be reached");
        plate.awaitNoText("can't be reached");
        pad.reload();
        plate.reload();
        isRight(pad, padEnds);
        isRight(plate, plateEnds);

        plate.click("It slipped");
        plate.awaitText("lies on an edge only");
        assertThat(pad.text()).doesNotContain("lies on an edge only");
        // The stand-in thermocouples lie on the device on Plate 1, and on no other.
        assertThat((String)
                        plate.send("/api" + plate.path() + "/heat/log", null).get("body"))
                .startsWith("seconds,surface,celsius")
                .contains("FRAME", "GLASS", "SOURCE");
        assertThat((String) pad.send("/api" + pad.path() + "/heat/log", null).get("body"))
                .doesNotContain("FRAME");
    }

    @Test
    void aRecipeFromElsewhereIsJudgedForThisDevice(Visit visit) {
        Browser bench = prepared(visit, "Ansa Orrick", "warm-ledge-11", "Recipe hut");
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
