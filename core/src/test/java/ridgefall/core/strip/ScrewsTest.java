package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact.Bad;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.OrderGraph;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.Sealed;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.strip.ScrewAt.Where;
import ridgefall.core.strip.StripFact.ScrewDriven;
import ridgefall.core.strip.StripFact.ScrewTold;
import ridgefall.core.strip.StripFact.ScrewsMoved;

/** Every screw has its hole: out, back, gone, stuck, another. */
class ScrewsTest {
    private static final Fact SEALED = new Sealed();

    private static Journey quire8() {
        return new Journey(ShippedBook.profile("marrowby-quire-8")).append(new FrontOpened());
    }

    private static ScrewsMoved out(String... ids) {
        return new ScrewsMoved(List.of(ids), Where.OUT);
    }

    private static ScrewsMoved back(String... ids) {
        return new ScrewsMoved(List.of(ids), Where.BACK);
    }

    static List<DeviceProfile> screwed() {
        return ShippedBook.IDS.stream()
                .map(ShippedBook::profile)
                .filter(profile -> profile.screws() > 0)
                .toList();
    }

    /** Four hold the panel, then ten and three long ones the plate under it: five at a time, one kind in the hand. */
    @Test
    void comeOutAFewAtATimeAlikeAndOfOneLayer() {
        Journey journey = quire8();
        Step first = journey.step("strip.screws-over");
        assertThat(first.choices().get(0).fact()).isEqualTo(out("panel-1", "panel-2", "panel-3", "panel-4"));
        assertThat(first.hint()).isEqualTo("4 × 2.8 mm M1.4, flat, cross 00, of the panel; 0 of 17 out");
        journey.append(first.choices().get(0).fact());
        assertThat(journey.step("strip.screws-over").answer()).isEqualTo("4 out");
        Step under = journey.step("strip.screws-under");
        assertThat(under.choices()).extracting(Step.Choice::label).containsExactly("5 out", "All 13 out");
        journey.append(under.choices().get(0).fact());
        assertThat(((ScrewsMoved) journey.step("strip.screws-under")
                                .choices()
                                .get(0)
                                .fact())
                        .holeIds())
                .containsExactly("plate-6", "plate-7", "plate-8", "plate-9", "plate-10");
        journey.append(journey.step("strip.screws-under").choices().get(0).fact());
        assertThat(journey.step("strip.screws-under").hint())
                .startsWith("3 × ")
                .contains("hidden: under tape or rubber")
                .endsWith("14 of 17 out");
    }

    /** The order of the book, device by device: what has to be off before a screw is off before it is asked for. */
    @ParameterizedTest
    @MethodSource("screwed")
    void noneIsAskedForBeforeWhatLiesOverItIsOff(DeviceProfile profile) {
        OrderGraph order = OrderGraph.of(profile.document());
        Set<String> out = new HashSet<>();
        for (Screw screw : profile.stripOrder().screws()) {
            assertThat(order.before(new OrderGraph.Move(OrderGraph.Act.SCREW_OUT, screw.id())).stream()
                            .filter(before -> before.act() == OrderGraph.Act.SCREW_OUT)
                            .map(OrderGraph.Move::id))
                    .as(screw.id())
                    .allMatch(out::contains);
            out.add(screw.id());
        }
        assertThat(out).hasSize(profile.screws());
    }

    @ParameterizedTest
    @MethodSource("screwed")
    void goBackTheOtherWayRoundUntilNoneIsLeft(DeviceProfile profile) {
        Journey journey = new Journey(profile).untilStep("seal.screws");
        List<String> driven = new ArrayList<>();
        while (journey.step("seal.screws").open()) {
            assertThat(journey.heldBy(SEALED)).contains("seal.screws");
            ScrewsMoved go =
                    (ScrewsMoved) journey.step("seal.screws").choices().get(0).fact();
            assertThat(go.holeIds()).hasSizeBetween(1, 5);
            driven.addAll(go.holeIds());
            journey.append(go);
        }
        int under = profile.stripOrder().underAPlug().size();
        assertThat(driven)
                .as("what the panel covers was driven before it went down")
                .doesNotHaveDuplicates()
                .hasSize(profile.screws() - under);
        assertThat(driven.stream().map(id -> layer(profile, id)))
                .as("what lies deepest goes home first")
                .isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(journey.step("seal.screws").answer()).isEqualTo(profile.screws() + " back");
    }

    private static int layer(DeviceProfile profile, String id) {
        return profile.document().screws().stream()
                .filter(screw -> screw.id().equals(id))
                .findFirst()
                .orElseThrow()
                .layer();
    }

