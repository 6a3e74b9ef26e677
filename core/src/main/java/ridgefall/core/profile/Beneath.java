package ridgefall.core.profile;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Point;
import ridgefall.core.edge.Turn;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;

/**
 * What lies beneath a place on the edge, within a tool's reach.
 *
 * @param kind of a feature on the edge; null for what comes from inside
 * @param hazard how bad it is to harm it, 0–1
 * @param loss what that means; null where nobody wrote it down
 */
public record Beneath(String words, EdgeFeature.Kind kind, double hazard, String loss) {
    /** A tool that slips or goes too deep reaches so far along the edge. */
    private static final double ALONG_MM = 12;
    /** And so far in, past the border; what lies further in has the panel over it. */
    private static final double INWARD_MM = 15;

    private static final double CABLE_HAZARD = 0.7;
    private static final String CABLE = "cable of the ";

    /** The worst of the edge first, then cables, then what is large. */
    public static List<Beneath> at(DeviceProfile profile, double atMm) {
        Turn turn = profile.edge().turn();
        EdgeInterval reach = turn.grown(new EdgeInterval(atMm, 0), ALONG_MM);
        Stream<Beneath> onTheEdge = profile.features().stream()
                .filter(feature -> turn.overlap(feature.where(), reach))
                .sorted(Comparator.comparing(EdgeFeature::hazard).reversed())
                .map(feature -> new Beneath(feature.words(), feature.kind(), feature.hazard(), feature.consequence()));
        Coordinate on = profile.edge().pointAt(atMm);
        Point at = new Point(on.x, on.y);
        Stream<Beneath> cables = profile.connectors().stream()
                .filter(plug ->
                        plug.cable() != null && plug.cable().route().stream().anyMatch(p -> near(p, at)))
                .map(plug -> new Beneath(CABLE + plug.words().toLowerCase(Locale.ROOT), null, CABLE_HAZARD, null));
        Stream<Beneath> inside = profile.document().inside().stream()
                .filter(part -> part.kind() == InsideKind.BATTERY || part.kind() == InsideKind.PANEL)
                .filter(part -> part.area() != null && near(part.area(), at))
                .map(Inside::words)
                .map(words -> new Beneath(words.toLowerCase(Locale.ROOT), null, 0, null));
        return Stream.of(onTheEdge, cables, inside)
                .flatMap(some -> some)
                .distinct()
                .toList();
    }

    public boolean isCable() {
        return kind == EdgeFeature.Kind.CABLE || words.startsWith(CABLE);
    }

    /** With what its loss means, where that is known. */
    public String told() {
        return loss == null || loss.isBlank() ? words : words + " (" + loss + ")";
    }

    private static boolean near(Point point, Point at) {
        return Math.hypot(point.xMm() - at.xMm(), point.yMm() - at.yMm()) <= INWARD_MM;
    }

    private static boolean near(Area area, Point at) {
        double dx = Math.max(Math.max(area.xMm() - at.xMm(), at.xMm() - area.xMm() - area.widthMm()), 0);
        double dy = Math.max(Math.max(area.yMm() - at.yMm(), at.yMm() - area.yMm() - area.heightMm()), 0);
        return Math.hypot(dx, dy) <= INWARD_MM;
    }
}
