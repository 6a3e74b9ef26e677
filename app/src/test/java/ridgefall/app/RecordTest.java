package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What goes with a device and stays in the shop: evidence, signatures, paper, and the whole job as a file. */
@ExtendWith(RunningApp.class)
class RecordTest {
    private static final String LINES = "{\"strokes\":[[10,20,300,150,880,290],[40,40,60,280]]}";

    private final App app;
    private final Client ansa;

    RecordTest(App app) {
        this.app = app;
        this.ansa = app.signedIn(Role.TECHNICIAN);
    }

    /** A device that goes back as it came, with a photo, signed for by both sides. */
    private UUID signed() throws IOException {
        UUID job = ansa.openJob();
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "jpeg", picture);
        assertThat(ansa.upload(
                                "/api/jobs/" + job + "/photos?photoId=" + UUID.randomUUID()
                                        + "&words=crack%20at%20the%20top",
                                "image/jpeg",
                                picture.toByteArray())
                        .status())
                .isEqualTo(200);
        append(job, Map.of("type", "NotWorthIt", "reason", "too dear", "agreedBy", "Test hut"));
        UUID drawing = UUID.randomUUID();
        assertThat(draw(job, drawing, LINES).status()).isEqualTo(200);
        append(job, Map.of("type", "Signed", "signer", "OWNER", "name", "T. Hut", "drawing", drawing.toString()));
        append(job, Map.of("type", "Signed", "signer", "SHOP", "name", "Ansa Orrick"));
        return job;
    }

    private void append(UUID job, Map<String, Object> fact) {
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        Answer answer = ansa.append(job, seq, fact);
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
    }

    private Answer draw(UUID job, UUID id, String lines) {
        return ansa.upload(
                "/api/jobs/" + job + "/attachments?attachmentId=" + id + "&kind=SIGNATURE&name=signature",
                "application/json",
                lines.getBytes());
    }

    @Test
    void theRecordShowsEvidenceByPhaseAndTheLinesOfAHand() throws IOException {
        JsonNode record = ansa.get("/api/jobs/" + signed() + "/record").json();
        assertThat(record.get("evidence")).hasSize(1);
        JsonNode photo = record.at("/evidence/0");
        assertThat(photo.get("words").asString()).isEqualTo("Photo: crack at the top");
        assertThat(photo.get("phase").asString()).isEqualTo("BEFORE");
        assertThat(photo.get("sha256").asString()).hasSize(64);
        assertThat(record.at("/signatures/0/path").asString()).isEqualTo("M10 20L300 150L880 290M40 40L60 280");
        assertThat(record.at("/signatures/1/name").asString()).isEqualTo("Ansa Orrick");
        assertThat(record.at("/signatures/1/path").isNull()).isTrue();
    }

    @Test
    void whatIsNoDrawingIsRefused() {
        UUID job = ansa.openJob();
        for (String lines : List.of(
                "scribble", "{\"strokes\":[]}", "{\"strokes\":[[1,2,3]]}", "{\"strokes\":[[1,2,901,4]]}", "{}")) {
            Answer answer = draw(job, UUID.randomUUID(), lines);
            assertThat(answer.status()).as(lines).isEqualTo(400);
            assertThat(answer.text("allowed")).isNotBlank();
        }
    }

    @Test
    void aDrawingOfAnotherJobIsNotShown() throws IOException {
        UUID others = signed();
        String drawing = ansa.get("/api/jobs/" + others + "/export")
                .json()
                .get("journal")
                .valueStream()
                .filter(entry -> entry.at("/fact/drawing").isString())
                .findFirst()
                .orElseThrow()
                .at("/fact/drawing")
                .asString();
        UUID job = ansa.openJob();
        append(job, Map.of("type", "NotWorthIt", "reason", "too dear", "agreedBy", "Test hut"));
        append(job, Map.of("type", "Signed", "signer", "OWNER", "name", "Somebody", "drawing", drawing));
        assertThat(ansa.get("/api/jobs/" + job + "/record")
                        .json()
                        .at("/signatures/0/path")
                        .isNull())
                .isTrue();
    }

    @Test
    void theShopsCopySaysWhoDidWhatAndTheOwnersDoesNot() throws IOException {
        UUID job = signed();
        String owners = text("/api/jobs/" + job + "/record.pdf");
        assertThat(owners)
                .contains("What works", "Photo: crack at the top", "T. Hut, for the owner", "Ansa Orrick, for the shop")
                .doesNotContain("SHA-256");
        assertThat(text("/api/jobs/" + job + "/record.pdf?copy=SHOP")).contains("SHA-256");
        assertThat(ansa.get("/api/jobs/" + job + "/record.pdf?copy=TWO").status())
                .isEqualTo(400);
    }

    /** With its one picture in it. */
    private String text(String path) throws IOException {
        try (PDDocument pages = Loader.loadPDF(ansa.bytes(path).body())) {
            int pictures = 0;
            for (var page : pages.getPages()) {
                for (COSName name : page.getResources().getXObjectNames()) {
                    pictures += page.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(pictures).isEqualTo(1);
            return new PDFTextStripper().getText(pages);
        }
    }

    @Test
    void theWholeJobIsAFileThatItsSchemaDescribesWithItsEvidenceInIt() throws IOException {
        JsonNode export = ansa.get("/api/jobs/" + signed() + "/export").json();
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/formats/job.schema.json")), InputFormat.JSON);
        assertThat(schema.validate(export)).isEmpty();
        assertThat(export.at("/files/0/path").asString())
                .isEqualTo(export.at("/record/evidence/0/path").asString());
        byte[] file = Base64.getDecoder().decode(export.at("/files/0/base64").asString());
        assertThat(ImageIO.read(new ByteArrayInputStream(file)).getWidth()).isEqualTo(80);
    }

    @Test
    void erasedWithItsOwnerOnlyTheShopsNameStays() throws IOException {
        UUID job = signed();
        assertThat(app.signedIn(Role.LEAD)
                        .send("DELETE", "/api/jobs/" + job + "/owner", Map.of())
                        .status())
                .isEqualTo(204);
        JsonNode record = ansa.get("/api/jobs/" + job + "/record").json();
        assertThat(record.get("evidence")).isEmpty();
        assertThat(record.at("/signatures/0/name").asString()).isEqualTo("(erased)");
        assertThat(record.at("/signatures/0/path").isNull()).isTrue();
        assertThat(record.at("/signatures/1/name").asString()).isEqualTo("Ansa Orrick");
        assertThat(ansa.get("/api/jobs/" + job + "/export").json().get("files")).isEmpty();
    }

    /** The shop hears of a repair that did not hold before its owner is annoyed enough to come. */
    @Test
    void afterAWeekAtHomeTheBenchAsksHowItIsOnce() {
        UUID job = ansa.openJob();
        append(job, Map.of("type", "NotWorthIt", "reason", "too dear", "agreedBy", "Test hut"));
        append(job, Map.of("type", "HandedOver", "to", "Test hut"));
        assertThat(asked(job)).as("today").isFalse();
        JdbcClient jdbc = app.bean(JdbcClient.class);
        String aged =
                "update job set unrepaired = false, handed_over_at = handed_over_at - interval '%d days' where id = :id";
        jdbc.sql(aged.formatted(8)).param("id", job).update();
        assertThat(asked(job)).as("after eight days").isTrue();
        jdbc.sql(aged.formatted(30)).param("id", job).update();
        assertThat(asked(job)).as("after five weeks").isFalse();
        jdbc.sql(aged.formatted(-30)).param("id", job).update();
        append(job, Map.of("type", "HeardBack", "fine", false, "said", "touch skips"));
        assertThat(asked(job)).as("once heard").isFalse();
        assertThat(ansa.get("/api/jobs/" + job + "/record")
                        .json()
                        .at("/afterAWeek/said")
                        .asString())
                .isEqualTo("touch skips");
    }

    private boolean asked(UUID job) {
        return ansa.get("/api/bench")
                .json()
                .get("atHomeForAWeek")
                .valueStream()
                .anyMatch(row -> row.get("id").asString().equals(job.toString()));
    }
}
