package ridgefall.app.tools;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import ridgefall.core.bond.Supply;
import ridgefall.core.units.Allowed;

/** One line of the shelf's list, as it is typed and stored: what its kind does not have is null. */
record SupplyLine(
        Kind kind,
        String name,
        double left,
        @Schema(nullable = true) Double widthMm,
        @Schema(nullable = true) Double thicknessMm,
        @Schema(nullable = true) String profileId,
        @Schema(nullable = true) Double needleMm,
        @Schema(nullable = true) Integer skinMinutes,
        @Schema(nullable = true) Integer cureHours,
        @Schema(nullable = true) Double viscosityPaS,
        @Schema(nullable = true) Double doseJPerCm2,
        @Schema(nullable = true) Double newtons,
        @Schema(nullable = true) LocalDate expires) {

    /** What is counted, and in which unit. */
    enum Kind {
        ROLL("tape on a roll", "mm"),
        RINGS("die-cut rings", "pieces"),
        GLUE("syringe for beads", "ml"),
        LIQUID("optical liquid", "ml"),
        CLAMPS("clamps", "pieces");

        private final String words;
        private final String unit;

        Kind(String words, String unit) {
            this.words = words;
            this.unit = unit;
        }

        String words() {
            return words;
        }

        String unit() {
            return unit;
        }
    }

    static SupplyLine of(Supply supply) {
        if (supply instanceof Supply.Roll it) {
            return new SupplyLine(
                    Kind.ROLL,
                    it.name(),
                    it.left(),
                    it.widthMm(),
                    it.thicknessMm(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null);
        } else if (supply instanceof Supply.Rings it) {
            return new SupplyLine(
                    Kind.RINGS,
                    it.name(),
                    it.left(),
                    null,
                    it.thicknessMm(),
                    it.profileId(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null);
        } else if (supply instanceof Supply.Glue it) {
            return new SupplyLine(
                    Kind.GLUE,
                    it.name(),
                    it.left(),
                    null,
                    null,
                    null,
                    it.needleMm(),
                    it.skinMinutes(),
                    it.cureHours(),
                    it.viscosityPaS(),
                    null,
                    null,
                    it.expires());
        } else if (supply instanceof Supply.Liquid it) {
            return new SupplyLine(
                    Kind.LIQUID,
                    it.name(),
                    it.left(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    it.viscosityPaS(),
                    it.doseJPerCm2(),
                    null,
                    it.expires());
        }
        Supply.Clamps it = (Supply.Clamps) supply;
        return new SupplyLine(
                Kind.CLAMPS, it.name(), it.left(), null, null, null, null, null, null, null, null, it.newtons(), null);
    }

    /** @throws ridgefall.core.units.NotAllowed naming field, value and allowed range */
    Supply supply(String id) {
        Supply supply = switch (Allowed.present("kind", kind)) {
            case ROLL ->
                new Supply.Roll(
                        id,
                        name,
                        left,
                        Allowed.present("widthMm", widthMm),
                        Allowed.present("thicknessMm", thicknessMm));
            case RINGS -> new Supply.Rings(id, name, left, profileId, Allowed.present("thicknessMm", thicknessMm));
            case GLUE ->
                new Supply.Glue(
                        id,
                        name,
                        left,
                        Allowed.present("needleMm", needleMm),
                        Allowed.present("skinMinutes", skinMinutes),
                        Allowed.present("cureHours", cureHours),
                        Allowed.present("viscosityPaS", viscosityPaS),
                        expires);
            case LIQUID ->
                new Supply.Liquid(
                        id,
                        name,
                        left,
                        Allowed.present("viscosityPaS", viscosityPaS),
                        Allowed.present("doseJPerCm2", doseJPerCm2),
                        expires);
            case CLAMPS -> new Supply.Clamps(id, name, left, Allowed.present("newtons", newtons));
        };
        supply.check();
        return supply;
    }
}
