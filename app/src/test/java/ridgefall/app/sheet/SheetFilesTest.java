package ridgefall.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import ridgefall.app.sheet.SheetFiles.Format;
import ridgefall.core.edge.Point;
import ridgefall.core.sheet.Sheet;

/** What is 37.4 mm on the sheet is 37.4 mm on the paper, whatever it is written as. */
class SheetFilesTest {
    private static final Point FROM = new Point(30, 60);
    private static final Point TO = new Point(67.4, 88.05);

    private final Sheet sheet = Sheet.a4(
            "Høle Å → 2",
            List.of(
                    Sheet.line(FROM.xMm(), FROM.yMm(), TO.xMm(), TO.yMm(), 0.2),
                    Sheet.box(100, 100, 12, 8, 0.3),
                    new Sheet.Words(FROM, 4, "<tip> & flag")));

    @Test
    void aPdfIsTrueToATenthOfAMillimetreAndAsksNotToBeFitted() throws IOException {
        byte[] pdf = SheetFiles.write(sheet, Format.PDF);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDPage page = document.getPage(0);
            assertThat(PdfLines.mm(page.getMediaBox().getWidth())).isCloseTo(210, within(0.01));
            List<double[]> lines = PdfLines.of(page);
            assertThat(lines).anySatisfy(line -> {
                assertThat(line[0]).isCloseTo(30, within(0.05));
                assertThat(line[1]).isCloseTo(297 - 60, within(0.05));
                assertThat(line[2]).isCloseTo(67.4, within(0.05));
                assertThat(line[3]).isCloseTo(297 - 88.05, within(0.05));
            });
            assertThat(lines).anySatisfy(bar -> assertThat(bar[2] - bar[0]).isCloseTo(100, within(0.05)));
            assertThat(document.getDocumentCatalog().getViewerPreferences().getPrintScaling())
                    .isEqualTo("None");
            assertThat(new PDFTextStripper().getText(document)).contains("Høle Å", "<tip> & flag", "100 mm long");
        }
    }

    @Test
    void anSvgHasAMillimetreAUnit() throws Exception {
        Document svg = DocumentBuilderFactory.newDefaultInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(SheetFiles.write(sheet, Format.SVG)));
        Element root = svg.getDocumentElement();
        assertThat(root.getAttribute("width")).isEqualTo("210mm");
        assertThat(root.getAttribute("viewBox")).isEqualTo("0 0 210 297");
        NodeList paths = root.getElementsByTagName("path");
        List<String> ways = new ArrayList<>();
        for (int i = 0; i < paths.getLength(); i++) {
            ways.add(((Element) paths.item(i)).getAttribute("d"));
        }
        assertThat(ways)
                .contains("M 30 60 L 67.4 88.05", "M 15 282 L 115 282", "M 100 100 L 112 100 L 112 108 L 100 108 Z");
        assertThat(root.getTextContent()).contains("<tip> & flag");
    }

    @Test
    void aDxfIsInMillimetresWithItsYUp() {
        String dxf = new String(SheetFiles.write(sheet, Format.DXF), StandardCharsets.UTF_8);
        assertThat(dxf)
                .contains("$INSUNITS\n70\n4\n")
                .contains("VERTEX\n8\n0\n10\n30\n20\n237\n0\nVERTEX\n8\n0\n10\n67.4\n20\n208.95\n")
                .contains("POLYLINE\n8\n0\n66\n1\n70\n1\n")
                .endsWith("ENDSEC\n0\nEOF\n");
    }
}
