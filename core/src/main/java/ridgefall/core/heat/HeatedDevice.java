package ridgefall.core.heat;

import java.util.List;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.material.Cutting;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.HeatStack;

/**
 * A device as it comes to a source: its layers, its damage, and what it must not pass.
 *
 * @param profileId the device in the book; what was measured of one holds for its like
 * @param cutting how its bond is cut
 * @param roomC of the air round it; it starts as warm as that
 */
record HeatedDevice(
        String profileId,
        HeatStack stack,
        FrontCondition condition,
        EdgePieces pieces,
        Cutting cutting,
        double roomC,
        HeatLimits limits) {
    /** How much hotter glass is over a gap than the panel's edge under air, on the safe side. */
    private static final double ACROSS_GAP_K = 20;

    /** Pieces of a plan: fine enough for a crack or a lifted corner, coarse enough to run hundreds of benches. */
    static final double PLANNING_MM = 30;

    /** Of many ways weighed against each other. */
    static final double WEIGHING_MM = 45;

    static final double FIRST_LOOK_MM = 70;

    static HeatedDevice of(
            DeviceProfile profile,
            FrontCondition condition,
            List<EdgeInterval> cracks,
            List<BendMarked> bends,
            Cutting cutting,
            double roomC,
            double pieceMm) {
        return new HeatedDevice(
                profile.id(),
                profile.heat(),
                condition,
                EdgePieces.of(profile, cracks, bends, pieceMm),
                cutting,
                roomC,
                profile.limits());
    }

    /** The battery's place is empty; what is left warms sooner. */
    HeatedDevice withoutBattery() {
        return new HeatedDevice(
                profileId, stack.withoutBattery(), condition, pieces, cutting, roomC, limits.withoutBattery());
    }

    /** Bond temperature from which the pick goes through; infinite where none does. */
    double workableFromC() {
        return cutting.workableFromC();
    }

    /** Bond temperature below which it has gone cold again; infinite with {@link #workableFromC}, or a little sooner. */
    double coldBelowC() {
        return cutting.coldBelowC();
    }

    /**
     * What the glass may get to where it faces a source: the panel ends behind it, and with a plastic bezel that too, °C. With a gap
     * between, the glass gets hotter than a panel that is as hot as it may be.
     */
    double glassCautionC() {
        return glassCautionC(stack, limits);
    }

    static double glassCautionC(HeatStack stack, HeatLimits limits) {
        double glassC = limits.displayCautionC() + (stack.fused() ? 0 : ACROSS_GAP_K);
        return plasticBezel(stack) ? Math.min(glassC, limits.plasticsStopC()) : glassC;
    }

    boolean plasticBezel() {
        return plasticBezel(stack);
    }

    static boolean plasticBezel(HeatStack stack) {
        return stack.plasticLedge();
    }
}
