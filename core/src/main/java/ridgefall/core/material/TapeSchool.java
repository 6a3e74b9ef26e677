package ridgefall.core.material;

/** How strips of tape end at the corners. */
public enum TapeSchool {
    BUTT("butted, long strips run through"),
    MITRE("mitred on the diagonal"),
    GAPPED("stopped short of the corners"),
    CHORDS("short chords round the corners");

    private final String words;

    TapeSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
