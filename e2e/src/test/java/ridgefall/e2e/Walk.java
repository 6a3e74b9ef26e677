package ridgefall.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.openqa.selenium.json.Json;

/** The straight way of a shipped device, as the app's tests keep them: journeys begin on it where they have something to show. */
record Walk(List<Map<String, Object>> journal, List<String> next) {
    private static final Path FOLDER = Path.of("../app/src/test/resources/walks");
    private static final Map<String, Walk> KNOWN = new ConcurrentHashMap<>();

    /** As fast as taps that nobody reads. */
    private static final Duration BETWEEN = Duration.ofMillis(50);

    /**
     * @param device in the words that a person would search the book with
     * @param variant its id; null where none is named
     */
    static Walk of(String device, String variant) {
        String words = device.toLowerCase(Locale.ROOT).replace(' ', '-');
        return KNOWN.computeIfAbsent(words + (variant == null ? ".json" : "@" + variant + ".json"), Walk::read);
    }

    @SuppressWarnings("unchecked")
    private static Walk read(String name) {
        try (Stream<Path> files = Files.list(FOLDER)) {
            Path file = files.filter(one -> one.getFileName().toString().endsWith(name))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("no walk of " + name + "; ./ridgefall walks"));
            Map<String, Object> walk = new Json().toType(Files.readString(file), Map.class);
            return new Walk((List<Map<String, Object>>) walk.get("journal"), (List<String>) walk.get("next"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Where the large action first asks something else: a step for each run of steps that begin alike. */
    List<String> firstOfEachStation() {
        List<String> first = new ArrayList<>();
        for (String step : next) {
            if (step == null) {
                // Handed over: nothing is asked.
                break;
            }
            String station = step.replaceFirst("[.].*", "");
            // Functions are tried where they are asked: at the stations that stand before and after them.
            if (!List.of("before", "open", "after").contains(station)
                    && first.stream()
                            .noneMatch(one -> one.replaceFirst("[.].*", "").equals(station))) {
                first.add(step);
            }
        }
        return first;
    }

    boolean comesBy(String stepId) {
        return next.contains(stepId);
    }

    /** The file of a job that has just come to a step. */
    String to(String stepId, String owner, String fault) {
        int facts = next.indexOf(stepId) + 1;
        Instant now = Instant.now();
        List<Map<String, Object>> lines = new ArrayList<>();
        for (int i = 0; i < facts; i++) {
            Map<String, Object> line = new LinkedHashMap<>(journal.get(i));
            line.put("happenedAt", now.minus(BETWEEN.multipliedBy(facts - i)).toString());
            lines.add(line);
        }
        Map<String, Object> opened = new LinkedHashMap<>(asFact(lines.get(0)));
        opened.put("owner", owner);
        opened.put("fault", fault);
        lines.get(0).put("fact", opened);
        return new Json()
                .toJson(Map.of(
                        "format",
                        "ridgefall-job/3",
                        "number",
                        1,
                        "journal",
                        lines,
                        "files",
                        List.of(),
                        "runs",
                        List.of(),
                        "touch",
                        List.of()));
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> asFact(Map<String, Object> line) {
        return (Map<String, Object>) line.get("fact");
    }
}
