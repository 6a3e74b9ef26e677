package ridgefall.app.parts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.book.Book;
import ridgefall.app.csv.CsvFile.Mistake;
import ridgefall.app.http.Problem;
import ridgefall.app.parts.PriceList.Line;
import ridgefall.app.parts.Stock.Row;
import ridgefall.app.shop.Shop;

/** Price lists against the stock there is: first what would change, then all of it or nothing. */
@Service
public class PriceLists {
    private static final int MOST_SHOWN = 200;

    private final Stock stock;
    private final Book book;
    private final Shop shop;

    PriceLists(Stock stock, Book book, Shop shop) {
        this.stock = stock;
        this.book = book;
        this.shop = shop;
    }

    enum Change {
        NEW,
        CHANGED,
        SAME
    }

    /** @param before what stands there now, in words; null for a new part */
    record LineChange(
            long line,
            String partNumber,
            String supplier,
            String words,
            Change change,
            @Schema(nullable = true) String before) {}

    /** @param lines the first of those that change something */
    record Changes(List<LineChange> lines, List<Mistake> mistakes, int added, int changed, int same) {}

    Changes preview(String csv) {
        return changes(PriceList.read(csv, this::known, shop.settings().currency()));
    }

    /** @throws Problem that names every mistake */
    @Transactional
    public Changes take(String csv) {
        PriceList list = PriceList.read(csv, this::known, shop.settings().currency());
        if (!list.mistakes().isEmpty()) {
            Mistake first = list.mistakes().get(0);
            throw Problem.of(
                    HttpStatus.BAD_REQUEST,
                    "Can't take this price list",
                    "line " + first.line() + ": " + first.field() + " is " + first.value() + "; allowed: "
                            + first.allowed(),
                    Map.of(
                            "field", first.field(),
                            "value", first.value(),
                            "allowed", first.allowed(),
                            "mistakes", list.mistakes()));
        }
        Changes changes = changes(list);
        list.lines().forEach(line -> stock.put(line, UUID.randomUUID()));
        return changes;
    }

    private boolean known(String deviceId) {
        return book.listed(deviceId).filter(d -> d.releasedVersion() != null).isPresent();
    }

    private Changes changes(PriceList list) {
        List<LineChange> lines = new ArrayList<>();
        int[] counts = new int[Change.values().length];
        for (Line line : list.lines()) {
            List<Row> lots = stock.byNumber(line.supplier(), line.partNumber());
            Row before = lots.stream()
                    .filter(row -> row.lot().equals(line.lot()))
                    .findFirst()
                    .orElse(null);
            Change change = before == null ? Change.NEW : same(before, line) ? Change.SAME : Change.CHANGED;
            counts[change.ordinal()]++;
            if (change != Change.SAME && lines.size() < MOST_SHOWN) {
                lines.add(new LineChange(
                        line.number(),
                        line.partNumber(),
                        line.supplier(),
                        line.deviceId() + ", " + line.kind().words() + ", "
                                + line.grade().words() + ", " + line.price() + ", " + line.pieces() + " pieces"
                                + (before == null ? beside(lots) : ""),
                        change,
                        before == null
                                ? null
                                : before.price() + " " + before.currency() + ", " + before.pieces() + " pieces"));
            }
        }
        return new Changes(
                lines,
                list.mistakes(),
                counts[Change.NEW.ordinal()],
                counts[Change.CHANGED.ordinal()],
                counts[Change.SAME.ordinal()]);
    }

    private static String beside(List<Row> lots) {
        return lots.isEmpty()
                ? ""
                : "; a lot of its own beside "
                        + lots.stream()
                                .map(row -> (row.lot().isBlank() ? "one without a name" : row.lot()) + " with "
                                        + row.pieces() + " pieces")
                                .collect(Collectors.joining(", "));
    }

    private static boolean same(Row row, Line line) {
        return row.deviceId().equals(line.deviceId())
                && Objects.equals(row.variantId(), line.variantId())
                && row.kind() == line.kind()
                && row.grade() == line.grade()
                && row.brings().equals(line.brings())
                && row.price().compareTo(line.price().amount()) == 0
                && row.currency().equals(line.price().currency())
                && row.pieces() == line.pieces()
                && row.lot().equals(line.lot());
    }
}
