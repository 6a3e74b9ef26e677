package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.app.sheet.PdfLines;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class StripTest {
    private final App app;
    private final Client ansa;
    private final UUID job;

    StripTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        job = app.jobAt("strip.screws-over");
    }

    private JsonNode strip(String view) {
        return ansa.get("/api/jobs/" + job + "/strip" + view).json();
    }

    @Test
    void screwsThatLookAlikeAreOneKindAndEveryHoleSaysWhichItIs() {
        JsonNode strip = strip("");
        assertThat(strip.get("screws").size()).isGreaterThan(1);
        for (JsonNode hole : strip.get("holes")) {
            assertThat(hole.get("kind").asInt())
                    .isBetween(0, strip.get("screws").size() - 1);
        }
        assertThat(strip.get("screws").get(0).get("words").asString()).matches("[\\d.]+ mm M[\\d.]+, \\w+, .+");
    }

    @Test
    void whatIsToldOfAHoleIsSaidThereAndWhatCannotBeIsRefused() {
        JsonNode hole = hole("cover-5");
        assertThat(hole.get("where").isNull()).isTrue();
        assertThat(hole.get("lie").asString()).isEqualTo("NOW");
        assertThat(hole.get("choices").findValuesAsString("label"))
                .containsExactly("Out", "Was not there", "Dropped it", "Stuck");
        assertThat(tell(hole.get("choices").get(2).get("fact")).status()).isEqualTo(200);
        assertThat(hole("cover-5").get("told").asString()).isEqualTo("dropped, not found");
        Client.Answer back = tell(
                Client.JSON.readTree("{'type':'ScrewsMoved','holeIds':['cover-5'],'where':'BACK'}".replace('\'', '"')));
        assertThat(back.status()).isEqualTo(422);
        assertThat(back.raw().body()).contains("The screw of hole cover-5 is not found");
    }

    private Client.Answer tell(JsonNode fact) {
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        return ansa.append(job, seq, fact);
    }

    /** 14 small crosses, each line of theirs 1.2 mm long, where the book has the screws; the outline begins 34 mm below the head. */
    @Test
    void theTrayHasEveryScrewInItsPlaceToATenthOfAMillimetre() throws IOException {
        byte[] pdf = ansa.bytes("/api/jobs/" + job + "/tray-sheet").body();
        JsonNode book = ansa.get("/api/book/marrowby-quire-11").json().get("document");
        double widthMm = book.get("outline").get("widthMm").asDouble();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDPage page = document.getPage(0);
            List<double[]> level = PdfLines.of(page).stream()
                    .filter(line -> Math.abs(line[2] - line[0] - 1.2) < 0.05 && Math.abs(line[3] - line[1]) < 0.01)
                    .toList();
            assertThat(level).hasSize(14);
            double left = (PdfLines.mm(page.getMediaBox().getWidth()) - widthMm) / 2;
            double top = PdfLines.mm(page.getMediaBox().getHeight()) - 34;
            for (JsonNode screw : book.get("screws")) {
                assertThat(level).anySatisfy(line -> {
                    assertThat((line[0] + line[2]) / 2)
                            .isCloseTo(left + screw.get("xMm").asDouble(), within(0.1));
                    assertThat(line[1]).isCloseTo(top - screw.get("yMm").asDouble(), within(0.1));
                });
            }
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Screw tray, Marrowby Quire 11", "A: 6 × 3.2 mm");
        }
    }

    @Test
    void theTrayHasABoxForEachShieldAndSmallPart() throws IOException {
        try (PDDocument document =
                Loader.loadPDF(ansa.bytes("/api/jobs/" + job + "/tray-sheet").body())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Camera ring", "Light sensor insert", "Stylus magnet strips");
        }
    }

    @Test
    void theTableSaysOfEveryHoleWhereItsScrewIs() {
        tell(Client.JSON.readTree(
                "{'type':'ScrewTold','holeId':'cover-5','where':'LOST','words':null}".replace('\'', '"')));
        String csv = ansa.get("/api/jobs/" + job + "/screws").raw().body();
        assertThat(csv.lines().count()).isEqualTo(15);
        assertThat(csv).startsWith("hole,x_mm,y_mm,").contains("hidden,later_layer,covered_by,where,told");
        assertThat(csv.lines().filter(line -> line.startsWith("cover-5,")))
                .singleElement()
                .asString()
                .endsWith(",lost,");
    }

    /** Out of the book and in again they are the same; a file with a mistake brings nothing and says where each is. */
    @Test
    void aDevicesScrewsGoOutAndComeInAgain() {
        JsonNode own =
                ansa.get("/api/book/marrowby-quire-8").json().get("document").get("screws");
        String csv = ansa.get("/api/book/marrowby-quire-8/screws").raw().body();
        JsonNode again = ansa.text("/api/book-screws", csv).json();
        assertThat(again.get("mistakes").isEmpty()).isTrue();
        assertThat(again.get("screws")).isEqualTo(own);
        assertThat(ansa.text("/api/book-screws", csv.replace(",", ";").replace(".", ","))
                        .json()
                        .get("screws"))
                .as("as other countries write it")
                .isEqualTo(own);
        String[] lines = csv.lines().toArray(String[]::new);
        lines[1] = lines[1].replace("panel-1", "Panel 1");
        lines[3] = lines[2];
        lines[4] = lines[4].replaceFirst(",1\\.4,", ",14,");
        JsonNode bad = ansa.text("/api/book-screws", String.join("\n", lines)).json();
        assertThat(bad.get("screws").isEmpty()).isTrue();
        assertThat(bad.get("mistakes").findValuesAsString("field")).containsExactly("hole", "hole", "thread_mm");
        assertThat(bad.get("mistakes").findValuesAsString("line")).containsExactly("2", "4", "5");
        assertThat(ansa.text("/api/book-screws", "hole,x_mm\na,1").raw().body())
                .contains("columns", "without clamps_mm, covered_by");
    }

    private JsonNode hole(String id) {
        for (JsonNode hole : strip("").get("holes")) {
            if (hole.get("id").asString().equals(id)) {
                return hole;
            }
        }
        throw new AssertionError(id);
    }

    @Test
    void turnedOverAndRoundItIsSeenFromThere() {
        JsonNode upright = strip("").get("holes").get(0).get("at");
        JsonNode over = strip("?faceDown=true").get("holes").get(0).get("at");
        assertThat(over.get("y").asDouble()).isEqualTo(upright.get("y").asDouble());
        assertThat(over.get("x").asDouble()).isNotEqualTo(upright.get("x").asDouble());
    }
}
