package ridgefall.app.book;

import java.awt.Shape;
import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.PathIterator;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.batik.parser.ParseException;
import ridgefall.core.edge.Outline;
import ridgefall.core.edge.Point;
import ridgefall.core.units.NotAllowed;

/**
 * Outlines from drawings: the first closed path of an SVG (one user unit a millimetre, unless width and viewBox say
 * otherwise) or the first closed polyline of an ASCII DXF (one unit a millimetre, y up).
 */
final class OutlineFiles {
    private static final double FLATNESS_MM = 0.01;
    private static final int MOST_POINTS = 2000;
    private static final int ARC_STEPS = 24;

    private OutlineFiles() {}

    /** @throws NotAllowed that says what is wrong with the drawing */
    static Outline read(String text) {
        String start = text.stripLeading();
        List<Point> points = start.startsWith("<") ? svg(text) : dxf(text);
        if (points.size() > MOST_POINTS) {
            throw new NotAllowed("file", points.size() + " points", "an outline of at most " + MOST_POINTS + " points");
        }
        Outline.Closed outline = new Outline.Closed(points);
        outline.edge();
        return outline;
    }

    private static List<Point> svg(String text) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        // No entity, whether from here or elsewhere, is ever expanded.
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text));
            double scale = 1;
            String path = null;
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
                    throw new NotAllowed("file", "an SVG with a DOCTYPE or entities", "a plain SVG");
                }
                if (event == XMLStreamConstants.START_ELEMENT) {
                    String name = xml.getLocalName().toLowerCase(Locale.ROOT);
                    if (name.equals("script") || name.equals("foreignobject")) {
                        throw new NotAllowed("file", "an SVG with <" + name + ">", "a plain SVG without scripts");
                    }
                    if (name.equals("svg")) {
                        scale = scale(xml);
                    } else if (name.equals("path") && path == null) {
                        path = xml.getAttributeValue(null, "d");
                    }
                }
            }
            if (path == null) {
                throw new NotAllowed("file", "an SVG without a path", "an SVG whose first <path> is the outline");
            }
            return flattened(path, scale);
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 1 : e.getLocation().getLineNumber();
            throw new NotAllowed("file", "not XML at line " + line, "a plain SVG");
        }
    }

    /** Millimetres a user unit. */
    private static double scale(XMLStreamReader svg) {
        String width = svg.getAttributeValue(null, "width");
        String box = svg.getAttributeValue(null, "viewBox");
        if (width == null || box == null || !width.endsWith("mm")) {
            return 1;
        }
        try {
            double units = Double.parseDouble(box.trim().split("[\\s,]+")[2]);
            double millimetres = Double.parseDouble(width.substring(0, width.length() - 2));
            return units > 0 && millimetres > 0 ? millimetres / units : 1;
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new NotAllowed("viewBox", box, "four numbers");
        }
    }

    private static List<Point> flattened(String path, double scale) {
        Shape shape;
        try {
            shape = AWTPathProducer.createShape(new StringReader(path), PathIterator.WIND_NON_ZERO);
        } catch (ParseException | java.io.IOException e) {
            throw new NotAllowed("d", path.length() > 40 ? path.substring(0, 40) + "…" : path, "an SVG path");
        }
        List<Point> points = new ArrayList<>();
        double[] at = new double[6];
        PathIterator it = new FlatteningPathIterator(shape.getPathIterator(null), FLATNESS_MM / scale);
        for (; !it.isDone(); it.next()) {
            int kind = it.currentSegment(at);
            if (kind == PathIterator.SEG_CLOSE || kind == PathIterator.SEG_MOVETO && !points.isEmpty()) {
                break;
            }
            points.add(new Point(at[0] * scale, at[1] * scale));
            if (points.size() > MOST_POINTS) {
                break;
            }
        }
        return points;
    }

    /** Group codes and values in pairs of lines; LWPOLYLINE with bulges. */
    private static List<Point> dxf(String text) {
        String[] lines = text.split("\\r?\\n");
        List<double[]> vertices = new ArrayList<>();
        boolean inside = false;
        boolean found = false;
        for (int i = 0; i + 1 < lines.length && !(found && !inside); i += 2) {
            String code = lines[i].trim();
            String value = lines[i + 1].trim();
            if (code.equals("0")) {
                inside = value.equals("LWPOLYLINE") && !found;
                found |= inside;
            } else if (inside) {
                switch (code) {
                    case "10" -> vertices.add(new double[] {number(value, i), 0, 0});
                    case "20" -> last(vertices, i)[1] = -number(value, i);
                    case "42" -> last(vertices, i)[2] = number(value, i);
                    default -> {}
                }
                if (vertices.size() > MOST_POINTS) {
                    break;
                }
            }
        }
        if (vertices.size() < 3) {
            throw new NotAllowed(
                    "file", "no polyline with 3 points or more", "an ASCII DXF with a closed LWPOLYLINE, or an SVG");
        }
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < vertices.size(); i++) {
            arc(points, vertices.get(i), vertices.get((i + 1) % vertices.size()));
        }
        return points;
    }

    private static double[] last(List<double[]> vertices, int line) {
        if (vertices.isEmpty()) {
            throw new NotAllowed("line " + (line + 1), "a coordinate before any vertex", "group 10 first");
        }
        return vertices.get(vertices.size() - 1);
    }

    private static double number(String value, int line) {
        try {
            double number = Double.parseDouble(value);
            if (Double.isFinite(number)) {
                return number;
            }
        } catch (NumberFormatException e) {
            // Told below with the line it stands on.
        }
        throw new NotAllowed("line " + (line + 2), value, "a number");
    }

    /** From one vertex on the way to the next; a bulge is the tangent of a quarter of the arc's angle. */
    private static void arc(List<Point> points, double[] from, double[] to) {
        points.add(new Point(from[0], from[1]));
        double bulge = -from[2]; // y was turned over
        if (Math.abs(bulge) < 1e-9) {
            return;
        }
        double angle = 4 * Math.atan(bulge);
        double dx = to[0] - from[0];
        double dy = to[1] - from[1];
        double half = (1 - bulge * bulge) / (4 * bulge);
        double cx = (from[0] + to[0]) / 2 - dy * half;
        double cy = (from[1] + to[1]) / 2 + dx * half;
        double start = Math.atan2(from[1] - cy, from[0] - cx);
        double radius = Math.hypot(from[0] - cx, from[1] - cy);
        for (int i = 1; i < ARC_STEPS; i++) {
            double at = start + angle * i / ARC_STEPS;
            points.add(new Point(cx + radius * Math.cos(at), cy + radius * Math.sin(at)));
        }
    }
}
