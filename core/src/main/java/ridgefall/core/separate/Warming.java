package ridgefall.core.separate;

import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;

/**
 * One warming on the way round.
 *
 * @param seconds at the source, without handling
 */
public record Warming(HeatSource source, Setup setup, double seconds) {
    public String words() {
        return source.name() + " at {C:" + setup.settingC() + "}, {s:" + Math.round(seconds) + "}";
    }

    Warming by(HeatSource other) {
        return new Warming(other, setup, seconds);
    }

    double withHandlingSeconds() {
        return source.handlingSeconds() + seconds;
    }
}
