package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** A device nobody shipped is drawn, used, given away and taken back. */
@ExtendWith(RunningProduct.class)
@Order(3)
class BookTest {
    @TempDir
    Path folder;

    private static Browser newDevice(Visit visit, String name) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/book");
        lead.click("Describe a device");
        lead.put("device-name", name);
        lead.put("device-width", "232");
        lead.put("device-height", "158");
        lead.awaitText("Starts as a copy of the nearest");
        lead.click("Start drawing");
        lead.awaitText("draft of version 1");
        return lead;
    }

    private static String export(Browser browser, String id) {
        return (String) browser.send("/api/book/" + id + "/export", null).get("body");
    }

    private Path file(String name, String text) {
        try {
            return Files.writeString(folder.resolve(name), text);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aDeviceMadeFromScratchIsUsedExportedDeletedImportedAndEqual(Visit visit) {
        Browser lead = newDevice(visit, "Thorle Slate 9");
        // A new cable lies where nothing is, but how deep a tool may go beside it is not said yet.
        lead.click("Add");
        lead.awaitText("features/feature/depthMm is missing; allowed: how deep a tool may go beside a cable");
        lead.put("feature-words", "slate cable");
        lead.put("feature-from", "60");
        lead.put("feature-depth", "1.5");
        lead.awaitNoText("features/feature/depthMm");
        // Another kind brings along what is usual with it.
        lead.choose("feature-kind", "PORT");
        lead.awaitText("What then");
        assertThat(lead.value("feature-consequence")).isEqualTo("port shield bent");
        lead.pressWith(Keys.CONTROL, "z");
        // Nudged by keyboard: a millimetre, then a tenth back.
        lead.focus("[data-feature='feature']");
        lead.pressWith(Keys.SHIFT, Keys.ARROW_RIGHT);
        lead.press(Keys.ARROW_LEFT);
        assertThat(lead.value("feature-from")).isEqualTo("60.9");
        // Dragged until it snaps to the start of the edge.
        lead.drag("[data-feature='feature']", -lead.pixels("[data-band]", 60.9) + 3, 0);
        assertThat(lead.value("feature-from")).isEqualTo("0");
        lead.pressWith(Keys.CONTROL, "z");
        assertThat(lead.value("feature-from")).isEqualTo("60.9");
        lead.click("Keep as draft");
        lead.awaitNoText(", changed");
        lead.click("Release");
        lead.awaitText("version 1, released");

        Browser desk = visit.browser().signIn("Tove Brandreth", "ferry-desk-22");
        desk.takeIn("Thorle Slate 9", "Ferry Thorn", "cracked");
        String job = desk.path();
        assertThat((String) desk.send("/api" + job + "/edge", null).get("body")).contains("slate cable");

        String before = export(lead, "thorle-slate-9");
        lead.click("Delete");
        lead.awaitText("go on with the version they began with");
        lead.click("Delete it");
        lead.awaitText("The device book");
        lead.awaitText("withdrawn");
        lead.upload("profile-file", file("slate.json", before));
        lead.awaitText("draft of version 2");
        lead.click("Release");
        lead.awaitText("version 2, released");
        assertThat(export(lead, "thorle-slate-9")).isEqualTo(before);
        desk.reload();
        desk.awaitText("Thorle Slate 9");
    }

    @Test
    void twoCablesOnOnePlaceAreShownWhereTheyLieAndNotReleased(Visit visit) {
        Browser lead = newDevice(visit, "Overlap Slate");
        for (int i = 0; i < 2; i++) {
            lead.click("Add");
            lead.put("feature-from", "250");
            lead.put("feature-depth", "1");
        }
        lead.awaitText("a place of its own: new cable lies there");
        lead.awaitText("1 wrong");
        lead.click("Keep as draft");
        lead.awaitNoText(", changed");
        assertThat(lead.enabled("Release")).isFalse();
    }

    /** One hole tapped, said once, in all four corners; a row of five; a plate drawn over two of them; an order. */
    @Test
    void screwsAreTappedIntoTheDrawingCopiedAndLaidOver(Visit visit) {
        Browser lead = newDevice(visit, "Tapped Slate");
        lead.click("Inside");
        lead.awaitText("Choose screws to say what they are");
        int before = screws(lead);
        lead.click("Screws");
        lead.tapAt("[data-inside-map]", 0.4, 0.2);
        lead.awaitText("Under the head");
        lead.put("screws-underHeadMm", "2.7");
        lead.click("To four corners");
        lead.awaitText("4 screws alike");
        lead.click("Row of");
        lead.tapAt("[data-inside-map]", 0.6, 0.5);
        lead.awaitText("Tap each hole");
        lead.click("Plates");
        lead.stroke("[data-inside-map]", 0.37, 0.15, 0.43, 0.25);
        lead.click("Lies over");
        lead.tapAt("[data-inside-map]", 0.38, 0.17);
        lead.awaitText("what is lit");
        lead.tapAt("[data-inside-map]", 0.4, 0.2);
        lead.click("Keep as draft");
        lead.awaitNoText(", changed");
        String kept = export(lead, "tapped-slate");
        assertThat(screws(lead)).isEqualTo(before + 4 + 3);
        assertThat(kept.split("\"underHeadMm\" : 2.7", -1)).hasSize(1 + 4 + 3);
        assertThat(kept).containsPattern("\"coveredBy\" : \\[[^\\]]*\"plate");
    }

    private static int screws(Browser browser) {
        return export(browser, "tapped-slate").split("\"underHeadMm\"", -1).length - 1;
    }

    /** A click, a tap or a filled field each. */
    private static final class Hand {
        private final Browser browser;
        private int actions;

        Hand(Browser browser) {
            this.browser = browser;
        }

        Hand click(String text) {
            browser.click(text);
            actions++;
            return this;
        }

        Hand fill(String field, String text) {
            browser.put(field, text);
            actions++;
            return this;
        }

        Hand choose(String field, String option) {
            browser.choose(field, option);
            actions++;
            return this;
        }

        Hand tap(String css, double x, double y) {
            browser.tapAt(css, x, y);
            actions++;
            return this;
        }
    }

    /** From the tablet that nobody knows anything of: its functions, battery and front plug are as on any other. */
    @Test
    void aTabletThatNobodyDrewIsUsableInUnderAHundredActions(Visit visit) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/book");
        Hand hand = new Hand(lead).click("Describe a device").fill("device-name", "Scratch Slate");
        hand.fill("device-width", "231").fill("device-height", "157");
        lead.awaitText("Starts as a copy of the nearest");
        hand.choose("device-near", "class-tablet-metal").click("Start drawing");
        lead.awaitText("draft of version 1");
        lead.awaitText("Tap onto the edge");
        String[] kinds = {"cable", "camera", "sensor", "key", "antenna", "magnet", "window", "microphone"};
        for (int i = 0; i < kinds.length; i++) {
            hand.click(kinds[i]).tap("[data-band]", 0.06 + 0.115 * i, 0.8);
            lead.awaitText("What then");
        }
        hand.click("Inside").click("Screws").tap("[data-inside-map]", 0.3, 0.15);
        lead.awaitText("Under the head");
        hand.fill("screws-underHeadMm", "2.4").click("To four corners");
        lead.awaitText("4 screws alike");
        hand.click("Screws")
                .tap("[data-inside-map]", 0.35, 0.7)
                .fill("screws-row", "6")
                .click("Row of");
        hand.tap("[data-inside-map]", 0.65, 0.7);
        lead.awaitText("6 screws alike");
        hand.click("Plugs").tap("[data-inside-map]", 0.4, 0.4).tap("[data-inside-map]", 0.6, 0.4);
        hand.fill("Plugs-2-words", "Touch plug").fill("Plugs-3-words", "Sensor plug");
        hand.click("Carry over");
        String[] parts = {"Camera ring", "Magnet strips", "Light insert"};
        for (int i = 0; i < parts.length; i++) {
            hand.click("Add").fill("Carry over-" + i + "-words", parts[i]);
            hand.fill("Carry over-" + i + "-hint", "warm it, lift it with a finger");
        }
        hand.click("Keep as draft");
        lead.awaitNoText(", changed");
        hand.click("Release");
        lead.awaitText("version 1, released");
        assertThat(hand.actions).isLessThan(100);
        String made = export(lead, "scratch-slate");
        assertThat(made.split("\"hazard\"", -1)).as("features").hasSize(1 + 8);
        assertThat(made.split("\"underHeadMm\"", -1)).as("screws").hasSize(1 + 10);
        assertThat(made.split("\"latchSide\"", -1)).as("plugs").hasSize(1 + 4);
        assertThat(made.split("\"irreplaceable\"", -1)).as("carry over").hasSize(1 + 3);
        assertThat(made.split("\"testableWhen\"", -1)).as("functions").hasSize(1 + 6);
        lead.takeIn("Scratch Slate", "Scratch hut", "cracked").skipTo("strip.isolate");
    }

    @Test
    void aBadFileIsRefusedWithEveryFlawNamed(Visit visit) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/book");
        lead.awaitText("Profile from file");
        String good = export(lead, "sillery-satchel-7");
        String bad = good.replaceFirst("\"everywhereMm\" : 2.4", "\"everywhereMm\" : -2.4")
                .replace("\"sillery-satchel-7\"", "\"bad-satchel\"")
                .replaceFirst("\"kind\" : \"TABLET\"", "\"kind\" : \"SPOON\"");
        lead.upload("profile-file", file("bad.json", bad));
        lead.awaitText("Can't take this profile");
        assertThat(lead.text()).contains("ledge/everywhereMm is -2.4", "kind is SPOON");
        lead.upload("profile-file", file("bomb.zip", "PK\u0003\u0004 not a profile"));
        lead.awaitText("not JSON at line 1");
        assertThat(lead.send("/api/book/bad-satchel", null).get("status")).isEqualTo(404L);
    }

    @Test
    void anOutlineComesFromADrawing(Visit visit) {
        Browser lead = newDevice(visit, "Drawn Slate");
        lead.click("Outline and body");
        lead.upload("outline-file", file("evil.svg", "<svg><script>alert(1)</script><path d='M0 0H9V9Z'/></svg>"));
        lead.awaitText("a plain SVG without scripts");
        lead.upload(
                "outline-file",
                file(
                        "good.svg",
                        "<svg><path d='M10 0H222A10 10 0 0 1 232 10V148A10 10 0 0 1 222 158H10A10 10 0 0 1 0 148"
                                + "V10A10 10 0 0 1 10 0Z'/></svg>"));
        lead.awaitText("Outline from a drawing");
        lead.click("Keep as draft");
        lead.awaitNoText(", changed");
    }

    /** Dragging stays fluid because a step touches little; how long frames take is measured by the benchmark. */
    @Test
    void aStepOfADragTouchesOnlyWhatMovesAndAsksTheAppOnlyOnceTheHandRests(Visit visit) {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        lead.open("/book/drumlin-crate-10");
        lead.awaitText("Tool no deeper than");
        Browser.Drag drag = lead.dragToAndFro("[data-feature='clip-top-2']", 120);
        assertThat(lead.value("feature-from")).as("it was really dragged").isNotEqualTo("62.6");
        assertThat(drag.changes() / 120.0).as("changed nodes a frame").isBetween(1.0, 12.0);
        // A machine that stalls lets the hand rest between two frames: each such stall may ask once.
        assertThat(drag.questions()).as("questions to the app").isLessThan(12 + drag.rests());
    }
}
