package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import ridgefall.core.heat.EdgePieces.Piece;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan.Candidate;
import ridgefall.core.heat.HeatPlan.Influence;
import ridgefall.core.heat.HeatPlan.Point;
import ridgefall.core.heat.HeatPlan.Stretch;
import ridgefall.core.material.Cutting;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.Band;
import ridgefall.core.units.Source;

/** One source at one setting for one time, weighed over all benches. */
final class Trial {
    /** Soaks longer than just ready are weighed at whole half minutes, up to this much longer. */
    private static final double LONGEST_WAIT_S = 240;

    private static final double WAIT_STEP_S = 30;

    /** Warmed for less it is not worth the way; nobody goes on for longer. */
    private static final double SHORTEST_AGAIN_S = 30;

    private static final double LONGEST_THROUGH_S = 4500;

    /** Finding the bond still cold costs this much. */
    private static final double COLD_COSTS_S = 600;

    private static final double LEAST_SHARE = 0.5;
    private static final int CURVE_POINTS = 60;

    private final Benches benches;
    private final double settingC;
    private final double workableC;
    private final double[] readyAt;
    private final double latest;
    private final Latest last;
    /** Null where the time is the trial's own to choose. */
    private final Double givenSeconds;

    private final double soak;
    private final double share;
    private final double through;
    private final double lasting;
    private List<Stretch> stretches;

    /** @param last when something first comes too near a limit, and what */
    private Trial(Benches benches, double settingC, Latest last, Double givenSeconds) {
        this.benches = benches;
        this.settingC = settingC;
        this.workableC = benches.device.workableFromC();
        this.readyAt = times(Track::bond, workableC);
        this.last = last;
        this.latest = last.step() * Benches.STEP_S;
        this.givenSeconds = givenSeconds;
        this.soak = givenSeconds == null ? soonestThrough(Band.of(readyAt).p90()) : givenSeconds;
        this.through = through(soak);
        this.share = Arrays.stream(readyAt).filter(t -> t <= soak).count() / (double) readyAt.length;
        this.lasting = workableFor(benches.usual, benches.usuallyOff(Benches.steps(soak)));
    }

    /** Longer on the source is sooner through where the warmth then lasts the longer, or the pick goes the faster. */
    private double soonestThrough(double ready) {
        double best = Math.min(ready, latest);
        double longest = Math.min(latest, ready + LONGEST_WAIT_S);
        if (longest <= best) {
            return best;
        }
        double through = through(best);
        for (double longer = WAIT_STEP_S * Math.ceil(ready / WAIT_STEP_S); longer <= longest; longer += WAIT_STEP_S) {
            double then = through(longer);
            if (then < through) {
                best = longer;
                through = then;
            }
        }
        return best;
    }

    /** On the usual bench: soaked, cut all round, and warmed again as often as it has gone cold, s. */
    private double through(double seconds) {
        Benches.One usual = benches.usual;
        int dwells = benches.meeting.dwells();
        double[] off = benches.usuallyOff(Benches.steps(seconds)).bond();
        double riseK = usual.riseK(settingC);
        double again = benches.source.handlingSeconds() + againSeconds(seconds, off[0] * riseK, riseK);
        double left = benches.device.stack().perimeterMm() / dwells;
        double through = seconds;
        for (int step = 0; left > 0; step++) {
            double mmPerS =
                    benches.device.cutting().mmPerS(benches.roomC + riseK * off[Math.min(step, off.length - 1)]);
            if (mmPerS < Cutting.SLOWEST_MM_PER_S && step == 0) {
                return dwells * (seconds + left / Cutting.SLOWEST_MM_PER_S);
            }
            if (mmPerS < Cutting.SLOWEST_MM_PER_S) {
                through += again;
                step = -1;
            } else {
                through += Math.min(Benches.STEP_S, left / mmPerS);
                left -= mmPerS * Benches.STEP_S;
            }
        }
        return through * dwells;
    }

