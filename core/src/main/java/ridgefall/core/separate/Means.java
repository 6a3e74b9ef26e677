package ridgefall.core.separate;

import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;

/**
 * How a bond is warmed again on the way round: put back on its source, or air over the stretch ahead of the pick, which
 * then stays on it while it is cut.
 *
 * @param belowMmPerS it is warmed where the pick goes slower
 * @param untilMmPerS and until it would go as fast, if the limits let it
 * @param shortOfCautionK how far from its caution everything is kept
 */
public record Means(HeatSource source, Setup setup, double belowMmPerS, double untilMmPerS, double shortOfCautionK) {
    public boolean air() {
        return source.kind().air();
    }

    Means by(HeatSource other) {
        return new Means(other, setup, belowMmPerS, untilMmPerS, shortOfCautionK);
    }

    Means speeds(double belowMmPerS, double untilMmPerS) {
        return new Means(source, setup, belowMmPerS, untilMmPerS, shortOfCautionK);
    }

    Means keeping(double shortOfCautionK) {
        return new Means(source, setup, belowMmPerS, untilMmPerS, shortOfCautionK);
    }
}
