package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ridgefall.e2e.RunningProduct.Visit;

/** Servers die and stall: what was acknowledged stays, timers stay right, and one command heals whichever half it was. */
@AloneWithTheProduct
class KilledServersTest {

    @Test
    void aSecondScreenSeesATapWithinTwoSeconds(Visit visit) {
        Browser bench = visit.browser().signIn().takeIn("Two screens", "cracked");
        Browser second = visit.browser().signIn("Marn Ulscarth", "ridge-lead-33");
        second.open(bench.path());
        second.awaitStep("intake.front");
        // A machine that is busy with something else may be late once, not twice.
        double quickest = Stream.of("intake.battery", "intake.power")
                .mapToDouble(next -> {
                    long tapped = System.nanoTime();
                    bench.tap(" ");
                    second.awaitStep(next);
                    return (System.nanoTime() - tapped) / 1e9;
                })
                .min()
                .orElseThrow();
        assertThat(quickest).as("s until the second screen shows a tap").isLessThan(2);
    }

    @Test
    void aServerKilledInTheMiddleOfASoakLosesNothingThatWasAcknowledged(Visit visit) {
        Browser bench = visit.browser().signIn();
        double endsAt = bench.startSoak("Killed server");
        visit.product().killApp();
        bench.awaitText("Timers go on");
        bench.awaitTimerEndsAt(endsAt);
        long began = System.nanoTime();
        assertThat(visit.product().start()).contains("is running at", "Ansa Orrick");
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(30));
        bench.awaitNoText("Timers go on");
        bench.awaitTimerEndsAt(endsAt);
        bench.reload();
        bench.awaitTimerEndsAt(endsAt);
        bench.tap("1");
        bench.awaitText("Cut the");
    }

    @Test
    void aDatabaseAwayForTwentySecondsIsSaidAndQueuedTapsArriveOnce(Visit visit) {
        Browser bench = visit.browser().signIn().takeIn("Database away", "cracked");
        bench.awaitStep("intake.front");
        visit.product().stopDatabase();
        long stopped = System.nanoTime();
        bench.tap(" ");
        bench.awaitText("The journal can't be reached.");
        bench.awaitText("1 tap is kept");
        bench.awaitStep("intake.battery");
        bench.tap(" ");
        bench.awaitText("2 taps are kept");
        long away = Duration.ofSeconds(20).toMillis()
                - Duration.ofNanos(System.nanoTime() - stopped).toMillis();
        pause(away);
        visit.product().startDatabase();
        bench.awaitText("sound", Duration.ofSeconds(40));
        bench.awaitNoText("can't be reached");
        bench.awaitStep("intake.power");
        String journal =
                (String) bench.send("/api" + bench.path() + "/export", null).get("body");
        assertThat(journal.split("\"FrontSeen\"", -1)).hasSize(2);
        assertThat(journal.split("\"BatterySeen\"", -1)).hasSize(2);
    }

    /** Lets time pass: how long the outage lasts is what this journey is about. */
    private static void pause(long millis) {
        LockSupport.parkNanos(Duration.ofMillis(millis).toNanos());
    }

    @Test
    void whicheverHalfWasKilledTheSameCommandHealsIt(Visit visit) {
        Product product = visit.product();
        Browser bench = visit.browser().signIn().takeIn("Killed database", "cracked");
        product.killDatabase();
        bench.tap(" ");
        bench.awaitText("1 tap is kept");
        String databaseDown = product.status();
        String healed = product.start();
        assertThat(databaseDown)
                .contains("app       running, but not ready", "./ridgefall demo starts whatever is down")
                .doesNotContain("database  running");
        assertThat(healed).contains("is running again at", "Ansa Orrick");
        assertThat(product.status()).contains("database  running on port", "app       ready at");
        bench.awaitNoText("1 tap is kept");
        bench.awaitStep("intake.battery");
        product.killApp();
        String appDown = product.status();
        assertThat(product.start()).contains("is running at");
        assertThat(appDown).contains("database  running on port", "app       stopped");
        bench.goOn();
        bench.awaitStep("intake.power");
    }

    @Test
    void startingARunningProductSaysSo(Visit visit) {
        visit.browser();
        assertThat(visit.product().start())
                .contains("Ridgefall is already running at " + visit.product().url());
    }
}
