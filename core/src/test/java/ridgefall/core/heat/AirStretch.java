package ridgefall.core.heat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Unit responses of an independent three-dimensional model: a jet's rise of 1, its bell of 40 mm wiped over a stretch of the
 * reference tablet's edge; shares of it at bond, glass, frame, panel's edge and battery while it blows and after.
 */
final class AirStretch {
    private static final double SPOT_MM = 40;

    private AirStretch() {}

    record Row(
            double seconds,
            double bondColdest,
            double bondMiddle,
            double glassFace,
            double frame,
            double panelEdge,
            double battery) {
        double[] shares() {
            return new double[] {bondColdest, bondMiddle, glassFace, frame, panelEdge, battery};
        }
    }

    /** @param frame {@code metal} or {@code plastic}; {@code phase} {@code heating}, {@code off_after_30} or {@code off_after_60} */
    static List<Row> rows(String frame, int wPerM2K, int stretchMm, String phase) throws IOException {
        String begins = frame + "," + wPerM2K + "," + stretchMm + "," + phase + ",";
        try (InputStream file = AirStretch.class.getResourceAsStream("/air-stretch.csv")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> line.startsWith(begins))
                    .map(line -> line.substring(begins.length()).split(","))
                    .map(c -> new Row(
                            Double.parseDouble(c[0]),
                            Double.parseDouble(c[1]),
                            Double.parseDouble(c[2]),
                            Double.parseDouble(c[3]),
                            Double.parseDouble(c[4]),
                            Double.parseDouble(c[5]),
                            Double.parseDouble(c[6])))
                    .toList();
        }
    }

    /** Height of the bell so far from its middle, 1 there. */
    static double bell(double mm) {
        return Math.exp(-4 * Math.log(2) * Math.pow(mm / SPOT_MM, 2));
    }

    /** The same on the mean of being wiped over the stretch and a quarter of its width beyond each end. */
    static double wiped(double fromMiddleMm, double stretchMm) {
        double reach = stretchMm / 2 + SPOT_MM / 4;
        return IntStream.range(0, 200)
                .mapToDouble(n -> bell(fromMiddleMm - reach + 2 * reach * (n + 0.5) / 200))
                .average()
                .orElseThrow();
    }
}
