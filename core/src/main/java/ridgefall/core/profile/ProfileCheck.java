package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeProfile;
import ridgefall.core.edge.Landmark;
import ridgefall.core.profile.ProfileDocument.AlongEdge;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Feature;
import ridgefall.core.profile.ProfileDocument.Holding;
import ridgefall.core.profile.ProfileDocument.Layers;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.ProfileDocument.Variant;
import ridgefall.core.units.NotAllowed;

/** Everything that is wrong with a document of the book, by path; what the editor shows while it is being drawn. */
public final class ProfileCheck {
    /** Kinds that fill their place on the edge: no two of them can share it. */
    private static final Set<EdgeFeature.Kind> FILLING = EnumSet.of(
            EdgeFeature.Kind.CABLE,
            EdgeFeature.Kind.KEY,
            EdgeFeature.Kind.CAMERA,
            EdgeFeature.Kind.SENSOR,
            EdgeFeature.Kind.MICROPHONE,
            EdgeFeature.Kind.PORT,
            EdgeFeature.Kind.CLIP,
            EdgeFeature.Kind.NOTCH,
            EdgeFeature.Kind.GROUNDING);
    /** Kinds a tool cuts or tears: how deep it may go beside them must be known. */
    private static final Set<EdgeFeature.Kind> NEED_DEPTH =
            EnumSet.of(EdgeFeature.Kind.CABLE, EdgeFeature.Kind.KEY, EdgeFeature.Kind.ANTENNA);

    private static final double TOUCH_MM = 1e-6;

    /** An order is worked out exactly up to so many. */
    private static final int MOST_CLIPS = 24;

    /** @param path names joined by slashes; entries of lists by their id */
    public record Flaw(String path, String value, String allowed) {}

    private final ProfileDocument document;
    private final List<Flaw> flaws = new ArrayList<>();

    private ProfileCheck(ProfileDocument document) {
        this.document = document;
    }

    /** Empty for a document that can be worked from. */
    public static List<Flaw> flaws(ProfileDocument document) {
        ProfileCheck check = new ProfileCheck(document);
        check.names();
        check.front();
        check.limits();
        check.references();
        EdgeLine edge = check.edge();
        if (edge != null) {
            check.along(edge, "border", document.border());
            check.along(edge, "ledge", document.ledge());
            check.features(edge, "features", document.features());
            check.inside(edge);
            for (Variant variant : document.variants()) {
                check.variant(edge, variant);
            }
            if (check.flaws.isEmpty()) {
                check.widths(edge);
                check.mass(edge);
            }
        }
        return List.copyOf(check.flaws);
    }

    private void flaw(String path, Object value, String allowed) {
        Flaw flaw = new Flaw(path, String.valueOf(value), allowed);
        if (!flaws.contains(flaw)) {
            flaws.add(flaw);
        }
    }

    private void names() {
        if (!ProfileDocument.FORMAT.equals(document.format())) {
            flaw("format", document.format(), ProfileDocument.FORMAT);
        }
        if (!document.id().matches("[a-z0-9]+(-[a-z0-9]+)*")) {
            flaw("id", document.id(), "lower-case words joined by dashes");
        }
        for (Landmark landmark : Landmark.values()) {
            String name = document.edgeNames().get(landmark);
            if (!landmark.isCorner() && (name == null || name.isBlank())) {
                flaw(
                        "edgeNames/" + landmark.name(),
                        "missing",
                        "what is found on the " + landmark.name().toLowerCase(Locale.ROOT) + " edge");
            }
        }
        unique("features", document.features().stream().map(Feature::id));
        unique("functions", document.functions().stream().map(ProfileDocument.Function::id));
        unique("connectors", document.connectors().stream().map(ProfileDocument.Connector::id));
        unique("screws", document.screws().stream().map(ProfileDocument.Screw::id));
        unique("inside", document.inside().stream().map(ProfileDocument.Inside::id));
        unique(
                "carryOvers",
                Stream.concat(
                        document.carryOvers().stream().map(CarryOver::id),
                        document.pairedParts().stream().map(ProfileDocument.PairedPart::id)));
        unique("covers", document.covers().stream().map(ProfileDocument.Cover::id));
        unique("repairs", document.repairs().stream().map(Repair::id));
        unique("variants", document.variants().stream().map(Variant::id));
    }

    /** Only what the variant brings in: what is wrong with the device itself is said once. */
    private void variant(EdgeLine edge, Variant variant) {
        ProfileDocument merged = document.as(variant);
        String path = "variants/" + variant.id() + "/";
        if (variant.border() != null) {
            along(edge, path + "border", merged.border());
        }
        if (variant.ledge() != null) {
            along(edge, path + "ledge", merged.ledge());
        }
        if (!variant.features().isEmpty()) {
            features(edge, path + "features", merged.features());
        }
        List<Flaw> own = InsideCheck.flaws(document, edge);
        InsideCheck.flaws(merged, edge).stream()
                .filter(flaw -> !own.contains(flaw))
                .forEach(flaw -> flaw(path + flaw.path(), flaw.value(), flaw.allowed()));
    }

