package ridgefall.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.e2e.RunningProduct.Visit;

/** Remakes the pictures of docs/screenshots from demo data; not a test, run by ./ridgefall shots. */
@ExtendWith(RunningProduct.class)
class Screenshots {
    private static final Path FOLDER = Path.of("../docs/screenshots");

    @Test
    void ofEveryMainView(Visit visit) throws IOException {
        Files.createDirectories(FOLDER);
        Browser bench = visit.browser();
        bench.awaitText("Sign in");
        shoot(bench, "sign-in");
        bench.signIn();
        bench.takeIn("Lake ferry Thorn, galley tablet", "Hit by a crate, cracked over the port edge");
        shoot(bench, "intake");
        bench.goOnUntil("heat.soak");
        bench.awaitText("battery then");
        shoot(bench, "heat-plan");
        bench.goOn();
        bench.awaitText("left on");
        shoot(bench, "heat");
        bench.dark(true);
        bench.awaitText("battery then");
        shoot(bench, "heat-dark");
        bench.dark(false);
        String soaking = bench.path();
        bench.open("/");
        bench.awaitText("Waits for a timer");
        shoot(bench, "bench");
        bench.open(soaking);
        bench.awaitText("left on");
        bench.tap("1");
        bench.awaitText("Cut the");
        for (int i = 0; i < 5; i++) {
            bench.goOn();
        }
        bench.awaitText("stretches hold");
        shoot(bench, "separate");
        bench.dark(true);
        bench.awaitText("stretches hold");
        shoot(bench, "separate-dark");
        bench.dark(false);
        bench.goOnUntil("bond.school");
        bench.goOn();
        bench.goOn();
        bench.goOn();
        bench.awaitText("off the roll");
        shoot(bench, "bond");
        bench.station("Seal");
        bench.awaitText("Held by");
        shoot(bench, "seal");
        bench.station("Bond");
        bench.goOnUntil("prove.hand-over");
        bench.goOn();
        bench.goOn();
        bench.awaitText("Open the record");
        bench.open(bench.path() + "/record");
        bench.awaitText("Worked on by");
        shoot(bench, "record");
    }

    private static void shoot(Browser browser, String name) throws IOException {
        // Drawings settle within a few frames of their data.
        LockSupport.parkNanos(Duration.ofMillis(900).toNanos());
        Files.write(FOLDER.resolve(name + ".png"), browser.picture());
    }
}
