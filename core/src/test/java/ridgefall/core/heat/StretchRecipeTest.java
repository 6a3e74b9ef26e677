package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

/** Recipes for hot air as they go from mouth to mouth, over a hand's width of the edge. */
class StretchRecipeTest {
    private static StretchRecipe judged(String device, String source, double settingC, double seconds) {
        return judged(device, HeatSource.byId(HeatSource.bench(), source), settingC, seconds);
    }

    private static StretchRecipe judged(String device, HeatSource air, double settingC, double seconds) {
        DeviceProfile profile = ShippedBook.profile(device);
        HeatQuestion question =
                new HeatQuestion(profile, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
        EdgeInterval top = profile.edge().interval(Landmark.TOP);
        Setup setup = air.completed(new Setup(settingC, null, null, Sweep.STRETCH_BY_STRETCH))
                .over(new EdgeInterval(top.fromMm(), Math.min(60, top.lengthMm())));
        return StretchRecipe.judged(question, air, setup, seconds);
    }

    @Test
    void aGunOverAPlasticBezelSoftensTheBeadWithinAMinute() {
        StretchRecipe recipe = judged("sillery-satchel-7", "air-2", 200, 45);
        assertThat(recipe.feasible()).isTrue();
        assertThat(recipe.says().get(0)).startsWith("over the camera edge, ").contains("it is workable from {C:65.3}");
        assertThat(recipe.says().get(1)).matches("cut it at \\{mm:[\\d.]+} a second, \\{s:\\d+} for the stretch; .*");
    }

    @Test
    void aRecipeThatStopsTooSoonIsToldHowLongItTakes() {
        StretchRecipe recipe = judged("brackenholt-tarn-10", "air-2", 120, 15);
        assertThat(recipe.feasible()).isFalse();
        assertThat(recipe.says().get(1)).startsWith("too short: it takes about {s:");
    }

    @Test
    void whereTheGlassIsAtItsLimitNoHotterAirIsAdvised() {
        StretchRecipe recipe = judged(
                "marrowby-quire-8", HeatSource.byId(HeatSource.bench(), "air-1").bare(), 360, 90);
        assertThat(recipe.feasible()).isFalse();
        assertThat(recipe.says().get(1))
                .contains("warm it through on a plate or pad first")
                .doesNotContain("hotter");
        assertThat(recipe.says().get(2)).contains("hold it off by a thermometer on the glass");
    }

    @Test
    void behindAShieldTheSameRecipeDoes() {
        assertThat(judged("marrowby-quire-8", "air-1", 360, 90).feasible()).isTrue();
    }

    @Test
    void hotterAirBringsTheGlassToItsLimitSooner() {
        assertThat(heldOffAfterS(judged("marrowby-quire-11", "air-2", 360, 90)))
                .isLessThan(heldOffAfterS(judged("marrowby-quire-11", "air-2", 200, 90)));
    }

    private static int heldOffAfterS(StretchRecipe recipe) {
        return Integer.parseInt(recipe.says().get(2).replaceAll(".* after \\{s:(\\d+)}.*", "$1"));
    }
}
