package ridgefall.core.carry;

import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.PairedPart;

/**
 * How hot and how long at the joints of a small board. A joint with the piece of board round it is one lump that a wetted tip
 * warms: {@code T = Tt − (Tt − Tr) e^(−t/τ)}. The time constant is that of fine joints under flux, not measured here: whoever
 * sees the solder shine goes by that.
 *
 * @param tipC set so far above the solder that a joint flows in about two seconds
 * @param seconds at a joint until it has wetted
 * @param atMostS longer lifts the pad and cooks the chip
 * @param betweenS until the board is cool enough for the next
 * @param panelC never warmer beside it
 */
public record SolderHeat(int tipC, int seconds, int atMostS, int betweenS, int panelC) {
    private static final double TIP_OVER_SOLDER_K = 120;
    private static final double WETS_OVER_SOLDER_K = 30;
    private static final double ROOM_C = 22;
    private static final double JOINT_S = 1.5;

    /** A board of a few square millimetres in a fixture. */
    private static final double COOLS_S = 10;

    private static final double COOL_C = 60;

    /** What a tip may be at all: flux burns and pads lift above. */
    private static final double HOTTEST_TIP_C = 360;

    static final double USUAL_SOLDER_C = 217;

    static SolderHeat of(DeviceProfile profile, PairedPart board) {
        double melts = board.solderMeltsC() == null ? USUAL_SOLDER_C : board.solderMeltsC();
        double tip = Math.min(HOTTEST_TIP_C, 10 * Math.round((melts + TIP_OVER_SOLDER_K) / 10));
        double wets = melts + WETS_OVER_SOLDER_K;
        int seconds = (int) Math.ceil(JOINT_S * Math.log((tip - ROOM_C) / (tip - wets)));
        return new SolderHeat((int) tip, seconds, seconds + 1, cooling(wets), (int)
                profile.limits().displayCautionC());
    }

    private static int cooling(double fromC) {
        return 5 * (int) Math.ceil(COOLS_S * Math.log((fromC - ROOM_C) / (COOL_C - ROOM_C)) / 5);
    }
}
