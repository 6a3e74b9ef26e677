package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.sheet.Sheet.Mark;

/** Every piece of tape as large as it is, where it lies on the frame, and what to cut: numbered in the order of laying. */
public final class StripSheet {
    private static final double HEAD_MM = 34;
    private static final double LINE_MM = 5;
    private static final double FOOT_MM = 26;
    private static final double WORDS_MM = 3;

    /** From the tape inwards to its number. */
    private static final double LABEL_INWARDS_MM = 5;

    private StripSheet() {}

    public static Sheet of(DeviceProfile profile, StripPlan plan) {
        EdgeLine edge = profile.edge();
        List<Strip> strips = plan.strips();
        double[] paper =
                Sheet.paperFor(edge.widthMm(), HEAD_MM + edge.heightMm() + FOOT_MM + LINE_MM * (strips.size() + 1));
        Point origin = new Point((paper[0] - edge.widthMm()) / 2, HEAD_MM);
        List<Mark> marks = new ArrayList<>();
        marks.add(words(
                Sheet.MARGIN_MM,
                28,
                "The frame seen from the front. Strips " + plan.school().words() + "."));
        marks.add(Sheet.outline(edge, origin, 0.4));
        double y = HEAD_MM + edge.heightMm() + LINE_MM + 3;
        for (int i = 0; i < strips.size(); i++) {
            Strip strip = strips.get(i);
            marks.add(Sheet.path(strip.outline(), origin, 0.1));
            Coordinate label = inside(edge, strip);
            marks.add(words(origin.xMm() + label.x - 1, origin.yMm() + label.y + 1, String.valueOf(i + 1)));
            marks.add(words(
                    Sheet.MARGIN_MM,
                    y,
                    String.format(
                            Locale.ROOT,
                            "%d:  %.1f × %.1f mm, %s",
                            i + 1,
                            strip.lengthMm(),
                            strip.widthMm(),
                            profile.placeName(strip.on()))));
            y += LINE_MM;
        }
        return Sheet.of("Strips, " + profile.name(), paper[0], paper[1], marks);
    }

    /** From the middle of the piece towards the middle of the device, away from its edge. */
    private static Coordinate inside(EdgeLine edge, Strip strip) {
        double x = middle(strip, Coordinate::getX);
        double y = middle(strip, Coordinate::getY);
        Landmark on = strip.on();
        double inwards = on.isCorner() ? LABEL_INWARDS_MM / Math.sqrt(2) : LABEL_INWARDS_MM;
        boolean across = on.isCorner() || on == Landmark.LEFT || on == Landmark.RIGHT;
        boolean along = on.isCorner() || on == Landmark.TOP || on == Landmark.BOTTOM;
        return new Coordinate(
                across ? x + Math.copySign(inwards, edge.widthMm() / 2 - x) : x,
                along ? y + Math.copySign(inwards, edge.heightMm() / 2 - y) : y);
    }

    private static double middle(Strip strip, ToDoubleFunction<Coordinate> part) {
        DoubleSummaryStatistics all = strip.outline().stream().mapToDouble(part).summaryStatistics();
        return (all.getMin() + all.getMax()) / 2;
    }

    private static Mark words(double x, double y, String text) {
        return new Sheet.Words(new Point(x, y), WORDS_MM, text);
    }
}
