package ridgefall.app.instrument;

import java.time.Duration;

/** How long something failed says where and why it did; so all of it takes alike long. */
final class Patience {
    private Patience() {}

    /** Waits for what is left of it. @param from of {@link System#nanoTime()} */
    static void spent(long from, Duration patience) {
        long left = from + patience.toNanos() - System.nanoTime();
        if (left > 0) {
            try {
                Thread.sleep(Duration.ofNanos(left).toMillis());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
