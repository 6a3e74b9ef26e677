package ridgefall.app.attach;

import java.util.List;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lines that a finger drew on a field three times as wide as high: {@code {"strokes": [[x, y, x, y, …], …]}}.
 *
 * @param strokes each of x from 0 to 900 and y from 0 to 300, downwards, in turn
 */
public record LineDrawing(List<List<Integer>> strokes) {
    public static final int WIDTH = 900;
    public static final int HEIGHT = 300;
    private static final int MOST_STROKES = 100;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** @throws NotAllowed where it is something else, or nothing was drawn */
    public static LineDrawing read(byte[] file) {
        LineDrawing drawing;
        try {
            drawing = JSON.readValue(file, LineDrawing.class);
        } catch (JacksonException e) {
            throw new NotAllowed("file", "something else", "strokes of x and y, 0 to " + WIDTH + " and 0 to " + HEIGHT);
        }
        drawing.check();
        return drawing;
    }

    private void check() {
        if (strokes == null || strokes.isEmpty() || strokes.size() > MOST_STROKES) {
            throw new NotAllowed(
                    "strokes", strokes == null ? 0 : strokes.size(), "1 to " + MOST_STROKES + " strokes: draw first");
        }
        for (List<Integer> stroke : strokes) {
            if (stroke == null || stroke.size() < 4 || stroke.size() % 2 != 0) {
                throw new NotAllowed("strokes", stroke, "x and y in turn, of two points at least");
            }
            for (int i = 0; i < stroke.size(); i++) {
                Integer value = stroke.get(i);
                int most = i % 2 == 0 ? WIDTH : HEIGHT;
                if (value == null || value < 0 || value > most) {
                    throw new NotAllowed("strokes", value, "x from 0 to " + WIDTH + ", y from 0 to " + HEIGHT);
                }
            }
        }
    }

    /** As the path of a drawing {@link #WIDTH} by {@link #HEIGHT}. */
    public String path() {
        StringBuilder path = new StringBuilder();
        for (List<Integer> stroke : strokes) {
            for (int i = 0; i < stroke.size(); i += 2) {
                path.append(i == 0 ? 'M' : 'L')
                        .append(stroke.get(i))
                        .append(' ')
                        .append(stroke.get(i + 1));
            }
        }
        return path.toString();
    }
}
