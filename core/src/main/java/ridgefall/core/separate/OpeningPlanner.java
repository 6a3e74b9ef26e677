package ridgefall.core.separate;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.Bench;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.Setup;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;
import ridgefall.core.units.Band;

/**
 * Heat and cut as one plan. For each source of a bench: warmed first as that source warms best or by half of it, or not at
 * all where air goes stretch by stretch; then cut round in the cheapest order, warmed again by what the bench owns. The order
 * is exact; what is weighed about it are a few dozen ways of warming on the likeliest bench, each given up once another is sooner
 * through. What is taken is run again finely, and on benches as widely spread as what nobody knows.
 */
public final class OpeningPlanner {
    /** What a hand pays for each mm that it finds cold. */
    static final double COLD_S_PER_MM = 30;

    /** Nobody leads an outlet round and round an edge for longer. */
    private static final double LONGEST_ROUND_S = 300;

    /** And for air in the other hand all the while: what one soak opens is left alone. */
    static final double BOTH_HANDS_S = 120;

    private static final double[] AIR_C = {120, 200, 300};
    private static final double[] SOAK_SHARES = {1, 0.75, 0.5};
    private static final double BEFORE_AIR_SHARE = 0.6;
    private static final double[] SHORT_OF_CAUTION_K = {2, 5, 10};
    /** Warmed where the pick goes slower than the first, until it goes as fast as the second, mm/s. */
    private static final double[][] SPEEDS_MM_PER_S = {{0.8, 2}, {0.5, 1}, {1, 3}, {1.5, 6}, {0.5, 4}};

    /** What is warmed and is hardly faster to cut after that has come to its limits: it is cut as it is. */
    private static final double WORTH_IT = 1.2;

    /** Warm to the hand and within every limit. */
    private static final int SOLVENT_C = 45;

    private static final double SHORTEST_S = 10;
    private static final int BENCHES = 10;

    /** Of these; with more, a stop is passed or it takes too long on more than one in ten. */
    private static final int MAY_FAIL = (int) Math.round((1 - Opening.KEPT_SHARE) * BENCHES);

    /** Benches followed before it is asked whether more are worth it. */
    private static final int AT_ONCE = 2;

    /** So much later than the soonest at a coarse look it may still be the soonest. */
    private static final double WORTH_A_LOOK = 1.3;

    private static final int LOOKED_AT = 3;

    private final HeatQuestion question;
    private final List<CutPlanner.Round> rounds;
    /** In the cheapest order while all of the bond is alike. */
    private final CutPlanner.Round round;

    private OpeningPlanner(HeatQuestion question) {
        this.question = question;
        this.rounds = CutPlanner.rounds(question, List.of());
        this.round = rounds.get(0);
    }

    /**
     * The best way by each source the bench owns, the best of all first.
     *
     * @param heat how each source warms it
     */
    public static List<Opening> ranked(HeatQuestion question, List<HeatPlan> heat) {
        return new OpeningPlanner(question).ranked(heat);
    }

    /** The best way that begins with one source: the same as the ranking has of it, without the others. */
    public static Opening beginningWith(HeatQuestion question, HeatSource first) {
        return ranked(question, question.planner(HeatPlanner.FULL).ranked(List.of(first)))
                .get(0);
    }

    /**
     * Another school: warmed once, and less, off its source, solvent along the edge, and cut round without a source once it has crept in.
     *
     * @param coldMm so much is cold all the same by the time the blade is there
     */
    public record WithSolvent(HeatPlan heat, double soakSeconds, double cuttingSeconds, double coldMm) {
        public double seconds() {
            return soakSeconds + CREEPS_S + cuttingSeconds;
        }

        public String words() {
            String way = heat.source().name() + " at {C:" + heat.settingC() + "}, {s:" + Math.round(soakSeconds)
                    + "}; off it, solvent along the edge, {s:" + Math.round(CREEPS_S) + "}; ";
            return coldMm > FEW_MM
                    ? way + "but {mm:" + Math.round(coldMm)
                            + "} would be cold before the blade is there: only where it sticks"
                    : way + "then cut it all the way round: {s:" + Math.round(seconds()) + "} in all";
        }
    }

