package ridgefall.app.run;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Reading a log of readings from CSV, whatever its columns: what is wrong is named by line and column. */
public final class LogFile {
    /** What a reading from a file has for its instrument. */
    public static final String IMPORTED = "imported log";

    /** Two hours of three channels at every other second, and a little more. */
    static final int MOST_READINGS = 12_000;

    private LogFile() {}

    /**
     * In the order of their times.
     *
     * @throws NotAllowed naming line, field, value and what is allowed
     */
    public static List<Reading> read(String csv, List<String> columns, Function<CSVRecord, Reading> reading) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(csv, format)) {
            if (!parser.getHeaderNames().containsAll(columns)) {
                throw new NotAllowed("header", String.join(",", parser.getHeaderNames()), String.join(",", columns));
            }
            List<Reading> readings = new ArrayList<>();
            for (CSVRecord row : parser) {
                readings.add(reading.apply(row));
                Allowed.between("readings", readings.size(), 1, MOST_READINGS, "in one log");
            }
            readings.sort(Comparator.comparing(Reading::readAt));
            return readings;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (IllegalArgumentException e) {
            if (e instanceof NotAllowed named) {
                throw named;
            }
            throw new NotAllowed("file", e.getMessage(), "CSV with the columns " + String.join(",", columns));
        }
    }

    public static String field(CSVRecord row, String column) {
        return column + " in line " + (row.getRecordNumber() + 1);
    }

    public static double number(CSVRecord row, String column, double least, double greatest, String unit) {
        try {
            return Allowed.between(field(row, column), Double.parseDouble(row.get(column)), least, greatest, unit);
        } catch (NumberFormatException e) {
            throw new NotAllowed(field(row, column), row.get(column), least + " to " + greatest + " " + unit);
        }
    }
}
