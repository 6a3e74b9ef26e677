package ridgefall.core.heat;

import java.util.Comparator;
import java.util.List;
import ridgefall.core.units.Band;
import ridgefall.core.units.Source;

/**
 * How to warm one device on one source, and how sure that is. Times in s from the first touch, temperatures in °C. Where
 * air goes stretch by stretch, times are those of one stretch and the limits hold for all of them together.
 *
 * @param workableFromC bond temperature from which the pick goes through without force
 * @param soakSeconds when to take it off: warm enough on most benches, within the limits even on an unlucky one
 * @param dwells how often that is done, once a stretch; 1 where the whole edge is warmed together
 * @param readyShare share of plausible benches on which all of the bond is workable by then, 0–1
 * @param readyAt when the coldest stretch becomes workable; infinite where it never does within the horizon
 * @param latestSeconds stop here whatever the bond does: something comes too near a limit
 * @param bondAtPullC the coldest stretch
 * @param workableForSeconds how long after it is taken off the coldest stretch can be cut before it is warmed again
 * @param reheatSeconds how long it goes back on once it has gone cold
 * @param preheatSeconds how long before that the source is switched on
 * @param feasible false when no setting of this source keeps the limits and softens the bond
 * @param because why this one, or why not, in short sentences
 * @param howSure measured here once a soak on this source was fitted
 * @param weighed how many plausible benches stand behind the bands
 */
public record HeatPlan(
        HeatSource source,
        Setup setup,
        double workableFromC,
        double soakSeconds,
        int dwells,
        double readyShare,
        Band readyAt,
        double latestSeconds,
        Band bondAtPullC,
        Band batteryAtPullC,
        Band displayAtPullC,
        Band plasticsAtPullC,
        Band workableForSeconds,
        double reheatSeconds,
        double preheatSeconds,
        boolean feasible,
        List<String> because,
        Source howSure,
        int weighed,
        List<Point> curve,
        List<Stretch> stretches,
        List<Influence> influences,
        List<Candidate> candidates) {

    public double settingC() {
        return setup.settingC();
    }

    /** All edges together. */
    public double totalSeconds() {
        return soakSeconds * dwells;
    }

    /** One moment of the forecast; the bond at its coldest. */
    public record Point(double seconds, Band bondC, Band batteryC, Band displayC) {}

    /**
     * One piece of the edge on the usual bench.
     *
     * @param readySeconds when it becomes workable; infinite where it does not
     * @param workableForSeconds how long it stays so after it is taken off
     * @param why what holds it back, or null
     * @param meant whether it is to get warm at all: where air goes stretch by stretch, one is for all
     */
    public record Stretch(
            double fromMm,
            double lengthMm,
            double bondAtPullC,
            double readySeconds,
            double workableForSeconds,
            String why,
            boolean meant) {

        private Stretch warmed(double share, double roomC) {
            return new Stretch(
                    fromMm,
                    lengthMm,
                    roomC + share * (bondAtPullC - roomC),
                    readySeconds,
                    workableForSeconds * share,
                    why,
                    meant);
        }
    }

    /** When the bond becomes workable if one unknown lies at its low or high end and all others are as usual. */
    public record Influence(String unknown, double secondsAtLow, double secondsAtHigh) {
        double swing() {
            return Math.abs(secondsAtHigh - secondsAtLow);
        }
    }

    /** A setting that was weighed, and why it was or was not taken. */
    public record Candidate(
            String sourceName, Setup setup, double soakSeconds, double readyShare, boolean chosen, String because) {}

    /** On another source like it. */
    public HeatPlan called(HeatSource other) {
        return but(other, setup, latestSeconds, feasible, because);
    }

    /** The same, judged by all that it leads to. */
    public HeatPlan told(boolean does, List<String> reasons) {
        return but(source, setup, latestSeconds, does, reasons);
    }

    /** Taken off sooner: what its curve says of then, the edge in proportion to its coldest. */
    public HeatPlan shortened(double seconds, double roomC) {
        Point then = curve.stream()
                .min(Comparator.comparingDouble(point -> Math.abs(point.seconds() - seconds)))
                .orElseThrow();
        double share = (then.bondC().p50() - roomC) / (bondAtPullC.p50() - roomC);
        return new HeatPlan(
                source,
                setup,
                workableFromC,
                seconds,
                dwells,
                readyAt.shareBelow(seconds),
                readyAt,
                latestSeconds,
                then.bondC(),
                then.batteryC(),
                then.displayC(),
                plasticsAtPullC,
                workableForSeconds,
                reheatSeconds,
                preheatSeconds,
                feasible,
                because,
                howSure,
                weighed,
                curve,
                stretches.stream().map(stretch -> stretch.warmed(share, roomC)).toList(),
                influences,
                candidates);
    }

    /** As if it were set otherwise by a hand that keeps the limits: it may stay for as long as it is meant to. */
    public HeatPlan inHand(Setup set) {
        return but(source, set, Math.max(latestSeconds, soakSeconds), feasible, because);
    }

    private HeatPlan but(HeatSource other, Setup set, double latest, boolean does, List<String> reasons) {
        return new HeatPlan(
                other,
                set,
                workableFromC,
                soakSeconds,
                dwells,
                readyShare,
                readyAt,
                latest,
                bondAtPullC,
                batteryAtPullC,
                displayAtPullC,
                plasticsAtPullC,
                workableForSeconds,
                reheatSeconds,
                preheatSeconds,
                does,
                reasons,
                howSure,
                weighed,
                curve,
                stretches,
                influences,
                candidates);
    }
}
