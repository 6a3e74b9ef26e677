package ridgefall.e2e;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.openqa.selenium.JavascriptException;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * Waits inside the page, woken by what changes there: asking again and again from outside takes the machine from what is
 * waited for.
 */
record Waiting(ChromeDriver driver) {
    private static final String IN_THE_PAGE = """
            const [patienceMs, ...rest] = arguments;
            const done = rest.pop();
            const holds = (...args) => %s;
            const look = () => holds(...rest) && end(true);
            let due;
            const woken = () => (due ??= setTimeout(() => { due = undefined; look(); }, 15));
            const watch = new MutationObserver(woken);
            // Clocks and what is typed change no node.
            const tick = setInterval(look, 250);
            const over = setTimeout(() => end(false), patienceMs);
            const end = (held) => {
              watch.disconnect();
              clearInterval(tick);
              clearTimeout(over);
              clearTimeout(due);
              done(held);
            };
            watch.observe(document, {subtree: true, childList: true, attributes: true, characterData: true});
            look();
            """;

    /**
     * @param condition a JavaScript expression over {@code args}
     * @return whether it came true
     */
    boolean until(Duration patience, String condition, Object... args) {
        long end = System.nanoTime() + patience.toNanos();
        while (true) {
            List<Object> given = new ArrayList<>();
            given.add(Math.max(0, Duration.ofNanos(end - System.nanoTime()).toMillis()));
            given.addAll(Arrays.asList(args));
            try {
                return (Boolean) driver.executeAsyncScript(IN_THE_PAGE.formatted(condition), given.toArray());
            } catch (JavascriptException e) {
                // The page was left meanwhile: the next one is waited for.
                if (System.nanoTime() > end) {
                    throw e;
                }
            }
        }
    }
}
