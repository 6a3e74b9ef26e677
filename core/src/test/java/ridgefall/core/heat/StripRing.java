package ridgefall.core.heat;

import static ridgefall.core.heat.StripNetwork.BATTERY;
import static ridgefall.core.heat.StripNetwork.BOND;
import static ridgefall.core.heat.StripNetwork.COLUMN;
import static ridgefall.core.heat.StripNetwork.DISPLAY;
import static ridgefall.core.heat.StripNetwork.GLASS;
import static ridgefall.core.heat.StripNetwork.INBOARD;

import java.util.Arrays;
import ridgefall.core.profile.HeatStack;

/**
 * The heat of a device resolved round its edge: a ring of border columns (glass, bond line, ledge, frame), joined to
 * each other along the frame; inboard of each two strips of glass and panel, whose outer one is the panel's edge; and one centre
 * column (glass, display, gap, battery, back) for all. With every piece alike under a face that covers all it is the two-column
 * model of the reference case.
 *
 * <p>Temperatures are K above the room, so everything scales with the source. Steps are those of the L-stable
 * two-stage diagonally implicit method of second order (Alexander 1977, γ = 1 − 1/√2): no ringing after a sudden start, and
 * both stages share one matrix. Each stage eliminates the pieces one by one (a column knows its frame and its strip, a strip its
 * column and the centre), then the ring of frames, then solves what is left for the centre: the cost grows with the number of
 * pieces, not with its cube.
 *
 * <p>State vectors hold the columns cell by cell, outermost first, each cell for all pieces ({@code cell * pieces +
 * piece}); then the frame, the back and the cells of the strips in the same way; then the centre column.
 */
final class StripRing {
    private static final double GAMMA = 1 - 1 / Math.sqrt(2);
    private static final double ON_THE_SAFE_SIDE = 1.06;

    private final StripNetwork net;
    private final double heldJPerK;
    private final double coolingS;

    /**
     * @param lengthMm the pieces of the edge in their order, at least 3
     * @param ledgeMm width of the ledge under each piece
     */
    StripRing(HeatStack stack, double[] lengthMm, double[] ledgeMm) {
        this(stack, lengthMm, ledgeMm, ones(lengthMm.length));
    }

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    StripRing(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        this.net = new StripNetwork(stack, lengthMm, ledgeMm, finShare);
        this.heldJPerK = StripNetwork.sum(net.columnJPerK)
                + StripNetwork.sum(net.rimJPerK)
                + StripNetwork.sum(net.backJPerK)
                + StripNetwork.sum(net.stripJPerK)
                + StripNetwork.sum(net.centreJPerK);
        this.coolingS = heldJPerK
                / (StripExposure.STILL_AIR_W_PER_M2K * 2 * net.stack.areaM2() + StripNetwork.sum(net.rimLossWPerK));
    }

