package ridgefall.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MoneyTest {
    private static Money money(String amount) {
        return Money.of("price", new BigDecimal(amount), "EUR");
    }

    @Test
    void isExactWhereADoubleIsNot() {
        assertThat(money("0.10").plus(money("0.20"))).isEqualTo(money("0.30"));
        assertThat(money("189.5")).isEqualTo(money("189.50")).hasToString("189.50 EUR");
    }

    @ParameterizedTest
    @CsvSource({"0.125, 0.12", "0.135, 0.14", "0.1249, 0.12"})
    void roundsHalvesToTheEvenCent(String factor, String expected) {
        assertThat(money("1.00").times(new BigDecimal(factor))).isEqualTo(money(expected));
    }

    @ParameterizedTest
    @CsvSource({"-0.01", "100000.01", "1.999"})
    void amountsThatNobodyAgreesToAreRefused(String amount) {
        assertThatThrownBy(() -> money(amount))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("price is " + amount)
                .hasMessageContaining("0 to 100000, at most two decimals");
    }

    @Test
    void currenciesAreNeverMixed() {
        assertThatThrownBy(() -> money("1").plus(new Money(BigDecimal.ONE, "CHF")))
                .hasMessage("currency is CHF; allowed: EUR, as the rest of this sum");
    }

    @Test
    void aShopReckonsInACurrencyThatThereIsAndWhatWasAgreedInAnotherStaysReadable() {
        assertThat(Money.currency("CHF")).isEqualTo("CHF");
        for (String none : new String[] {"XQX", "JPY", "eur", " "}) {
            assertThatThrownBy(() -> Money.currency(none)).hasMessageContaining("such as EUR, CHF or USD");
        }
        assertThat(Money.of("price", new BigDecimal("90"), "JPY")).hasToString("90.00 JPY");
    }
}
