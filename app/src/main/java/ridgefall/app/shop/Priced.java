package ridgefall.app.shop;

import java.math.BigDecimal;

/** What keeps prices in the shop's currency. */
public interface Priced {
    /** What of it is priced in a currency, in words for a lead: "12 parts of the shelf". */
    String inWords(String currency);

    /** Every price of it becomes one in another currency, to the hundredth. */
    void become(String from, String to, BigDecimal perOne);
}
