package ridgefall.core.bond;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.edge.Landmark;
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

    /**
     * One piece, named by where it lies and a number; the outline is in mm, face up, y down.
     *
     * @param fromMm along its edge from the left or from the top; round a corner along the row of chords, clockwise
     */
    public record Strip(
            String id,
            Landmark on,
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
     * Where the tape of that edge does not lie as it is, and why. A corner that has one carries nothing.
     *
     * @param ledgeMm what is left of the ledge there; 0 where nothing may lie on it
     * @param instead what lies there
     * @param mm how wide that is; 0 for nothing
     */
    public record Skip(
            Landmark on, double fromMm, double toMm, String because, double ledgeMm, Instead instead, double mm) {
        public Skip(Landmark on, double fromMm, double toMm, String because) {
            this(on, fromMm, toMm, because, 0, Instead.NOTHING, 0);
        }
    }

    public enum Instead {
        NOTHING,
        /** A piece of narrower tape. */
        PATCH,
        /** The tape itself runs through, cut narrower from its inner side. */
        NOTCH
    }
}
