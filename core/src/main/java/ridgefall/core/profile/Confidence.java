package ridgefall.core.profile;

/** How a value of the device book came to be known, the surest first. */
public enum Confidence {
    MEASURED("measured here"),
    PART_MAKER("from the maker of the part"),
    COMMON_PRACTICE("common practice"),
    GUESS("a guess");

    private final String words;

    Confidence(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
