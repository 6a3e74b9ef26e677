package ridgefall.core.heat;

import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatFact.Sweep;

/**
 * How a source is set and led.
 *
 * @param dial airflow as the machine's dial counts it; null where the front lies on the source
 * @param distanceMm of the outlet from the glass; null where the front lies on the source
 * @param where the stretch that air is led over to and fro; null where all is warmed, or one stretch stands for all
 */
public record Setup(double settingC, Double dial, Double distanceMm, Sweep sweep, EdgeInterval where) {
    /** Nobody said where. */
    public Setup(double settingC, Double dial, Double distanceMm, Sweep sweep) {
        this(settingC, dial, distanceMm, sweep, null);
    }

    public static Setup face(double settingC) {
        return new Setup(settingC, null, null, Sweep.FACE);
    }

    public static Setup of(HeatFact.SoakStarted fact) {
        return new Setup(fact.settingC(), fact.dial(), fact.distanceMm(), fact.sweep(), fact.where());
    }

    public Setup at(double otherC) {
        return new Setup(otherC, dial, distanceMm, sweep, where);
    }

    public Setup over(EdgeInterval stretch) {
        return new Setup(settingC, dial, distanceMm, sweep, stretch);
    }
}
