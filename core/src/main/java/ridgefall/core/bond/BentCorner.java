package ridgefall.core.bond;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ridgefall.core.bond.BondFact.CornerMeasured;
import ridgefall.core.edge.Landmark;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Glass;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ProfileDocument.Kind;

/**
 * Whether tape keeps a flat front down on a frame whose corner is away from it. The front is a beam that wants to be straight again:
 * bent over the length by the gap it has the curvature {@code k = 2d/L²} and pulls at the tape for ever, with the energy {@code
 * D k²/2} per area and, where the tape ends, the shear {@code k √(D Ea/ta)} of a beam on a soft layer.
 *
 * @param bentMm from the corner to where the frame touches
 * @param shearMPa in the tape at the corner
 * @param clamps how many keep that length down to {@value #LEFT_OPEN_MM} mm between them
 */
public record BentCorner(
        Landmark corner, double gapMm, double bentMm, Verdict verdict, double shearMPa, int clamps, double everyMm) {
    /** From what needs least to what needs most. */
    public enum Verdict {
        /** Tape alone, for good. */
        TAPE_HOLDS,
        /** It creeps open: a thicker, softer tape, or clamps until it has set. */
        CLAMP,
        /** No tape holds it: straightened first, or a bead and clamps. */
        STRAIGHTEN
    }

    /** Of thin tape that is sheared for ever, and how thick it is. */
    private static final double TAPE_SHEAR_MODULUS_MPA = 0.3;

    private static final double TAPE_MM = 0.2;

    /** In a hand, in the sun. */
    private static final double USED_AT_C = 40;

    /** Of what it bears for a moment, tape bears that much for years; and a slow peel that much of one that nobody sees move. */
    private static final double SHEAR_FOR_EVER = 0.05;

    private static final double PEEL_FOR_EVER = 1 / 3.0;
    private static final double CREEPS_MM_PER_S = 0.001;

    private static final double LEFT_OPEN_MM = 0.05;
    private static final double CLAMP_WIDE_MM = 15;

    /** Where nobody measured how far it reaches; a shorter bend pulls harder, and such are rare. */
    static final double USUAL_BENT_MM = 60;

    /** A panel that is bonded to the glass bends with it: about half of its thickness is glass. */
    private static final double GLASS_OF_PANEL = 0.5;

    /** Every corner that was marked, as it was measured last, the worst first. */
    public static List<BentCorner> of(DeviceProfile profile, JobState state) {
        double thicknessMm = bendingMm(profile.heat());
        Map<Landmark, CornerMeasured> now = BondState.of(state).corners();
        Map<Landmark, CornerMeasured> bends = new LinkedHashMap<>();
        IntakeState.of(state)
                .bends()
                .forEach(bend ->
                        bends.put(bend.corner(), new CornerMeasured(bend.corner(), bend.gapMm(), bend.bentMm())));
        bends.putAll(now);
        return bends.values().stream()
                .filter(bend -> bend.gapMm() > 0)
                .map(bend -> of(profile, bend, thicknessMm))
                .sorted(Comparator.comparing(BentCorner::shearMPa).reversed())
                .toList();
    }

    private static BentCorner of(DeviceProfile profile, CornerMeasured bend, double thicknessMm) {
        double longestMm = Math.max(profile.edge().widthMm(), profile.edge().heightMm());
        double bentMm = Math.min(longestMm, bend.bentMm() == null ? USUAL_BENT_MM : bend.bentMm());
        BentCorner onTape = of(bend.corner(), bend.gapMm(), bentMm, thicknessMm, Adhesive.PET_CARRIER_TAPE);
        return profile.document().kind() == Kind.WATCH ? onTape.underARing() : onTape;
    }

    /** A ring is squeezed by hundredths: whatever is bent by more than those leaks, though tape would hold it down. */
    private BentCorner underARing() {
        return new BentCorner(corner, gapMm, bentMm, Verdict.STRAIGHTEN, shearMPa, clamps, everyMm);
    }

    /** @param thicknessMm of a front that is one plate of glass */
    static BentCorner of(Landmark corner, double gapMm, double bentMm, double thicknessMm, Adhesive tape) {
        double perMm = 2 * gapMm / (bentMm * bentMm);
        double stiffnessNmm = Glass.PLATE_MODULUS_MPA * Math.pow(thicknessMm, 3) / 12;
        double energyNPerMm = stiffnessNmm * perMm * perMm / 2;
        double shearMPa = perMm * Math.sqrt(stiffnessNmm * TAPE_SHEAR_MODULUS_MPA / TAPE_MM);
        double bearsNPerMm = PEEL_FOR_EVER * tape.peelNPerMm(USED_AT_C, CREEPS_MM_PER_S);
        double bearsMPa = SHEAR_FOR_EVER * tape.shearMPa(USED_AT_C);
        double asked = Math.max(energyNPerMm / bearsNPerMm, shearMPa / bearsMPa);
        double everyMm = bentMm * Math.min(1, Math.sqrt(LEFT_OPEN_MM / gapMm));
        return new BentCorner(
                corner,
                gapMm,
                bentMm,
                asked <= 1 ? Verdict.TAPE_HOLDS : asked <= 2 ? Verdict.CLAMP : Verdict.STRAIGHTEN,
                shearMPa,
                1 + (int) Math.ceil(bentMm / everyMm - 1e-9),
                everyMm);
    }

    /** As thick as one plate of glass that bends as hard; clear bond lets the panel bend by itself, so their stiffnesses add. */
    private static double bendingMm(HeatStack stack) {
        double glass = stack.glass().thicknessMm();
        double panel = stack.fused() ? GLASS_OF_PANEL * stack.display().thicknessMm() : 0;
        return Math.cbrt(Math.pow(glass, 3) + Math.pow(panel, 3));
    }

    /** For the hand that closes it. */
    public String words(DeviceProfile profile) {
        String where = "{mm:" + gapMm + "} under the " + profile.placeName(corner) + ", over {mm:" + bentMm + "}: ";
        return where
                + switch (verdict) {
                    case TAPE_HOLDS -> "tape holds it for good";
                    case CLAMP ->
                        "tape alone creeps open; a thicker, softer tape, or " + clamped() + ", until it has set";
                    case STRAIGHTEN ->
                        profile.document().kind() == Kind.WATCH
                                ? "no ring seals it: straighten it, battery out; else it goes back as not sealed"
                                : "no tape holds it: straighten it, battery out; else a bead and " + clamped();
                };
    }

    /** "5 clamps at the ... until it has set: tape alone creeps open there". */
    String clampsAsked(DeviceProfile profile) {
        return clamped() + ", at the " + profile.placeName(corner)
                + ", until it has set: bent, and tape alone creeps open there";
    }

    /** Nobody gets clamps closer together than they are wide. */
    private String clamped() {
        return everyMm < CLAMP_WIDE_MM
                ? "clamps side by side all along it"
                : clamps + " clamps, one every {mm:" + Math.floor(everyMm) + "}";
    }
}
