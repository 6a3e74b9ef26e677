package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** Recipes, and what is done with one source after the other; here one journey at a time takes up the air. */
@ExtendWith(RunningProduct.class)
class HeatTest {

    @Test
    void aRecipeFromElsewhereIsJudgedForThisDevice(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Recipe hut", "cracked");
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
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Gun hut", "cracked");
        bench.click("Sources and recipes");
        bench.clickIn("Hot air gun", "Take");
        bench.awaitText("the first stretch");
        bench.awaitText("while you cut; glass below 78 °C");
        bench.click("Start with this");
        bench.awaitText("Warming a stretch");
        bench.awaitText(" of cutting");
        bench.awaitText("°C while you cut; glass below 78 °C");
        bench.awaitText("Free already");
        String cut = bench.nextStep();
        bench.tap("1");
        bench.awaitStepAfter(cut);
        assertThat(bench.nextStep()).startsWith("separate.");
        bench.click("Done with the air?");
        bench.click("Air off");
        bench.awaitText("Warm again");
    }

    /** A plate warms it all; what has gone cold under the pick is warmed by air that stays on while it is cut. */
    @Test
    void afterAPlateAirWarmsWhatHasGoneColdUnderThePick(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Marrowby Quire 8", "Plate hut", "cracked");
        bench.layOn("Plate 1");
        bench.tap("1");
        bench.awaitText("Cut the");
        // Pulled off at once it is cold: whether warming helps where the pick is depends on the shop's learned hand.
        bench.awaitAnswers();
        if (!"separate.warm".equals(bench.nextStep())) {
            bench.click("Gone cold? Warm it again");
        }
        bench.click(": begin");
        bench.awaitText("Free already");
        bench.awaitText("while you cut");
    }

    @Test
    void aDryerIsEnoughForAPlasticBezel(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Sillery Satchel 7", "Dryer hut", "no touch");
        bench.click("Sources and recipes");
        bench.clickIn("Hair dryer", "Take");
        bench.awaitText("the first stretch");
        bench.click("Start with this");
        bench.awaitText("Warming a stretch");
        bench.awaitText("Free already");
        bench.awaitText("Hair dryer at 90 °C while you cut");
        String cut = bench.nextStep();
        bench.tap("1");
        bench.awaitStepAfter(cut);
        assertThat(bench.nextStep()).startsWith("separate.");
    }

    @Test
    void aReloadInTheMiddleOfASoakLeavesTheTimerRightToTheSecond(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.soak", "Reloaded hut", "cracked");
        bench.layOn("Plate 1");
        double endsAt = bench.soakEndsAt();
        bench.reload();
        bench.awaitTimerEndsAt(endsAt);
        // And on another screen, from the bench.
        Browser other = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        other.open(bench.path());
        other.awaitTimerEndsAt(endsAt);
    }
}
