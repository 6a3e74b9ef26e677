package ridgefall.core.clean;

/** When a house primes a ledge. */
public enum PrimerSchool {
    ALWAYS,
    /** Narrow ledges, and those that tape takes badly to. */
    WHERE_NEEDED,
    NEVER
}
