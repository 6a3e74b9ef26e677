package ridgefall.app.book;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.path.NodePath;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ridgefall.app.http.Problem;
import ridgefall.core.profile.ProfileCheck;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.profile.ProfileDocument;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads profiles by their published JSON Schema and by what makes a device; names all that is wrong, not the first. */
@Component
public class ProfileFormat {
    private static final int MOST_FLAWS = 100;

    private final JsonMapper json;
    private final String schemaText;
    private final Schema schema;
    private final Schema firstSchema;

    ProfileFormat(JsonMapper json) {
        this.json = json;
        this.schemaText = text("device-profile.schema.json");
        this.schema = schema(schemaText);
        this.firstSchema = schema(text("device-profile-1.schema.json"));
    }

    private static String text(String file) {
        try (InputStream in = ProfileFormat.class.getResourceAsStream("/formats/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Schema schema(String text) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(text, InputFormat.JSON);
    }

    /** A document as far as it could be read; null when its shape is wrong. {@code flaws} is empty when it is right. */
    record Read(ProfileDocument document, List<Flaw> flaws) {}

    String schemaText() {
        return schemaText;
    }

    /** A file of the first format is judged by the schema it was written to, then brought to that of today. */
    Read read(JsonNode tree) {
        List<Flaw> shape = shape(OldProfiles.isOld(tree) ? firstSchema : schema, tree);
        if (!shape.isEmpty()) {
            return new Read(null, shape);
        }
        ProfileDocument document = document(tree);
        return new Read(document, ProfileCheck.flaws(document));
    }

    private static List<Flaw> shape(Schema schema, JsonNode tree) {
        return schema.validate(tree).stream()
                .limit(MOST_FLAWS)
                .map(error -> flaw(tree, error))
                .distinct()
                .toList();
    }

    private ProfileDocument document(JsonNode tree) {
        return json.treeToValue(OldProfiles.upCast(tree), ProfileDocument.class);
    }

    /** What the book holds, whichever format it was written in: it was right when it was stored. */
    public ProfileDocument stored(String text) {
        return document(json.readTree(text));
    }

    /** @throws Problem unless the text is JSON */
    JsonNode parse(String text) {
        try {
            return json.readTree(text);
        } catch (JacksonException e) {
            throw refused(List.of(new Flaw(
                    "file",
                    "not JSON at line "
                            + (e.getLocation() == null ? 1 : e.getLocation().getLineNr()),
                    "a device profile in the format " + ProfileDocument.FORMAT)));
        }
    }

    JsonNode tree(ProfileDocument document) {
        return json.valueToTree(document);
    }

    /** @throws Problem that names every flaw */
    ProfileDocument right(JsonNode tree) {
        Read read = read(tree);
        if (!read.flaws().isEmpty()) {
            throw refused(read.flaws());
        }
        return read.document();
    }

    static Problem refused(List<Flaw> flaws) {
        Flaw first = flaws.get(0);
        String more = flaws.size() == 1 ? "" : " (and " + (flaws.size() - 1) + " more)";
        return Problem.of(
                HttpStatus.BAD_REQUEST,
                "Can't take this profile",
                first.path() + " is " + first.value() + "; allowed: " + first.allowed() + more,
                Map.of(
                        "field", first.path(),
                        "value", first.value(),
                        "allowed", first.allowed(),
                        "flaws", flaws));
    }

    private static Flaw flaw(JsonNode tree, Error error) {
        String path = path(tree, error.getInstanceLocation());
        String property = error.getProperty();
        if (property != null && ("required".equals(error.getKeyword()) || isUnknown(error))) {
            path = path.isEmpty() ? property : path + "/" + property;
        }
        JsonNode node = error.getInstanceNode();
        String value = "required".equals(error.getKeyword())
                ? "missing"
                : node == null || node.isContainer()
                        ? isUnknown(error) ? "not known here" : size(node)
                        : shorten(node.asString());
        return new Flaw(path.isEmpty() ? "file" : path, value, allowed(error));
    }

    private static boolean isUnknown(Error error) {
        return "additionalProperties".equals(error.getKeyword());
    }

    private static String size(JsonNode node) {
        return node == null ? "missing" : node.isArray() ? node.size() + " entries" : "an object";
    }

    private static String allowed(Error error) {
        String message = error.getMessage();
        int colon = message.indexOf(": ");
        return colon >= 0 && message.startsWith("/") ? message.substring(colon + 2) : message;
    }

    /** Entries of lists are named by their id where they have one: positions move, names stay. */
    private static String path(JsonNode tree, NodePath location) {
        List<String> names = new ArrayList<>();
        JsonNode at = tree;
        for (int i = 0; i < location.getNameCount(); i++) {
            Object element = location.getElement(i);
            if (at != null && at.isArray() && element instanceof Integer index) {
                at = at.get(index);
                JsonNode id = at == null ? null : at.get("id");
                names.add(id != null && id.isString() ? id.asString() : String.valueOf(index));
            } else {
                at = at == null ? null : at.get(String.valueOf(element));
                names.add(String.valueOf(element));
            }
        }
        return String.join("/", names);
    }

    private static String shorten(String value) {
        return value.length() <= 60 ? value : value.substring(0, 60) + "…";
    }
}
