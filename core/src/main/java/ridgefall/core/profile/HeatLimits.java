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

    /** An old or weak cell gases sooner: common practice leaves it this much cooler. */
    private static final double TIRED_K = 5;

    public HeatLimits withTiredBattery() {
        return new HeatLimits(
                batteryCautionC - TIRED_K, batteryStopC - TIRED_K, displayCautionC, displayStopC, plasticsStopC);
    }

    public static final HeatLimits USUAL = new HeatLimits(60, 65, 80, 85, 90);
}
