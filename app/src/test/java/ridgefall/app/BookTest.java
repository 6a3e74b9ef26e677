package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The device book: versions, files that come in and go out, and what is refused. */
@ExtendWith(RunningApp.class)
class BookTest {
    private final Client lead;
    private final Client technician;

    BookTest(App app) {
        lead = app.signedIn(Role.LEAD);
        technician = app.signedIn(Role.TECHNICIAN);
    }

    /** The demo tablet's document under another id. */
    private ObjectNode copy(String id) {
        ObjectNode document =
                (ObjectNode) lead.get("/api/book/marrowby-quire-11").json().get("document");
        document.put("id", id);
        document.put("name", "Copy " + id);
        return document;
    }

    private String released(String id) {
        assertThat(technician
                        .send("PUT", "/api/book/" + id + "/draft", copy(id))
                        .status())
                .isEqualTo(200);
        assertThat(lead.post("/api/book/" + id + "/release", Map.of()).status()).isEqualTo(200);
        return id;
    }

    private static String fresh() {
        return "test-" + UUID.randomUUID();
    }

    private UUID job(String device) {
        UUID id = UUID.randomUUID();
        assertThat(technician
                        .post(
                                "/api/jobs",
                                Map.of("commandId", id, "profileId", device, "owner", "Hut", "fault", "cracked"))
                        .status())
                .isEqualTo(200);
        return id;
    }

    @Test
    void exportedDeletedAndImportedAgainADeviceIsEqual() {
        String id = released(fresh());
        UUID job = job(id);
        String file = lead.get("/api/book/" + id + "/export").raw().body();
        assertThat(lead.send("DELETE", "/api/book/" + id, Map.of()).status()).isEqualTo(204);
        assertThat(technician
                        .post(
                                "/api/jobs",
                                Map.of("commandId", UUID.randomUUID(), "profileId", id, "owner", "H", "fault", "f"))
                        .text("field"))
                .isEqualTo("profileId");
        assertThat(technician.get("/api/jobs/" + job).status())
                .as("a job keeps its version")
                .isEqualTo(200);
        assertThat(technician.text("/api/book-import", file).status()).isEqualTo(200);
        lead.post("/api/book/" + id + "/release", Map.of());
        JsonNode again = Client.JSON.readTree(
                lead.get("/api/book/" + id + "/export").raw().body());
        assertThat(again).isEqualTo(Client.JSON.readTree(file));
        job(id);
    }

    @Test
    void whatIsTakenOutOfTheBookSaysWhatHangsOnItAndComesBackAsItWas() {
        String id = released(fresh());
        job(id);
        ObjectNode drawn = copy(id);
        ((ObjectNode) drawn.get("features").get(0)).put("words", "drawn on");
        assertThat(technician.send("PUT", "/api/book/" + id + "/draft", drawn).status())
                .isEqualTo(200);
        JsonNode hanging = lead.get("/api/book/" + id + "/hanging").json();
        assertThat(hanging.get("versions").asInt()).isEqualTo(1);
        assertThat(hanging.get("draft").asBoolean()).isTrue();
        assertThat(hanging.get("openJobs").asInt()).isEqualTo(1);
        assertThat(hanging.get("doneJobs").asInt()).isZero();
        JsonNode before = lead.get("/api/book/" + id).json();
        assertThat(lead.send("DELETE", "/api/book/" + id, Map.of()).status()).isEqualTo(204);
        assertThat(lead.get("/api/book/" + id).json().at("/device/withdrawn").asBoolean())
                .isTrue();
        assertThat(lead.post("/api/book/" + id + "/put-back", Map.of()).status())
                .isEqualTo(204);
        assertThat(lead.get("/api/book/" + id).json()).isEqualTo(before);
        job(id);
    }

    @Test
    void aJobKeepsTheVersionItStartedWith() {
        String id = released(fresh());
        UUID before = job(id);
        ObjectNode changed = copy(id);
        ((ObjectNode) changed.get("features").get(0)).put("words", "moved sensor");
        technician.send("PUT", "/api/book/" + id + "/draft", changed);
        UUID during = job(id);
        lead.post("/api/book/" + id + "/release", Map.of());
        UUID after = job(id);
        assertThat(firstFeature(before)).isEqualTo("light sensor insert");
        assertThat(firstFeature(during)).isEqualTo("light sensor insert");
        assertThat(firstFeature(after)).isEqualTo("moved sensor");
        assertThat(lead.get("/api/book/" + id).json().get("versions")).hasSize(2);
    }

