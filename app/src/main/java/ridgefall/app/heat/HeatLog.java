package ridgefall.app.heat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The log of one soak as CSV: seconds since it began, what was measured, °C; a header line, then a reading a line. */
final class HeatLog {
    static final String IMPORTED = "imported log";

    private static final List<String> COLUMNS = List.of("seconds", "surface", "celsius");
    private static final Set<String> SURFACES = new TreeSet<>(Set.of("FRAME", "GLASS", "SOURCE"));

    private HeatLog() {}

    static String of(Instant startedAt, List<Reading> readings) {
        StringBuilder csv = new StringBuilder(String.join(",", COLUMNS) + "\n");
        for (Reading reading : readings) {
            if (reading.quantity() != Quantity.TEMPERATURE) {
                continue;
            }
            double seconds = Duration.between(startedAt, reading.readAt()).toMillis() / 1000.0;
            csv.append(String.format(Locale.ROOT, "%.1f,%s,%.2f%n", seconds, reading.place(), reading.value()));
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
                double seconds = number(row, "seconds", 0, 7200, "s");
                double celsius = number(row, "celsius", -40, 700, "°C");
                String surface = row.get("surface").toUpperCase(Locale.ROOT);
                if (!SURFACES.contains(surface)) {
                    throw new NotAllowed(field(row, "surface"), surface, "one of " + SURFACES);
                }
                readings.add(new Reading(
                        IMPORTED,
                        Quantity.TEMPERATURE,
                        surface,
                        startedAt.plusMillis(Math.round(seconds * 1000)),
                        celsius));
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
