package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.OrderGraph;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.strip.StripFact.Count;

/**
 * The open device as it lies there: what is off, what comes off now, and what lies over that. Nobody tells of every shield; what
 * had to be off for a plug that is free is off.
 *
 * @param onTheWay what comes off first, in bench words and in its order
 */
public record StripMap(List<Part> parts, List<Hole> holes, List<Plug> plugs, List<String> onTheWay) {
    public enum Lie {
        /** What the hand is at. */
        NOW,
        /** Over it: first of all. */
        OVER_IT,
        IN,
        OUT,
        /** A hole of a later layer: it stays empty until that is back. */
        STAYS_EMPTY
    }

    public record Part(Inside part, Lie lie) {}

    /** @param at where its screw is, as it was told; null while nothing was */
    public record Hole(Screw screw, Lie lie, ScrewAt at) {}

    public record Plug(Connector plug, Lie lie) {}

    /**
     * Screws that look alike in the hand.
     *
     * @param like one of them
     * @param now how many of them are in hand
     * @param hiddenNow how many of those are under something
     */
    public record Alike(String words, Screw like, int now, int hiddenNow) {}

    /** Every kind of screw of this device, the most of them first. */
    public List<Alike> alike() {
        return holes.stream()
                .collect(Collectors.groupingBy(hole -> looks(hole.screw()), LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .sorted(Comparator.comparing(kind -> -kind.getValue().size()))
                .map(kind -> alike(kind.getKey(), kind.getValue()))
                .toList();
    }

    private static Alike alike(String words, List<Hole> holes) {
        List<Screw> now = holes.stream()
                .filter(hole -> hole.lie() == Lie.NOW)
                .map(Hole::screw)
                .toList();
        return new Alike(words, holes.get(0).screw(), now.size(), (int)
                now.stream().filter(Screw::hidden).count());
    }

    /** What tells screws apart in the hand; they are metric whoever reads. */
    public static String looks(Screw screw) {
        return screw.underHeadMm() + " mm M" + screw.threadMm() + ", " + screw.head() + ", " + screw.driver();
    }

    /** @param stepId what is done next; null once nothing is */
    public static StripMap of(DeviceProfile profile, JobState state, String stepId) {
        ProfileDocument device = profile.document();
        OrderGraph order = OrderGraph.of(device);
        Optional<Screws> screws = Screws.of(profile, state);
        List<Screw> lit = screws.map(all -> all.lit(stepId)).orElse(List.of());
        Predicate<Screw> out = out(profile, state);
        Set<Move> done = done(profile, state, order);
        Optional<Move> now = move(device, order, stepId)
                .or(() -> lit.stream()
                        .filter(screw -> !Screws.goIn(stepId))
                        .map(StripMap::out)
                        .findFirst());
        Set<Move> over = new LinkedHashSet<>();
        now.ifPresent(move -> order.order(List.of(move)).stream()
                .filter(order.before(move)::contains)
                .filter(before -> !done.contains(before))
                .forEach(over::add));
        return new StripMap(
                device.inside().stream()
                        .map(thing -> new Part(thing, lie(done, over, now, order.outOfTheWay(thing.id()), off(thing))))
                        .toList(),
                device.screws().stream()
                        .map(screw -> new Hole(
                                screw,
                                lie(screw, out.test(screw), lit.contains(screw)),
                                StripState.of(state).holes().get(screw.id())))
                        .toList(),
                device.connectors().stream()
                        .map(plug -> new Plug(
                                plug,
                                StripStation.homeStep(plug).equals(stepId)
                                        ? Lie.NOW
                                        : lie(done, over, now, unplug(plug))))
                        .toList(),
                words(device, order, List.copyOf(over), out));
    }

    /**
     * What still lies over some plugs, in no order; the battery comes out of circuit for all of them, and is not among it.
     *
     * @param sealed it was put together since
     */
    public static Set<Move> over(DeviceProfile profile, JobState state, List<Connector> plugs, boolean sealed) {
        Set<Move> over = new HashSet<>();
        plugs.forEach(plug -> over.addAll(profile.stripOrder().overPlugs().getOrDefault(plug.id(), Set.of())));
        if (!sealed && !over.isEmpty()) {
            over.removeAll(done(profile, state, OrderGraph.of(profile.document())));
        }
        return over;
    }

    private static Set<Move> done(DeviceProfile profile, JobState state, OrderGraph order) {
        ProfileDocument device = profile.document();
        Set<Move> done = new HashSet<>(Set.of(OrderGraph.FRONT_OPEN));
        for (Connector plug : device.connectors()) {
            if (out(plug, state)) {
                done.add(unplug(plug));
                done.addAll(order.before(unplug(plug)));
            }
        }
        boolean panelUp = state.passed(StripStation.PANEL_UP);
        device.inside().stream()
                .filter(thing -> panelUp && thing.kind() == InsideKind.PANEL)
                .forEach(panel -> {
                    done.add(order.outOfTheWay(panel.id()));
                    done.addAll(order.before(order.outOfTheWay(panel.id())));
                });
        device.screws().stream().filter(out(profile, state)).map(StripMap::out).forEach(done::add);
        return done;
    }

    private static Predicate<Screw> out(DeviceProfile profile, JobState state) {
        StripState stripped = StripState.of(state);
        Optional<Screws> screws = Screws.of(profile, state);
        return screw -> screws.map(all -> all.out(screw)).orElseGet(() -> counted(stripped));
    }

    private static boolean counted(StripState stripped) {
        return stripped.screws(Count.OUT).isPresent()
                && stripped.screws(Count.IN).isEmpty();
    }

    private static Move out(Screw screw) {
        return new Move(Act.SCREW_OUT, screw.id());
    }

    private static boolean out(Connector plug, JobState state) {
        return StripState.of(state).plugFreed(plug.id())
                || plug.role() == PlugRole.BATTERY && StripState.isolated(state);
    }

    private static Move unplug(Connector plug) {
        return new Move(Act.UNPLUG, plug.id());
    }

    private static Move off(Inside thing) {
        return new Move(Act.OFF, thing.id());
    }

    private static Optional<Move> move(ProfileDocument device, OrderGraph order, String stepId) {
        if (StripStation.PANEL_UP.equals(stepId)) {
            return device.inside().stream()
                    .filter(thing -> thing.kind() == InsideKind.PANEL)
                    .map(panel -> order.outOfTheWay(panel.id()))
                    .findFirst();
        }
        return device.connectors().stream()
                .filter(plug -> StripStation.stepOf(plug).equals(stepId))
                .map(StripMap::unplug)
                .findFirst();
    }

    private static Lie lie(Set<Move> done, Set<Move> over, Optional<Move> now, Move... moves) {
        List<Move> its = List.of(moves);
        if (its.stream().anyMatch(done::contains)) {
            return Lie.OUT;
        } else if (now.filter(its::contains).isPresent()) {
            return Lie.NOW;
        }
        return its.stream().anyMatch(over::contains) ? Lie.OVER_IT : Lie.IN;
    }

    private static Lie lie(Screw screw, boolean out, boolean now) {
        if (screw.laterLayer()) {
            return Lie.STAYS_EMPTY;
        } else if (now) {
            return Lie.NOW;
        }
        return out ? Lie.OUT : Lie.IN;
    }

    /** Screws of one thing are one piece of work; of what comes off it is said how. */
    private static List<String> words(
            ProfileDocument device, OrderGraph order, List<Move> moves, Predicate<Screw> out) {
        List<String> words = new ArrayList<>();
        List<Move> one = new ArrayList<>();
        for (Move move : moves) {
            if (!one.isEmpty() && !order.sameWork(one.get(0), move)) {
                words.add(told(device, order, one, out));
                one = new ArrayList<>();
            }
            one.add(move);
        }
        if (!one.isEmpty()) {
            words.add(told(device, order, one, out));
        }
        return words;
    }

    private static String told(ProfileDocument device, OrderGraph order, List<Move> one, Predicate<Screw> out) {
        return device.inside().stream()
                .filter(thing ->
                        List.of(off(thing), order.outOfTheWay(thing.id())).contains(one.get(0)))
                .findFirst()
                .map(thing -> thing.words() + " ("
                        + (thing.hold() == InsideHold.SCREWED && unscrewed(device, thing, out)
                                ? "its screws are out"
                                : thing.hold().words())
                        + ")")
                .orElseGet(() -> order.words(one));
    }

    private static boolean unscrewed(ProfileDocument device, Inside thing, Predicate<Screw> out) {
        return device.screws().stream()
                .filter(screw -> thing.id().equals(screw.holds()) && !screw.laterLayer())
                .allMatch(out);
    }
}
