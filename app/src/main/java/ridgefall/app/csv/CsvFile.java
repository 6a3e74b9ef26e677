package ridgefall.app.csv;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import ridgefall.core.units.NotAllowed;

/** Comma or semicolon, UTF-8: one header line, then one thing a line. */
public record CsvFile<T>(List<T> lines, List<Mistake> mistakes) {
    private static final int MOST_MISTAKES = 100;
    private static final char REPLACEMENT = '\uFFFD';

    /** @param line of the file, 1 for the header */
    public record Mistake(long line, String field, String value, String allowed) {}

    /** Makes a thing of a record, or says by {@link NotAllowed} why not. */
    @FunctionalInterface
    public interface Reader<T> {
        T read(long line, CSVRecord record);
    }

    /**
     * @param columns all of them and no other, in any order
     * @throws NotAllowed when it is no CSV, or no UTF-8, or too long, or without a line
     */
    public static <T> CsvFile<T> read(String text, List<String> columns, int most, Reader<T> reader) {
        if (text.indexOf(REPLACEMENT) >= 0 || text.indexOf('\0') >= 0) {
            throw new NotAllowed("file", "not UTF-8 text", "a CSV file saved as UTF-8");
        }
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String header = plain.lines().findFirst().orElse("");
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(header.contains(";") ? ';' : ',')
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        List<T> lines = new ArrayList<>();
        List<Mistake> mistakes = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(plain, format)) {
            these(columns, parser.getHeaderNames());
            for (CSVRecord record : parser) {
                if (record.getRecordNumber() > most) {
                    throw new NotAllowed("file", "more than " + most + " lines", "at most " + most);
                }
                long number = record.getRecordNumber() + 1;
                try {
                    if (!record.isConsistent()) {
                        throw new NotAllowed("line", record.size() + " values", columns.size() + " values");
                    }
                    lines.add(reader.read(number, record));
                } catch (NotAllowed e) {
                    if (mistakes.size() < MOST_MISTAKES) {
                        mistakes.add(new Mistake(number, e.field(), e.value(), e.allowed()));
                    }
                }
            }
        } catch (NotAllowed e) {
            throw e;
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            // The reader of commas says "illegal argument" where a column has no name, or two the same.
            throw new NotAllowed("file", "not a CSV file", "one header line, then one record a line");
        }
        if (lines.isEmpty() && mistakes.isEmpty()) {
            throw new NotAllowed("file", "no lines", "at least one");
        }
        return new CsvFile<>(List.copyOf(lines), List.copyOf(mistakes));
    }

    private static void these(List<String> columns, List<String> given) {
        Set<String> missing = new TreeSet<>(columns);
        given.forEach(missing::remove);
        Set<String> unknown = new TreeSet<>(given);
        columns.forEach(unknown::remove);
        if (!missing.isEmpty() || !unknown.isEmpty()) {
            throw new NotAllowed(
                    "columns",
                    (missing.isEmpty() ? "" : "without " + String.join(", ", missing))
                            + (missing.isEmpty() || unknown.isEmpty() ? "" : "; ")
                            + (unknown.isEmpty() ? "" : "with " + String.join(", ", unknown)),
                    String.join(", ", columns));
        }
    }

    /** @param values of one thing, in the order of the columns; null for none */
    public static <T> ResponseEntity<String> answer(
            String name, List<String> columns, List<T> things, Function<T, List<?>> values) {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.DEFAULT)) {
            printer.printRecord(columns);
            for (T thing : things) {
                printer.printRecord(values.apply(thing));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.toString());
    }
}