    /** So much is left for a thin blade without a word. */
    private static final double FEW_MM = 20;

    private static final double CREEPS_S = 60 * SeparateFact.CREEPS_MINUTES;

    /** By the source that the front lies on best; nothing where the bench owns none. */
    public static Optional<WithSolvent> withSolvent(HeatQuestion question) {
        List<HeatSource> faces = question.sources().stream()
                .filter(source -> !source.kind().air())
                .toList();
        if (faces.isEmpty()) {
            return Optional.empty();
        }
        HeatPlan heat = question.planner(HeatPlanner.QUICK).best(faces);
        HeatQuestion wet = question.by(question.handNPerMm()
                / question.profile()
                        .factoryAdhesive()
                        .strengthLeft(
                                SeparateFact.CREEPS_MINUTES,
                                question.profile().heat().ledgeWidthMm()));
        CutPlanner.Round round = CutPlanner.round(wet, List.of());
        return Arrays.stream(SOAK_SHARES)
                .map(share -> wholeSteps(heat.soakSeconds() * share))
                .mapToObj(soak -> wetRound(question, round, heat, soak))
                .min(Comparator.comparingDouble(way -> way.seconds() + COLD_S_PER_MM * way.coldMm()));
    }

    private static WithSolvent wetRound(
            HeatQuestion question, CutPlanner.Round round, HeatPlan heat, double soakSeconds) {
        BenchRun bench = BenchRun.firstLook(question, heat.source(), heat.source());
        bench.through(List.of(new Act(heat.source(), heat.setup(), soakSeconds), Act.rest(CREEPS_S)));
        Means means = means(heat.source(), heat.setup());
        List<Cut> cuts = round.cut(BenchWarmth.wet(bench, round.turn(), round.cutting(), means));
        return new WithSolvent(
                heat,
                soakSeconds,
                cuts.stream().mapToDouble(Cut::allSeconds).sum(),
                cuts.stream().mapToDouble(Cut::coldMm).sum());
    }

    /** The way that begins with a source and goes on with it, on the likeliest bench: a plan at once, by which nothing is judged. */
    public static Opening firstLook(HeatQuestion question, HeatPlan heat) {
        OpeningPlanner planner = new OpeningPlanner(question);
        boolean air = heat.source().kind().air();
        Setup setup = air ? heat.source().usual(heat.settingC(), Sweep.STRETCH_BY_STRETCH) : heat.setup();
        Candidate candidate =
                planner.candidate(heat, air ? 0 : wholeSteps(heat.soakSeconds()), means(heat.source(), setup));
        Tried tried = planner.tried(candidate, planner.firstLook(candidate), Double.POSITIVE_INFINITY);
        double seconds = tried.seconds();
        CutPlan cut = CutPlanner.plan(candidate.round(), tried.cuts(), null, air(question, candidate.means()));
        return new Opening(
                heat,
                candidate.soakSeconds() == 0,
                candidate.means(),
                cut,
                tried.coldMm(),
                1,
                Band.of(new double[] {seconds}),
                tried.warmth().bench().nearestLimit());
    }

    /**
     * The way on from where the bench stands: cut on and warmed again as the opening says that it was begun by.
     *
     * @param begun how it was begun, or is to be
     * @param freedInOrder ids of stretches already free, the latest last
     * @param soaks what heat it had, in order; one that runs goes on for as long as it was meant to
     * @param wet with solvent: no source comes near
     */
    public static CutPlan onward(
            HeatQuestion question,
            Opening begun,
            List<String> freedInOrder,
            List<Soak> soaks,
            boolean wet,
            Instant now) {
        CutPlanner.Round round = CutPlanner.round(question, freedInOrder);
        if (wet) {
            BenchRun bench = soaks.isEmpty()
                    ? BenchRun.usual(question, begun.heat().source())
                    : BenchRun.after(question, soaks, now);
            List<Cut> cuts = round.cut(BenchWarmth.wet(bench, round.turn(), round.cutting(), begun.means()));
            return CutPlanner.plan(round, cuts, null, null);
        }
        return CutPlanner.rounds(question, freedInOrder).stream()
                .map(one -> onward(question, begun, one, soaks, now))
                .min(Comparator.comparingDouble(Onward::cost))
                .orElseThrow()
                .plan();
    }

