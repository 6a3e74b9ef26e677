package ridgefall.core.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ridgefall.core.profile.Grade;
import ridgefall.core.units.Money;

/**
 * What a repair costs with one part: every line rounded to the hundredth, the total their exact sum.
 *
 * @param offers one a part the repair needs, one on the shelf before one to order
 * @param breaks chance that the part or the device breaks on the way; {@code comesBack} that the job returns
 * @param missing what the part does not bring, each with what is done about it
 */
public record Quote(
        Grade grade,
        List<Offer> offers,
        List<Line> lines,
        Money total,
        Chance breaks,
        Chance comesBack,
        int activeMinutes,
        int waitingMinutes,
        List<String> missing) {

    public record Line(String words, Money amount) {}

    static Quote of(
            Grade grade,
            List<Offer> offers,
            int activeMinutes,
            int waitingMinutes,
            List<String> missing,
            Chance breaks,
            Chance comesBack,
            Terms terms) {
        Money zero = Money.zero(terms.currency());
        Money parts = offers.stream().map(Offer::price).reduce(zero, Money::plus);
        Money hands = terms.hands(activeMinutes);
        Money consumables = new Money(terms.consumables(), terms.currency());
        // A break costs another part and the hands so far; a comeback all of it again and the callback.
        Money breakCost = parts.plus(hands);
        Money comebackCost = breakCost.plus(consumables).plus(new Money(terms.callback(), terms.currency()));
        Money expectedLoss = breakCost.times(breaks.factor()).plus(comebackCost.times(comesBack.factor()));
        List<Line> lines = new ArrayList<>();
        for (Offer offer : offers) {
            lines.add(new Line(
                    capital(offer.kind().words()) + ", " + offer.grade().words(), offer.price()));
        }
        lines.add(new Line("Hands at work, " + activeMinutes + " min", hands));
        lines.add(new Line("Consumables", consumables));
        lines.add(new Line("Risk of a break or a comeback", expectedLoss));
        return new Quote(
                grade,
                offers,
                List.copyOf(lines),
                lines.stream().map(Line::amount).reduce(zero, Money::plus),
                breaks,
                comesBack,
                activeMinutes,
                waitingMinutes,
                missing);
    }

    Money parts() {
        return offers.stream().map(Offer::price).reduce(Money.zero(total.currency()), Money::plus);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
