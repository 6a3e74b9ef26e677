package ridgefall.core.profile;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import ridgefall.core.edge.Outline;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The profiles that ship with the app, for tests of the core. */
public final class ShippedBook {
    public static final List<String> IDS = List.of(
            "marrowby-quire-11",
            "marrowby-quire-8",
            "drumlin-crate-10",
            "sillery-satchel-7",
            "brackenholt-tarn-10",
            "pellow-dial-41",
            "pellow-dial-45",
            "class-tablet-metal",
            "class-tablet-plastic",
            "class-watch");

    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME, property = "type")
    private interface Named {}

    private static final JsonMapper JSON = JsonMapper.builder()
            .addMixIn(Outline.class, Named.class)
            .registerSubtypes(Outline.RoundedRectangle.class, Outline.Closed.class)
            .build();

    private ShippedBook() {}

    public static ProfileDocument document(String id) {
        try (InputStream in = ShippedBook.class.getResourceAsStream("/book/" + id + ".json")) {
            return JSON.readValue(in, ProfileDocument.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A shipped document with something changed in it, as a hand in the file would. */
    public static ProfileDocument changed(String id, Consumer<ObjectNode> change) {
        return changed(document(id), change);
    }

    static ProfileDocument changed(ProfileDocument document, Consumer<ObjectNode> change) {
        ObjectNode tree = JSON.valueToTree(document);
        change.accept(tree);
        return JSON.treeToValue(tree, ProfileDocument.class);
    }

    /** The same with one of its lists made of these entries. */
    static void put(ObjectNode document, String list, List<?> entries) {
        document.set(list, JSON.valueToTree(entries));
    }

    public static DeviceProfile profile(String id) {
        return DeviceProfile.of(document(id), 1, null);
    }

    public static DeviceProfile quire11() {
        return profile("marrowby-quire-11");
    }

    public static Stream<ProfileDocument> documents() {
        return IDS.stream().map(ShippedBook::document);
    }
}
