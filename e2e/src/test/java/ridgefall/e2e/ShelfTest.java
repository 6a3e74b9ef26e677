package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import ridgefall.e2e.RunningProduct.Visit;

/** Price lists show what they would change before they change it, and a wrong one changes nothing. */
@ExtendWith(RunningProduct.class)
class ShelfTest {
    private static final String HEADER =
            "part_number,supplier,device,variant,kind,grade,brings,price,currency,pieces,lot\n";

    @TempDir
    Path folder;

    private Path list(String... lines) throws IOException {
        return Files.writeString(folder.resolve("list.csv"), HEADER + String.join("\n", lines) + "\n");
    }

    private static String line(String number, String price) {
        return number + ",Upper Coombe Supply,marrowby-quire-11,,fused_front,premium_copy,tape magnets," + price
                + ",EUR,3,UC7";
    }

    @Test
    void aPriceListIsLookedAtAndThenTaken(Visit visit) throws IOException {
        Browser bench = visit.browser().signIn();
        bench.open("/shelf");
        bench.upload("price-list", list(line("UC-1", "74.00"), line("UC-2", "75.50")));
        bench.awaitText("2 new, 0 changed, 0 as before");
        bench.click("Not now");
        bench.awaitNoText("What this price list changes");
        bench.type("stock-search", "upper coombe");
        bench.awaitText("Nothing like that lies here");
        bench.upload("price-list", list(line("UC-1", "74.00"), line("UC-2", "75.50")));
        bench.click("Take it");
        bench.awaitText("UC-2");
        bench.awaitText("75.50");
        bench.clickIn("UC-2", "not tested");
        bench.awaitText("✓ tested");

        bench.upload("price-list", list(line("UC-1", "74.00"), line("UC-2", "71.00")));
        bench.awaitText("0 new, 1 changed, 1 as before");
        bench.awaitText("now 75.50 EUR");
    }

    @Test
    void aWrongPriceListNamesEveryMistakeAndCannotBeTaken(Visit visit) throws IOException {
        Browser bench = visit.browser().signIn();
        bench.open("/shelf");
        bench.upload("price-list", list(line("UC-8", "74.5x"), line("UC-9", "75.50"), line("UC-9", "75.50")));
        bench.awaitText("Nothing is taken until these are right");
        assertThat(bench.text()).contains("price", "74.5x", "stands once");
        assertThat(bench.enabled("Take it")).isFalse();
    }

    @Test
    void theDeskSeesTheShelfButBringsNoPriceList(Visit visit) {
        Browser desk = visit.browser().signIn("Tove Brandreth", "ferry-desk-22");
        desk.open("/shelf");
        desk.awaitText("The shelf");
        assertThat(desk.text()).doesNotContain("Price list as CSV");
    }
}
