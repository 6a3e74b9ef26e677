package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

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
}
