package ridgefall.core.separate;

import java.util.List;
import ridgefall.core.edge.Landmark;

/**
 * The way round the edge from where the bench stands.
 *
 * @param stretches all of the edge, freed or not
 * @param moves what is left to do, in order
 * @param workableFromC bond temperature below which to warm again rather than push
 */
public record CutPlan(
        List<Stretch> stretches,
        List<Move> moves,
        String entrySeam,
        Landmark opensOn,
        int greatestOpeningDeg,
        double workableFromC,
        double cuttingSeconds) {

    /**
     * One stretch to cut.
     *
     * @param clockwise direction of the tool along the edge
     * @param newEntry true where nothing beside it is free: enter here
     * @param warmAgain true where the bond will have gone cold by now
     * @param forceN to push a 10 mm pick at the workable temperature, slowly
     * @param liftLimitMm how far the freed edge may be raised before the glass breaks
     * @param wedgeAtMm where to leave a wedge once this stretch is free; null for none
     */
    public record Move(
            String stretchId,
            boolean clockwise,
            boolean newEntry,
            boolean warmAgain,
            double seconds,
            double forceN,
            double liftLimitMm,
            Double wedgeAtMm) {}
}
