package ridgefall.core.job;

import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/**
 * The facts of one room, and what is known before the first of them.
 *
 * @param facts a sealed interface whose permitted classes are all of them
 * @param hears what a fact of another room changes in what is known here
 */
public record Family<S>(Class<? extends Fact.Of<S>> facts, S nothing, BiFunction<S, Entry, S> hears) {
    /** One that no other room's facts concern. */
    public Family(Class<? extends Fact.Of<S>> facts, S nothing) {
        this(facts, nothing, (known, entry) -> known);
    }

    /** The records of this family. */
    public List<Class<?>> members() {
        return leaves(facts).toList();
    }

    private static Stream<Class<?>> leaves(Class<?> type) {
        return type.isSealed() ? Arrays.stream(type.getPermittedSubclasses()).flatMap(Family::leaves) : Stream.of(type);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Family<?> family && family.facts == facts;
    }

    @Override
    public int hashCode() {
        return facts.hashCode();
    }
}
