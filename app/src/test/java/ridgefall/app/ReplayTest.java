package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.app.RunningApp.App;
import ridgefall.app.book.ProfileFormat;
import ridgefall.core.gate.Course;
import ridgefall.core.gate.Planning;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealFact;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Journals of every shipped device as they were written on 26 November 2026, wrong turns included: whatever the code has
 * become since, they say the same about their jobs.
 */
@ExtendWith(RunningApp.class)
class ReplayTest {
    static final Path FOLDER = Path.of("src/test/resources/journals");

    static final Path BOOK = Path.of("src/test/resources/book-1");

    private static final Planning PLANNING = new Planning() {
        private final Map<String, List<HeatPlan>> known = new HashMap<>();

        @Override
        public List<HeatPlan> heat(HeatQuestion question) {
            return known.computeIfAbsent(
                    question.profile().key(),
                    key -> new HeatQuestion(
                                    question.profile(),
                                    FrontCondition.CRACKED,
                                    List.of(),
                                    List.of(),
                                    question.sources())
                            .planner(HeatPlanner.QUICK)
                            .ranked(question.sources().subList(0, 1)));
        }
    };

    private final App app;
    private final JsonMapper json;

    ReplayTest(App app) {
        this.app = app;
        this.json = app.bean(JsonMapper.class);
    }

    static Stream<Path> journals() throws IOException {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.sorted().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("journals")
    void tellsTheSameStory(Path file) throws IOException {
        JsonNode recorded = json.readTree(Files.readString(file));
        List<Entry> journal = new ArrayList<>();
        for (JsonNode entry : recorded.get("journal")) {
            journal.add(new Entry(
                    entry.get("seq").asLong(),
                    Instant.parse(entry.get("happenedAt").asString()),
                    entry.get("who").asString(),
                    Role.valueOf(entry.get("role").asString()),
                    json.treeToValue(entry.get("fact"), Fact.class)));
        }
        JsonNode told = json.readTree(json.writeValueAsString(told(course(journal))));
        // What is asked since then was not asked then; what was asked is answered as it was.
        ((ObjectNode) told.get("answers"))
                .retain(recorded.get("told").get("answers").propertyNames());
        Set<String> asked = Set.copyOf(recorded.get("told").get("answers").propertyNames());
        ArrayNode holds = (ArrayNode) told.get("sealHeldBy");
        for (int i = holds.size() - 1; i >= 0; i--) {
            if (!asked.contains(holds.get(i).asString())) {
                holds.remove(i);
            }
        }
        assertThat(told.toPrettyString()).isEqualTo(recorded.get("told").toPrettyString());
    }

    /** As the book had it then: a profile of the first format. */
    private ProfileDocument book(String id) {
        try {
            return app.bean(ProfileFormat.class).stored(Files.readString(BOOK.resolve(id + ".json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Plans that take no time: what was done does not depend on them. */
    Course course(List<Entry> journal) {
        IntakeFact.JobOpened opened = IntakeState.of(JobState.of(journal)).opened();
        return new Course(
                DeviceProfile.of(book(opened.profileId()), opened.profileVersion(), opened.variantId()),
                journal,
                PLANNING);
    }

    /** A function as it was told of then, without its days. */
    private record Tried(String function, String before, String open, String after) {}

    /** What a job comes down to: which steps are answered how, what holds the seal, what goes with the device. */
    static Map<String, Object> told(Course course) {
        Map<String, String> answers = new TreeMap<>();
        for (Step step : course.steps()) {
            answers.put(step.id(), step.open() ? "open" + (step.problem() ? ": " + step.answer() : "") : step.answer());
        }
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("answers", answers);
        told.put(
                "sealHeldBy",
                ProveState.of(course.state()).handedOverAt().isPresent()
                        ? List.of()
                        : course.holds(new SealFact.Sealed()).stream()
                                .map(Hold::id)
                                .toList());
        told.put("kept", course.record().kept());
        told.put("lost", course.record().lost());
        told.put(
                "functions",
                course.record().functions().stream()
                        .map(f -> new Tried(
                                f.function(),
                                f.before().words(),
                                f.open().words(),
                                f.after().words()))
                        .toList());
        return told;
    }
}
