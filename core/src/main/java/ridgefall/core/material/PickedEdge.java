package ridgefall.core.material;

import java.util.function.DoubleUnaryOperator;
import ridgefall.core.units.Allowed;

/**
 * Border glass with a pick under it: a beam along the edge, {@value #BEAM_MM} mm of it in effect, which the soft bond holds
 * down beyond what is free with all it bears. Exact for that beam; the beam itself is an estimate. Lengths in mm, forces in N,
 * stresses in MPa.
 *
 * @param bondMm thickness of the adhesive: a pick fills that before it lifts anything
 * @param bondWidthMm width of the ledge
 * @param shearMPa of the bond at its temperature
 * @param tearNPerMm what peels it slowly, at 1 mm/s
 */
public record PickedEdge(double glassMm, double bondMm, double bondWidthMm, double shearMPa, double tearNPerMm) {
    private static final double BEAM_MM = 15;
    private static final double FRICTION = 0.25;
    private static final double PICK_WIDTH_MM = 10;

    /** Longer than any device; far shorter than any beam that bends. */
    private static final double LONGEST_REACH_MM = 2000;

    private static final double SHORTEST_REACH_MM = 1e-3;

    public PickedEdge {
        Allowed.between("glassMm", glassMm, 0.1, 5, "mm");
        Allowed.between("bondMm", bondMm, 0.01, 3, "mm");
        Allowed.between("bondWidthMm", bondWidthMm, 0.1, 30, "mm");
    }

    public static PickedEdge of(Sheet glass, Sheet bond, double bondWidthMm, Adhesive adhesive, double bondC) {
        return new PickedEdge(
                glass.thicknessMm(),
                bond.thicknessMm(),
                bondWidthMm,
                adhesive.shearMPa(bondC),
                adhesive.peelNPerMm(bondC, Cutting.WORKABLE_MM_PER_S));
    }

    /** Bending stress over a pick with nothing free beside it. */
    public double stressMPa(double pickMm) {
        return Math.sqrt(6 * Glass.PLATE_MODULUS_MPA * plateauNPerMm() * lift(pickMm) / (BEAM_MM * glassMm));
    }

    /** What a hand feels that pushes a pick along: the cut, and the glass that rides on it. */
    public double pushN(double pickMm) {
        return tearNPerMm * PICK_WIDTH_MM + 2 * FRICTION * pushUpN(pickMm);
    }

    /** What the glass presses a pick down with, and the ledge under it. */
    private double pushUpN(double pickMm) {
        double reach = Math.pow(72 * stiffnessNMm2() * lift(pickMm) / plateauNPerMm(), 0.25);
        return 4 * plateauNPerMm() * reach / 3;
    }

    /**
     * Bending stress of the ledge where it grows out of the frame, a pick resting on its middle: a short cantilever, as much of it
     * in effect as of the glass.
     */
    public double ledgeMPa(double pickMm, double ledgeMm) {
        return 6 * pushUpN(pickMm) * bondWidthMm / 2 / (BEAM_MM * ledgeMm * ledgeMm);
    }

    /** The thickest pick that the glass bears with nothing free beside it; infinite where the bond tears sooner. */
    public double thickestPickMm(double allowedMPa) {
        double lift = allowedMPa * allowedMPa * BEAM_MM * glassMm / (6 * Glass.PLATE_MODULUS_MPA * plateauNPerMm());
        return lift >= tearNPerMm / shearMPa ? Double.POSITIVE_INFINITY : bondMm + lift;
    }

    /**
     * How far the edge may rise in the middle of what is free.
     *
     * @param freeMm to either side, more than 0
     */
    public double greatestRiseMm(double freeMm, double allowedMPa) {
        double reach = rising(a -> freed(a, freeMm).stressMPa(), allowedMPa);
        return freed(reach, freeMm).riseMm();
    }

    /** A pick lifts what is left of it once it fills the bond, and no further than the bond holds on. */
    private double lift(double pickMm) {
        return Math.min(Math.max(0, pickMm - bondMm), tearNPerMm / shearMPa);
    }

    private double plateauNPerMm() {
        return shearMPa * bondWidthMm;
    }

    /** E'·I of the beam. */
    private double stiffnessNMm2() {
        return Glass.PLATE_MODULUS_MPA * BEAM_MM * glassMm * glassMm * glassMm / 12;
    }

    private record Freed(double riseMm, double stressMPa) {}

    /** The beam over {@code ±l} that is free, with the bond at its plateau over a reach {@code a} beyond. */
    private Freed freed(double a, double l) {
        double q = plateauNPerMm();
        double ei = stiffnessNMm2();
        double third = q * (a * a * a / 6 + a * a * l / 2 + a * l * l / 2) / (ei * (3 * a * a + 6 * a * l + 3 * l * l));
        double w1 = 3 * third * a * a - q * a * a * a / (6 * ei);
        double w2 = 6 * third * a - q * a * a / (2 * ei);
        double w3 = 6 * third - q * a / ei;
        double rise = third * a * a * a - q * a * a * a * a / (24 * ei) + w1 * l + w2 * l * l / 2 + w3 * l * l * l / 6;
        double inTheMiddle = Math.abs(ei * (w2 + w3 * l));
        double overTheBond = 18 * third * third * ei * ei / q;
        double moment = Math.max(inTheMiddle, overTheBond);
        return new Freed(rise, moment * glassMm * 6 / (BEAM_MM * glassMm * glassMm * glassMm));
    }

    /** Where something that only rises reaches a value. */
    private static double rising(DoubleUnaryOperator of, double value) {
        double low = SHORTEST_REACH_MM;
        double high = LONGEST_REACH_MM;
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            if (of.applyAsDouble(middle) < value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
