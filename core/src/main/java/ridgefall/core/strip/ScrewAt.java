package ridgefall.core.strip;

import java.util.EnumSet;
import java.util.Set;

/**
 * Where the screw of a hole is, as it was told.
 *
 * @param words how it is known that it is not inside, why the hole stays empty, or what was driven instead; null where there is
 *     nothing to add
 */
public record ScrewAt(Where where, String words) {
    public enum Where {
        OUT("out"),
        RENEWED("lost, a new one in its place"),
        BACK("back in"),
        ANOTHER("another one in its hole"),
        ABSENT("was not there"),
        STUCK("does not come out"),
        LOST("dropped, not found"),
        EMPTY("hole left empty");

        private final String words;

        Where(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static final Set<Where> WAITS = EnumSet.of(Where.OUT, Where.RENEWED);
    private static final Set<Where> DRIVEN = EnumSet.of(Where.BACK, Where.ANOTHER);

    /** In one line. */
    public String told() {
        return where.words() + (words == null ? "" : ": " + words);
    }

    /** In the tray: it has to go back. */
    public boolean waits() {
        return WAITS.contains(where);
    }

    /** Something is driven into the hole. */
    public boolean driven() {
        return DRIVEN.contains(where);
    }

    /** Nothing is in the hole, and nothing has to be. */
    public boolean none() {
        return where == Where.ABSENT || where == Where.EMPTY;
    }
}
