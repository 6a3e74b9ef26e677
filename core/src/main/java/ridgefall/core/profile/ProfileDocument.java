package ridgefall.core.profile;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Outline;
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
        List<Feature> features,
        List<Function> functions,
        List<Connector> connectors,
        List<Screw> screws,
        List<Shield> shields,
        List<CarryOver> carryOvers,
        List<PairedPart> pairedParts,
        List<Cover> covers,
        List<AdhesiveKind> adhesives,
        List<Repair> repairs,
        List<Variant> variants,
        Map<String, Confidence> confidence) {

    public static final String FORMAT = "ridgefall-device/1";

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
            Adhesive adhesive) {}

    /** @param layers what lies under the glass; null takes the stated defaults of the class */
    public record Body(
            double thicknessMm, double massKg, DeviceClass deviceClass, Layers layers, BatteryReach batteryReach) {}

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
        FLEX("flex"),
        PRESS_PLUG("press plug"),
        FLIP_LATCH("flip latch"),
        SLIDE_IN_PLUG("slide-in plug"),
        FLAP_SOCKET("flap socket"),
        COAX_PLUG("coax plug");

        private final String words;

        Family(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * @param latchSide where the latch opens, in words; null where there is none
     * @param stackOrder 1 is the lowest cable, unplugged first
     * @param seatingProof how one knows it is home
     */
    public record Connector(
            String id,
            String words,
            Family family,
            String latchSide,
            int stackOrder,
            String seatingProof,
            boolean needsIsolation) {
        /** How it comes off, in bench words. */
        public String hint() {
            return family.words()
                    + (latchSide == null ? "" : ", latch " + latchSide)
                    + (seatingProof == null ? "" : "; home: " + seatingProof);
        }
    }

    /** @param laterLayer true for a hole that stays empty until a later layer is back */
    public record Screw(
            String id,
            double xMm,
            double yMm,
            String driver,
            double lengthMm,
            String head,
            int layer,
            boolean hidden,
            boolean laterLayer) {}

    public enum ShieldHold {
        SLIDES,
        HOOKED,
        GLUED,
        SCREWED
    }

    public record Shield(String id, String words, ShieldHold hold) {}

    /** A part that must move to the new front; {@code brings} names what makes it needless in a part that has it. */
    public record CarryOver(String id, String words, String hint, boolean irreplaceable, Brings brings) {}

    public enum PairingMethod {
        COPY_DATA,
        MOVE_BOARD
    }

    /** A chip or data bound to the main board. */
    public record PairedPart(String id, String words, String hint, PairingMethod method, String functionId) {}

    public enum CoverKind {
        FILM,
        LINER
    }

    public record Cover(String id, String words, String hint, CoverKind kind) {}

    /** How a new bond can be made, the first being the usual one. */
    public enum AdhesiveKind {
        PRE_APPLIED("pre-applied tape"),
        STRIPS("strips from the roll"),
        DIE_CUT("die-cut frame"),
        BEAD("liquid bead with clamps"),
        OPTICAL_LIQUID("optical liquid"),
        CLIPS("clips and gasket");

        private final String words;

        AdhesiveKind(String words) {
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
     * What is different in a variant. Lists add to the device's own; an entry of the same id takes its place; {@code
     * without} names ids that this variant does not have.
     */
    public record Variant(
            String id,
            String words,
            Double massKg,
            List<Feature> features,
            List<Function> functions,
            List<Connector> connectors,
            List<CarryOver> carryOvers,
            List<PairedPart> pairedParts,
            List<String> without) {}

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
