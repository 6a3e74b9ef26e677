package ridgefall.app.parts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.shop.Priced;
import ridgefall.app.store.WordSearch;
import ridgefall.core.decide.Offer;
import ridgefall.core.decide.Piece;
import ridgefall.core.parts.Shelf;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;

/**
 * Parts on the shelf and on price lists. A row is one part number of one supplier; pieces of it are reserved by jobs, and
 * used up by those handed over since the row was last counted.
 */
@Repository
public class Stock implements Shelf, Priced {
    private static final int MOST_FOUND = 60;
    private static final String ORDER = " order by s.device_id, s.kind, s.price";

    private final JdbcClient jdbc;

    Stock(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param device its name, for people
     * @param pieces there, with those that open jobs have reserved
     * @param free pieces that no job has reserved
     */
    public record Row(
            UUID id,
            String partNumber,
            String supplier,
            String deviceId,
            String device,
            @Schema(nullable = true) String variantId,
            PartKind kind,
            Grade grade,
            List<Brings> brings,
            BigDecimal price,
            String currency,
            int pieces,
            int free,
            String lot,
            boolean tested) {

        /** @throws NotAllowed where it is for another device, or another variant of it */
        void checkFits(DeviceProfile profile) {
            if (!deviceId.equals(profile.id()) || variantId != null && !variantId.equals(profile.variantId())) {
                throw new NotAllowed("stockId", partNumber, "a part for the " + profile.name());
            }
        }

        public String words() {
            return kind.words() + ", " + grade.words() + ", " + partNumber + " of " + supplier
                    + (lot.isBlank() ? "" : ", lot " + lot);
        }

        /** One of it, as it would be a job's now. */
        public Piece piece() {
            return new Piece(id, kind, grade, words(), brings);
        }

        public Offer offer() {
            return new Offer(id, kind, grade, supplier, new Money(price, currency), brings, free);
        }
    }

    private static final String COUNTED = """
            select s.*, coalesce((select d.name from device d where d.id = s.device_id), s.device_id) as device,
                greatest(0, s.pieces - (select count(*) from reservation r join job j on j.id = r.job_id
                    where r.stock_id = s.id and not j.unrepaired and j.handed_over_at > s.counted_at)
                    - (select count(*) from part_return b where b.stock_id = s.id and b.at > s.counted_at)) as there,
                (select count(*) from reservation r join job j on j.id = r.job_id
                    where r.stock_id = s.id and j.handed_over_at is null) as reserved
            from\s""";

    private static final String SELECT = COUNTED + "stock s ";

    /** Rows that have all the given words in part number, supplier, device or kind. */
    @Transactional
    public List<Row> search(String query) {
        jdbc.sql(WordSearch.PLAN_FOR_THE_WORDS).update();
        WordSearch words = WordSearch.of(query);
        // Reservations are counted for what is shown, not for all that was found.
        String found =
                "(select * from stock s where " + words.matches("s.search") + ORDER + " limit " + MOST_FOUND + ") s";
        return words.bind(jdbc.sql(COUNTED + found + ORDER)).query(Stock::row).list();
    }

    /** Whatever fits a device in this variant; a row without a variant fits all. */
    public List<Row> fitting(String deviceId, String variantId) {
        return jdbc.sql(SELECT + """
                        where s.device_id = :device and (s.variant_id is null or s.variant_id = :variant)
                        order by s.kind, s.price, s.since""")
                .param("device", deviceId)
                .param("variant", variantId)
                .query(Stock::row)
                .list();
    }

    @Override
    public List<Lying> lying(DeviceProfile profile) {
        return fitting(profile.id(), profile.variantId()).stream()
                .filter(row -> row.free() > 0)
                .map(row -> new Lying(row.piece(), row.free()))
                .toList();
    }

    /** Each lot of a number is a row of its own: the oldest first. */
    List<Row> byNumber(String supplier, String partNumber) {
        return jdbc.sql(SELECT + "where s.supplier = :supplier and s.part_number = :number order by s.since")
                .param("supplier", supplier)
                .param("number", partNumber)
                .query(Stock::row)
                .list();
    }

    /** Locks the row, so that two jobs can't take its last piece. */
    Optional<Row> locked(UUID id) {
        jdbc.sql("select id from stock where id = :id for update")
                .param("id", id)
                .query(UUID.class)
                .optional();
        return byId(id);
    }

    Optional<Row> byId(UUID id) {
        return jdbc.sql(SELECT + "where s.id = :id")
                .param("id", id)
                .query(Stock::row)
                .optional();
    }

    void put(PriceList.Line line, UUID id) {
        jdbc.sql("""
                        insert into stock (id, part_number, supplier, device_id, variant_id, kind, grade, brings, price,
                            currency, pieces, lot, search)
                        values (:id, :number, :supplier, :device, :variant, :kind, :grade, string_to_array(:brings, ' '),
                            :price, :currency, :pieces, :lot, :search)
                        on conflict (supplier, part_number, lot) do update set device_id = excluded.device_id,
                            variant_id = excluded.variant_id, kind = excluded.kind, grade = excluded.grade,
                            brings = excluded.brings, price = excluded.price, currency = excluded.currency,
                            pieces = excluded.pieces, search = excluded.search,
                            counted_at = now()""")
                .param("id", id)
                .param("number", line.partNumber())
                .param("supplier", line.supplier())
                .param("device", line.deviceId())
                .param("variant", line.variantId())
                .param("kind", line.kind().name())
                .param("grade", line.grade().name())
                .param("brings", line.brings().stream().map(Brings::name).collect(Collectors.joining(" ")))
                .param("price", line.price().amount())
                .param("currency", line.price().currency())
                .param("pieces", line.pieces())
                .param("lot", line.lot())
                .param(
                        "search",
                        String.join(
                                        " ",
                                        line.partNumber(),
                                        line.supplier(),
                                        line.deviceId(),
                                        line.kind().words(),
                                        line.grade().words(),
                                        line.lot())
                                .toLowerCase(Locale.ROOT))
                .update();
    }

    @Override
    public String inWords(String currency) {
        int rows = jdbc.sql("select count(*) from stock where currency = :currency")
                .param("currency", currency)
                .query(Integer.class)
                .single();
        return rows + " parts of the shelf and of price lists are priced in " + currency;
    }

    @Override
    public void become(String from, String to, BigDecimal perOne) {
        jdbc.sql("update stock set price = round(price * :rate, 2), currency = :to where currency = :from")
                .param("rate", perOne)
                .param("to", to)
                .param("from", from)
                .update();
    }

    /** A part that was no good. {@code number} is its job's. */
    record ReturnRow(
            UUID jobId, long number, String device, String part, String why, String words, Instant at, String who) {}

    /** What went to the returns, the latest first. */
    List<ReturnRow> returns(int most) {
        return jdbc.sql("""
                        select b.job_id, j.number, j.device, coalesce(s.part_number || ' of ' || s.supplier, b.part) as part,
                            b.why, b.words, b.at, b.who
                        from part_return b join job j on j.id = b.job_id left join stock s on s.id = b.stock_id
                        order by b.at desc limit :most""")
                .param("most", most)
                .query((row, n) -> new ReturnRow(
                        row.getObject("job_id", UUID.class),
                        row.getLong("number"),
                        row.getString("device"),
                        row.getString("part"),
                        row.getString("why"),
                        row.getString("words"),
                        row.getObject("at", OffsetDateTime.class).toInstant(),
                        row.getString("who")))
                .list();
    }

    boolean tested(UUID id, boolean tested) {
        return jdbc.sql("update stock set tested = :tested where id = :id")
                        .param("tested", tested)
                        .param("id", id)
                        .update()
                > 0;
    }

    private static Row row(ResultSet row, int n) throws SQLException {
        Array brings = row.getArray("brings");
        return new Row(
                row.getObject("id", UUID.class),
                row.getString("part_number"),
                row.getString("supplier"),
                row.getString("device_id"),
                row.getString("device"),
                row.getString("variant_id"),
                PartKind.valueOf(row.getString("kind")),
                Grade.valueOf(row.getString("grade")),
                Stream.of((String[]) brings.getArray())
                        .filter(word -> !word.isBlank())
                        .map(Brings::valueOf)
                        .toList(),
                row.getBigDecimal("price"),
                row.getString("currency"),
                row.getInt("there"),
                Math.max(0, row.getInt("there") - row.getInt("reserved")),
                row.getString("lot"),
                row.getBoolean("tested"));
    }
}
