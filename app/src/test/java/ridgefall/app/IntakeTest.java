package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.intake.Owners;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What is kept of owners and their devices: marks, photos, contact, and how all of it ends. */
@ExtendWith(RunningApp.class)
class IntakeTest {
    private final App app;
    private final JdbcClient jdbc;
    private Client desk;
    private UUID job;

    IntakeTest(App app) {
        this.app = app;
        this.jdbc = app.bean(JdbcClient.class);
    }

    @BeforeEach
    void takeIn() {
        desk = app.signedIn(Role.DESK);
        job = UUID.randomUUID();
        assertThat(desk.post(
                                "/api/jobs",
                                Map.of(
                                        "commandId", job,
                                        "profileId", "marrowby-quire-11",
                                        "owner", "Ilse Verrow",
                                        "contact", "ilse at the lake post",
                                        "fault", "cracked"))
                        .status())
                .isEqualTo(200);
    }

    private Answer photo(UUID id, byte[] file) {
        return desk.upload("/api/jobs/" + job + "/photos?photoId=" + id, "image/jpeg", file);
    }

    private static byte[] picture(int width, int height, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, out);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    @Test
    void aPhotoIsScaledDrawnAnewAndNotedInTheJournal() throws IOException {
        UUID id = UUID.randomUUID();
        byte[] plain = picture(3200, 1200, "jpeg");
        // A comment segment, as cameras write them, right behind the start of the image.
        byte[] note = "taken at 54.1 north".getBytes(StandardCharsets.US_ASCII);
        ByteArrayOutputStream tagged = new ByteArrayOutputStream();
        tagged.write(plain, 0, 2);
        tagged.write(new byte[] {(byte) 0xFF, (byte) 0xFE, 0, (byte) (note.length + 2)});
        tagged.write(note);
        tagged.write(plain, 2, plain.length - 2);
        assertThat(photo(id, tagged.toByteArray()).status()).isEqualTo(200);
        byte[] stored = jdbc.sql("select picture from photo where id = :id")
                .param("id", id)
                .query((row, n) -> row.getBytes(1))
                .single();
        BufferedImage shown = ImageIO.read(new ByteArrayInputStream(stored));
        assertThat(List.of(shown.getWidth(), shown.getHeight())).containsExactly(1600, 600);
        assertThat(new String(stored, StandardCharsets.ISO_8859_1)).doesNotContain("54.1 north");
        JsonNode view = desk.get("/api/jobs/" + job).json();
        assertThat(view.at("/photos/0/id").asString()).isEqualTo(id.toString());
        assertThat(view.at("/journal/0/words").asString()).isEqualTo("Photo");
        // The same picture sent twice is one photo.
        assertThat(photo(id, tagged.toByteArray()).status()).isEqualTo(200);
        assertThat(photo(id, plain).text("title")).isEqualTo("Not recorded: this id was used before");
        assertThat(desk.get("/api/jobs/" + job).json().get("photos")).hasSize(1);
    }

    @Test
    void whatIsNoPhotoIsRefused() {
        assertThat(photo(UUID.randomUUID(), "not a picture".getBytes(StandardCharsets.UTF_8))
                        .text("value"))
                .isEqualTo("no picture");
        assertThat(photo(UUID.randomUUID(), picture(20, 20, "bmp")).text("value"))
                .isEqualTo("bmp");
        byte[] half = picture(400, 400, "png");
        assertThat(photo(UUID.randomUUID(), java.util.Arrays.copyOf(half, 60)).text("value"))
                .isEqualTo("a broken picture");
        assertThat(photo(UUID.randomUUID(), new byte[9 << 20]).status()).isEqualTo(413);
        assertThat(desk.get("/api/jobs/" + job).json().get("photos")).isEmpty();
    }

