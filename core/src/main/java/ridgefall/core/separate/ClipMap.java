package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Turn;
import ridgefall.core.profile.Beneath;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;

/**
 * The clips that hold a front, in the order in which they come free: begun where nothing lies beneath, on from clip to clip
 * beside what is free, over cameras and cables late, those of the hinge edge last. The order is the cheapest by the cost of a
 * cut ({@link CutOrder}): a clip stands for the edge it holds.
 */
public final class ClipMap {
    /** The front gives least where two edges stiffen each other. */
    private static final double STIFF_MM = 25;

    private static final double STIFF_DIFFICULTY = 2;
    private static final double NOTHING_BENEATH = 0.05;

    private final DeviceProfile profile;
    private final List<EdgeFeature> clips;
    private final List<Stretch> held;

    public ClipMap(DeviceProfile profile) {
        this.profile = profile;
        this.clips = profile.features().stream()
                .filter(feature -> feature.kind() == EdgeFeature.Kind.CLIP)
                .sorted(Comparator.comparing(clip -> middleMm(profile, clip)))
                .toList();
        List<Stretch> edges = new ArrayList<>();
        for (int i = 0; i < clips.size(); i++) {
            edges.add(held(i));
        }
        this.held = List.copyOf(edges);
    }

    /**
     * One clip to free.
     *
     * @param clockwise the way the tool comes along the seam
     * @param newEntry whether nothing beside it is free
     * @param beneath what the tool could harm, the worst first
     * @param stiff whether the front gives little here
     */
    public record Move(EdgeFeature clip, boolean clockwise, boolean newEntry, List<Beneath> beneath, boolean stiff) {}

    /** The edge that a clip holds. */
    public EdgeInterval held(EdgeFeature clip) {
        return held.get(clips.indexOf(clip)).where();
    }

    /** Ids, clockwise. */
    public List<String> ids() {
        return clips.stream().map(EdgeFeature::id).toList();
    }

    /**
     * Those that still hold, in their order.
     *
     * @param freedInOrder ids of clips already free, the latest last
     */
    public List<Move> moves(List<String> freedInOrder) {
        if (clips.isEmpty()) {
            return List.of();
        }
        CutCost cost = new CutCost(held);
        int freed = 0;
        int last = -1;
        for (String id : freedInOrder) {
            last = ids().indexOf(id);
            freed |= 1 << last;
        }
        List<Move> moves = new ArrayList<>();
        for (int index : new CutOrder(held).from(freed, last).order()) {
            boolean entry = cost.entry(freed, index);
            boolean clockwise = entry || CutCost.has(freed, cost.before(index));
            moves.add(new Move(clips.get(index), clockwise, entry, beneath(clips.get(index)), stiff(clips.get(index))));
            freed |= 1 << index;
        }
        return moves;
    }

    /** Clips of one edge that are pressed home one after the other. */
    public record Closing(Landmark edge, List<EdgeFeature> clips) {}

    /** The way back: the hinge edge first, the clip it was begun at last, each edge as far as it goes in one go. */
    public List<Closing> closing() {
        List<EdgeFeature> back =
                new ArrayList<>(moves(List.of()).stream().map(Move::clip).toList());
        Collections.reverse(back);
        List<Closing> closing = new ArrayList<>();
        for (EdgeFeature clip : back) {
            Landmark edge = edge(clip);
            Closing latest = closing.isEmpty() ? null : closing.get(closing.size() - 1);
            if (latest != null && latest.edge() == edge) {
                latest.clips().add(clip);
            } else {
                closing.add(new Closing(edge, new ArrayList<>(List.of(clip))));
            }
        }
        return closing;
    }

    private Landmark edge(EdgeFeature clip) {
        return profile.edge().landmarkAt(middleMm(profile, clip));
    }

    public static double middleMm(DeviceProfile profile, EdgeFeature clip) {
        return profile.edge().turn().middle(clip.where());
    }

    private List<Beneath> beneath(EdgeFeature clip) {
        return Beneath.at(profile, middleMm(profile, clip)).stream()
                .filter(there -> there.kind() != EdgeFeature.Kind.CLIP && there.kind() != EdgeFeature.Kind.GASKET)
                .filter(there -> there.hazard() > 0)
                .toList();
    }

    private boolean stiff(EdgeFeature clip) {
        EdgeLine edge = profile.edge();
        EdgeInterval around =
                edge.turn().grown(clip.where(), STIFF_MM - clip.where().lengthMm() / 2);
        return edge.parts().stream()
                .filter(part -> part.landmark().isCorner())
                .anyMatch(corner -> edge.turn().overlap(corner.interval(), around));
    }

    /** The edge that a clip holds: half the way to its neighbours. */
    private Stretch held(int index) {
        Turn turn = profile.edge().turn();
        EdgeFeature clip = clips.get(index);
        double at = middleMm(profile, clip);
        double before = middleMm(profile, clips.get((index + clips.size() - 1) % clips.size()));
        double after = middleMm(profile, clips.get((index + 1) % clips.size()));
        double half = turn.wrap(at - before) / 2;
        double length = clips.size() == 1 ? turn.lengthMm() : half + turn.wrap(after - at) / 2;
        double hazard =
                beneath(clip).stream().mapToDouble(Beneath::hazard).max().orElse(NOTHING_BENEATH);
        Landmark edge = edge(clip);
        return new Stretch(
                clip.id(),
                new EdgeInterval(turn.wrap(at - half), length),
                edge,
                clip.allowedDepthMm(),
                clip.words().toLowerCase(Locale.ROOT),
                hazard,
                null,
                stiff(clip) ? STIFF_DIFFICULTY : 1,
                edge == profile.hinge(),
                false);
    }
}
