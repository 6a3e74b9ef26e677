package ridgefall.core.heat;

import java.util.List;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.BenchRun.Act;

/** A device at the bench as whoever warms and cuts it meets it; temperatures in °C. */
public interface Bench {
    /** The bond at a position. */
    double bondC(double positionMm);

    /** The bond at its coldest over a stretch. */
    double bondC(EdgeInterval where);

    /** Some steps in the air of the room. */
    void rest(double seconds);

    /** All of it, one after the other. */
    void through(List<Act> acts);

    AtSource on(HeatSource source, Setup setup);

    /** What the glass may get to where it faces a source, °C. */
    double glassCautionC();

    /** How far over its caution the battery is, K; nobody sees it. */
    double batteryOverK();

    /** Whether everything has kept its stop so far. */
    boolean keptStops();

    /** What has come nearest to its caution so far, in words. */
    String nearestLimit();

    /** A source at the front. */
    interface AtSource {
        /** One step of it as it is set; time goes on. */
        void step();

        /** One step of air in a hand that reads the glass, and holds it so far off that the glass stays below. */
        void step(double glassBelowC);

        double seconds();

        /**
         * How far over its caution what faces the source would be after one step, K; below zero where it keeps it. A
         * thermometer at the glass tells as much. It jumps in the first step.
         */
        double nextFaceOverK();
    }
}
