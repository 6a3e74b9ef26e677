package ridgefall.core.clean;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.clean.LedgeMap.Stretch;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Which solvent where, by what is near. */
class LedgeMapTest {
    static Stream<DeviceProfile> bonded() {
        return ShippedBook.IDS.stream().map(ShippedBook::profile).filter(DeviceProfile::bonded);
    }

    private static LedgeMap of(String id) {
        return LedgeMap.of(ShippedBook.profile(id));
    }

    @ParameterizedTest
    @MethodSource("bonded")
    void theStretchesMakeOneTurnAndNoneLiesRoundMoreThanOneEdgeOrCorner(DeviceProfile device) {
        List<Stretch> stretches = LedgeMap.of(device).stretches();
        double at = 0;
        for (Stretch stretch : stretches) {
            assertThat(stretch.where().fromMm()).isCloseTo(at, within(1e-6));
            at += stretch.where().lengthMm();
            double middle = device.edge().turn().middle(stretch.where());
            assertThat(device.edge().landmarkAt(middle)).isEqualTo(stretch.on());
        }
        assertThat(at).isCloseTo(device.edge().lengthMm(), within(1e-6));
        assertThat(stretches).extracting(Stretch::id).doesNotHaveDuplicates();
    }

    /** Judged by the points of the outline, not by intervals: each soft thing keeps its ten millimetres. */
    @ParameterizedTest
    @MethodSource("bonded")
    void noAcetoneWithinReachOfWhatItTakes(DeviceProfile device) {
        LedgeMap map = LedgeMap.of(device);
        for (Stretch stretch : map.stretches()) {
            if (stretch.solvent() == FrameSolvent.ACETONE) {
                map.keepOffs().stream()
                        .filter(LedgeMap.KeepOff::soft)
                        .forEach(soft -> assertThat(Math.hypot(apartMm(device, stretch, soft), soft.inwardMm()))
                                .as("%s from %s", stretch.id(), soft.words())
                                .isGreaterThan(LedgeMap.REACH_MM - 1));
            }
        }
    }

    /** Along the edge, between the nearest ends. */
    private static double apartMm(DeviceProfile device, Stretch stretch, LedgeMap.KeepOff soft) {
        double turn = device.edge().lengthMm();
        double after = wrap(
                soft.where().fromMm()
                        - end(stretch.where().fromMm(), stretch.where().lengthMm()),
                turn);
        double before = wrap(
                stretch.where().fromMm()
                        - end(soft.where().fromMm(), soft.where().lengthMm()),
                turn);
        return Math.min(after, before);
    }

    private static double end(double fromMm, double lengthMm) {
        return fromMm + lengthMm;
    }

    private static double wrap(double mm, double turn) {
        return ((mm % turn) + turn) % turn;
    }

    @Test
    void bareMetalTakesAcetoneButForWhereALensASensorOrAnAntennaWindowIsNear() {
        List<Stretch> stretches = of("marrowby-quire-11").stretches();
        assertThat(stretches)
                .filteredOn(stretch -> stretch.solvent() == FrameSolvent.ALCOHOL)
                .extracting(Stretch::id)
                .containsExactly("top-2", "right-1", "left-2");
        Stretch atTheCamera = stretches.get(1);
        // The sensor's well begins at 84 mm, the camera ends at 115: ten more at both ends.
        assertThat(atTheCamera.where().fromMm()).isCloseTo(74, within(1.0));
        assertThat(atTheCamera.where().lengthMm()).isCloseTo(51, within(2.0));
        assertThat(atTheCamera.near()).containsExactly("well of the light sensor", "front camera");
    }

    @Test
    void plasticAWatchAndADeviceNobodyKnowsTakeAlcoholAllRound() {
        assertThat(List.of("sillery-satchel-7", "pellow-dial-41", "pellow-dial-45", "class-tablet-metal"))
                .allSatisfy(id -> assertThat(of(id).stretches())
                        .extracting(Stretch::solvent)
                        .containsOnly(FrameSolvent.ALCOHOL));
    }

    @Test
    void theBatteryIsNearWhereItIsAndSaysHowFarInside() {
        // 41 mm high, the battery ends at 36, the ledge is 1.1 wide: 3.9 mm on the lower strap edge.
        LedgeMap map = of("pellow-dial-41");
        assertThat(map.keepOffs())
                .filteredOn(keepOff -> keepOff.words().equals("battery"))
                .singleElement()
                .satisfies(battery -> assertThat(battery.inwardMm()).isEqualTo(3));
        assertThat(of("marrowby-quire-11").keepOffs())
                .noneMatch(keepOff -> keepOff.words().equals("battery"));
    }

    /** Film and tape inside are soft as a battery's is; a spring that earths the panel bears solvent and bends. */
    @Test
    void innerTapeIsKeptOffAndAGroundingTabHeldAway() {
        assertThat(of("brackenholt-tarn-10").keepOffs())
                .filteredOn(keepOff -> keepOff.words().equals("tape over the plugs"))
                .singleElement()
                .satisfies(tape -> assertThat(tape.soft()).isTrue());
        DeviceProfile tabbed = DeviceProfile.of(
                ShippedBook.changed("marrowby-quire-11", document -> {
                    ObjectNode tab = ((ObjectNode) document.get("features").get(0)).deepCopy();
                    tab.put("id", "tab-1").put("kind", "GROUNDING").put("words", "grounding tab");
                    tab.put("fromMm", 600.0).put("lengthMm", 6.0);
                    ((ArrayNode) document.get("features")).add(tab);
                }),
                1,
                null);
        assertThat(LedgeMap.of(tabbed).keepOffs())
                .filteredOn(keepOff -> keepOff.words().equals("grounding tab"))
                .singleElement()
                .satisfies(tab -> assertThat(tab.soft()).isFalse());
        assertThat(LedgeMap.of(tabbed).stretches())
                .extracting(Stretch::solvent)
                .isEqualTo(of("marrowby-quire-11").stretches().stream()
                        .map(Stretch::solvent)
                        .toList());
    }

    @Test
    void primerIsForNarrowLedgesAndForPlastic() {
        assertThat(bonded().filter(device -> LedgeMap.wantsPrimer(device, LedgeMap.of(device)))
                        .map(DeviceProfile::id))
                .containsExactlyInAnyOrder(
                        "sillery-satchel-7", "pellow-dial-41", "pellow-dial-45", "class-tablet-plastic", "class-watch");
    }
}
