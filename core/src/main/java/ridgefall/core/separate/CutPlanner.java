package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoublePredicate;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.material.Cutting;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Glass;
import ridgefall.core.material.Moulding;
import ridgefall.core.material.PickedEdge;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.separate.CutPlan.Move;

/** Turns the cheapest order into moves a hand can follow. */
public final class CutPlanner {
    static final double BLADE_MM = 0.2;

    /** What a bench has to cut with, mm thick; common practice. */
    private static final double[] PICKS_MM = {0.8, 0.6, 0.5, 0.4, 0.3, BLADE_MM};

    /** Less is no number for a hand. */
    private static final double LEAST_RISE_MM = 0.5;

    private static final double HAZARD_WORTH_A_WEDGE = 0.5;
    private static final double LONG_STRETCH_MM = 45;
    private static final double WEDGE_CLEAR_MM = 6;

    private CutPlanner() {}

    /**
     * What is left to cut of a device, in some order.
     *
     * @param last the stretch that was freed last, or −1
     * @param besideCuttingS what this order costs beside cutting: getting in and about, and its risk in seconds
     */
    record Round(
            DeviceProfile profile,
            FrontCondition condition,
            List<EdgeInterval> cracks,
            Cutting cutting,
            List<Stretch> stretches,
            int freed,
            int last,
            List<Cut.Way> ways,
            double besideCuttingS) {
        Turn turn() {
            return profile.edge().turn();
        }

        /** Where the pick is. */
        Optional<Double> pickAtMm() {
            return ways.stream().findFirst().map(way -> way.at(0, turn()));
        }

        List<Cut> cut(Warmth warmth) {
            return Cut.along(ways, cutting(), warmth, turn());
        }

        /** How fast what comes next would be cut. */
        double mmPerSAtPick(BenchRun bench) {
            return pickAtMm().map(at -> cutting.mmPerS(bench.bondC(at))).orElse(Cutting.FASTEST_MM_PER_S);
        }

        /** Warmed before anything else is cut. */
        Optional<Warming> again(Warmth warmth) {
            return ways.isEmpty()
                    ? Optional.empty()
                    : warmth.again(
                            ways.stream().map(way -> way.stretch().where()).toList(),
                            ways.get(0).clockwise());
        }
    }

    /**
     * In the cheapest order while all of the bond is alike.
     *
     * @param freedInOrder ids of stretches already free, the latest last
     */
    static Round round(HeatQuestion question, List<String> freedInOrder) {
        return rounds(question, freedInOrder).get(0);
    }

    /** The way round an edge that is free all along: nothing is left to plan. Empty where some of it still holds. */
    public static Optional<CutPlan> allFree(HeatQuestion question, List<String> freed) {
        List<Stretch> stretches = stretches(question);
        List<String> ids = stretches.stream().map(Stretch::id).toList();
        if (!freed.containsAll(ids)) {
            return Optional.empty();
        }
        int last = ids.indexOf(freed.get(freed.size() - 1));
        return Optional.of(
                plan(round(question, stretches, (1 << ids.size()) - 1, last, List.of()), List.of(), null, null));
    }

    private static List<Stretch> stretches(HeatQuestion question) {
        return Stretch.along(question.profile(), question.cracks()).stream()
                .map(stretch -> stretch.after(
                        question.harms(), question.profile().edge().turn()))
                .toList();
    }

    /**
     * That, and straight on in either direction: where warmth goes along with the pick, to stay beside it may be worth more. Which of
     * them is best only the bench can say.
     */
    static List<Round> rounds(HeatQuestion question, List<String> freedInOrder) {
        List<Stretch> stretches = stretches(question);
        List<String> ids = stretches.stream().map(Stretch::id).toList();
        int freed = 0;
        int last = -1;
        for (String id : freedInOrder) {
            last = ids.indexOf(id);
            freed |= 1 << last;
        }
        CutOrder order = new CutOrder(stretches);
        Set<List<Integer>> orders = new LinkedHashSet<>();
        orders.add(order.from(freed, last).order());
        order.straightOn(freed, last, true).ifPresent(orders::add);
        order.straightOn(freed, last, false).ifPresent(orders::add);
        List<Round> rounds = new ArrayList<>();
        for (List<Integer> one : orders) {
            rounds.add(round(question, stretches, freed, last, one));
        }
        return rounds;
    }

