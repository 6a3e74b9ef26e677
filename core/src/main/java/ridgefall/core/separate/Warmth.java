package ridgefall.core.separate;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ridgefall.core.edge.EdgeInterval;

/** The bond as a hand meets it on its way round the edge; while it cuts, time goes on. */
interface Warmth {
    /** The bond at a position now, °C. */
    double bondC(double positionMm);

    /**
     * Cutting, for so long.
     *
     * @param ahead what is still to be cut, in order, the first from where the hand is
     * @return how long of it air was held on the stretch, s
     */
    double pass(double seconds, Supplier<List<EdgeInterval>> ahead, boolean clockwise);

    /** Whether going on is of no interest any more. */
    boolean givenUp();

    /** Whether a bond that is cut so fast is better warmed before the hand goes on. */
    boolean worthWarming(double mmPerS);

    /**
     * Warms it again, with all handling.
     *
     * @param ahead what is still to be cut, in order, the first from where the hand is
     * @param clockwise the way the hand goes
     * @return what was done; empty where the limits allow nothing now
     */
    Optional<Warming> again(List<EdgeInterval> ahead, boolean clockwise);
}
