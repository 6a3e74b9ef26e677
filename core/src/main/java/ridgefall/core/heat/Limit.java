package ridgefall.core.heat;

import java.util.function.Function;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.Band;

/** What must not get too hot. */
enum Limit {
    BATTERY("the battery", Track::battery),
    DISPLAY("the display", Track::display),
    PLASTICS("the softest plastic", Track::plastics);

    private static final double OTHER_MODELS_K = 1;

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

    /**
     * Whether a run with this peak would have kept the stop even where another model of the same bench is nearer the truth: for
     * display and plastics the two differ by that much (decision 28); the battery is watched while it is worked.
     */
    boolean surelyKeptBy(double peakC, HeatLimits limits) {
        return peakC <= stopC(limits) - (this == BATTERY ? 0 : OTHER_MODELS_K);
    }

    /** Caution in the likely case, stop on nine of ten benches. */
    boolean keptBy(Band celsius, HeatLimits limits) {
        return celsius.p50() <= cautionC(limits) && stopKeptBy(celsius, limits);
    }

    /** Stop on nine of ten benches. */
    boolean stopKeptBy(Band celsius, HeatLimits limits) {
        return surelyKeptBy(celsius.p90(), limits);
    }
}
