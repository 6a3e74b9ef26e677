package ridgefall.core.clean;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Turn;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PerDevice;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.LedgeMaterial;

/**
 * The ledge as a cloth meets it: stretches of one solvent each, none round more than one edge or corner, and what a hand keeps off.
 * Acetone goes nowhere within {@link #REACH_MM} of plastic, paint, a lens or a battery's film (a house habit: a damp cloth pressed
 * on bleeds a few millimetres); and where it would be allowed for a few centimetres only, nobody changes cloths.
 *
 * @param stretches clockwise from position 0
 * @param usualMm width of the ledge but for where it narrows
 */
public record LedgeMap(List<Stretch> stretches, List<KeepOff> keepOffs, double usualMm) {
    public static final double REACH_MM = 10;

    /** So long a run of bare metal is worth a second cloth. */
    private static final double WORTH_A_CLOTH_MM = 60;

    /** A shorter piece of an edge goes with its neighbour. */
    private static final double LEAST_MM = 5;

    /** A strip on less holds only to a clean and keyed surface. */
    private static final double NARROW_MM = 2.0;

    /** Whose windows, lenses, meshes and coats acetone takes. */
    private static final Set<EdgeFeature.Kind> SOFT = EnumSet.of(
            EdgeFeature.Kind.CAMERA,
            EdgeFeature.Kind.SENSOR,
            EdgeFeature.Kind.KEY,
            EdgeFeature.Kind.ANTENNA,
            EdgeFeature.Kind.PORT,
            EdgeFeature.Kind.MICROPHONE,
            EdgeFeature.Kind.WINDOW);

    /** What bears it and is folded or held away all the same. */
    private static final Set<EdgeFeature.Kind> AWAY = EnumSet.of(EdgeFeature.Kind.CABLE, EdgeFeature.Kind.GROUNDING);

    /** What lies inside and is harmed where a cloth drips on it. */
    private static final Set<InsideKind> SOFT_INSIDE = EnumSet.of(InsideKind.BATTERY, InsideKind.TAPE);

    /** @param near what lies within reach of it, in words */
    public record Stretch(String id, EdgeInterval where, Landmark on, FrameSolvent solvent, List<String> near) {}

    /**
     * @param inwardMm from the ledge to where it begins
     * @param soft whether acetone takes it
     * @param lens whether primer ruins it
     */
    public record KeepOff(String id, String words, EdgeInterval where, double inwardMm, boolean soft, boolean lens) {}

    private static final PerDevice<LedgeMap> KNOWN = new PerDevice<>(LedgeMap::drawn);

    public static LedgeMap of(DeviceProfile profile) {
        return KNOWN.of(profile);
    }

    private static LedgeMap drawn(DeviceProfile profile) {
        EdgeLine edge = profile.edge();
        List<KeepOff> keepOffs = keepOffs(profile);
        return new LedgeMap(
                stretches(edge, alcohol(profile, keepOffs), keepOffs),
                keepOffs,
                profile.document().ledge().everywhereMm());
    }

    /** Whether primer is worth its wait: a narrow ledge, or one that tape takes to badly. */
    public static boolean wantsPrimer(DeviceProfile profile, LedgeMap map) {
        return map.usualMm < NARROW_MM || soft(profile);
    }

    private static boolean soft(DeviceProfile profile) {
        LedgeMaterial material = profile.document().seat().material();
        return material == LedgeMaterial.PLASTIC || material == LedgeMaterial.PAINTED_METAL;
    }

    private static List<KeepOff> keepOffs(DeviceProfile profile) {
        List<KeepOff> keepOffs = new ArrayList<>();
        profile.document().seat().plastics().stream()
                .map(p -> new KeepOff(
                        p.id(),
                        p.words(),
                        new EdgeInterval(
                                p.fromMm(),
                                Math.min(p.lengthMm(), profile.edge().lengthMm())),
                        p.inwardMm(),
                        true,
                        false))
                .forEach(keepOffs::add);
        profile.features().stream()
                .filter(feature -> SOFT.contains(feature.kind()) || AWAY.contains(feature.kind()))
                .filter(feature ->
                        keepOffs.stream().noneMatch(known -> known.where().equals(feature.where())))
                .map(feature -> new KeepOff(
                        feature.id(),
                        feature.words(),
                        feature.where(),
                        0,
                        SOFT.contains(feature.kind()),
                        feature.kind() == EdgeFeature.Kind.CAMERA))
                .forEach(keepOffs::add);
        profile.document().inside().stream()
                .filter(part -> SOFT_INSIDE.contains(part.kind()) && part.area() != null)
                .flatMap(part -> inside(profile, part).stream())
                .forEach(keepOffs::add);
        return List.copyOf(keepOffs);
    }

    /** Where it comes within reach of the ledge. */
    private static List<KeepOff> inside(DeviceProfile profile, Inside part) {
        String id = part.kind() == InsideKind.BATTERY ? "battery" : part.id();
        String words = part.words().toLowerCase(Locale.ROOT);
        Area area = part.area();
        List<Coordinate> points = everyMm(profile.edge());
        int n = points.size();
        boolean[] near = new boolean[n];
        double[] apart = new double[n];
        for (int i = 0; i < n; i++) {
            double ledgeMm = profile.ledgeMm().at(i + 0.5);
            apart[i] = Math.max(0, apartMm(points.get(i), area) - ledgeMm);
            near[i] = apart[i] < REACH_MM;
        }
        List<KeepOff> found = new ArrayList<>();
        for (int from = 0; from < n; from++) {
            int to = from;
            while (to < n && near[to]) {
                to++;
            }
            if (to > from) {
                double inward = Arrays.stream(apart, from, to).min().orElseThrow();
                found.add(new KeepOff(
                        id + "-" + (found.size() + 1),
                        words,
                        new EdgeInterval(from, to - from),
                        Math.floor(inward),
                        true,
                        false));
                from = to;
            }
        }
        return found;
    }

