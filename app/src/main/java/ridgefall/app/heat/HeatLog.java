package ridgefall.app.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.run.LogFile;
import ridgefall.core.units.NotAllowed;

/** The log of one soak as CSV: seconds since it began, what was measured, °C; a header line, then a reading a line. */
final class HeatLog {
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
        return LogFile.read(csv, COLUMNS, row -> reading(row, startedAt));
    }

    private static Reading reading(CSVRecord row, Instant startedAt) {
        double seconds = LogFile.number(row, "seconds", 0, 7200, "s");
        double celsius =
                LogFile.number(row, "celsius", Quantity.TEMPERATURE.least(), Quantity.TEMPERATURE.greatest(), "°C");
        String surface = row.get("surface").toUpperCase(Locale.ROOT);
        if (!SURFACES.contains(surface)) {
            throw new NotAllowed(LogFile.field(row, "surface"), surface, "one of " + SURFACES);
        }
        return new Reading(
                LogFile.IMPORTED,
                Quantity.TEMPERATURE,
                surface,
                startedAt.plusMillis(Math.round(seconds * 1000)),
                celsius);
    }
}
