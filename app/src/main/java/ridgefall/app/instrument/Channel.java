package ridgefall.app.instrument;

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

    /** @throws NotAllowed naming the field */
    Channel checked() {
        Allowed.present("quantity", quantity);
        Allowed.text("place", place, 40);
        if (query == null || query.isBlank() || query.length() > 80 || !query.matches("[ -~]+")) {
            throw new NotAllowed("query", query, "1 to 80 plain characters on one line");
        }
        return this;
    }
}
