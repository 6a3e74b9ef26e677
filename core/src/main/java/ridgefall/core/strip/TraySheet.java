package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.sheet.Sheet.Mark;
import ridgefall.core.units.NotAllowed;

/**
 * The device as large as it is, to lay out what comes off it: a ring where each screw was, shields and plates on their outlines. Rings of
 * a kind bear one letter, and count in the order they come out.
 */
public final class TraySheet {
    private static final double HEAD_MM = 34;
    private static final double LEGEND_LINE_MM = 5;
    private static final double FOOT_MM = 26;
    private static final double WORDS_MM = 3;
    private static final double LABEL_MM = 2.6;

    /** Larger than the head of any screw inside such a device; smaller only where two are closer than that. */
    private static final double RING_MM = 3.5;

    private static final double LEAST_RING_MM = 1;
    private static final double APART_MM = 0.2;
    private static final double CROSS_MM = 0.6;

    private static final double LARGEST_SHARE = 0.5;

    /** Tapes are not laid back. */
    private static final Set<InsideKind> LAID = Set.of(InsideKind.SHIELD, InsideKind.PLATE, InsideKind.BACK);

    private TraySheet() {}

    /**
     * @return upright or lying, A4 where the device fits, else A3
     * @throws NotAllowed where the book has no holes for this device
     */
    public static Sheet of(DeviceProfile profile) {
        List<Screw> screws = profile.stripOrder().screws();
        if (screws.isEmpty()) {
            throw new NotAllowed("profileId", profile.document().id(), "a device whose holes are in the book");
        }
        Map<String, List<Screw>> kinds = kinds(screws);
        EdgeLine edge = profile.edge();
        List<String> laid = laidAside(profile);
        double below = FOOT_MM + LEGEND_LINE_MM * (kinds.size() + laid.size() + 1);
        double[] paper = Sheet.paperFor(edge.widthMm(), HEAD_MM + edge.heightMm() + below);
        Point origin = new Point((paper[0] - edge.widthMm()) / 2, HEAD_MM);
        List<Mark> marks = new ArrayList<>();
        marks.add(words(
                Sheet.MARGIN_MM, 28, "Seen from the front. Each screw on its ring, what covered it on its outline."));
        marks.add(Sheet.outline(edge, origin, 0.4));
        profile.document().inside().stream()
                .filter(thing -> thing.area() != null)
                .forEach(thing -> marks.addAll(outline(thing.area(), thing.words(), origin)));
        // What lies all round, or over most of it, has no place of its own on paper.
        profile.carryOvers().stream()
                .filter(part -> part.layer() == 0 && part.area() != null)
                .filter(part -> part.area().widthMm() * part.area().heightMm() < LARGEST_SHARE * edge.areaMm2())
                .forEach(part -> marks.addAll(outline(part.area(), part.words(), origin)));
        double y = HEAD_MM + edge.heightMm() + LEGEND_LINE_MM + 3;
        char letter = 'A';
        for (Map.Entry<String, List<Screw>> kind : kinds.entrySet()) {
            List<Screw> some = kind.getValue();
            for (int i = 0; i < some.size(); i++) {
                marks.addAll(ring(some.get(i), screws, origin, "" + letter + (i + 1)));
            }
            marks.add(words(Sheet.MARGIN_MM, y, letter + ":  " + some.size() + " × " + Sheet.plain(kind.getKey())));
            y += LEGEND_LINE_MM;
            letter++;
        }
        for (String thing : laid) {
            marks.add(Sheet.box(Sheet.MARGIN_MM, y - WORDS_MM, WORDS_MM, WORDS_MM, 0.25));
            marks.add(words(Sheet.MARGIN_MM + 2 * WORDS_MM, y, thing));
            y += LEGEND_LINE_MM;
        }
        if (screws.stream().anyMatch(Screw::hidden)) {
            marks.add(words(Sheet.MARGIN_MM, y, "*  under tape or rubber"));
        }
        return Sheet.of("Screw tray, " + profile.name(), paper[0], paper[1], marks);
    }

    /** A box to tick for each thing that is laid on the sheet besides screws: what covers, then brackets and small parts. */
    private static List<String> laidAside(DeviceProfile profile) {
        return Stream.concat(
                        profile.document().inside().stream()
                                .filter(thing -> LAID.contains(thing.kind()))
                                .map(Inside::words),
                        profile.carryOvers().stream().map(CarryOver::words))
                .toList();
    }

    private static Map<String, List<Screw>> kinds(List<Screw> screws) {
        return screws.stream()
                .collect(Collectors.groupingBy(StripMap::looks, LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .sorted(Comparator.comparing(kind -> -kind.getValue().size()))
                .collect(Collectors.toMap(
                        Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one, LinkedHashMap::new));
    }

    private static List<Mark> outline(Area area, String words, Point origin) {
        double x = origin.xMm() + area.xMm();
        double y = origin.yMm() + area.yMm();
        return List.of(
                Sheet.box(x, y, area.widthMm(), area.heightMm(), 0.1),
                new Sheet.Words(new Point(x + 1, y + area.heightMm() + LABEL_MM), LABEL_MM, words));
    }

    private static List<Mark> ring(Screw screw, List<Screw> all, Point origin, String label) {
        double nearest = all.stream()
                .filter(other -> other != screw)
                .mapToDouble(other -> Math.hypot(other.xMm() - screw.xMm(), other.yMm() - screw.yMm()))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        double r = Math.max(LEAST_RING_MM, Math.min(RING_MM, nearest / 2 - APART_MM));
        double x = origin.xMm() + screw.xMm();
        double y = origin.yMm() + screw.yMm();
        List<Point> round = new ArrayList<>();
        for (int step = 0; step < 24; step++) {
            double angle = Math.PI * step / 12;
            round.add(new Point(x + r * Math.cos(angle), y + r * Math.sin(angle)));
        }
        return List.of(
                new Sheet.Path(round, true, 0.25),
                Sheet.line(x - CROSS_MM, y, x + CROSS_MM, y, 0.1),
                Sheet.line(x, y - CROSS_MM, x, y + CROSS_MM, 0.1),
                new Sheet.Words(
                        new Point(x + r + 0.4, y + LABEL_MM / 3), LABEL_MM, label + (screw.hidden() ? "*" : "")));
    }

    private static Mark words(double x, double y, String text) {
        return new Sheet.Words(new Point(x, y), WORDS_MM, text);
    }
}
