package ridgefall.core.heat;

import ridgefall.core.heat.HeatFact.Sweep;

/**
 * How a source is set and led.
 *
 * @param dial airflow as the machine's dial counts it; null where the front lies on the source
 * @param distanceMm of the outlet from the glass; null where the front lies on the source
 */
public record Setup(double settingC, Double dial, Double distanceMm, Sweep sweep) {

    public static Setup face(double settingC) {
        return new Setup(settingC, null, null, Sweep.FACE);
    }

    static Setup of(HeatFact.SoakStarted fact) {
        return new Setup(fact.settingC(), fact.dial(), fact.distanceMm(), fact.sweep());
    }

    Setup at(double otherC) {
        return new Setup(otherC, dial, distanceMm, sweep);
    }
}