    private record Onward(CutPlan plan, double cost) {
        static Onward of(CutPlanner.Round round, List<Cut> cuts, Warming again, CutPlan.Air air) {
            CutPlan plan = CutPlanner.plan(round, cuts, again, air);
            double coldMm = cuts.stream().mapToDouble(Cut::coldMm).sum();
            return new Onward(plan, plan.totalSeconds() + COLD_S_PER_MM * coldMm + round.besideCuttingS());
        }
    }

    private static Onward onward(
            HeatQuestion question, Opening begun, CutPlanner.Round round, List<Soak> soaks, Instant now) {
        CutPlan.Air air = air(question, begun.means());
        if (BenchRun.forgotten(soaks, now) && !begun.stretches()) {
            Warming all = new Warming(
                    begun.heat().source(), begun.heat().setup(), begun.heat().soakSeconds());
            BenchWarmth warmth = planned(round, BenchRun.usual(question, all.source()), begun.means());
            warmth.first(new Act(all.source(), all.setup(), all.seconds()));
            return Onward.of(round, Cut.warmedFirst(round.cut(warmth), all), all, air);
        }
        BenchRun bench = soaks.isEmpty()
                ? BenchRun.usual(question, begun.heat().source())
                : BenchRun.after(question, soaks, now);
        BenchRun warmer = bench.copy();
        Optional<Warming> again = round.again(planned(round, warmer, begun.means()));
        boolean helps = again.isPresent()
                && round.mmPerSAtPick(bench) < Cutting.SLOWEST_MM_PER_S
                && round.mmPerSAtPick(warmer) > WORTH_IT * Cutting.SLOWEST_MM_PER_S;
        BenchWarmth warmth = planned(round, bench, begun.means())
                .warmedSince(helps ? Double.POSITIVE_INFINITY : BenchRun.offSeconds(soaks, now), airOn(soaks));
        return Onward.of(round, round.cut(warmth), again.orElse(null), air);
    }

    /** As warm as the bond is reckoned to be where the pick goes next, °C; nothing where all is free or it was never warmed. */
    public static Optional<Double> bondAtPickC(HeatQuestion question, CutPlan way, List<Soak> soaks, Instant now) {
        if (soaks.isEmpty() || way.moves().isEmpty()) {
            return Optional.empty();
        }
        CutPlan.Move next = way.moves().get(0);
        EdgeInterval where = way.stretch(next.stretchId()).where();
        double atMm = next.clockwise()
                ? where.fromMm()
                : question.profile().edge().turn().end(where);
        return Optional.of(BenchRun.asOf(question, soaks, now).bondC(atMm));
    }

    private static boolean airOn(List<Soak> soaks) {
        return !soaks.isEmpty()
                && soaks.get(soaks.size() - 1).running()
                && soaks.get(soaks.size() - 1).started().where() != null;
    }

    private static CutPlan.Air air(HeatQuestion question, Means means) {
        return means.air()
                ? new CutPlan.Air(
                        means.source(), means.setup().settingC(), question.glassCautionC() - means.shortOfCautionK())
                : null;
    }

    private static BenchWarmth planned(CutPlanner.Round round, BenchRun bench, Means means) {
        return BenchWarmth.planned(bench, round.turn(), round.cutting(), means, Double.POSITIVE_INFINITY);
    }

    /** What is done first, and what again and again. */
    private record Candidate(HeatPlan heat, double soakSeconds, Means means, CutPlanner.Round round) {
        Candidate by(Means other) {
            return new Candidate(heat, soakSeconds, other, round);
        }

        Candidate by(CutPlanner.Round other) {
            return new Candidate(heat, soakSeconds, means, other);
        }
    }

