package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the walks that tests begin from ({@link Walk}). No test: run by {@code ./ridgefall walks}, where steps have changed. */
@ExtendWith(RunningApp.class)
class RecordWalks {
    /** What a person would type, by field; whatever else is asked is answered with what is suggested, or with a word. */
    private static final Map<String, JsonNode> TYPED = Map.of(
            "price", number(189),
            "ohm", number(0.3),
            "thicknessMm", number(0.3),
            // So strong that nobody waits under it.
            "mwPerCm2", number(2000),
            "expires", Client.JSON.getNodeFactory().stringNode("2099-12-31"));

    private static final Set<String> GENERIC = Set.of("class-tablet-metal", "class-tablet-plastic", "class-watch");

    /** So often nothing is asked on the way but what takes its time. */
    private static final int TURNS = 30;

    private final Client ansa;

    RecordWalks(App app) {
        this.ansa = app.signedIn(Role.TECHNICIAN);
    }

    private static JsonNode number(double value) {
        return Client.JSON.getNodeFactory().numberNode(value);
    }

    @Test
    void record() throws IOException {
        Files.createDirectories(Walk.FOLDER);
        for (JsonNode device : ansa.get("/api/devices?query=").json()) {
            String id = device.get("id").asString();
            // None named is what most are taken in as.
            Stream<String> variants = Stream.concat(
                    Stream.of(""),
                    device.get("variants")
                            .valueStream()
                            .map(variant -> variant.get("id").asString()));
            for (String variant : GENERIC.contains(id) ? List.<String>of() : variants.toList()) {
                Files.writeString(
                        Walk.FOLDER.resolve(id + (variant.isEmpty() ? "" : "@" + variant) + ".json"),
                        walked(id, variant.isEmpty() ? null : variant));
            }
        }
    }

    private String walked(String device, String variant) {
        UUID job = UUID.randomUUID();
        ObjectNode opening = Client.JSON.createObjectNode();
        opening.put("commandId", job.toString()).put("profileId", device).put("variantId", variant);
        opening.put("owner", "Test hut").putNull("contact").put("fault", "cracked");
        assertThat(ansa.post("/api/jobs", opening).status()).isEqualTo(200);
        ObjectNode file = Client.JSON.createObjectNode();
        ArrayNode next = Client.JSON.createArrayNode();
        JsonNode at = ansa.get("/api/jobs/" + job).json();
        while (!at.get("nextStepId").isNull()) {
            next.add(at.get("nextStepId"));
            if (turnsRound(next)) {
                break;
            }
            Client.Answer answer = ansa.append(job, at.get("seq").asLong(), fact(at));
            assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
            at = ansa.get("/api/jobs/" + job).json();
        }
        if (at.get("nextStepId").isNull()) {
            next.addNull();
        }
        ArrayNode journal =
                (ArrayNode) ansa.get("/api/jobs/" + job + "/export").json().get("journal");
        assertThat(journal).hasSize(next.size());
        boolean turned = turnsRound(next);
        while (turned && next.get(next.size() - 1).equals(next.get(next.size() - 2))) {
            next.remove(next.size() - 1);
            journal.remove(journal.size() - 1);
        }
        file.set("next", next);
        file.set("journal", journal);
        return file.toPrettyString() + "\n";
    }

    /** Whether it waits for what takes its time, such as a lamp: the walk ends there. */
    private static boolean turnsRound(ArrayNode next) {
        return next.size() > TURNS
                && next.valueStream().skip(next.size() - TURNS).distinct().count() == 1;
    }

    /** The first choice of what comes next; but it is cut cold, and another programmer copies. */
    private static ObjectNode fact(JsonNode at) {
        boolean cold = at.get("nextStepId").asString().equals("separate.warm");
        JsonNode step = at.get("steps")
                .valueStream()
                .filter(one -> cold
                        ? one.get("open").asBoolean()
                                && one.at("/choices/0/fact/type").asString().equals("StretchFreed")
                        : one.get("id").equals(at.get("nextStepId")))
                .findFirst()
                .orElseThrow();
        boolean copies = step.at("/choices/0/fact/type").asString().equals("CopyBegun");
        JsonNode choice = step.at(copies ? "/choices/1" : "/choices/0");
        ObjectNode fact = (ObjectNode) choice.get("fact").deepCopy();
        for (JsonNode ask : choice.get("asks")) {
            String field = ask.get("field").asString();
            JsonNode said = TYPED.get(field);
            String suggested = ask.get("suggestion").asString("said so");
            if (said == null) {
                said = ask.get("kind").asString().equals("NUMBER")
                        ? number(Double.parseDouble(suggested))
                        : Client.JSON.getNodeFactory().stringNode(suggested);
            }
            boolean whole = said.isNumber() && said.asDouble() == Math.rint(said.asDouble());
            fact.set(field, whole ? Client.JSON.getNodeFactory().numberNode(said.asInt()) : said);
        }
        return fact;
    }
}
