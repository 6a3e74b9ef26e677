package ridgefall.core.units;

/**
 * A value that was given and can't be taken. Says which field, what was given and what would be allowed, so that every
 * edge of the system can show the same three things.
 */
public final class NotAllowed extends IllegalArgumentException {
    private final String field;
    private final String value;
    private final String allowed;

    public NotAllowed(String field, Object value, String allowed) {
        super(field + " is " + value + "; allowed: " + allowed);
        this.field = field;
        this.value = String.valueOf(value);
        this.allowed = allowed;
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
