package ridgefall.core.separate;

import java.util.List;
import ridgefall.core.edge.Landmark;
import ridgefall.core.units.NotAllowed;

/**
 * The way round the edge from where the bench stands.
 *
 * @param stretches all of the edge, freed or not
 * @param moves what is left to do, in order
 * @param workableFromC bond temperature below which to warm again rather than push
 * @param againSeconds on the source, each time it is warmed again
 */
public record CutPlan(
        List<Stretch> stretches,
        List<Move> moves,
        String entrySeam,
        Landmark opensOn,
        int greatestOpeningDeg,
        double workableFromC,
        double againSeconds) {

    /**
     * One stretch to cut.
     *
     * @param clockwise direction of the tool along the edge
     * @param newEntry true where nothing beside it is free: enter here
     * @param warmAgain true where the bond will have gone cold by now, or where each stretch is warmed by itself
     * @param pausesAtMm edge positions at which it is warmed once more on the way
     * @param seconds of cutting
     * @param bondC as cold as the bond gets under the pick
     * @param pickMm the thickest pick that may go in; null where nothing may lift the glass: cut from the frame's side
     * @param forceN what the hand feels behind that pick
     * @param riseMm how far the edge may rise once this stretch is free; null where nothing may lift the glass
     * @param wedgeAtMm where to leave a wedge once this stretch is free; null for none
     */
    public record Move(
            String stretchId,
            boolean clockwise,
            boolean newEntry,
            boolean warmAgain,
            List<Double> pausesAtMm,
            double seconds,
            double bondC,
            Double pickMm,
            double forceN,
            Double riseMm,
            Double wedgeAtMm) {

        /** As it is called at the bench: under glass that bears nothing there is room for a blade alone. */
        public String tool() {
            return pickMm == null || pickMm <= CutPlanner.BLADE_MM ? "blade" : "pick";
        }

        int warmings() {
            return (warmAgain ? 1 : 0) + pausesAtMm.size();
        }

        /** On the way along a stretch of some length. */
        public double mmPerS(double lengthMm) {
            return lengthMm / seconds;
        }
    }

    /** @throws NotAllowed when this device has no such stretch */
    public Stretch stretch(String id) {
        return stretches.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "stretchId",
                        id,
                        "one of "
                                + String.join(
                                        ", ",
                                        stretches.stream().map(Stretch::id).toList())));
    }

    public double cuttingSeconds() {
        return moves.stream().mapToDouble(Move::seconds).sum();
    }

    /** How often it is warmed again until all is free. */
    public int warmings() {
        return moves.stream().mapToInt(Move::warmings).sum();
    }

    /** Until all is free. */
    public double totalSeconds() {
        return cuttingSeconds() + warmings() * againSeconds;
    }
}
