package ridgefall.core.profile;

/** What a new part may or may not bring along, and what the bench does when it does not. */
public enum Brings {
    TAPE("pre-applied adhesive", "cut strips from the roll; Bond plans them"),
    DIE_CUT_RING("die-cut adhesive ring", "order it: no strip seals a watch"),
    CAMERA_BRACKET("camera ring or bracket", "carry it over from the old front; do not bin that"),
    MAGNETS("magnets", "carry them over flat, or order: a snapped strip is lost"),
    INSULATION("insulating film behind the panel", "cut it from polyimide tape"),
    HOME_KEY("home key with its bracket", "carry it over: fingerprint works with the old key only"),
    SENSOR_INSERT("light-sensor insert", "carry it over from the old frame edge"),
    ANTENNA("antenna strip", "carry it over warm and flat, or order it"),
    CLIPS("clips", "order a front with clips; broken ones can't be glued"),
    GASKET("gasket", "carry it over if it is whole, else order it"),
    CHIP("payment or identity chip", "move the chip board, or that feature is lost"),
    DISPLAY_CABLE("display cable", "carry it over; mind the fold"),
    PANEL("panel", "move the old one over; try it plugged in loose first");

    private final String words;
    private final String otherwise;

    Brings(String words, String otherwise) {
        this.words = words;
        this.otherwise = otherwise;
    }

    public String words() {
        return words;
    }

    /** What to order or improvise when the part does not bring it. */
    public String otherwise() {
        return otherwise;
    }
}
