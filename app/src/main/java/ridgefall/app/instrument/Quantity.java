package ridgefall.app.instrument;

import java.util.Locale;

/** What instruments at this bench measure, each in one unit; beyond its range an answer is none. */
public enum Quantity {
    TEMPERATURE("°C", -40, 700),
    CURRENT("A", -20, 20),
    VOLTAGE("V", -60, 60),
    IRRADIANCE("mW/cm²", 0, 5000),
    HUMIDITY("%", 0, 100),
    PRESSURE("kPa", 0, 2000),
    DISPLACEMENT("mm", -100, 100),
    /** Whether a reader sees a card: 1 for one that answers, 0 for none. */
    CARD("cards", 0, 1),
    /** Whether a device lies under a touch rig's finger: 1 for one that does, 0 for none. */
    TOUCH("devices", 0, 1);

    static final double CARD_ANSWERS = 0.5;

    private final String unit;
    private final double least;
    private final double greatest;

    Quantity(String unit, double least, double greatest) {
        this.unit = unit;
        this.least = least;
        this.greatest = greatest;
    }

    public String unit() {
        return unit;
    }

    /** A value with its unit, as texts of the core have theirs. */
    String words(double value) {
        if (this == CARD) {
            return value >= CARD_ANSWERS ? "card answers" : "nothing answers";
        }
        if (this == TOUCH) {
            return value >= CARD_ANSWERS ? "a device under its finger" : "nothing under its finger";
        }
        return this == TEMPERATURE
                ? String.format(Locale.ROOT, "{t:%.1f}", value)
                : String.format(Locale.ROOT, "%.2f %s", value, unit);
    }

    public double least() {
        return least;
    }

    public double greatest() {
        return greatest;
    }
}
