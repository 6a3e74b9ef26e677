package ridgefall.core.heat;

import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/** What a {@link FaceRing} is made of: every column of the border knows the centre by its glass, and by the back. */
final class FaceNetwork extends RingNetwork {
    /** The cells of a column that its surroundings are tied to: the glass, and the last of the ledge. */
    static final int[] TIED = {0, 1, 2, 3, COLUMN - 1};

    static final int TIES = TIED.length;

    /** @param finShare how much of the glass between centre and border still conducts at each piece, 0–1: cracks cut it */
    FaceNetwork(HeatStack stack, double[] lengthMm, double[] ledgeMm, double[] finShare) {
        super(stack, lengthMm, ledgeMm, finShare);
        double batteryM2 = stack.batteryShare() * insideM2;
        front(insideM2, batteryM2, batteryM2);
        int back = centreCells - 1;
        centreJPerK[back] = (1 - stack.rimShare()) * bodyJPerK;
        centreWPerK[back][back] += Exposure.STILL_AIR_W_PER_M2K * stack.areaM2() + sum(rimToBackWPerK);
    }

    /** The glass between centre and border as a fin, per length of edge. */
    double fin(Exposure exposure) {
        Sheet glass = stack.glass();
        return Math.sqrt(glass.conductivityWPerMK()
                * glass.thicknessM()
                * Math.max(exposure.centreWPerM2K(), Exposure.STILL_AIR_W_PER_M2K));
    }
}
