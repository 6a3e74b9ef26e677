package ridgefall.core.damage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import ridgefall.core.detour.DetourState;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Point;
import ridgefall.core.edge.Turn;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.NotAllowed;

/** What drawn damage means for the edge: where a crack runs over the bond line. */
public final class Damage {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final double STEP_MM = 0.5;
    /** A crack that ends this close to the border will run into it when the glass is lifted. */
    private static final double REACH_MM = 2;
    /** Half the least width along the edge that a crack is taken to have. */
    private static final double HALF_MM = 4;

    private Damage() {}

    /** How the glass is that is on the device now: one that was sealed before was whole. */
    public static Optional<FrontCondition> front(JobState state) {
        return DetourState.of(state).timesReopened() == 0
                ? IntakeState.of(state).front()
                : Optional.of(
                        DamageState.of(state).cracks().isEmpty() ? FrontCondition.INTACT : FrontCondition.CRACKED);
    }

    /** All places along the edge where a crack crosses the bond line: tapped, drawn, or come since. */
    public static List<EdgeInterval> edgeCracks(DeviceProfile profile, JobState state) {
        if (DetourState.of(state).timesReopened() > 0) {
            return DamageState.of(state).cracks();
        }
        IntakeState intake = IntakeState.of(state);
        Stream<EdgeInterval> drawn = intake.marks().stream()
                .filter(mark -> mark.mark() instanceof IntakeFact.CrackDrawn)
                .flatMap(mark -> onEdge(profile, ((IntakeFact.CrackDrawn) mark.mark()).line()).stream());
        return Stream.of(intake.cracks().stream(), DamageState.of(state).cracks().stream(), drawn)
                .flatMap(cracks -> cracks)
                .toList();
    }

    /** Where a tool went wrong under the front that is on now. */
    public static List<Harm> harms(JobState state) {
        return DamageState.of(state).harms();
    }

    /**
     * What is told with one tap when something goes wrong: at the place that was pointed at, else where what is in hand
     * lies.
     *
     * @param stepId what is in hand; {@code positionMm} where that lies along the edge, null for nowhere
     */
    public static Choice mishap(DamageFact.Mishap what, String stepId, Double positionMm) {
        return Step.other(
                what.words(),
                new DamageFact.MishapSeen(what, positionMm, stepId),
                new Ask("positionMm", "Where", Ask.Kind.PLACE, "mm", null));
    }

    /** It was where somebody points now. */
    public static Choice move(long seq) {
        return Step.other(
                "It was here",
                new DamageFact.MishapPlaced(seq, 0),
                new Ask("positionMm", "Where", Ask.Kind.PLACE, "mm", null));
    }

    public static Choice tell(long seq) {
        return Step.other(
                "Say more",
                new DamageFact.MishapTold(seq, "?"),
                new Ask("words", "What happened", Ask.Kind.TEXT, null, null));
    }

    /** @throws NotAllowed when it is said to have happened past the end of this device's edge, or is about no mishap */
    public static void possible(DeviceProfile profile, JobState state, DamageFact fact) {
        if (fact instanceof DamageFact.MishapSeen seen) {
            onEdge(profile, seen.positionMm());
        } else if (fact instanceof DamageFact.MishapPlaced placed) {
            onEdge(profile, placed.positionMm());
            known(state, placed.seq());
        } else if (fact instanceof DamageFact.MishapTold told) {
            known(state, told.seq());
        }
    }

    private static void known(JobState state, long seq) {
        if (DamageState.of(state).mishaps().stream().noneMatch(noted -> noted.seq() == seq)) {
            throw new NotAllowed("seq", seq, "the number of a mishap of this job");
        }
    }

    private static void onEdge(DeviceProfile profile, Double positionMm) {
        double perimeter = profile.edge().lengthMm();
        if (positionMm != null && positionMm > perimeter) {
            throw new NotAllowed("positionMm", positionMm, "0 to " + Math.round(perimeter) + " mm along the edge");
        }
    }

    private static LineString line(List<Point> points) {
        return GEOMETRY.createLineString(
                points.stream().map(p -> new Coordinate(p.xMm(), p.yMm())).toArray(Coordinate[]::new));
    }

    /** One interval for every run of the line within the border. */
    private static List<EdgeInterval> onEdge(DeviceProfile profile, List<Point> points) {
        EdgeLine edge = profile.edge();
        List<EdgeInterval> found = new ArrayList<>();
        List<Double> run = new ArrayList<>();
        for (Coordinate at : Densifier.densify(line(points), STEP_MM).getCoordinates()) {
            double position = edge.positionOf(at);
            double inside = edge.pointAt(position).distance(at);
            if (inside <= profile.borderMm().at(position) + REACH_MM) {
                run.add(position);
            } else if (!run.isEmpty()) {
                found.add(around(run, edge.turn()));
                run.clear();
            }
        }
        if (!run.isEmpty()) {
            found.add(around(run, edge.turn()));
        }
        return found;
    }

    /** From the first place of a run as far as it strays to both sides, the short way round. */
    private static EdgeInterval around(List<Double> positions, Turn turn) {
        double origin = positions.get(0);
        double back = 0;
        double ahead = 0;
        for (double position : positions) {
            double way = turn.way(origin, position);
            back = Math.min(back, way);
            ahead = Math.max(ahead, way);
        }
        return turn.grown(new EdgeInterval(turn.wrap(origin + back), ahead - back), HALF_MM);
    }
}
