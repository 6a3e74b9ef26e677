package ridgefall.core.fault;

import java.util.Map;

/**
 * What a shop goes by where something fails.
 *
 * @param closed how many of its closed cases each cause was, by complaint and cause; shares of a case where it can't be told
 */
public record Faults(FaultTable table, Map<String, Map<String, Double>> closed) {
    public static final Faults USUAL = new Faults(UsualFaults.TABLE, Map.of());

    Map<String, Double> closed(String complaintId) {
        return closed.getOrDefault(complaintId, Map.of());
    }
}