    /** From cold back to where it was, as an exponential towards the source would take; an estimate. */
    private double againSeconds(double seconds, double pullK, double sourceK) {
        double coldK = coldC() - benches.roomC;
        double again =
                seconds * Math.log((sourceK - coldK) / (sourceK - pullK)) / Math.log(sourceK / (sourceK - pullK));
        return Math.max(SHORTEST_AGAIN_S, again);
    }

    private static Latest onTheSource(Benches benches, double settingC) {
        return Latest.onTheSource(
                benches.steps, benches.device.limits(), (limit, step) -> benches.at(limit.curve(), step, settingC));
    }

    static Trial soonest(Benches benches, double settingC) {
        return new Trial(benches, settingC, onTheSource(benches, settingC), null);
    }

    static Trial asGiven(Benches benches, double settingC, double seconds) {
        return new Trial(benches, settingC, onTheSource(benches, settingC), seconds);
    }

    /**
     * This trial, if a device that is taken off at the latest moment also keeps the limits afterwards: heat on its way
     * from the glass goes on into the battery. Else one that has to come off sooner.
     */
    Trial keptAfterwards() {
        Latest kept = last.keptAfterwards(benches.device.limits(), benches.roomC, courses(), Band::of);
        return kept == last ? this : new Trial(benches, settingC, kept, givenSeconds);
    }

    private List<Latest.Course> courses() {
        return benches.all.stream().map(one -> one.course(settingC)).toList();
    }

    HeatSource source() {
        return benches.source;
    }

    boolean feasible() {
        return (share >= LEAST_SHARE || slow()) && soak > 0 && through <= LONGEST_THROUGH_S;
    }

    /** Not what is called workable within the limits, but warm enough nearly everywhere to be cut slowly. */
    private boolean slow() {
        int pull = Benches.steps(soak);
        return share < LEAST_SHARE && benches.at(Track::bond, pull, settingC).p10() >= coldC();
    }

    /**
     * Seconds until it is open, plus what a bench pays for finding the bond still cold; where it will not do, how far the bond
     * stays too cold, K.
     */
    double cost() {
        if (!feasible()) {
            return workableC
                    - benches.at(Track::bond, Benches.steps(soak), settingC).p50();
        }
        return through + COLD_COSTS_S * (1 - share);
    }

    private double[] times(Function<Track, double[]> curve, double celsius) {
        return benches.all.stream()
                .mapToDouble(one -> one.reaches(curve.apply(one.track), celsius, settingC))
                .toArray();
    }

    /** Seconds from the pull on until the coldest stretch is to be warmed again. */
    private double workableFor(Benches.One one, Track cooling) {
        return Benches.staysAbove(cooling.bond(), (coldC() - benches.roomC) / one.riseK(settingC));
    }

    private double coldC() {
        return benches.device.coldBelowC();
    }

    double readyWith(Unknown unknown, double normals) {
        double[] away = new double[Unknown.count()];
        away[unknown.ordinal()] = normals;
        Benches.One one = benches.one(away);
        return one.reaches(one.track.bond(), workableC, settingC);
    }

    private Setup setup() {
        return benches.setup.at(settingC);
    }

    HeatPlan plan(List<String> because, List<Influence> influences, List<Candidate> weighed) {
        int pull = Benches.steps(soak);
        List<Off> off = benches.few.parallelStream().map(one -> off(one, pull)).toList();
        double[] lasts = off.stream()
                .mapToDouble(one -> workableFor(one.bench(), one.cooling()))
                .toArray();
        int points = Math.min(CURVE_POINTS, benches.steps);
        List<Point> curve = IntStream.rangeClosed(0, points)
                .map(i -> i * benches.steps / points)
                .mapToObj(step -> new Point(
                        step * Benches.STEP_S,
                        benches.at(Track::bond, step, settingC),
                        benches.at(Track::battery, step, settingC),
                        benches.at(Track::display, step, settingC)))
                .toList();
        return new HeatPlan(
                source(),
                setup(),
                workableC,
                soak,
                benches.meeting.dwells(),
                share,
                Band.of(readyAt),
                latest,
                benches.at(Track::bond, pull, settingC),
                benches.at(Track::battery, pull, settingC),
                benches.at(Track::display, pull, settingC),
                benches.at(Track::plastics, pull, settingC),
                Band.of(lasts),
                reheatSeconds(pull, off),
                source().preheatSeconds(settingC, benches.roomC),
                feasible(),
                because,
                source().measured() == null ? Source.COMPUTED : Source.MEASURED_HERE,
                benches.all.size(),
                curve,
                stretches(),
                influences,
                weighed);
    }

