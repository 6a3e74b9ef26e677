package ridgefall.e2e;

import java.util.List;
import org.openqa.selenium.JavascriptExecutor;

/**
 * What a page keeps to be sent, from now on: of every tap which question it answers, which one was in sight, and how long that, or
 * the dialog that asks for more of it, had stood there; and whatever is refused.
 */
final class TapWatch {
    private static final String WATCH = """
            // What is in sight by now stood there before.
            const seen = window.seen = {taps: [], refused: [], asked: '', since: performance.now()};
            const known = new Set();
            const look = () => {
              const large = document.querySelector('[data-next], [data-waits]');
              const dialog = document.querySelector('[role=dialog] h2');
              const words = dialog ?? (large?.dataset.next ? large : undefined);
              // What was refused stays in its dialog, whatever is said behind it meanwhile.
              const step = large ? (large.dataset.next ?? large.dataset.waits) : dialog ? seen.asked.split('|')[0] : '';
              const asked = step && step + '|' + (words?.innerText ?? '');
              if (asked !== seen.asked) Object.assign(seen, {asked, since: performance.now()});
              const refused = document.querySelector('[data-refused]')?.innerText;
              if (refused && seen.refused.at(-1) !== refused) seen.refused.push(refused);
            };
            look();
            seen.since = -1e6;
            new MutationObserver(look).observe(document.body,
                {subtree: true, childList: true, characterData: true, attributes: true});
            const kept = Storage.prototype.setItem;
            Storage.prototype.setItem = function (key, value) {
              for (const tap of key === 'ridgefall.outbox' ? JSON.parse(value) : []) {
                if (!known.has(tap.commandId) && tap.stepId) {
                  seen.taps.push([tap.stepId, seen.asked.split('|')[0], performance.now() - seen.since, tap.words]);
                }
                known.add(tap.commandId);
              }
              return kept.call(this, key, value);
            };
            """;

    private final JavascriptExecutor page;

    TapWatch(JavascriptExecutor page) {
        this.page = page;
        page.executeScript(WATCH);
    }

    /** @param stoodMs how long the question had been in sight that was in sight then */
    record Tapped(String step, String inSight, double stoodMs, String words) {}

    List<Tapped> tapped() {
        return ((List<?>) page.executeScript("return window.seen.taps"))
                .stream()
                        .map(tap -> (List<?>) tap)
                        .map(tap -> new Tapped(
                                (String) tap.get(0), (String) tap.get(1), ((Number) tap.get(2)).doubleValue(), (String)
                                        tap.get(3)))
                        .toList();
    }

    List<?> refused() {
        return (List<?>) page.executeScript("return window.seen.refused");
    }
}
