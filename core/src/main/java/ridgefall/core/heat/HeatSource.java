package ridgefall.core.heat;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * A source the bench owns. Contacts are common practice until measured here.
 *
 * @param minC least setting, °C
 * @param maxC greatest setting, °C
 * @param settleS time constant of coming to its setting when switched on; of a pad warmed elsewhere, of cooling down;
 *     0 where it keeps its temperature
 * @param air null where the front lies on the source
 * @param measured null until a soak on this bench was logged and fitted
 */
public record HeatSource(
        String id, String name, Kind kind, int minC, int maxC, double settleS, Air air, Calibration measured) {

    public enum Kind {
        PLATE("plate or mat under the face", false, 1.5),
        PRINTER_BED("heated printer bed", false, 3),
        COMPLIANT_PAD("heated pad that gives", false, 1.5),
        REUSABLE_PAD("pad warmed elsewhere", false, 3),
        HOT_AIR("hot air from a nozzle", true, 0),
        HAIR_DRYER("hair dryer", true, 0);

        private final String words;
        private final boolean air;
        private final double surfaceSigmaK;

        Kind(String words, boolean air, double surfaceSigmaK) {
            this.words = words;
            this.air = air;
            this.surfaceSigmaK = surfaceSigmaK;
        }

        public String words() {
            return words;
        }

        /** Whether air from an outlet warms the border, instead of a face that the front lies on. */
        public boolean air() {
            return air;
        }
    }

    /**
     * What makes an outlet: its width, the ends of its airflow dial (machine numbers, no two alike), and how far from
     * the glass it is usually held.
     *
     * @param shielded whether it is used with a shield: foil-faced card on the glass from {@value #SHIELD_FROM_MM} mm inside the
     *     outline, and the air aimed at the frame's side
     */
    public record Air(double outletMm, double dialFrom, double dialTo, double usualDistanceMm, boolean shielded) {
        /** With nothing on the glass. */
        public Air(double outletMm, double dialFrom, double dialTo, double usualDistanceMm) {
            this(outletMm, dialFrom, dialTo, usualDistanceMm, false);
        }

        public Air {
            Allowed.between("outletMm", outletMm, 2, 80, "mm");
            Allowed.between("dialFrom", dialFrom, 0, 100, "on the dial");
            Allowed.between("dialTo", dialTo, dialFrom, 100, "on the dial");
            Allowed.between("usualDistanceMm", usualDistanceMm, 5, 300, "mm");
        }
    }

    /**
     * Heat transfer into the glass in W/(m²·K): five of a hundred benches lie below {@code low}, five above
     * {@code high}.
     */
    public record Contact(double low, double typical, double high) {
        Contact times(double factor) {
            return new Contact(low * factor, typical * factor, high * factor);
        }
    }

    /** A shield lies so far inside the outline. */
    public static final double SHIELD_FROM_MM = 8;

    /** Hotter is led round an edge by nobody who means to keep the panel. */
    private static final int HOTTEST_AIR_C = 360;

    private static final double SPOT_WIDTHS = 5;
    private static final double HANDS_WIDTH_MM = 100;

    /** Share of the nozzle's rise over the room that arrives close to it. */
    private static final double JET_SHARE = 0.7;

    /** Up to so many widths of the outlet the air keeps its temperature; beyond, it falls with the distance. */
    private static final double JET_CORE_WIDTHS = 5;

    public HeatSource {
        Allowed.text("id", id, 40);
        Allowed.text("name", name, 60);
        Allowed.present("kind", kind);
        Allowed.between("minC", minC, 30, kind.air ? 600 : 150, "°C");
        Allowed.between("maxC", maxC, minC, kind.air ? 600 : 150, "°C");
        Allowed.between("settleS", settleS, 0, 3600, "s");
        if (kind.air) {
            Allowed.present("air", air);
        } else if (air != null) {
            throw new NotAllowed("air", "an outlet", "none: a front lies on a " + kind.words);
        }
    }

    /** A source that the front lies on, at its temperature whenever it is used. */
    public static HeatSource face(String id, String name, Kind kind, int minC, int maxC) {
        return new HeatSource(id, name, kind, minC, maxC, 0, null, null);
    }

    public HeatSource measured(Calibration calibration) {
        return new HeatSource(id, name, kind, minC, maxC, settleS, air, calibration);
    }

    /** The same source whatever it is called: what a plan for it depends on. */
    public HeatSource nameless() {
        return new HeatSource("-", "-", kind, minC, maxC, settleS, air, measured);
    }

    /** Middle dial, usual distance. */
    public Setup usual(double settingC, Sweep sweep) {
        return air == null ? Setup.face(settingC) : completed(new Setup(settingC, null, null, sweep));
    }

    /** What a recipe leaves open of an outlet is taken as usual. */
    public Setup completed(Setup setup) {
        return air == null
                ? setup
                : new Setup(
                        setup.settingC(),
                        setup.dial() == null ? (air.dialFrom + air.dialTo) / 2 : setup.dial(),
                        setup.distanceMm() == null ? air.usualDistanceMm : setup.distanceMm(),
                        setup.sweep(),
                        setup.where());
    }

    /** How all of an edge is warmed in one go. Warmed a stretch at a time it is planned together with the cutting. */
    Sweep wholeEdge() {
        return kind.air ? Sweep.ROUND : Sweep.FACE;
    }

    /** The settings worth weighing, °C: its least and greatest among them. Hotter air is judged, where somebody swears by it. */
    IntStream settings() {
        int mostC = kind.air ? Math.max(minC, Math.min(maxC, HOTTEST_AIR_C)) : maxC;
        int step = mostC - minC > 100 ? 20 : 5;
        return IntStream.concat(IntStream.iterate(minC, c -> c < mostC, c -> c + step), IntStream.of(mostC));
    }

    /** How well heat gets from this source into glass in a condition. */
    Contact contact(FrontCondition condition, Setup setup) {
        return switch (kind) {
            case HOT_AIR, HAIR_DRYER -> new Contact(0.5, 1, 2).times(outletWPerM2K() * flow(setup));
            case COMPLIANT_PAD, REUSABLE_PAD ->
                condition == FrontCondition.SHATTERED ? new Contact(90, 180, 320) : new Contact(300, 400, 500);
            case PLATE, PRINTER_BED ->
                switch (condition) {
                    case INTACT -> new Contact(80, 150, 300);
                    case CRACKED -> new Contact(60, 110, 220);
                    case SHATTERED -> new Contact(35, 60, 110);
                };
        };
    }

    /**
     * At its usual flow, on the rise that arrives: narrow and strong more than wide and soft. Common practice says 150, 80 and
     * 70 for outlets of 8, 22 and 45 mm on the nozzle's own rise; between them as the logarithm of their width.
     */
    private double outletWPerM2K() {
        double[] widths = {8, 22, 45};
        double[] transfer = {150, 80, 70};
        double onTheNozzle = transfer[0];
        for (int i = 0; i + 1 < widths.length && air.outletMm > widths[i]; i++) {
            double share = Math.min(1, Math.log(air.outletMm / widths[i]) / Math.log(widths[i + 1] / widths[i]));
            onTheNozzle = transfer[i] + share * (transfer[i + 1] - transfer[i]);
        }
        return kind == Kind.HOT_AIR ? onTheNozzle / JET_SHARE : onTheNozzle;
    }

    /** Transfer grows with the flow to the power 0.7 or so; over a dial, from 0.6 to 1.4 of the usual. */
    private double flow(Setup setup) {
        double span = air.dialTo - air.dialFrom;
        return span == 0 ? 1 : 0.6 + 0.8 * (setup.dial() - air.dialFrom) / span;
    }

    /** Share of the setting's rise over the room that the glass faces. */
    double risingShare(Setup setup) {
        return switch (kind) {
            case HOT_AIR -> JET_SHARE * core(setup);
            case HAIR_DRYER -> core(setup);
            default -> 1;
        };
    }

    private double core(Setup setup) {
        return Math.min(1, JET_CORE_WIDTHS * air.outletMm / setup.distanceMm());
    }

    /** Whether what lies inboard of the edge is covered while it blows. */
    public boolean shielded() {
        return air != null && air.shielded;
    }

    /** What goes with it, to be added to how it is led. */
    public String shieldWords() {
        return shielded()
                ? "; shield on the glass from {mm:" + Math.round(SHIELD_FROM_MM) + "} in, aim at the frame's side"
                : "";
    }

    /** The same with a shield on the glass. */
    public HeatSource behindShield() {
        return with(true);
    }

    /** The same with nothing on the glass. */
    public HeatSource bare() {
        return shielded() ? with(false) : this;
    }

    private HeatSource with(boolean shield) {
        Air with = new Air(air.outletMm, air.dialFrom, air.dialTo, air.usualDistanceMm, shield);
        return new HeatSource(id, name, kind, minC, maxC, settleS, with, measured);
    }

    /** Width of the spot that an outlet warms at half its height, mm. */
    double spotMm() {
        return SPOT_WIDTHS * air.outletMm;
    }

    /** How much of the edge air keeps warm at a time: a spot wiped over half its width more, a hand's width at most. */
    public double strokeMm() {
        return Math.min(HANDS_WIDTH_MM, 1.5 * spotMm());
    }

    /** How many of them go round an edge. */
    int strokes(double edgeMm) {
        return (int) Math.ceil(edgeMm / strokeMm());
    }

    /** To lay a device on and take it up again, or to change the outlet for the pick. */
    public double handlingSeconds() {
        return kind.air ? 5 : 20;
    }

    double surfaceSigmaK() {
        return kind.surfaceSigmaK;
    }

    /** How long ahead it has to be switched on to be within a kelvin of its setting, s. */
    double preheatSeconds(double settingC, double roomC) {
        return kind == Kind.REUSABLE_PAD ? 0 : settleS * Math.log(Math.max(1, settingC - roomC));
    }

    /** How much of its first rise is left after so long on the glass. */
    double kept(double seconds) {
        return kind == Kind.REUSABLE_PAD && settleS > 0 ? Math.exp(-seconds / settleS) : 1;
    }

    /** Share of a change of setting that has not arrived yet, so long after it. */
    double lagging(double seconds) {
        return kind == Kind.REUSABLE_PAD || settleS == 0 ? 0 : Math.exp(-seconds / settleS);
    }

    /** @throws NotAllowed when this source can't be set so */
    public void check(Setup setup) {
        Allowed.between("settingC", setup.settingC(), minC, maxC, "°C on " + name);
        boolean fits = kind.air == (setup.sweep() != Sweep.FACE);
        if (!fits) {
            throw new NotAllowed(
                    "sweep", setup.sweep(), kind.air ? "ROUND or STRETCH_BY_STRETCH with " + name : "FACE on " + name);
        }
        if (kind.air) {
            Allowed.present("dial", setup.dial());
            Allowed.present("distanceMm", setup.distanceMm());
            Allowed.between("dial", setup.dial(), air.dialFrom, air.dialTo, "on the dial of " + name);
            Allowed.between("distanceMm", setup.distanceMm(), 5, 300, "mm");
        }
    }

    /** The bench of the demo workshop; a shop's own list comes with the tools it owns. */
    public static List<HeatSource> bench() {
        return List.of(
                face("plate-1", "Plate 1", Kind.PLATE, 50, 90),
                face("plate-2", "Plate 2", Kind.PLATE, 50, 90),
                face("pad-1", "Gel pad", Kind.COMPLIANT_PAD, 50, 85),
                new HeatSource("bed-1", "Printer bed", Kind.PRINTER_BED, 40, 100, 90, null, null),
                new HeatSource("air-1", "Hot air pencil", Kind.HOT_AIR, 100, 480, 0, new Air(8, 1, 8, 25, true), null),
                new HeatSource("air-2", "Hot air gun", Kind.HOT_AIR, 80, 550, 0, new Air(22, 1, 5, 60), null),
                new HeatSource("dryer-1", "Hair dryer", Kind.HAIR_DRYER, 60, 90, 0, new Air(45, 1, 2, 40), null));
    }

    /** @throws NotAllowed when none of the sources has this id */
    public static HeatSource byId(List<HeatSource> sources, String id) {
        return sources.stream()
                .filter(source -> source.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "sourceId",
                        id,
                        "one of "
                                + String.join(
                                        ", ",
                                        Stream.ofNullable(sources)
                                                .flatMap(List::stream)
                                                .map(HeatSource::id)
                                                .toList())));
    }
}
