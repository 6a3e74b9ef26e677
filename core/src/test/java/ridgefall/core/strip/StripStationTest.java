package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.PowerSeen;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.strip.StripFact.BatteryIsolated;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.Isolation;
import ridgefall.core.strip.StripFact.IsolationProven;
import ridgefall.core.strip.StripFact.PlugFreed;
import ridgefall.core.strip.StripFact.ScrewsCounted;
import tools.jackson.databind.node.ObjectNode;

/** Battery out of circuit and proven so, before any plug; the demo tablet has 14 screws and three plugs. */
class StripStationTest {
    private static final Fact UNPLUGGED = new BatteryIsolated(Isolation.UNPLUGGED);

    private static Journey open() {
        return new Journey().until(Station.STRIP);
    }

    @Test
    void whatLiesOverTheBatterysPlugComesOffThenItIsIsolatedThenAllElse() {
        assertThat(open().stepIds(Station.STRIP))
                .containsExactly(
                        "strip.screws-over",
                        "strip.isolate",
                        "strip.proven",
                        "strip.screws",
                        "strip.display-plug",
                        "strip.touch-plug",
                        "strip.sensor-latch");
    }

    /** The book's class devices have no holes: whatever screws there are, they are counted, the battery first where it is live. */
    @Test
    void screwsThatNobodyDrewAreCounted() {
        Journey unknown = new Journey(ShippedBook.profile("class-tablet-metal")).append(new FrontOpened());
        assertThat(unknown.stepIds(Station.STRIP)).startsWith("strip.screws", "strip.isolate", "strip.proven");
        assertThat(unknown.append(new PowerSeen(false)).stepIds(Station.STRIP))
                .startsWith("strip.isolate", "strip.proven", "strip.screws");
    }

    @Test
    void nothingComesOffInsideAClosedFront() {
        assertThat(new Journey().heldBy(UNPLUGGED)).containsExactly("separate.open");
        assertThat(open().heldBy(UNPLUGGED)).as("screws over its plug").containsExactly("strip.covered");
        assertThat(open().untilStep("strip.isolate").heldBy(UNPLUGGED)).isEmpty();
    }

    @Test
    void whereTheBatteryIsReachedFromTheBackItComesOutBeforeTheFrontOpens() {
        Journey satchel = new Journey(ShippedBook.profile("sillery-satchel-7")).untilStep("heat.battery-out");
        assertThat(satchel.heldBy(UNPLUGGED))
                .as("it is asked for here, not at Strip")
                .containsExactly("heat.battery-out");
        assertThat(satchel.signOff("heat.battery-out", UNPLUGGED).heldBy(UNPLUGGED))
                .isEmpty();
        assertThat(satchel.heldBy(new PlugFreed("display-latch"))).contains("separate.open");
    }

    @Test
    void noPlugIsFreedUntilNothingComesOnWithThePowerKey() {
        Journey journey = open().untilStep("strip.isolate");
        assertThat(journey.heldBy(new IsolationProven())).containsExactly("strip.isolate");
        assertThat(journey.append(UNPLUGGED).heldBy(new PlugFreed("touch-plug")))
                .containsExactly("strip.proven");
        assertThat(journey.append(new IsolationProven())
                        .untilStep("strip.touch-plug")
                        .heldBy(new PlugFreed("touch-plug")))
                .isEmpty();
        assertThat(journey.append(UNPLUGGED).heldBy(new PlugFreed("touch-plug")))
                .as("taken out of circuit anew, proven anew")
                .containsExactly("strip.proven");
    }

    @Test
    void isolationNamesTheBatterysPlugOnceAndAsksForItNowhereElse() {
        Journey dial = new Journey(ShippedBook.profile("pellow-dial-41"));
        assertThat(dial.step("strip.isolate").hint())
                .startsWith("Flap socket, battery, latch up: flap up first, then the cable by its tab; once the front");
        assertThat(dial.stepIds(Station.STRIP)).doesNotContain("strip.battery-flap");
    }

    @Test
    void onlyPlugsOfThisDeviceAreFreed() {
        assertThatThrownBy(() -> open().holds(new PlugFreed("flap-1")))
                .hasMessage("plugId is flap-1; allowed: one of battery-plug, display-plug, touch-plug, sensor-latch");
    }

    @Test
    void theLatestCountIsTheCount() {
        StripState state = StripState.of(open().append(new ScrewsCounted(Count.OUT, 12))
                .append(new ScrewsCounted(Count.OUT, 14))
                .state());
        assertThat(state.screws(Count.OUT)).contains(14);
        assertThat(state.screws(Count.IN)).isEmpty();
    }

