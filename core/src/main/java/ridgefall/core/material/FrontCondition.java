package ridgefall.core.material;

/** What the glass looks like when it comes in; decides contact with a source and how it may be lifted. */
public enum FrontCondition {
    INTACT("whole", Glass.Condition.INTACT),
    CRACKED("cracked, holds together", Glass.Condition.CRACKED),
    SHATTERED("shattered", Glass.Condition.CRACKED);

    private final String words;
    private final Glass.Condition glass;

    FrontCondition(String words, Glass.Condition glass) {
        this.words = words;
        this.glass = glass;
    }

    public String words() {
        return words;
    }

    public Glass.Condition glass() {
        return glass;
    }
}
