package ridgefall.app.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a fact lies in the store: an owner's words apart from it, so that they can be erased while it stays. Reading takes
 * whatever was ever written; what is allowed today is asked where a fact is proposed.
 */
@Component
class StoredFacts {
    static final String ERASED = "(erased)";

    private static final String KEPT_APART = "\u00a7kept-apart";
    private static final String HELD = "held";

    private final JsonMapper json;

    /** What is null is left out: a node of an earlier version reads a new field that says nothing as nothing. */
    StoredFacts(JsonMapper json) {
        this.json = json.rebuild()
                .changeDefaultPropertyInclusion(all -> all.withValueInclusion(JsonInclude.Include.NON_NULL))
                .build();
    }

    /** @param text the fact as JSON, without the owner's words where it has some */
    record Stored(String text, Optional<String> ownersWords) {}

    Stored write(Fact fact) {
        String text = json.writerFor(Fact.class).writeValueAsString(fact);
        // A sign-off says whole the fact it is for.
        Fact held = fact instanceof JobFact.HoldOverridden signOff ? signOff.held() : null;
        Optional<String> field = (held == null ? fact : held).ownersField();
        if (field.isEmpty()) {
            return new Stored(text, Optional.empty());
        }
        ObjectNode tree = json.readValue(text, ObjectNode.class);
        ObjectNode naming = held == null ? tree : (ObjectNode) tree.get(HELD);
        String words = naming.get(field.get()).asString();
        naming.put(field.get(), KEPT_APART);
        return new Stored(json.writeValueAsString(tree), Optional.of(words));
    }

    /**
     * @param words the owner's; null once they are erased, and where there never were any
     * @return {@link JobFact.FromNewer} for what this version does not know
     */
    Fact read(String text, String words) {
        ObjectNode tree = json.readValue(text, ObjectNode.class);
        boolean apart = text.contains(KEPT_APART);
        if (apart) {
            putBack(tree.get(HELD) instanceof ObjectNode held ? held : tree, words == null ? ERASED : words);
        }
        OldForms.upCast(tree);
        try {
            return json.treeToValue(tree, Fact.class);
        } catch (JacksonException e) {
            return new JobFact.FromNewer(tree.path("type").asString("?"), apart ? json.writeValueAsString(tree) : text);
        }
    }

    private static void putBack(ObjectNode naming, String words) {
        for (String field : naming.propertyNames().stream().toList()) {
            if (naming.get(field).isString() && naming.get(field).asString().equals(KEPT_APART)) {
                naming.put(field, words);
            }
        }
    }
}
