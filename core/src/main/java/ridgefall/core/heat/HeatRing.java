package ridgefall.core.heat;

/**
 * The heat of a device resolved round its edge, piece by piece, joined by one middle. Temperatures are K above the room, so
 * everything scales with the source.
 *
 * <p>Under a face that covers all of the front, glass and panel beside the border are as warm as the middle: a {@link FaceRing}
 * knows that much. Air that is led along the border warms what lies inboard of it first, and the panel's edge most: that takes a
 * {@link PanelRing}, and more time.
 */
sealed interface HeatRing permits FaceRing, PanelRing {
    int pieces();

    double lengthM(int piece);

    /** What of the front is neither border nor strips inboard of it. */
    double centreM2();

    /** Everything at room temperature. */
    double[] atRoom();

    /** Middle of the bond line, K above the room. */
    double bond(double[] state, int piece);

    /** The side of the bond line that lies on the glass. */
    double bondAtGlass(double[] state, int piece);

    /** The outermost cell of the glass over the border. */
    double glass(double[] state, int piece);

    /** The glass at its hottest: what a thermometer reads at most. */
    double hottestGlass(double[] state);

    /** The panel's edge in a piece, on the safe side. */
    double panelsEdge(double[] state, int piece, boolean air);

    double rim(double[] state, int piece);

    /** The hottest cell of the display. */
    double display(double[] state);

    /** The hottest cell of the battery. */
    double battery(double[] state);

    /** What it takes to warm all of the device by a kelvin. */
    double heldJPerK();

    /** The time constant with which a device of one temperature cools in still air, s. */
    double coolingS();

    /** What the device holds above the room's temperature, J. */
    double storedJ(double[] state);

    /** Takes a look after every step; it must copy what it keeps. */
    interface Observer {
        void at(double seconds, double[] state);
    }

    /** Goes on in equal steps, and keeps from one to the next what it has factored; for one thread. */
    interface Runner {
        /** One step on, in place; an exposure is held over its step. */
        void step(double[] now, Exposure exposure);
    }

    Runner runner(double stepS);

    /**
     * Runs on from a state, which is left untouched, and returns the last one. An exposure is held over its step.
     *
     * @param startS the time of {@code from}, as exposures and observer count it
     */
    default double[] run(
            double[] from, double startS, Exposure.Over front, double stepS, int steps, Observer observer) {
        double[] now = from.clone();
        Runner runner = runner(stepS);
        for (int step = 0; step < steps; step++) {
            double at = startS + step * stepS;
            runner.step(now, front.between(at, at + stepS));
            observer.at(at + stepS, now);
        }
        return now;
    }
}
