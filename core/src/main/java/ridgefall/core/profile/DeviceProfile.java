package ridgefall.core.profile;

import java.util.List;
import java.util.Map;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.EdgeProfile;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * All the bench needs to know of one device. Everything on the perimeter is given by edge position.
 *
 * @param edgeNames what each straight edge is called at the bench, by what is found on it
 * @param borderMm the opaque band of the glass over the ledge
 * @param hinge the edge whose cables stay attached; freed last, the front opens on it
 * @param greatestOpeningDeg angle the cables allow
 */
public record DeviceProfile(
        String id,
        int version,
        String name,
        String words,
        EdgeLine edge,
        Map<Landmark, String> edgeNames,
        HeatStack heat,
        HeatLimits limits,
        Adhesive factoryAdhesive,
        double borderMm,
        EdgeProfile<Double> ledgeMm,
        double openingRadiusMm,
        String entrySeam,
        Landmark hinge,
        int greatestOpeningDeg,
        double frontMassKg,
        List<EdgeFeature> features,
        List<Function> functions,
        List<Part> connectors,
        List<CarryOver> carryOvers,
        List<Part> covers,
        List<Part> partChecks,
        List<Repair> repairs,
        int screws) {

    /** Whether the front is loose or seated: some functions work in only one of the two. */
    public enum Seating {
        OPEN,
        CLOSED
    }

    /** A function on the list asked at intake, before sealing and at hand-over. */
    public record Function(String id, String words, List<Seating> testableWhen) {}

    /** A plug, a film or liner, or a check, by name; {@code hint} says how or why. */
    public record Part(String id, String words, String hint) {}

    /** A part that must move to the new front; {@code paired} when bound to the main board. */
    public record CarryOver(String id, String words, String hint, boolean irreplaceable, boolean paired) {}

    /** A repair that can be agreed, and what becomes of the features that hang on the old front. */
    public record Repair(String id, String words, String keeps, String loses) {}

    public DeviceProfile {
        Allowed.text("id", id, 60);
        Allowed.between("version", version, 1, 100_000, "");
        Allowed.between("borderMm", borderMm, 1, 60, "mm");
        for (EdgeProfile.Piece<Double> piece : ledgeMm.pieces()) {
            Allowed.between("ledgeMm", piece.value(), 0.3, borderMm, "mm, no wider than the border");
        }
        edgeNames = Map.copyOf(edgeNames);
        features = List.copyOf(features);
        functions = List.copyOf(functions);
        connectors = List.copyOf(connectors);
        carryOvers = List.copyOf(carryOvers);
        covers = List.copyOf(covers);
        partChecks = List.copyOf(partChecks);
        repairs = List.copyOf(repairs);
    }

    /** Features that share some of an interval. */
    public List<EdgeFeature> featuresOn(EdgeInterval interval) {
        return features.stream()
                .filter(f -> f.where().overlaps(interval, edge.lengthMm()))
                .toList();
    }

    /** Names an edge or a corner by what is found there, never by left or right. */
    public String placeName(Landmark landmark) {
        if (!landmark.isCorner()) {
            return edgeNames.get(landmark);
        }
        Landmark[] all = Landmark.values();
        String before = edgeNames.get(all[landmark.ordinal() - 1]);
        String after = edgeNames.get(all[(landmark.ordinal() + 1) % all.length]);
        return "corner of " + before + " and " + after;
    }

    public Repair repair(String repairId) {
        return repairs.stream()
                .filter(r -> r.id().equals(repairId))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "repairId",
                        repairId,
                        "one of "
                                + String.join(
                                        ", ", repairs.stream().map(Repair::id).toList())));
    }
}
