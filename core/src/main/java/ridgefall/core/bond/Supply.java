package ridgefall.core.bond;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.units.Allowed;

/** Something of the bench's shelf that holds a front, or helps to: what of it is left is counted as it is used. */
public sealed interface Supply {
    String id();

    String name();

    /** In its own unit: mm of a roll, pieces, ml of a syringe. */
    double left();

    /** @throws ridgefall.core.units.NotAllowed naming field, value and allowed range */
    void check();

    /** Tape. {@code left} in mm. */
    record Roll(String id, String name, double left, double widthMm, double thicknessMm) implements Supply {
        @Override
        public void check() {
            Supply.check(this, 500_000, "mm");
            Allowed.between("widthMm", widthMm, 0.5, 12, "mm");
            Allowed.between("thicknessMm", thicknessMm, 0.05, 2, "mm");
        }
    }

    /** Die-cut for one device. {@code left} in pieces. */
    record Rings(String id, String name, double left, String profileId, double thicknessMm) implements Supply {
        @Override
        public void check() {
            Supply.check(this, 10_000, "pieces");
            Allowed.text("profileId", profileId, 60);
            Allowed.between("thicknessMm", thicknessMm, 0.05, 3, "mm");
        }
    }

    /**
     * A syringe for beads. {@code left} in ml.
     *
     * @param needleMm inside
     * @param skinMinutes until a front no longer sinks into it
     * @param cureHours until the clamps may come off
     */
    record Glue(
            String id,
            String name,
            double left,
            double needleMm,
            int skinMinutes,
            int cureHours,
            double viscosityPaS,
            LocalDate expires)
            implements Supply {
        @Override
        public void check() {
            Supply.check(this, 1000, "ml");
            Allowed.between("needleMm", needleMm, 0.1, 3, "mm");
            Allowed.between("skinMinutes", skinMinutes, 1, 120, "min");
            Allowed.between("cureHours", cureHours, 1, 96, "h");
            Allowed.between("viscosityPaS", viscosityPaS, 1, 5000, "Pa s");
            Allowed.present("expires", expires);
        }
    }

    /** A syringe of clear liquid. {@code left} in ml. */
    record Liquid(String id, String name, double left, double viscosityPaS, double doseJPerCm2, LocalDate expires)
            implements Supply {
        @Override
        public void check() {
            Supply.check(this, 1000, "ml");
            Allowed.between("viscosityPaS", viscosityPaS, 0.05, 50, "Pa s");
            Allowed.between("doseJPerCm2", doseJPerCm2, 0.2, 30, "J/cm²");
            Allowed.present("expires", expires);
        }
    }

    /** Sheets of clear film with a liner on either side. {@code left} in pieces. */
    record Film(String id, String name, double left, double widthMm, double heightMm, double thicknessMm)
            implements Supply {
        @Override
        public void check() {
            Supply.check(this, 1000, "pieces");
            Supply.sheet(widthMm, heightMm);
            Allowed.between("thicknessMm", thicknessMm, 0.02, 1, "mm");
        }
    }

    /**
     * Presses film in vacuum, then holds it under pressure. {@code left} in pieces.
     *
     * @param cycleSeconds that it pumps and presses
     * @param chamberKPa over the air outside
     */
    record Laminator(
            String id,
            String name,
            double left,
            double widthMm,
            double heightMm,
            int cycleSeconds,
            double chamberKPa,
            double chamberC)
            implements Supply {
        @Override
        public void check() {
            Supply.check(this, 10, "pieces");
            Supply.sheet(widthMm, heightMm);
            Allowed.between("cycleSeconds", cycleSeconds, 5, 1800, "s");
            Allowed.between("chamberKPa", chamberKPa, 100, 1000, "kPa");
            Allowed.between("chamberC", chamberC, 20, 60, "°C");
        }
    }

    /**
     * UV. {@code left} in hours that it is good for.
     *
     * @param mwPerCm2 it gave as new, {@code atMm} away
     */
    record Lamp(String id, String name, double left, double mwPerCm2, double atMm) implements Supply {
        @Override
        public void check() {
            Supply.check(this, 50_000, "h");
            Allowed.between("mwPerCm2", mwPerCm2, 1, 2000, "mW/cm²");
            Allowed.between("atMm", atMm, 5, 500, "mm");
        }

        /** As new, so far away: a small lamp gives a quarter at twice the distance. */
        double newAt(double awayMm) {
            return mwPerCm2 * atMm * atMm / (awayMm * awayMm);
        }
    }

    /** {@code left} in pieces. */
    record Clamps(String id, String name, double left, double newtons) implements Supply {
        @Override
        public void check() {
            Supply.check(this, 1000, "pieces");
            Allowed.between("newtons", newtons, 1, 200, "N");
        }
    }

    private static void check(Supply supply, double most, String unit) {
        Allowed.text("name", supply.name(), 60);
        Allowed.between("left", supply.left(), 0, most, unit);
    }

    private static void sheet(double widthMm, double heightMm) {
        Allowed.between("widthMm", widthMm, 10, 500, "mm");
        Allowed.between("heightMm", heightMm, 10, 500, "mm");
    }

    /** Those of one kind, in the order of the shelf. */
    static <S extends Supply> List<S> of(List<Supply> all, Class<S> kind) {
        return all.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** All clamps of the shelf's list; none where it keeps none, and then nothing is known of them. */
    static Stream<Clamps> clamps(List<Supply> all) {
        return of(all, Clamps.class).stream();
    }
}