    /** For a first look: with air beside the pick straight on, else in the order that is cheapest by itself. */
    private Candidate candidate(HeatPlan heat, double soakSeconds, Means means) {
        return new Candidate(heat, soakSeconds, means, means.air() ? rounds.get(rounds.size() - 1) : round);
    }

    private record Tried(Candidate candidate, List<Cut> cuts, BenchWarmth warmth) {
        double coldMm() {
            return cuts.stream().mapToDouble(Cut::coldMm).sum();
        }

        /** One soak and nothing cold: more in the other hand would only cost. */
        private boolean enough() {
            return candidate.soakSeconds() > 0
                    && coldMm() == 0
                    && cuts.stream().allMatch(cut -> cut.warmings().findAny().isEmpty());
        }

        private double air() {
            return cuts.stream().mapToDouble(Cut::airSeconds).sum();
        }

        private double seconds() {
            return candidate.soakSeconds()
                    + cuts.stream().mapToDouble(Cut::allSeconds).sum();
        }

        double cost() {
            return warmth.givenUp()
                    ? Double.POSITIVE_INFINITY
                    : seconds()
                            + candidate.round().besideCuttingS()
                            + COLD_S_PER_MM * coldMm()
                            + (candidate.means().air() && air() > 0 ? BOTH_HANDS_S : 0);
        }
    }

    private List<Opening> ranked(List<HeatPlan> heat) {
        // Sources that differ by name alone open it alike.
        Map<HeatSource, List<HeatPlan>> alike = heat.stream()
                .collect(Collectors.groupingBy(
                        plan -> plan.source().nameless(), LinkedHashMap::new, Collectors.toList()));
        List<Opening> best = alike.values().parallelStream()
                .flatMap(plans -> {
                    Opening opening = best(plans.get(0));
                    return plans.stream().map(plan -> opening.begunOn(plan.source()));
                })
                .sorted(ORDER)
                .toList();
        return best.stream()
                .map(opening -> opening.told(because(opening, best.get(0))))
                .toList();
    }

    private static final Comparator<Opening> ORDER =
            Comparator.comparing((Opening opening) -> !opening.feasible()).thenComparing(Opening::cost);

    /** The best way that begins with a source. */
    private Opening best(HeatPlan heat) {
        double soak = wholeSteps(heat.soakSeconds());
        List<Candidate> begun = heat.source().kind().air()
                ? byAir(heat.source())
                        .flatMap(means -> DoubleStream.of(soak, 0)
                                .filter(s -> s <= LONGEST_ROUND_S)
                                .mapToObj(s -> candidate(heat, s, means)))
                        .toList()
                : again(heat)
                        .flatMap(means -> soaks(soak, means.air()).mapToObj(s -> candidate(heat, s, means)))
                        .toList();
        return new Search().among(begun);
    }

    /**
     * From the soonest of some ways to begin on to its best speeds and soak. What warms it again is one thing with the limits kept
     * on most benches and another with them passed: so the best by each is looked at finely before one is taken.
     */
    private final class Search {
        private final Map<String, Tried> bestBySource = new LinkedHashMap<>();
        private Tried best;

        Opening among(List<Candidate> begun) {
            for (Candidate candidate : begun) {
                weigh(candidate);
                if (best.enough()) {
                    return finely(List.of(best.candidate()));
                }
            }
            atItsSpeeds();
            Tried whole = best;
            for (double share : SOAK_SHARES) {
                weigh(shorter(whole.candidate(), share));
            }
            if (best != whole) {
                atItsSpeeds();
            }
            return finely(bestBySource.values().stream()
                    .filter(tried -> Double.isFinite(tried.cost()))
                    .sorted(Comparator.comparing(Tried::cost))
                    .limit(LOOKED_AT)
                    .map(Tried::candidate)
                    .toList());
        }

        private void weigh(Candidate candidate) {
            Tried tried = tried(
                    candidate,
                    firstLook(candidate),
                    best == null ? Double.POSITIVE_INFINITY : WORTH_A_LOOK * best.cost());
            best = best == null || tried.cost() < best.cost() ? tried : best;
            bestBySource.merge(candidate.means().source().id(), tried, (a, b) -> b.cost() < a.cost() ? b : a);
        }

