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
public record EdgeProfile<T>(double perimeterMm, List<Piece<T>> pieces) {

    public record Piece<T>(EdgeInterval interval, T value) {}

    private static final double TOUCH_MM = 1e-6;

    public EdgeProfile {
        pieces = List.copyOf(pieces);
        double sum = pieces.stream().mapToDouble(p -> p.interval().lengthMm()).sum();
        if (Math.abs(sum - perimeterMm) > TOUCH_MM) {
            throw new IllegalArgumentException("pieces make " + sum + " mm of an edge of " + perimeterMm + " mm");
        }
    }

    /** The same value all round. */
    public static <T> EdgeProfile<T> uniform(double perimeterMm, T value) {
        return new EdgeProfile<>(perimeterMm, List.of(new Piece<>(new EdgeInterval(0, perimeterMm), value)));
    }

    /** A copy that has {@code value} on {@code where} and its old values elsewhere. */
    public EdgeProfile<T> with(EdgeInterval where, T value) {
        EdgeInterval rest = where.complement(perimeterMm);
        Stream<Piece<T>> kept = pieces.stream()
                .flatMap(piece -> rest.intersection(piece.interval(), perimeterMm).stream()
                        .map(part -> new Piece<>(part, piece.value())));
        return ofPieces(
                perimeterMm,
                Stream.concat(kept, Stream.of(new Piece<>(where, value))).toList());
    }

    public T at(double positionMm) {
        return pieces.stream()
                .filter(piece -> piece.interval().contains(positionMm, perimeterMm))
                .findFirst()
                .orElse(pieces.get(pieces.size() - 1))
                .value();
    }

    public <R> EdgeProfile<R> map(Function<T, R> change) {
        return new EdgeProfile<>(
                perimeterMm,
                pieces.stream()
                        .map(piece -> new Piece<>(piece.interval(), change.apply(piece.value())))
                        .toList());
    }

    /** Both profiles in one, cut wherever either changes. */
    public EdgeProfile<T> combine(EdgeProfile<T> other, BinaryOperator<T> join) {
        List<Piece<T>> joined = new ArrayList<>();
        for (Piece<T> mine : pieces) {
            for (Piece<T> theirs : other.pieces) {
                for (EdgeInterval shared : mine.interval().intersection(theirs.interval(), perimeterMm)) {
                    joined.add(new Piece<>(shared, join.apply(mine.value(), theirs.value())));
                }
            }
        }
        return ofPieces(perimeterMm, joined);
    }

    /** The values met on an interval, in no particular order. */
    public Stream<T> over(EdgeInterval interval) {
        return pieces.stream()
                .filter(piece -> piece.interval().overlaps(interval, perimeterMm))
                .map(Piece::value);
    }

    private static <T> EdgeProfile<T> ofPieces(double perimeterMm, List<Piece<T>> pieces) {
        List<Piece<T>> ordered = new ArrayList<>(pieces);
        ordered.sort(
                (a, b) -> Double.compare(a.interval().fromMm(), b.interval().fromMm()));
        return new EdgeProfile<>(perimeterMm, ordered);
    }
}
