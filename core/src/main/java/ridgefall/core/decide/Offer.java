package ridgefall.core.decide;

import java.util.List;
import java.util.UUID;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Money;

/**
 * A part that can be had for this device.
 *
 * @param inStock pieces on the shelf that no other job has; 0 for one that must be ordered
 */
public record Offer(
        UUID stockId, PartKind kind, Grade grade, String supplier, Money price, List<Brings> brings, int inStock) {
    public Offer {
        brings = List.copyOf(brings);
    }

    /** The same with one more on the shelf. */
    public Offer oneMore() {
        return new Offer(stockId, kind, grade, supplier, price, brings, inStock + 1);
    }
}
