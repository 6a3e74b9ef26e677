package ridgefall.core.heat;

import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/** The device of the reference cases: an 11-inch fused tablet in an aluminium body. */
public final class ReferenceTablet {
    private ReferenceTablet() {}

    public static HeatStack stack() {
        return with(new Sheet(1.0, 160, 2.43e6, 2700), 900, 1.5);
    }

    /** The same with a frame of plastic. */
    static HeatStack plastic() {
        return with(new Sheet(1.2, 0.25, 1.7e6, 1200), 1200, 0.08);
    }

    private static HeatStack with(Sheet ledge, double bodyJPerKgK, double rimToBackWPerMK) {
        return new HeatStack(
                248 * 178 - (4 - Math.PI) * 18 * 18,
                2 * (248 + 178) - 8 * 18 + 2 * Math.PI * 18,
                5.9,
                0.470,
                3,
                new Sheet(0.7, 1.0, 2.05e6, 2480),
                new Sheet(0.2, 0.20, 1.8e6, 1000),
                ledge,
                new Sheet(0.2, 0.20, 1.9e6, 1000),
                0.2,
                new Sheet(1.5, 0.50, 1.8e6, 2000),
                0.5,
                new Sheet(3.0, 0.80, 2.5e6, 2400),
                0.42,
                500,
                10,
                0.35,
                bodyJPerKgK,
                rimToBackWPerMK);
    }
}
