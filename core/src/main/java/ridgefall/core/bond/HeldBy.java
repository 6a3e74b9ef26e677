package ridgefall.core.bond;

/** What holds a bonded front down. */
public enum HeldBy {
    CAME_ON_IT("tape that came on the front"),
    RING("die-cut ring"),
    STRIPS("strips from the roll"),
    BEAD("bead and clamps"),
    OLD_BOND("the old bond, warmed again");

    private final String words;

    HeldBy(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
