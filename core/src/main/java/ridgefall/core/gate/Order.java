package ridgefall.core.gate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.job.Condition;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;

/**
 * The order of what is still to do, from how it lies there. What comes first is what is listed first, unless something has to be done
 * before it: what makes what it needs, or what could not be done any more once it has spoilt that. What nobody makes a hand sees to. Each
 * step is taken to be answered well; after a bad answer it is asked anew, from there.
 *
 * @param circle steps that wait for something that waits for them; empty for a right device
 */
public record Order(List<Turn> turns, List<Step> circle) {
    /**
     * @param why it comes while another station is at work, as a reader is told; null where none is
     * @param seeTo what has to be so and no step makes so
     */
    public record Turn(Step step, String why, List<Condition> seeTo) {
        /** The step with what its reader has to know about its turn. */
        Step told() {
            String first =
                    seeTo.stream().map(need -> need.kind().words()).distinct().collect(Collectors.joining(", "));
            String words = Stream.of(why, first.isEmpty() ? null : "only once " + first, step.hint())
                    .filter(Objects::nonNull)
                    .collect(Collectors.joining("; "));
            return why == null && first.isEmpty() ? step : step.hinted(words);
        }
    }

    /**
     * @param stands what is so now
     * @param listed what there is to do, the earlier first where nothing else decides
     * @param again what was done and is done again where something needs it
     */
    static Order of(Set<Condition> stands, List<Step> listed, List<Step> again) {
        return new Walk(stands, listed, again).order();
    }

    /** The same for somebody who is at work at a station already, and need not be told why. */
    Order at(Station station) {
        return new Order(
                turns.stream()
                        .map(turn ->
                                turn.step().station() == station ? new Turn(turn.step(), null, turn.seeTo()) : turn)
                        .toList(),
                circle);
    }

    /** What is due now, as its reader is told; empty where nothing is left to do. */
    Optional<Step> due() {
        return turns.stream().findFirst().map(Turn::told);
    }

    /** All that is listed, with what is still to do at a station in the order in which it comes due; what is due again is open once more. */
    List<Step> arrange(List<Step> listed) {
        Optional<Step> due = due();
        List<Step> open = listed.stream().filter(Step::open).toList();
        Map<Station, Iterator<Step>> inTurn = turns.stream()
                .map(turn -> turn == turns.get(0) ? turn.told() : turn.step())
                .filter(step -> open.stream().anyMatch(one -> one.id().equals(step.id())))
                .collect(Collectors.groupingBy(
                        Step::station, Collectors.collectingAndThen(Collectors.toList(), List::iterator)));
        return listed.stream()
                .map(step -> step.open() ? inTurn.get(step.station()).next() : step)
                .map(step -> due.filter(one -> one.id().equals(step.id())).orElse(step))
                .toList();
    }

    /** Goes through the steps once, as a hand would that answers each of them well. */
    private static final class Walk {
        private final Set<Condition> now;
        private final List<Step> left;
        private final List<Step> again;
        private final List<Turn> turns = new ArrayList<>();
        private final List<Step> circle = new ArrayList<>();

        Walk(Set<Condition> stands, List<Step> listed, List<Step> again) {
            this.again = new ArrayList<>(again);
            now = new HashSet<>(stands);
            left = new ArrayList<>(listed);
        }

        Order order() {
            while (!left.isEmpty()) {
                Step first = left.get(0);
                Map<Step, Step> askedFor = new IdentityHashMap<>();
                Optional<Step> due = first(first, askedFor);
                if (due.isEmpty()) {
                    circle.add(first);
                }
                Step next = due.orElse(first);
                turns.add(new Turn(
                        next,
                        why(next, askedFor),
                        missing(next)
                                .sorted(Comparator.comparing(Condition::kind))
                                .toList()));
                left.remove(next);
                again.remove(next);
                now.removeAll(next.ties().spoils());
                now.addAll(next.ties().makes());
            }
            return new Order(List.copyOf(turns), List.copyOf(circle));
        }

        /**
         * What has to be done first so that a step can be done; the step itself where nothing has. Empty where they wait for each other.
         *
         * @param askedFor for each step that was come by, the one that it has to be done before; the first for itself
         */
        private Optional<Step> first(Step step, Map<Step, Step> askedFor) {
            askedFor.putIfAbsent(step, step);
            List<Step> before = before(step);
            return before.isEmpty()
                    ? Optional.of(step)
                    : before.stream()
                            .filter(other -> askedFor.putIfAbsent(other, step) == null)
                            .flatMap(other -> first(other, askedFor).stream())
                            .findFirst();
        }

        /** What makes what a step needs, and what could not be done any more after it. */
        private List<Step> before(Step step) {
            Set<Condition> missing = missing(step).collect(Collectors.toSet());
            Set<Condition> spoilt = step.ties().spoils().stream()
                    .filter(now::contains)
                    .filter(need -> !step.ties().makes().contains(need))
                    .collect(Collectors.toSet());
            if (missing.isEmpty() && spoilt.isEmpty()) {
                return List.of();
            }
            Stream<Step> listed = left.stream()
                    .filter(other -> other != step)
                    .filter(other -> other.ties().makes().stream().anyMatch(missing::contains)
                            || other.ties().needs().stream()
                                    .anyMatch(need -> spoilt.contains(need) && (can(other) || !madeAgain(need))));
            Stream<Step> onceMore = again.stream()
                    .filter(other ->
                            other.ties().makes().stream().anyMatch(need -> missing.contains(need) && !madeAgain(need)))
                    .filter(this::canBeDoneAgain);
            return Stream.concat(listed, onceMore).toList();
        }

        private boolean canBeDoneAgain(Step step) {
            return missing(step)
                    .allMatch(need -> madeAgain(need)
                            || again.stream()
                                    .anyMatch(other -> other.ties().makes().contains(need) && canBeDoneAgain(other)));
        }

        private Stream<Condition> missing(Step step) {
            return step.ties().needs().stream().filter(need -> !now.contains(need));
        }

        private boolean can(Step step) {
            return now.containsAll(step.ties().needs());
        }

        private boolean madeAgain(Condition need) {
            return left.stream().anyMatch(step -> step.ties().makes().contains(need));
        }

        /** By the nearest step of another station that waits for it, where the first of all is not of its own. */
        private static String why(Step next, Map<Step, Step> askedFor) {
            Step made = next;
            Step asking = askedFor.getOrDefault(next, next);
            while (asking.station() == next.station() && askedFor.get(asking) != asking) {
                made = asking;
                asking = askedFor.get(asking);
            }
            if (asking.station() == next.station()) {
                return null;
            }
            Set<Condition> needed = made.ties().needs();
            return asking.ties().spoils().stream()
                    .filter(needed::contains)
                    .findFirst()
                    .map(need -> "as long as " + need.kind().words())
                    .orElse("before \"" + asking.title().split("[,:]")[0] + "\"");
        }
    }
}
