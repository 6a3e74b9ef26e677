package ridgefall.core.carry;

import ridgefall.core.carry.DataCopy.On;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.ProfileDocument.PairedPart;

/**
 * What a hand finds at the programmer's adapter, and what it does there next. No plug moves while the battery is in.
 *
 * @param plugged the front whose plug is home there
 * @param battery in words, with its place in the order of what is to be done
 * @param says what comes with it
 */
public record AtTheAdapter(Due due, On plugged, boolean batteryIn, String battery, String says) {
    public enum Due {
        OLD,
        NEW,
        ALL_OFF,
        NOTHING
    }

    /** @param stepId what is in hand; null once nothing is */
    public static AtTheAdapter of(PairedPart part, JobState state, String stepId) {
        On on = CarryState.of(state).copy(part.id()).on();
        Due due = Copying.due(part.id(), stepId);
        boolean batteryIn = on != On.NONE;
        return switch (due) {
            case OLD, NEW -> new AtTheAdapter(due, On.NONE, false, "1 Battery OUT", "3 in again: a buzz, then steady");
            case ALL_OFF ->
                new AtTheAdapter(
                        due,
                        on,
                        batteryIn,
                        told(batteryIn),
                        batteryIn ? "take it out, then the plugs off" : "plugs may come off");
            case NOTHING ->
                new AtTheAdapter(
                        due, on, batteryIn, told(batteryIn), batteryIn ? "pull no plug" : "plugs may come off");
        };
    }

    private static String told(boolean batteryIn) {
        return batteryIn ? "Battery IN" : "Battery OUT";
    }
}
