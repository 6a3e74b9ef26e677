package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Cable;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Family;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.units.NotAllowed;

class OrderGraphTest {

    private static List<String> told(List<Move> moves) {
        return moves.stream().map(move -> move.act() + " " + move.id()).toList();
    }

    private static List<Move> order(ProfileDocument device, String repairId) {
        OrderGraph graph = OrderGraph.of(device);
        Repair repair = device.repairs().stream()
                .filter(r -> r.id().equals(repairId))
                .findFirst()
                .orElseThrow();
        return graph.order(graph.goals(repair));
    }

    @Test
    void theBatteryIsTheFirstThingOutOfCircuit() {
        // Both screws of its bridge, the bridge, the plug: nothing else before it.
        assertThat(told(order(ShippedBook.document("marrowby-quire-11"), "fused-front")))
                .startsWith("LIFT front", "SCREW_OUT cover-5", "SCREW_OUT cover-6", "OFF battery-bridge")
                .containsSubsequence(
                        "UNPLUG battery-plug",
                        "OFF plug-shield",
                        "UNPLUG display-plug",
                        "UNPLUG touch-plug",
                        "OFF front");
        assertThat(OrderGraph.of(ShippedBook.document("marrowby-quire-11")).live())
                .isEmpty();
    }

    @Test
    void aBatteryBehindTheBackIsOutBeforeTheFrontIsOpened() {
        assertThat(told(order(ShippedBook.document("drumlin-crate-10"), "clipped-front")))
                .startsWith(
                        "SCREW_OUT hatch-1",
                        "SCREW_OUT hatch-2",
                        "SCREW_OUT hatch-3",
                        "OFF hatch",
                        "UNPLUG battery-plug",
                        "LIFT front");
    }

    @Test
    void underThePanelOnePlugIsFreedLiveAndThatIsSaid() {
        ProfileDocument quire = ShippedBook.document("marrowby-quire-8");
        OrderGraph graph = OrderGraph.of(quire);
        assertThat(graph.live()).containsExactly(new Move(Act.UNPLUG, "panel-plug"));
        assertThat(graph.batteryReach()).contains(BatteryReach.UNDER_PANEL);
        // All that can be done before is done before: the panel's own screws are out when its plug is freed.
        assertThat(told(order(quire, "glass")))
                .containsSubsequence("SCREW_OUT panel-4", "UNPLUG panel-plug", "LIFT panel", "OFF hidden-tape")
                .containsSubsequence(
                        "OFF plate", "UNPLUG battery-card", "UNPLUG touch-latch", "OFF front", "OFF home-key");
    }

    @Test
    void whatARepairDoesNotNeedStaysIn() {
        assertThat(told(order(ShippedBook.document("brackenholt-tarn-10"), "glass")))
                .contains("OFF antenna", "OFF sensor-strip")
                .doesNotContain("UNPLUG panel-plug", "OFF panel", "SCREW_OUT panel-1");
        assertThat(told(order(ShippedBook.document("brackenholt-tarn-10"), "panel")))
                .contains("OFF panel");
    }

    @Test
    void aHoleOfALaterLayerGivesNothing() {
        assertThat(OrderGraph.of(ShippedBook.document("marrowby-quire-8")).before(OrderGraph.FRONT_OFF))
                .doesNotContain(new Move(Act.SCREW_OUT, "later-1"))
                .contains(new Move(Act.SCREW_OUT, "plate-long-1"));
    }

    @Test
    void withoutABatterysPlugNobodyCanSayWhatIsLive() {
        ProfileDocument unknown = ShippedBook.changed(
                "class-watch", d -> ((tools.jackson.databind.node.ArrayNode) d.get("connectors")).remove(0));
        assertThat(OrderGraph.of(unknown).isolation()).isEmpty();
        assertThat(OrderGraph.of(unknown).batteryReach()).isEmpty();
    }

    @Test
    void thingsThatLieOverOneAnotherInARingAreNamed() {
        ProfileDocument ring = ShippedBook.changed(
                "class-tablet-metal",
                d -> ShippedBook.put(
                        d,
                        "inside",
                        List.of(
                                thing("one", List.of("two")),
                                thing("two", List.of("one")),
                                thing("three", List.of()))));
        assertThatThrownBy(() -> OrderGraph.of(ring))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("coveredBy is one, two");
    }

    // --- properties, judged by a bench that knows covers, screws and cables and nothing of graphs
    // ---------------------

    private static Inside thing(String id, List<String> coveredBy) {
        return new Inside(id, id, InsideKind.PLATE, InsideHold.SCREWED, null, 1, coveredBy);
    }

    static Stream<ProfileDocument> devices() {
        Random random = new Random(17);
        return Stream.concat(
                ShippedBook.documents()
                        .flatMap(d -> Stream.concat(
                                Stream.of(d), d.variants().stream().map(d::as))),
                IntStream.range(0, 400)
                        .mapToObj(n -> random(random))
                        .filter(d -> OrderGraph.loop(d).isEmpty()));
    }

