package ridgefall.core.gate;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;

/** Whether a step's turn has come: nothing before it is unanswered, answered badly or under way. */
final class Due {
    private Due() {}

    /**
     * What an answer comes too early for: the first step before it that is not over. Steps that ask the same of different things
     * (two functions, two stretches) have no order among themselves; nor has what was asked before the bench begins, nor a bad
     * answer, which is never too early, nor one that corrects another.
     *
     * @param steps in working order
     */
    static Optional<Hold> early(Fact fact, List<Step> steps) {
        return asking(fact, steps)
                .filter(asked -> !fact.atAnyTime())
                .filter(asked -> asked.answer() == null && !asked.optional() && !atDesk(asked.station()))
                .filter(asked -> !bad(fact, asked))
                .flatMap(asked -> steps.stream()
                        .takeWhile(step -> step != asked)
                        .filter(step -> step.open() && step.lead() != Step.Lead.PROPOSE && !alike(step, asked))
                        .findFirst())
                .map(first -> new Hold(
                        first.id(),
                        first.station(),
                        before(first),
                        first.answer() == null || Checks.overridable(first)));
    }

    private static String before(Step first) {
        return "Before it: " + first.title() + (first.answer() == null ? "" : ", " + first.answer());
    }

    private static boolean atDesk(Station station) {
        return station.compareTo(Station.PARTS) <= 0;
    }

    /** The step that a fact answers: where several could be meant, one that is open. */
    private static Optional<Step> asking(Fact fact, List<Step> steps) {
        List<Step> exactly = offering(steps, choice -> same(choice, fact));
        List<Step> all = exactly.isEmpty() ? offering(steps, choice -> ofKind(choice.fact(), fact)) : exactly;
        return all.stream().filter(Step::open).findFirst().or(() -> all.stream().findFirst());
    }

    private static List<Step> offering(List<Step> steps, Predicate<Choice> which) {
        return steps.stream()
                .filter(step -> step.choices().stream().anyMatch(which))
                .toList();
    }

    private static boolean bad(Fact fact, Step asked) {
        return asked.choices().stream().anyMatch(choice -> choice.tone() == Step.Tone.FAIL && same(choice, fact));
    }

    /** What lies over what inside is the strip room's to say. */
    private static boolean alike(Step earlier, Step asked) {
        return earlier.station() == asked.station()
                && earlier.answer() == null
                && (asked.station() == Station.STRIP || ofKind(earlier.choices(), asked.choices()));
    }

    private static boolean ofKind(List<Choice> one, List<Choice> other) {
        return !one.isEmpty()
                && !other.isEmpty()
                && ofKind(one.get(0).fact(), other.get(0).fact());
    }

    private static boolean ofKind(Fact one, Fact other) {
        return one.getClass() == other.getClass() && Objects.equals(kind(one), kind(other));
    }

    /** What tells apart facts of one class that answer quite different questions. */
    private static Object kind(Fact fact) {
        if (fact instanceof JobFact.FunctionTested tested) {
            return tested.phase();
        } else if (fact instanceof JobFact.CheckAnswered check) {
            int of = check.checkId().indexOf('-');
            return of < 0 ? check.checkId() : check.checkId().substring(0, of);
        }
        return fact instanceof JobFact.TimerStarted started ? started.kind() : "";
    }

    /** Whether a fact is a choice's own, whatever was filled in. */
    private static boolean same(Choice choice, Fact fact) {
        Set<String> filledIn = choice.asks().stream().map(Step.Ask::field).collect(Collectors.toSet());
        return choice.fact().getClass() == fact.getClass()
                && Stream.of(fact.getClass().getRecordComponents())
                        .filter(component -> !filledIn.contains(component.getName()))
                        .allMatch(component -> Objects.equals(value(component, choice.fact()), value(component, fact)));
    }

    private static Object value(RecordComponent component, Fact fact) {
        try {
            return component.getAccessor().invoke(fact);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(fact + " is no public record", e);
        }
    }
}
