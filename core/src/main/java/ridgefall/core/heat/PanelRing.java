package ridgefall.core.heat;

import static ridgefall.core.heat.PanelNetwork.BATTERY;
import static ridgefall.core.heat.PanelNetwork.BOND;
import static ridgefall.core.heat.PanelNetwork.COLUMN;
import static ridgefall.core.heat.PanelNetwork.DISPLAY;
import static ridgefall.core.heat.PanelNetwork.GLASS;
import static ridgefall.core.heat.PanelNetwork.INBOARD;

import java.util.Arrays;
import java.util.LinkedList;
import java.util.List;
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
final class PanelRing implements HeatRing {
    private static final double GAMMA = 1 - 1 / Math.sqrt(2);
    private static final double ON_THE_SAFE_SIDE = 1.06;

    private final PanelNetwork net;
    private final double heldJPerK;
    private final double coolingS;

    /**
     * @param lengthMm the pieces of the edge in their order, at least 3
     * @param ledgeMm width of the ledge under each piece
     */
    PanelRing(HeatStack stack, double[] lengthMm, double[] ledgeMm) {
        this(stack, lengthMm, ledgeMm, ones(lengthMm.length));
    }

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    PanelRing(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        this.net = new PanelNetwork(stack, lengthMm, ledgeMm, finShare);
        this.heldJPerK = PanelNetwork.sum(net.columnJPerK)
                + PanelNetwork.sum(net.rimJPerK)
                + PanelNetwork.sum(net.backJPerK)
                + PanelNetwork.sum(net.stripJPerK)
                + PanelNetwork.sum(net.centreJPerK);
        this.coolingS = heldJPerK
                / (Exposure.STILL_AIR_W_PER_M2K * 2 * net.stack.areaM2() + PanelNetwork.sum(net.rimLossWPerK));
    }

    /** As warm all over as it was known to be by what faces alone warmed: beside the border as in the middle. */
    double[] of(FaceRing face, double[] known) {
        int n = net.pieces;
        double[] state = atRoom();
        System.arraycopy(known, 0, state, 0, (COLUMN + 1) * n);
        int middle = (COLUMN + 1) * n;
        System.arraycopy(known, middle, state, centreAt(), net.centreCells);
        Arrays.fill(state, backAt(), backAt() + n, face.back(known));
        double[] strip = {
            mean(known, middle, GLASS),
            mean(known, middle + net.displayFrom, DISPLAY / 2),
            mean(known, middle + net.displayFrom + DISPLAY / 2, DISPLAY / 2)
        };
        for (int cell = 0; cell < INBOARD; cell++) {
            int from = stripsAt() + cell * n;
            Arrays.fill(state, from, from + n, strip[cell % PanelNetwork.STRIP]);
        }
        return state;
    }

    private static double mean(double[] values, int from, int count) {
        return Arrays.stream(values, from, from + count).average().orElseThrow();
    }

