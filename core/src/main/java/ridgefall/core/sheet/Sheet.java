package ridgefall.core.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Point;

/**
 * Paper at true scale, whatever it is written as. Millimetres from its top left corner, y downwards. A printer that fits a page to
 * its paper spoils it: every sheet carries a bar that a rule is laid on first.
 *
 * @param title also names the file
 */
public record Sheet(String title, double widthMm, double heightMm, List<Mark> marks) {
    public static final double RULER_MM = 100;
    public static final double MARGIN_MM = 15;

    private static final double TICK_MM = 10;
    private static final double THIN_MM = 0.2;
    private static final double A4_WIDTH_MM = 210;
    private static final double A4_HEIGHT_MM = 297;

    public sealed interface Mark {}

    /** A line through points. */
    public record Path(List<Point> points, boolean closed, double strokeMm) implements Mark {}

    /** Words that begin at a point on their base line. */
    public record Words(Point at, double heightMm, String text) implements Mark {}

    private static final double[][] PAPERS_MM = {{210, 297}, {297, 210}, {297, 420}, {420, 297}};

    /**
     * Upright or lying: the smallest paper that something fits on, A4 where it does, else A3.
     *
     * @param heightMm with all that stands above and below it
     * @return width and height
     */
    public static double[] paperFor(double widthMm, double heightMm) {
        return Arrays.stream(PAPERS_MM)
                .filter(paper -> widthMm + 2 * MARGIN_MM <= paper[0] && heightMm <= paper[1])
                .findFirst()
                .orElse(PAPERS_MM[PAPERS_MM.length - 1])
                .clone();
    }

    /** The line of a device, moved to where it is drawn. */
    public static Path outline(EdgeLine edge, Point origin, double strokeMm) {
        return path(Arrays.asList(edge.outline().getCoordinates()), origin, strokeMm);
    }

    /** A closed line in mm, moved to where it is drawn. */
    public static Path path(List<Coordinate> outline, Point origin, double strokeMm) {
        return new Path(
                outline.stream()
                        .map(at -> new Point(origin.xMm() + at.x, origin.yMm() + at.y))
                        .toList(),
                true,
                strokeMm);
    }

    /** A4, upright. */
    public static Sheet a4(String title, List<Mark> marks) {
        return of(title, A4_WIDTH_MM, A4_HEIGHT_MM, marks);
    }

    /** With its title at the head and the bar at the foot. */
    public static Sheet of(String title, double widthMm, double heightMm, List<Mark> marks) {
        List<Mark> all = new ArrayList<>();
        all.add(new Words(new Point(MARGIN_MM, MARGIN_MM + 6), 6, title));
        all.addAll(marks);
        all.addAll(ruler(heightMm - MARGIN_MM));
        return new Sheet(title, widthMm, heightMm, List.copyOf(all));
    }

    /** Paper is read in millimetres, whoever reads it. */
    public static String plain(String words) {
        return words.replaceAll("\\{mm:([0-9.]+)}", "$1 mm");
    }

    private static List<Mark> ruler(double yMm) {
        List<Mark> ruler = new ArrayList<>();
        ruler.add(line(MARGIN_MM, yMm, MARGIN_MM + RULER_MM, yMm, THIN_MM));
        for (double x = 0; x <= RULER_MM; x += TICK_MM) {
            double tall = x == 0 || x == RULER_MM ? 5 : 3;
            ruler.add(line(MARGIN_MM + x, yMm - tall, MARGIN_MM + x, yMm, THIN_MM));
        }
        ruler.add(new Words(
                new Point(MARGIN_MM + RULER_MM + 3, yMm), 3, "This bar is 100 mm long. If it is not, print at 100 %."));
        return ruler;
    }

    public static Path line(double fromX, double fromY, double toX, double toY, double strokeMm) {
        return new Path(List.of(new Point(fromX, fromY), new Point(toX, toY)), false, strokeMm);
    }

    public static Path box(double x, double y, double width, double height, double strokeMm) {
        return new Path(
                List.of(
                        new Point(x, y),
                        new Point(x + width, y),
                        new Point(x + width, y + height),
                        new Point(x, y + height)),
                true,
                strokeMm);
    }

    public Stream<Path> paths() {
        return marks.stream().filter(Path.class::isInstance).map(Path.class::cast);
    }

    public Stream<Words> words() {
        return marks.stream().filter(Words.class::isInstance).map(Words.class::cast);
    }
}
