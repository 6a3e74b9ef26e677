package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import ridgefall.e2e.RunningProduct.Visit;

/** Servers die and stall: what was acknowledged stays, timers stay right, and one command heals whichever half it was. */
@AloneWithTheProduct
class KilledServersTest {
    /** Killed more often than a build needs: {@code ./ridgefall bench} does. */
    private static final String KILLS = "kills";

    @Test
    void aDatabaseAwayForTwentySecondsIsSaidAndQueuedTapsArriveOnce(Visit visit, Product product) {
        Browser bench = visit.browser().asAnsa().takeIn("Database away", "cracked");
        bench.awaitStep("intake.front");
        product.stopDatabase();
        long stopped = System.nanoTime();
        bench.tap(" ");
        bench.awaitText("The journal can't be reached.");
        bench.awaitText("1 tap is kept");
        bench.awaitOffered("intake.battery");
        bench.tap(" ");
        bench.awaitText("2 taps are kept");
        long away = Duration.ofSeconds(20).toMillis()
                - Duration.ofNanos(System.nanoTime() - stopped).toMillis();
        pause(away);
        product.startDatabase();
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
    void whicheverHalfWasKilledTheSameCommandHealsIt(Visit visit, Product product) {
        Browser bench = visit.browser().asAnsa().takeIn("Killed database", "cracked");
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
    void aSecondCommandJoinsTheStartThatIsAtWorkAndSoDoesOneWhoseCommandWasEnded(Product product) {
        product.killApp();
        Product.Starting first = product.beginStart();
        String second = product.start();
        assertThat(second).contains("is already running at", "Ansa Orrick");
        assertThat(first.command().onExit().join().exitValue()).isZero();
        assertThat(product.pid()).isEqualTo(first.pid());

        product.killApp();
        Product.Starting ended = product.beginStart();
        ended.command().destroyForcibly().onExit().join();
        assertThat(product.start()).contains("Ansa Orrick");
        assertThat(product.pid()).isEqualTo(ended.pid());
    }

    @Test
    @Tag(KILLS)
    void twoDevicesOnTwoSourcesKeepTimersAndForecastsOverARestartOfServerAndDatabase(Visit visit, Product product) {
        Browser pad = atSoak(visit.browser().asAnsa(), "Two sources, left");
        pad.goOn();
        pad.awaitText("Soaking on Gel pad");
        double padEnds = pad.soakEndsAt();
        Browser plate = atSoak(visit.browser().as("Marn Ulscarth", "ridge-lead-33"), "Two sources, right");
        plate.click("Sources and recipes");
        plate.awaitText("why, or why not");
        plate.clickIn("Plate 1", "Take");
        plate.awaitText("on Plate 1 at");
        plate.click("Start with this");
        plate.awaitText("Soaking on Plate 1");
        double plateEnds = plate.soakEndsAt();
        isRight(pad, padEnds);

        product.killApp();
        pad.awaitText("Timers go on");
        pad.awaitTimerEndsAt(padEnds);
        assertThat(product.start()).contains("is running at", "Ansa Orrick");
        pad.awaitNoText("Timers go on");
        product.stopDatabase();
        product.startDatabase();
        pad.awaitNoText("can't be reached");
        plate.awaitNoText("can't be reached");
        pad.reload();
        plate.reload();
        isRight(pad, padEnds);
        isRight(plate, plateEnds);

        pad.tap("1");
        pad.awaitText("Cut the");
        plate.click("It slipped");
        plate.awaitText("lies on an edge only");
        assertThat(pad.text()).doesNotContain("lies on an edge only");
        // The stand-in thermocouples lie on the device on Plate 1, and on no other.
        assertThat((String)
                        plate.send("/api" + plate.path() + "/heat/log", null).get("body"))
                .startsWith("seconds,surface,celsius")
                .contains("FRAME", "GLASS", "SOURCE");
        assertThat((String) pad.send("/api" + pad.path() + "/heat/log", null).get("body"))
                .doesNotContain("FRAME");
    }

    /** Here, where no other journey lays anything on: what one device lies on is no more offered to the next. */
    @Test
    void aSourceThatAnotherDeviceLiesOnIsOfferedOnceItIsFree(Visit visit) {
        Browser waits = atSoak(visit.browser().asAnsa(), "Two devices, second");
        waits.awaitText("on Gel pad at");
        Browser first = atSoak(visit.browser().as("Marn Ulscarth", "ridge-lead-33"), "Two devices, first");
        first.goOn();
        first.awaitText("Soaking on Gel pad");
        waits.awaitNoText("on Gel pad at");
        waits.click("Sources and recipes");
        waits.awaitText("Marrowby Quire 11 is on it; free in");
        waits.awaitEnabled("Take Gel pad", false);
        first.tap("1");
        first.awaitText("Cut the");
        waits.awaitNoText("is on it; free in");
        waits.awaitEnabled("Take Gel pad", true);
    }

    /**
     * The server dies while it reads, then while half of it is on the new front: that is said, what was read is there still, and
     * each is done anew.
     */
    @Test
    @Tag(KILLS)
    void dataThatWereBeingReadOrWrittenAreSaidNotToBeThereAndAreCopiedAnew(Visit visit, Product product) {
        Browser bench = visit.browser().asAnsa().takenTo("carry.old-on-stylus-data", "Killed copy", "cracked");
        bench.goOn();
        bench.awaitStep("carry.read-stylus-data");
        bench.awaitAnswers();
        bench.programmerPlays("SLOW");
        bench.tap(" ");
        bench.awaitText("reads the old front");
        product.killApp();
        assertThat(product.start()).contains("is running at");
        bench.awaitText("it was broken off before it was through", Duration.ofSeconds(40));
        bench.awaitAnswers();
        bench.goOn();
        bench.awaitStep("carry.new-on-stylus-data");
        bench.goOn();
        bench.awaitStep("carry.write-stylus-data");
        bench.awaitAnswers();
        bench.programmerPlays("SLOW");
        bench.tap(" ");
        bench.awaitText("reads what the new front holds");
        product.killApp();
        assertThat(product.start()).contains("is running at");
        bench.awaitText(
                "it was broken off before it was through; the new front may hold half of it", Duration.ofSeconds(40));
        bench.awaitText("16,384 bytes");
        bench.awaitAnswers();
        bench.tap(" ");
        bench.awaitText("reads back the same");
        bench.awaitStep("carry.stylus-data");
    }

    /** Wet stretches, liquid under glass and film under pressure, each on its own clock, on two screens. */
    @Test
    void clocksOfStretchesLiquidAndFilmsRunOnThroughAKill(Visit visit, Product product) {
        Browser wet = visit.browser().asAnsa().takenTo("clean.wiped", "Sillery Satchel 7", "Killed ledge", "cracked");
        wet.goOn();
        Browser liquid = atTheGlass(visit, "Killed liquid");
        liquid.tap(" ");
        liquid.skipTo("bond.spread");
        double spreads = liquid.clockEndsAt("Optical liquid spreads");
        Browser film = atTheGlass(visit, "Killed film");
        film.tap("2");
        film.awaitStep("bond.film");
        film.skipTo("bond.chamber");
        film.goOn();
        film.type("acrossMm", "0.5");
        film.awaitText("and all smaller ones");
        double pressed = film.clockEndsAt("Under pressure");
        double dries = wet.clockEndsAt("Solvent drying");
        assertThat(dries).isPositive();
        product.killApp();
        assertThat(product.start()).contains("is running at");
        film.reload();
        film.awaitTimerEndsAt(pressed);
        assertThat(liquid.clockEndsAt("Optical liquid spreads")).isEqualTo(spreads);
        assertThat(wet.clockEndsAt("Solvent drying")).isEqualTo(dries);
        wet.open(film.path());
        wet.awaitTimerEndsAt(pressed);
    }

    private static Browser atTheGlass(Visit visit, String owner) {
        return visit.browser().asAnsa().takenTo("bond.joined-with", "Pellow Dial 45", owner, "cracked");
    }

    private static Browser atSoak(Browser screen, String owner) {
        return screen.takenTo("heat.soak", owner, "cracked");
    }

    private static void isRight(Browser bench, double endsAt) {
        bench.awaitText("coldest bond now");
        bench.awaitTimerEndsAt(endsAt);
    }

    @Test
    void startingARunningProductSaysSo(Product product) {
        assertThat(product.start()).contains("Ridgefall is already running at " + product.url());
    }
}
