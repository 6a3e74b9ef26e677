package ridgefall.app.live;

import java.util.function.Supplier;

/**
 * What screens show of all jobs, beside the one in hand. Few taps change it: screens hear of those alone and don't look again at
 * every other.
 *
 * @param now how it is; two that are equal look alike
 */
public record SeenByAll(String event, Supplier<?> now) {}
