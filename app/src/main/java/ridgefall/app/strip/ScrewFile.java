package ridgefall.app.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.springframework.http.ResponseEntity;
import ridgefall.app.csv.CsvFile;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Holes and their screws as CSV: a hole a line, lengths in mm from the top left of the face, yes or no, things by their ids. */
public final class ScrewFile {
    private static final List<String> COLUMNS = List.of(
            "hole",
            "x_mm",
            "y_mm",
            "driver",
            "head",
            "thread_mm",
            "under_head_mm",
            "clamps_mm",
            "threaded_mm",
            "layer",
            "holds",
            "hidden",
            "later_layer",
            "covered_by");

    private static final List<String> WHERE = List.of("where", "told");
    private static final int MOST = 200;

    private ScrewFile() {}

    public static ResponseEntity<String> write(String deviceId, List<Screw> screws) {
        return CsvFile.answer(deviceId + "-screws.csv", COLUMNS, screws, ScrewFile::values);
    }

    /** With where each is; empty for one that nothing was told of. */
    static ResponseEntity<String> write(String name, List<Screw> screws, Map<String, ScrewAt> holes) {
        return CsvFile.answer(
                name, Stream.concat(COLUMNS.stream(), WHERE.stream()).toList(), screws, screw -> {
                    ScrewAt at = holes.get(screw.id());
                    List<Object> values = new ArrayList<>(values(screw));
                    values.add(at == null ? null : at.where().name().toLowerCase(Locale.ROOT));
                    values.add(at == null ? null : at.words());
                    return values;
                });
    }

    private static List<Object> values(Screw screw) {
        return Arrays.asList(
                screw.id(),
                screw.xMm(),
                screw.yMm(),
                screw.driver(),
                screw.head(),
                screw.threadMm(),
                screw.underHeadMm(),
                screw.stackMm(),
                screw.threadedMm(),
                screw.layer(),
                screw.holds(),
                screw.hidden() ? "yes" : "no",
                screw.laterLayer() ? "yes" : "no",
                String.join(" ", screw.coveredBy()));
    }

    /** Each line by itself; whether they fit the device is the book's check to say. */
    public static CsvFile<Screw> read(String text) {
        Set<String> holes = new HashSet<>();
        return CsvFile.read(text, COLUMNS, MOST, (line, record) -> {
            Screw screw = screw(record);
            if (!holes.add(screw.id())) {
                throw new NotAllowed("hole", screw.id(), "a name that stands once in the file");
            }
            return screw;
        });
    }

    private static Screw screw(CSVRecord record) {
        return new Screw(
                id("hole", record.get("hole")),
                number(record, "x_mm", 0, 1000),
                number(record, "y_mm", 0, 1000),
                Allowed.text("driver", record.get("driver"), 40),
                number(record, "thread_mm", 0.8, 4),
                number(record, "under_head_mm", 0.8, 20),
                Allowed.text("head", record.get("head"), 40),
                mayBe(record, "clamps_mm"),
                mayBe(record, "threaded_mm"),
                (int) number(record, "layer", 1, 20),
                yes(record, "hidden"),
                yes(record, "later_layer"),
                Arrays.stream(record.get("covered_by").split("[\\s|+]+"))
                        .filter(word -> !word.isBlank())
                        .map(word -> id("covered_by", word))
                        .distinct()
                        .toList(),
                record.get("holds").isBlank() ? null : id("holds", record.get("holds")));
    }

    private static String id(String column, String word) {
        if (!word.matches("[a-z0-9][a-z0-9-]{0,39}")) {
            throw new NotAllowed(column, word, "a name of small letters, digits and dashes, at most 40");
        }
        return word;
    }

    private static double number(CSVRecord record, String column, double least, double most) {
        String word = record.get(column).replace(',', '.');
        if (!word.matches("-?[0-9]{1,4}(\\.[0-9]{1,4})?")) {
            throw new NotAllowed(column, record.get(column), "a number from " + least + " to " + most);
        }
        double number = Double.parseDouble(word);
        Allowed.between(column, number, least, most, column.endsWith("_mm") ? "mm" : "");
        if (column.equals("layer") && number != Math.rint(number)) {
            throw new NotAllowed(column, word, "a whole number");
        }
        return number;
    }

    private static Double mayBe(CSVRecord record, String column) {
        return record.get(column).isBlank() ? null : (Double) number(record, column, 0, 20);
    }

    private static boolean yes(CSVRecord record, String column) {
        return switch (record.get(column)) {
            case "yes" -> true;
            case "no", "" -> false;
            default -> throw new NotAllowed(column, record.get(column), "yes or no");
        };
    }
}
