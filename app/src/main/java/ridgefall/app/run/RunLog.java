package ridgefall.app.run;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The log of one run as CSV: seconds since it began, what was measured where, and the value in that quantity's unit. */
final class RunLog {
    static final String IMPORTED = "imported log";
    /** Two hours of three channels at every other second, and a little more. */
    static final int MOST_READINGS = 12_000;

    private static final List<String> COLUMNS = List.of("seconds", "quantity", "place", "value");
    private static final int LONGEST_S = 86_400;

    private RunLog() {}

    static String of(Instant startedAt, List<Reading> readings) {
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(csv, CSVFormat.DEFAULT)) {
            printer.printRecord(COLUMNS);
            for (Reading r : readings) {
                double seconds = Duration.between(startedAt, r.readAt()).toMillis() / 1000.0;
                printer.printRecord(
                        String.format(Locale.ROOT, "%.1f", seconds),
                        r.quantity(),
                        r.place(),
                        String.format(Locale.ROOT, "%.4f", r.value()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }

    /** @throws NotAllowed naming line, field, value and what is allowed */
    static List<Reading> read(String csv, Instant startedAt) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(csv, format)) {
            if (!parser.getHeaderNames().containsAll(COLUMNS)) {
                throw new NotAllowed("header", String.join(",", parser.getHeaderNames()), String.join(",", COLUMNS));
            }
            List<Reading> readings = new ArrayList<>();
            for (CSVRecord row : parser) {
                readings.add(reading(row, startedAt));
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
            throw new NotAllowed("file", e.getMessage(), "CSV with the columns " + String.join(",", COLUMNS));
        }
    }

    private static Reading reading(CSVRecord row, Instant startedAt) {
        Quantity quantity = Arrays.stream(Quantity.values())
                .filter(q -> q.name().equalsIgnoreCase(row.get("quantity")))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        field(row, "quantity"),
                        row.get("quantity"),
                        "one of "
                                + Arrays.stream(Quantity.values())
                                        .map(Quantity::name)
                                        .collect(Collectors.joining(", "))));
        double seconds = number(row, "seconds", 0, LONGEST_S, "s");
        double value = number(row, "value", quantity.least(), quantity.greatest(), quantity.unit());
        String place = Allowed.text(field(row, "place"), row.get("place"), 40);
        return new Reading(IMPORTED, quantity, place, startedAt.plusMillis(Math.round(seconds * 1000)), value);
    }

    private static String field(CSVRecord row, String column) {
        return column + " in line " + (row.getRecordNumber() + 1);
    }

    private static double number(CSVRecord row, String column, double least, double greatest, String unit) {
        try {
            return Allowed.between(field(row, column), Double.parseDouble(row.get(column)), least, greatest, unit);
        } catch (NumberFormatException e) {
            throw new NotAllowed(field(row, column), row.get(column), least + " to " + greatest + " " + unit);
        }
    }
}
