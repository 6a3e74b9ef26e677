package ridgefall.app.tools;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import ridgefall.core.bond.Supply;
import ridgefall.core.units.Allowed;

/**
 * One line of the shelf's list, as it is typed and stored.
 *
 * @param numbers what its kind is measured by, by the names of {@link Kind#measures}
 * @param profileId of the device that it is cut for; null for what suits any
 * @param expires null for what keeps
 */
record SupplyLine(
        Kind kind,
        String name,
        double left,
        Map<String, Double> numbers,
        @Schema(nullable = true) String profileId,
        @Schema(nullable = true) LocalDate expires) {

    /** What can be told of a kind of supply, in the unit that it is told in. */
    record Measure(String field, String words, String unit) {}

    private static final Measure WIDTH = new Measure("widthMm", "Width", "mm");
    private static final Measure HEIGHT = new Measure("heightMm", "Height", "mm");
    private static final Measure THICKNESS = new Measure("thicknessMm", "Thickness", "mm");
    private static final Measure VISCOSITY = new Measure("viscosityPaS", "Viscosity", "Pa s");

    /** What is counted, in which unit, and what else is told of it. */
    enum Kind {
        ROLL("tape on a roll", "mm", WIDTH, THICKNESS),
        RINGS("die-cut rings", "pieces", THICKNESS),
        GLUE(
                "syringe for beads",
                "ml",
                new Measure("needleMm", "Needle inside", "mm"),
                new Measure("skinMinutes", "Skins over in", "min"),
                new Measure("cureHours", "Cured after", "h"),
                VISCOSITY),
        LIQUID("optical liquid", "ml", VISCOSITY, new Measure("doseJPerCm2", "Hard by", "J/cm²")),
        FILM("clear film in sheets", "pieces", WIDTH, HEIGHT, THICKNESS),
        LAMINATOR(
                "laminator with pressure chamber",
                "pieces",
                WIDTH,
                HEIGHT,
                new Measure("cycleSeconds", "One cycle", "s"),
                new Measure("chamberKPa", "Chamber", "kPa"),
                new Measure("chamberC", "Chamber at", "°C")),
        LAMP(
                "UV lamp",
                "h",
                new Measure("mwPerCm2", "Gave as new", "mW/cm²"),
                new Measure("atMm", "That far away", "mm")),
        CLAMPS("clamps", "pieces", new Measure("newtons", "Each presses", "N"));

        private final String words;
        private final String unit;
        private final List<Measure> measures;

        Kind(String words, String unit, Measure... measures) {
            this.words = words;
            this.unit = unit;
            this.measures = List.of(measures);
        }

        String words() {
            return words;
        }

        String unit() {
            return unit;
        }

        List<Measure> measures() {
            return measures;
        }

        boolean cutForOne() {
            return this == RINGS;
        }

        boolean goesOff() {
            return this == GLUE || this == LIQUID;
        }
    }

    static SupplyLine of(Supply supply) {
        if (supply instanceof Supply.Roll it) {
            return line(Kind.ROLL, it, Map.of("widthMm", it.widthMm(), "thicknessMm", it.thicknessMm()));
        } else if (supply instanceof Supply.Rings it) {
            return new SupplyLine(
                    Kind.RINGS, it.name(), it.left(), Map.of("thicknessMm", it.thicknessMm()), it.profileId(), null);
        } else if (supply instanceof Supply.Glue it) {
            Map<String, Double> numbers = Map.of(
                    "needleMm",
                    it.needleMm(),
                    "skinMinutes",
                    (double) it.skinMinutes(),
                    "cureHours",
                    (double) it.cureHours(),
                    "viscosityPaS",
                    it.viscosityPaS());
            return new SupplyLine(Kind.GLUE, it.name(), it.left(), numbers, null, it.expires());
        } else if (supply instanceof Supply.Liquid it) {
            Map<String, Double> numbers = Map.of("viscosityPaS", it.viscosityPaS(), "doseJPerCm2", it.doseJPerCm2());
            return new SupplyLine(Kind.LIQUID, it.name(), it.left(), numbers, null, it.expires());
        } else if (supply instanceof Supply.Film it) {
            return line(
                    Kind.FILM,
                    it,
                    Map.of("widthMm", it.widthMm(), "heightMm", it.heightMm(), "thicknessMm", it.thicknessMm()));
        } else if (supply instanceof Supply.Laminator it) {
            Map<String, Double> numbers = Map.of(
                    "widthMm", it.widthMm(),
                    "heightMm", it.heightMm(),
                    "cycleSeconds", (double) it.cycleSeconds(),
                    "chamberKPa", it.chamberKPa(),
                    "chamberC", it.chamberC());
            return line(Kind.LAMINATOR, it, numbers);
        } else if (supply instanceof Supply.Lamp it) {
            return line(Kind.LAMP, it, Map.of("mwPerCm2", it.mwPerCm2(), "atMm", it.atMm()));
        }
        Supply.Clamps it = (Supply.Clamps) supply;
        return line(Kind.CLAMPS, it, Map.of("newtons", it.newtons()));
    }

    private static SupplyLine line(Kind kind, Supply supply, Map<String, Double> numbers) {
        return new SupplyLine(kind, supply.name(), supply.left(), numbers, null, null);
    }

    /** @throws ridgefall.core.units.NotAllowed naming field, value and allowed range */
    Supply supply(String id) {
        Supply supply = switch (Allowed.present("kind", kind)) {
            case ROLL -> new Supply.Roll(id, name, left, number("widthMm"), number("thicknessMm"));
            case RINGS -> new Supply.Rings(id, name, left, profileId, number("thicknessMm"));
            case GLUE ->
                new Supply.Glue(
                        id,
                        name,
                        left,
                        number("needleMm"),
                        whole("skinMinutes"),
                        whole("cureHours"),
                        number("viscosityPaS"),
                        expires);
            case LIQUID -> new Supply.Liquid(id, name, left, number("viscosityPaS"), number("doseJPerCm2"), expires);
            case FILM -> new Supply.Film(id, name, left, number("widthMm"), number("heightMm"), number("thicknessMm"));
            case LAMINATOR ->
                new Supply.Laminator(
                        id,
                        name,
                        left,
                        number("widthMm"),
                        number("heightMm"),
                        whole("cycleSeconds"),
                        number("chamberKPa"),
                        number("chamberC"));
            case LAMP -> new Supply.Lamp(id, name, left, number("mwPerCm2"), number("atMm"));
            case CLAMPS -> new Supply.Clamps(id, name, left, number("newtons"));
        };
        supply.check();
        return supply;
    }

    private double number(String field) {
        return Allowed.present(field, Allowed.present("numbers", numbers).get(field));
    }

    private int whole(String field) {
        return (int) Math.round(number(field));
    }
}
