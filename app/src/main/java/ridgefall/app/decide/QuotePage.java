package ridgefall.app.decide;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import ridgefall.app.sheet.PdfType;
import ridgefall.core.decide.Decision.FateLine;
import ridgefall.core.decide.Decision.Option;
import ridgefall.core.decide.Quote;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;

/** One A4 page: what is wrong, what is proposed, what becomes of the features, what it costs, and a line to sign. */
final class QuotePage {
    private static final float MARGIN = 56;
    private static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;
    private static final float TEXT = 10.5f;
    private static final float LEADING = 15;

    private final PDPageContentStream page;
    private final PDFont font;
    private float y = PDRectangle.A4.getHeight() - MARGIN;

    private QuotePage(PDPageContentStream page, PDFont font) {
        this.page = page;
        this.font = font;
    }

    static byte[] pdf(long number, Course course, Option option, Quote quote, Instant now) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage sheet = new PDPage(PDRectangle.A4);
            document.addPage(sheet);
            PDFont font = PdfType.in(document);
            try (PDPageContentStream stream = new PDPageContentStream(document, sheet)) {
                new QuotePage(stream, font).draw(number, course, option, quote, now);
            }
            document.getDocumentInformation().setTitle("Quote for job " + number);
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void draw(long number, Course course, Option option, Quote quote, Instant now) throws IOException {
        line("Quote for job " + number, 20);
        line(DateTimeFormatter.ISO_LOCAL_DATE.withZone(ZoneOffset.UTC).format(now), TEXT);
        y -= LEADING / 2;
        line(
                course.profile().name() + ", for "
                        + IntakeState.of(course.state()).opened().owner(),
                12.5f);
        line("Reported: " + IntakeState.of(course.state()).opened().fault(), TEXT);
        heading("Proposed");
        line(option.repair().words() + ", " + quote.grade().words(), 12.5f);
        for (String why : option.because()) {
            line("– " + why, TEXT);
        }
        heading("What becomes of it");
        if (option.fates().isEmpty()) {
            line("Nothing else depends on this repair.", TEXT);
        }
        for (FateLine fate : option.fates()) {
            line(
                    "– " + fate.function() + ": "
                            + fate.fate().fate().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ", "
                            + fate.fate().how() + (fate.worked() ? "" : " (did not work or was not tested at intake)"),
                    TEXT);
        }
        for (String missing : quote.missing()) {
            line("– " + missing, TEXT);
        }
        heading("Price");
        for (Quote.Line line : quote.lines()) {
            amount(line.words(), line.amount().toString(), TEXT);
        }
        rule();
        amount("Together", quote.total().toString(), 12.5f);
        y -= LEADING / 2;
        line(
                "About " + quote.activeMinutes() + " min of work and " + quote.waitingMinutes()
                        + " min of waiting. Local taxes as the law says.",
                TEXT);
        line(
                String.format(
                        Locale.ROOT,
                        "Risk reckoned with: breaks %.0f %%, comes back %.0f %%, from %s.",
                        100 * quote.breaks().mean(),
                        100 * quote.comesBack().mean(),
                        quote.breaks().jobs() == 0
                                ? "common practice"
                                : quote.breaks().jobs() + " jobs of this shop"),
                TEXT);
        line("Water resistance is not tested and not promised.", TEXT);
        y -= 3 * LEADING;
        rule();
        line("Agreed: name, date", TEXT);
    }

    private void heading(String words) throws IOException {
        y -= LEADING / 2;
        line(words, 13);
    }

    private void amount(String words, String amount, float size) throws IOException {
        String right = shown(amount);
        text(right, PDRectangle.A4.getWidth() - MARGIN - width(right, size), size);
        line(words, size);
    }

    private void line(String words, float size) throws IOException {
        for (String part : wrapped(shown(words), size)) {
            text(part, MARGIN, size);
            y -= Math.max(LEADING, size * 1.35f);
        }
    }

    private void text(String words, float x, float size) throws IOException {
        page.beginText();
        page.setFont(font, size);
        page.newLineAtOffset(x, y - size);
        page.showText(words);
        page.endText();
    }

    private void rule() throws IOException {
        page.moveTo(MARGIN, y - 2);
        page.lineTo(PDRectangle.A4.getWidth() - MARGIN, y - 2);
        page.stroke();
        y -= 6;
    }

    private List<String> wrapped(String words, float size) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(longer, size) > WIDTH && !line.isEmpty()) {
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