    private void inside(EdgeLine edge) {
        InsideCheck.flaws(document, edge).forEach(flaw -> flaw(flaw.path(), flaw.value(), flaw.allowed()));
    }

    private void unique(String list, Stream<String> ids) {
        Set<String> seen = new HashSet<>();
        ids.filter(id -> !seen.add(id)).forEach(id -> flaw(list + "/" + id, id, "an id used once in this list"));
    }

    private void front() {
        ProfileDocument.Front front = document.front();
        if (front.hinge().isCorner()) {
            flaw("front/hinge", front.hinge(), "an edge, not a corner");
        }
        long clips = document.features().stream()
                .filter(f -> f.kind() == EdgeFeature.Kind.CLIP)
                .count();
        if (front.holding() == Holding.BONDED && front.adhesive() == null) {
            flaw("front/adhesive", "missing", "what a bonded front is held by");
        } else if (front.holding() == Holding.CLIPPED && clips == 0) {
            flaw("features", "no clip", "at least one clip for a front that is held by clips");
        }
        if (clips > MOST_CLIPS) {
            flaw(
                    "features",
                    clips + " clips",
                    "at most " + MOST_CLIPS + ": draw neighbours that come off together as one");
        }
        if (document.repairs().isEmpty()) {
            flaw("repairs", "none", "at least one repair");
        }
        if (document.functions().isEmpty()) {
            flaw("functions", "none", "at least one function to test");
        }
    }

    private void limits() {
        HeatLimits limits = document.limits();
        if (limits.batteryCautionC() > limits.batteryStopC()) {
            flaw("limits/batteryCautionC", limits.batteryCautionC(), "at most the stop, " + limits.batteryStopC());
        }
        if (limits.displayCautionC() > limits.displayStopC()) {
            flaw("limits/displayCautionC", limits.displayCautionC(), "at most the stop, " + limits.displayStopC());
        }
    }

    private void references() {
        Set<String> functions =
                document.functions().stream().map(ProfileDocument.Function::id).collect(Collectors.toSet());
        document.variants().forEach(v -> v.functions().forEach(f -> functions.add(f.id())));
        functions("", document.repairs(), document.pairedParts(), document.carryOvers(), functions);
        document.variants()
                .forEach(v ->
                        functions("variants/" + v.id() + "/", v.repairs(), v.pairedParts(), v.carryOvers(), functions));
        Set<String> ids = Stream.of(
                        document.features().stream().map(Feature::id),
                        functions.stream(),
                        document.connectors().stream().map(ProfileDocument.Connector::id),
                        document.screws().stream().map(ProfileDocument.Screw::id),
                        document.inside().stream().map(ProfileDocument.Inside::id),
                        document.covers().stream().map(ProfileDocument.Cover::id),
                        document.repairs().stream().map(Repair::id),
                        document.carryOvers().stream().map(CarryOver::id),
                        document.pairedParts().stream().map(ProfileDocument.PairedPart::id))
                .flatMap(s -> s)
                .collect(Collectors.toSet());
        for (Variant variant : document.variants()) {
            variant.without().forEach(id -> known("variants/" + variant.id() + "/without", id, ids));
        }
    }

    private void functions(
            String path, List<Repair> repairs, List<PairedPart> parts, List<CarryOver> moved, Set<String> functions) {
        for (Repair repair : repairs) {
            repair.fates()
                    .forEach(fate -> known(path + "repairs/" + repair.id() + "/fates", fate.functionId(), functions));
        }
        parts.forEach(part -> known(path + "pairedParts/" + part.id() + "/functionId", part.functionId(), functions));
        moved.stream()
                .filter(part -> part.functionId() != null)
                .forEach(part -> known(path + "carryOvers/" + part.id() + "/functionId", part.functionId(), functions));
    }

    private void known(String path, String id, Collection<String> ids) {
        if (!ids.contains(id)) {
            flaw(path, id, "one of " + ids.stream().sorted().collect(Collectors.joining(", ")));
        }
    }

    /** Null when the outline is no outline; nothing on the edge can be checked then. */
    private EdgeLine edge() {
        try {
            EdgeLine edge = document.outline().edge();
            double most = Math.min(edge.widthMm(), edge.heightMm()) / 2;
            if (!(document.openingRadiusMm() >= 0 && document.openingRadiusMm() <= most)) {
                flaw("openingRadiusMm", document.openingRadiusMm(), "0 to " + tenth(most) + " mm");
            }
            return edge;
        } catch (NotAllowed e) {
            flaw("outline/" + e.field(), e.value(), e.allowed());
            return null;
        }
    }

