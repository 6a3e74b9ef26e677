package ridgefall.core.decide;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.profile.Grade;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Money;

/** What was agreed with the owner. */
public sealed interface DecideFact extends Fact.Of<DecideState> {
    Family<DecideState> FAMILY = new Family<>(DecideFact.class, DecideState.NOTHING);

    @Override
    default Family<DecideState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.DECIDE);
    }

    /**
     * @param grade of the part that was quoted; null when the price did not come from a quote
     * @param pieces of the shelf that were quoted: this job's from now on
     */
    record RepairAgreed(
            String repairId, Grade grade, BigDecimal price, String currency, String agreedBy, List<Piece> pieces)
            implements DecideFact {
        private static final int MOST_PIECES = 8;

        public RepairAgreed {
            price = Money.toTheHundredth(price);
            // Journals from before the shelf was asked know none.
            pieces = pieces == null ? List.of() : List.copyOf(pieces);
        }

        /** Of a part that is yet to be found, or lies there without the shelf's knowing. */
        public RepairAgreed(String repairId, Grade grade, BigDecimal price, String currency, String agreedBy) {
            this(repairId, grade, price, currency, agreedBy, List.of());
        }

        @Override
        public void check() {
            Allowed.text("repairId", repairId, 40);
            Money.of("price", price, currency);
            Allowed.text("agreedBy", agreedBy, 80);
            Allowed.between("pieces", pieces.size(), 0, MOST_PIECES, "pieces");
            pieces.forEach(Piece::check);
        }

        @Override
        public DecideState after(DecideState before, Entry entry) {
            return new DecideState(Optional.of(this), Optional.empty(), before.replacement());
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("agreedBy");
        }

        @Override
        public String words(FactWords told) {
            return "Agreed: " + told.profile().repair(repairId).words() + (grade == null ? "" : ", " + grade.words())
                    + ", " + price + " " + currency + ", by " + agreedBy
                    + (pieces.isEmpty()
                            ? ""
                            : "; kept for it: "
                                    + pieces.stream().map(Piece::words).collect(Collectors.joining("; ")));
        }
    }

    /** The owner keeps the device as it is: it goes back unrepaired. */
    record NotWorthIt(String reason, String agreedBy) implements DecideFact {
        @Override
        public void check() {
            Allowed.text("reason", reason, 200);
            Allowed.text("agreedBy", agreedBy, 80);
        }

        @Override
        public DecideState after(DecideState before, Entry entry) {
            return new DecideState(Optional.empty(), Optional.of(this), before.replacement());
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("agreedBy");
        }

        @Override
        public String words(FactWords told) {
            return "Goes back unrepaired: " + reason + ", agreed by " + agreedBy;
        }
    }

    /** What another device like this costs: what a repair is weighed against. */
    record ReplacementPriced(BigDecimal price, String currency) implements DecideFact {
        public ReplacementPriced {
            price = Money.toTheHundredth(price);
        }

        @Override
        public void check() {
            Money.of("price", price, currency);
        }

        @Override
        public DecideState after(DecideState before, Entry entry) {
            return new DecideState(before.repair(), before.notWorthIt(), Optional.of(new Money(price, currency)));
        }

        @Override
        public String words(FactWords told) {
            return "Another one costs " + price + " " + currency;
        }
    }
}
