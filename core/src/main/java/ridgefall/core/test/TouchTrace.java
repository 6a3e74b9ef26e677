package ridgefall.core.test;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ridgefall.core.units.Allowed;

/**
 * What a touch layer told of fingers on it, in the order it told it.
 *
 * @param screen that it was told on
 */
public record TouchTrace(Screen screen, List<Sample> samples) {
    /** As much as ten fingers say in several minutes. */
    public static final int MOST_SAMPLES = 200_000;

    public TouchTrace {
        samples = List.copyOf(samples);
        Allowed.between("samples", samples.size(), 0, MOST_SAMPLES, "samples");
    }

    /** Pixels as the samples count them; a watch's are as small as a hundred and fifty across. */
    public record Screen(double widthPx, double heightPx, double pxPerMm) {
        public Screen {
            Allowed.between("widthPx", widthPx, 50, 20_000, "px");
            Allowed.between("heightPx", heightPx, 50, 20_000, "px");
            Allowed.between("pxPerMm", pxPerMm, 1, 100, "px/mm");
        }

        double mm(double px) {
            return px / pxPerMm;
        }
    }

    /**
     * @param ms since anything
     * @param contact tells fingers apart; a finger that comes down again has another
     */
    public record Sample(double ms, double xPx, double yPx, int contact) {
        public Sample {
            Allowed.between("ms", ms, 0, 1e13, "ms");
            Allowed.between("xPx", xPx, -20_000, 20_000, "px");
            Allowed.between("yPx", yPx, -20_000, 20_000, "px");
        }

        double apartPx(Sample other) {
            return Math.hypot(xPx - other.xPx, yPx - other.yPx);
        }
    }

    /** One finger from down to up. */
    public record Stroke(List<Sample> samples) {
        double lengthPx() {
            return samples.get(0).apartPx(samples.get(samples.size() - 1));
        }
    }

    /** Fingers at once, where most lay on: each from the first to the last that was told of it. */
    int most() {
        List<Stroke> all = strokes();
        double[] downs = all.stream()
                .mapToDouble(stroke -> stroke.samples().get(0).ms())
                .sorted()
                .toArray();
        double[] ups = all.stream()
                .mapToDouble(stroke ->
                        stroke.samples().get(stroke.samples().size() - 1).ms())
                .sorted()
                .toArray();
        int most = 0;
        int up = 0;
        for (int down = 0; down < downs.length; down++) {
            while (ups[up] < downs[down]) {
                up++;
            }
            most = Math.max(most, down + 1 - up);
        }
        return most;
    }

    /** In the order they began. */
    public List<Stroke> strokes() {
        Map<Integer, List<Sample>> byContact = new LinkedHashMap<>();
        samples.forEach(sample -> byContact
                .computeIfAbsent(sample.contact(), any -> new ArrayList<>())
                .add(sample));
        return byContact.values().stream().map(Stroke::new).toList();
    }
}
