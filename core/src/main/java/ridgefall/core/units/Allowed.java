package ridgefall.core.units;

import java.util.EnumSet;
import java.util.Locale;
import java.util.stream.Collectors;

/** Checks at the border of the core. Each returns the value it was given or throws {@link NotAllowed}. */
public final class Allowed {
    private Allowed() {}

    /** A finite number from {@code min} to {@code max}, both included; {@code unit} is only for the message. */
    public static double between(String field, double value, double min, double max, String unit) {
        // Written so that NaN fails it.
        if (!(value >= min && value <= max)) {
            throw new NotAllowed(field, value, plain(min) + " to " + plain(max) + " " + unit);
        }
        return value;
    }

    /** A whole number from {@code min} to {@code max}, both included. */
    public static int between(String field, int value, int min, int max, String unit) {
        return (int) between(field, (double) value, min, max, unit);
    }

    /** A text that is not blank and at most {@code max} characters long, without control characters. */
    public static String text(String field, String value, int max) {
        if (value == null || value.isBlank()) {
            throw new NotAllowed(field, value, "1 to " + max + " characters, not blank");
        }
        return optionalText(field, value, max);
    }

    /** Like {@link #text}, but absent is fine. */
    public static String optionalText(String field, String value, int max) {
        if (value == null) {
            return null;
        }
        if (value.length() > max) {
            throw new NotAllowed(field, value.substring(0, 20) + "…", "at most " + max + " characters");
        }
        if (value.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n')) {
            throw new NotAllowed(field, "a text with control characters", "printable characters and line breaks");
        }
        return value;
    }

    public static <T> T present(String field, T value) {
        if (value == null) {
            throw new NotAllowed(field, "missing", "a value");
        }
        return value;
    }

    public static <E extends Enum<E>> E oneOf(String field, E value, EnumSet<E> allowed) {
        if (value == null || !allowed.contains(value)) {
            throw new NotAllowed(
                    field, value, "one of " + allowed.stream().map(Enum::name).collect(Collectors.joining(", ")));
        }
        return value;
    }

    private static String plain(double bound) {
        return bound == Math.rint(bound) ? String.format(Locale.ROOT, "%.0f", bound) : Double.toString(bound);
    }
}
