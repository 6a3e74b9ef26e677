package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import ridgefall.core.edge.Point;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.separate.CutPlan.Move;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.sheet.Sheet.Mark;

/** Pick marks of a way round, to lay the picks on: tip to the line on the left, tape to the line on the right. */
public final class PickSheet {
    private static final double LANE_MM = 34;
    private static final double PICK_WIDTH_MM = 12;
    private static final double HANDLE_MM = 40;
    private static final double TIP_X_MM = Sheet.MARGIN_MM + 5;
    private static final double FIRST_LANE_MM = 44;
    private static final double WORDS_X_MM = TIP_X_MM + HANDLE_MM + 8;
    private static final double WORDS_MM = 3.2;

    /** As many places as fit beside a pick; the rest is counted. */
    private static final int MOST_PLACES = 4;

    private static final int MOST_LANES = 6;

    private PickSheet() {}

    /** Where each mark holds, by the mark, the shallowest first. */
    static Map<Double, List<Move>> byMark(CutPlan way) {
        Map<Double, List<Move>> marks = new TreeMap<>();
        for (Move move : way.moves()) {
            marks.computeIfAbsent(way.markMm(move), mark -> new ArrayList<>()).add(move);
        }
        return marks;
    }

    /**
     * A4; a device with more marks than fit gets the shallowest of them, and is told to go by those.
     *
     * @param way with what still holds
     */
    public static Sheet of(DeviceProfile profile, CutPlan way) {
        List<Mark> marks = new ArrayList<>();
        marks.add(words(
                Sheet.MARGIN_MM,
                29,
                "Tip to the left line, edge of the tape flag to the right one: it stops at the glass."));
        marks.add(words(Sheet.MARGIN_MM, 34, "At the shallowest of all nothing is cut too deep anywhere."));
        double y = FIRST_LANE_MM;
        int lanes = 0;
        for (Map.Entry<Double, List<Move>> mark : byMark(way).entrySet()) {
            if (lanes++ == MOST_LANES) {
                marks.add(words(Sheet.MARGIN_MM, y, "Deeper places: go by the mark above."));
                break;
            }
            lane(profile, way, marks, y, mark.getKey(), mark.getValue());
            y += LANE_MM;
        }
        return Sheet.a4("Pick marks, " + profile.name(), marks);
    }

    private static void lane(
            DeviceProfile profile, CutPlan way, List<Mark> marks, double y, double markMm, List<Move> moves) {
        double top = y + 4;
        marks.add(pick(top));
        marks.add(Sheet.line(TIP_X_MM, top - 3, TIP_X_MM, top + PICK_WIDTH_MM + 3, 0.4));
        marks.add(Sheet.line(TIP_X_MM + markMm, top - 3, TIP_X_MM + markMm, top + PICK_WIDTH_MM + 3, 0.4));
        marks.add(words(TIP_X_MM, top + PICK_WIDTH_MM + 7, number(markMm) + " mm from the tip"));
        double line = top + 1;
        for (Move move : moves.subList(0, Math.min(MOST_PLACES, moves.size()))) {
            Stretch stretch = way.stretch(move.stretchId());
            marks.add(words(
                    WORDS_X_MM,
                    line,
                    Sheet.plain(PlaceWords.along(profile, stretch.where(), move.clockwise())) + ": "
                            + number(stretch.depthMm()) + " mm deep"));
            line += 5;
        }
        if (moves.size() > MOST_PLACES) {
            marks.add(words(WORDS_X_MM, line, "and " + (moves.size() - MOST_PLACES) + " more"));
        }
    }

    /** As large as a pick, its tip rounded off. */
    private static Mark pick(double top) {
        List<Point> outline = new ArrayList<>();
        double half = PICK_WIDTH_MM / 2;
        for (int step = 0; step <= 12; step++) {
            double angle = Math.PI / 2 + Math.PI * step / 12;
            outline.add(new Point(TIP_X_MM + half + half * Math.cos(angle), top + half + half * Math.sin(angle)));
        }
        outline.add(new Point(TIP_X_MM + HANDLE_MM, top));
        outline.add(new Point(TIP_X_MM + HANDLE_MM, top + PICK_WIDTH_MM));
        return new Sheet.Path(outline, true, 0.2);
    }

    private static Mark words(double x, double y, String text) {
        return new Sheet.Words(new Point(x, y), WORDS_MM, text);
    }

    private static String number(double mm) {
        return mm == Math.rint(mm) ? String.valueOf((long) mm) : String.valueOf(Math.round(mm * 10) / 10.0);
    }
}
