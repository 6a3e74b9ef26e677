package ridgefall.app.sheet;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A4 pages of running words, tables and pictures as PDF, one after the other as they fill. */
public final class FlowingPages implements AutoCloseable {
    /** Of running words, points. */
    public static final float TEXT = 10.5f;

    private static final float MARGIN = 56;
    private static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;
    private static final float LEADING = 15;
    private static final float GUTTER = 10;
    private static final float FOOT = 9;

    private final PDDocument document = new PDDocument();
    private final PDFont font;
    private final String title;
    private PDPageContentStream page;
    private float y;

    /** @param title of the document; at the foot of every page with its number */
    public FlowingPages(String title) {
        this.title = title;
        try {
            this.font = PdfType.in(document);
            next();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What a drawing puts on a page: the origin at its upper left, y downwards, points. */
    public interface Lines {
        void draw(PDPageContentStream on, float left, float top) throws IOException;
    }

    private void next() throws IOException {
        if (page != null) {
            page.close();
        }
        PDPage sheet = new PDPage(PDRectangle.A4);
        document.addPage(sheet);
        page = new PDPageContentStream(document, sheet);
        y = PDRectangle.A4.getHeight() - MARGIN;
        text(shown(title), MARGIN, MARGIN / 2, FOOT);
        String number = Integer.toString(document.getNumberOfPages());
        text(number, MARGIN + WIDTH - width(number, FOOT), MARGIN / 2, FOOT);
    }

    /** A new page where so much does not go on this one. */
    private void needs(float height) throws IOException {
        if (y - height < MARGIN) {
            next();
        }
    }

    public FlowingPages line(String words, float size) {
        return drawing(() -> {
            for (String part : wrapped(shown(words), size, WIDTH)) {
                needs(leading(size));
                text(part, MARGIN, y - size, size);
                y -= leading(size);
            }
        });
    }

    public FlowingPages heading(String words) {
        // Not alone at the foot of a page.
        return drawing(() -> needs(4 * LEADING)).gap(0.5f).line(words, 13);
    }

    public FlowingPages gap(float lines) {
        y -= lines * LEADING;
        return this;
    }

    /** Words on the left, an amount on the right. */
    public FlowingPages amount(String words, String amount, float size) {
        return drawing(() -> {
                    needs(leading(size));
                    String right = shown(amount);
                    text(right, MARGIN + WIDTH - width(right, size), y - size, size);
                })
                .line(words, size);
    }

    public FlowingPages rule() {
        return drawing(() -> {
            page.moveTo(MARGIN, y - 2);
            page.lineTo(MARGIN + WIDTH, y - 2);
            page.stroke();
            y -= 6;
        });
    }

    /** @param shares of the width for its cells */
    public FlowingPages row(float size, float[] shares, String... cells) {
        return drawing(() -> {
            List<List<String>> columns = new ArrayList<>();
            int lines = 1;
            for (int i = 0; i < cells.length; i++) {
                columns.add(wrapped(shown(cells[i]), size, shares[i] * WIDTH - GUTTER));
                lines = Math.max(lines, columns.get(i).size());
            }
            needs(lines * leading(size));
            float left = MARGIN;
            for (int i = 0; i < cells.length; i++) {
                for (int k = 0; k < columns.get(i).size(); k++) {
                    text(columns.get(i).get(k), left, y - k * leading(size) - size, size);
                }
                left += shares[i] * WIDTH;
            }
            y -= lines * leading(size);
        });
    }

    /**
     * Pictures side by side, as many as fit, words under each.
     *
     * @param jpegs each with its words
     */
    public FlowingPages pictures(List<Picture> jpegs, float height) {
        return drawing(() -> {
            float left = MARGIN;
            float deep = height + 2 * leading(FOOT);
            boolean first = true;
            for (Picture jpeg : jpegs) {
                PDImageXObject image = PDImageXObject.createFromByteArray(document, jpeg.jpeg(), jpeg.words());
                float wide = Math.min(height * image.getWidth() / image.getHeight(), WIDTH);
                if (first || left + wide > MARGIN + WIDTH) {
                    y -= first ? 0 : deep;
                    left = MARGIN;
                    needs(deep);
                    first = false;
                }
                page.drawImage(image, left, y - height, wide, height);
                List<String> under = wrapped(shown(jpeg.words()), FOOT, Math.max(wide, 90));
                for (int k = 0; k < Math.min(2, under.size()); k++) {
                    text(under.get(k), left, y - height - FOOT - 2 - k * leading(FOOT), FOOT);
                }
                left += Math.max(wide, 90) + GUTTER;
            }
            y -= jpegs.isEmpty() ? 0 : deep;
        });
    }

    public record Picture(byte[] jpeg, String words) {}

    public FlowingPages lines(float height, Lines lines) {
        return drawing(() -> {
            needs(height);
            lines.draw(page, MARGIN, y);
            y -= height;
        });
    }

    public byte[] pdf() {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            page.close();
            document.getDocumentInformation().setTitle(title);
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        try {
            document.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private interface Draws {
        void now() throws IOException;
    }

    private FlowingPages drawing(Draws draws) {
        try {
            draws.now();
            return this;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static float leading(float size) {
        return size > TEXT ? size * 1.35f : size * LEADING / TEXT;
    }

    private void text(String words, float x, float at, float size) throws IOException {
        page.beginText();
        page.setFont(font, size);
        page.newLineAtOffset(x, at);
        page.showText(words);
        page.endText();
    }

    private List<String> wrapped(String words, float size, float wide) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(longer, size) > wide && !line.isEmpty()) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    private float width(String words, float size) throws IOException {
        return font.getStringWidth(words) / 1000 * size;
    }

    private String shown(String words) {
        return PdfType.shown(font, words);
    }
}
