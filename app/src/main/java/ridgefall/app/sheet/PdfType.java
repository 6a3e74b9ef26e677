package ridgefall.app.sheet;

import java.io.IOException;
import java.io.InputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The type that pages are set in; it goes with the page. */
public final class PdfType {
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

    private PdfType() {}

    public static PDFont in(PDDocument document) throws IOException {
        try (InputStream type = PdfType.class.getResourceAsStream(FONT)) {
            return PDType0Font.load(document, type, true);
        }
    }

    /** A letter the type does not have would spoil the whole page; numbers in braces are plain millimetres here. */
    public static String shown(PDFont font, String words) {
        String plain = words.replaceAll("\\{mm:([0-9.]+)}", "$1 mm").replaceAll("\\s+", " ");
        StringBuilder shown = new StringBuilder();
        plain.codePoints().forEach(letter -> {
            try {
                font.encode(Character.toString(letter));
                shown.appendCodePoint(letter);
            } catch (IOException | IllegalArgumentException e) {
                shown.append('?');
            }
        });
        return shown.toString();
    }
}
