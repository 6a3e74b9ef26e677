package ridgefall.core.decide;

import java.util.List;
import java.util.Set;
import ridgefall.core.profile.ProfileDocument.FunctionFate;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Money;

/**
 * Which repairs could cure what was found, the best first, and whether any is worth it.
 *
 * @param symptoms noted, or following from what failed at intake
 * @param notes what to know or try before deciding
 */
public record Decision(Set<Symptom> symptoms, List<Option> options, List<String> notes, Worth worth) {

    /**
     * @param cures whether it cures every symptom; {@code because} says why or which not
     * @param quotes one a grade that can be had, the cheapest in the end first; empty when no part is known
     * @param fates what becomes of the functions that depend on it
     */
    public record Option(
            Repair repair,
            boolean cures,
            List<String> because,
            List<Quote> quotes,
            List<FateLine> fates,
            String oldFront) {}

    /** @param worked whether it worked at intake: what did not can't be lost */
    public record FateLine(String function, FunctionFate fate, boolean worked) {}

    public enum Verdict {
        /** Nobody said what a replacement costs. */
        UNKNOWN,
        WORTH_IT,
        DOUBTFUL,
        NOT_WORTH_IT
    }

    /**
     * @param breakEvenPart what the part may cost at most before replacing the device is cheaper; null when unknown
     */
    public record Worth(Verdict verdict, Money replacement, Money breakEvenPart, String because) {}
}
