package ridgefall.core.bond;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.material.TapeSchool;

/**
 * The pieces of tape to cut and where they go.
 *
 * @param rollMm tape used including the waste of every cut
 * @param coverage share of the usable ledge that carries tape, 0–1
 * @param shearN load it carries in shear at the given temperature, with the safety factor taken off
 * @param cornersClosed whether neighbouring strips meet in the corners
 */
public record StripPlan(
        TapeSchool school,
        List<Strip> strips,
        List<Skip> skips,
        double lengthMm,
        double rollMm,
        double areaMm2,
        double coverage,
        double shearN,
        boolean cornersClosed) {

    /** One piece, named by edge and number; the outline is in mm, face up, y down. */
    public record Strip(
            String id,
            Ledge.Side side,
            double fromMm,
            double toMm,
            double widthMm,
            double areaMm2,
            List<Coordinate> outline) {
        public double lengthMm() {
            return toMm - fromMm;
        }
    }

    /**
     * Where the tape of that side does not lie, and why.
     *
     * @param ledgeMm what is left of the ledge there; 0 where nothing may lie on it
     * @param patchMm the narrower tape that lies there instead; 0 for none
     */
    public record Skip(Ledge.Side side, double fromMm, double toMm, String because, double ledgeMm, double patchMm) {
        public Skip(Ledge.Side side, double fromMm, double toMm, String because) {
            this(side, fromMm, toMm, because, 0, 0);
        }
    }
}
