package ridgefall.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** One description of the interface, and who may do what inside. */
@ExtendWith(RunningApp.class)
class InterfaceTest {
    private final App app;

    InterfaceTest(App app) {
        this.app = app;
    }

    @Test
    void theCommittedDescriptionIsTheOneTheAppGenerates() throws Exception {
        JsonNode generated = app.signedIn(Role.LEAD).get("/v3/api-docs").json();
        JsonNode committed = Client.JSON.readTree(Files.readString(Path.of("../web/openapi.json")));
        assertThat(committed).isEqualTo(generated);
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
        assertThat(export.path("format").asString()).isEqualTo("ridgefall-job/1");
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
