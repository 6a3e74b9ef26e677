package ridgefall.app.security;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import ridgefall.core.units.NotAllowed;

/** Which passwords do: long enough, and none that whoever guesses tries first. */
final class Passwords {
    private static final int SHORTEST = 8;

    /** BCrypt reads so many bytes; longer would be cut without a word. */
    private static final int LONGEST_BYTES = 72;

    private static final int LEAST_DIFFERENT = 5;

    /** Shorter parts of names are in half of all words. */
    private static final int NAMES = 4;

    /** What is left of a common one without its figures and signs. */
    private static final List<String> COMMON = List.of(
            "password",
            "passwort",
            "passw0rd",
            "letmein",
            "welcome",
            "willkommen",
            "qwerty",
            "qwertz",
            "azerty",
            "asdfgh",
            "yxcvbn",
            "zxcvbn",
            "iloveyou",
            "sunshine",
            "princess",
            "football",
            "baseball",
            "dragon",
            "monkey",
            "master",
            "trustno",
            "shadow",
            "changeme",
            "secret",
            "hello",
            "admin",
            "administrator",
            "ridgefall",
            "repair",
            "tablet",
            "technician",
            "default",
            "testtest");

    private static final String RUNS = "01234567890 abcdefghijklmnopqrstuvwxyz 98765432109 qwertyuiop asdfghjkl";

    private static final int LONGEST_RUN = 6;

    private Passwords() {}

    /** @throws NotAllowed saying why it does not do */
    static void check(String password, String name) {
        if (password == null
                || password.length() < SHORTEST
                || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            throw refused(SHORTEST + " to " + LONGEST_BYTES + " characters");
        }
        String low = password.toLowerCase(Locale.ROOT);
        if (low.chars().distinct().count() < LEAST_DIFFERENT) {
            throw refused("at least " + LEAST_DIFFERENT + " different characters");
        }
        for (String part : name.toLowerCase(Locale.ROOT).split("\\s+")) {
            if (part.length() >= NAMES && low.contains(part)) {
                throw refused("without the name of whoever signs in with it");
            }
        }
        String letters = low.replaceAll("[^a-z]", "");
        boolean common = COMMON.stream()
                .anyMatch(one ->
                        letters.equals(one) || low.contains(one) && low.length() < one.length() + LEAST_DIFFERENT);
        if (common || run(low)) {
            throw refused("none of those that everybody tries first");
        }
    }

    /** Whether it is hardly more than keys or figures in their order. */
    private static boolean run(String low) {
        for (int from = 0; from + LONGEST_RUN <= low.length(); from++) {
            if (RUNS.contains(low.substring(from, from + LONGEST_RUN))
                    && low.length() < LONGEST_RUN + LEAST_DIFFERENT) {
                return true;
            }
        }
        return false;
    }

    private static NotAllowed refused(String allowed) {
        return new NotAllowed("password", "(not shown)", allowed);
    }
}