    private boolean onEdge(EdgeLine edge, String path, double fromMm, double lengthMm) {
        boolean on = true;
        if (!(fromMm >= 0 && fromMm < edge.lengthMm())) {
            flaw(path + "/fromMm", fromMm, "0 to " + tenth(edge.lengthMm()) + " mm, the length of the edge");
            on = false;
        }
        if (!(lengthMm > 0 && lengthMm <= edge.lengthMm())) {
            flaw(path + "/lengthMm", lengthMm, "more than 0, at most " + tenth(edge.lengthMm()) + " mm");
            on = false;
        }
        return on;
    }

    private void along(EdgeLine edge, String path, AlongEdge width) {
        List<EdgeInterval> before = new ArrayList<>();
        for (int i = 0; i < width.except().size(); i++) {
            AlongEdge.Except except = width.except().get(i);
            String at = path + "/except/" + i;
            if (onEdge(edge, at, except.fromMm(), except.lengthMm())) {
                EdgeInterval where = new EdgeInterval(except.fromMm(), except.lengthMm());
                if (before.stream().anyMatch(b -> edge.turn().overlap(b, where))) {
                    flaw(at, words(where, edge), "a place of its own: another exception lies there");
                }
                before.add(where);
            }
        }
    }

    private void features(EdgeLine edge, String path, List<Feature> features) {
        List<Feature> placed = new ArrayList<>();
        for (Feature feature : features) {
            String at = path + "/" + feature.id();
            if (feature.depthMm() == null && NEED_DEPTH.contains(feature.kind())) {
                flaw(
                        at + "/depthMm",
                        "missing",
                        "how deep a tool may go beside a " + feature.kind().words());
            }
            if (onEdge(edge, at, feature.fromMm(), feature.lengthMm())) {
                EdgeInterval where = new EdgeInterval(feature.fromMm(), feature.lengthMm());
                for (Feature other : placed) {
                    if (FILLING.contains(feature.kind())
                            && FILLING.contains(other.kind())
                            && edge.turn().overlap(where, new EdgeInterval(other.fromMm(), other.lengthMm()))) {
                        flaw(at, words(where, edge), "a place of its own: " + other.words() + " lies there");
                    }
                }
                placed.add(feature);
            }
        }
    }

    /** The ledge lies under the border; no tool goes deeper than the border hides. */
    private void widths(EdgeLine edge) {
        EdgeProfile<Double> border = DeviceProfile.along(edge, document.border());
        EdgeProfile<Double> ledge = DeviceProfile.along(edge, document.ledge());
        double most = Math.min(edge.widthMm(), edge.heightMm()) / 3;
        for (EdgeProfile.Piece<Double> piece : border.pieces()) {
            if (piece.value() > most) {
                flaw("border", tenth(piece.value()) + " mm", "at most " + tenth(most) + " mm, a third of the width");
            }
        }
        for (EdgeProfile.Piece<Double> piece :
                ledge.combine(border, (l, b) -> l - b).pieces()) {
            if (piece.value() > TOUCH_MM) {
                flaw(
                        "ledge",
                        tenth(piece.value()) + " mm wider than the border at " + words(piece.interval(), edge),
                        "no wider than the border over it");
            }
        }
        for (Feature feature : document.features()) {
            double least = border.over(new EdgeInterval(feature.fromMm(), feature.lengthMm()))
                    .mapToDouble(Double::doubleValue)
                    .min()
                    .orElse(0);
            if (feature.depthMm() != null && feature.depthMm() > least + TOUCH_MM) {
                flaw(
                        "features/" + feature.id() + "/depthMm",
                        feature.depthMm(),
                        "within the border, at most " + tenth(least) + " mm here");
            }
        }
    }

    /** What the layers weigh must leave something for the body, and they must fit into the thickness. */
    private void mass(EdgeLine edge) {
        try {
            HeatStack stack = DeviceProfile.of(document, 1, null).heat();
            if (!(stack.bodyKg() > 0)) {
                flaw(
                        "body/massKg",
                        document.body().massKg(),
                        "more than glass, display and battery weigh together, "
                                + String.format(
                                        Locale.ROOT, "%.3f kg", document.body().massKg() - stack.bodyKg()));
            }
            Layers layers = document.layers();
            double deep = layers.glass().thicknessMm()
                    + (layers.opticalAdhesive() == null
                            ? layers.frontGapMm()
                            : layers.opticalAdhesive().thicknessMm())
                    + layers.display().thicknessMm()
                    + layers.gapMm()
                    + layers.battery().thicknessMm();
            if (deep > document.body().thicknessMm()) {
                flaw("body/thicknessMm", document.body().thicknessMm(), "at least its layers, " + tenth(deep) + " mm");
            }
        } catch (NotAllowed e) {
            flaw("body/" + e.field(), e.value(), e.allowed());
        }
    }

    private static String words(EdgeInterval where, EdgeLine edge) {
        return tenth(where.fromMm()) + " to " + tenth(edge.turn().end(where)) + " mm";
    }

    private static String tenth(double mm) {
        return String.format(Locale.ROOT, "%.1f", mm);
    }
}
