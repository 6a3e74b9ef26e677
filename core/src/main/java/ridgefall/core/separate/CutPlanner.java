package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Glass;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan.Move;

/** Turns the cheapest order into moves a hand can follow. */
public final class CutPlanner {
    private static final double PICK_WIDTH_MM = 10;
    private static final double CREEP_MM_PER_S = 1;
    private static final double HAZARD_WORTH_A_WEDGE = 0.5;
    private static final double LONG_STRETCH_MM = 45;
    private static final double WEDGE_CLEAR_MM = 6;

    private CutPlanner() {}

    /**
     * @param freedInOrder ids of stretches already free, the latest last
     * @param workableFromC bond temperature from which the pick goes through
     * @param workableForSeconds how long the bond stays so after each warming
     */
    public static CutPlan plan(
            DeviceProfile profile,
            FrontCondition condition,
            List<EdgeInterval> cracks,
            List<String> freedInOrder,
            double workableFromC,
            double workableForSeconds) {
        List<Stretch> stretches = Stretch.along(profile, cracks);
        List<String> ids = stretches.stream().map(Stretch::id).toList();
        int freed = 0;
        int last = -1;
        for (String id : freedInOrder) {
            last = ids.indexOf(id);
            freed |= 1 << last;
        }
        List<Integer> order = new CutOrder(stretches).from(freed, last).order();
        CutCost cost = new CutCost(stretches);
        double force = profile.factoryAdhesive().peelNPerMm(workableFromC, CREEP_MM_PER_S) * PICK_WIDTH_MM;
        List<Move> moves = new ArrayList<>();
        double warm = workableForSeconds;
        double total = 0;
        for (int index : order) {
            Stretch stretch = stretches.get(index);
            double seconds = cost.cutSeconds(index);
            boolean warmAgain = warm < seconds && warm < workableForSeconds;
            warm = (warmAgain ? workableForSeconds : warm) - seconds;
            total += seconds;
            boolean entry = cost.entry(freed, index);
            moves.add(new Move(
                    stretch.id(),
                    entry || CutCost.has(freed, cost.before(index)),
                    entry,
                    warmAgain,
                    seconds,
                    force,
                    liftLimit(profile, condition, stretch),
                    wedge(stretches, cost, freed, index)));
            freed |= 1 << index;
        }
        return new CutPlan(
                stretches,
                moves,
                profile.entrySeam(),
                profile.hinge(),
                profile.greatestOpeningDeg(),
                workableFromC,
                total);
    }

    /** Ids of the hinge's stretches: the front opens on them, so they are freed last. */
    public static Set<String> hinge(DeviceProfile profile) {
        return Set.copyOf(Stretch.along(profile, List.of()).stream()
                .filter(Stretch::hinge)
                .map(Stretch::id)
                .toList());
    }

    private static double liftLimit(DeviceProfile profile, FrontCondition condition, Stretch stretch) {
        Glass.Condition glass = stretch.cracked() ? Glass.Condition.CRACKED : condition.glass();
        Glass.Place place = stretch.landmark().isCorner() ? Glass.Place.CORNER : Glass.Place.MID_EDGE;
        double free = Math.min(20, stretch.where().lengthMm());
        return new Glass(profile.heat().glass().thicknessMm(), glass).liftLimitMm(place, free);
    }

    /** In long clear stretches, and beside what would cost most if the bond took hold again. */
    private static Double wedge(List<Stretch> stretches, CutCost cost, int freed, int index) {
        Stretch stretch = stretches.get(index);
        if (stretch.hinge() || stretch.hazard() >= HAZARD_WORTH_A_WEDGE) {
            return null;
        }
        Turn turn = cost.turn();
        for (int neighbour : new int[] {cost.after(index), cost.before(index)}) {
            Stretch beside = stretches.get(neighbour);
            if (!CutCost.has(freed, neighbour)
                    && !beside.hinge()
                    && beside.hazard() >= HAZARD_WORTH_A_WEDGE
                    && stretch.where().lengthMm() >= 2 * WEDGE_CLEAR_MM) {
                double from = stretch.where().fromMm();
                double at = neighbour == cost.after(index)
                        ? from + stretch.where().lengthMm() - WEDGE_CLEAR_MM
                        : from + WEDGE_CLEAR_MM;
                return turn.wrap(at);
            }
        }
        return stretch.where().lengthMm() >= LONG_STRETCH_MM ? Double.valueOf(turn.middle(stretch.where())) : null;
    }
}
