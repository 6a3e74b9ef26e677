package ridgefall.core.fault;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import ridgefall.core.fault.FaultTable.Cause;

/** How likely each cause is, by its id; sums to 1. */
public record Belief(Map<String, Double> of) {
    /** As many cases as the table's own numbers count for beside those that were closed here. */
    public static final double TABLE_CASES = 12;

    /** @param closed how many closed cases each cause was, by its id */
    static Belief before(List<Cause> causes, Map<String, Double> closed) {
        double weights = causes.stream().mapToDouble(Cause::weight).sum();
        Map<String, Double> of = new LinkedHashMap<>();
        causes.forEach(cause ->
                of.put(cause.id(), TABLE_CASES * cause.weight() / weights + closed.getOrDefault(cause.id(), 0.0)));
        return new Belief(of).normal();
    }

    /** After something was seen that is so likely under each cause (Bayes). */
    Belief given(Map<String, Double> likelihood) {
        Map<String, Double> now = new LinkedHashMap<>();
        of.forEach((cause, chance) -> now.put(cause, chance * likelihood.getOrDefault(cause, 1.0)));
        return new Belief(now).normal();
    }

    /** Of seeing what is so likely under each cause. */
    double chance(Map<String, Double> likelihood) {
        return of.entrySet().stream()
                .mapToDouble(one -> one.getValue() * likelihood.get(one.getKey()))
                .sum();
    }

    private Belief normal() {
        double sum = of.values().stream().mapToDouble(Double::doubleValue).sum();
        return new Belief(of.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, one -> one.getValue() / sum, (a, b) -> a, LinkedHashMap::new)));
    }

    public List<Map.Entry<String, Double>> likeliestFirst() {
        return of.entrySet().stream()
                .sorted(Comparator.comparing(Map.Entry<String, Double>::getValue)
                        .reversed())
                .toList();
    }
}
