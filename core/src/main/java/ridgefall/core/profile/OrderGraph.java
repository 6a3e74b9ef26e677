package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.Graph;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.EdgeReversedGraph;
import org.jgrapht.graph.SimpleDirectedGraph;
import org.jgrapht.traverse.BreadthFirstIterator;
import org.jgrapht.traverse.TopologicalOrderIterator;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.units.NotAllowed;

/**
 * What must be off before what in a device: a graph without loops over the moves of taking it apart. The battery is out of
 * circuit before any plug that asks for it, as far as the device allows; {@link #live} names the plugs where it does not.
 */
public final class OrderGraph {
    /** What a hand does. A thing on a cable is first lifted out of the way, and off once its cables are free. */
    public enum Act {
        SCREW_OUT,
        UNPLUG,
        LIFT,
        OFF
    }

    /** @param id of a screw, a plug, something inside, a part to carry over, or {@link ProfileDocument#FRONT} */
    public record Move(Act act, String id) {}

    public static final Move FRONT_OPEN = new Move(Act.LIFT, ProfileDocument.FRONT);
    public static final Move FRONT_OFF = new Move(Act.OFF, ProfileDocument.FRONT);

    private final ProfileDocument device;
    private final Graph<Move, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
    private final Graph<Move, DefaultEdge> backwards = new EdgeReversedGraph<>(graph);
    /** By how deep it lies, then as the profile lists it. */
    private final Map<Move, Integer> layers = new HashMap<>();

    private final List<Move> isolation;
    private final Set<Move> live;

