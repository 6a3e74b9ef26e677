package ridgefall.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One description of the interface, and who may do what inside. */
@ExtendWith(RunningApp.class)
class InterfaceTest {
    private final App app;
    private final JsonMapper json;

    InterfaceTest(App app) {
        this.app = app;
        this.json = app.bean(JsonMapper.class);
    }

    /** With RIDGEFALL_DESCRIBE set it is written anew first; {@code npm run api} makes the types of it. */
    @Test
    void theCommittedDescriptionIsTheOneTheAppGenerates() throws Exception {
        JsonNode generated = app.signedIn(Role.LEAD).get("/v3/api-docs").json();
        if (System.getenv("RIDGEFALL_DESCRIBE") != null) {
            Files.writeString(Path.of("../web/openapi.json"), generated.toPrettyString() + "\n");
        }
        JsonNode committed = Client.JSON.readTree(Files.readString(Path.of("../web/openapi.json")));
        assertThat(committed).isEqualTo(generated);
    }

    /** What an exported job holds, cut from the description; written anew with it. */
    @Test
    void theExportsSchemaIsWhatTheDescriptionSaysOfIt() throws IOException {
        JsonNode described = Client.JSON.readTree(Files.readString(Path.of("../web/openapi.json")));
        Map<String, JsonNode> reached = new TreeMap<>();
        reach("Export", described.at("/components/schemas"), reached);
        ObjectNode schema = Client.JSON
                .createObjectNode()
                .put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("title", "One job of Ridgefall, with its journal and its evidence")
                .put("$ref", "#/components/schemas/Export");
        ObjectNode schemas = schema.putObject("components").putObject("schemas");
        reached.forEach(schemas::set);
        Path file = Path.of("../docs/formats/job.schema.json");
        if (System.getenv("RIDGEFALL_DESCRIBE") != null) {
            Files.writeString(file, schema.toPrettyString() + "\n");
        }
        assertThat(Client.JSON.readTree(Files.readString(file))).isEqualTo(schema);
    }

    private static void reach(String name, JsonNode schemas, Map<String, JsonNode> reached) {
        if (reached.putIfAbsent(name, schemas.get(name)) == null) {
            Pattern.compile("#/components/schemas/(\\w+)")
                    .matcher(schemas.get(name).toString())
                    .results()
                    .forEach(found -> reach(found.group(1), schemas, reached));
        }
    }

    /** The description calls a type by its simple name: of two it would keep one, and nobody would be told. */
    @Test
    void noTwoViewsHaveOneName() throws IOException {
        Pattern view = Pattern.compile("record (\\w+View)\\(");
        List<String> names = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                view.matcher(Files.readString(file)).results().forEach(found -> names.add(found.group(1)));
            }
        }
        assertThat(names).hasSizeGreaterThan(20).doesNotHaveDuplicates();
    }

    static Stream<Path> journals() throws IOException {
        return ReplayTest.journals();
    }

    /** Whoever reads a fact by the description reads every fact there is: nothing more in it, nothing null unsaid. */
    @ParameterizedTest
    @MethodSource("journals")
    void everyFactOfEveryJournalIsAsDescribed(Path file) throws IOException {
        JsonNode described = Client.JSON.readTree(Files.readString(Path.of("../web/openapi.json")));
        ObjectNode schema = Client.JSON.createObjectNode().put("$ref", "#/components/schemas/Fact");
        schema.set("components", described.get("components"));
        Schema fact = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schema.toString(), InputFormat.JSON);
        for (JsonNode entry : Client.JSON.readTree(Files.readString(file)).get("journal")) {
            JsonNode told = Client.JSON.readTree(
                    json.writerFor(Fact.class).writeValueAsString(json.treeToValue(entry.get("fact"), Fact.class)));
            assertThat(fact.validate(told)).as(told.toString()).isEmpty();
        }
    }

    @Test
    void sqlStaysInTheStores() {
        JavaClasses classes = new ClassFileImporter()
                .withImportOption(new DoNotIncludeTests())
                .importPackages("ridgefall.app");
        noClasses()
                .that()
                .areNotAnnotatedWith(Repository.class)
                .should()
                .dependOnClassesThat()
                .areAssignableTo(JdbcClient.class)
                .check(classes);
    }

    @Test
    void everyStationAnswersForAFreshJobAndTheExportHoldsItsJournal() {
        Client ansa = app.signedIn(Role.TECHNICIAN);
        UUID job = ansa.openJob();
        for (String station : new String[] {"edge", "heat", "separate", "bond", "record", "export"}) {
            assertThat(ansa.get("/api/jobs/" + job + "/" + station).status())
                    .as(station)
                    .isEqualTo(200);
        }
        JsonNode export = ansa.get("/api/jobs/" + job + "/export").json();
        assertThat(export.path("format").asString()).isEqualTo("ridgefall-job/3");
        assertThat(export.at("/journal/0/fact/type").asString()).isEqualTo("JobOpened");
        assertThat(export.at("/record/owner").asString()).isEqualTo("Test hut");
    }

    @Test
    void aScreenWithoutAFileIsStillTheOnePage() {
        Client client = app.client();
        assertThat(client.get("/jobs/" + UUID.randomUUID()).raw().body()).contains("<div id=\"root\">");
        assertThat(client.get("/assets/nothing.js").status()).isEqualTo(404);
    }
}
