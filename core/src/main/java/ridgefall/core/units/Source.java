package ridgefall.core.units;

/** How sure a value is: where it came from. */
public enum Source {
    MEASURED_HERE,
    COMPUTED,
    COMMON_PRACTICE,
    DISPUTED
}
