package ridgefall.core.heat;

import java.util.function.Function;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.Band;

/** What must not get too hot. */
enum Limit {
    BATTERY("the battery", Track::battery),
    DISPLAY("the display", Track::display),
    PLASTICS("the softest plastic", Track::plastics);

    private final String words;
    private final Function<Track, double[]> curve;

    Limit(String words, Function<Track, double[]> curve) {
        this.words = words;
        this.curve = curve;
    }

    String words() {
        return words;
    }

    /** Its greatest temperature so far, from a track. */
    Function<Track, double[]> curve() {
        return curve;
    }

    double cautionC(HeatLimits limits) {
        return switch (this) {
            case BATTERY -> limits.batteryCautionC();
            case DISPLAY -> limits.displayCautionC();
            case PLASTICS -> limits.plasticsStopC();
        };
    }

    double stopC(HeatLimits limits) {
        return switch (this) {
            case BATTERY -> limits.batteryStopC();
            case DISPLAY -> limits.displayStopC();
            case PLASTICS -> limits.plasticsStopC();
        };
    }

    /** Caution in the likely case, stop on nine of ten benches. */
    boolean keptBy(Band celsius, HeatLimits limits) {
        return celsius.p50() <= cautionC(limits) && stopKeptBy(celsius, limits);
    }

    /** Stop on nine of ten benches. */
    boolean stopKeptBy(Band celsius, HeatLimits limits) {
        return celsius.p90() <= stopC(limits);
    }
}
