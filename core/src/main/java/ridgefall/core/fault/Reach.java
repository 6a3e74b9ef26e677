package ridgefall.core.fault;

import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.StripOrder;
import ridgefall.core.strip.StripMap;

/**
 * What it takes on this device to come to what is mended: minutes of hands, beside those of the mending itself. Common practice of
 * the trade, not measured.
 *
 * @param opening a sealed front up once more, and down again
 * @param plugs what lies over the plugs that the function hangs on, off and back
 */
public record Reach(double opening, double plugs) {
    static final Reach AT_HAND = new Reach(0, 0);

    /** Plan, pads and plate, press, look over: whatever its size. */
    private static final double BONDED_MINUTES = 11;

    /** Warmed and cut 1.0 s, ledge and front cleaned 0.7 s, adhesive laid 0.5 s for every mm of the edge. */
    private static final double SECONDS_PER_MM = 2.2;

    /** A front that is clipped or screwed in has no adhesive to wait for. */
    private static final double CLIPPED_MINUTES = 8;

    static Reach of(DeviceProfile profile, JobState state, Function function, Phase phase) {
        boolean sealed = phase != Phase.OPEN;
        double oneWayS = StripMap.over(profile, state, Signs.plugsOf(profile, function), sealed).stream()
                .mapToDouble(move -> StripOrder.seconds(profile.document(), move))
                .sum();
        return new Reach(sealed ? openingMinutes(profile) : 0, 2 * oneWayS / 60);
    }

    /** Before the first check that can't be done as it lies there. */
    double minutes() {
        return opening + plugs;
    }

    /** A sealed front up once more and down again; the wait until it is cured is not in it. */
    public static double openingMinutes(DeviceProfile profile) {
        return profile.bonded()
                ? BONDED_MINUTES + SECONDS_PER_MM * profile.edge().lengthMm() / 60
                : CLIPPED_MINUTES;
    }
}
