package ridgefall.core.heat;

import static java.util.stream.Collectors.toList;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.heat.HeatPlan.Influence;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * Weighs every setting of every source against the same spread of plausible benches and takes for each source the one that
 * has all of the bond workable soonest without passing a limit: caution in the likely case, stop on nine of ten benches.
 */
public final class HeatPlanner {
    /** Benches behind a plan that someone acts on. */
    public static final int FULL = 128;
    /** Benches behind a first look. */
    public static final int QUICK = 8;

    private static final double P90 = 1.2816;
    private static final int INFLUENCES = 4;

    private final HeatedDevice device;
    private final int benches;

    HeatPlanner(HeatedDevice device, int benches) {
        this.device = device;
        this.benches = benches;
    }

    /** The best plan of each source, the best of all first. */
    public List<HeatPlan> ranked(List<HeatSource> sources) {
        // Sources that differ by name alone are weighed once.
        Map<HeatSource, List<HeatSource>> alike =
                sources.stream().collect(Collectors.groupingBy(HeatSource::nameless, LinkedHashMap::new, toList()));
        Map<Trial, List<Trial>> weighed = weighed(alike.values());
        Trial first = first(weighed.keySet());
        return weighed.keySet().stream()
                .sorted(ORDER)
                .flatMap(best -> {
                    HeatPlan plan = plan(best, first, weighed.get(best));
                    return alike.get(best.source().nameless()).stream().map(plan::called);
                })
                .toList();
    }

    /** The best plan of all. */
    public HeatPlan best(List<HeatSource> sources) {
        Map<Trial, List<Trial>> weighed = weighed(sources.stream().map(List::of).toList());
        Trial first = first(weighed.keySet());
        return plan(first, first, weighed.get(first));
    }

    /** Each source's best trial, with all that were weighed for it; one of several alike is enough. */
    private Map<Trial, List<Trial>> weighed(Collection<List<HeatSource>> alike) {
        if (alike.isEmpty()) {
            throw new NotAllowed("sources", "none", "at least one heat source on the bench's list");
        }
        Map<Trial, List<Trial>> weighed = new LinkedHashMap<>();
        for (List<HeatSource> sources : alike) {
            List<Trial> trials = trials(sources.get(0));
            weighed.put(first(trials), trials);
        }
        return weighed;
    }

    private HeatPlan plan(Trial best, Trial first, List<Trial> weighed) {
        return best.plan(
                best.because(first, weighed),
                best == first && benches > QUICK ? influences(best) : List.of(),
                weighed.stream().map(t -> t.candidate(best)).toList());
    }

    private static final Comparator<Trial> ORDER =
            Comparator.comparing((Trial t) -> !t.feasible()).thenComparing(Trial::cost);

    private static Trial first(Collection<Trial> trials) {
        return trials.stream().min(ORDER).orElseThrow();
    }

    private List<Trial> trials(HeatSource source) {
        Benches over = new Benches(device, source, source.usual(source.minC(), source.wholeEdge()), benches);
        List<Trial> trials = source.settings()
                .parallel()
                .mapToObj(setting -> Trial.soonest(over, setting))
                .toList();
        // What happens after it is taken off is looked at where it matters: at what would be taken.
        Trial best = first(trials);
        Trial kept = best.keptAfterwards();
        while (kept != best) {
            Trial old = best;
            Trial held = kept;
            trials = trials.stream().map(t -> t == old ? held : t).toList();
            best = first(trials);
            kept = best.keptAfterwards();
        }
        return trials;
    }

    /** The forecast for a source and a setting that someone chose, with the time that suits it. */
    public HeatPlan on(HeatSource source, Setup setup) {
        source.check(setup);
        Trial trial = Trial.soonest(new Benches(device, source, setup, benches), setup.settingC())
                .keptAfterwards();
        return trial.plan(trial.because(trial, List.of()), influences(trial), List.of());
    }

    /** What a recipe from elsewhere would do to this device: source, setting and time as given, 10–3600 s. */
    public HeatPlan judged(HeatSource source, Setup setup, double seconds) {
        Trial trial = given(source, setup, seconds);
        return trial.plan(trial.verdict(), influences(trial), List.of());
    }

    /** The same as part of a larger plan, which judges it. */
    public HeatPlan within(HeatSource source, Setup setup, double seconds) {
        return given(source, setup, seconds).plan(List.of(), List.of(), List.of());
    }

    private Trial given(HeatSource source, Setup setup, double seconds) {
        source.check(setup);
        Allowed.between("seconds", seconds, 10, 900, "s");
        return Trial.asGiven(new Benches(device, source, setup, benches, seconds), setup.settingC(), seconds)
                .keptAfterwards();
    }

    /** What would move the time most, the greatest first: what to measure before anything else. */
    private static List<Influence> influences(Trial trial) {
        return Stream.of(Unknown.values())
                .parallel()
                .map(unknown ->
                        new Influence(unknown.words(), trial.readyWith(unknown, -P90), trial.readyWith(unknown, P90)))
                .sorted(Comparator.comparing(Influence::swing).reversed())
                .limit(INFLUENCES)
                .toList();
    }
}
