package ridgefall.core.decide;

import java.math.BigDecimal;
import java.util.Optional;
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

    /** @param grade of the part that was quoted; null when the price did not come from a quote */
    record RepairAgreed(String repairId, Grade grade, BigDecimal price, String currency, String agreedBy)
            implements DecideFact {
        public RepairAgreed {
            price = Money.toTheHundredth(price);
        }

        @Override
        public void check() {
            Allowed.text("repairId", repairId, 40);
            Money.of("price", price, currency);
            Allowed.text("agreedBy", agreedBy, 80);
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
                    + ", " + price + " " + currency + ", by " + agreedBy;
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
