package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Calls over everything the description of the interface names, mostly nearly right. None is answered as
 * our fault, each refusal is a problem detail, and a client's mistake leaves no stack trace in the log. What they change nobody
 * looks at afterwards: they come last.
 */
@ExtendWith(RunningApp.class)
@Order(Integer.MAX_VALUE)
class FuzzTest {
    /** At every build; {@code ./ridgefall bench} makes more, by a seed of its own. */
    private static final int CALLS = Integer.getInteger("ridgefall.calls", 500);

    private static final long SEED = Long.getLong("ridgefall.seed", 20_261_125L);

    /** One's own session and slow hashes are for other tests. */
    private static final Set<String> LEFT_OUT = Set.of("/api/session", "/api/session/password", "/api/live");

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private static final List<String> ODD_TEXTS = List.of(
            "",
            " ",
            "\u0000",
            "a\u0000b",
            "x".repeat(5000),
            "'; drop table journal; --",
            "\u202eright to left",
            "\ud83d\udca5",
            "\ud800",
            "null",
            "-1",
            "1e309",
            "../../etc/passwd",
            "<script>alert(1)</script>",
            "{mm:1}",
            "%s%n",
            "\n\n");

    private static final List<String> ODD_TYPES = List.of(
            "*/*", "text/plain", "application/xml", "image/png", "application/json;charset=utf-7", "nonsense", "");

    private record Endpoint(String method, String path, JsonNode operation) {}

    private record Call(String method, String path, String type, byte[] body) {}

    private final Random random = new Random(SEED);
    private JsonNode description;
    private List<String> known;

    private final App app;

    FuzzTest(App app) {
        this.app = app;
    }

    @Test
    void noCallIsAnsweredAsOurFault() {
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        log.start();
        Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.addAppender(log);
        List<String> wrong = new ArrayList<>();
        List<Client> clients = List.of(app.signedIn(Role.LEAD), app.signedIn(Role.TECHNICIAN), app.client());
        description = clients.get(0).get("/v3/api-docs").json();
        known = known(clients.get(1));
        List<Endpoint> endpoints = endpoints();
        for (int i = 0; i < CALLS; i++) {
            Call call = call(pick(endpoints));
            Answer answer = pick(clients).sendAsIs(call.method(), call.path(), call.type(), call.body());
            if (!isFine(answer)) {
                wrong.add(call + " " + new String(call.body(), StandardCharsets.UTF_8) + " answered " + answer.status()
                        + " " + answer.raw().body());
            }
        }
        root.detachAppender(log);
        assertThat(wrong).as("seed %d", SEED).isEmpty();
        assertThat(log.list.stream()
                        .filter(event -> event.getThrowableProxy() != null)
                        .map(ILoggingEvent::getFormattedMessage))
                .as("stack traces, seed %d", SEED)
                .isEmpty();
    }

    private static boolean isFine(Answer answer) {
        return answer.status() < 400
                || answer.status() < 500
                        && answer.raw()
                                .headers()
                                .firstValue("Content-Type")
                                .filter(type -> type.startsWith("application/problem+json"))
                                .isPresent();
    }

    /** Names of things there are, so that calls get past the first check. */
    private static List<String> known(Client bench) {
        List<String> known = new ArrayList<>(List.of("marrowby-quire-11", "plate-1", "air-1", "fused-front"));
        UUID job = bench.openJob();
        known.add(job.toString());
        known.add(job.toString());
        known.add(bench.get("/api/stock?query=Q11-F-P").json().at("/0/id").asString());
        return known;
    }

