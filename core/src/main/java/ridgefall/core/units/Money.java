package ridgefall.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Set;
import java.util.stream.Collectors;

/** An exact amount in one currency, to the hundredth. */
public record Money(BigDecimal amount, String currency) implements Comparable<Money> {
    private static final BigDecimal MOST = new BigDecimal("100000");
    private static final int DECIMALS = 2;

    /** Those there are by ISO 4217 whose smallest coin is a hundredth. */
    private static final Set<String> KNOWN = Currency.getAvailableCurrencies().stream()
            .filter(currency -> currency.getDefaultFractionDigits() == DECIMALS)
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());

    public Money {
        Allowed.present("amount", amount);
        if (currency == null || !currency.matches("[A-Z]{3}")) {
            throw unknown(currency);
        }
        amount = amount.setScale(DECIMALS, RoundingMode.UNNECESSARY);
    }

    /**
     * An amount somebody gave.
     *
     * @throws NotAllowed unless it is 0 to 100000 with at most two decimals
     */
    public static Money of(String field, BigDecimal amount, String currency) {
        Allowed.present(field, amount);
        if (amount.signum() < 0 || amount.stripTrailingZeros().scale() > DECIMALS || amount.compareTo(MOST) > 0) {
            throw new NotAllowed(field, amount, "0 to 100000, at most two decimals");
        }
        return new Money(amount, currency);
    }

    /** The same amount as it is written: to the hundredth where it is not finer; null stays null. */
    public static BigDecimal toTheHundredth(BigDecimal amount) {
        return amount == null || amount.stripTrailingZeros().scale() > DECIMALS ? amount : amount.setScale(DECIMALS);
    }

    /**
     * A currency to reckon in from now on. Amounts that stand in a journal are not asked again.
     *
     * @throws NotAllowed unless ISO 4217 has it, with a hundredth as its smallest coin
     */
    public static String currency(String given) {
        if (given == null || !KNOWN.contains(given)) {
            throw unknown(given);
        }
        return given;
    }

    private static NotAllowed unknown(String currency) {
        return new NotAllowed(
                "currency",
                currency == null || currency.isBlank() ? "missing" : currency,
                "the three letters of a currency, such as EUR, CHF or USD");
    }

    public static Money zero(String currency) {
        return new Money(BigDecimal.ZERO, currency);
    }

    public Money plus(Money other) {
        return new Money(amount.add(same(other).amount), currency);
    }

    public Money minus(Money other) {
        return new Money(amount.subtract(same(other).amount), currency);
    }

    /** Rounded to the hundredth, halves to the even one, so that sums of many do not drift. */
    public Money times(BigDecimal factor) {
        return new Money(amount.multiply(factor).setScale(DECIMALS, RoundingMode.HALF_EVEN), currency);
    }

    private Money same(Money other) {
        if (!currency.equals(other.currency)) {
            throw new NotAllowed("currency", other.currency, currency + ", as the rest of this sum");
        }
        return other;
    }

    @Override
    public int compareTo(Money other) {
        return amount.compareTo(same(other).amount);
    }

    @Override
    public String toString() {
        return amount.toPlainString() + " " + currency;
    }
}
