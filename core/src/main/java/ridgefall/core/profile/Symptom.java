package ridgefall.core.profile;

/** What an owner or the desk sees wrong; what a repair can cure. */
public enum Symptom {
    CRACKED_GLASS("Cracked glass"),
    DEAD_TOUCH("Touch dead, in a zone or everywhere"),
    GHOST_TOUCH("Touches by itself"),
    FLICKER("Flicker or lines"),
    DEAD_PICTURE("No picture"),
    PALE_PATCH("Pale patch under low light"),
    LOOSE_FRONT("Front lifts or gapes"),
    BROKEN_CLIP("Clips broken");

    private final String words;

    Symptom(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