    private List<Endpoint> endpoints() {
        List<Endpoint> endpoints = new ArrayList<>();
        description
                .get("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(operation -> {
                    if (!LEFT_OUT.contains(path.getKey())) {
                        endpoints.add(new Endpoint(
                                operation.getKey().toUpperCase(java.util.Locale.ROOT),
                                path.getKey(),
                                operation.getValue()));
                    }
                }));
        return endpoints;
    }

    private <T> T pick(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private boolean rarely() {
        return random.nextInt(6) == 0;
    }

    private String word() {
        return random.nextBoolean() ? pick(known) : random.nextBoolean() ? pick(ODD_TEXTS) : "no-such-thing";
    }

    private static String escaped(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private Call call(Endpoint endpoint) {
        String path = endpoint.path();
        List<String> query = new ArrayList<>();
        for (JsonNode parameter : endpoint.operation().path("parameters")) {
            String name = parameter.get("name").asString();
            if (parameter.get("in").asString().equals("path")) {
                String value = escaped(word());
                path = path.replace("{" + name + "}", value.isEmpty() || value.equals("..") ? "%20" : value);
            } else if (!rarely()) {
                query.add(name + "="
                        + (rarely()
                                ? "%ff"
                                : escaped(scalar(parameter.path("schema")).asString(word()))));
            }
        }
        if (!query.isEmpty()) {
            path += "?" + String.join("&", query);
        }
        JsonNode content = endpoint.operation().at("/requestBody/content");
        if (content.isMissingNode()) {
            return new Call(endpoint.method(), path, "application/json", rarely() ? new byte[] {'{'} : new byte[0]);
        }
        Map.Entry<String, JsonNode> kind = content.properties().iterator().next();
        String type = rarely() ? pick(ODD_TYPES) : kind.getKey();
        return new Call(endpoint.method(), path, type, body(kind));
    }

    private byte[] body(Map.Entry<String, JsonNode> kind) {
        if (rarely()) {
            byte[] noise = new byte[random.nextInt(200)];
            random.nextBytes(noise);
            return noise;
        }
        String text = kind.getKey().equals("application/json")
                ? value(kind.getValue().path("schema"), 0).toString()
                : word() + "," + word() + "\n" + word() + ";" + word();
        return (rarely() ? text.substring(0, text.length() / 2) : text).getBytes(StandardCharsets.UTF_8);
    }

    /** A value of a schema, or now and then one of another kind altogether. */
    private JsonNode value(JsonNode schema, int depth) {
        if (rarely() || depth > 5) {
            return odd();
        }
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString().replaceFirst(".*/", "");
            return value(description.at("/components/schemas/" + name), depth + 1);
        }
        for (String choice : List.of("anyOf", "oneOf")) {
            if (schema.has(choice)) {
                JsonNode options = schema.get(choice);
                return value(options.get(random.nextInt(options.size())), depth + 1);
            }
        }
        if (schema.has("properties")) {
            ObjectNode object = NODES.objectNode();
            schema.get("properties").properties().forEach(property -> {
                if (!rarely()) {
                    object.set(property.getKey(), value(property.getValue(), depth + 1));
                }
            });
            return object;
        }
        if (schema.has("items")) {
            ArrayNode list = NODES.arrayNode();
            for (int i = random.nextInt(3); i > 0; i--) {
                list.add(value(schema.get("items"), depth + 1));
            }
            return list;
        }
        return schema.path("type").asString("").equals("object") ? fact() : scalar(schema);
    }

    /** Facts are told apart by their type; the description does not say which there are. */
    private ObjectNode fact() {
        List<Supplier<ObjectNode>> facts = List.of(
                () -> NODES.objectNode().put("type", "FrontSeen").put("condition", "CRACKED"),
                () -> NODES.objectNode().put("type", "StretchFreed").put("stretchId", word()),
                () -> NODES.objectNode()
                        .put("type", "CheckAnswered")
                        .put("checkId", word())
                        .put("answer", "PASS"),
                () -> NODES.objectNode()
                        .put("type", "MishapSeen")
                        .put("mishap", "SLIP")
                        .put("positionMm", number()),
                () -> NODES.objectNode()
                        .put("type", "CrackMarked")
                        .put("fromMm", number())
                        .put("lengthMm", number()),
                () -> NODES.objectNode().put("type", "Undone").put("seq", random.nextInt(4)),
                () -> NODES.objectNode().put("type", word()));
        return pick(facts).get();
    }

    private double number() {
        return pick(List.of(0.0, -1.0, 1.0, 2.0, 80.0, 1e300, 10.689655172413794, -0.0));
    }

    private JsonNode scalar(JsonNode schema) {
        if (schema.has("enum")) {
            JsonNode values = schema.get("enum");
            return values.get(random.nextInt(values.size()));
        }
        if (schema.path("format").asString("").equals("uuid")) {
            return NODES.stringNode(rarely() ? word() : random.nextBoolean() ? pick(known) : uuid());
        }
        String type = schema.path("type").isArray()
                ? schema.path("type").get(0).asString()
                : schema.path("type").asString("string");
        return switch (type) {
            case "integer" -> NODES.numberNode(pick(List.of(0, 1, -1, 2, 60, Integer.MAX_VALUE)));
            case "number" -> NODES.numberNode(number());
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            default -> NODES.stringNode(word());
        };
    }

    private String uuid() {
        return new UUID(random.nextLong(), random.nextLong()).toString();
    }

    private JsonNode odd() {
        return pick(List.<Supplier<JsonNode>>of(
                        NODES::nullNode,
                        NODES::objectNode,
                        NODES::arrayNode,
                        () -> NODES.numberNode(number()),
                        () -> NODES.booleanNode(true),
                        () -> NODES.stringNode(pick(ODD_TEXTS))))
                .get();
    }
}
