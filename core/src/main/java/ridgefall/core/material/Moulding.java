package ridgefall.core.material;

/** What a moulded bezel bears: styrene plastics, the softest in use, by what handbooks give for them. */
public final class Moulding {
    /** Yields at, in a room. */
    private static final double ROOM_MPA = 40;

    private static final double ROOM_C = 23;

    /** And at nothing any more. */
    private static final double SOFT_C = 105;

    /** Kept free, as of glass. */
    private static final double KEPT_FREE = 0.15;

    private Moulding() {}

    /** In bending, once it is as warm as the bond on it, °C. */
    public static double allowedMPa(double celsius) {
        return (1 - KEPT_FREE) * ROOM_MPA * Math.max(0, SOFT_C - celsius) / (SOFT_C - ROOM_C);
    }
}
