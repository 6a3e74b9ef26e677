package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.Allowed;

/**
 * Clear film between glass and panel, pressed in vacuum; what air is left goes into solution in a pressure chamber. A bubble wider than
 * the film is thick is a disc that loses air through its rim only:
 * {@code t = R'² ln 10 / (2 D s (1 − p0/p))}, {@code R'² = R² p0/p}, the air's way out ten radii far.
 *
 * @param longMm of the face that is joined
 * @param shortMm of it
 * @param roomMm that the device leaves between glass and panel
 */
public record OpticalFilm(double longMm, double shortMm, double roomMm) {
    /** Hand and jig. */
    private static final double EACH_SIDE_MM = 0.5;

    /** Thicker than the room for it, the front stands up by what is too much. */
    private static final double TOO_THICK_MM = 0.05;

    private static final double AIR_KPA = 101.3;

    /** Of air in soft clear film at 50 °C, m²/s; usual acrylic ones. */
    private static final double DIFFUSION_AT_50 = 1.0e-10;

    private static final double ACTIVATION_J_PER_MOL = 40_000;
    private static final double GAS_J_PER_MOL_K = 8.314;

    /** Volume of air that a volume of film takes up. */
    private static final double SOLUBILITY = 0.1;

    /** Until glass, panel and film are as warm as the chamber. */
    static final int WARMS_THROUGH_S = 600;

    public OpticalFilm {
        Allowed.between("roomMm", roomMm, 0.02, 1, "mm");
    }

    static OpticalFilm of(DeviceProfile profile) {
        Envelope face = Spreading.face(profile).getEnvelopeInternal();
        return new OpticalFilm(
                Math.max(face.getWidth(), face.getHeight()),
                Math.min(face.getWidth(), face.getHeight()),
                profile.heat().opticalAdhesive().thicknessMm());
    }

    /** What speaks against a sheet of film in a laminator; empty where nothing does. */
    List<String> against(Supply.Film film, Supply.Laminator laminator) {
        List<String> against = new ArrayList<>();
        if (film.left() < 1) {
            against.add("no sheet is left of " + film.name());
        }
        if (!covers(film.widthMm(), film.heightMm(), 0)) {
            against.add("its sheets are smaller than this face");
        }
        if (!covers(laminator.widthMm(), laminator.heightMm(), EACH_SIDE_MM)) {
            against.add("it does not go into " + laminator.name());
        }
        if (film.thicknessMm() > roomMm + TOO_THICK_MM) {
            against.add("{mm:" + film.thicknessMm() + "} thick where there is room for {mm:" + roomMm + "}");
        }
        return against;
    }

    private boolean covers(double widthMm, double heightMm, double besideMm) {
        return Math.max(widthMm, heightMm) >= longMm + 2 * besideMm
                && Math.min(widthMm, heightMm) >= shortMm + 2 * besideMm;
    }

    /**
     * How long a chamber takes to bring a bubble into solution, s.
     *
     * @param acrossMm of the largest that is seen
     * @param chamberKPa over the air outside
     */
    public static int chamberSeconds(double acrossMm, double chamberKPa, double chamberC) {
        double share = AIR_KPA / (AIR_KPA + chamberKPa);
        double radiusM = acrossMm / 2 * 1e-3;
        double diffusion = DIFFUSION_AT_50
                * Math.exp(-ACTIVATION_J_PER_MOL / GAS_J_PER_MOL_K * (1 / (273.15 + chamberC) - 1 / 323.15));
        double seconds = radiusM * radiusM * share * Math.log(10) / (2 * diffusion * SOLUBILITY * (1 - share));
        return (int) Math.min(JoinFact.LONGEST_S, WARMS_THROUGH_S + Math.ceil(seconds));
    }

    /** The largest bubble that goes within the longest run of the chamber, mm across. */
    public static double largestMm(double chamberKPa, double chamberC) {
        double one = chamberSeconds(0.1, chamberKPa, chamberC) - WARMS_THROUGH_S;
        return Math.floor(Math.sqrt((JoinFact.LONGEST_S - WARMS_THROUGH_S) / one)) / 10;
    }
}