    /** Its panel lies over the battery, and the panel's cable is too short to lift it: that plug alone is freed live. */
    @Test
    void aPanelOverTheBatteryComesUpFirstAndOnlyThePlugThatKeepsItDownIsFreedLive() {
        Journey quire = new Journey(ShippedBook.profile("marrowby-quire-8")).append(new FrontOpened());
        assertThat(quire.stepIds(Station.STRIP))
                .containsExactly(
                        "strip.screws-over",
                        "strip.panel-plug",
                        "strip.panel-up",
                        "strip.screws-under",
                        "strip.isolate",
                        "strip.proven",
                        "strip.touch-latch",
                        "strip.home-latch");
        assertThat(quire.step("strip.panel-plug").hint()).startsWith("still live: plastic tool");
        quire = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.panel-plug");
        assertThat(quire.heldBy(UNPLUGGED)).containsExactly("strip.panel-up");
        assertThat(quire.heldBy(new PlugFreed("panel-plug"))).isEmpty();
        assertThat(quire.heldBy(new PlugFreed("home-latch"))).containsExactly("strip.proven");
        assertThat(quire.untilStep("strip.screws-under").heldBy(UNPLUGGED)).containsExactly("strip.covered");
        assertThat(quire.untilStep("strip.isolate").heldBy(UNPLUGGED)).isEmpty();
        Journey older = new Journey(ShippedBook.profile("marrowby-quire-8"))
                .append(new FrontOpened())
                .append(UNPLUGGED);
        assertThat(older.stepIds(Station.STRIP)).doesNotContain("strip.panel-up");
    }

    /** Panel plug, panel, 13 screws at 8 s, contact: 2 × 15 + 30 + 104 s are under three minutes. */
    @Test
    void whereIsolationComesLateItIsSaidForHowLongItIsLive() {
        Journey quire8 = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.panel-plug");
        assertThat(quire8.course().cautions(Station.STRIP))
                .first()
                .asString()
                .startsWith("Live from the panel press plug on, until the battery is out: 13 screws, about 3 min.");
        quire8.untilStep("strip.proven");
        assertThat(quire8.course().cautions(Station.STRIP)).noneMatch(caution -> caution.startsWith("Live"));
        assertThat(open().course().cautions(Station.STRIP)).noneMatch(caution -> caution.startsWith("Live"));
    }

    @Test
    void aPlugSaysHowItComesOffAndOnTheWayBackHowItIsKnownToBeHome() {
        Journey quire8 = new Journey(ShippedBook.profile("marrowby-quire-8"));
        assertThat(quire8.untilStep("strip.touch-latch")
                        .step("strip.touch-latch")
                        .hint())
                .contains("latch up first, then the cable out")
                .doesNotContain("home:");
        assertThat(quire8.untilStep("test.home-touch-latch")
                        .step("test.home-touch-latch")
                        .hint())
                .endsWith("home: line hidden");
    }

    /** A cable too short to lay the front open: said before it is opened, and live where the battery lies under the front. */
    @Test
    void aShortCableIsFreedWithTheFrontHeldUpAFingersWidth() {
        ProfileDocument tight = ShippedBook.changed(
                "marrowby-quire-11",
                d -> d.get("connectors").forEach(plug -> {
                    if (plug.get("id").asString().equals("display-plug")) {
                        ((ObjectNode) plug.get("cable")).put("tight", true);
                        ((ObjectNode) plug).putArray("coveredBy");
                    }
                }));
        Journey journey = new Journey(DeviceProfile.of(tight, 1, null));
        assertThat(journey.until(Station.SEPARATE).step("separate.open").hint())
                .endsWith("first: its cable is short, lift a finger's width and free it");
        journey.append(new FrontOpened());
        assertThat(journey.stepIds(Station.STRIP).indexOf("strip.display-plug"))
                .isLessThan(journey.stepIds(Station.STRIP).indexOf("strip.isolate"));
        assertThat(journey.step("strip.display-plug").hint()).startsWith("still live");
        assertThat(new Journey().until(Station.SEPARATE).step("separate.open").hint())
                .endsWith("prop it");
    }

    /** By its connector: a plug comes off, springs on a contact are held off it; the other way is there for whoever finds another. */
    @Test
    void theWayToIsolateIsThatOfTheConnector() {
        Journey plug = new Journey().untilStep("strip.isolate");
        assertThat(plug.next().orElseThrow().choices())
                .extracting(Step.Choice::label)
                .containsExactly("Unplugged", "Card under the contact");
        Journey contact = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.isolate");
        assertThat(contact.next().orElseThrow().choices())
                .extracting(Step.Choice::label)
                .containsExactly("Card under the contact", "Unplugged");
        assertThat(contact.next().orElseThrow().hint()).startsWith("Battery contact: thin card under it");
        contact.tapNext();
        assertThat(contact.step("strip.isolate").answer()).isEqualTo("thin card under the contact");
    }
}
