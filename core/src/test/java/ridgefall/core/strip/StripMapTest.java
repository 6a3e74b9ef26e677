package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.strip.StripMap.Lie;

/** The home-key tablet: its battery lies under the panel and an inner plate, three long screws under black tape. */
class StripMapTest {
    private static StripMap at(String stepId) {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep(stepId);
        return StripMap.of(ShippedBook.profile("marrowby-quire-8"), journey.state(), stepId);
    }

    private static List<String> parts(StripMap map, Lie lie) {
        return map.parts().stream()
                .filter(part -> part.lie() == lie)
                .map(part -> part.part().id())
                .toList();
    }

    private static List<String> plugs(StripMap map, Lie lie) {
        return map.plugs().stream()
                .filter(plug -> plug.lie() == lie)
                .map(plug -> plug.plug().id())
                .toList();
    }

    /** Ten short ones hold the plate, then three long ones hidden under tape. */
    @Test
    void screwsThatLookAlikeAreOneKindTheMostFirst() {
        StripMap map = at("strip.screws-under");
        List<StripMap.Alike> kinds = map.alike();
        assertThat(kinds).extracting(StripMap.Alike::now).containsExactly(5, 0, 0, 0);
        assertThat(kinds).extracting(StripMap.Alike::hiddenNow).containsOnly(0);
        assertThat(kinds).allSatisfy(kind -> assertThat(kind.words()).isEqualTo(StripMap.looks(kind.like())));
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.screws-under");
        journey.tapNext();
        journey.tapNext();
        assertThat(StripMap.of(journey.course().profile(), journey.state(), "strip.screws-under")
                        .alike())
                .filteredOn(kind -> kind.now() > 0)
                .singleElement()
                .isEqualTo(new StripMap.Alike(
                        "3.4 mm M1.2, flat, cross 000", kinds.get(2).like(), 3, 3));
    }

    @Test
    void screwsOfALaterLayerStayWhereTheyAreNot() {
        StripMap map = at("strip.screws-over");
        assertThat(map.holes()).hasSize(18);
        assertThat(map.holes().stream().filter(hole -> hole.lie() == Lie.NOW))
                .extracting(hole -> hole.screw().id())
                .containsExactly("panel-1", "panel-2", "panel-3", "panel-4");
        assertThat(map.holes().stream().filter(hole -> hole.lie() == Lie.STAYS_EMPTY))
                .singleElement()
                .satisfies(hole -> assertThat(hole.screw().id()).isEqualTo("later-1"));
    }

    @Test
    void whatLiesOverAPlugComesOffFirstAndIsLitBesideIt() {
        StripMap map = at("strip.panel-plug");
        assertThat(plugs(map, Lie.NOW)).containsExactly("panel-plug");
        assertThat(parts(map, Lie.OVER_IT)).containsExactly("plug-shield");
        assertThat(map.onTheWay()).containsExactly("Shield over the plugs (slides out)");
        assertThat(map.holes().stream().filter(hole -> hole.lie() == Lie.NOW)).isEmpty();
    }

    @Test
    void thePanelIsAtHandBeforeTheBatteryUnderIt() {
        assertThat(parts(at("strip.panel-up"), Lie.NOW)).containsExactly("panel");
        StripMap battery = at("strip.isolate");
        assertThat(parts(battery, Lie.OUT)).containsExactly("plug-shield", "panel");
        assertThat(parts(battery, Lie.OVER_IT)).containsExactly("hidden-tape", "plate");
        assertThat(battery.onTheWay())
                .containsExactly(
                        "Black tape over three long screws (glued: warm it, no prying)",
                        "Inner plate over the boards (its screws are out)");
    }

    @Test
    void whatHadToBeOffForAPlugThatIsFreeIsOff() {
        StripMap map = at("strip.touch-latch");
        assertThat(parts(map, Lie.OUT)).containsExactly("plug-shield", "panel", "hidden-tape", "plate");
        assertThat(plugs(map, Lie.OUT)).containsExactlyInAnyOrder("battery-card", "panel-plug");
        assertThat(plugs(map, Lie.IN)).containsExactly("home-latch");
    }

    @Test
    void aDeviceThatNobodyLookedIntoHasItsPlugsAllTheSame() {
        Journey journey = new Journey(ShippedBook.profile("class-watch")).untilStep("strip.isolate");
        StripMap map = StripMap.of(ShippedBook.profile("class-watch"), journey.state(), "strip.isolate");
        assertThat(map.holes()).isEmpty();
        assertThat(Stream.of(Lie.NOW, Lie.IN).flatMap(lie -> plugs(map, lie).stream()))
                .containsExactly("battery-plug", "front-plug");
    }
}