        private void atItsSpeeds() {
            Candidate from = best.candidate();
            for (double[] speeds : SPEEDS_MM_PER_S) {
                weigh(from.by(from.means().speeds(speeds[0], speeds[1])));
            }
        }
    }

    /** What is as warm as its battery may be leaves nothing to air. */
    private static DoubleStream soaks(double whole, boolean air) {
        return air ? DoubleStream.of(wholeSteps(BEFORE_AIR_SHARE * whole), whole) : DoubleStream.of(whole);
    }

    private Stream<Means> again(HeatPlan heat) {
        Stream<Means> air = question.sources().stream()
                .filter(source -> source.kind().air())
                .flatMap(this::byAir);
        return Stream.concat(Stream.of(means(heat.source(), heat.setup())), air);
    }

    /** Hotter than a hand can hold in check it is set by nobody; but there is always its least. */
    private Stream<Means> byAir(HeatSource source) {
        double leastC = held(source, AIR_C[0]);
        return Arrays.stream(AIR_C)
                .map(c -> held(source, c))
                .distinct()
                .mapToObj(c -> source.usual(c, Sweep.STRETCH_BY_STRETCH))
                .filter(setup -> setup.settingC() == leastC
                        || !BenchRun.firstLook(question, source, source).tooHotToHold(source, setup))
                .map(setup -> means(source, setup));
    }

    private static double held(HeatSource source, double settingC) {
        return Math.max(source.minC(), Math.min(source.maxC(), settingC));
    }

    private static Means means(HeatSource source, Setup setup) {
        return new Means(source, setup, SPEEDS_MM_PER_S[0][0], SPEEDS_MM_PER_S[0][1], SHORT_OF_CAUTION_K[0]);
    }

    private Tried tried(Candidate candidate, BenchRun bench, double giveUpS) {
        BenchWarmth warmth = BenchWarmth.planned(bench, round.turn(), round.cutting(), candidate.means(), giveUpS);
        warmth.first(soak(candidate));
        return new Tried(candidate, candidate.round().cut(warmth), warmth);
    }

    private BenchRun firstLook(Candidate candidate) {
        return BenchRun.firstLook(
                question, candidate.heat().source(), candidate.means().source());
    }

    private static Act soak(Candidate candidate) {
        return new Act(candidate.heat().source(), candidate.heat().setup(), candidate.soakSeconds());
    }

    /**
     * Once more finely: the soonest that keeps every stop, as far from the cautions as it takes. What is given up is followed on
     * no more benches than it takes to see that; what is told in the end, on all.
     */
    private Opening finely(List<Candidate> candidates) {
        List<Tried> looked = new ArrayList<>();
        List<Candidate> left = candidates;
        for (double away : SHORT_OF_CAUTION_K) {
            List<Tried> soonestFirst = left.parallelStream()
                    .map(candidate ->
                            inItsBestOrder(candidate.by(candidate.means().keeping(away))))
                    .sorted(Comparator.comparing(Tried::cost))
                    .toList();
            looked.addAll(soonestFirst);
            left = new ArrayList<>();
            for (Tried tried : soonestFirst) {
                if (Opening.tooCold(tried.coldMm(), round.turn().lengthMm()) || tried.seconds() > Opening.LONGEST_S) {
                    // Further from the cautions that hinders it more.
                    continue;
                }
                List<Outcome> followed = followed(tried, MAY_FAIL);
                if (followed.stream().filter(outcome -> !outcome.kept()).count() > MAY_FAIL) {
                    left.add(tried.candidate());
                } else if (followed.size() == BENCHES && seconds(followed).p90() <= Opening.LONGEST_S) {
                    return opening(tried, followed);
                }
            }
        }
        Tried best = looked.stream().min(Comparator.comparing(Tried::cost)).orElseThrow();
        return opening(best, followed(best, BENCHES));
    }

    private Tried inItsBestOrder(Candidate candidate) {
        return rounds.stream()
                .map(candidate::by)
                .map(one -> tried(one, BenchRun.usual(question, one.heat().source()), Double.POSITIVE_INFINITY))
                .min(Comparator.comparing(Tried::cost))
                .orElseThrow();
    }

