package ridgefall.core.profile;

import ridgefall.core.material.Sheet;
import ridgefall.core.profile.ProfileDocument.Build;
import ridgefall.core.profile.ProfileDocument.Layers;

/**
 * What is assumed of the layers of a device nobody has measured: middle values of what is usual in its class. Handbook
 * material data; a guess as far as the single device goes.
 */
public enum DeviceClass {
    METAL_TABLET("tablet with a metal frame", 0.7, 1.0, 160, 2.43e6, 2700, 1.5, 3.0, 0.42, 500, 900, 1.5),
    PLASTIC_TABLET("tablet with a plastic frame or bezel", 0.8, 1.2, 0.25, 1.7e6, 1200, 1.6, 3.2, 0.40, 200, 1300, 0.1),
    METAL_WATCH("smartwatch with a metal case", 0.8, 0.8, 16, 3.9e6, 7900, 1.2, 4.0, 0.55, 500, 500, 1.0);

    private final String words;
    private final double glassMm;
    private final double ledgeMm;
    private final double frameConductivity;
    private final double frameHeat;
    private final double frameDensity;
    private final double displayMm;
    private final double batteryMm;
    private final double batteryShare;
    private final double batteryToBack;
    private final double bodyHeat;
    private final double rimToBack;

    DeviceClass(
            String words,
            double glassMm,
            double ledgeMm,
            double frameConductivity,
            double frameHeat,
            double frameDensity,
            double displayMm,
            double batteryMm,
            double batteryShare,
            double batteryToBack,
            double bodyHeat,
            double rimToBack) {
        this.words = words;
        this.glassMm = glassMm;
        this.ledgeMm = ledgeMm;
        this.frameConductivity = frameConductivity;
        this.frameHeat = frameHeat;
        this.frameDensity = frameDensity;
        this.displayMm = displayMm;
        this.batteryMm = batteryMm;
        this.batteryShare = batteryShare;
        this.batteryToBack = batteryToBack;
        this.bodyHeat = bodyHeat;
        this.rimToBack = rimToBack;
    }

    public String words() {
        return words;
    }

    public Layers layers(Build build) {
        return new Layers(
                new Sheet(glassMm, 1.0, 2.05e6, 2480),
                new Sheet(0.2, 0.20, 1.8e6, 1000),
                new Sheet(ledgeMm, frameConductivity, frameHeat, frameDensity),
                build == Build.FUSED ? new Sheet(0.2, 0.20, 1.9e6, 1000) : null,
                build == Build.FUSED ? 0.2 : 0.4,
                new Sheet(displayMm, 0.50, 1.8e6, 2000),
                0.5,
                new Sheet(batteryMm, 0.80, 2.5e6, 2400),
                batteryShare,
                batteryToBack,
                10,
                0.35,
                bodyHeat,
                rimToBack);
    }
}
