package ridgefall.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The straight way of one shipped device from taking it in to hand-over, as {@link RecordWalks} tapped it: tests that are about
 * something on that way bring a job in as it stands there, instead of tapping to it.
 *
 * @param journal as a job's file has it
 * @param next what came next after each of its facts; null after the last
 */
record Walk(ArrayNode journal, ArrayNode next) {
    static final Path FOLDER = Path.of("src/test/resources/walks");

    /** Between two facts of a job that is brought in: as fast as taps that nobody reads. */
    private static final Duration BETWEEN = Duration.ofMillis(50);

    static Stream<String> devices() {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.map(file -> file.getFileName().toString().replace(".json", "")).sorted().toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @param device its id, and its variant's after an @ */
    static Walk of(String device) {
        try {
            JsonNode file = Client.JSON.readTree(Files.readString(FOLDER.resolve(device + ".json")));
            return new Walk((ArrayNode) file.get("journal"), (ArrayNode) file.get("next"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The file of a job that has just come to a step; to null where it is handed over. */
    ObjectNode to(String stepId, String owner, String fault) {
        int facts = 1;
        while (!String.valueOf(stepId).equals(next.get(facts - 1).asString("null"))) {
            facts++;
            if (facts > next.size()) {
                throw new IllegalArgumentException("the straight way does not come by " + stepId);
            }
        }
        ObjectNode file = Client.JSON.createObjectNode();
        file.put("format", "ridgefall-job/3").put("number", 1);
        ArrayNode lines = file.putArray("journal");
        Instant now = Instant.now();
        for (int i = 0; i < facts; i++) {
            ObjectNode line = (ObjectNode) journal.get(i).deepCopy();
            line.put("happenedAt", now.minus(BETWEEN.multipliedBy(facts - i)).toString());
            lines.add(line);
        }
        ((ObjectNode) lines.get(0).get("fact")).put("owner", owner).put("fault", fault);
        file.putArray("files");
        file.putArray("runs");
        file.putArray("touch");
        return file;
    }

    /** Brings it in as a lead does. */
    UUID bringIn(Client lead, String stepId) {
        UUID job = UUID.randomUUID();
        Client.Answer answer = lead.text(
                "/api/jobs-import?commandId=" + job,
                to(stepId, "Test hut", "cracked in a test").toString());
        if (answer.status() != 200) {
            throw new IllegalStateException(answer.raw().body());
        }
        return job;
    }
}
