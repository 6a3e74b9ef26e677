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

    /** Three long ones hidden under tape; the hole of a later layer has a screw in the book and none to take out. */
    @Test
    void screwsThatLookAlikeAreCountedTogetherTheMostFirst() {
        List<StripMap.Alike> kinds = at("strip.screws").alike();
        assertThat(kinds).hasSizeGreaterThan(1);
        assertThat(kinds.stream().mapToInt(StripMap.Alike::out).sum()).isEqualTo(17);
        assertThat(kinds.stream().mapToInt(StripMap.Alike::hidden).sum()).isEqualTo(3);
        assertThat(kinds).allSatisfy(kind -> assertThat(kind.words()).isEqualTo(StripMap.looks(kind.like())));
    }

    @Test
    void screwsOfALaterLayerStayWhereTheyAreNot() {
        StripMap map = at("strip.screws");
        assertThat(map.holes()).hasSize(18);
        assertThat(map.holes().stream().filter(hole -> hole.lie() == Lie.NOW)).hasSize(17);
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
