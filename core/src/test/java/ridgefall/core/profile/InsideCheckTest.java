package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class InsideCheckTest {

    private static List<Flaw> flaws(String id, Consumer<ObjectNode> change) {
        return ProfileCheck.flaws(ShippedBook.changed(id, change));
    }

    private static ObjectNode entry(ObjectNode document, String list, String id) {
        return (ObjectNode) document.get(list)
                .valueStream()
                .filter(entry -> entry.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    static Stream<ProfileDocument> shipped() {
        return ShippedBook.documents()
                .flatMap(d -> Stream.concat(Stream.of(d), d.variants().stream().map(d::as)));
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void whatShipsIsCompleteInEachVariant(ProfileDocument device) {
        assertThat(ProfileGaps.gaps(device)).as(device.id()).isEmpty();
        assertThat(OrderGraph.of(device).batteryReach())
                .as(device.id())
                .contains(device.body().batteryReach());
    }

    /** A new part of the maker's own size lies at most a quarter of a millimetre off the rim. */
    @ParameterizedTest
    @MethodSource("shipped")
    void whatShipsIsFlush(ProfileDocument device) {
        double bond = device.front().adhesive() == null
                ? 0
                : device.layers().adhesive().thicknessMm();
        assertThat(device.seat().parts())
                .isNotEmpty()
                .allSatisfy(part -> assertThat(
                                device.seat().proudMm(part.part(), bond).orElseThrow())
                        .as(device.id())
                        .isBetween(-0.25, 0.05));
    }

    /** M1.4 in holes of 1.6 + 2.2 and 1.0 + 1.7 mm: too short below 0.8 turns of thread, too long at 0.1 off the bottom. */
    @ParameterizedTest
    @CsvSource({
        "1.6, 2.2, 2.4, at least 2.7 mm: shorter its thread does not hold",
        "1.6, 2.2, 3.2,",
        "1.6, 2.2, 4.6, at most 3.7 mm: longer it meets the bottom of its hole",
        "1.0, 1.7, 2.4,",
        "1.0, 1.7, 3.2, at most 2.6 mm: longer it meets the bottom of its hole",
        "1.0, 1.7, 4.6, at most 2.6 mm: longer it meets the bottom of its hole",
    })
    void aScrewFitsItsHole(double stackMm, double threadedMm, double underHeadMm, String allowed) {
        List<Flaw> flaws = flaws(
                "marrowby-quire-11",
                d -> entry(d, "screws", "cover-1")
                        .put("threadMm", 1.4)
                        .put("stackMm", stackMm)
                        .put("threadedMm", threadedMm)
                        .put("underHeadMm", underHeadMm));
        assertThat(flaws).extracting(Flaw::allowed).isEqualTo(allowed == null ? List.of() : List.of(allowed));
    }

    @Test
    void aScrewOfWhichNothingIsKnownIsNoFlawButAGap() {
        ProfileDocument unknown = ShippedBook.changed(
                "marrowby-quire-11",
                d -> entry(d, "screws", "cover-1").putNull("stackMm").putNull("holds"));
        assertThat(ProfileCheck.flaws(unknown)).isEmpty();
        assertThat(ProfileGaps.gaps(unknown))
                .extracting(Flaw::path)
                .containsExactly("screws/cover-1/stackMm", "screws/cover-1/holds");
    }

    @Test
    void whatCoversMustBeThereAndNoDeeper() {
        assertThat(flaws(
                        "marrowby-quire-11",
                        d -> ((ArrayNode) entry(d, "connectors", "touch-plug").get("coveredBy")).add("lid")))
                .singleElement()
                .satisfies(flaw -> {
                    assertThat(flaw.path()).isEqualTo("connectors/touch-plug/coveredBy");
                    assertThat(flaw.value()).isEqualTo("lid");
                    assertThat(flaw.allowed()).contains("battery-bridge", "front", "light-insert");
                });
        assertThat(flaws(
                        "marrowby-quire-8",
                        d -> entry(d, "inside", "hidden-tape").put("layer", 3)))
                .extracting(Flaw::path)
                .containsExactly("screws/plate-long-1/layer", "screws/plate-long-2/layer", "screws/plate-long-3/layer");
    }

    @Test
    void screwsHoldOnlyWhatIsHeldByScrews() {
        assertThat(flaws(
                        "marrowby-quire-8",
                        d -> entry(d, "inside", "plug-shield").put("hold", "SLIDES")))
                .isEmpty();
        assertThat(flaws("marrowby-quire-8", d -> entry(d, "screws", "panel-1").put("holds", "plug-shield")))
                .containsExactly(new Flaw("screws/panel-1/holds", "plug-shield", "something that is held by screws"));
    }

    @Test
    void nothingLiesOutsideTheOutline() {
        assertThat(flaws("pellow-dial-41", d -> {
                    ((ObjectNode) entry(d, "connectors", "flap-1").get("place")).put("xMm", 36.5);
                    ((ObjectNode) entry(d, "inside", "battery").get("area")).put("heightMm", 20);
                    ((ObjectNode) entry(d, "pairedParts", "payment-board")
                                    .get("joints")
                                    .get(0)
                                    .get("place"))
                            .put("yMm", 42);
                }))
                .extracting(Flaw::path)
                .containsExactly(
                        "connectors/flap-1/place", "inside/battery/area", "pairedParts/payment-board/joints/j1");
    }

    @Test
    void theBodySaysWhereTheWayToTheBatteryLeads() {
        assertThat(flaws(
                        "marrowby-quire-8",
                        d -> ((ObjectNode) d.get("body")).put("batteryReach", BatteryReach.FRONT_OPEN.name())))
                .containsExactly(new Flaw(
                        "body/batteryReach",
                        "FRONT_OPEN",
                        "UNDER_PANEL: that is where what covers the battery's plug leads"));
    }

    @Test
    void aSeatFarFromWhatLiesInItIsNamed() {
        assertThat(flaws("marrowby-quire-11", d -> ((ObjectNode) d.get("seat")).put("depthMm", 2.5)))
                .containsExactly(new Flaw("seat/depthMm", "2.5", "within 1.0 mm of fused front and adhesive, 0.9 mm"));
    }

    @Test
    void whatAVariantRepairsIsAFunctionItHas() {
        assertThat(flaws("marrowby-quire-11", d -> {
                    ObjectNode repair = (ObjectNode) d.get("repairs").get(0).deepCopy();
                    ((ObjectNode) repair.get("fates").get(0)).put("functionId", "smell");
                    ((ObjectNode) repair.get("fates").get(1)).put("functionId", "network");
                    ((ArrayNode) d.get("variants").get(0).get("repairs")).add(repair);
                }))
                .extracting(Flaw::path, Flaw::value)
                .containsExactly(tuple("variants/cellular/repairs/fused-front/fates", "smell"));
    }

    @Test
    void aVariantMayChangeAnyListAndIsCheckedWithIt() {
        ProfileDocument document = ShippedBook.changed("marrowby-quire-11", d -> {
            ObjectNode cellular = (ObjectNode) d.get("variants").get(0);
            ((ArrayNode) cellular.get("screws"))
                    .add(entry(d, "screws", "cover-1").deepCopy().put("underHeadMm", 4.6));
            cellular.putArray("seals").add("DIE_CUT");
            ((ArrayNode) cellular.get("without")).add("sensor-latch").add("inner-film");
            cellular.set("ledge", ((ObjectNode) d.get("ledge").deepCopy()).put("everywhereMm", 2.5));
        });
        assertThat(ProfileCheck.flaws(document))
                .extracting(Flaw::path)
                .containsExactly("variants/cellular/screws/cover-1/underHeadMm");
        DeviceProfile cellular = DeviceProfile.of(document, 1, "cellular");
        assertThat(cellular.document().seals()).containsExactly(ProfileDocument.AdhesiveKind.DIE_CUT);
        assertThat(cellular.connectors())
                .extracting(ProfileDocument.Connector::id)
                .doesNotContain("sensor-latch");
        assertThat(cellular.covers()).extracting(ProfileDocument.Cover::id).doesNotContain("inner-film");
        assertThat(cellular.ledgeMm().at(200)).isEqualTo(2.5);
        assertThat(DeviceProfile.of(document, 1, null).ledgeMm().at(200)).isEqualTo(3.0);
    }
}
