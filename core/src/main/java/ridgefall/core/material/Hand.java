package ridgefall.core.material;

import java.util.List;
import java.util.stream.IntStream;
import ridgefall.core.units.Allowed;

/**
 * How hard the hands of a bench push a pick, per mm of its width, and from how many picks that is known. The bond's reckoned
 * temperature and whether the pick went in say whether the hand was stronger than the bond; of what nobody tried, common
 * practice is thought.
 *
 * @param tries what it was learned from; 0 where it is common practice
 */
public record Hand(double nPerMm, int tries) {
    public static final Hand USUAL = new Hand(Cutting.USUAL_HAND_N_PER_MM, 0);

    /** Hands differ that much from the usual one, as a logarithm: two of three lie between 0.28 and 0.57 N/mm. */
    private static final double HANDS_DIFFER = 0.35;

    /** A reckoned temperature is some 6 K out, and with it what the bond bears, as a logarithm. */
    private static final double RECKONED_OUT = 0.15;

    /** Between too slow to cut and workable one says this and the next says that. */
    private static final double AS_OFTEN_IN_AS_NOT_MM_PER_S = 0.7;

    /** Every tenth answer is about something else: a key pressed too soon, a crumb of glass. */
    private static final double MISTAKEN = 0.1;

    /** Makes the logistic curve as steep as a normal one. */
    private static final double LOGISTIC = 1.7;

    /** What sticks is colder than the coldest that is cut. */
    private static final double JUST_SHORT = 0.98;

    /** A few answers say less than common practice. */
    private static final int ENOUGH = 5;

    private static final int GRID = 121;
    private static final double GRID_STEP = 0.02;

    /** To what a plan can tell apart, N/mm: what is learned a little better is not planned anew. */
    private static final double NOTICED = 0.02;

    public Hand {
        Allowed.between("nPerMm", nPerMm, Cutting.WEAKEST_N_PER_MM, Cutting.STRONGEST_N_PER_MM, "N/mm");
    }

    /**
     * A pick at the edge.
     *
     * @param bondC as the bond was reckoned to be there
     * @param goesIn without force; else not yet
     */
    public record Try(Adhesive adhesive, double bondC, boolean goesIn) {
        /** It goes in where the bond gives way faster than workable; it does not where that would be too slow to cut. */
        private double boundNPerMm() {
            return adhesive.peelNPerMm(bondC, goesIn ? Cutting.WORKABLE_MM_PER_S : Cutting.SLOWEST_MM_PER_S);
        }

        private double likelihood(double logNPerMm) {
            double evenNPerMm = adhesive.peelNPerMm(bondC, AS_OFTEN_IN_AS_NOT_MM_PER_S);
            double goes = 1 / (1 + Math.exp(-LOGISTIC * (logNPerMm - Math.log(evenNPerMm)) / RECKONED_OUT));
            return MISTAKEN / 2 + (1 - MISTAKEN) * (goesIn ? goes : 1 - goes);
        }
    }

    /** What many jobs have shown, by Bayes from common practice; too few are counted, no more. */
    public static Hand learned(List<Try> tries) {
        if (tries.size() < ENOUGH) {
            return new Hand(USUAL.nPerMm, tries.size());
        }
        double usual = Math.log(USUAL.nPerMm);
        double[] logs = IntStream.range(0, GRID)
                .mapToDouble(i -> usual + (i - GRID / 2) * GRID_STEP)
                .toArray();
        double sum = 0;
        double weights = 0;
        for (double log : logs) {
            double off = (log - usual) / HANDS_DIFFER;
            double weight = Math.exp(-off * off / 2);
            for (Try one : tries) {
                weight *= one.likelihood(log);
            }
            sum += weight * log;
            weights += weight;
        }
        double mean = Math.exp(sum / weights);
        return new Hand(Math.round(mean / NOTICED) * NOTICED, tries.size());
    }

    /** As it stands beside a plan. */
    public String words() {
        String force = Math.round(nPerMm * 100) / 100.0 + " N on each mm of the pick";
        if (tries >= ENOUGH) {
            return "Reckoned with the hands of this bench: " + force + ", learned from " + tries + " picks tried.";
        }
        return "Reckoned with a usual hand: " + force + ". “Pick goes in” and “Not yet” teach it yours"
                + (tries == 0 ? "." : ": " + tries + " of the first " + ENOUGH + " so far.");
    }

    /** What was found on one device is believed at once while it lies there, the latest most; the force alone follows. */
    public double believing(List<Try> here) {
        double force = nPerMm;
        for (Try one : here) {
            double bound = one.boundNPerMm();
            force = one.goesIn() ? Math.max(force, bound) : Math.min(force, JUST_SHORT * bound);
        }
        return Math.max(Cutting.WEAKEST_N_PER_MM, Math.min(Cutting.STRONGEST_N_PER_MM, force));
    }
}