    /** Of the small tablet 13 were driven before the panel went down; the 4 of the panel lie in the tray still. */
    @Test
    void whatWasDrivenComesOutOnceMoreWhereThePartIsSwapped() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("seal.screws");
        journey.append(new PartSwapped(PartKind.GLASS_WITH_TOUCH, null, Bad.DEAD_AT_TEST, null, true));
        assertThat(journey.step("strip.screws-under").open()).isTrue();
        assertThat(journey.step("strip.screws-over").answer()).isEqualTo("4 out");
        assertThat(journey.step("strip.screws-under").hint()).endsWith("4 of 17 out");
        journey.until(Station.CARRY).untilStep("test.screws-under");
        assertThat(journey.next().orElseThrow().hint()).endsWith("13 to go, 0 back");
    }

    @Test
    void oneThatFellHoldsTheSealUntilItIsFoundOrSurelyNotInside() {
        Journey journey = new Journey().untilStep("seal.screws").append(new ScrewTold("plate-2", Where.LOST, null));
        assertThat(journey.step("seal.lost-plate-2").open()).isTrue();
        assertThat(journey.heldBy(back("plate-2"))).containsExactly("seal.lost-plate-2");
        journey.append(allBack(journey));
        assertThat(journey.heldBy(SEALED)).contains("seal.lost-plate-2");
        Journey found = journey.append(new ScrewTold("plate-2", Where.OUT, null));
        assertThat(found.heldBy(SEALED)).contains("seal.screws").doesNotContain("seal.lost-plate-2");
        assertThat(found.append(back("plate-2")).heldBy(SEALED)).doesNotContain("seal.screws");
        journey.append(new ScrewTold("plate-2", Where.LOST, null));
        assertThatThrownBy(() -> journey.holds(new ScrewTold("plate-2", Where.RENEWED, " ")))
                .hasMessageContaining("words");
        journey.append(new ScrewTold("plate-2", Where.RENEWED, "heard it fall on the floor"));
        assertThat(journey.append(back("plate-2")).heldBy(SEALED)).doesNotContain("seal.screws");
    }

    @Test
    void oneThatFellUnderThePanelIsLookedForBeforeThePanelGoesDown() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8"))
                .untilStep("strip.proven")
                .append(new ScrewTold("plate-7", Where.LOST, null));
        journey.untilStep("seal.lost-plate-7");
        assertThat(journey.step("seal.lost-plate-7").station()).isEqualTo(Station.TEST);
        assertThat(journey.heldBy(SEALED)).contains("seal.lost-plate-7");
        Journey later = new Journey(ShippedBook.profile("marrowby-quire-8"))
                .untilStep("seal.screws")
                .append(new ScrewTold("plate-7", Where.LOST, null));
        assertThat(later.step("seal.lost-plate-7").station()).isEqualTo(Station.SEAL);
        assertThat(later.heldBy(SEALED)).contains("seal.lost-plate-7");
    }

    private static ScrewsMoved allBack(Journey journey) {
        return allBack(journey, "seal.screws");
    }

    private static ScrewsMoved allBack(Journey journey, String stepId) {
        return (ScrewsMoved) journey.step(stepId).choices().stream()
                .filter(choice -> choice.label().startsWith("All"))
                .findFirst()
                .orElseThrow()
                .fact();
    }

    /**
     * The plate's short ones are 1.8 long over 0.5 of sheet in 1.5 of thread; the three long ones are 3.4: 2.9 into 1.5, 1.4 too
     * much, and the board lies behind it. One of 1.2 holds by 0.7, less than 0.8 of its 1.2 diameter.
     */
    @Test
    void aLongScrewIsCaughtBeforeItIsDriven() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("test.screws-under");
        assertThat(journey.holds(new ScrewDriven("plate-1", 1.2, 3.4, false)))
                .singleElement()
                .satisfies(hold -> assertThat(hold.overridable()).isFalse())
                .extracting(Hold::because)
                .isEqualTo("{mm:3.4} in hole plate-1: too long by {mm:1.4}: hits what lies behind");
        assertThat(journey.holds(new ScrewDriven("plate-1", 1.2, 1.2, false)))
                .singleElement()
                .satisfies(hold -> assertThat(hold.overridable()).isTrue())
                .extracting(Hold::because)
                .isEqualTo("{mm:1.2} in hole plate-1: too short: {mm:0.7} hold, tears out");
        assertThat(journey.holds(new ScrewDriven("plate-1", 1.4, 1.8, false)))
                .extracting(Hold::because)
                .containsExactly("{mm:1.8} in hole plate-1: another thread: spoils the hole");
        journey.append(new ScrewDriven("plate-1", 1.2, 1.9, true));
        assertThat(journey.course().words().say(journey.state().seq()))
                .isEqualTo("Another screw in hole plate-1: {mm:1.9} M1.2, thread lock");
        assertThat(journey.append(allBack(journey, "test.screws-under"))
                        .step("test.screws-under")
                        .answer())
                .isEqualTo("13 back; plate-1 another one in its hole");
    }

    @Test
    void oneThatStaysInItsHoleStandsInTheWayAndSaysWhatHelps() {
        Journey journey = new Journey().append(new FrontOpened()).append(out("cover-5"));
        journey.append(new ScrewTold("cover-6", Where.STUCK, null));
        Step stuck = journey.step("strip.screws-over");
        assertThat(stuck.problem()).isTrue();
        assertThat(stuck.hint()).startsWith("rubber under the driver");
        journey.append(stuck.choices().get(1).fact());
        assertThat(journey.step("strip.screws-over").answer()).isEqualTo("2 out; cover-6 hole left empty");
    }

    @Test
    void whatCameWithoutItsScrewIsFilledOrLeft() {
        Journey journey = new Journey()
                .until(Station.STRIP)
                .append(new ScrewTold("cover-5", Where.ABSENT, null))
                .untilStep("seal.screws");
        assertThat(journey.heldBy(back("cover-5"))).containsExactly("seal.screws");
        journey.append(allBack(journey));
        assertThat(journey.step("seal.screws").answer()).isEqualTo("13 back; cover-5 was not there");
        assertThat(journey.holds(new ScrewDriven("cover-5", 1.4, 3.2, false))).isEmpty();
    }

    @Test
    void onlyHolesOfThisDeviceAreNamedAndNoneOfALaterLayer() {
        assertThatThrownBy(() -> quire8().holds(out("later-1"))).hasMessageStartingWith("holeIds is later-1; allowed:");
        assertThatThrownBy(() -> quire8().holds(new ScrewsMoved(List.of("panel-1"), Where.LOST)))
                .hasMessage("where is LOST; allowed: one of OUT, BACK");
    }
}
