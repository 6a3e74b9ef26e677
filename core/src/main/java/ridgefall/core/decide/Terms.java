package ridgefall.core.decide;

import java.math.BigDecimal;
import java.math.MathContext;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;

/**
 * What the shop reckons with.
 *
 * @param ratePerHour for hands at work
 * @param consumables solvent, tape, gloves and blades of one job
 * @param callback what a comeback costs beside part and hands: carriage, a loan device, patience
 */
public record Terms(BigDecimal ratePerHour, BigDecimal consumables, BigDecimal callback, String currency) {
    private static final BigDecimal MINUTES_PER_HOUR = BigDecimal.valueOf(60);

    public Terms {
        Money.of("ratePerHour", ratePerHour, currency);
        Money.of("consumables", consumables, currency);
        Money.of("callback", callback, currency);
        if (ratePerHour.signum() == 0) {
            throw new NotAllowed("ratePerHour", ratePerHour, "more than 0");
        }
    }

    /** The price of so many minutes of hands. */
    Money hands(int minutes) {
        return new Money(ratePerHour, currency)
                .times(BigDecimal.valueOf(minutes).divide(MINUTES_PER_HOUR, MathContext.DECIMAL64));
    }
}
