package ridgefall.core.profile;

/** What kind of part a repair needs. */
public enum PartKind {
    GLASS_WITH_TOUCH("glass with touch layer"),
    PANEL("panel"),
    FUSED_FRONT("fused front"),
    CLIPPED_FRONT("clip-held front"),
    TOUCH_GLASS("bare touch glass"),
    OPTICAL_LIQUID("optical adhesive, liquid"),
    DIE_CUT_ADHESIVE("die-cut adhesive");

    private final String words;

    PartKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