    private static double[] ones(int count) {
        double[] ones = new double[count];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** Pieces of equal length with the stack's own ledge everywhere. */
    static PanelRing uniform(HeatStack stack, int pieces) {
        double[] length = new double[pieces];
        Arrays.fill(length, stack.perimeterM() * 1e3 / pieces);
        double[] ledge = new double[pieces];
        Arrays.fill(ledge, stack.ledgeWidthMm());
        return new PanelRing(stack, length, ledge);
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

    double stripFromMm(int strip) {
        return net.stripMm[strip] - net.stripWideMm[strip] / 2;
    }

    double stripToMm(int strip) {
        return net.stripMm[strip] + net.stripWideMm[strip] / 2;
    }

    double stripsToMm() {
        return net.stripsToMm;
    }

    @Override
    public double[] atRoom() {
        return new double[centreAt() + net.centreCells];
    }

    @Override
    public double bond(double[] state, int piece) {
        return (state[(GLASS + 1) * net.pieces + piece] + state[(GLASS + 2) * net.pieces + piece]) / 2;
    }

    @Override
    public double glass(double[] state, int piece) {
        return state[piece];
    }

    @Override
    public double hottestGlass(double[] state) {
        double hottest = state[centreAt()];
        for (int piece = 0; piece < net.pieces; piece++) {
            hottest = Math.max(hottest, hottestGlass(state, piece));
        }
        return hottest;
    }

    /** Over the border or inboard of it. */
    private double hottestGlass(double[] state, int piece) {
        double hottest = hottest(state, 0, piece);
        for (int strip = 0; strip < PanelNetwork.STRIPS; strip++) {
            hottest = Math.max(hottest, hottest(state, stripsAt() + strip * PanelNetwork.STRIP * net.pieces, piece));
        }
        return hottest;
    }

    /** Within a piece, by the parabola through its middle and its neighbours': air over a stretch is hottest between long pieces. */
    private double hottest(double[] state, int row, int piece) {
        int n = net.pieces;
        double here = state[row + piece];
        double before = state[row + (piece == 0 ? n : piece) - 1];
        double after = state[row + (piece == n - 1 ? 0 : piece + 1)];
        if (before > here || after > here) {
            return here;
        }
        double curved = 2 * here - before - after;
        return curved > 0 ? here + (after - before) * (after - before) / (8 * curved) : here;
    }

    /**
     * The panel's edge in a piece, on the safe side. Under air the glass that is bonded to it stands for it, and a little more: a
     * finer model finds the edge up to 5 % over this one's glass.
     */
    @Override
    public double panelsEdge(double[] state, int piece, boolean air) {
        return air && net.stack.fused() ? ON_THE_SAFE_SIDE * hottestGlass(state, piece) : panel(state, piece);
    }

    /** The panel where it is hottest in a piece; its edge lies in the first strip. */
    double panel(double[] state, int piece) {
        double hottest = 0;
        for (int strip = 0; strip < PanelNetwork.STRIPS; strip++) {
            hottest = Math.max(hottest, state[stripsAt() + (strip * PanelNetwork.STRIP + 1) * net.pieces + piece]);
        }
        return hottest;
    }

    @Override
    public double bondAtGlass(double[] state, int piece) {
        return state[GLASS * net.pieces + piece];
    }

    /** The ledge side of the bond line; the last of its cells. */
    double bondAtLedge(double[] state, int piece) {
        return state[(GLASS + BOND - 1) * net.pieces + piece];
    }

    @Override
    public double rim(double[] state, int piece) {
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

    @Override
    public double display(double[] state) {
        return hottestOfCentre(state, net.displayFrom, DISPLAY);
    }

    @Override
    public double battery(double[] state) {
        return hottestOfCentre(state, net.batteryFrom, BATTERY);
    }

    private double hottestOfCentre(double[] state, int from, int count) {
        int first = centreAt() + from;
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
    double inflowW(double[] state, Exposure exposure) {
        double inflow = 0;
        for (int i = 0; i < net.pieces; i++) {
            inflow += net.facing(exposure.borderWPerM2K()[i], net.faceM2[i]) * (exposure.borderRiseK()[i] - state[i]);
            inflow -= net.rimLossWPerK[i] * rim(state, i) + net.backLossWPerK[i] * state[backAt() + i];
            inflow += exposure.sideWPerM2K(i) * net.sideM2[i] * (exposure.sideRiseK() - rim(state, i));
            for (int strip = 0; strip < PanelNetwork.STRIPS; strip++) {
                double wPerK = net.facingStrip(exposure.stripWPerM2K(strip, i), net.stripM2[strip][i]);
                double glass = state[stripsAt() + strip * PanelNetwork.STRIP * net.pieces + i];
                inflow += wPerK * (exposure.stripRiseK(strip, i) - glass);
            }
        }
        double centre = exposure.centreRiseK() - state[centreAt()];
        return inflow
                + net.facing(exposure.centreWPerM2K(), net.centreM2) * centre
                - Exposure.STILL_AIR_W_PER_M2K * net.centreM2 * state[state.length - 1];
    }

    @Override
    public Runner runner(double stepS) {
        return new Running(stepS);
    }

    private final class Running implements Runner {
        private static final double ONWARD = (1 - GAMMA) / GAMMA;
        /** The room's air, and what was met last. */
        private static final int KEPT = 3;

        /** Held off further than this, air is taken away. */
        private static final double LEAST_SHARE = 0.25;

        private final double stepS;
        private final Exposure still = Exposure.stillAir(net.pieces);

        private final List<PanelStage> stages = new LinkedList<>();
        private final double[] first = atRoom();
        private final double[] ahead = atRoom();

        /** Air over a place, the same without a rise behind it, and what a step of it brings to a device as warm as the room. */
        private Exposure blown;

        private Exposure unwarmed;
        private final double[] brought = atRoom();
        private final double[] both = atRoom();

        Running(double stepS) {
            this.stepS = stepS;
        }

        /** The one that is factored for it already, else the one that was not needed for longest. */
        private PanelStage stage(Exposure exposure) {
            PanelStage stage = stages.stream()
                    .filter(kept -> kept.faces(exposure))
                    .findFirst()
                    .orElseGet(() -> stages.size() < KEPT ? new PanelStage(net, GAMMA * stepS) : stages.get(KEPT - 1));
            stages.remove(stage);
            stages.add(0, stage);
            return stage;
        }

        /**
         * Heat flows are linear in what is behind the air: of what is held off, its share of the rise is exact, and what a step
         * of it alone does is worked out once for a place.
         */
        @Override
        public void step(double[] now, Exposure exposure) {
            if (exposure.glassBelowK() == Double.POSITIVE_INFINITY) {
                onward(now, exposure);
                return;
            }
            if (!exposure.warmsAs(blown)) {
                blown = exposure;
                unwarmed = exposure.times(0);
                Arrays.fill(brought, 0);
                onward(brought, exposure);
            }
            double[] before = now.clone();
            onward(now, unwarmed);
            double share = 1;
            double without = hottestGlass(now);
            double with = hottestGlass(sum(now, brought));
            if (with > exposure.glassBelowK()) {
                share = (exposure.glassBelowK() - without) / (with - without);
            }
            if (share < LEAST_SHARE) {
                System.arraycopy(before, 0, now, 0, now.length);
                onward(now, still);
            } else {
                for (int i = 0; i < now.length; i++) {
                    now[i] += share * brought[i];
                }
            }
        }

        private double[] sum(double[] a, double[] b) {
            for (int i = 0; i < a.length; i++) {
                both[i] = a[i] + b[i];
            }
            return both;
        }

        private void onward(double[] now, Exposure exposure) {
            PanelStage stage = stage(exposure);
            stage.face(exposure);
            stage.solve(now, first);
            for (int i = 0; i < now.length; i++) {
                ahead[i] = now[i] + ONWARD * (first[i] - now[i]);
            }
            stage.solve(ahead, now);
        }
    }
}