    /** A bench once it was taken off, and how it cools. */
    private record Off(Benches.One bench, Track cooling) {}

    private static Off off(Benches.One one, int pull) {
        return new Off(one, one.cooling(one.pulled(pull), Benches.COOLING));
    }

    /**
     * Once the coldest stretch has gone cold: how long until it is as warm as it was on the usual bench, if nine of ten
     * benches then still keep the limits; else as long as they do.
     */
    private double reheatSeconds(int pull, List<Off> off) {
        double wanted = benches.usual.track.bond()[pull] * 0.98;
        double enough =
                Benches.crossing(again(off(benches.usual, pull), pull).track().bond(), wanted);
        List<Latest.Course> agains =
                off.parallelStream().map(one -> again(one, pull)).toList();
        Latest kept = new Latest(Math.max(1, pull), null)
                .keptAfterwards(benches.device.limits(), benches.roomC, agains, Band::of);
        return Math.min(Math.max(SHORTEST_AGAIN_S, Math.min(enough, soak)), kept.step() * Benches.STEP_S);
    }

    /** The same bench on the source again after the coldest stretch has gone cold. */
    private Latest.Course again(Off off, int pull) {
        Benches.One one = off.bench();
        int coldAt = Math.min(Benches.steps(workableFor(one, off.cooling())), Benches.COOLING);
        Exposure air = Exposure.stillAir(one.ring.pieces());
        double[] cold = one.look.state(off.cooling(), (a, b) -> air, coldAt);
        Track track = one.look.run(cold, one.over, Benches.STEP_S, Math.max(1, pull), 0);
        return new Latest.Course(track, one.look, one.over, one.riseK(settingC));
    }

    private List<Stretch> stretches() {
        if (stretches == null) {
            stretches = stretches(Benches.steps(soak));
        }
        return stretches;
    }

    private List<Stretch> stretches(int pull) {
        Benches.One usual = benches.usual;
        List<Piece> pieces = benches.device.pieces().pieces();
        double rise = usual.riseK(settingC);
        double workable = (workableC - benches.roomC) / rise;
        double[][] warming = bonds(usual, usual.ring.atRoom(), usual.over, benches.steps);
        Exposure air = Exposure.stillAir(pieces.size());
        double[][] cooling = bonds(usual, usual.pulled(pull), (a, b) -> air, Benches.COOLING);
        return IntStream.range(0, pieces.size())
                .mapToObj(i -> {
                    Piece piece = pieces.get(i);
                    return new Stretch(
                            piece.fromMm(),
                            piece.lengthMm(),
                            benches.roomC + rise * warming[i][pull],
                            Benches.crossing(warming[i], workable),
                            Benches.staysAbove(cooling[i], (coldC() - benches.roomC) / rise),
                            heldBack(piece),
                            benches.meeting.targets().has(i));
                })
                .toList();
    }

    private static double[][] bonds(Benches.One one, double[] from, Exposure.Over over, int steps) {
        double[][] bonds = new double[one.ring.pieces()][steps + 1];
        for (int i = 0; i < bonds.length; i++) {
            bonds[i][0] = one.ring.bond(from, i);
        }
        int[] step = {0};
        one.ring.run(from, 0, over, Benches.STEP_S, steps, (t, state) -> {
            step[0]++;
            for (int i = 0; i < bonds.length; i++) {
                bonds[i][step[0]] = one.ring.bond(state, i);
            }
        });
        return bonds;
    }

