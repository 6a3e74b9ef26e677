package ridgefall.core.strip;

import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * What becomes of a screw driven into a hole. Where the hole was measured, the screw's length less the stack it clamps is what goes into the
 * thread: it may not come nearer to the bottom than {@value #CLEAR_MM} mm, since a board, a panel or a cell lies behind it, and holds from
 * {@value #HOLDS_DIAMETERS} of its diameter on. Where it was not, the length that belongs there decides.
 *
 * @param engagedMm of its thread in the hole's; null where the hole was not measured
 * @param overMm how much too long it is; 0 unless it is
 */
public record ScrewFit(Verdict verdict, Double engagedMm, double overMm) {
    private static final double CLEAR_MM = 0.1;
    private static final double HOLDS_DIAMETERS = 0.8;

    /** Longer or shorter by no more than this, a screw is the one that belongs there. */
    private static final double LIKE_ITS_OWN_MM = 0.3;

    /** Lengths are told to the hundredth: what sums of them differ by less is the last bit. */
    private static final double SAME_MM = 1e-6;

    public enum Verdict {
        FITS,
        /** Drives into what lies behind the hole. */
        TOO_LONG,
        /** Tears out. */
        TOO_SHORT,
        OTHER_THREAD
    }

    /** @param hole with the screw that belongs there */
    public static ScrewFit of(Screw hole, Screw driven) {
        return of(hole, driven.threadMm(), driven.underHeadMm());
    }

    /** @param underHeadMm of what is driven, and {@code threadMm} the diameter of its thread */
    static ScrewFit of(Screw hole, double threadMm, double underHeadMm) {
        if (threadMm != hole.threadMm()) {
            return new ScrewFit(Verdict.OTHER_THREAD, null, 0);
        }
        return hole.stackMm() == null || hole.threadedMm() == null
                ? besideItsOwn(underHeadMm - hole.underHeadMm())
                : measured(hole, underHeadMm - hole.stackMm());
    }

    private static ScrewFit besideItsOwn(double longerMm) {
        if (longerMm > LIKE_ITS_OWN_MM + SAME_MM) {
            return new ScrewFit(Verdict.TOO_LONG, null, longerMm);
        }
        return new ScrewFit(longerMm < -LIKE_ITS_OWN_MM - SAME_MM ? Verdict.TOO_SHORT : Verdict.FITS, null, 0);
    }

    private static ScrewFit measured(Screw hole, double intoMm) {
        double engagedMm = Math.max(0, Math.min(intoMm, hole.threadedMm()));
        if (intoMm > hole.threadedMm() - CLEAR_MM + SAME_MM) {
            return new ScrewFit(Verdict.TOO_LONG, engagedMm, Math.max(CLEAR_MM, intoMm - hole.threadedMm()));
        }
        boolean holds = engagedMm >= HOLDS_DIAMETERS * hole.threadMm() - SAME_MM;
        return new ScrewFit(holds ? Verdict.FITS : Verdict.TOO_SHORT, engagedMm, 0);
    }

    /** For a hand with that screw on the driver. */
    public String words() {
        return switch (verdict) {
            case FITS ->
                engagedMm == null ? "as the one that belongs there" : "fits: {mm:" + tenth(engagedMm) + "} hold";
            case TOO_LONG -> "too long by {mm:" + tenth(overMm) + "}: hits what lies behind";
            case TOO_SHORT ->
                engagedMm == null
                        ? "too short: it may tear out"
                        : "too short: {mm:" + tenth(engagedMm) + "} hold, tears out";
            case OTHER_THREAD -> "another thread: spoils the hole";
        };
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }
}