    private static double[] ones(int count) {
        double[] ones = new double[count];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** Pieces of equal length with the stack's own ledge everywhere. */
    static StripRing uniform(HeatStack stack, int pieces) {
        double[] length = new double[pieces];
        Arrays.fill(length, stack.perimeterM() * 1e3 / pieces);
        double[] ledge = new double[pieces];
        Arrays.fill(ledge, stack.ledgeWidthMm());
        return new StripRing(stack, length, ledge);
    }

    int pieces() {
        return net.pieces;
    }

    double lengthM(int piece) {
        return net.lengthM[piece];
    }

    double centreM2() {
        return net.centreM2;
    }

    private int backAt() {
        return (COLUMN + 1) * net.pieces;
    }

    private int stripsAt() {
        return (COLUMN + 2) * net.pieces;
    }

    private int centreAt() {
        return (COLUMN + 2 + INBOARD) * net.pieces;
    }

    /** How far in from the outline the middles of the strips lie, and their inner edge, mm. */
    double stripMm(int strip) {
        return net.stripMm[strip];
    }

    double stripsToMm() {
        return net.stripsToMm;
    }

    /** Everything at room temperature. */
    double[] atRoom() {
        return new double[centreAt() + net.centreCells];
    }

    /** Middle of the bond line, K above the room. */
    double bond(double[] state, int piece) {
        return (state[(GLASS + 1) * net.pieces + piece] + state[(GLASS + 2) * net.pieces + piece]) / 2;
    }

    /** The outermost cell of the glass over the border. */
    double glass(double[] state, int piece) {
        return state[piece];
    }

    /** The hottest of the glass in a piece, over the border or inboard of it: what a thermometer reads at most. */
    double hottestGlass(double[] state, int piece) {
        double hottest = glass(state, piece);
        for (int strip = 0; strip < StripNetwork.STRIPS; strip++) {
            hottest = Math.max(hottest, state[stripsAt() + strip * StripNetwork.STRIP * net.pieces + piece]);
        }
        return hottest;
    }

    /**
     * The panel's edge in a piece, on the safe side. Under air the glass that is bonded to it stands for it, and a little more: a
     * finer model finds the edge up to 5 % over this one's glass.
     */
    double panelsEdge(double[] state, int piece, boolean air) {
        return air && net.stack.fused() ? ON_THE_SAFE_SIDE * hottestGlass(state, piece) : panel(state, piece);
    }

    /** The panel where it is hottest in a piece; its edge lies in the first strip. */
    double panel(double[] state, int piece) {
        double hottest = 0;
        for (int strip = 0; strip < StripNetwork.STRIPS; strip++) {
            hottest = Math.max(hottest, state[stripsAt() + (strip * StripNetwork.STRIP + 1) * net.pieces + piece]);
        }
        return hottest;
    }

    /** The ledge side of the bond line; the last of its cells. */
    double bondAtLedge(double[] state, int piece) {
        return state[(GLASS + BOND - 1) * net.pieces + piece];
    }

    double rim(double[] state, int piece) {
        return state[COLUMN * net.pieces + piece];
    }

    /** The back at its hottest. */
    double back(double[] state) {
        double hottest = Math.max(state[backAt()], state[state.length - 1]);
        for (int i = 1; i < net.pieces; i++) {
            hottest = Math.max(hottest, state[backAt() + i]);
        }
        return hottest;
    }

    /** The hottest cell of the display. */
    double display(double[] state) {
        return hottest(state, net.displayFrom, DISPLAY);
    }

    /** The hottest cell of the battery. */
    double battery(double[] state) {
        return hottest(state, net.batteryFrom, BATTERY);
    }

    private double hottest(double[] state, int from, int count) {
        int first = centreAt() + from;
        double hottest = state[first];
        for (int k = 1; k < count; k++) {
            hottest = Math.max(hottest, state[first + k]);
        }
        return hottest;
    }

    /** What it takes to warm all of the device by a kelvin. */
    double heldJPerK() {
        return heldJPerK;
    }

    /** The time constant with which a device of one temperature cools in still air, s. */
    double coolingS() {
        return coolingS;
    }

    /** What the device holds above the room's temperature, J. */
    double storedJ(double[] state) {
        double stored = 0;
        for (int i = 0; i < net.columnJPerK.length; i++) {
            stored += net.columnJPerK[i] * state[i];
        }
        for (int i = 0; i < net.pieces; i++) {
            stored += net.rimJPerK[i] * state[COLUMN * net.pieces + i] + net.backJPerK[i] * state[backAt() + i];
        }
        for (int i = 0; i < net.stripJPerK.length; i++) {
            stored += net.stripJPerK[i] * state[stripsAt() + i];
        }
        for (int i = 0; i < net.centreCells; i++) {
            stored += net.centreJPerK[i] * state[centreAt() + i];
        }
        return stored;
    }

    /** What flows into the device from all that surrounds it, W; losses count below zero. */
    double inflowW(double[] state, StripExposure exposure) {
        double inflow = 0;
        for (int i = 0; i < net.pieces; i++) {
            inflow += net.facing(exposure.borderWPerM2K()[i], net.faceM2[i]) * (exposure.borderRiseK()[i] - state[i]);
            inflow -= net.rimLossWPerK[i] * rim(state, i) + net.backLossWPerK[i] * state[backAt() + i];
            if (exposure.sideWPerM2K() != null) {
                inflow += exposure.sideWPerM2K()[i] * net.sideM2[i] * (exposure.sideRiseK() - rim(state, i));
            }
            for (int strip = 0; strip < StripNetwork.STRIPS; strip++) {
                double wPerK = net.facingStrip(exposure.inboardWPerM2K()[strip][i], net.stripM2[strip][i]);
                double glass = state[stripsAt() + strip * StripNetwork.STRIP * net.pieces + i];
                inflow += wPerK * (exposure.inboardRiseK()[strip][i] - glass);
            }
        }
        double centre = exposure.centreRiseK() - state[centreAt()];
        return inflow
                + net.facing(exposure.centreWPerM2K(), net.centreM2) * centre
                - StripExposure.STILL_AIR_W_PER_M2K * net.centreM2 * state[state.length - 1];
    }

    /** Takes a look after every step; it must copy what it keeps. */
    interface Observer {
        void at(double seconds, double[] state);
    }

    /**
     * Runs on from a state, which is left untouched, and returns the last one. An exposure is held over its step.
     *
     * @param startS the time of {@code from}, as exposures and observer count it
     */
    double[] run(double[] from, double startS, StripExposure.Over front, double stepS, int steps, Observer observer) {
        double[] now = from.clone();
        Runner runner = new Runner(stepS);
        for (int step = 0; step < steps; step++) {
            double at = startS + step * stepS;
            runner.step(now, front.between(at, at + stepS));
            observer.at(at + stepS, now);
        }
        return now;
    }

    /** Goes on in equal steps, and keeps from one to the next what it has factored; for one thread. */
    final class Runner {
        private static final double ONWARD = (1 - GAMMA) / GAMMA;

        private final StripStage stage;
        private final double[] first = atRoom();
        private final double[] ahead = atRoom();

        Runner(double stepS) {
            this.stage = new StripStage(net, GAMMA * stepS);
        }

        /** One step on, in place; an exposure is held over its step. */
        void step(double[] now, StripExposure exposure) {
            stage.face(exposure);
            stage.solve(now, first);
            for (int i = 0; i < now.length; i++) {
                ahead[i] = now[i] + ONWARD * (first[i] - now[i]);
            }
            stage.solve(ahead, now);
        }
    }
}
