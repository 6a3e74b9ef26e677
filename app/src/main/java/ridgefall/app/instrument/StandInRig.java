package ridgefall.app.instrument;

import java.util.Locale;

/**
 * A machine's finger over a device whose touch is whole: it goes to and fro as a hand would, as fast as the task asks, and the device tells
 * of it a hundred and twenty times a second.
 *
 * @param widthMm of the face under it
 */
record StandInRig(double widthMm, double heightMm) {
    static final StandInRig TABLET = new StandInRig(240, 167);

    private static final double PX_PER_MM = 5;
    private static final double EVERY_MS = 1000 / 120.0;
    private static final double LANE_MM = 6;

    /** Half a finger from the edge: further out it has none under it. */
    private static final double INSET_MM = 2;

    private static final double SWEEP_MM_PER_S = 220;
    private static final double SLOW_MM_PER_S = 60;

    String screen() {
        return String.format(Locale.ROOT, "%.0f,%.0f", widthMm * PX_PER_MM, heightMm * PX_PER_MM);
    }

    String trace(String task) {
        StringBuilder csv = new StringBuilder("t_ms,x,y,contact_id\n");
        switch (task) {
            case "SWEEP" -> {
                double ms = 0;
                int lanes = (int) Math.ceil((heightMm - 2 * INSET_MM) / LANE_MM);
                for (int lane = 0; lane <= lanes; lane++) {
                    double y = INSET_MM + lane * (heightMm - 2 * INSET_MM) / lanes;
                    ms = line(csv, ms, INSET_MM, y, widthMm - INSET_MM, y, SWEEP_MM_PER_S, lane + 1);
                }
            }
            case "LINES_SLOW", "LINES_FAST" -> {
                double speed = task.equals("LINES_SLOW") ? SLOW_MM_PER_S : 2 * SLOW_MM_PER_S;
                double ms = line(csv, 0, INSET_MM, INSET_MM, widthMm - INSET_MM, heightMm - INSET_MM, speed, 1);
                line(csv, ms, INSET_MM, heightMm - INSET_MM, widthMm - INSET_MM, INSET_MM, speed, 2);
            }
            // Hands off: it touches nothing.
            default -> {}
        }
        return csv.toString();
    }

    /** @return when it is off again, with the way to the next */
    private static double line(
            StringBuilder csv, double from, double x, double y, double toX, double toY, double mmPerS, int contact) {
        double ms = 1000 * Math.hypot(toX - x, toY - y) / mmPerS;
        for (double t = 0; t <= ms; t += EVERY_MS) {
            csv.append(String.format(
                    Locale.ROOT,
                    "%.2f,%.1f,%.1f,%d%n",
                    from + t,
                    (x + t / ms * (toX - x)) * PX_PER_MM,
                    (y + t / ms * (toY - y)) * PX_PER_MM,
                    contact));
        }
        return from + ms + 400;
    }
}
