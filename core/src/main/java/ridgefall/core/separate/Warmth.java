package ridgefall.core.separate;

import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.heat.HeatPlan;

/** How warm the bond is while it is cut. */
public interface Warmth {
    /** The bond at its coldest over a part of the edge, so long after it was warmed, °C. */
    double bondC(EdgeInterval where, double seconds);

    /** How long it takes to make it as warm again once it has gone cold, with all handling. */
    double againSeconds();

    /** How much of the edge is warmed at a time; infinite where all of it is. */
    double atATimeMm();

    static Warmth of(HeatPlan heat, Turn turn) {
        boolean stretchByStretch = heat.dwells() > 1;
        return new Warmth() {
            @Override
            public double bondC(EdgeInterval where, double seconds) {
                return heat.bondOffC(turn, where, seconds);
            }

            @Override
            public double againSeconds() {
                return heat.source().handlingSeconds() + (stretchByStretch ? heat.soakSeconds() : heat.reheatSeconds());
            }

            @Override
            public double atATimeMm() {
                return stretchByStretch ? heat.source().strokeMm() : Double.POSITIVE_INFINITY;
            }
        };
    }
}
