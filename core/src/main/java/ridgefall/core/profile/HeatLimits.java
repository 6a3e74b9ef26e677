package ridgefall.core.profile;

import ridgefall.core.units.Allowed;

/** Temperatures a device must not pass: a caution for the likely case and a stop for the unlucky one. */
public record HeatLimits(double batteryCautionC, double batteryStopC, double displayCautionC, double displayStopC) {
    public static final HeatLimits USUAL = new HeatLimits(60, 65, 80, 85);

    public HeatLimits {
        Allowed.between("batteryStopC", batteryStopC, 40, 80, "°C");
        Allowed.between("batteryCautionC", batteryCautionC, 35, batteryStopC, "°C");
        Allowed.between("displayStopC", displayStopC, 50, 110, "°C");
        Allowed.between("displayCautionC", displayCautionC, 45, displayStopC, "°C");
    }
}
