package ridgefall.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A value that was given and can't be taken. Says which field, what was given and what would be allowed, so that every
 * edge of the system can show the same three things.
 */
public final class NotAllowed extends IllegalArgumentException {
    private final String field;
    private final String value;
    private final String allowed;

    public NotAllowed(String field, Object value, String allowed) {
        super(field + " is " + plain(value) + "; allowed: " + allowed);
        this.field = field;
        this.value = plain(value);
        this.allowed = allowed;
    }

    /** Numbers as a person writes them: to the thousandth, without zeros that say nothing. */
    private static String plain(Object value) {
        return value instanceof Double d && Double.isFinite(d)
                ? new BigDecimal(d)
                        .setScale(3, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString()
                : String.valueOf(value);
    }

    public String field() {
        return field;
    }

    public String value() {
        return value;
    }

    /** The allowed range or values in words, with the unit. */
    public String allowed() {
        return allowed;
    }
}