    private OrderGraph(ProfileDocument device) {
        this.device = device;
        add(FRONT_OPEN, 0);
        add(FRONT_OFF, 0);
        device.inside().forEach(thing -> addThing(thing.id(), thing.layer()));
        device.carryOvers().forEach(part -> addThing(part.id(), part.layer()));
        screws().forEach(screw -> add(new Move(Act.SCREW_OUT, screw.id()), screw.layer()));
        device.connectors().forEach(plug -> add(unplug(plug), depth(plug.coveredBy())));
        before(FRONT_OPEN, FRONT_OFF);
        device.inside().forEach(thing -> reach(thing.coveredBy(), outOfTheWay(thing.id())));
        device.carryOvers().forEach(this::carryOver);
        screws().forEach(this::hold);
        device.connectors().forEach(this::plug);
        isolation = device.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY)
                .map(OrderGraph::unplug)
                .toList();
        Set<Move> first = upTo(isolation);
        live = device.connectors().stream()
                .filter(plug -> plug.role() != PlugRole.BATTERY && plug.needsIsolation())
                .map(OrderGraph::unplug)
                .filter(first::contains)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (loop().isEmpty()) {
            device.connectors().stream()
                    .filter(Connector::needsIsolation)
                    .map(OrderGraph::unplug)
                    .filter(plug -> !first.contains(plug))
                    .forEach(plug -> isolation.forEach(battery -> before(battery, plug)));
        }
    }

    /**
     * @throws NotAllowed when things lie over one another in a ring
     */
    public static OrderGraph of(ProfileDocument device) {
        OrderGraph order = new OrderGraph(device);
        List<String> loop = order.loop();
        if (!loop.isEmpty()) {
            throw new NotAllowed("coveredBy", String.join(", ", loop), "an order: none of them lies over itself");
        }
        return order;
    }

    /** Ids that lie over one another in a ring, or keep one another from coming off; empty for a right device. */
    static List<String> loop(ProfileDocument device) {
        return new OrderGraph(device).loop();
    }

    private List<String> loop() {
        return List.copyOf(new CycleDetector<>(graph)
                .findCycles().stream().map(Move::id).collect(Collectors.toCollection(TreeSet::new)));
    }

    private Stream<Screw> screws() {
        // A hole of a later layer stays as it is: nothing comes out of it.
        return device.screws().stream().filter(screw -> !screw.laterLayer());
    }

    private static Move unplug(Connector plug) {
        return new Move(Act.UNPLUG, plug.id());
    }

    private void add(Move move, int layer) {
        graph.addVertex(move);
        layers.put(move, layer);
    }

    private void addThing(String id, int layer) {
        if (onCable(id)) {
            add(new Move(Act.LIFT, id), layer);
            add(new Move(Act.OFF, id), layer);
            before(new Move(Act.LIFT, id), new Move(Act.OFF, id));
        } else {
            add(new Move(Act.OFF, id), layer);
        }
    }

    private boolean onCable(String id) {
        return !onFront(id)
                && device.connectors().stream()
                        .anyMatch(plug ->
                                plug.cable() != null && plug.cable().from().equals(id));
    }

    /** The move after which something is out of the way. */
    public Move outOfTheWay(String id) {
        return id.equals(ProfileDocument.FRONT) || onCable(id) ? new Move(Act.LIFT, id) : new Move(Act.OFF, id);
    }

    /** Names that lead nowhere are the check's to tell; they hold up nothing here. */
    private void before(Move first, Move then) {
        if (graph.containsVertex(first) && graph.containsVertex(then) && !first.equals(then)) {
            graph.addEdge(first, then);
        }
    }

    private void reach(List<String> coveredBy, Move move) {
        coveredBy.forEach(cover -> before(outOfTheWay(cover), move));
    }

    private int depth(List<String> coveredBy) {
        return coveredBy.stream()
                .map(this::outOfTheWay)
                .mapToInt(move -> layers.getOrDefault(move, 0) + 1)
                .max()
                .orElse(0);
    }

    private void carryOver(CarryOver part) {
        reach(part.coveredBy(), outOfTheWay(part.id()));
        if (onFront(part.id())) {
            before(FRONT_OFF, outOfTheWay(part.id()));
        }
    }

    private boolean onFront(String id) {
        return device.carryOvers().stream().anyMatch(part -> part.id().equals(id) && part.layer() == 0);
    }

    private void hold(Screw screw) {
        Move out = new Move(Act.SCREW_OUT, screw.id());
        reach(screw.coveredBy(), out);
        if (screw.holds() != null) {
            before(out, outOfTheWay(screw.holds()));
            // Its head lies on what it holds: what covers that covers the head.
            device.inside().stream()
                    .filter(thing -> thing.id().equals(screw.holds()))
                    .forEach(thing -> reach(thing.coveredBy(), out));
        }
    }

    private void plug(Connector plug) {
        Move unplug = unplug(plug);
        reach(plug.coveredBy(), unplug);
        if (plug.cable() != null) {
            // What sits on the front goes with it until it is moved: so does its cable.
            String keeps = onFront(plug.cable().from())
                    ? ProfileDocument.FRONT
                    : plug.cable().from();
            before(unplug, plug.cable().tight() ? outOfTheWay(keeps) : new Move(Act.OFF, keeps));
        }
    }

    /** All that must be off before a move, nearest and farthest. */
    public Set<Move> before(Move move) {
        Set<Move> found = new LinkedHashSet<>(upTo(List.of(move)));
        found.remove(move);
        return found;
    }

    private Set<Move> upTo(Collection<Move> goals) {
        Set<Move> found = new HashSet<>();
        goals.stream()
                .filter(graph::containsVertex)
                .forEach(goal -> new BreadthFirstIterator<>(backwards, goal).forEachRemaining(found::add));
        return found;
    }

    /** The moves that take the battery out of circuit; empty where the profile has no plug of a battery. */
    public List<Move> isolation() {
        return isolation;
    }

    /** Plugs that have to be freed while the battery is still in circuit, because the way to it leads over them. */
    public Set<Move> live() {
        return Collections.unmodifiableSet(live);
    }

    /** When the battery can be taken out of circuit; empty where the profile does not say where it is plugged in. */
    public Optional<BatteryReach> batteryReach() {
        if (isolation.isEmpty()) {
            return Optional.empty();
        }
        Set<Move> first = upTo(isolation);
        boolean underPanel = device.inside().stream()
                .anyMatch(thing -> thing.kind() == InsideKind.PANEL && first.contains(outOfTheWay(thing.id())));
        return Optional.of(
                underPanel
                        ? BatteryReach.UNDER_PANEL
                        : first.contains(FRONT_OPEN) ? BatteryReach.FRONT_OPEN : BatteryReach.BEFORE_HEAT);
    }

    /** What a repair needs off: the old front, what moves to the new one, the panel with what is behind it if that is new. */
    public List<Move> goals(Repair repair) {
        Set<String> panels = repair.parts().contains(PartKind.PANEL)
                ? device.inside().stream()
                        .filter(thing -> thing.kind() == InsideKind.PANEL)
                        .map(Inside::id)
                        .collect(Collectors.toSet())
                : Set.of();
        Stream<String> moved = device.carryOvers().stream()
                .filter(part -> part.layer() == 0 || part.coveredBy().stream().anyMatch(panels::contains))
                .map(CarryOver::id);
        return Stream.concat(
                        Stream.of(FRONT_OFF),
                        Stream.concat(panels.stream(), moved).map(id -> new Move(Act.OFF, id)))
                .toList();
    }

    /** Whether both are screws of one thing: out in one go, by one hand. */
    public boolean sameWork(Move one, Move other) {
        return one.act() == Act.SCREW_OUT
                && other.act() == Act.SCREW_OUT
                && screw(one.id()).holds() != null
                && screw(one.id()).holds().equals(screw(other.id()).holds());
    }

    private Screw screw(String id) {
        return screws().filter(screw -> screw.id().equals(id)).findFirst().orElseThrow();
    }

    /** Some moves that are made in one go, in bench words. */
    public String words(List<Move> moves) {
        Move move = moves.get(0);
        return switch (move.act()) {
            case SCREW_OUT ->
                moves.size() == 1
                        ? "screw " + move.id() + " out"
                        : moves.size() + " screws, " + move.id() + " to "
                                + moves.get(moves.size() - 1).id() + ", out";
            case UNPLUG ->
                device.connectors().stream()
                        .filter(plug -> plug.id().equals(move.id()))
                        .map(Connector::words)
                        .findFirst()
                        .orElseThrow();
            case LIFT -> move.equals(FRONT_OPEN) ? "front open" : called(move.id()) + ": lifted";
            case OFF -> move.equals(FRONT_OFF) ? "front off" : called(move.id()) + ": off";
        };
    }

    private String called(String id) {
        return Stream.concat(
                        device.inside().stream()
                                .filter(thing -> thing.id().equals(id))
                                .map(Inside::words),
                        device.carryOvers().stream()
                                .filter(part -> part.id().equals(id))
                                .map(CarryOver::words))
                .findFirst()
                .orElseThrow();
    }

    /**
     * The moves up to some goals, each after all that must be before it: to the battery first, and of those the plugs that
     * are still live last, so that the live stretch is as short as it can be; then layer by layer, cables that lie over one
     * another from the lowest up. Backwards it is an order of putting together.
     */
    public List<Move> order(Collection<Move> goals) {
        return order(goals, false);
    }

    /** Every screw and every plug, in such an order, with no plug before a screw that can be out before it. */
    List<Move> downToTheLastPlug() {
        return order(
                graph.vertexSet().stream()
                        .filter(move -> move.act() == Act.SCREW_OUT || move.act() == Act.UNPLUG)
                        .toList(),
                true);
    }

    private List<Move> order(Collection<Move> goals, boolean plugsLast) {
        Set<Move> first = upTo(isolation);
        Set<Move> wanted = new HashSet<>(upTo(goals));
        wanted.addAll(first);
        List<Move> listed = List.copyOf(graph.vertexSet());
        Map<Move, Integer> places = new HashMap<>();
        listed.forEach(move -> places.put(move, places.size()));
        Map<Move, Integer> stackOrders = device.connectors().stream()
                .collect(Collectors.toMap(OrderGraph::unplug, Connector::stackOrder, (one, other) -> one));
        Comparator<Move> sooner = Comparator.<Move, Boolean>comparing(move -> !first.contains(move))
                .thenComparing(live::contains)
                .thenComparing(
                        move -> plugsLast && move.act() == Act.UNPLUG ? stackOrders.get(move) : Integer.MIN_VALUE)
                .thenComparing(layers::get)
                .thenComparing(move -> stackOrders.getOrDefault(move, 0))
                .thenComparing(places::get);
        List<Move> order = new ArrayList<>();
        new TopologicalOrderIterator<>(new AsSubgraph<>(graph, wanted), sooner).forEachRemaining(order::add);
        return order;
    }
}
