package ridgefall.app.sheet;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.StringJoiner;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import ridgefall.core.edge.Point;
import ridgefall.core.sheet.Sheet;

/** The one writer of sheets at true scale. */
public final class SheetFiles {
    private static final double POINTS_PER_MM = 72 / 25.4;

    private SheetFiles() {}

    public enum Format {
        SVG(MediaType.valueOf("image/svg+xml")),
        PDF(MediaType.APPLICATION_PDF),
        DXF(MediaType.valueOf("application/dxf"));

        private final MediaType type;

        Format(MediaType type) {
            this.type = type;
        }

        public MediaType type() {
            return type;
        }

        public String ending() {
            return "." + name().toLowerCase(Locale.ROOT);
        }
    }

    /** To be looked at or saved under a name. */
    public static ResponseEntity<byte[]> answer(Sheet sheet, Format format, String name) {
        return ResponseEntity.ok()
                .contentType(format.type())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name + format.ending())
                                .build()
                                .toString())
                .body(write(sheet, format));
    }

    public static byte[] write(Sheet sheet, Format format) {
        return switch (format) {
            case SVG -> svg(sheet).getBytes(StandardCharsets.UTF_8);
            case PDF -> pdf(sheet);
            case DXF -> dxf(sheet).getBytes(StandardCharsets.UTF_8);
        };
    }

    /** One user unit a millimetre. */
    private static String svg(Sheet sheet) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out, "UTF-8");
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeStartElement("svg");
            xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
            xml.writeAttribute("width", number(sheet.widthMm()) + "mm");
            xml.writeAttribute("height", number(sheet.heightMm()) + "mm");
            xml.writeAttribute("viewBox", "0 0 " + number(sheet.widthMm()) + " " + number(sheet.heightMm()));
            xml.writeStartElement("title");
            xml.writeCharacters(sheet.title());
            xml.writeEndElement();
            for (Sheet.Path path : sheet.paths().toList()) {
                StringJoiner way = new StringJoiner(" L ", "M ", path.closed() ? " Z" : "");
                path.points().forEach(point -> way.add(number(point.xMm()) + " " + number(point.yMm())));
                xml.writeEmptyElement("path");
                xml.writeAttribute("d", way.toString());
                xml.writeAttribute("fill", "none");
                xml.writeAttribute("stroke", "black");
                xml.writeAttribute("stroke-width", number(path.strokeMm()));
            }
            for (Sheet.Words words : sheet.words().toList()) {
                xml.writeStartElement("text");
                xml.writeAttribute("x", number(words.at().xMm()));
                xml.writeAttribute("y", number(words.at().yMm()));
                xml.writeAttribute("font-size", number(words.heightMm()));
                xml.writeAttribute("font-family", "sans-serif");
                xml.writeCharacters(words.text());
                xml.writeEndElement();
            }
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return out.toString(StandardCharsets.UTF_8);
    }

    private static byte[] pdf(Sheet sheet) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage page = new PDPage(new PDRectangle(points(sheet.widthMm()), points(sheet.heightMm())));
            document.addPage(page);
            PDFont font = PdfType.in(document);
            try (PDPageContentStream stream = new PDPageContentStream(document, page)) {
                for (Sheet.Path path : sheet.paths().toList()) {
                    stream.setLineWidth(points(path.strokeMm()));
                    Point first = path.points().get(0);
                    stream.moveTo(points(first.xMm()), up(sheet, first));
                    for (Point point : path.points().subList(1, path.points().size())) {
                        stream.lineTo(points(point.xMm()), up(sheet, point));
                    }
                    if (path.closed()) {
                        stream.closePath();
                    }
                    stream.stroke();
                }
                for (Sheet.Words words : sheet.words().toList()) {
                    stream.beginText();
                    stream.setFont(font, points(words.heightMm()));
                    stream.newLineAtOffset(points(words.at().xMm()), up(sheet, words.at()));
                    stream.showText(PdfType.shown(font, words.text()));
                    stream.endText();
                }
            }
            document.getDocumentInformation().setTitle(sheet.title());
            // A viewer that obeys prints it as large as it is.
            PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
            preferences.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
            document.getDocumentCatalog().setViewerPreferences(preferences);
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static float points(double mm) {
        return (float) (mm * POINTS_PER_MM);
    }

    private static float up(Sheet sheet, Point point) {
        return points(sheet.heightMm() - point.yMm());
    }

    /** The oldest form, which every program reads; millimetres, y upwards. */
    private static String dxf(Sheet sheet) {
        StringBuilder dxf = new StringBuilder();
        pairs(dxf, 0, "SECTION", 2, "HEADER", 9, "$ACADVER", 1, "AC1009", 9, "$INSUNITS", 70, 4, 0, "ENDSEC");
        pairs(dxf, 0, "SECTION", 2, "ENTITIES");
        for (Sheet.Path path : sheet.paths().toList()) {
            pairs(dxf, 0, "POLYLINE", 8, "0", 66, 1, 70, path.closed() ? 1 : 0);
            for (Point point : path.points()) {
                pairs(dxf, 0, "VERTEX", 8, "0", 10, number(point.xMm()), 20, number(sheet.heightMm() - point.yMm()));
            }
            pairs(dxf, 0, "SEQEND", 8, "0");
        }
        for (Sheet.Words words : sheet.words().toList()) {
            pairs(
                    dxf,
                    0,
                    "TEXT",
                    8,
                    "0",
                    10,
                    number(words.at().xMm()),
                    20,
                    number(sheet.heightMm() - words.at().yMm()),
                    40,
                    number(words.heightMm()),
                    1,
                    words.text());
        }
        pairs(dxf, 0, "ENDSEC", 0, "EOF");
        return dxf.toString();
    }

    /** Group codes and values, a line each. */
    private static void pairs(StringBuilder dxf, Object... codesAndValues) {
        for (Object one : List.of(codesAndValues)) {
            dxf.append(one).append('\n');
        }
    }

    private static String number(double mm) {
        return String.format(Locale.ROOT, "%.3f", mm).replaceAll("\\.?0+$", "");
    }
}
