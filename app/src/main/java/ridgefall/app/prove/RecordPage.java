package ridgefall.app.prove;

import static ridgefall.app.sheet.FlowingPages.TEXT;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import ridgefall.app.attach.LineDrawing;
import ridgefall.app.prove.Evidence.Piece;
import ridgefall.app.sheet.FlowingPages;
import ridgefall.app.sheet.FlowingPages.Picture;
import ridgefall.app.sheet.Said;
import ridgefall.core.job.Phase;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.JobRecord.FunctionLine;
import ridgefall.core.prove.JobRecord.Line;
import ridgefall.core.prove.JobRecord.Signature;
import ridgefall.core.prove.JobRecord.Tried;

/** The record on paper, for the owner or for the shop, as the shop writes days and measures. */
final class RecordPage {
    private static final float LARGER = 12.5f;
    private static final float SMALL = 9;
    private static final float[] FUNCTIONS = {0.22f, 0.26f, 0.26f, 0.26f};
    private static final float[] LINES = {0.24f, 0.58f, 0.18f};
    private static final float PICTURE = 110;
    private static final float SIGNATURE = 70;

    /** For whom it is printed: the owner's leaves out what is the shop's own business. */
    enum Copy {
        OWNER,
        SHOP
    }

    private final JobRecord record;
    private final List<Piece> evidence;
    private final Said said;
    private final boolean shops;

    private RecordPage(JobRecord record, List<Piece> evidence, Said said, Copy copy) {
        this.record = record;
        this.evidence = evidence;
        this.said = said;
        this.shops = copy == Copy.SHOP;
    }

    /**
     * @param thumb a photo's small picture
     * @param drawing the lines of a signature
     */
    static byte[] pdf(
            long number,
            JobRecord record,
            List<Piece> evidence,
            Said said,
            Copy copy,
            Function<Piece, Optional<byte[]>> thumb,
            Function<Signature, Optional<LineDrawing>> drawing) {
        String title = "Record of job " + number + (copy == Copy.SHOP ? ", the shop's copy" : "");
        try (FlowingPages page = new FlowingPages(title)) {
            new RecordPage(record, evidence, said, copy).write(page, number, thumb, drawing);
            return page.pdf();
        }
    }

    private void write(
            FlowingPages page,
            long number,
            Function<Piece, Optional<byte[]>> thumb,
            Function<Signature, Optional<LineDrawing>> drawing) {
        page.line(record.device(), 20)
                .line(record.owner() + ": " + record.fault(), LARGER)
                .gap(0.5f)
                .line("Job " + number + ", taken in " + said.moment(record.openedAt()) + ", " + handedOver(), TEXT)
                .line("Worked on by " + String.join("; ", record.people()), TEXT);
        functions(page);
        page.heading("Kept").line(together(record.kept(), "–"), TEXT);
        page.heading("Lost").line(together(record.lost(), "nothing"), TEXT);
        wentWrong(page);
        page.heading("What holds the front")
                .line(said.say(record.adhesive()), TEXT)
                .line(said.say(record.sealed()), TEXT);
        evidence(page, thumb);
        if (record.afterAWeek() != null) {
            boolean fine = record.afterAWeek().fact().fine();
            page.heading("After a week")
                    .line(
                            (fine ? "fine" : record.afterAWeek().fact().said()) + ", "
                                    + said.day(record.afterAWeek().at()),
                            TEXT);
        }
        signatures(page, drawing);
        lines(page, "Found", record.found());
        lines(page, "Measured", record.measured());
        lines(page, "Signed off by a lead", record.signedOff());
        lines(page, "Done", record.done());
    }

    private String together(List<String> items, String none) {
        return items.isEmpty() ? none : said.say(String.join("; ", items));
    }

