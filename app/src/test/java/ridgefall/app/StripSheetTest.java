package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.app.sheet.PdfLines;
import ridgefall.app.sheet.SheetFiles;
import ridgefall.app.sheet.SheetFiles.Format;
import ridgefall.core.bond.BenchTape;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.bond.StripSheet;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.sheet.Sheet;

/** What is cut by the sheet fits the frame: every piece as long and as wide in the files as it was reckoned. */
@ExtendWith(RunningApp.class)
class StripSheetTest {
    /** Read back there by a reader that is not ours. */
    private static final Path FIXTURE = Path.of("../web/src/bond/fixtures/strips.dxf");

    private final StripPlan butted;
    private final Sheet sheet;

    StripSheetTest(App app) {
        DeviceProfile tablet = app.bean(DeviceBook.class).profile("marrowby-quire-8", 1, null);
        butted = BenchTape.plans(tablet, List.of(2.0, 1.5, 1.0), true).stream()
                .filter(plan -> plan.school() == TapeSchool.BUTT)
                .findFirst()
                .orElseThrow();
        sheet = StripSheet.of(tablet, butted);
    }

    @Test
    void thePdfHasEveryPieceToAFiveHundredth() throws IOException {
        try (PDDocument document = Loader.loadPDF(SheetFiles.write(sheet, Format.PDF))) {
            List<double[]> lines = PdfLines.of(document.getPage(0));
            for (Strip strip : butted.strips()) {
                assertThat(lines)
                        .as(strip.id())
                        .anySatisfy(line -> assertThat(Math.hypot(line[2] - line[0], line[3] - line[1]))
                                .isCloseTo(strip.lengthMm(), within(0.05)))
                        .anySatisfy(line -> assertThat(Math.hypot(line[2] - line[0], line[3] - line[1]))
                                .isCloseTo(strip.widthMm(), within(0.05)));
            }
        }
    }

    @Test
    void theDxfIsTheOneThatAForeignReaderReadsBack() throws IOException {
        String dxf = new String(SheetFiles.write(sheet, Format.DXF), StandardCharsets.UTF_8);
        if (System.getenv("RIDGEFALL_DESCRIBE") != null) {
            Files.writeString(FIXTURE, dxf);
        }
        assertThat(dxf).isEqualTo(Files.readString(FIXTURE));
    }

    /** Where the ledge is too narrow for the wide tape a narrower one goes on. */
    @Test
    void aNarrowPlaceGetsAPatch() {
        assertThat(butted.strips())
                .filteredOn(strip -> strip.id().contains("patch"))
                .singleElement()
                .satisfies(strip -> assertThat(strip.widthMm()).isEqualTo(1.5));
    }
}
