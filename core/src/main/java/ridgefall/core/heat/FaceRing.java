package ridgefall.core.heat;

import static ridgefall.core.heat.RingNetwork.BATTERY;
import static ridgefall.core.heat.RingNetwork.BOND;
import static ridgefall.core.heat.RingNetwork.COLUMN;
import static ridgefall.core.heat.RingNetwork.DISPLAY;
import static ridgefall.core.heat.RingNetwork.GLASS;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import ridgefall.core.profile.HeatStack;

/**
 * The heat of a device resolved round its edge: a ring of border columns (glass, bond line, ledge, frame), joined to
 * each other along the frame and each to one centre column (glass, display, gap, battery, back), to which the glass
 * ties them as a fin. With every piece alike it is the two-column model of the reference case.
 *
 * <p>Temperatures are K above the room, so everything scales with the source. Steps are those of the L-stable
 * two-stage diagonally implicit method of second order (Alexander 1977, γ = 1 − 1/√2): no ringing after a sudden start, and
 * both stages share one matrix. Each stage eliminates the columns one by one (they only know their frame and the
 * centre's glass), then the ring of frames, then solves what is left for the centre: the cost grows with the number of
 * pieces, not with its cube. Columns are eliminated from the ledge out: an exposure changes the last pivot of each alone, so
 * that a moving nozzle needs no new factors.
 *
 * <p>State vectors hold the columns cell by cell, outermost first, each cell for all pieces ({@code cell * pieces +
 * piece}); then the frame in the same way; then the centre column with the back last.
 */
final class FaceRing implements HeatRing {
    private static final double GAMMA = 1 - 1 / Math.sqrt(2);

    private final FaceNetwork net;
    private final double heldJPerK;
    private final double coolingS;

    /**
     * @param lengthMm the pieces of the edge in their order, at least 3
     * @param ledgeMm width of the ledge under each piece
     */
    FaceRing(HeatStack stack, double[] lengthMm, double[] ledgeMm) {
        this(stack, lengthMm, ledgeMm, ones(lengthMm.length));
    }

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    FaceRing(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        this.net = new FaceNetwork(stack, lengthMm, ledgeMm, finShare);
        this.heldJPerK =
                RingNetwork.sum(net.columnJPerK) + RingNetwork.sum(net.rimJPerK) + RingNetwork.sum(net.centreJPerK);
        this.coolingS =
                heldJPerK / (Exposure.STILL_AIR_W_PER_M2K * 2 * net.stack.areaM2() + RingNetwork.sum(net.rimLossWPerK));
    }

    private static double[] ones(int count) {
        double[] ones = new double[count];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** Pieces of equal length with the stack's own ledge everywhere. */
    static FaceRing uniform(HeatStack stack, int pieces) {
        double[] length = new double[pieces];
        Arrays.fill(length, stack.perimeterM() * 1e3 / pieces);
        double[] ledge = new double[pieces];
        Arrays.fill(ledge, stack.ledgeWidthMm());
        return new FaceRing(stack, length, ledge);
    }

    @Override
    public int pieces() {
        return net.pieces;
    }

    @Override
    public double lengthM(int piece) {
        return net.lengthM[piece];
    }

    @Override
    public double centreM2() {
        return net.insideM2;
    }

    @Override
    public double[] atRoom() {
        return new double[(COLUMN + 1) * net.pieces + net.centreCells];
    }

    @Override
    public double bond(double[] state, int piece) {
        return (state[(GLASS + 1) * net.pieces + piece] + state[(GLASS + 2) * net.pieces + piece]) / 2;
    }

    @Override
    public double bondAtGlass(double[] state, int piece) {
        return state[GLASS * net.pieces + piece];
    }

    @Override
    public double glass(double[] state, int piece) {
        return state[piece];
    }

    @Override
    public double hottestGlass(double[] state) {
        double hottest = state[(COLUMN + 1) * net.pieces];
        for (int piece = 0; piece < net.pieces; piece++) {
            hottest = Math.max(hottest, glass(state, piece));
        }
        return hottest;
    }

    /** It ends behind the glass that the bond is on; under air, which warms that alone, the glass is always a little hotter. */
    @Override
    public double panelsEdge(double[] state, int piece, boolean air) {
        return air ? glass(state, piece) : bondAtGlass(state, piece);
    }

    /** The ledge side of the bond line; the last of its cells. */
    double bondAtLedge(double[] state, int piece) {
        return state[(GLASS + BOND - 1) * net.pieces + piece];
    }

    @Override
    public double rim(double[] state, int piece) {
        return state[COLUMN * net.pieces + piece];
    }

    double back(double[] state) {
        return state[state.length - 1];
    }

    @Override
    public double display(double[] state) {
        return hottest(state, net.displayFrom, DISPLAY);
    }

    @Override
    public double battery(double[] state) {
        return hottest(state, net.batteryFrom, BATTERY);
    }

    private double hottest(double[] state, int from, int count) {
        int first = (COLUMN + 1) * net.pieces + from;
        double hottest = state[first];
        for (int k = 1; k < count; k++) {
            hottest = Math.max(hottest, state[first + k]);
        }
        return hottest;
    }

    @Override
    public double heldJPerK() {
        return heldJPerK;
    }

    @Override
    public double coolingS() {
        return coolingS;
    }

    @Override
    public double storedJ(double[] state) {
        double stored = 0;
        for (int i = 0; i < net.columnJPerK.length; i++) {
            stored += net.columnJPerK[i] * state[i];
        }
        for (int i = 0; i < net.pieces; i++) {
            stored += net.rimJPerK[i] * state[COLUMN * net.pieces + i];
        }
        for (int i = 0; i < net.centreCells; i++) {
            stored += net.centreJPerK[i] * state[(COLUMN + 1) * net.pieces + i];
        }
        return stored;
    }

    /** What flows into the device from all that surrounds it, W; losses count below zero. */
    double inflowW(double[] state, Exposure exposure) {
        double inflow = 0;
        for (int i = 0; i < net.pieces; i++) {
            inflow += net.facing(exposure.borderWPerM2K()[i], net.faceM2[i]) * (exposure.borderRiseK()[i] - state[i]);
            inflow -= net.rimLossWPerK[i] * rim(state, i);
        }
        double centre = exposure.centreRiseK() - state[(COLUMN + 1) * net.pieces];
        return inflow
                + net.facing(exposure.centreWPerM2K(), net.insideM2) * centre
                - Exposure.STILL_AIR_W_PER_M2K * net.stack.areaM2() * back(state);
    }

    @Override
    public Runner runner(double stepS) {
        return new Running(stepS);
    }

    private final class Running implements Runner {
        private static final double ONWARD = (1 - GAMMA) / GAMMA;

        private final double stepS;
        private final Map<Double, FaceStage> byFin = new HashMap<>();
        private final double[] first = atRoom();
        private final double[] ahead = atRoom();

        Running(double stepS) {
            this.stepS = stepS;
        }

        @Override
        public void step(double[] now, Exposure exposure) {
            FaceStage stage = byFin.computeIfAbsent(net.fin(exposure), fin -> new FaceStage(net, GAMMA * stepS, fin));
            stage.face(exposure);
            stage.solve(now, first);
            for (int i = 0; i < now.length; i++) {
                ahead[i] = now[i] + ONWARD * (first[i] - now[i]);
            }
            stage.solve(ahead, now);
        }
    }
}