    /** On plausible benches, as long as no more of them than some pass a stop or take too long. */
    private List<Outcome> followed(Tried tried, int mayFail) {
        Candidate candidate = tried.candidate();
        double againSeconds = tried.cuts().stream()
                .flatMap(Cut::warmings)
                .mapToDouble(Warming::seconds)
                .average()
                // What was not meant to go cold, and does.
                .orElse(candidate.heat().reheatSeconds());
        List<BenchRun> benches = BenchRun.spread(
                        question, candidate.heat().source(), candidate.means().source(), BENCHES)
                .toList();
        List<Outcome> followed = new ArrayList<>();
        for (int from = 0; from < BENCHES; from += AT_ONCE) {
            benches.subList(from, Math.min(BENCHES, from + AT_ONCE)).parallelStream()
                    .map(bench -> followed(candidate, bench, againSeconds))
                    .forEachOrdered(followed::add);
            if (followed.stream().filter(Outcome::fails).count() > mayFail) {
                break;
            }
        }
        return followed;
    }

    private static double keptShare(List<Outcome> followed) {
        return (double) followed.stream().filter(Outcome::kept).count() / BENCHES;
    }

    private static Band seconds(List<Outcome> followed) {
        return Band.of(followed.stream().mapToDouble(Outcome::seconds).toArray());
    }

    private Opening opening(Tried tried, List<Outcome> followed) {
        Candidate candidate = tried.candidate();
        CutPlan cut = CutPlanner.plan(candidate.round(), tried.cuts(), null, air(question, candidate.means()));
        return new Opening(
                begun(candidate, cut),
                candidate.soakSeconds() == 0,
                candidate.means(),
                cut,
                tried.coldMm(),
                keptShare(followed),
                seconds(followed),
                tried.warmth().bench().nearestLimit());
    }

    private record Outcome(boolean kept, double seconds) {
        boolean fails() {
            return !kept || seconds > Opening.LONGEST_S;
        }
    }

    private Outcome followed(Candidate candidate, BenchRun bench, double againSeconds) {
        Bench inHand = new Followed(
                bench, BenchRun.forItsBattery(question, candidate.heat().source()));
        BenchWarmth warmth =
                BenchWarmth.followed(inHand, round.turn(), round.cutting(), candidate.means(), againSeconds);
        warmth.first(soak(candidate));
        List<Cut> cuts = candidate.round().cut(warmth);
        return new Outcome(
                bench.keptStops(),
                candidate.soakSeconds()
                        + cuts.stream().mapToDouble(Cut::allSeconds).sum());
    }

    /** How its source warms it where it is not left on it for as long as would be best for it alone. */
    private HeatPlan begun(Candidate candidate, CutPlan cut) {
        HeatPlan heat = candidate.heat();
        if (candidate.soakSeconds() == 0) {
            Warming first = cut.moves().get(0).warmFirst();
            return first == null
                    ? inHand(heat.source(), candidate.means().setup(), SHORTEST_S)
                    : inHand(heat.source(), first.setup(), Math.max(SHORTEST_S, first.seconds()));
        }
        return candidate.soakSeconds() == wholeSteps(heat.soakSeconds())
                ? heat
                : heat.shortened(candidate.soakSeconds(), question.roomC());
    }

    /** Air over a stretch, held so far off that the glass keeps its caution: as if it were set to less. */
    private HeatPlan inHand(HeatSource source, Setup setup, double seconds) {
        HeatPlanner planner = question.planner(HeatPlanner.QUICK);
        HeatPlan asSet = planner.within(source, setup, seconds);
        double share = (question.glassCautionC() - question.roomC())
                / (asSet.displayAtPullC().p50() - question.roomC());
        if (share >= 1) {
            return asSet.inHand(setup);
        }
        double lessC = question.roomC() + share * (setup.settingC() - question.roomC());
        return planner.within(source, setup.at(Math.max(source.minC(), lessC)), seconds)
                .inHand(setup);
    }