    @Test
    void twelvePhotosAreEnough() {
        byte[] small = picture(8, 8, "png");
        for (int i = 0; i < 12; i++) {
            assertThat(photo(UUID.randomUUID(), small).status()).isEqualTo(200);
        }
        assertThat(photo(UUID.randomUUID(), small).text("allowed")).isEqualTo("at most 12 photos a job");
    }

    @Test
    void marksAreDrawnWhereTheDeviceIsAndSeenFromWhereverItIsLookedAt() {
        Map<String, Object> line = Map.of(
                "type", "CrackDrawn", "line", List.of(Map.of("xMm", 140, "yMm", 0), Map.of("xMm", 130, "yMm", 40)));
        assertThat(desk.append(job, 1, line).status()).isEqualTo(200);
        JsonNode mark =
                desk.get("/api/jobs/" + job + "/edge?faceDown=true").json().at("/marks/0");
        assertThat(mark.at("/dots/0/x").asDouble()).isEqualTo(250 - 140);
        Answer outside = desk.append(job, 2, Map.of("type", "DentMarked", "at", Map.of("xMm", 300, "yMm", 20)));
        assertThat(outside.text("field")).isEqualTo("xMm");
        assertThat(outside.text("allowed")).isEqualTo("-5 to 255 mm");
        assertThat(desk.append(job, 2, Map.of("type", "MarkRemoved", "seq", 1)).text("field"))
                .isEqualTo("seq");
        assertThat(desk.append(job, 2, Map.of("type", "BendMarked", "corner", "TOP", "gapMm", 1))
                        .text("field"))
                .isEqualTo("corner");
    }

    @Test
    void theJournalHoldsNoNameOfTheOwnerButShowsIt() {
        String stored = jdbc.sql("select string_agg(fact::text, ' ') from journal where job_id = :job")
                .param("job", job)
                .query(String.class)
                .single();
        assertThat(stored).doesNotContain("Ilse");
        assertThat(desk.get("/api/jobs/" + job).text("owner")).isEqualTo("Ilse Verrow");
        assertThat(desk.get("/api/jobs/" + job + "/owner").text("contact")).isEqualTo("ilse at the lake post");
    }

    @Test
    void onlyALeadErasesAnOwnerAndThenNothingOfThemIsLeft() {
        photo(UUID.randomUUID(), picture(8, 8, "png"));
        assertThat(desk.send("DELETE", "/api/jobs/" + job + "/owner", Map.of()).status())
                .isEqualTo(403);
        assertThat(app.signedIn(Role.LEAD)
                        .send("DELETE", "/api/jobs/" + job + "/owner", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(desk.get("/api/jobs/" + job).text("owner")).isEqualTo("(erased)");
        assertThat(desk.get("/api/jobs/" + job + "/owner").json().get("contact").isNull())
                .isTrue();
        assertThat(jdbc.sql("select owner from job where id = :job")
                        .param("job", job)
                        .query(String.class)
                        .single())
                .isEqualTo("(erased)");
        assertThat(jdbc.sql("select count(*) from photo where job_id = :job")
                        .param("job", job)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void whatWasHandedOverLongAgoIsErasedByItself() {
        jdbc.sql("update job set handed_over_at = :then where id = :job")
                .param("then", OffsetDateTime.now(java.time.ZoneOffset.UTC).minusDays(366))
                .param("job", job)
                .update();
        app.bean(Owners.class).eraseWhatIsOld();
        assertThat(desk.get("/api/jobs/" + job).text("owner")).isEqualTo("(erased)");
    }

    @Test
    void theTagLeadsToTheJob() {
        JsonNode tag = desk.get("/api/jobs/" + job + "/tag").json();
        assertThat(tag.get("owner").asString()).isEqualTo("Ilse Verrow");
        assertThat(tag.get("modules").asInt()).isGreaterThan(20);
        assertThat(QrReader.text(tag.get("path").asString(), tag.get("modules").asInt()))
                .isEqualTo(app.url() + "/jobs/" + job);
    }
}
