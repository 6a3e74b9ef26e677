package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** The repaired device's own browser proves its touch, at the size of a tablet and of a watch, while the bench watches. */
@ExtendWith(RunningProduct.class)
@Order(2)
class TouchTest {
    @Test
    void aDeadBandIsSeenOnTheDeviceReseatedAndProvenWhole(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.touch", "Touch hut", "dead touch");
        Browser device = visit.browser();
        device.size(1194, 834);
        device.openTouchProof(openOnTheDevice(bench));
        assertThat(device.text()).doesNotContain("Touch hut", "Quire");
        assertThat(device.accessibilityFindings()).isEmpty();
        device.click("Sweep");
        device.fingerOverTheSheet(0.45, 0.55);
        bench.awaitText("Touch fails");
        bench.awaitText("lines of the layer, or its plug or cable");
        bench.awaitText("Fails, by its trace");
        bench.tap("2");
        bench.awaitText("The device's own trace says otherwise");
        bench.click("Seen");
        bench.tap(" ");
        bench.awaitStepAfter("open.touch");
        bench.awaitText("Dead right across, several lines wide");
        bench.leaveChecksUntil("test.fault.touch.reseat");
        bench.goOn();
        bench.awaitStep("open.touch");
        device.openTouchProof(openOnTheDevice(bench));
        device.click("Sweep");
        device.fingerOverTheSheet(2, 2);
        device.awaitText("Slow lines");
        device.click("Slow lines");
        device.fingerAlongTheDiagonals(20);
        device.awaitText("Fast lines");
        device.click("Fast lines");
        device.fingerAlongTheDiagonals(40);
        device.awaitText("Hands off");
        device.click("Hands off");
        bench.awaitText("Touch works everywhere");
        bench.awaitText("Works, by its trace");
        bench.tap(" ");
        bench.awaitStepAfter("open.touch");
        device.reload();
        device.awaitText("This link is not open");
    }

    @Test
    void aWatchsFaceIsSweptInItsFewSquares(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.touch", "Pellow Dial 41", "Small hut", "cracked");
        Browser watch = visit.browser();
        watch.face(198, 242);
        watch.openTouchProof(openOnTheDevice(bench));
        watch.click("Sweep");
        watch.fingerOverTheSheet(2, 2);
        bench.awaitText("Nothing wrong so far");
        bench.click("Call it off");
        bench.awaitText("before what was done since");
        watch.reload();
        watch.awaitText("This link is not open");
    }

    @Test
    void whatTheDevicesOwnPictureShowsIsPointedAtOnIt(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.picture", "Picture hut", "spots");
        Browser device = visit.browser();
        device.size(1194, 834);
        device.openTouchProof(openOnTheDevice(bench));
        device.click("Picture");
        device.tapAt(".field", 0.5, 0.5);
        device.hold(".field", 0.1, 0.8, ".spot");
        assertThat(device.accessibilityFindings()).isEmpty();
        seeTheRest(device, 6);
        bench.awaitText("seen on white");
        bench.awaitText("Fails, by the device");
        device.click("Picture");
        seeTheRest(device, 7);
        bench.awaitText("7 of 7 fields even");
        bench.awaitText("Works, by the device");
        bench.tap(" ");
        bench.awaitStepAfter("open.picture");
        device.click("Sound");
        device.click("Play three tones");
        device.click("Not heard");
        device.click("Light sensor");
        assertThat(device.accessibilityFindings()).isEmpty();
        device.click("It dims");
        bench.awaitText("tones not heard by ear");
        bench.awaitText("dims under a hand");
    }

    private static void seeTheRest(Browser device, int fields) {
        for (int i = 0; i < fields; i++) {
            device.tapAt(".field", 0.5, 0.5);
        }
        device.awaitText("Touch proof");
    }

    static String openOnTheDevice(Browser bench) {
        bench.clickFirstOf("Open it on the device", "Another link");
        bench.awaitText("touch.html#");
        return bench.textOf("a[href*='touch.html']");
    }
}
