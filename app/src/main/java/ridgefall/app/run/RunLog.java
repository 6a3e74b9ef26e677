package ridgefall.app.run;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The log of one run as CSV: seconds since it began, what was measured where, and the value in that quantity's unit. */
final class RunLog {
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
        return LogFile.read(csv, COLUMNS, row -> reading(row, startedAt));
    }

    private static Reading reading(CSVRecord row, Instant startedAt) {
        Quantity quantity = Arrays.stream(Quantity.values())
                .filter(q -> q.name().equalsIgnoreCase(row.get("quantity")))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        LogFile.field(row, "quantity"),
                        row.get("quantity"),
                        "one of "
                                + Arrays.stream(Quantity.values())
                                        .map(Quantity::name)
                                        .collect(Collectors.joining(", "))));
        double seconds = LogFile.number(row, "seconds", 0, LONGEST_S, "s");
        double value = LogFile.number(row, "value", quantity.least(), quantity.greatest(), quantity.unit());
        String place = Allowed.text(LogFile.field(row, "place"), row.get("place"), 40);
        return new Reading(LogFile.IMPORTED, quantity, place, startedAt.plusMillis(Math.round(seconds * 1000)), value);
    }
}
