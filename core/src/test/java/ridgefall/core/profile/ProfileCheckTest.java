package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.units.NotAllowed;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class ProfileCheckTest {

    static Stream<ProfileDocument> shipped() {
        return ShippedBook.documents();
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void whatShipsIsRight(ProfileDocument document) {
        assertThat(ProfileCheck.flaws(document)).as(document.id()).isEmpty();
    }

    /** Mass and volume agree: what is neither glass, display nor battery weighs as frames and boards do. */
    @ParameterizedTest
    @MethodSource("shipped")
    void whatShipsIsPhysicallyConsistent(ProfileDocument document) {
        HeatStack stack = DeviceProfile.of(document, 1, null).heat();
        double layersMm = stack.glass().thicknessMm()
                + stack.display().thicknessMm()
                + stack.battery().thicknessMm() * stack.batteryShare();
        double bodyLitres = stack.areaM2() * (stack.thicknessMm() - layersMm);
        assertThat(stack.bodyKg() / bodyLitres).as(document.id() + " kg/l").isBetween(0.4, 4.5);
        assertThat(document.front().massKg())
                .isBetween(0.1 * document.body().massKg(), 0.6 * document.body().massKg());
    }

    private static List<Flaw> flaws(Consumer<ObjectNode> change) {
        return ProfileCheck.flaws(ShippedBook.changed("marrowby-quire-11", change));
    }

    private static ObjectNode feature(ObjectNode document, int index) {
        return (ObjectNode) document.get("features").get(index);
    }

    @Test
    void twoCablesCannotShareAPlace() {
        // The charging port (from 300.0) is moved onto the fingerprint key's cable.
        assertThat(flaws(d ->
                        feature(d, 3).put("fromMm", feature(d, 2).get("fromMm").asDouble() + 5)))
                .extracting(Flaw::path)
                .containsExactly("features/port", "variants/cellular/features/port");
    }

    @Test
    void anAntennaMayLieOverOthers() {
        assertThat(flaws(d ->
                        feature(d, 6).put("fromMm", feature(d, 5).get("fromMm").asDouble())))
                .isEmpty();
    }

    @Test
    void aCableWithoutADepthIsNamed() {
        assertThat(flaws(d -> feature(d, 4).putNull("depthMm")))
                .contains(new Flaw(
                        "features/display-cables/depthMm", "missing", "how deep a tool may go beside a cable"));
    }

    @Test
    void noToolGoesDeeperThanTheBorderHides() {
        assertThat(flaws(d -> feature(d, 3).put("depthMm", 9)))
                .containsExactly(new Flaw("features/port/depthMm", "9.0", "within the border, at most 7.5 mm here"));
    }

    @Test
    void theLedgeIsNoWiderThanTheBorderOverIt() {
        assertThat(flaws(d -> ((ObjectNode) d.get("ledge")).put("everywhereMm", 8)))
                .isNotEmpty()
                .allSatisfy(flaw -> {
                    assertThat(flaw.path()).isEqualTo("ledge");
                    assertThat(flaw.value()).startsWith("0.5 mm wider than the border");
                });
    }

    @Test
    void whatLiesBeyondTheEdgeIsNamedWithItsLength() {
        // 2(250 + 176) − 8·16 + 2π·16 = 824.5 mm of edge.
        assertThat(flaws(d -> feature(d, 0).put("fromMm", 900)))
                .contains(new Flaw("features/light-sensor/fromMm", "900.0", "0 to 824.5 mm, the length of the edge"));
    }

    @Test
    void everyFlawIsNamedAtOnce() {
        List<Flaw> flaws = flaws(d -> {
            feature(d, 4).putNull("depthMm");
            ((ObjectNode) d.get("limits")).put("batteryCautionC", 70);
            ((ObjectNode) d.get("front")).put("hinge", "TOP_LEFT");
            ((ObjectNode) d.get("front")).putNull("adhesive");
            ((ArrayNode) d.get("repairs")).removeAll();
        });
        assertThat(flaws)
                .extracting(Flaw::path)
                .contains(
                        "features/display-cables/depthMm",
                        "limits/batteryCautionC",
                        "front/hinge",
                        "front/adhesive",
                        "repairs");
    }

    @Test
    void massMustLeaveSomethingForTheBody() {
        assertThat(flaws(d -> ((ObjectNode) d.get("body")).put("massKg", 0.2)))
                .singleElement()
                .satisfies(flaw -> {
                    assertThat(flaw.path()).isEqualTo("body/massKg");
                    assertThat(flaw.allowed()).startsWith("more than glass, display and battery weigh together");
                });
    }

    @Test
    void aFateNamesAFunctionOfTheDevice() {
        assertThat(flaws(d -> ((ObjectNode) d.get("repairs").get(0).get("fates").get(0)).put("functionId", "smell")))
                .extracting(Flaw::value)
                .containsExactly("smell");
    }

    @Test
    void aVariantAddsReplacesAndLeavesOut() {
        ProfileDocument document = ShippedBook.document("drumlin-crate-10");
        DeviceProfile plain = DeviceProfile.of(document, 1, "plain");
        DeviceProfile cellular = DeviceProfile.of(document, 1, "cellular");
        assertThat(plain.functions()).extracting(ProfileDocument.Function::id).doesNotContain("network");
        assertThat(cellular.functions())
                .extracting(ProfileDocument.Function::id)
                .contains("network");
        assertThat(cellular.features()).extracting(EdgeFeature::id).contains("antenna");
        assertThat(cellular.heat().massKg()).isCloseTo(0.958, within(1e-9));
        assertThat(plain.heat().massKg()).isCloseTo(0.940, within(1e-9));
        assertThat(cellular.name()).isEqualTo("Drumlin Crate 10, cellular");
        assertThatThrownBy(() -> DeviceProfile.of(document, 1, "gold"))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("variantId is gold; allowed: one of plain, cellular");
    }

    @Test
    void withoutTakesEntriesAwayByTheirId() {
        ProfileDocument document = ShippedBook.changed(
                "marrowby-quire-11",
                d -> ((ArrayNode) d.get("variants").get(0).get("without"))
                        .add("stylus-magnets")
                        .add("magnets"));
        DeviceProfile cellular = DeviceProfile.of(document, 1, "cellular");
        assertThat(cellular.features()).extracting(EdgeFeature::id).doesNotContain("stylus-magnets");
        assertThat(cellular.carryOvers())
                .extracting(ProfileDocument.CarryOver::id)
                .doesNotContain("magnets");
    }

    @Test
    void theLongestPathSaysHowSureAValueIs() {
        ProfileDocument document = ShippedBook.document("marrowby-quire-11");
        assertThat(document.confidenceOf("features/finger-key/depthMm")).isEqualTo(Confidence.MEASURED);
        assertThat(document.confidenceOf("features/port")).isEqualTo(Confidence.COMMON_PRACTICE);
        assertThat(document.confidenceOf("body/layers/glass")).isEqualTo(Confidence.GUESS);
    }

    @Test
    void unknownLayersTakeTheDefaultsOfTheirClass() {
        ProfileDocument unknown = ShippedBook.document("class-tablet-plastic");
        assertThat(unknown.body().layers()).isNull();
        assertThat(unknown.layers().ledge().conductivityWPerMK()).isEqualTo(0.25);
        assertThat(unknown.confidenceOf("body/layers")).isEqualTo(Confidence.GUESS);
    }

    @Test
    void connectorsComeOffLowestFirst() {
        List<Integer> order = new ArrayList<>(ShippedBook.profile("marrowby-quire-8").connectors().stream()
                .map(ProfileDocument.Connector::stackOrder)
                .toList());
        assertThat(order).isSorted().startsWith(1);
    }

    @Test
    void onlyHolesOfThisLayerAreCounted() {
        // 4 + 10 + 3 screws hold the front's layers; one hole stays empty until a later layer is back.
        assertThat(ShippedBook.profile("marrowby-quire-8").screws()).isEqualTo(17);
    }
}
