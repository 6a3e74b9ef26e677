package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.e2e.RunningProduct.Visit;

/** Every station of every device, in every window that a bench has: nothing lies over what is tapped, and no words are cut. */
@ExtendWith(RunningProduct.class)
@Order(1)
class LayoutTest {
    private static final int[][] WINDOWS = {{1280, 800}, {1024, 768}, {900, 700}};

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Marrowby Quire 11",
                "Marrowby Quire 8",
                "Drumlin Crate 10",
                "Sillery Satchel 7",
                "Brackenholt Tarn 10",
                "Pellow Dial 41",
                "Pellow Dial 45"
            })
    void nothingIsCoveredOrCut(String device, Visit visit) {
        Browser bench = visit.browser().asAnsa();
        List<String> found = new ArrayList<>();
        for (String step : Walk.of(device, null).firstOfEachStation()) {
            bench.broughtTo(step, device, "School at Ferrow, class set", "cracked");
            for (int[] window : WINDOWS) {
                bench.view(window[0], window[1]);
                bench.layoutFindings().forEach(one -> found.add(window[0] + " " + step + ": " + one));
            }
            bench.view(1280, 800);
        }
        assertThat(found).isEmpty();
    }

    @Test
    void theProofPageFitsAPhone(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.touch", "Phone hut", "cracked");
        Browser device = visit.browser();
        device.view(390, 844);
        device.openTouchProof(TouchTest.openOnTheDevice(bench));
        device.awaitText("Touch proof");
        assertThat(device.layoutFindings()).isEmpty();
    }

    /** Red on red: pale, it would be one more key among others. */
    @ParameterizedTest
    @ValueSource(strings = {"light", "dark"})
    void theDangerKeepsItsRed(String theme, Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("heat.taped", "Red hut", "cracked");
        bench.wear(theme);
        assertThat(bench.backgroundOf("Battery!"))
                .satisfies(rgb -> assertThat(rgb[0]).isBetween(120, 210))
                .satisfies(rgb -> assertThat(rgb[1]).isLessThan(60))
                .satisfies(rgb -> assertThat(rgb[2]).isLessThan(60));
    }
}
