package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What lies on the shelf to hold fronts: counted by people, used up by jobs. */
@ExtendWith(RunningApp.class)
class SuppliesTest {
    private final App app;
    /** As long as the longest piece of a tablet with its waste, and not much more. */
    private static final double REST_MM = 256;

    private static final String ROLL = "/api/supplies/test-roll";

    private final Client ansa;

    SuppliesTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
    }

    @AfterEach
    void offTheShelf() {
        ansa.send("DELETE", ROLL, null);
    }

    private Answer counted(Object left, Object widthMm) {
        return ansa.send(
                "PUT",
                ROLL,
                Map.of(
                        "kind",
                        "ROLL",
                        "name",
                        "Test tape",
                        "left",
                        left,
                        "numbers",
                        Map.of("widthMm", widthMm, "thicknessMm", 0.2)));
    }

    private double leftMm() {
        JsonNode all = ansa.get("/api/supplies").json().get("supplies");
        return StreamSupport.stream(all.spliterator(), false)
                .filter(one -> one.get("id").asString().equals("test-roll"))
                .mapToDouble(one -> one.get("line").get("left").asDouble())
                .findFirst()
                .orElseThrow();
    }

    /** The only one so wide and so short: each piece is cut from the roll that it leaves least over of. */
    @Test
    void whatIsLaidComesOffTheRollAndCountingItAnewPutsItRight() {
        UUID job = app.jobAt("bond.held");
        JsonNode bond = ansa.get("/api/jobs/" + job + "/bond").json();
        assertThat(bond.get("ways").get(0).get("by").asString()).isEqualTo("STRIPS");
        assertThat(bond.get("held").isNull()).isTrue();
        ansa.skipTo(job, "bond.school");
        assertThat(counted(REST_MM, 2.0).status()).isEqualTo(200);
        ansa.skipTo(job, "test.plugged");
        JsonNode journal = ansa.get("/api/jobs/" + job + "/export").json().get("journal");
        double cutMm = StreamSupport.stream(journal.spliterator(), false)
                .map(entry -> entry.get("fact"))
                .filter(fact -> fact.get("type").asString().equals("StripLaid"))
                .filter(fact -> fact.get("rollId").asString().equals("test-roll"))
                .mapToDouble(fact -> fact.get("usedMm").asDouble())
                .sum();
        assertThat(cutMm).isBetween(20.0, REST_MM);
        assertThat(REST_MM - leftMm()).isCloseTo(cutMm, within(1e-6));
        counted(5000, 2.0);
        assertThat(leftMm()).isEqualTo(5000);
    }

    @Test
    void aMistakeIsNamedByItsFieldAndNothingIsKept() {
        assertThat(counted(100, 0.2).text("detail")).isEqualTo("width is 0.2; allowed: 0.5 to 12 mm");
        assertThat(counted(-1, 2.0).status()).isEqualTo(400);
        Answer noWidth =
                ansa.send("PUT", ROLL, Map.of("kind", "ROLL", "name", "Test tape", "left", 5, "numbers", Map.of()));
        assertThat(noWidth.text("detail")).contains("width is missing");
        assertThat(ansa.send("DELETE", ROLL, null).status()).isEqualTo(400);
    }

    /** Whatever is typed comes back as it was typed. */
    @Test
    void whatJoinsGlassWithoutLiquidIsOnTheShelfToo() {
        Map<String, Object> film = Map.of("widthMm", 45, "heightMm", 40, "thicknessMm", 0.15);
        Map<String, Object> laminator =
                Map.of("widthMm", 180, "heightMm", 120, "cycleSeconds", 60, "chamberKPa", 500, "chamberC", 45);
        Map<String, Object> lamp = Map.of("mwPerCm2", 65, "atMm", 50);
        Map.of("FILM", film, "LAMINATOR", laminator, "LAMP", lamp).forEach((kind, numbers) -> {
            Answer put =
                    ansa.send("PUT", ROLL, Map.of("kind", kind, "name", "Of the test", "left", 1, "numbers", numbers));
            JsonNode line = StreamSupport.stream(put.json().get("supplies").spliterator(), false)
                    .filter(one -> one.get("id").asString().equals("test-roll"))
                    .findFirst()
                    .orElseThrow()
                    .get("line");
            assertThat(line.get("kind").asString()).isEqualTo(kind);
            numbers.forEach((field, value) ->
                    assertThat(line.get("numbers").get(field).asDouble()).isEqualTo(((Number) value).doubleValue()));
            offTheShelf();
        });
        Answer weak = ansa.send(
                "PUT",
                ROLL,
                Map.of("kind", "LAMP", "name", "Lamp", "left", 1, "numbers", Map.of("mwPerCm2", 0, "atMm", 50)));
        assertThat(weak.text("detail")).isEqualTo("the lamp is 0; allowed: 1 to 2000 mW/cm²");
        Answer words = ansa.send(
                "PUT",
                ROLL,
                Map.of("kind", "LAMP", "name", "Lamp", "left", 1, "numbers", Map.of("mwPerCm2", "bright")));
        assertThat(words.status()).isEqualTo(400);
        assertThat(words.text("detail")).contains("the lamp");
    }

    @Test
    void aSyringeHasItsDayAndARingItsDevice() {
        Answer put = ansa.send(
                "PUT",
                "/api/supplies/test-liquid",
                Map.of(
                        "kind",
                        "LIQUID",
                        "name",
                        "Old liquid",
                        "left",
                        3,
                        "numbers",
                        Map.of("viscosityPaS", 1, "doseJPerCm2", 3),
                        "expires",
                        "2020-01-31"));
        assertThat(put.status()).isEqualTo(200);
        assertThat(put.json().get("supplies")).anySatisfy(one -> {
            assertThat(one.get("id").asString()).isEqualTo("test-liquid");
            assertThat(one.get("past").asBoolean()).isTrue();
        });
        assertThat(ansa.send("DELETE", "/api/supplies/test-liquid", null).status())
                .isEqualTo(204);
    }

    @Test
    void theStripsArePrintedAsLargeAsTheyAre() {
        UUID job = app.jobAt("bond.top-1");
        JsonNode plan =
                ansa.get("/api/jobs/" + job + "/bond").json().get("plans").get(0);
        String sheet =
                "/api/jobs/" + job + "/strip-sheet?school=" + plan.get("school").asString() + "&format=";
        String svg = new String(body(sheet + "SVG"), StandardCharsets.UTF_8);
        assertThat(svg).contains("Strips, Marrowby Quire 11", "1:  ");
        assertThat(svg.split("<path").length - 1)
                .as("outline, pieces, the bar of 100 mm with its eleven ticks")
                .isEqualTo(1 + plan.get("strips").size() + 12);
        assertThat(new String(body(sheet + "PDF"), StandardCharsets.ISO_8859_1)).startsWith("%PDF");
        assertThat(ansa.get(sheet.replace("MITRE", "BUTT") + "DXF").status()).isEqualTo(200);
        UUID other = ansa.openJob("pellow-dial-41");
        assertThat(ansa.get("/api/jobs/" + other + "/strip-sheet?school=BUTT").text("detail"))
                .contains("a job whose front is held by strips");
    }

    private byte[] body(String path) {
        return ansa.get(path).raw().body().getBytes(StandardCharsets.ISO_8859_1);
    }
}
