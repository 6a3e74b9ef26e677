package ridgefall.core.job;

/**
 * Something that is so with a device as hands and eyes would find it, or is not. Steps need, make and spoil conditions; what the rooms
 * know of them is how it lies there.
 *
 * @param of what it is about: the id of a plug, a thing inside or a mishap, or a phase; empty where there is but one
 */
public record Condition(Kind kind, String of) {
    /** With the words for what somebody has to see to where it is missing. */
    public enum Kind {
        RUNS("it is on"),
        CARDS_IN("cards are in"),
        CARDS_OUT("cards are out"),
        OFF("it is switched off, or treated as live"),
        GUARDED("gloves and eye protection are on"),
        FACE_TAPED("the broken glass is taped"),
        BATTERY_APART("the battery is out of circuit"),
        DARK("isolation is proven"),
        FRONT_OPEN("the front is open"),
        UNPLUGGED("it is off its plug"),
        FRAME_STRAIGHT("the frame is straight, or will be clamped"),
        GLASS_OPEN("the glass is not joined yet"),
        JOINED("glass and panel are joined"),
        HOLDER_KNOWN("it is known what holds it"),
        LOOKED_AFTER("what went wrong is looked after"),
        DONE("what comes before it is done"),
        HOME("it is back in its place"),
        CLOSED("the front is closed");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public static final Condition CARDS_IN = of(Kind.CARDS_IN);
    public static final Condition CARDS_OUT = of(Kind.CARDS_OUT);
    public static final Condition OFF = of(Kind.OFF);
    public static final Condition GUARDED = of(Kind.GUARDED);
    public static final Condition FACE_TAPED = of(Kind.FACE_TAPED);
    public static final Condition BATTERY_APART = of(Kind.BATTERY_APART);
    public static final Condition DARK = of(Kind.DARK);
    public static final Condition FRONT_OPEN = of(Kind.FRONT_OPEN);
    public static final Condition FRAME_STRAIGHT = of(Kind.FRAME_STRAIGHT);
    public static final Condition GLASS_OPEN = of(Kind.GLASS_OPEN);
    public static final Condition JOINED = of(Kind.JOINED);
    public static final Condition HOLDER_KNOWN = of(Kind.HOLDER_KNOWN);
    public static final Condition CLOSED = of(Kind.CLOSED);

    private static Condition of(Kind kind) {
        return new Condition(kind, "");
    }

    /** It is on as functions are tried in that phase. */
    public static Condition runs(Phase phase) {
        return new Condition(Kind.RUNS, phase.name());
    }

    public static Condition unplugged(String plugId) {
        return new Condition(Kind.UNPLUGGED, plugId);
    }

    /** What goes on from one step to the next of one piece of work. */
    public static Condition done(String stepId) {
        return new Condition(Kind.DONE, stepId);
    }

    /** A mishap by the number of its fact, or the lost screw of a hole. */
    public static Condition lookedAfter(String what) {
        return new Condition(Kind.LOOKED_AFTER, what);
    }

    /** Something that lies inside, or the back. */
    public static Condition home(String thingId) {
        return new Condition(Kind.HOME, thingId);
    }
}