    private String heldBack(Piece piece) {
        if (source().kind().air()) {
            return null;
        }
        if (piece.cracked()) {
            return "cracked glass touches badly";
        }
        boolean noticeable = piece.gapMm() > 0.05;
        return noticeable ? "lifted {mm:" + tenth(piece.gapMm()) + "} by the bend" : null;
    }

    /** Where the edge is coldest at the pull, if something holds it back there. */
    private String coldest() {
        List<Stretch> stretches = stretches();
        int coldest = IntStream.range(0, stretches.size())
                .filter(i -> benches.meeting.targets().has(i))
                .reduce((a, b) ->
                        stretches.get(a).bondAtPullC() <= stretches.get(b).bondAtPullC() ? a : b)
                .orElse(0);
        String why = stretches.get(coldest).why();
        return why == null
                ? ""
                : " at the " + benches.device.pieces().pieces().get(coldest).place() + ": " + why;
    }

    /**
     * Why it is taken, or why another is.
     *
     * @param weighed on the same source
     */
    List<String> because(Trial first, List<Trial> weighed) {
        List<String> reasons = new ArrayList<>();
        if (feasible() && slow()) {
            double bondC =
                    benches.at(Track::bond, Benches.steps(soak), settingC).p50();
            reasons.add("slowly: within the limits the bond gets to {C:" + tenth(bondC) + "}, cut at {mm:"
                    + tenth(benches.device.cutting().mmPerS(bondC)) + "} a second");
        }
        if (this == first && feasible()) {
            reasons.add("soonest within the limits");
            double longer = soak - Band.of(readyAt).p90();
            if (longer > SHORTEST_AGAIN_S) {
                reasons.add("{s:" + Math.round(longer)
                        + "} longer than just soft: then it stays warm for the way round and the pick goes faster");
            }
        } else if (!feasible()) {
            reasons.add(hindrance());
            weighed.stream()
                    .filter(other -> tooCold() && other.hotterLikewise(this) && !other.tooCold())
                    .min(Comparator.comparing(other -> other.settingC))
                    .ifPresent(hotter -> reasons.add("at {C:" + tenth(hotter.settingC) + "} " + hotter.hindrance()));
            reasons.add(wayOut());
        } else {
            double later = through - first.through;
            if (later >= 1) {
                reasons.add("open {s:" + Math.round(later) + "} later than with "
                        + first.source().name());
            }
            if (share < first.share - 0.02) {
                reasons.add("ready on " + Math.round(share * 100) + " of 100 benches only");
            }
            if (lasting < first.lasting - Benches.STEP_S) {
                reasons.add("cold again after {s:" + Math.round(lasting) + "}");
            }
            if (reasons.isEmpty()) {
                reasons.add("as good as " + first.source().name());
            }
        }
        String coldest = coldest();
        if (!coldest.isEmpty()) {
            reasons.add("coldest" + coldest);
        }
        return reasons;
    }

    private boolean tooCold() {
        return Double.isInfinite(Band.of(readyAt).p50());
    }

    private boolean hotterLikewise(Trial other) {
        return settingC > other.settingC && benches == other.benches;
    }

    /** Why this setting does not do: the limit that comes first, or the cold. */
    private String hindrance() {
        double likely = Band.of(readyAt).p50();
        if (tooCold()) {
            return "too cold: the bond never gets to {C:" + tenth(workableC) + "}";
        }
        HeatLimits limits = benches.device.limits();
        Limit binding = last.binding();
        if (share >= LEAST_SHARE && soak > 0) {
            return "cold again after {s:" + Math.round(lasting) + "}, too soon to get round";
        } else if (binding == null) {
            return "the bond is not ready on enough benches";
        }
        return binding.words() + " may pass {C:" + Math.round(limitC(binding, limits)) + "} {s:"
                + Math.max(0, Math.round(likely - latest)) + "} before the bond is ready";
    }

