package ridgefall.core.seal;

import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.units.Allowed;

/**
 * How a front on tape is pressed down, and how long it is left alone. Tape wets what it lies on the slower the colder it is, by half
 * each {@value #HALVED_K} K; whole strength comes by itself over a day. Values as tape makers mostly print them.
 *
 * @param places one beside the other round the edge
 * @param secondsEach by thumb, there
 * @param restsMinutes before it is bent, stood on an edge, charged warm or put in a pocket
 * @param wholeHours until it holds all it ever holds
 */
public record PressPlan(int places, double everyMm, int newtons, int secondsEach, int restsMinutes, int wholeHours) {
    /** As far as a thumb presses. */
    private static final double THUMB_MM = 30;

    private static final double THUMB_ON_WATCH_MM = 15;
    private static final int THUMB_N = 40;

    /** A watch's glass breaks over its ring before that. */
    private static final int THUMB_ON_WATCH_N = 20;

    private static final double REFERENCE_C = 20;
    private static final double HALVED_K = 8;
    private static final double SECONDS = 5;
    private static final double REST_MINUTES = 20;
    private static final double WHOLE_HOURS = 24;

    /** @param roomC of the room it lies in */
    public static PressPlan of(DeviceProfile profile, double roomC) {
        return of(profile.edge().lengthMm(), profile.document().kind() == Kind.WATCH, roomC);
    }

    static PressPlan of(double roundMm, boolean watch, double roomC) {
        Allowed.between("roomC", roomC, -20, 60, "°C");
        double slower = Math.pow(2, (REFERENCE_C - roomC) / HALVED_K);
        int places = (int) Math.ceil(roundMm / (watch ? THUMB_ON_WATCH_MM : THUMB_MM));
        return new PressPlan(
                places,
                roundMm / places,
                watch ? THUMB_ON_WATCH_N : THUMB_N,
                (int) Math.ceil(SECONDS * Math.max(0.5, slower)),
                (int) Math.ceil(REST_MINUTES * Math.max(1, slower)),
                (int) Math.ceil(WHOLE_HOURS * Math.max(1, slower)));
    }

    /** All of it, s. */
    public int seconds() {
        return places * secondsEach;
    }
}
