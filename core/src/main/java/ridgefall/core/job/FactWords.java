package ridgefall.core.job;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.profile.DeviceProfile;

/**
 * What facts need to know to say themselves.
 *
 * @param titles of steps and of what else a lead may sign off, by id
 * @param sources what the bench calls what it warms with, by id
 * @param timers what clocks are about, by kind
 * @param facts of the job, by number
 */
public record FactWords(
        DeviceProfile profile,
        Map<String, String> titles,
        Map<String, String> sources,
        Map<String, String> timers,
        Map<Long, Fact> facts) {

    /**
     * @param steps of the job's course: facts that answer one are named by its title
     * @param journal of the job: what was taken back is named by what it was
     */
    public static FactWords of(
            DeviceProfile profile,
            List<Step> steps,
            List<? extends StationRoom> rooms,
            List<TimerKind> clocks,
            Map<String, String> sources,
            List<Entry> journal) {
        Map<String, String> titles = new HashMap<>();
        rooms.forEach(room -> titles.putAll(room.signOffs()));
        Map<String, String> timers = clocks.stream().collect(Collectors.toMap(TimerKind::id, TimerKind::words));
        steps.forEach(step -> titles.putIfAbsent(step.id(), step.title()));
        return new FactWords(
                profile, titles, sources, timers, journal.stream().collect(Collectors.toMap(Entry::seq, Entry::fact)));
    }

    public String say(Fact fact) {
        return fact.words(this);
    }

    /** What was recorded under a number. */
    public String say(long seq) {
        return say(facts.get(seq));
    }

    public String title(String stepId) {
        return titles.getOrDefault(stepId, stepId);
    }

    /** As it is called at the bench; of a source that is gone, what the journal calls it. */
    public String source(String sourceId) {
        return sources.getOrDefault(sourceId, sourceId.replace('-', ' '));
    }

    /** What a clock of this kind is about. */
    public String timer(String kind) {
        return timers.getOrDefault(kind, kind.toLowerCase(Locale.ROOT));
    }

    public static String because(String reason) {
        return reason == null || reason.isBlank() ? "" : ", because " + reason;
    }

    /** What the device's book calls one of its own; the id where it has none of that name. */
    public static <T> String name(String id, Stream<T> all, Function<T, String> idOf, Function<T, String> words) {
        return all.filter(t -> idOf.apply(t).equals(id)).findFirst().map(words).orElse(id);
    }
}
