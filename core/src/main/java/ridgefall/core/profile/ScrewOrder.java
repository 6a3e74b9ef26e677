package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * When which screws come out, so that the battery is out of circuit as early as the device allows; each list as a hand goes, what is
 * reached first before what lies under it. Holes of a later layer have nothing to take out.
 *
 * @param toBattery on the way to the battery's plug
 * @param underPanel on that way too, but not to be reached before the panel is up
 * @param rest once the battery is out of circuit
 */
public record ScrewOrder(List<Screw> toBattery, List<Screw> underPanel, List<Screw> rest) {
    static ScrewOrder of(ProfileDocument device) {
        List<Screw> screws =
                device.screws().stream().filter(screw -> !screw.laterLayer()).toList();
        // What lies over itself is the check's to tell.
        if (screws.isEmpty() || !OrderGraph.loop(device).isEmpty()) {
            return new ScrewOrder(List.of(), List.of(), screws);
        }
        OrderGraph graph = OrderGraph.of(device);
        Set<Move> first = new HashSet<>();
        graph.isolation().forEach(battery -> first.addAll(graph.before(battery)));
        Set<String> panels = new HashSet<>();
        device.inside().stream()
                .filter(thing -> thing.kind() == InsideKind.PANEL)
                .forEach(panel -> panels.add(panel.id()));
        List<Screw> toBattery = new ArrayList<>();
        List<Screw> underPanel = new ArrayList<>();
        List<Screw> rest = new ArrayList<>();
        for (Move move : graph.order(screws.stream().map(ScrewOrder::out).toList())) {
            for (Screw screw : screws) {
                if (out(screw).equals(move)) {
                    boolean under = graph.before(move).stream().anyMatch(before -> panels.contains(before.id()));
                    (first.contains(move) ? under ? underPanel : toBattery : rest).add(screw);
                }
            }
        }
        return new ScrewOrder(List.copyOf(toBattery), List.copyOf(underPanel), List.copyOf(rest));
    }

    private static Move out(Screw screw) {
        return new Move(Act.SCREW_OUT, screw.id());
    }

    /** Every screw there is to take out, in that order. */
    public List<Screw> all() {
        return Stream.of(toBattery, underPanel, rest).flatMap(List::stream).toList();
    }
}
