package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Where the one large action must not record: after a bad answer, at a stop, away from its station, against the plan. */
@ExtendWith(RunningProduct.class)
class LargeActionTest {

    private static long recorded(Browser bench) {
        String job = (String) bench.send("/api" + bench.path(), null).get("body");
        return Long.parseLong(job.replaceAll("(?s).*?\"seq\":(\\d+).*", "$1"));
    }

    @Test
    void afterABadAnswerTheQuestionIsPutAgainAndAwayFromItsStationItLeadsBack(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("clean.flat", "Failing hut", "cracked");
        bench.tap("2");
        bench.type("reason", "glue in a corner");
        bench.awaitText("Check again");
        long before = recorded(bench);
        bench.tap("1");
        bench.tap(Keys.SPACE);
        bench.awaitText("Ledge flat, dry and shiny: and now?");
        bench.tap(Keys.SPACE);
        assertThat(recorded(bench))
                .as("neither figure nor space recorded anything")
                .isEqualTo(before);
        bench.station("Seal");
        bench.awaitText("Back to Clean");
        bench.tap("1");
        bench.tap(Keys.SPACE);
        bench.awaitText("Ledge flat, dry and shiny: and now?");
        assertThat(recorded(bench)).isEqualTo(before);
        bench.tap("1");
        bench.awaitStep("bond.held");
        bench.awaitAnswers();
        assertThat(recorded(bench)).isEqualTo(before + 1);
    }

    @Test
    void aSwollenBatteryLeadsToTheStopAndNowhereElse(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("intake.battery", "Swollen hut", "lifts by itself");
        bench.tap("2");
        bench.awaitText("Stop: what to do now");
        // It is shown before the journal has what was answered.
        bench.awaitAnswers();
        long before = recorded(bench);
        bench.tap("1");
        bench.tap(Keys.SPACE);
        bench.awaitText("Nothing goes on with this device.");
        assertThat(bench.text()).contains("No heat, no charger, no pressing, no prying");
        bench.press(Keys.ESCAPE);
        bench.awaitNoText("Nothing goes on with this device.");
        assertThat(recorded(bench)).isEqualTo(before);
    }
}
