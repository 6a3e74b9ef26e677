package ridgefall.core.edge;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A value that is constant piece by piece along the whole edge line, such as the width of the ledge. Pieces lie
 * clockwise, without gaps or overlaps, and together make one turn.
 */
public record EdgeProfile<T>(Turn turn, List<Piece<T>> pieces) {

    public record Piece<T>(EdgeInterval interval, T value) {}

    private static final double TOUCH_MM = 1e-6;

    public EdgeProfile {
        pieces = List.copyOf(pieces);
        double sum = pieces.stream().mapToDouble(p -> p.interval().lengthMm()).sum();
        if (Math.abs(sum - turn.lengthMm()) > TOUCH_MM) {
            throw new IllegalArgumentException("pieces make " + sum + " mm of an edge of " + turn.lengthMm() + " mm");
        }
    }

    /** The same value all round. */
    public static <T> EdgeProfile<T> uniform(Turn turn, T value) {
        return new EdgeProfile<>(turn, List.of(new Piece<>(turn.whole(), value)));
    }

    /** A copy that has {@code value} on {@code where} and its old values elsewhere. */
    public EdgeProfile<T> with(EdgeInterval where, T value) {
        EdgeInterval rest = turn.rest(where);
        Stream<Piece<T>> kept = pieces.stream()
                .flatMap(piece ->
                        turn.shared(rest, piece.interval()).stream().map(part -> new Piece<>(part, piece.value())));
        return ofPieces(
                turn, Stream.concat(kept, Stream.of(new Piece<>(where, value))).toList());
    }

    public T at(double positionMm) {
        return pieces.stream()
                .filter(piece -> turn.contains(piece.interval(), positionMm))
                .findFirst()
                .orElse(pieces.get(pieces.size() - 1))
                .value();
    }

    public <R> EdgeProfile<R> map(Function<T, R> change) {
        return new EdgeProfile<>(
                turn,
                pieces.stream()
                        .map(piece -> new Piece<>(piece.interval(), change.apply(piece.value())))
                        .toList());
    }

    /** Both profiles in one, cut wherever either changes. */
    public EdgeProfile<T> combine(EdgeProfile<T> other, BinaryOperator<T> join) {
        List<Piece<T>> joined = new ArrayList<>();
        for (Piece<T> mine : pieces) {
            for (Piece<T> theirs : other.pieces) {
                for (EdgeInterval shared : turn.shared(mine.interval(), theirs.interval())) {
                    joined.add(new Piece<>(shared, join.apply(mine.value(), theirs.value())));
                }
            }
        }
        return ofPieces(turn, joined);
    }

    /** The values met on an interval, in no particular order. */
    public Stream<T> over(EdgeInterval interval) {
        return pieces.stream()
                .filter(piece -> turn.overlap(piece.interval(), interval))
                .map(Piece::value);
    }

    private static <T> EdgeProfile<T> ofPieces(Turn turn, List<Piece<T>> pieces) {
        List<Piece<T>> ordered = new ArrayList<>(pieces);
        ordered.sort(
                (a, b) -> Double.compare(a.interval().fromMm(), b.interval().fromMm()));
        return new EdgeProfile<>(turn, ordered);
    }
}
