package ridgefall.core.bond;

import ridgefall.core.units.Allowed;

/**
 * A die-cut ring between ledge and front. Stretched, it gets thinner at the same volume, {@code t' = t/√(1+e)}; in the seat's gap it
 * is squeezed by {@code 1 − g/t'}, and seals where that is a tenth all round.
 *
 * @param thicknessMm as a caliper reads it, not pressed
 * @param gapMm that the seat leaves for it
 */
public record RingSeal(double thicknessMm, double gapMm) {
    public static final double LEAST_SQUEEZE = 0.10;

    public RingSeal {
        Allowed.between("thicknessMm", thicknessMm, 0.05, 3, "mm");
        Allowed.between("gapMm", gapMm, 0.01, 3, "mm");
    }

    /** @param stretch as a share of its length */
    public double squeeze(double stretch) {
        return 1 - gapMm * Math.sqrt(1 + stretch) / thicknessMm;
    }

    public boolean seals(double stretch) {
        return squeeze(stretch) >= LEAST_SQUEEZE;
    }

    /** How far it may be stretched and still seal, as a share of its length; below 0 for one that is too thin as it is. */
    public double greatestStretch() {
        double thinnest = gapMm / (1 - LEAST_SQUEEZE);
        return Math.pow(thicknessMm / thinnest, 2) - 1;
    }

    /** "squeezed by 17 in 100: seals". */
    String words() {
        return "squeezed by " + Math.max(0, Math.round(100 * squeeze(0))) + " in 100: "
                + (seals(0) ? "seals" : "it leaks, a thicker ring");
    }
}
