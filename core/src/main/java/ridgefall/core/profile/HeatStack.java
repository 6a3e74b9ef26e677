package ridgefall.core.profile;

import ridgefall.core.material.Sheet;
import ridgefall.core.units.Allowed;

/**
 * What the heat model needs of a device: area, length of edge, mass and the layers under the glass. Fronts are fused (an optical
 * adhesive between glass and display) or separate (an air gap; {@code opticalAdhesive} is then null).
 *
 * @param gapMm air between display and battery
 * @param batteryShare share of the area inside the border with battery behind it, 0.01–0.95
 * @param batteryToBackWPerM2K contact of the battery with the back
 * @param displayToBackWPerM2K across the cavity beside the battery
 * @param rimShare share of the body's heat capacity that belongs to the frame round the ledge
 * @param rimToBackWPerMK conduction from the frame into the back, per length of edge
 */
public record HeatStack(
        double areaMm2,
        double perimeterMm,
        double thicknessMm,
        double massKg,
        double ledgeWidthMm,
        Sheet glass,
        Sheet adhesive,
        Sheet ledge,
        Sheet opticalAdhesive,
        double frontGapMm,
        Sheet display,
        double gapMm,
        Sheet battery,
        double batteryShare,
        double batteryToBackWPerM2K,
        double displayToBackWPerM2K,
        double rimShare,
        double bodyJPerKgK,
        double rimToBackWPerMK) {

    private static final double LEAST_BATTERY_SHARE = 0.01;

    /** Below this conductivity a frame is plastic. */
    private static final double PLASTIC_W_PER_MK = 1;

    public HeatStack {
        Allowed.between("areaMm2", areaMm2, 25, 1e6, "mm²");
        Allowed.between("perimeterMm", perimeterMm, 15, 4000, "mm");
        Allowed.between("massKg", massKg, 0.005, 5, "kg");
        Allowed.between("ledgeWidthMm", ledgeWidthMm, 0.3, 20, "mm");
        Allowed.between("batteryShare", batteryShare, LEAST_BATTERY_SHARE, 0.95, "of the area");
        Allowed.present("glass", glass);
        Allowed.present("adhesive", adhesive);
        Allowed.present("ledge", ledge);
        Allowed.present("display", display);
        Allowed.present("battery", battery);
    }

    public double areaM2() {
        return areaMm2 / 1e6;
    }

    public double perimeterM() {
        return perimeterMm / 1e3;
    }

    public double borderAreaM2() {
        double ledge = ledgeWidthMm / 1e3;
        return perimeterM() * ledge - Math.PI * ledge * ledge;
    }

    public double centreAreaM2() {
        return areaM2() - borderAreaM2();
    }

    public boolean fused() {
        return opticalAdhesive != null;
    }

    /** What the device weighs less glass, display and battery; the display ends where the border begins. */
    public double bodyKg() {
        return massKg
                - glass.densityKgPerM3() * glass.thicknessM() * areaM2()
                - (display.densityKgPerM3() * display.thicknessM()
                                + battery.densityKgPerM3() * battery.thicknessM() * batteryShare)
                        * centreAreaM2();
    }

    /** The same device with the battery out, as near as the least share comes to none; its frame and board weigh the same. */
    public HeatStack withoutBattery() {
        double goneKg =
                battery.densityKgPerM3() * battery.thicknessM() * (batteryShare - LEAST_BATTERY_SHARE) * centreAreaM2();
        return new HeatStack(
                areaMm2,
                perimeterMm,
                thicknessMm,
                massKg - goneKg,
                ledgeWidthMm,
                glass,
                adhesive,
                ledge,
                opticalAdhesive,
                frontGapMm,
                display,
                gapMm,
                battery,
                LEAST_BATTERY_SHARE,
                batteryToBackWPerM2K,
                displayToBackWPerM2K,
                rimShare,
                bodyJPerKgK,
                rimToBackWPerMK);
    }

    /** The same device with its uncertain properties scaled; each factor is 1 for the nominal device. */
    public HeatStack varied(
            double glassK,
            double adhesiveK,
            double adhesiveThickness,
            double displayK,
            double gap,
            double batteryContact,
            double bodyHeat,
            double rimToBack) {
        return new HeatStack(
                areaMm2,
                perimeterMm,
                thicknessMm,
                massKg,
                ledgeWidthMm,
                glass.conducting(glassK),
                adhesive.conducting(adhesiveK).thick(adhesive.thicknessMm() * adhesiveThickness),
                ledge,
                opticalAdhesive,
                frontGapMm,
                display.conducting(displayK),
                gapMm * gap,
                battery,
                batteryShare,
                batteryToBackWPerM2K * batteryContact,
                displayToBackWPerM2K,
                rimShare,
                bodyJPerKgK * bodyHeat,
                rimToBackWPerMK * rimToBack);
    }

    /** Whether the frame is moulded: its bezel faces the source, and a pick rests on plastic. */
    public boolean plasticLedge() {
        return ledge.conductivityWPerMK() < PLASTIC_W_PER_MK;
    }
}
