package ridgefall.app.instrument;

import java.util.regex.Pattern;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * One thing an instrument measures.
 *
 * @param place what it is of: FRAME or GLASS of a device, SOURCE for a source's own face, or any word of the bench
 * @param query what asks for it, in the instrument's own language
 */
public record Channel(Quantity quantity, String place, String query) {
    public static final String SOURCE = "SOURCE";

    private static final Pattern OF_CHANNEL = Pattern.compile(" \\(@\\d{1,4}\\)$");

    /** @throws NotAllowed naming the field */
    void check() {
        Allowed.present("quantity", quantity);
        Allowed.text("place", place, 40);
        if (!known()) {
            throw new NotAllowed(
                    "query",
                    query,
                    "one of " + String.join(", ", quantity.questions())
                            + ", with a channel such as (@101) behind it or none");
        }
    }

    /** Whether it is a question for its quantity: kept ones may be of a time when any was taken. */
    boolean known() {
        return query != null
                && quantity.questions().contains(OF_CHANNEL.matcher(query).replaceFirst(""));
    }
}
