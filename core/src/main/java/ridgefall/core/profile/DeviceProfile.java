package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeProfile;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.profile.ProfileDocument.AlongEdge;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.profile.ProfileDocument.Feature;
import ridgefall.core.profile.ProfileDocument.Holding;
import ridgefall.core.profile.ProfileDocument.Layers;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ProfileDocument.Variant;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * One version of a device in one variant, ready for the stations: everything on the perimeter is on the edge line, and
 * what the variant changes is in place.
 *
 * @param document what the book says, with the variant's lists merged in
 * @param variantId null where the device has no variants or none is named
 * @param borderMm the opaque band of the glass over the ledge
 * @param stripOrder in which order screws and plugs come out
 */
public record DeviceProfile(
        ProfileDocument document,
        int version,
        String variantId,
        EdgeLine edge,
        HeatStack heat,
        EdgeProfile<Double> borderMm,
        EdgeProfile<Double> ledgeMm,
        List<EdgeFeature> features,
        StripOrder stripOrder) {

    /**
     * @param variantId one of the document's, or null
     * @throws NotAllowed at the first thing that is wrong; {@link ProfileCheck} names them all
     */
    public static DeviceProfile of(ProfileDocument document, int version, String variantId) {
        Allowed.between("version", version, 1, 100_000, "");
        ProfileDocument merged = merged(document, variantId);
        EdgeLine edge = merged.outline().edge();
        EdgeProfile<Double> ledge = along(edge, merged.ledge());
        return new DeviceProfile(
                merged,
                version,
                variantId,
                edge,
                stack(merged, edge),
                along(edge, merged.border()),
                ledge,
                merged.features().stream().map(DeviceProfile::feature).toList(),
                StripOrder.of(merged));
    }

    /** By what names it: plans are looked up by their devices with every tap, and a document is long. */
    @Override
    public int hashCode() {
        return Objects.hash(document.id(), version, variantId);
    }

    /** The same device with functions that its profile does not name. */
    public DeviceProfile doing(List<ProfileDocument.Function> more) {
        return more.isEmpty()
                ? this
                : new DeviceProfile(
                        document.as(Variant.doing(more)),
                        version,
                        variantId,
                        edge,
                        heat,
                        borderMm,
                        ledgeMm,
                        features,
                        stripOrder);
    }

    /** The same device with a cell that bears less heat. */
    public DeviceProfile withTiredBattery() {
        ProfileDocument tired = document.as(Variant.doing(List.of()), limits().withTiredBattery());
        return new DeviceProfile(tired, version, variantId, edge, heat, borderMm, ledgeMm, features, stripOrder);
    }

    static ProfileDocument merged(ProfileDocument d, String variantId) {
        if (variantId == null) {
            return d;
        }
        Variant v = d.variant(variantId)
                .orElseThrow(() -> new NotAllowed(
                        "variantId",
                        variantId,
                        "one of "
                                + String.join(
                                        ", ",
                                        d.variants().stream().map(Variant::id).toList())));
        return d.as(v);
    }

    private static HeatStack stack(ProfileDocument d, EdgeLine edge) {
        Layers layers = d.layers();
        return new HeatStack(
                edge.areaMm2(),
                edge.lengthMm(),
                d.body().thicknessMm(),
                d.body().massKg(),
                d.ledge().everywhereMm(),
                layers.glass(),
                layers.adhesive(),
                layers.ledge(),
                layers.opticalAdhesive(),
                layers.frontGapMm(),
                layers.display(),
                layers.gapMm(),
                layers.battery(),
                layers.batteryShare(),
                layers.batteryToBackWPerM2K(),
                layers.displayToBackWPerM2K(),
                layers.rimShare(),
                layers.bodyJPerKgK(),
                layers.rimToBackWPerMK());
    }

    static EdgeProfile<Double> along(EdgeLine edge, AlongEdge width) {
        EdgeProfile<Double> profile = EdgeProfile.uniform(edge.turn(), width.everywhereMm());
        for (AlongEdge.Except except : width.except()) {
            profile = profile.with(new EdgeInterval(except.fromMm(), except.lengthMm()), except.valueMm());
        }
        return profile;
    }

    private static EdgeFeature feature(Feature f) {
        return new EdgeFeature(
                f.id(),
                f.kind(),
                f.words(),
                new EdgeInterval(f.fromMm(), f.lengthMm()),
                f.depthMm() == null ? EdgeFeature.ANY_DEPTH_MM : f.depthMm(),
                f.hazard(),
                f.consequence(),
                f.keepsTapeOff());
    }

    public String id() {
        return document.id();
    }

    /** With its variant, as it is called at the bench. */
    public String name() {
        return document.variant(variantId)
                .map(v -> document.name() + ", " + v.words())
                .orElse(document.name());
    }

    public String words() {
        return document.words();
    }

    /** Names one version in one variant; what was computed for it stays true for ever. */
    public String key() {
        return id() + "@" + version + "/" + variantId;
    }

    public boolean bonded() {
        return document.front().holding() == Holding.BONDED;
    }

    public HeatLimits limits() {
        return document.limits();
    }

    public Adhesive factoryAdhesive() {
        return document.front().adhesive();
    }

    public Landmark hinge() {
        return document.front().hinge();
    }

    public int greatestOpeningDeg() {
        return document.front().greatestOpeningDeg();
    }

    public String entrySeam() {
        String words = document.front().seamWords();
        return document.front().seam().words() + (words == null || words.isBlank() ? "" : ", " + words);
    }

    /** What of the face its opaque border leaves to see. */
    public Area screen() {
        double borderMm = document.border().everywhereMm();
        return new Area(borderMm, borderMm, edge.widthMm() - 2 * borderMm, edge.heightMm() - 2 * borderMm);
    }

    public double frontMassKg() {
        return document.front().massKg();
    }

    public double openingRadiusMm() {
        return document.openingRadiusMm();
    }

    public List<ProfileDocument.Function> functions() {
        return document.functions();
    }

    /** In the order they come off: the lowest cable of the stack first. */
    public List<Connector> connectors() {
        List<Connector> ordered = new ArrayList<>(document.connectors());
        ordered.sort((a, b) -> Integer.compare(a.stackOrder(), b.stackOrder()));
        return ordered;
    }

    public List<CarryOver> carryOvers() {
        return document.carryOvers();
    }

    public List<PairedPart> pairedParts() {
        return document.pairedParts();
    }

    /** Whether a function hangs on a board that moves: a reader proves it, not a hand. */
    public boolean provenAtReader(String functionId) {
        return pairedParts().stream()
                .anyMatch(part -> part.method() == PairingMethod.MOVE_BOARD && functionId.equals(part.functionId()));
    }

    public List<Cover> covers() {
        return document.covers();
    }

    public List<Repair> repairs() {
        return document.repairs();
    }

    /** How many screws come out before the front is off; empty holes of later layers are not among them. */
    public int screws() {
        return stripOrder.screws().size();
    }

    public long hiddenScrews() {
        return document.screws().stream().filter(Screw::hidden).count();
    }

    /** Features that share some of an interval. */
    public List<EdgeFeature> featuresOn(EdgeInterval interval) {
        return features.stream()
                .filter(f -> edge.turn().overlap(f.where(), interval))
                .toList();
    }

    public double leastBorderMm(EdgeInterval interval) {
        return borderMm.over(interval)
                .mapToDouble(Double::doubleValue)
                .min()
                .orElse(document.border().everywhereMm());
    }

    /** Names an edge or a corner by what is found there, never by left or right. */
    public String placeName(Landmark landmark) {
        Map<Landmark, String> names = document.edgeNames();
        if (!landmark.isCorner()) {
            return names.get(landmark);
        }
        Landmark[] all = Landmark.values();
        String before = names.get(all[landmark.ordinal() - 1]);
        String after = names.get(all[(landmark.ordinal() + 1) % all.length]);
        return "corner of " + before + " and " + after;
    }

    public Optional<ProfileDocument.Function> function(String functionId) {
        return functions().stream().filter(f -> f.id().equals(functionId)).findFirst();
    }

    public Repair repair(String repairId) {
        return repairs().stream()
                .filter(r -> r.id().equals(repairId))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "repairId",
                        repairId,
                        "one of "
                                + String.join(
                                        ", ", repairs().stream().map(Repair::id).toList())));
    }
}
