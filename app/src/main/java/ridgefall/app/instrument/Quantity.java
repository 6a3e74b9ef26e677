package ridgefall.app.instrument;

import java.util.List;
import java.util.Locale;

/** What instruments at this bench measure, each in one unit; beyond its range an answer is none. */
public enum Quantity {
    TEMPERATURE("°C", -40, 700, "MEAS:TEMP?", "MEAS:TEMP:SURF?", "FETC:TEMP?", "READ:TEMP?", "FETC?", "READ?"),
    CURRENT("A", -20, 20, "MEAS:CURR?", "MEAS:CURR:DC?", "FETC:CURR?", "READ:CURR?", "FETC?", "READ?"),
    VOLTAGE("V", -60, 60, "MEAS:VOLT?", "MEAS:VOLT:DC?", "FETC:VOLT?", "READ:VOLT?", "FETC?", "READ?"),
    IRRADIANCE("mW/cm²", 0, 5000, "MEAS:IRR?", "FETC:IRR?", "READ:IRR?", "FETC?", "READ?"),
    HUMIDITY("%", 0, 100, "MEAS:HUM?", "FETC:HUM?", "READ:HUM?", "FETC?", "READ?"),
    PRESSURE("kPa", 0, 2000, "MEAS:PRES?", "FETC:PRES?", "READ:PRES?", "FETC?", "READ?"),
    DISPLACEMENT("mm", -100, 100, "MEAS:DISP?", "FETC:DISP?", "READ:DISP?", "FETC?", "READ?"),
    /** Whether a reader sees a card: 1 for one that answers, 0 for none. */
    CARD("cards", 0, 1, "CARD:ANSW?"),
    /** Whether a device lies under a touch rig's finger: 1 for one that does, 0 for none. */
    TOUCH("devices", 0, 1, "TOUC:DEV?");

    static final double CARD_ANSWERS = 0.5;

    private final String unit;
    private final double least;
    private final double greatest;
    private final List<String> questions;

    /** @param questions that are put to an instrument for it, and no others: an address that is not one hears nothing else from us */
    Quantity(String unit, double least, double greatest, String... questions) {
        this.unit = unit;
        this.least = least;
        this.greatest = greatest;
        this.questions = List.of(questions);
    }

    List<String> questions() {
        return questions;
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
