package ridgefall.core.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** One more, or one less, in a new collection that nobody can change; the order of coming is kept. */
public final class Fold {
    private Fold() {}

    public static <T> List<T> plus(List<T> before, T one) {
        List<T> after = new ArrayList<>(before);
        after.add(one);
        return Collections.unmodifiableList(after);
    }

    public static <T> Set<T> plus(Set<T> before, T one) {
        Set<T> after = new LinkedHashSet<>(before);
        after.add(one);
        return Collections.unmodifiableSet(after);
    }

    public static <T> Set<T> minus(Set<T> before, T one) {
        Set<T> after = new LinkedHashSet<>(before);
        after.remove(one);
        return Collections.unmodifiableSet(after);
    }

    public static <K, V> Map<K, V> plus(Map<K, V> before, K key, V value) {
        Map<K, V> after = new LinkedHashMap<>(before);
        after.put(key, value);
        return Collections.unmodifiableMap(after);
    }

    /** The same one where nothing goes. */
    public static <T> List<T> without(List<T> before, Predicate<T> goes) {
        return before.stream().anyMatch(goes)
                ? before.stream().filter(goes.negate()).toList()
                : before;
    }

    public static <V> Map<String, V> without(Map<String, V> before, Predicate<String> goes) {
        if (before.keySet().stream().noneMatch(goes)) {
            return before;
        }
        Map<String, V> after = new LinkedHashMap<>(before);
        after.keySet().removeIf(goes);
        return Collections.unmodifiableMap(after);
    }

    public static <K, V> Map<K, V> minus(Map<K, V> before, K key) {
        Map<K, V> after = new LinkedHashMap<>(before);
        after.remove(key);
        return Collections.unmodifiableMap(after);
    }
}
