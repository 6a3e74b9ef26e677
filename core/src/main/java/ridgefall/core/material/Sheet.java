package ridgefall.core.material;

import ridgefall.core.units.Allowed;

/**
 * One layer of a device.
 *
 * @param thicknessMm 0.01–30 mm
 * @param conductivityWPerMK 0.01–500 W/(m·K)
 * @param heatCapacityJPerM3K volumetric, 1e4–1e7 J/(m³·K)
 * @param densityKgPerM3 1–20000 kg/m³; only the mass balance uses it
 */
public record Sheet(double thicknessMm, double conductivityWPerMK, double heatCapacityJPerM3K, double densityKgPerM3) {
    public Sheet {
        Allowed.between("thicknessMm", thicknessMm, 0.01, 30, "mm");
        Allowed.between("conductivityWPerMK", conductivityWPerMK, 0.01, 500, "W/(m·K)");
        Allowed.between("heatCapacityJPerM3K", heatCapacityJPerM3K, 1e4, 1e7, "J/(m³·K)");
        Allowed.between("densityKgPerM3", densityKgPerM3, 1, 20000, "kg/m³");
    }

    public double thicknessM() {
        return thicknessMm / 1000;
    }

    /** The same sheet with its conductivity scaled. */
    public Sheet conducting(double factor) {
        return new Sheet(thicknessMm, conductivityWPerMK * factor, heatCapacityJPerM3K, densityKgPerM3);
    }

    public Sheet thick(double newThicknessMm) {
        return new Sheet(newThicknessMm, conductivityWPerMK, heatCapacityJPerM3K, densityKgPerM3);
    }
}
