package ridgefall.core.job;

/**
 * What a clock at the bench may be about; the rooms say which there are.
 *
 * @param id as journals name it
 * @param warmth what the bond does meanwhile, and a forecast with it
 */
public record TimerKind(String id, String words, Warmth warmth) {

    public enum Warmth {
        RISING,
        FALLING,
        /** The clock is about something else. */
        NONE
    }

    public TimerKind(String id, String words) {
        this(id, words, Warmth.NONE);
    }
}
