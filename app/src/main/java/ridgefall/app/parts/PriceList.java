package ridgefall.app.parts;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import ridgefall.app.csv.CsvFile;
import ridgefall.app.csv.CsvFile.Mistake;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;

/** A supplier's price list as CSV (comma or semicolon, UTF-8): one header line, one part a line. */
record PriceList(List<Line> lines, List<Mistake> mistakes) {
    static final List<String> COLUMNS = List.of(
            "part_number",
            "supplier",
            "device",
            "variant",
            "kind",
            "grade",
            "brings",
            "price",
            "currency",
            "pieces",
            "lot");

    private static final int MOST_LINES = 20_000;

    record Line(
            long number,
            String partNumber,
            String supplier,
            String deviceId,
            String variantId,
            PartKind kind,
            Grade grade,
            List<Brings> brings,
            Money price,
            int pieces,
            String lot) {}

    /**
     * @param known whether the book has a device of this id
     * @param currency that the shop reckons in
     * @throws NotAllowed when it is no CSV, or no UTF-8, or too long
     */
    static PriceList read(String text, Predicate<String> known, String currency) {
        Set<String> seen = new HashSet<>();
        CsvFile<Line> file = CsvFile.read(text, COLUMNS, MOST_LINES, (number, record) -> {
            Line line = line(number, record, known, currency);
            if (!seen.add(line.supplier() + "\n" + line.partNumber() + "\n" + line.lot())) {
                throw new NotAllowed(
                        "part_number",
                        line.partNumber(),
                        "a number that stands once in the file, or once for each lot");
            }
            return line;
        });
        return new PriceList(file.lines(), file.mistakes());
    }

    private static Line line(long number, CSVRecord record, Predicate<String> known, String currency) {
        String device = Allowed.text("device", record.get("device"), 60);
        if (!known.test(device)) {
            throw new NotAllowed("device", device, "the id of a released device of the book");
        }
        String variant = record.get("variant").isBlank() ? null : Allowed.text("variant", record.get("variant"), 40);
        return new Line(
                number,
                Allowed.text("part_number", record.get("part_number"), 60),
                Allowed.text("supplier", record.get("supplier"), 80),
                device,
                variant,
                one("kind", record.get("kind"), PartKind.class),
                one("grade", record.get("grade"), Grade.class),
                Arrays.stream(record.get("brings").split("[\\s|+]+"))
                        .filter(word -> !word.isBlank())
                        .map(word -> one("brings", word, Brings.class))
                        .distinct()
                        .toList(),
                price(record, currency),
                whole(record.get("pieces")),
                Allowed.optionalText("lot", record.get("lot"), 40));
    }

    private static Money price(CSVRecord record, String currency) {
        Money price = Money.of("price", decimal(record.get("price")), record.get("currency"));
        if (!price.currency().equals(currency)) {
            throw new NotAllowed("currency", price.currency(), currency + ", which this shop reckons in");
        }
        return price;
    }

    private static <E extends Enum<E>> E one(String field, String word, Class<E> type) {
        String name = word.strip().toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_');
        return Arrays.stream(type.getEnumConstants())
                .filter(e -> e.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        field,
                        word,
                        "one of "
                                + Arrays.stream(type.getEnumConstants())
                                        .map(e -> e.name().toLowerCase(Locale.ROOT))
                                        .collect(Collectors.joining(", "))));
    }

    private static BigDecimal decimal(String text) {
        if (!text.matches("[0-9]{1,7}(\\.[0-9]{1,2})?")) {
            throw new NotAllowed("price", text, "0 to 100000, a point and at most two decimals");
        }
        return new BigDecimal(text);
    }

    private static int whole(String text) {
        if (!text.matches("[0-9]{1,5}")) {
            throw new NotAllowed("pieces", text, "0 to 99999 pieces");
        }
        return Integer.parseInt(text);
    }
}