    /** What would do where this does not, as far as anybody can say without trying. */
    private String wayOut() {
        boolean air = source().kind().air();
        if (share >= LEAST_SHARE) {
            return "instead: air in the hand, warmed and cut a hand's width at a time";
        } else if (air && (tooCold() || last.binding() == Limit.DISPLAY)) {
            return "instead: warm it through on a plate or pad first, and air only to warm a stretch again";
        } else if (last.binding() == Limit.BATTERY) {
            return "instead: the battery out first where it comes out from behind; else solvent, a thin blade and time";
        } else if (last.binding() == null) {
            return "instead: a hotter source, or a pad that gives";
        }
        return "instead: solvent, a thin blade and time";
    }

    private double limitC(Limit limit, HeatLimits limits) {
        int next = Math.min(benches.steps, Benches.steps(latest) + 1);
        return benches.at(limit.curve(), next, settingC).p50() > limit.cautionC(limits)
                ? limit.cautionC(limits)
                : limit.stopC(limits);
    }

    /** What this time at this setting does to the device, good and bad. */
    List<String> verdict() {
        List<String> says = new ArrayList<>();
        HeatLimits limits = benches.device.limits();
        int pull = Benches.steps(soak);
        long ready = Math.round(share * 100);
        Band bond = benches.at(Track::bond, pull, settingC);
        says.add("the coldest bond gets to {C:" + tenth(bond.p50()) + "} ({C:" + tenth(bond.p10()) + "} to {C:"
                + tenth(bond.p90()) + "}); it is workable from {C:" + tenth(workableC) + "}");
        says.add("the bond is workable on " + ready + " of 100 benches by then"
                + (ready < 100 && !coldest().isEmpty() ? "; coldest" + coldest() : ""));
        List<Latest.Course> courses = courses();
        List<Track> after = Latest.cooling(courses, pull);
        for (Limit limit : Limit.values()) {
            double stopC = limit.stopC(limits);
            double[] peaks = Latest.peaksC(
                    limit, benches.roomC, courses, pull, Latest.stillRisingK(limit, courses, pull, after));
            Band peak = Band.of(peaks);
            double over = overCautionSeconds(limit);
            if (peak.p90() > stopC) {
                long passing = Math.round(
                        100.0 * Arrays.stream(peaks).filter(c -> c > stopC).count() / peaks.length);
                says.add(limit.words() + " passes its stop of {C:" + Math.round(stopC) + "} on " + passing
                        + " of 100 benches");
            } else if (over > 0) {
                says.add(limit.words() + " is over its caution of {C:" + Math.round(limit.cautionC(limits))
                        + "} for {s:" + Math.round(over) + "}");
            } else if (peak.p50() > limit.cautionC(limits)) {
                says.add(limit.words() + " gets over its caution of {C:" + Math.round(limit.cautionC(limits))
                        + "} after it is taken off");
            }
        }
        if (says.size() == 2) {
            says.add("battery, display and plastics keep their limits");
        }
        return says;
    }

    private double overCautionSeconds(Limit limit) {
        Benches.One usual = benches.usual;
        double from =
                usual.reaches(limit.curve().apply(usual.track), limit.cautionC(benches.device.limits()), settingC);
        return Math.max(0, soak - from);
    }

    Candidate candidate(Trial chosen) {
        String why;
        if (this == chosen) {
            why = feasible() ? "soonest within the limits" : "least bad: " + hindrance();
        } else if (!feasible()) {
            why = hindrance();
        } else {
            why = share < chosen.share - 0.02
                    ? "less sure to be ready when a limit is near"
                    : "slower than the chosen setting";
        }
        if (benches.setup.sweep() == Sweep.STRETCH_BY_STRETCH) {
            why = "stretch by stretch: " + why;
        } else if (benches.setup.sweep() == Sweep.ROUND) {
            why = "round the border: " + why;
        }
        return new Candidate(source().name(), setup(), soak, share, this == chosen, why);
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
