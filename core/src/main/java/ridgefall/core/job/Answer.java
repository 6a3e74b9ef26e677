package ridgefall.core.job;

/** How a check or a function was answered. */
public enum Answer {
    PASS("works"),
    FAIL("fails"),
    CANNOT_TEST("could not be tested");

    private final String words;

    Answer(String words) {
        this.words = words;
    }

    /** Of a function. */
    public String words() {
        return words;
    }
}
