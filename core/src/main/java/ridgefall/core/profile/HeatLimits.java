package ridgefall.core.profile;

/**
 * Temperatures a device must not pass: a caution for the likely case and a stop for the unlucky one, in °C.
 *
 * @param plasticsStopC of the softest plastic that can't be taken off before heating
 */
public record HeatLimits(
        double batteryCautionC,
        double batteryStopC,
        double displayCautionC,
        double displayStopC,
        double plasticsStopC) {
    /** With the battery out there is no cell to spare. */
    public HeatLimits withoutBattery() {
        return new HeatLimits(
                Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, displayCautionC, displayStopC, plasticsStopC);
    }

    public static final HeatLimits USUAL = new HeatLimits(60, 65, 80, 85, 90);
}
