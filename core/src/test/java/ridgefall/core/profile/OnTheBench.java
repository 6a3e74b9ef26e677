package ridgefall.core.profile;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;

/** A device on a bench: what has been taken off decides what a hand can do. */
public final class OnTheBench {
    private final ProfileDocument device;
    final Set<Move> done = new HashSet<>();

    public OnTheBench(ProfileDocument device) {
        this.device = device;
    }

    boolean outOfTheWay(String id) {
        return done.contains(new Move(Act.LIFT, id)) || done.contains(new Move(Act.OFF, id));
    }

    boolean free(Connector plug) {
        return done.contains(new Move(Act.UNPLUG, plug.id()));
    }

    List<Connector> cablesOf(String id) {
        Set<String> onIt = new HashSet<>(Set.of(id));
        if (id.equals(ProfileDocument.FRONT)) {
            device.carryOvers().stream().filter(part -> part.layer() == 0).forEach(part -> onIt.add(part.id()));
        }
        return device.connectors().stream()
                .filter(plug ->
                        plug.cable() != null && onIt.contains(plug.cable().from()))
                .toList();
    }

    List<String> covers(String id) {
        return Stream.concat(
                        device.inside().stream().filter(t -> t.id().equals(id)).map(Inside::coveredBy),
                        device.carryOvers().stream()
                                .filter(part -> part.id().equals(id))
                                .map(ProfileDocument.CarryOver::coveredBy))
                .flatMap(List::stream)
                .toList();
    }

    boolean can(Move move) {
        String id = move.id();
        return switch (move.act()) {
            case SCREW_OUT ->
                device.screws().stream()
                        .filter(s -> s.id().equals(id) && !s.laterLayer())
                        .anyMatch(s -> Stream.concat(
                                        s.coveredBy().stream(),
                                        s.holds() == null ? Stream.of() : covers(s.holds()).stream())
                                .allMatch(this::outOfTheWay));
            case UNPLUG ->
                device.connectors().stream()
                        .filter(plug -> plug.id().equals(id))
                        .allMatch(plug -> plug.coveredBy().stream().allMatch(this::outOfTheWay));
            case LIFT, OFF ->
                covers(id).stream().allMatch(this::outOfTheWay)
                        && device.screws().stream()
                                .filter(s -> id.equals(s.holds()) && !s.laterLayer())
                                .allMatch(s -> done.contains(new Move(Act.SCREW_OUT, s.id())))
                        && cablesOf(id).stream()
                                .allMatch(plug -> free(plug)
                                        || move.act() == Act.LIFT
                                                && !plug.cable().tight());
        };
    }

    /** What a hand does when it is asked for a screw or a plug: whatever can be lifted off it, then that. */
    public boolean doneFromAbove(Move move) {
        everyThing().forEach(this::doneIfItCan);
        return doneIfItCan(move);
    }

    private boolean doneIfItCan(Move move) {
        return done.contains(move) || can(move) && done.add(move);
    }

    /** Every lift and every off, often enough that what one of them frees is found. */
    private Stream<Move> everyThing() {
        List<Move> things = Stream.of(
                        Stream.of(ProfileDocument.FRONT),
                        device.inside().stream().map(Inside::id),
                        device.carryOvers().stream().map(ProfileDocument.CarryOver::id))
                .flatMap(ids -> ids)
                .flatMap(id -> Stream.of(new Move(Act.LIFT, id), new Move(Act.OFF, id)))
                .toList();
        return Collections.nCopies(things.size(), things).stream().flatMap(List::stream);
    }

    /**
     * Puts a screw or a plug back, with what has to lie there before it.
     *
     * @return screws and plugs that are out still and can't be got back in once this is done
     */
    public Set<Move> putBack(Move move) {
        done.remove(move);
        OnTheBench again = new OnTheBench(device);
        Set<Move> left = new HashSet<>(done);
        while (left.removeIf(one -> again.can(one) && again.done.add(one))) {}
        done.removeAll(left);
        left.removeIf(one -> one.act() == Act.LIFT || one.act() == Act.OFF);
        return left;
    }

    /** Whether hands that never free a plug get to another. */
    public static boolean reaches(ProfileDocument device, Move goal, Move never) {
        OnTheBench bench = new OnTheBench(device);
        Set<Move> left = new HashSet<>();
        device.screws().forEach(s -> left.add(new Move(Act.SCREW_OUT, s.id())));
        device.connectors().forEach(plug -> left.add(new Move(Act.UNPLUG, plug.id())));
        bench.everyThing().forEach(left::add);
        left.remove(never);
        while (left.removeIf(move -> bench.can(move) && bench.done.add(move))) {}
        return bench.done.contains(goal);
    }
}