    private String firstFeature(UUID job) {
        return technician
                .get("/api/jobs/" + job + "/edge")
                .json()
                .at("/features/0/words")
                .asString();
    }

    @Test
    void aVariantChangesTheJobAndAnUnknownOneIsRefused() {
        UUID id = UUID.randomUUID();
        Map<String, Object> opened = Map.of(
                "commandId", id, "profileId", "drumlin-crate-10", "variantId", "cellular", "owner", "H", "fault", "f");
        assertThat(technician.post("/api/jobs", opened).status()).isEqualTo(200);
        assertThat(technician.get("/api/jobs/" + id).text("device")).isEqualTo("Drumlin Crate 10, cellular");
        Answer wrong = technician.post(
                "/api/jobs",
                Map.of(
                        "commandId", UUID.randomUUID(),
                        "profileId", "drumlin-crate-10",
                        "variantId", "gold",
                        "owner", "H",
                        "fault", "f"));
        assertThat(wrong.text("field")).isEqualTo("variantId");
        assertThat(wrong.text("allowed")).isEqualTo("one of plain, cellular");
    }

    @Test
    void everyFlawOfAFileIsNamedByItsPathAndNothingIsStored() {
        String id = fresh();
        ObjectNode bad = copy(id);
        bad.put("openingRadiusMm", "wide");
        ((ObjectNode) bad.get("features").get(4)).put("depthMm", -2);
        ((ObjectNode) bad.get("ledge")).put("everywhereMm", -3);
        bad.remove("limits");
        bad.put("colour", "grey");
        Answer answer = technician.text("/api/book-import", bad.toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(paths(answer))
                .contains(
                        "openingRadiusMm", "features/display-cables/depthMm", "ledge/everywhereMm", "limits", "colour");
        assertThat(lead.get("/api/book/" + id).status()).isEqualTo(404);
    }

    @Test
    void overlappingCablesAreRefusedWithWhatLiesThere() {
        ObjectNode bad = copy(fresh());
        ((ObjectNode) bad.get("features").get(3))
                .put("fromMm", bad.get("features").get(2).get("fromMm").asDouble());
        Answer answer = technician.text("/api/book-import", bad.toString());
        assertThat(paths(answer)).contains("features/port");
        assertThat(answer.text("allowed")).contains("fingerprint key cable lies there");
    }

    private static List<String> paths(Answer answer) {
        return answer.json()
                .get("flaws")
                .valueStream()
                .map(flaw -> flaw.get("path").asString())
                .toList();
    }

    @Test
    void tenThousandFeaturesAreTooMany() {
        ObjectNode bad = copy(fresh());
        ArrayNode features = (ArrayNode) bad.get("features");
        IntStream.range(0, 3000).forEach(i -> features.add(features.get(0)));
        assertThat(paths(technician.text("/api/book-import", bad.toString()))).contains("features");
        IntStream.range(0, 10_000).forEach(i -> features.add(features.get(0)));
        Answer answer = technician.text("/api/book-import", bad.toString());
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.text("allowed")).contains("1048576 bytes");
    }

