package ridgefall.core.fault;

/** What kind of thing a cause is: what is seen of a job speaks for or against all causes of a kind. */
public enum Nature {
    PLUG("a plug or contact"),
    PART("the new part"),
    FLEX("a flex"),
    BOARD("the board"),
    LEFT_BEHIND("what was to be carried over"),
    DATA("paired data"),
    DIRT("dirt, film or glue"),
    OUTSIDE("nothing of the device"),
    CELL("the cell, or it hangs");

    private final String words;

    Nature(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
