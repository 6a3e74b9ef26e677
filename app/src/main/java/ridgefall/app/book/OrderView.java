package ridgefall.app.book;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.profile.OrderGraph;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Repair;

/** In which order one repair takes the device apart, as a person says it: screws of one thing in one breath. */
record OrderView(String repair, List<Off> moves) {

    /** @param live whether the battery is still in circuit when it should not be any more */
    record Off(String words, boolean isolates, boolean live) {}

    /** One a repair; the device must be one that comes apart. */
    static List<OrderView> of(ProfileDocument device) {
        OrderGraph graph = OrderGraph.of(device);
        return device.repairs().stream().map(repair -> of(graph, repair)).toList();
    }

    private static OrderView of(OrderGraph graph, Repair repair) {
        List<Off> told = new ArrayList<>();
        List<Move> order = graph.order(graph.goals(repair));
        for (int i = 0; i < order.size(); ) {
            Move move = order.get(i);
            int to = i + 1;
            while (move.act() == Act.SCREW_OUT && to < order.size() && graph.sameWork(move, order.get(to))) {
                to++;
            }
            told.add(new Off(
                    graph.words(order.subList(i, to)),
                    graph.isolation().contains(move),
                    graph.live().contains(move)));
            i = to;
        }
        return new OrderView(repair.words(), told);
    }
}