    private void functions(FlowingPages page) {
        page.heading("What works");
        page.row(
                        SMALL,
                        FUNCTIONS,
                        "",
                        column("before", FunctionLine::before),
                        column("front up", FunctionLine::open),
                        column("closed", FunctionLine::after))
                .rule();
        record.functions()
                .forEach(line -> page.row(
                        TEXT,
                        FUNCTIONS,
                        line.function(),
                        said.say(line.before().words()),
                        said.say(line.open().words()),
                        said.say(line.after().words())));
    }

    /** With the days on which it was tried: mostly one. */
    private String column(String title, Function<FunctionLine, Tried> of) {
        return Stream.concat(
                        Stream.of(title),
                        record.functions().stream()
                                .map(of)
                                .filter(tried -> tried.at() != null)
                                .map(tried -> said.day(tried.at()))
                                .distinct())
                .collect(Collectors.joining(", "));
    }

    private String handedOver() {
        return record.handedOverAt() == null
                ? "not handed over yet"
                : "handed over " + said.moment(record.handedOverAt());
    }

    private void lines(FlowingPages page, String title, List<Line> lines) {
        if (!lines.isEmpty()) {
            page.heading(title);
            lines.forEach(line -> row(page, line.at(), line.words(), line.who()));
        }
    }

    private void row(FlowingPages page, Instant at, String words, String who) {
        page.row(TEXT, LINES, said.moment(at), said.say(words), shops ? who : "");
    }

    private void wentWrong(FlowingPages page) {
        List<JobRecord.Incident> told = record.wentWrong().stream()
                .filter(one -> shops || one.forOwner())
                .toList();
        if (!told.isEmpty()) {
            page.heading("What went wrong at the bench");
            told.forEach(one -> row(
                    page,
                    one.at(),
                    one.words() + ": " + one.outcome() + (one.told() == null ? "" : "; " + one.told()),
                    one.who()));
        }
    }

    private void evidence(FlowingPages page, Function<Piece, Optional<byte[]>> thumb) {
        if (evidence.isEmpty()) {
            return;
        }
        page.heading("Evidence");
        page.pictures(
                evidence.stream()
                        .filter(Piece::photo)
                        .flatMap(piece -> thumb.apply(piece).map(jpeg -> new Picture(jpeg, told(piece))).stream())
                        .toList(),
                PICTURE);
        evidence.stream()
                .filter(piece -> shops || !piece.photo())
                .forEach(piece -> row(
                        page,
                        piece.at(),
                        words(piece.phase()) + ": " + piece.words()
                                + (shops && piece.sha256() != null
                                        ? ", SHA-256 " + piece.sha256().substring(0, 16)
                                        : ""),
                        piece.who()));
    }

    private String told(Piece piece) {
        return words(piece.phase()) + ": " + piece.words() + ", " + said.moment(piece.at());
    }

    private static String words(Phase phase) {
        return switch (phase) {
            case BEFORE -> "before";
            case OPEN -> "front up";
            case AFTER -> "closed";
        };
    }

    private void signatures(FlowingPages page, Function<Signature, Optional<LineDrawing>> drawing) {
        page.heading("Signed");
        if (record.signatures().isEmpty()) {
            page.gap(3).rule().line("Name, date", TEXT);
        }
        for (Signature signature : record.signatures()) {
            drawing.apply(signature)
                    .ifPresent(lines -> page.lines(SIGNATURE, (on, left, top) -> draw(lines, on, left, top)));
            page.line(signature.name() + ", " + signature.signer().words() + ", " + said.moment(signature.at()), TEXT);
        }
    }

    private static void draw(LineDrawing lines, PDPageContentStream on, float left, float top) throws IOException {
        float scale = SIGNATURE / LineDrawing.HEIGHT;
        for (List<Integer> stroke : lines.strokes()) {
            on.moveTo(left + scale * stroke.get(0), top - scale * stroke.get(1));
            for (int i = 2; i < stroke.size(); i += 2) {
                on.lineTo(left + scale * stroke.get(i), top - scale * stroke.get(i + 1));
            }
            on.stroke();
        }
    }
}