    private static ProfileDocument random(Random random) {
        List<String> over = new ArrayList<>(List.of(ProfileDocument.FRONT));
        List<Inside> inside = new ArrayList<>();
        for (int n = 0; n < 1 + random.nextInt(6); n++) {
            inside.add(thing("t" + n, some(over, random)));
            over.add("t" + n);
        }
        List<Screw> screws = IntStream.range(0, random.nextInt(8))
                .mapToObj(n -> new Screw(
                        "s" + n,
                        1,
                        1,
                        "cross",
                        1.4,
                        3,
                        "flat",
                        null,
                        null,
                        1 + random.nextInt(3),
                        false,
                        random.nextInt(9) == 0,
                        some(over, random),
                        random.nextInt(5) == 0 ? null : over.get(random.nextInt(over.size()))))
                .toList();
        List<Connector> plugs = IntStream.range(0, 1 + random.nextInt(5))
                .mapToObj(n -> new Connector(
                        "p" + n,
                        "plug",
                        Family.FLEX,
                        n == 0 ? PlugRole.BATTERY : PlugRole.TOUCH,
                        null,
                        1 + n,
                        null,
                        n > 0 && random.nextInt(4) > 0,
                        null,
                        some(over, random),
                        random.nextInt(5) == 0
                                ? null
                                : new Cable(over.get(random.nextInt(over.size())), random.nextInt(3) == 0, List.of())))
                .toList();
        return ShippedBook.changed("class-tablet-metal", d -> {
            ShippedBook.put(d, "inside", inside);
            ShippedBook.put(d, "screws", screws);
            ShippedBook.put(d, "connectors", plugs);
        });
    }

    private static List<String> some(List<String> of, Random random) {
        return of.stream().filter(id -> random.nextInt(3) == 0).toList();
    }

    /** A device on a bench: what has been taken off decides what a hand can do. */
    private static final class OnTheBench {
        private final ProfileDocument device;
        private final Set<Move> done = new HashSet<>();

        OnTheBench(ProfileDocument device) {
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
                            device.inside().stream()
                                    .filter(t -> t.id().equals(id))
                                    .map(Inside::coveredBy),
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
    }

    @ParameterizedTest
    @MethodSource("devices")
    void everyMoveCanBeMadeWhenItsTurnComes(ProfileDocument device) {
        OrderGraph graph = OrderGraph.of(device);
        for (Repair repair : device.repairs()) {
            OnTheBench bench = new OnTheBench(device);
            for (Move move : graph.order(graph.goals(repair))) {
                assertThat(bench.can(move)).as("%s of %s", move, device.id()).isTrue();
                bench.done.add(move);
            }
            assertThat(bench.done).contains(OrderGraph.FRONT_OFF);
        }
    }

    /** What is plugged, driven or laid back must not be needed open by something that is still to come back. */
    @ParameterizedTest
    @MethodSource("devices")
    void backwardsItIsAnOrderOfPuttingTogether(ProfileDocument device) {
        OrderGraph graph = OrderGraph.of(device);
        List<Move> order = graph.order(graph.goals(device.repairs().get(0)));
        OnTheBench bench = new OnTheBench(device);
        bench.done.addAll(order);
        for (int i = order.size() - 1; i >= 0; i--) {
            bench.done.remove(order.get(i));
            Set<Move> off = Set.copyOf(bench.done);
            // Whoever opened it up again here would get no farther than what is still off.
            OnTheBench again = new OnTheBench(device);
            List<Move> left = new ArrayList<>(off);
            while (left.removeIf(move -> again.can(move) && again.done.add(move))) {}
            assertThat(left).isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("devices")
    void noPlugIsFreedLiveThatCouldHaveWaited(ProfileDocument device) {
        OrderGraph graph = OrderGraph.of(device);
        List<Move> order = graph.order(graph.goals(device.repairs().get(0)));
        List<Move> isolation = graph.isolation();
        int isolated = isolation.stream().mapToInt(order::indexOf).max().orElseThrow();
        Set<Move> freedLive = device.connectors().stream()
                .filter(plug -> plug.needsIsolation() && plug.role() != PlugRole.BATTERY)
                .map(plug -> new Move(Act.UNPLUG, plug.id()))
                .filter(move -> order.contains(move) && order.indexOf(move) < isolated)
                .collect(Collectors.toSet());
        assertThat(freedLive).isEqualTo(graph.live());
        // Each of them is in the way: with all else done the battery is out of reach.
        for (Move live : graph.live()) {
            assertThat(all(device, Set.of(live)).containsAll(isolation))
                    .as("without %s", live)
                    .isFalse();
        }
        // The live stretch holds only what could not be done before it began.
        if (!graph.live().isEmpty()) {
            Set<Move> cold = all(device, graph.live());
            int began = graph.live().stream().mapToInt(order::indexOf).min().orElseThrow();
            assertThat(order.subList(began, isolated)).noneMatch(cold::contains);
        }
    }

    /** All that can be done by hands that never free these plugs. */
    private static Set<Move> all(ProfileDocument device, Set<Move> never) {
        Set<Move> every = new HashSet<>();
        device.screws().forEach(s -> every.add(new Move(Act.SCREW_OUT, s.id())));
        device.connectors().forEach(plug -> every.add(new Move(Act.UNPLUG, plug.id())));
        Stream.concat(
                        Stream.of(ProfileDocument.FRONT),
                        Stream.concat(
                                device.inside().stream().map(Inside::id),
                                device.carryOvers().stream().map(ProfileDocument.CarryOver::id)))
                .forEach(id -> {
                    every.add(new Move(Act.LIFT, id));
                    every.add(new Move(Act.OFF, id));
                });
        every.removeAll(never);
        OnTheBench bench = new OnTheBench(device);
        while (every.removeIf(move -> bench.can(move) && bench.done.add(move))) {}
        return bench.done;
    }
}