    private static Candidate shorter(Candidate candidate, double share) {
        double soak = candidate.soakSeconds();
        return new Candidate(
                candidate.heat(), soak == 0 ? 0 : wholeSteps(soak * share), candidate.means(), candidate.round());
    }

    private static double wholeSteps(double seconds) {
        return Math.max(SHORTEST_S, BenchRun.STEP_S * Math.floor(seconds / BenchRun.STEP_S));
    }

    private List<String> because(Opening opening, Opening first) {
        List<String> reasons = new ArrayList<>();
        String firstSource = first.heat().source().name();
        long later = Math.round(opening.seconds() - first.seconds());
        if (!opening.feasible()) {
            reasons.add(hindrance(opening));
            behindShield(opening).ifPresent(reasons::add);
            reasons.add(first.feasible() ? "instead: with " + firstSource : wayOut());
        } else if (opening == first) {
            reasons.add("soonest open within the limits");
        } else if (later < 0) {
            reasons.add("open {s:" + -later + "} sooner than with " + firstSource
                    + ", but both hands are full all the way");
        } else {
            reasons.add(
                    later == 0 ? "as good as " + firstSource : "open {s:" + later + "} later than with " + firstSource);
        }
        if (opening.coldMm() >= 1) {
            reasons.add("{mm:" + Math.round(opening.coldMm()) + "} are cut colder than {C:"
                    + Math.round(round.cutting().coldBelowC()) + "}: a thin blade, and time");
        }
        opening.heat().because().stream()
                .filter(reason -> reason.startsWith("coldest"))
                .forEach(reasons::add);
        return reasons;
    }

    /** Where it is too much for what lies inboard before the edge is warm; what is only slow is slower behind one. */
    private Optional<String> behindShield(Opening opening) {
        HeatSource source = opening.heat().source();
        boolean tooMuch = opening.keptShare() < Opening.KEPT_SHARE || opening.cold();
        if (!tooMuch || !source.kind().air() || source.shielded() || !question.bearsShield()) {
            return Optional.empty();
        }
        Opening with = best(question.planner(HeatPlanner.QUICK).best(List.of(source.behindShield())));
        return Optional.of(with)
                .filter(Opening::feasible)
                .map(behind -> "with a shield on the glass from {mm:" + Math.round(HeatSource.SHIELD_FROM_MM)
                        + "} in, aimed at the frame's side: open in {s:" + Math.round(behind.seconds()) + "}");
    }

    private String hindrance(Opening opening) {
        if (opening.keptShare() < Opening.KEPT_SHARE) {
            return "battery, display or plastics pass a stop on " + Math.round(100 * (1 - opening.keptShare()))
                    + " of 100 benches";
        } else if (opening.cold()) {
            return opening.nearestLimit() + " before all of the bond is warm enough to cut";
        }
        return opening.seconds() > Opening.LONGEST_S
                ? "it takes {s:" + Math.round(opening.seconds()) + "}"
                : "on one bench in ten it takes more than {s:" + Math.round(Opening.LONGEST_S) + "}";
    }

    /** What does without more heat. Solvent never meets a source: it goes on once the device is off it. */
    private String wayOut() {
        Adhesive adhesive = round.profile().factoryAdhesive();
        double ledgeMm = round.profile().heat().ledgeWidthMm();
        double soakedMmPerS = adhesive.speedMmPerS(
                SOLVENT_C,
                round.cutting().handNPerMm(),
                Cutting.FASTEST_MM_PER_S,
                SeparateFact.CREEPS_MINUTES,
                ledgeMm);
        if (soakedMmPerS < Cutting.SLOWEST_MM_PER_S) {
            return "instead: the battery out first where it comes out from behind; else decline it";
        }
        return "instead: warm it to {C:" + SOLVENT_C + "}, off the source, solvent along the edge for {s:"
                + SeparateFact.CREEPS_MINUTES * 60 + "}, then a thin blade at {mm:"
                + Math.round(soakedMmPerS * 10) / 10.0
                + "} a second; " + SeparateStation.creepsWhere(question.profile());
    }
}
