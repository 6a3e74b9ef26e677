package ridgefall.core.profile;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Outline;
import ridgefall.core.edge.Point;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Sheet;

/**
 * A device as it is written in the book: drawn in the editor, imported, exported. It may be wrong or unfinished;
 * {@link ProfileCheck} says where, and {@link DeviceProfile#of} makes of a right one what the stations work with.
 *
 * <p>Lengths in mm, masses in kg, temperatures in °C. Whatever is a list is in bench order.
 *
 * @param id lower-case words joined by dashes; stays for ever
 * @param generic true for a class profile: stated defaults for a device the book does not know
 * @param edgeNames what each straight edge is called at the bench, by what is found on it
 * @param seals how the new front can be held, the first being the usual way
 * @param opticalBonds how glass and panel can be joined where that is done here; empty where it is not
 * @param confidence how sure values are, by path such as {@code ledge} or {@code features/camera}; an empty path speaks
 *     for all that no longer path names
 */
public record ProfileDocument(
        String format,
        String id,
        String name,
        String words,
        Kind kind,
        boolean generic,
        Outline outline,
        Map<Landmark, String> edgeNames,
        Front front,
        Body body,
        HeatLimits limits,
        AlongEdge border,
        AlongEdge ledge,
        double openingRadiusMm,
        Seat seat,
        List<Feature> features,
        List<Function> functions,
        List<Connector> connectors,
        List<Screw> screws,
        List<Inside> inside,
        List<CarryOver> carryOvers,
        List<PairedPart> pairedParts,
        List<Cover> covers,
        List<AdhesiveKind> seals,
        List<OpticalBond> opticalBonds,
        List<Repair> repairs,
        List<Variant> variants,
        Map<String, Confidence> confidence) {

    public static final String FORMAT = "ridgefall-device/2";

    /** What parts inside are called by where one of them names the front itself. */
    public static final String FRONT = "front";

    public enum Kind {
        TABLET("tablet"),
        WATCH("smartwatch");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What keeps the front on. */
    public enum Holding {
        BONDED,
        CLIPPED
    }

    /** How the sheets of the front hang together. */
    public enum Build {
        FUSED,
        SEPARATE
    }

    /** What makes the picture; an OLED bears less heat and no pressure. */
    public enum PanelType {
        LCD,
        OLED
    }

    /** The exact gap the tool enters. */
    public enum Seam {
        GLASS_METAL("between glass and metal"),
        GLASS_PLASTIC("between glass and plastic bezel"),
        GLASS_GASKET("between glass and gasket"),
        GASKET_METAL("between gasket and metal");

        private final String words;

        Seam(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** When the battery can be reached. */
    public enum BatteryReach {
        BEFORE_HEAT("behind a back that comes off first"),
        FRONT_OPEN("once the front is open"),
        UNDER_PANEL("only under the panel");

        private final String words;

        BatteryReach(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * @param hinge the edge whose cables stay attached; freed last, the front opens on it
     * @param greatestOpeningDeg angle the cables allow, 0–180
     * @param adhesive what the maker bonded it with; null when clips hold it
     */
    public record Front(
            Holding holding,
            Build build,
            Seam seam,
            String seamWords,
            Landmark hinge,
            int greatestOpeningDeg,
            double massKg,
            PanelType panel,
            Adhesive adhesive) {}

    /** What the bond lies on; decides which solvent may touch it. */
    public enum LedgeMaterial {
        ALUMINIUM("aluminium"),
        STEEL("steel"),
        PAINTED_METAL("painted metal"),
        PLASTIC("plastic");

        private final String words;

        LedgeMaterial(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Where the front lies.
     *
     * @param depthMm from the rim down to the ledge: what part and adhesive must fill to be flush
     * @param parts how thick each part is over the ledge
     * @param plastics what a solvent must not meet near the ledge
     */
    public record Seat(LedgeMaterial material, double depthMm, List<PartThickness> parts, List<NearPlastic> plastics) {
        /** Above the rim (or, negative, below it) with a bond line of this thickness; empty for a part nobody measured. */
        public Optional<Double> proudMm(PartKind part, double adhesiveMm) {
            return parts.stream()
                    .filter(p -> p.part() == part)
                    .findFirst()
                    .map(p -> p.overLedgeMm() + adhesiveMm - depthMm);
        }
    }

    public record PartThickness(PartKind part, double overLedgeMm) {}

    /** Plastic, paint or film beside the ledge. {@code inwardMm} is how far from the ledge it begins. */
    public record NearPlastic(String id, String words, double fromMm, double lengthMm, double inwardMm) {}

    /** @param layers what lies under the glass; null takes the stated defaults of the class */
    public record Body(
            double thicknessMm, double massKg, DeviceClass deviceClass, Layers layers, BatteryReach batteryReach) {
        Body weighing(double kg) {
            return new Body(thicknessMm, kg, deviceClass, layers, batteryReach);
        }
    }

    /**
     * The layers and joints the heat model needs.
     *
     * @param opticalAdhesive between glass and display of a fused front; null where there is air
     * @param batteryShare share of the area inside the border with battery behind it
     */
    public record Layers(
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
            double rimToBackWPerMK) {}

    /** A width along the edge: one value all round but for some intervals. */
    public record AlongEdge(double everywhereMm, List<Except> except) {
        public record Except(double fromMm, double lengthMm, double valueMm) {}
    }

    /** @param depthMm how far in a tool may go here; null where only the border limits it */
    public record Feature(
            String id,
            EdgeFeature.Kind kind,
            String words,
            double fromMm,
            double lengthMm,
            Double depthMm,
            double hazard,
            String consequence,
            boolean keepsTapeOff) {}

    /** Whether the front is loose or seated: some functions work in only one of the two. */
    public enum Seating {
        OPEN,
        CLOSED
    }

    /**
     * A function on the list asked at intake, before sealing and at hand-over.
     *
     * @param failsAs the symptom that a failing answer at intake amounts to; null for none
     */
    public record Function(String id, String words, List<Seating> testableWhen, Symptom failsAs) {}

    public enum Family {
        FLEX("flex", "lift it off its contacts, flat"),
        PRESS_PLUG("press plug", "straight up, both ends at once: click"),
        FLIP_LATCH("flip latch", "latch up first, then the cable out"),
        SLIDE_IN_PLUG("slide-in plug", "out along its cable, both sides in turn"),
        FLAP_SOCKET("flap socket", "flap up first, then the cable by its tab"),
        COAX_PLUG("coax plug", "straight up from under its rim: snap");

        private final String words;
        private final String off;

        Family(String words, String off) {
            this.words = words;
            this.off = off;
        }

        public String words() {
            return words;
        }

        /** How a hand gets it off. */
        public String off() {
            return off;
        }
    }

    /** What a plug is for. */
    public enum PlugRole {
        BATTERY("battery"),
        FRONT("display and touch"),
        PANEL("panel"),
        TOUCH("touch"),
        KEY("key"),
        SENSOR("sensor"),
        PAYMENT("payment"),
        ANTENNA("antenna"),
        SOUND("sound"),
        CHARGE("charging");

        private final String words;

        PlugRole(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * The cable of a plug.
     *
     * @param from what it belongs to and keeps in: an id from inside, a part to carry over, or {@link #FRONT}
     * @param tight too short to lift that out of the way while it is plugged in
     * @param route the way it takes, from the plug on
     */
    public record Cable(String from, boolean tight, List<Point> route) {}

    /**
     * @param latchSide where the latch opens, in words; null where there is none
     * @param stackOrder 1 is the lowest cable, unplugged first
     * @param seatingProof how one knows it is home
     * @param place null where nobody has looked yet
     * @param coveredBy ids of what must be out of the way before it can be reached
     * @param cable null where nobody has looked yet
     */
    public record Connector(
            String id,
            String words,
            Family family,
            PlugRole role,
            String latchSide,
            int stackOrder,
            String seatingProof,
            boolean needsIsolation,
            Point place,
            List<String> coveredBy,
            Cable cable) {
        /** How it comes off, in bench words. */
        public String offHint() {
            return called() + "; " + family.off();
        }

        /** How it goes home, and how one knows that it is. */
        public String homeHint() {
            return called() + (seatingProof == null ? "" : "; home: " + seatingProof);
        }

        private String called() {
            return family.words() + (latchSide == null ? "" : ", latch " + latchSide);
        }
    }

    /**
     * @param threadMm thread diameter: 1.4 for M1.4
     * @param underHeadMm length under the head
     * @param stackMm what it clamps before its thread begins to hold; null where not measured
     * @param threadedMm from there to the bottom of the hole; null where not measured
     * @param layer 1 is reached first
     * @param hidden under tape or a plug of rubber
     * @param laterLayer true for a hole that stays empty until a later layer is back
     * @param coveredBy ids of what must be out of the way before it can be reached
     * @param holds id of what it holds, or {@link #FRONT}; null for what is not known
     */
    public record Screw(
            String id,
            double xMm,
            double yMm,
            String driver,
            double threadMm,
            double underHeadMm,
            String head,
            Double stackMm,
            Double threadedMm,
            int layer,
            boolean hidden,
            boolean laterLayer,
            List<String> coveredBy,
            String holds) {}

    /** A rectangle of the face in mm, face up, from the top left of the outline's bounding box. */
    public record Area(double xMm, double yMm, double widthMm, double heightMm) {
        /** Clockwise from the top left. */
        public List<Point> corners() {
            double right = xMm + widthMm;
            double bottom = yMm + heightMm;
            return List.of(
                    new Point(xMm, yMm), new Point(right, yMm), new Point(right, bottom), new Point(xMm, bottom));
        }
    }

    public enum InsideKind {
        SHIELD("shield"),
        PLATE("plate"),
        TAPE("tape"),
        PANEL("panel"),
        BATTERY("battery"),
        BACK("back");

        private final String words;

        InsideKind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public enum InsideHold {
        SLIDES("slides out"),
        HOOKED("unhook it"),
        GLUED("glued: warm it, no prying"),
        SCREWED("its screws out first"),
        CLIPPED("unclip it"),
        LIES("lies loose");

        private final String words;

        InsideHold(String words) {
            this.words = words;
        }

        /** How a hand gets it off. */
        public String words() {
            return words;
        }
    }

    /**
     * What lies between the front and what is worked on: shields, plates, tapes, panel, battery, a back that comes off.
     *
     * @param area null where nobody has looked yet
     * @param layer 1 is reached first
     * @param coveredBy ids of what must be out of the way first
     */
    public record Inside(
            String id, String words, InsideKind kind, InsideHold hold, Area area, int layer, List<String> coveredBy) {}

    /** By what a part comes off the old front. */
    public enum OffBy {
        WARMTH("warm it"),
        ALCOHOL("a drop of alcohol at its edge, a minute"),
        BLADE("thin blade under it, flat"),
        FINGER("push it out with a finger from the front"),
        SLIDE("slide it out flat"),
        PEEL("peel it back on itself, slowly"),
        UNCLIP("unclip it"),
        LOOSE("lies loose: catch it");

        private final String words;

        OffBy(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A part that must move to the new front; {@code brings} names what makes it needless in a part that has it.
     *
     * @param layer 0 on the front itself, else as inside
     * @param offBy how it comes off, one after the other; empty where nobody has looked yet
     * @param mostC it bears no more; null where nothing is known
     * @param centredOn the middle of its hole or window in the new front; null for what has none
     * @param leastBendMm it breaks when it is bent tighter than this radius; null for what bends as it likes, or not at all
     * @param tapeMm width of the tape that holds it; null for what is held otherwise
     * @param lays how it lies, in words: which way round, where it folds; null where it fits one way only
     * @param functionId what is lost with it; null for what nobody would miss
     */
    public record CarryOver(
            String id,
            String words,
            String hint,
            boolean irreplaceable,
            Brings brings,
            Area area,
            int layer,
            List<String> coveredBy,
            List<OffBy> offBy,
            Double mostC,
            Point centredOn,
            Double leastBendMm,
            Double tapeMm,
            String lays,
            String functionId) {
        /** Books that were written before this was asked say nothing of it. */
        public CarryOver {
            offBy = offBy == null ? List.of() : List.copyOf(offBy);
        }
    }

    public enum PairingMethod {
        COPY_DATA,
        MOVE_BOARD
    }

    /** A soldered joint of a board that moves. */
    public record Joint(String id, String words, Point place) {}

    /**
     * A chip or data bound to the main board.
     *
     * @param joints of a board that moves
     * @param adapter what the programmer reads the front through; null where not known
     * @param generation of the chip or of the data, as programmers tell it; null where not known
     * @param solderMeltsC of the joints of a board that moves; null where not known, and for data
     */
    public record PairedPart(
            String id,
            String words,
            String hint,
            PairingMethod method,
            String functionId,
            List<Joint> joints,
            String adapter,
            String generation,
            Double solderMeltsC) {}

    public enum CoverKind {
        FILM,
        LINER
    }

    /** A stretch of the edge line. */
    public record Stretch(double fromMm, double lengthMm) {}

    /**
     * A film or liner that comes off on the way to a closed device.
     *
     * @param stretches of the edge that a liner covers
     * @param area of the face that a film covers
     */
    public record Cover(String id, String words, String hint, CoverKind kind, List<Stretch> stretches, Area area) {}

    /** How the front can be held again. */
    public enum AdhesiveKind {
        PRE_APPLIED("pre-applied tape"),
        STRIPS("strips from the roll"),
        DIE_CUT("die-cut frame"),
        BEAD("liquid bead with clamps"),
        CLIPS("clips and gasket");

        private final String words;

        AdhesiveKind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How glass is joined to a panel. */
    public enum OpticalBond {
        LIQUID("optical liquid, cured by lamp"),
        FILM("optical film, by laminator and autoclave");

        private final String words;

        OpticalBond(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public enum OldFront {
        SCRAP("scrap: open fast, mind the frame and the cables"),
        SAVE("worth saving: open gently"),
        DATA_SOURCE("still the source of paired data: open gently, do not bin it"),
        DONOR("still the donor of parts: open gently, do not bin it");

        private final String words;

        OldFront(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public enum Fate {
        KEPT,
        AT_RISK,
        LOST
    }

    /** What becomes of a function with this repair, and by which method it is kept or why it goes. */
    public record FunctionFate(String functionId, Fate fate, String how) {}

    /**
     * A repair the device allows.
     *
     * @param needs what the part should bring; whatever it does not is ordered, improvised or carried over
     * @param activeMinutes hands at work; {@code waitingMinutes} soaks, drying, curing
     */
    public record Repair(
            String id,
            String words,
            List<PartKind> parts,
            List<Symptom> cures,
            List<Brings> needs,
            int activeMinutes,
            int waitingMinutes,
            List<FunctionFate> fates,
            OldFront oldFront) {}

    /**
     * What is different in a variant. Lists of entries with ids add to the device's own; an entry of the same id takes its
     * place; {@code without} names ids that this variant does not have. What has no ids takes the place of the device's
     * own as a whole; null leaves it.
     */
    public record Variant(
            String id,
            String words,
            Double massKg,
            AlongEdge border,
            AlongEdge ledge,
            Seat seat,
            List<Feature> features,
            List<Function> functions,
            List<Connector> connectors,
            List<Screw> screws,
            List<Inside> inside,
            List<CarryOver> carryOvers,
            List<PairedPart> pairedParts,
            List<Cover> covers,
            List<AdhesiveKind> seals,
            List<OpticalBond> opticalBonds,
            List<Repair> repairs,
            List<String> without) {
        /** One that does more than the book says, and is else as it is there. */
        static Variant doing(List<Function> more) {
            List<Function> functions = List.copyOf(more);
            return new Variant(
                    "", "", null, null, null, null, List.of(), functions, List.of(), List.of(), List.of(), List.of(),
                    List.of(), List.of(), null, null, List.of(), List.of());
        }
    }

    /** This device as one of its variants is, with the lists of both in one. */
    ProfileDocument as(Variant v) {
        return as(v, limits);
    }

    ProfileDocument as(Variant v, HeatLimits limits) {
        return new ProfileDocument(
                format,
                id,
                name,
                words,
                kind,
                generic,
                outline,
                edgeNames,
                front,
                v.massKg() == null ? body : body.weighing(v.massKg()),
                limits,
                or(v.border(), border),
                or(v.ledge(), ledge),
                openingRadiusMm,
                or(v.seat(), seat),
                merged(features, v.features(), Feature::id, v),
                merged(functions, v.functions(), Function::id, v),
                merged(connectors, v.connectors(), Connector::id, v),
                merged(screws, v.screws(), Screw::id, v),
                merged(inside, v.inside(), Inside::id, v),
                merged(carryOvers, v.carryOvers(), CarryOver::id, v),
                merged(pairedParts, v.pairedParts(), PairedPart::id, v),
                merged(covers, v.covers(), Cover::id, v),
                or(v.seals(), seals),
                or(v.opticalBonds(), opticalBonds),
                merged(repairs, v.repairs(), Repair::id, v),
                variants,
                confidence);
    }

    private static <T> T or(T variants, T own) {
        return variants == null ? own : variants;
    }

    /** The device's own in their order, replaced where the variant names the same id, then what is the variant's alone. */
    private static <T> List<T> merged(
            List<T> own, List<T> added, java.util.function.Function<T, String> id, Variant variant) {
        Map<String, T> byId = new LinkedHashMap<>();
        Stream.concat(own.stream(), added.stream()).forEach(t -> byId.put(id.apply(t), t));
        byId.keySet().removeAll(variant.without());
        return List.copyOf(byId.values());
    }

    /** How sure the value at a path is: the word of the longest path that leads to it. */
    public Confidence confidenceOf(String path) {
        String at = path;
        while (true) {
            Confidence here = confidence.get(at);
            if (here != null) {
                return here;
            }
            if (at.isEmpty()) {
                return Confidence.GUESS;
            }
            at = at.contains("/") ? at.substring(0, at.lastIndexOf('/')) : "";
        }
    }

    public Optional<Variant> variant(String variantId) {
        return variants.stream().filter(v -> v.id().equals(variantId)).findFirst();
    }

    public Layers layers() {
        return body.layers() == null ? body.deviceClass().layers(front.build()) : body.layers();
    }
}
