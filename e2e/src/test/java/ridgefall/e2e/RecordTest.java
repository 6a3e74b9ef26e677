package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** What the owner is shown and signs before the device goes back. */
@ExtendWith(RunningProduct.class)
class RecordTest {
    @Test
    void theOwnerSignsWithAFingerAndTheRecordShowsTheLines(Visit visit) {
        Browser bench = visit.browser().signIn();
        bench.takenTo("prove.hand-over", "Marrowby Quire 11", "Signing hut", "cracked");
        bench.awaitText("that worked before work now");
        bench.click("Signed for the owner");
        bench.stroke("svg.touch-none", 0.1, 0.5, 0.8, 0.3);
        bench.awaitText("Draw it anew");
        bench.type("name", "Signing hut");
        bench.awaitNoText("Draw it anew");
        bench.awaitText("Signed for the owner: anew");
        bench.open(bench.path() + "/record");
        bench.awaitText("Signing hut, for the owner");
        assertThat(bench.textOf("[aria-label='Signature of Signing hut']")).isEmpty();
        bench.click("Show the shop");
        bench.awaitText("PDF for the shop");
    }

    @Test
    void aLeadBringsInTheFileOfAJobAndIsToldTheFirstPlaceThatCannotBe(Visit visit) throws IOException {
        Browser lead = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        String file = Walk.of("Pellow Dial 41", null).to("open.touch", "Moved hut", "cracked");
        Path whole = Files.writeString(Files.createTempFile("job", ".json"), file);
        Path broken =
                Files.writeString(Files.createTempFile("job", ".json"), file.replace("BatterySeen", "BatteryEaten"));
        lead.open("/take-in");
        lead.awaitText("Bring in a job");
        lead.upload("job-file", broken);
        lead.awaitText("Can't take this file");
        assertThat(lead.text()).contains("journal/", "BatteryEaten", "Nothing was changed");
        lead.upload("job-file", whole);
        lead.awaitStep("open.touch");
        assertThat(lead.text()).contains("Moved hut");
        assertThat((String) lead.send("/api" + lead.path() + "/export", null).get("body"))
                .contains("\"type\":\"BroughtIn\",\"number\":1");

        Browser ansa = visit.browser().signIn();
        ansa.open("/take-in");
        ansa.awaitText("Which device?");
        assertThat(ansa.text()).doesNotContain("Bring in a job");
    }
}