    /** The middle of each whole millimetre of the edge, in one walk along it. */
    private static List<Coordinate> everyMm(EdgeLine edge) {
        Coordinate[] corners = edge.outline().getCoordinates();
        List<Coordinate> points = new ArrayList<>();
        double passed = 0;
        double next = 0.5;
        double last = Math.floor(edge.lengthMm());
        for (int i = 1; i < corners.length; i++) {
            double length = corners[i - 1].distance(corners[i]);
            while (next < last && next <= passed + length) {
                double share = (next - passed) / length;
                points.add(new Coordinate(
                        corners[i - 1].x + share * (corners[i].x - corners[i - 1].x),
                        corners[i - 1].y + share * (corners[i].y - corners[i - 1].y)));
                next++;
            }
            passed += length;
        }
        return points;
    }

    private static double apartMm(Coordinate point, Area area) {
        double x = Math.max(0, Math.max(area.xMm() - point.x, point.x - area.xMm() - area.widthMm()));
        double y = Math.max(0, Math.max(area.yMm() - point.y, point.y - area.yMm() - area.heightMm()));
        return Math.hypot(x, y);
    }

    /** For each millimetre of the edge whether it takes alcohol only. */
    private static boolean[] alcohol(DeviceProfile profile, List<KeepOff> keepOffs) {
        Turn turn = profile.edge().turn();
        int n = (int) Math.max(1, Math.floor(turn.lengthMm()));
        boolean[] alcohol = new boolean[n];
        // Nobody knows what is near on a device that the book does not know.
        if (soft(profile) || profile.document().generic()) {
            Arrays.fill(alcohol, true);
            return alcohol;
        }
        List<EdgeInterval> within = keepOffs.stream()
                .filter(KeepOff::soft)
                .map(keepOff -> turn.grown(keepOff.where(), reachAlong(keepOff.inwardMm())))
                .toList();
        for (int i = 0; i < n; i++) {
            double at = i + 0.5;
            alcohol[i] = within.stream().anyMatch(where -> turn.contains(where, at));
        }
        dropShortRuns(alcohol);
        profile.edge().parts().forEach(part -> dropCrumbs(alcohol, part.interval()));
        return alcohol;
    }

    /** What is further in is reached from less far along. */
    private static double reachAlong(double inwardMm) {
        return Math.sqrt(Math.max(0, REACH_MM * REACH_MM - inwardMm * inwardMm));
    }

    private static void dropShortRuns(boolean[] alcohol) {
        int n = alcohol.length;
        int first = 0;
        while (first < n && !alcohol[first]) {
            first++;
        }
        if (first == n) {
            if (n < WORTH_A_CLOTH_MM) {
                Arrays.fill(alcohol, true);
            }
            return;
        }
        int run = 0;
        for (int i = 1; i <= n; i++) {
            int at = (first + i) % n;
            if (!alcohol[at]) {
                run++;
            } else {
                if (run > 0 && run < WORTH_A_CLOTH_MM) {
                    for (int back = 1; back <= run; back++) {
                        alcohol[(at - back + n) % n] = true;
                    }
                }
                run = 0;
            }
        }
    }

    /** A few millimetres of an edge between its corner and what takes alcohol. */
    private static void dropCrumbs(boolean[] alcohol, EdgeInterval part) {
        int from = (int) Math.ceil(part.fromMm());
        int to = (int) Math.floor(part.fromMm() + part.lengthMm());
        int start = from;
        for (int i = from; i <= to; i++) {
            if (i == to || alcohol[i % alcohol.length]) {
                boolean crumb = i - start < LEAST_MM && (start > from || i < to);
                for (int at = start; crumb && at < i; at++) {
                    alcohol[at % alcohol.length] = true;
                }
                start = i + 1;
            }
        }
    }

    private static List<Stretch> stretches(EdgeLine edge, boolean[] alcohol, List<KeepOff> keepOffs) {
        List<Stretch> stretches = new ArrayList<>();
        for (EdgeLine.Part part : edge.parts()) {
            double from = part.interval().fromMm();
            double end = from + part.interval().lengthMm();
            // What is left of a millimetre at either end goes with the whole one beside it.
            int last = (int) Math.floor(end) - 1;
            int number = 1;
            for (int i = (int) Math.ceil(from); i <= last; i++) {
                boolean only = alcohol[i % alcohol.length];
                if (i == last || alcohol[(i + 1) % alcohol.length] != only) {
                    double to = i == last ? end : i + 1;
                    EdgeInterval where = new EdgeInterval(edge.turn().wrap(from), to - from);
                    stretches.add(new Stretch(
                            part.landmark().name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + number++,
                            where,
                            part.landmark(),
                            only ? FrameSolvent.ALCOHOL : FrameSolvent.ACETONE,
                            near(edge.turn(), where, keepOffs)));
                    from = to;
                }
            }
        }
        return List.copyOf(stretches);
    }

    private static List<String> near(Turn turn, EdgeInterval where, List<KeepOff> keepOffs) {
        return keepOffs.stream()
                .filter(keepOff -> turn.overlap(turn.grown(where, reachAlong(keepOff.inwardMm())), keepOff.where()))
                .map(KeepOff::words)
                .distinct()
                .toList();
    }
}
