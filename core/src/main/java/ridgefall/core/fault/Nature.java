package ridgefall.core.fault;

/** What kind of thing a cause is: what is seen of a job speaks for or against all causes of a kind. */
public enum Nature {
    PLUG,
    PART,
    FLEX,
    BOARD,
    /** Not carried over, or set in wrongly; a flex that lies where it is pinched too. */
    LEFT_BEHIND,
    DATA,
    /** Glue, film, lint, shards. */
    DIRT,
    /** Nothing of the device. */
    OUTSIDE,
    /** Tired or flat, or the device hangs. */
    CELL
}
