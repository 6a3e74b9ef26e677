package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;
import ridgefall.e2e.RunningProduct.Visit;

/** Hands that are quicker than the line: nothing is recorded that nobody was asked, and what to do about a danger needs no line. */
@ExtendWith(RunningProduct.class)
@Order(2)
class SlowLineTest {
    private static final int HITS = Integer.getInteger("ridgefall.hits", 30);

    /** Hits of a whole job: what is opened by mistake is closed again. */
    private static final int WHOLE = Integer.getInteger("ridgefall.whole", 500);

    private static void hits(Browser bench, long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < HITS; i++) {
            bench.hit(random);
            LockSupport.parkNanos(Duration.ofMillis(80 + random.nextInt(620)).toNanos());
        }
    }

    private static void everyAnswerWasToAQuestionThatStood(TapWatch watch) {
        assertThat(watch.tapped()).isNotEmpty().allSatisfy(tap -> {
            assertThat(tap.inSight()).as(tap.words()).isEqualTo(tap.step());
            assertThat(tap.stoodMs()).as(tap.words()).isGreaterThanOrEqualTo(250);
        });
        assertThat(watch.refused())
                .as("offered, and then not due")
                .noneMatch(words -> words.toString().contains("Before it"));
    }

    @ParameterizedTest
    @CsvSource({
        "intake.battery, Pellow Dial 41",
        "strip.screws-over, Marrowby Quire 8",
        "bond.held, Sillery Satchel 7",
        "open.picture, Marrowby Quire 11"
    })
    void onALineOfTwoAndAHalfSecondsOnlyWhatWasAskedIsRecorded(String from, String device, Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo(from, device, "Slow hut", "cracked");
        TapWatch watch = bench.watchTaps();
        bench.slowLine(2500);
        hits(bench, 35);
        bench.slowLine(0);
        bench.awaitAnswers();
        everyAnswerWasToAQuestionThatStood(watch);
    }

    /**
     * A whole job, from taking it in until it is handed over, by a hand that does not look. What went wrong on the way leads somewhere, and is
     * hit at too; where it ends before its end is another one's finding. Minutes each: {@code ./ridgefall bench} runs them.
     */
    @Tag("kills")
    @ParameterizedTest
    @CsvSource({
        "Marrowby Quire 11, 0, 41", "Pellow Dial 41, 0, 42", "Drumlin Crate 10, 0, 43",
        "Marrowby Quire 11, 2500, 44", "Pellow Dial 41, 2500, 45", "Drumlin Crate 10, 2500, 46"
    })
    void overAWholeJobOnlyWhatWasAskedIsRecorded(String device, int delayMs, long seed, Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("intake.front", device, "Whole hut", "cracked");
        TapWatch watch = bench.watchTaps();
        bench.slowLine(delayMs);
        Random random = new Random(seed);
        for (int i = 0; i < WHOLE && !bench.text().contains("Handed over. Open the record"); i++) {
            bench.hit(random);
            LockSupport.parkNanos(Duration.ofMillis(80 + random.nextInt(620)).toNanos());
        }
        bench.slowLine(0);
        bench.awaitAnswers();
        everyAnswerWasToAQuestionThatStood(watch);
    }

    @Test
    void atOnceTheScreenNeverOffersWhatTheServerTakesBack(Visit visit) {
        Browser bench =
                visit.browser().asAnsa().takenTo("strip.screws-over", "Marrowby Quire 11", "Quick hut", "cracked");
        TapWatch watch = bench.watchTaps();
        hits(bench, 36);
        bench.awaitAnswers();
        everyAnswerWasToAQuestionThatStood(watch);
    }

    @Test
    void withTheLineCutASwollenBatteryLeadsToTheStopAtOnceAndNothingElseIsAnswered(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("intake.battery", "Cut-off hut", "lifts by itself");
        TapWatch watch = bench.watchTaps();
        bench.offline(true);
        bench.tap("2");
        bench.awaitText("No heat, no charger, no pressing, no prying");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.press(Keys.ESCAPE);
        bench.offline(false);
        bench.awaitAnswers();
        assertThat(watch.tapped())
                .extracting(TapWatch.Tapped::words)
                .containsExactly("Battery: flat, cool, quiet?: Swollen");
    }

    @Test
    void withTheLineCutABadAnswerWaitsAndSaysSoAndTheBatteryIsSaidAtOnce(Visit visit) {
        Browser bench = visit.browser().asAnsa().takenTo("open.picture", "Waiting hut", "cracked");
        TapWatch watch = bench.watchTaps();
        bench.offline(true);
        bench.tap(Keys.SPACE);
        bench.awaitInSight("open.touch");
        bench.tap("2");
        bench.awaitText("Kept until the line is back; what comes next needs the line.");
        bench.tap(Keys.SPACE);
        bench.tap("1");
        bench.tap("x");
        bench.awaitText("No heat, no charger, no pressing, no prying");
        bench.offline(false);
        bench.awaitAnswers();
        assertThat(watch.tapped())
                .extracting(TapWatch.Tapped::words)
                .containsExactly("Picture, no lines or spots: Works", "Touch everywhere: Fails");
    }
}