    private static Round round(
            HeatQuestion question, List<Stretch> stretches, int begun, int lastBegun, List<Integer> order) {
        CutCost cost = new CutCost(stretches);
        List<Cut.Way> ways = new ArrayList<>();
        int freed = begun;
        int last = lastBegun;
        double besideCuttingS = 0;
        for (int i = 0; i < order.size(); i++) {
            int index = order.get(i);
            boolean entry = cost.entry(freed, index);
            // From a new entry towards what comes next.
            boolean backwards = i + 1 < order.size() && order.get(i + 1) == cost.before(index);
            // On from where the hand is, also where both sides of it are free.
            boolean onwards = CutCost.has(freed, cost.before(index)) && last != cost.after(index);
            boolean clockwise = entry ? !backwards : onwards;
            ways.add(new Cut.Way(stretches.get(index), clockwise, entry));
            besideCuttingS += cost.of(freed, last, index) - cost.cutSeconds(index);
            freed |= 1 << index;
            last = index;
        }
        return new Round(
                question.profile(),
                question.condition(),
                question.cracks(),
                question.cutting(),
                stretches,
                begun,
                lastBegun,
                ways,
                besideCuttingS);
    }

    /**
     * @param cuts as the ways of the round
     * @param again how it would be warmed before any of them, or null
     * @param air what is held on it while it is cut, or null
     */
    static CutPlan plan(Round round, List<Cut> cuts, Warming again, CutPlan.Air air) {
        DeviceProfile profile = round.profile();
        List<Stretch> stretches = round.stretches();
        CutCost cost = new CutCost(stretches);
        List<Move> moves = new ArrayList<>();
        int freed = round.freed();
        for (int i = 0; i < cuts.size(); i++) {
            Cut.Way way = round.ways().get(i);
            Cut cut = cuts.get(i);
            Stretch stretch = way.stretch();
            int index = stretches.indexOf(stretch);
            PickedEdge edge = PickedEdge.of(
                    profile.heat().glass(),
                    profile.heat().adhesive(),
                    profile.ledgeMm().at(cost.turn().middle(stretch.where())),
                    profile.factoryAdhesive(),
                    cut.coldestC());
            Glass.Condition glass = glass(stretch, round.condition(), round.cracks());
            double allowedMPa = glass.allowedMPa();
            Double pick = pick(mm ->
                    mm <= edge.thickestPickMm(allowedMPa) && ledgeBears(profile.heat(), edge, mm, cut.coldestC()));
            Double wedge = wedge(stretches, cost, freed, index);
            freed |= 1 << index;
            moves.add(new Move(
                    stretch.id(),
                    way.clockwise(),
                    way.entry(),
                    cut.warmFirst(),
                    cut.pauses(),
                    cut.seconds(),
                    Math.min(1, cut.airSeconds() / cut.seconds()),
                    cut.coldestC(),
                    pick,
                    edge.pushN(pick == null ? 0 : pick),
                    pick == null || glass == Glass.Condition.CRACKED
                            ? null
                            : rise(edge.greatestRiseMm(cost.freeMm(freed, index) / 2, allowedMPa)),
                    wedge));
        }
        return new CutPlan(
                stretches,
                moves,
                profile.entrySeam(),
                profile.hinge(),
                profile.greatestOpeningDeg(),
                round.cutting().workableFromC(),
                round.cutting().coldBelowC(),
                again,
                air,
                round.last() < 0 ? null : wedge(stretches, cost, round.freed() & ~(1 << round.last()), round.last()));
    }

    /** Where cracks are marked, the rest of a cracked front is as good as one that was worn. */
    private static Glass.Condition glass(Stretch stretch, FrontCondition condition, List<EdgeInterval> cracks) {
        if (stretch.cracked()) {
            return Glass.Condition.CRACKED;
        }
        boolean marked = condition == FrontCondition.CRACKED && !cracks.isEmpty();
        return marked ? Glass.Condition.WORN_EDGE : condition.glass();
    }

    /** A pick rests on the ledge: a moulded one gives before the glass does, the sooner the warmer it is. */
    private static boolean ledgeBears(HeatStack stack, PickedEdge edge, double pickMm, double bondC) {
        return !stack.plasticLedge()
                || edge.ledgeMPa(pickMm, stack.ledge().thicknessMm()) <= Moulding.allowedMPa(bondC);
    }

    private static Double pick(DoublePredicate bears) {
        return Arrays.stream(PICKS_MM).filter(bears).boxed().findFirst().orElse(null);
    }

    private static Double rise(double mm) {
        return mm < LEAST_RISE_MM ? null : Double.valueOf(mm);
    }

    /** Ids of the hinge's stretches: the front opens on them, so they are freed last. */
    public static Set<String> hinge(DeviceProfile profile) {
        return Set.copyOf(Stretch.along(profile, List.of()).stream()
                .filter(Stretch::hinge)
                .map(Stretch::id)
                .toList());
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
