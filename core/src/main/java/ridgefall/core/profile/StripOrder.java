package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * What a hand is asked for on the way down: screws and plugs in an order that the device allows, the battery out of circuit as early as it
 * can be. Backwards it is the way to put it together. Holes of a later layer have nothing to take out.
 *
 * @param underAPlug ids of screws that no driver reaches while some plug is home: on the way back they are driven before it
 * @param overPlugs what must be off before each plug, by its id; the front, and the battery out of circuit, are not among it
 * @param overScrews the same of each screw
 */
public record StripOrder(
        List<Stage> stages,
        Set<String> underAPlug,
        Map<String, Set<Move>> overPlugs,
        Map<String, Set<Move>> overScrews) {
    /** When screws come out. */
    public enum When {
        /** On the way to the battery's plug. */
        TO_BATTERY,
        /** On that way too, but not to be reached before the panel is up. */
        UNDER_PANEL,
        ISOLATED
    }

    public sealed interface Stage {
        /** @param nth of its kind; 1 is the first */
        record Unscrew(When when, int nth, List<Screw> screws) implements Stage {}

        /** @param live its battery is still in circuit, and it should not be */
        record Free(Connector plug, boolean live) implements Stage {}

        record LiftPanel() implements Stage {}

        /** The battery out of circuit. */
        record Isolate() implements Stage {}
    }

    /** To the tray and back; with the right tool in the hand. */
    private static final double SCREW_S = 8;

    private static final double PLUG_S = 15;
    private static final double PANEL_S = 30;
    private static final double THING_S = 10;

    public StripOrder {
        stages = List.copyOf(stages);
        underAPlug = Set.copyOf(underAPlug);
        overPlugs = Map.copyOf(overPlugs);
        overScrews = Map.copyOf(overScrews);
    }

    static StripOrder of(ProfileDocument device) {
        // What lies over itself is the check's to tell.
        return OrderGraph.loop(device).isEmpty() ? new Walk(device, OrderGraph.of(device)).order() : asListed(device);
    }

    private static StripOrder asListed(ProfileDocument device) {
        List<Screw> screws =
                device.screws().stream().filter(screw -> !screw.laterLayer()).toList();
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage.Isolate());
        if (!screws.isEmpty()) {
            stages.add(new Stage.Unscrew(When.ISOLATED, 1, screws));
        }
        device.connectors().stream()
                .filter(plug -> plug.role() != PlugRole.BATTERY)
                .forEach(plug -> stages.add(new Stage.Free(plug, false)));
        return new StripOrder(stages, Set.of(), Map.of(), Map.of());
    }

    /** Every screw there is to take out, in that order. */
    public List<Screw> screws() {
        return unscrewed().flatMap(some -> some.screws().stream()).toList();
    }

    public Stream<Stage.Unscrew> unscrewed() {
        return stages.stream().filter(Stage.Unscrew.class::isInstance).map(Stage.Unscrew.class::cast);
    }

    /** Ids of the plugs that the way to the battery leads over; the battery is in circuit while they are freed. */
    public Set<String> plugsBeforeIsolation() {
        return stages.subList(0, stages.indexOf(new Stage.Isolate())).stream()
                .filter(Stage.Free.class::isInstance)
                .map(stage -> ((Stage.Free) stage).plug().id())
                .collect(Collectors.toSet());
    }

    /** The stretch with a plug off that should not be while the battery is in, until that is out; empty where there is none. */
    public Optional<Live> live() {
        int isolate = stages.indexOf(new Stage.Isolate());
        return IntStream.range(0, isolate)
                .filter(i -> stages.get(i) instanceof Stage.Free free && free.live())
                .boxed()
                .findFirst()
                .map(first -> live(stages.subList(first, isolate)));
    }

    private static Live live(List<Stage> stretch) {
        int screws = stretch.stream()
                .filter(Stage.Unscrew.class::isInstance)
                .mapToInt(stage -> ((Stage.Unscrew) stage).screws().size())
                .sum();
        long plugs = stretch.stream().filter(Stage.Free.class::isInstance).count();
        long panels = stretch.stream().filter(Stage.LiftPanel.class::isInstance).count();
        double seconds = SCREW_S * screws + PLUG_S * (plugs + 1) + PANEL_S * panels;
        return new Live(((Stage.Free) stretch.get(0)).plug(), screws, (int) Math.ceil(seconds / 60));
    }

    /** Seconds of a hand that is used to it, for a move of taking it apart or of putting it together. */
    public static double seconds(ProfileDocument device, Move move) {
        return switch (move.act()) {
            case SCREW_OUT -> SCREW_S;
            case UNPLUG -> PLUG_S;
            case LIFT, OFF ->
                device.inside().stream()
                                .anyMatch(thing -> thing.kind() == InsideKind.PANEL
                                        && thing.id().equals(move.id()))
                        ? PANEL_S
                        : THING_S;
        };
    }

    /**
     * @param from the plug that is freed first
     * @param screws that have to come out meanwhile
     * @param minutes of a hand that is used to it
     */
    public record Live(Connector from, int screws, int minutes) {}

    /** One walk down a device, which gathers screws that come out one after the other. */
    private static final class Walk {
        private final ProfileDocument device;
        private final OrderGraph graph;
        private final Set<Move> panelsUp;
        private final List<Stage> stages = new ArrayList<>();
        private final List<Screw> inHand = new ArrayList<>();
        private final Map<When, Integer> sofar = new EnumMap<>(When.class);
        private When when = When.TO_BATTERY;

        Walk(ProfileDocument device, OrderGraph graph) {
            this.device = device;
            this.graph = graph;
            panelsUp = device.inside().stream()
                    .filter(thing -> thing.kind() == InsideKind.PANEL)
                    .map(panel -> graph.outOfTheWay(panel.id()))
                    .collect(Collectors.toSet());
        }

        StripOrder order() {
            if (graph.isolation().isEmpty()) {
                if (device.body().batteryReach() == BatteryReach.UNDER_PANEL) {
                    then(new Stage.LiftPanel());
                }
                isolated();
            }
            List<Move> moves = graph.downToTheLastPlug();
            for (Move move : moves) {
                switch (move.act()) {
                    case SCREW_OUT -> inHand.add(find(device.screws(), screw -> screw.id(), move));
                    case UNPLUG -> unplug(find(device.connectors(), plug -> plug.id(), move), moves);
                    case LIFT, OFF -> {
                        if (panelsUp.contains(move) && when == When.TO_BATTERY) {
                            then(new Stage.LiftPanel());
                            when = When.UNDER_PANEL;
                        }
                    }
                }
            }
            gathered();
            return new StripOrder(
                    stages,
                    device.screws().stream()
                            .filter(screw -> graph.before(new Move(Act.SCREW_OUT, screw.id())).stream()
                                    .anyMatch(before -> before.act() == Act.UNPLUG))
                            .map(Screw::id)
                            .collect(Collectors.toSet()),
                    device.connectors().stream()
                            .collect(Collectors.toMap(Connector::id, plug -> over(Act.UNPLUG, plug.id()), (a, b) -> a)),
                    device.screws().stream()
                            .collect(Collectors.toMap(
                                    Screw::id, screw -> over(Act.SCREW_OUT, screw.id()), (a, b) -> a)));
        }

        private Set<Move> over(Act act, String id) {
            return graph.before(new Move(act, id)).stream()
                    .filter(move -> !move.equals(OrderGraph.FRONT_OPEN)
                            && !graph.isolation().contains(move))
                    .collect(Collectors.toSet());
        }

        private static <T> T find(List<T> all, java.util.function.Function<T, String> id, Move move) {
            return all.stream()
                    .filter(one -> id.apply(one).equals(move.id()))
                    .findFirst()
                    .orElseThrow();
        }

        private void unplug(Connector plug, List<Move> moves) {
            if (plug.role() != PlugRole.BATTERY) {
                then(new Stage.Free(plug, when != When.ISOLATED && plug.needsIsolation()));
            } else if (graph.isolation().stream()
                            .map(moves::indexOf)
                            .max(Integer::compare)
                            .orElseThrow()
                    == moves.indexOf(new Move(Act.UNPLUG, plug.id()))) {
                isolated();
            }
        }

        private void isolated() {
            then(new Stage.Isolate());
            when = When.ISOLATED;
        }

        private void then(Stage stage) {
            gathered();
            stages.add(stage);
        }

        private void gathered() {
            if (!inHand.isEmpty()) {
                int nth = sofar.merge(when, 1, Integer::sum);
                stages.add(new Stage.Unscrew(when, nth, List.copyOf(inHand)));
                inHand.clear();
            }
        }
    }
}
