package ridgefall.app.job;

import java.util.Map;
import java.util.function.Consumer;
import tools.jackson.databind.node.ObjectNode;

/**
 * How facts were written by earlier versions, brought to the form of today before they are read. A field that came later
 * and may be null needs nothing here: what is not there is read as null.
 */
public final class OldForms {
    private static final Map<String, Consumer<ObjectNode>> BY_TYPE = Map.of(
            // Before outlets were known a front could only lie on a source.
            "SoakStarted", fact -> {
                if (!fact.hasNonNull("sweep")) {
                    fact.put("sweep", "FACE");
                }
            });

    private OldForms() {}

    /** Changes the tree in place; the fact that a sign-off is for too. */
    public static void upCast(ObjectNode fact) {
        BY_TYPE.getOrDefault(fact.path("type").asString(""), today -> {}).accept(fact);
        if (fact.get("held") instanceof ObjectNode held) {
            upCast(held);
        }
    }
}
