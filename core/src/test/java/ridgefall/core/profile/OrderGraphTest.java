package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Repair;
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
                                RandomDevice.thing("one", List.of("two")),
                                RandomDevice.thing("two", List.of("one")),
                                RandomDevice.thing("three", List.of()))));
        assertThatThrownBy(() -> OrderGraph.of(ring))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("coveredBy is one, two");
    }

    // --- properties, judged by a bench that knows covers, screws and cables and nothing of graphs
    // ---------------------

    static Stream<ProfileDocument> devices() {
        return Stream.concat(
                ShippedBook.documents()
                        .flatMap(d -> Stream.concat(
                                Stream.of(d), d.variants().stream().map(d::as))),
                RandomDevice.thatComeApart(17, Integer.getInteger("ridgefall.made", 120)));
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
            assertThat(isolation.stream().allMatch(battery -> OnTheBench.reaches(device, battery, live)))
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
