package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** No serious or critical finding of axe in any main view, in both themes; nothing runs off a narrow window. */
@ExtendWith(RunningProduct.class)
@Order(3)
class AccessibilityTest {

    @Test
    void everyMainViewIsAccessible(Visit visit) {
        Browser bench = visit.browser();
        bench.open("/");
        bench.awaitText("Sign in");
        check(bench, "sign-in");
        bench.signInByHand();
        check(bench, "bench");
        bench.takenTo("heat.soak", "Checked hut", "cracked");
        bench.awaitText("battery then");
        for (String station : new String[] {
            "Intake",
            "Decide",
            "Parts",
            "Heat",
            "Separate",
            "Strip down",
            "Carry over",
            "Clean",
            "Bond",
            "Test",
            "Seal",
            "Prove"
        }) {
            bench.station(station);
            check(bench, station);
        }
        bench.station("Heat");
        bench.click("Sources and recipes");
        bench.awaitText("why, or why not");
        check(bench, "heat sources");
        bench.clickIn("Printer bed", "Take");
        bench.awaitText("on Printer bed at");
        bench.click("Start with this");
        bench.awaitText("coldest bond now");
        check(bench, "a running soak");
        bench.press("?");
        bench.awaitText("the next action; a foot pedal types this");
        check(bench, "help");
        bench.open(bench.path() + "/record");
        bench.awaitText("Worked on by");
        check(bench, "record");
        look(bench, "/take-in", "Pellow Dial 45");
        look(bench, "/book", "Drumlin Crate 10");
        look(bench, "/shelf", "Q11-F-R");
        look(bench, "/tools", "Two thermocouples");
        look(bench, "/shop", "An hour of hands");
        bench.open("/book/marrowby-quire-11");
        for (String section :
                new String[] {"Edge", "Outline and body", "Functions", "Inside", "Carry over", "Repairs", "Variants"}) {
            bench.awaitText("Outline and body");
            bench.click(section);
            check(bench, "book: " + section);
        }
        bench.signOut();
        bench.signInByHand("Marn Ulscarth", "ridge-lead-33");
        bench.open("/people");
        bench.awaitText("Take away sign-in");
        check(bench, "people");
    }

    private static void look(Browser bench, String path, String shown) {
        bench.open(path);
        bench.awaitText(shown);
        check(bench, path);
    }

    /** Light in a wide window, dark in a narrow one. */
    private static void check(Browser bench, String view) {
        isFine(bench, view);
        bench.wear("dark");
        bench.size(900, 800);
        isFine(bench, view + ", dark and narrow");
        bench.size(1280, 800);
        bench.wear("light");
    }

    private static void isFine(Browser bench, String view) {
        assertThat(bench.accessibilityFindings()).as(view).isEmpty();
        assertThat(bench.overflowsSideways()).as(view + " runs off its window").isFalse();
    }
}
