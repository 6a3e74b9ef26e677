package ridgefall.core.seal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.seal.SealFact.FlushRead;

/**
 * How far a seated front stands over its rim, place by place, judged by its neighbours: a front that lies a little high all round is
 * thick, one that stands up in one place has something under it there, or does not stick.
 */
public final class FlushGap {
    /** A thumb feels a tenth; over its neighbours by more it comes up there. */
    static final double STANDS_UP_MM = 0.10;

    /** Pressed down by more than that somewhere, glass is bent over the edge of its ledge. */
    static final double SUNK_MM = 0.25;

    /** Higher than that all round, and it catches on every pocket. */
    static final double PROUD_MM = 0.20;

    private static final int LONG_SIDE_MM = 120;

    private FlushGap() {}

    /** What one reading says. */
    public enum Verdict {
        FLUSH("as its neighbours"),
        STANDS_UP(
                "stands up: press there again for {s:30}, with a clamp if the frame is bent, and read again; still so, a cable,"
                        + " a shard or a fold lies under it"),
        SUNK(
                "sunk below its neighbours: do not press there; nothing carries the glass, open it and lay what is missing");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        /** What it is, and what to do about it. */
        public String words() {
            return words;
        }
    }

    /**
     * @param overMm null before it was read
     * @param verdict empty before it was read
     */
    public record Place(double positionMm, Double overMm, Optional<Verdict> verdict) {}

    /** Corners and the middles of sides; on long ones two places between. */
    static List<Double> places(DeviceProfile profile) {
        EdgeLine edge = profile.edge();
        List<Double> places = new ArrayList<>();
        for (EdgeLine.Part part : edge.parts()) {
            EdgeInterval at = part.interval();
            if (!part.landmark().isCorner() && at.lengthMm() > LONG_SIDE_MM) {
                places.add(edge.turn().wrap(at.fromMm() + at.lengthMm() / 3));
                places.add(edge.turn().wrap(at.fromMm() + at.lengthMm() * 2 / 3));
            } else if (at.lengthMm() > 0) {
                places.add(edge.turn().middle(at));
            }
        }
        places.sort(Comparator.naturalOrder());
        return List.copyOf(places);
    }

    /** Every place with what was read last there. */
    public static List<Place> of(DeviceProfile profile, SealState state) {
        List<Double> at = places(profile);
        List<Optional<Double>> read =
                at.stream().map(place -> read(state, place)).toList();
        double median = median(read);
        // What has sunk, or stands up far, is nothing to judge the place beside it by.
        List<Optional<Double>> carried = read.stream()
                .map(it -> it.filter(mm -> Math.abs(mm - median) <= SUNK_MM))
                .toList();
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < at.size(); i++) {
            int here = i;
            Optional<Double> over = read.get(i);
            places.add(new Place(
                    at.get(i), over.orElse(null), over.map(mm -> judged(mm, neighbours(carried, here), median))));
        }
        return places;
    }

    private static Optional<Double> read(SealState state, double placeMm) {
        return state.flush().stream()
                .filter(reading -> Math.abs(reading.positionMm() - placeMm) < 0.5)
                .reduce((earlier, later) -> later)
                .map(FlushRead::overMm);
    }

    /** The two beside it that were read; with fewer there is nothing to judge by but the rim itself. */
    private static double neighbours(List<Optional<Double>> read, int here) {
        int n = read.size();
        List<Double> near = new ArrayList<>();
        for (int step = 1; step < n && near.isEmpty(); step++) {
            read.get((here + step) % n).ifPresent(near::add);
            if ((here + step) % n != (here - step + n) % n) {
                read.get((here - step + n) % n).ifPresent(near::add);
            }
        }
        return near.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }

    private static double median(List<Optional<Double>> read) {
        double[] all = read.stream()
                .flatMap(Optional::stream)
                .mapToDouble(Double::doubleValue)
                .sorted()
                .toArray();
        return DoubleStream.of(all)
                .skip((all.length - 1) / 2)
                .limit(2 - all.length % 2)
                .average()
                .orElse(0);
    }

    /** Two places side by side that both stand up are told by the median of all. */
    static Verdict judged(double overMm, double neighboursMm, double medianMm) {
        double usual = Math.min(neighboursMm, medianMm);
        if (overMm - usual > STANDS_UP_MM + 1e-9 || overMm > PROUD_MM + 1e-9) {
            return Verdict.STANDS_UP;
        }
        return overMm < Math.max(neighboursMm, medianMm) - SUNK_MM - 1e-9 ? Verdict.SUNK : Verdict.FLUSH;
    }

    /** "bottom-left corner" or how a hand finds it on a side. */
    public static String words(DeviceProfile profile, double positionMm) {
        Landmark at = profile.edge().landmarkAt(positionMm);
        return at.isCorner() ? profile.placeName(at) : PlaceWords.at(profile, positionMm);
    }
}
