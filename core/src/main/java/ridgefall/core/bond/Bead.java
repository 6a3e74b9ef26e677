package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.GeometryFactory;
import ridgefall.core.edge.Landmark;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PerDevice;
import ridgefall.core.units.Allowed;

/**
 * Glue laid round a frame from a needle, then pressed flat: {@code section = (π/4) ID² q}, {@code width = section/gap}, and what of
 * that is wider than the ledge comes out. Clamps press it down by a line load {@code f}: {@code t = μ a³/(5f) (1/h1⁵ − 1/h0⁵)}.
 *
 * @param pathMm all round, less where none may lie
 * @param ledgeMm where it is narrowest
 * @param gapMm that the seat leaves between ledge and front
 * @param needleMm inside
 */
public record Bead(double pathMm, double ledgeMm, double gapMm, double needleMm) {
    /** From the outline to the middle of the bead: it spreads inwards first. */
    public static final double OFFSET_MM = 1.25;

    /** How far a hand strays from the line. */
    static final double STRAYS_MM = 0.2;

    /** A hand with a needle that it need not hurry. */
    public static final double HAND_MM_PER_S = 6;

    /** Half of what a clamp presses on. */
    private static final double PAD_MM = 8;

    /** Between clamps that press a straight front. */
    private static final double CLAMP_EVERY_MM = 80;

    public Bead {
        Allowed.between("pathMm", pathMm, 10, 5000, "mm");
        Allowed.between("ledgeMm", ledgeMm, 0.3, 100, "mm");
        Allowed.between("gapMm", gapMm, 0.02, 2, "mm");
        Allowed.between("needleMm", needleMm, 0.1, 3, "mm");
    }

    private static final PerDevice<Double> ROUND_MM = new PerDevice<>(Bead::roundMm);

    public static Bead of(DeviceProfile profile, double gapMm, double needleMm) {
        return new Bead(ROUND_MM.of(profile), BenchTape.narrowestMm(profile), gapMm, needleMm);
    }

    /** Of the way that it is laid on, less what it skips. */
    private static double roundMm(DeviceProfile profile) {
        double skipsMm = profile.features().stream()
                .filter(EdgeFeature::keepsTapeOff)
                .mapToDouble(feature -> feature.where().lengthMm())
                .sum();
        double middleMm = Math.min(OFFSET_MM, BenchTape.narrowestMm(profile) / 2);
        double roundMm = new GeometryFactory()
                .createPolygon(profile.edge().outline().getCoordinates())
                .buffer(-middleMm)
                .getLength();
        return roundMm - skipsMm;
    }

    /** Along a rounded rectangle, less the skips, mm. */
    static double pathMm(double widthMm, double heightMm, double radiusMm, double offsetMm, double skipsMm) {
        return 2 * (widthMm + heightMm) - 8 * radiusMm + 2 * Math.PI * (radiusMm - offsetMm) - skipsMm;
    }

    public double sectionMm2() {
        return Math.PI / 4 * needleMm * needleMm;
    }

    public double ml() {
        return sectionMm2() * pathMm / 1000;
    }

    /** Pressed down. */
    public double widthMm() {
        return sectionMm2() / gapMm;
    }

    /** What comes out beside the ledge at worst; 0 for none. */
    public double outMm() {
        double beside = (widthMm() - ledgeMm) / 2;
        return beside + STRAYS_MM <= 0 ? 0 : beside + STRAYS_MM;
    }

    public int layingSeconds() {
        return (int) Math.ceil(pathMm / HAND_MM_PER_S);
    }

    public int clamps() {
        return Math.max(4, (int) Math.ceil(pathMm / CLAMP_EVERY_MM));
    }

    /** Where clamps go on a straight frame: corners first, the rest evenly between, none over what stays bare. */
    public List<Double> clampsAtMm(DeviceProfile profile) {
        double roundMm = profile.edge().lengthMm();
        double first = profile.edge().turn().middle(profile.edge().interval(Landmark.TOP_LEFT));
        List<Double> at = new ArrayList<>();
        for (int i = 0; i < clamps(); i++) {
            double even = profile.edge().turn().wrap(first + roundMm * i / clamps());
            at.add(beside(profile, even));
        }
        return at;
    }

    /** The nearer end of what stays bare there. */
    private static double beside(DeviceProfile profile, double atMm) {
        return profile.features().stream()
                .filter(EdgeFeature::keepsTapeOff)
                .map(EdgeFeature::where)
                .filter(where -> profile.edge().turn().wrap(atMm - where.fromMm()) < where.lengthMm())
                .findFirst()
                .map(where -> profile.edge().turn().wrap(atMm - where.fromMm()) < where.lengthMm() / 2
                        ? profile.edge().turn().wrap(where.fromMm() - PAD_MM)
                        : profile.edge().turn().wrap(where.fromMm() + where.lengthMm() + PAD_MM))
                .orElse(atMm);
    }

    public double clampEveryMm() {
        return pathMm / clamps();
    }

    /**
     * Until clamps have pressed it as flat as the seat leaves, s.
     *
     * @param newtons of all clamps together
     */
    public double pressedSeconds(double newtons, double viscosityPaS) {
        double a = sectionMm2() * 1e-6;
        double perM = newtons / (pathMm * 1e-3);
        return viscosityPaS
                * Math.pow(a, 3)
                / (5 * perM)
                * Math.max(0, Math.pow(gapMm * 1e-3, -5) - Math.pow(needleMm * 1e-3, -5));
    }
}
