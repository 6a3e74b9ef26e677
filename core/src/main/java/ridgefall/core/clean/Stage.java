package ridgefall.core.clean;

/** How far a stretch of the ledge has come. */
public enum Stage {
    GLUE("glue"),
    BARE("bare"),
    WIPED("wet"),
    DRY("dry"),
    ACCEPTED("accepted");

    private final String words;

    Stage(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    boolean before(Stage other) {
        return compareTo(other) < 0;
    }
}
