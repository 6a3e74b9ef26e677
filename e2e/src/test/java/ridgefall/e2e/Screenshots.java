package ridgefall.e2e;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Remakes the pictures of docs/screenshots from demo data; not a test, run by ./ridgefall shots. */
@AloneWithTheProduct
class Screenshots {
    private static final Path FOLDER = Path.of("../docs/screenshots");

    @Test
    void ofEveryMainView(Visit visit) throws IOException {
        Files.createDirectories(FOLDER);
        Browser bench = visit.watched();
        bench.open("/");
        bench.awaitText("Sign in");
        bench.signInByHand();
        bench.open("/");
        bench.takeIn("Lake ferry Thorn, galley tablet", "Hit by a crate, cracked over the port edge");
        bench.awaitText("Draw each crack");
        bench.stroke("[data-board]", 0.72, 0.3, 0.55, 0.55);
        bench.click("Touches by itself");
        bench.awaitText("✓ Touches by itself");
        shoot(bench, "intake");
        bench.goOnUntil("decide.repair");
        bench.awaitText("together");
        shoot(bench, "decide");
        bench.goOnUntil("heat.soak");
        bench.awaitText("battery then");
        shoot(bench, "heat-plan");
        bench.goOn();
        bench.awaitText("Soaking on");
        shoot(bench, "heat");
        String soaking = bench.path();
        bench.open("/tools");
        bench.awaitText("Two thermocouples");
        shoot(bench, "tools");
        bench.open("/");
        bench.awaitText("Waits for a timer");
        shoot(bench, "bench");
        bench.open(soaking);
        bench.awaitText("Soaking on");
        bench.tap("1");
        bench.open("/");
        bench.click("Lift station Upper Coombe");
        bench.awaitText("battery then");
        // Warmed for real, some minutes ago.
        bench.skipTo("heat.lift", Duration.ofMinutes(40)).goOn();
        bench.awaitText("Cut the");
        for (int i = 0; i < 5; i++) {
            bench.goOn();
        }
        bench.awaitText(" of cutting");
        shoot(bench, "separate");
        bench.goOnUntil("strip.screws");
        bench.awaitText("Tap a hole");
        shoot(bench, "strip");
        bench.goOnUntil("carry.magnets");
        bench.awaitText("in hand");
        shoot(bench, "carry");
        bench.goOnUntil("carry.new-on-stylus-data");
        bench.dark(true);
        bench.awaitText("16,384 bytes, kept");
        shoot(bench, "copy-dark");
        bench.dark(false);
        bench.goOnUntil("clean.wiped");
        bench.goOn();
        bench.awaitText("Wiped with alcohol");
        shoot(bench, "clean");
        bench.goOnUntil("bond.held");
        bench.awaitText("the tick is what a drop pulls");
        shoot(bench, "hold");
        bench.goOnUntil("bond.school");
        bench.goOn();
        bench.goOn();
        bench.goOn();
        bench.awaitText("off the roll");
        shoot(bench, "bond");
        bench.station("Bond");
        bench.goOnUntil("open.touch");
        bench.click("Open it on the device");
        bench.awaitText("touch.html#");
        Browser device = visit.watched();
        device.openTouchProof(bench.textOf("a[href*='touch.html']"));
        device.click("Sweep");
        device.fingerOverTheSheet(0.45, 0.55);
        byte[] onTheTablet = settled(device);
        bench.awaitText("Touch fails");
        shoot(bench, "touch");
        bench.awaitText("Fails, by its trace");
        bench.tap(Keys.SPACE);
        bench.awaitText("why it fails");
        shoot(bench, "fault");
        bench.leaveChecksUntil("test.fault.touch.reseat");
        bench.goOn();
        bench.awaitStep("open.touch");
        bench.goOnUntil("seal.press");
        bench.awaitText("places read");
        bench.tapAt("svg[aria-label^='The edge unrolled']", 0.22, 0.35);
        bench.awaitText("of the gauge");
        bench.click("of the gauge");
        bench.awaitText("1 of 12 places read");
        shoot(bench, "flush");
        bench.goOnUntil("prove.hand-over");
        bench.awaitText("that worked before work now");
        bench.click("Signed for the owner");
        bench.stroke("svg.touch-none", 0.1, 0.6, 0.7, 0.3);
        bench.type("name", "Lake ferry Sandling");
        bench.awaitText("Signed for the owner: anew");
        bench.goOn();
        bench.goOn();
        bench.awaitText("Open the record");
        bench.open(bench.path() + "/record");
        bench.awaitText("Worked on by");
        shoot(bench, "record");
        bench.open("/");
        bench.takenTo("open.touch", "Pellow Dial 41", "Shearing shed Tallis", "cracked");
        bench.click("Open it on the device");
        bench.awaitText("touch.html#");
        Browser watch = visit.watched();
        watch.face(198, 242);
        watch.openTouchProof(bench.textOf("a[href*='touch.html']"));
        watch.awaitText("Touch proof");
        Files.write(FOLDER.resolve("proof.png"), beside(onTheTablet, settled(watch)));
        bench.open("/book/marrowby-quire-11");
        bench.awaitText("Tool no deeper than");
        shoot(bench, "book-edge");
    }

    private static void shoot(Browser browser, String name) throws IOException {
        Files.write(FOLDER.resolve(name + ".png"), settled(browser));
    }

    private static byte[] settled(Browser browser) {
        // Drawings settle within a few frames of their data.
        LockSupport.parkNanos(Duration.ofMillis(900).toNanos());
        return browser.picture();
    }

    /** One picture of two devices: the larger one in two thirds of it, the smaller as large as it is. */
    private static byte[] beside(byte[] large, byte[] small) throws IOException {
        BufferedImage both = new BufferedImage(1280, 800, BufferedImage.TYPE_INT_RGB);
        Graphics2D on = both.createGraphics();
        on.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        BufferedImage tablet = ImageIO.read(new ByteArrayInputStream(large));
        BufferedImage watch = ImageIO.read(new ByteArrayInputStream(small));
        int width = 1280 - watch.getWidth() - 60;
        int height = width * tablet.getHeight() / tablet.getWidth();
        on.drawImage(tablet, 20, (800 - height) / 2, width, height, null);
        on.drawImage(watch, width + 40, (800 - watch.getHeight()) / 2, null);
        on.dispose();
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(both, "png", png);
        return png.toByteArray();
    }
}
