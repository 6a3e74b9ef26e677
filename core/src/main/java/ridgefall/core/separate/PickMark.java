package ridgefall.core.separate;

import ridgefall.core.units.Allowed;

/**
 * Where a flag of tape goes on a pick so that it stops at the outline before the tip is too deep. A pick of thickness {@code D}
 * held at an angle {@code α} to the glass has its tip {@code m cos α + D/2 sin α} in from where the flag meets the edge.
 */
public final class PickMark {
    /** Tape is laid no finer than this, mm; rounded to the tip. */
    private static final double STEP_MM = 0.5;

    /** Nobody lays it finer. */
    private static final double BY_EYE_MM = 0.05;

    /** Nobody holds a pick steeper at the edge of a glass. */
    static final double STEEPEST_DEG = 30;

    private PickMark() {}

    /**
     * From the tip, mm, for a pick held at a known angle; not rounded.
     *
     * @param depthMm how far in from the outline the tip may go
     * @param thicknessMm of the pick
     */
    static double mm(double depthMm, double thicknessMm, double angleDeg) {
        Allowed.between("angleDeg", angleDeg, 0, STEEPEST_DEG, "°");
        double angle = Math.toRadians(angleDeg);
        return (depthMm - thicknessMm / 2 * Math.sin(angle)) / Math.cos(angle);
    }

    /**
     * However flat or steep it is held: the least of all angles, which is at {@code sin α = D/2d}; rounded towards the tip, so
     * that what is laid by eye errs on the safe side.
     */
    public static double mm(double depthMm, double thicknessMm) {
        double half = thicknessMm / 2;
        double worst = Math.min(STEEPEST_DEG, Math.toDegrees(Math.asin(Math.min(1, half / depthMm))));
        return Math.floor((mm(depthMm, thicknessMm, worst) + BY_EYE_MM) / STEP_MM) * STEP_MM;
    }
}
