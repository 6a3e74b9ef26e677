package ridgefall.core.profile;

/** How a replacement part was made; decides price, fit and how often it comes back. */
public enum Grade {
    REFURBISHED_ORIGINAL("refurbished original"),
    PREMIUM_COPY("premium copy"),
    PLAIN_COPY("plain copy"),
    GENERIC("generic supply");

    private final String words;

    Grade(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
