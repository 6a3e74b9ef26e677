package ridgefall.core.heat;

import java.util.List;
import ridgefall.core.units.Band;

/**
 * How to warm one device on one source, and how sure that is. Times in s from laying it on, temperatures in °C. All of
 * it is computed from handbook values until the bench measures.
 *
 * @param workableFromC bond temperature from which the pick goes through without force
 * @param soakSeconds when to take it off: warm enough on most benches, within the limits even on an unlucky one
 * @param readyShare share of plausible benches on which the bond is workable by then, 0–1
 * @param readyAt when the bond becomes workable; infinite where it never does within the horizon
 * @param latestSeconds stop here whatever the bond does: battery or display come too near a limit
 * @param workableForSeconds how long the bond stays workable after it is taken off
 * @param feasible false when no setting of this source keeps the limits and softens the bond
 */
public record HeatPlan(
        HeatSource source,
        int settingC,
        double workableFromC,
        double soakSeconds,
        double readyShare,
        Band readyAt,
        double latestSeconds,
        Band bondAtPullC,
        Band batteryAtPullC,
        Band displayAtPullC,
        Band workableForSeconds,
        boolean feasible,
        List<Point> curve,
        List<Influence> influences,
        List<Candidate> candidates) {

    /** One moment of the forecast. */
    public record Point(double seconds, Band bondC, Band batteryC, Band displayC) {}

    /** When the bond becomes workable if one unknown lies at its low or high end and all others are as usual. */
    public record Influence(String unknown, double secondsAtLow, double secondsAtHigh) {
        double swing() {
            return Math.abs(secondsAtHigh - secondsAtLow);
        }
    }

    /** A setting that was weighed, and why it was or was not taken. */
    public record Candidate(
            String sourceName, int settingC, double soakSeconds, double readyShare, boolean chosen, String because) {}
}
