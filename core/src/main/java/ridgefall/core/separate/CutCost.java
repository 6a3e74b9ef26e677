package ridgefall.core.separate;

import java.util.List;
import ridgefall.core.edge.Turn;

/**
 * What it costs, in seconds of bench time and seconds' worth of risk, to free one stretch when some others are already
 * free. Depends on the set that is free and on where the hand is, not on how it got there: that is what lets the plan
 * be exact.
 */
final class CutCost {
    private static final double HAND_MM_PER_S = 4;
    private static final double TRAVEL_MM_PER_S = 60;
    private static final double ENTRY_S = 25;
    /** A feature lost for good, weighed against time at the bench. */
    private static final double LOSS_S = 900;
    /** Chance that the tool goes deeper than meant, by how many neighbours already hold the gap open. */
    private static final double[] SLIP_CHANCE = {0.10, 0.04, 0.02};
    /** A front that is free nearly all round can be lifted a little: the tool is seen, not felt. */
    private static final double RELIEF = 0.6;

    private final List<Stretch> stretches;
    private final Turn turn;
    /** From each stretch to each other, s: the plan asks for it more often than there are sets of them. */
    private final double[][] travelS;

    CutCost(List<Stretch> stretches) {
        this.stretches = stretches;
        this.turn = new Turn(
                stretches.stream().mapToDouble(s -> s.where().lengthMm()).sum());
        this.travelS = new double[count()][count()];
        for (int from = 0; from < count(); from++) {
            for (int to = 0; to < count(); to++) {
                travelS[from][to] = between(from, to);
            }
        }
    }

    /** The stretches follow one another once round the edge. */
    Turn turn() {
        return turn;
    }

    int count() {
        return stretches.size();
    }

    int after(int index) {
        return (index + 1) % count();
    }

    int before(int index) {
        return (index + count() - 1) % count();
    }

    static boolean has(int freed, int index) {
        return (freed & 1 << index) != 0;
    }

    /** Separate runs of freed stretches; all of them free is one run. */
    int runs(int freed) {
        int all = (1 << count()) - 1;
        int behind = (freed << 1 | freed >>> count() - 1) & all;
        int starts = Integer.bitCount(freed & ~behind);
        return starts == 0 && freed != 0 ? 1 : starts;
    }

    double cutSeconds(int index) {
        Stretch stretch = stretches.get(index);
        return stretch.where().lengthMm() / HAND_MM_PER_S * stretch.difficulty();
    }

    boolean entry(int freed, int index) {
        return !has(freed, before(index)) && !has(freed, after(index));
    }

    /** @param last the stretch freed before, or −1 at the start */
    double of(int freed, int last, int index) {
        return cut(freed, index) + travel(last, index);
    }

    /** All but getting there, which alone depends on the stretch before. */
    double cut(int freed, int index) {
        return seconds(freed, index) + LOSS_S * lossChance(freed, index);
    }

    /** Of cutting it, and of getting in where nothing beside it is free. */
    double seconds(int freed, int index) {
        return cutSeconds(index)
                + (entry(freed, index) ? ENTRY_S * stretches.get(index).difficulty() : 0);
    }

    /** How likely a slip there costs what lies beneath, 0–1. */
    double lossChance(int freed, int index) {
        int neighbours = (has(freed, before(index)) ? 1 : 0) + (has(freed, after(index)) ? 1 : 0);
        return stretches.get(index).hazard() * SLIP_CHANCE[neighbours] * (1 - RELIEF * freeShare(freed));
    }

    private double freeShare(int freed) {
        double free = 0;
        for (int i = 0; i < count(); i++) {
            if (has(freed, i)) {
                free += stretches.get(i).where().lengthMm();
            }
        }
        return free / turn.lengthMm();
    }

    /** How long the run is that a freed stretch belongs to. */
    double freeMm(int freed, int index) {
        double free = stretches.get(index).where().lengthMm();
        for (int i = after(index); i != index && has(freed, i); i = after(i)) {
            free += stretches.get(i).where().lengthMm();
        }
        for (int i = before(index); i != index && has(freed, i); i = before(i)) {
            free += stretches.get(i).where().lengthMm();
        }
        return Math.min(free, turn.lengthMm());
    }

    /** @param last the stretch freed before, or −1 at the start */
    double travel(int last, int index) {
        return last < 0 ? 0 : travelS[last][index];
    }

    private double between(int from, int to) {
        if (from == before(to) || from == after(to)) {
            return 0;
        }
        double apart = turn.apart(
                turn.middle(stretches.get(from).where()),
                turn.middle(stretches.get(to).where()));
        return 3 + apart / TRAVEL_MM_PER_S;
    }
}
