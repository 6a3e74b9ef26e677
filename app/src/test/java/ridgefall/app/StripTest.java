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
    private final Client ansa;
    private final UUID job;

    StripTest(App app) {
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
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
        ansa.skipTo(job, "strip.screws-over");
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
