package ridgefall.app.instrument;

import java.util.Locale;

/** What an instrument's answer to a question for a quantity means. */
sealed interface Answer {
    /** From here on SCPI means infinity or not a number. */
    double OVERLOAD = 9.8e37;

    /** In the unit of its quantity. */
    record Value(double value) implements Answer {}

    /** @param because in words for the bench */
    record Unusable(String because) implements Answer {}

    enum Unit {
        CELSIUS,
        FAHRENHEIT,
        KELVIN;

        /** As answered to UNIT:TEMP?; Celsius where an instrument doesn't know the question. */
        static Unit of(String answer) {
            return switch (answer.strip().replace("\"", "").toUpperCase(Locale.ROOT)) {
                case "F", "FAR", "FAHR", "FAHRENHEIT" -> FAHRENHEIT;
                case "K", "KEL", "KELVIN" -> KELVIN;
                default -> CELSIUS;
            };
        }

        double celsius(double value) {
            return switch (this) {
                case CELSIUS -> value;
                case FAHRENHEIT -> (value - 32) / 1.8;
                case KELVIN -> value - 273.15;
            };
        }
    }

    /** @param unit of temperatures as this instrument gives them */
    static Answer of(String line, Quantity quantity, Unit unit) {
        double value;
        try {
            value = Double.parseDouble(line.strip());
        } catch (NumberFormatException e) {
            return new Unusable("answers \u201c" + ScpiLine.shown(line) + "\u201d: no number");
        }
        if (Double.isNaN(value) || Math.abs(value) >= OVERLOAD) {
            return new Unusable("nothing to measure: probe open or out of range");
        }
        double inOurs = quantity == Quantity.TEMPERATURE ? unit.celsius(value) : value;
        if (inOurs < quantity.least() || inOurs > quantity.greatest()) {
            return new Unusable("says " + Math.round(inOurs) + " " + quantity.unit() + ": can't be, another unit?");
        }
        return new Value(inOurs);
    }
}