    @Test
    void whatIsNoProfileAtAllIsRefused() {
        assertThat(technician.text("/api/book-import", " ".repeat(20 << 20)).status())
                .isEqualTo(413);
        // The first bytes of a zip archive, whatever it would unpack to.
        Answer zip = technician.text(
                "/api/book-import", new String(new byte[] {'P', 'K', 3, 4, 20}, StandardCharsets.ISO_8859_1));
        assertThat(zip.text("value")).startsWith("not JSON");
        assertThat(paths(technician.text("/api/book-import", "[1, 2]"))).contains("file");
        assertThat(paths(technician.text("/api/book-import", "{}"))).contains("outline", "features", "repairs");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            <svg><path d="M0 0H100V60H0Z"/></svg>                                     | 4
            <svg width="100mm" viewBox="0 0 1000 600"><path d="M0 0H1000V600H0Z"/></svg> | 4
            """)
    void anOutlineComesFromTheFirstPathOfADrawing(String svg, int points) {
        JsonNode outline = technician.text("/api/book-outline", svg).json();
        assertThat(outline.get("type").asString()).isEqualTo("Closed");
        assertThat(outline.get("points")).hasSize(points);
        assertThat(outline.at("/points/2/xMm").asDouble()).isEqualTo(100);
        assertThat(outline.at("/points/2/yMm").asDouble()).isEqualTo(60);
    }

    @Test
    void aPolylineWithBulgesIsReadFromDxf() {
        // A square of 40 mm whose top side bulges out by a half circle (bulge 1): highest point 20 mm above.
        String dxf = String.join(
                "\n",
                "0",
                "LWPOLYLINE",
                "70",
                "1",
                "10",
                "0",
                "20",
                "0",
                "10",
                "40",
                "20",
                "0",
                "10",
                "40",
                "20",
                "40",
                "42",
                "1",
                "10",
                "0",
                "20",
                "40",
                "0",
                "ENDSEC");
        JsonNode points = technician.text("/api/book-outline", dxf).json().get("points");
        double top = points.valueStream()
                .mapToDouble(p -> p.get("yMm").asDouble())
                .min()
                .orElseThrow();
        assertThat(top).isEqualTo(-60, org.assertj.core.api.Assertions.within(0.1));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            <!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]><svg><path d="&x;"/></svg> | DOCTYPE
            <svg><script>alert(1)</script><path d="M0 0H9V9Z"/></svg>   | script
            <svg><rect width="5" height="5"/></svg>                     | without a path
            <svg><path d="M0 0 nonsense"/></svg>                        | nonsense
            <svg><path d="M0 0H40L0 40H40Z"/></svg>                     | 4 points
            0                                                          | no polyline
            """)
    void drawingsThatAreNoPlainOutlineAreRefused(String file, String value) {
        Answer answer = technician.text("/api/book-outline", file);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("value")).contains(value);
    }

    @Test
    void theSchemaIsPublished() {
        JsonNode schema =
                technician.get("/api/formats/device-profile.schema.json").json();
        assertThat(schema.get("title").asString()).isEqualTo("Ridgefall device profile");
    }

    @Test
    void aTechnicianProposesAndALeadSettles() {
        String id = released(fresh());
        UUID job = job(id);
        Map<String, String> proposal = Map.of("what", "port", "found", "2 mm nearer to the corner");
        assertThat(technician
                        .post("/api/jobs/" + job + "/corrections", proposal)
                        .status())
                .isEqualTo(201);
        JsonNode open = lead.get("/api/book/" + id).json().get("corrections");
        assertThat(open).hasSize(1);
        assertThat(open.at("/0/found").asString()).isEqualTo("2 mm nearer to the corner");
        String settle = "/api/book/" + id + "/corrections/" + open.at("/0/id").asLong();
        assertThat(technician.post(settle, Map.of("taken", true)).status()).isEqualTo(403);
        assertThat(lead.post(settle, Map.of("taken", true)).status()).isEqualTo(204);
        assertThat(lead.get("/api/book/" + id).json().get("corrections")).isEmpty();
        assertThat(lead.post(settle, Map.of("taken", true)).text("field")).isEqualTo("correctionId");
    }

    @Test
    void aDraftMayHaveFlawsButIsNotReleasedWithThem() {
        String id = fresh();
        ObjectNode flawed = copy(id);
        ((ObjectNode) flawed.get("features").get(4)).putNull("depthMm");
        Answer drafted = technician.send("PUT", "/api/book/" + id + "/draft", flawed);
        assertThat(drafted.status()).isEqualTo(200);
        assertThat(drafted.json().get("flaws")).isNotEmpty();
        assertThat(lead.post("/api/book/" + id + "/release", Map.of()).status()).isEqualTo(400);
        assertThat(lead.get("/api/devices?query=" + id).json().valueStream())
                .noneMatch(device -> device.get("id").asString().equals(id));
    }

    @Test
    void theNearestDeviceIsOneOfItsKindAndSize() {
        JsonNode near = technician
                .get("/api/book-nearest?kind=WATCH&widthMm=38&heightMm=45")
                .json();
        assertThat(near.at("/0/id").asString()).isIn("pellow-dial-45", "class-watch");
        assertThat(near.valueStream()).allMatch(d -> d.get("kind").asString().equals("WATCH"));
    }
}
