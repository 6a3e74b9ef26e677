package ridgefall.core.decide;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.decide.Decision.FateLine;
import ridgefall.core.decide.Decision.Option;
import ridgefall.core.decide.Decision.Verdict;
import ridgefall.core.decide.Decision.Worth;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Given;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Build;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Money;

/** From what was found to what could be done about it, at which price and risk. Pure: offers and counts are given. */
public final class Diagnosis {
    /** Above this share of a replacement's price a repaired device is rarely what the owner wants. */
    private static final BigDecimal DOUBTFUL_SHARE = new BigDecimal("0.70");

    /** Extra hands for whatever a part does not bring. */
    private static final int MINUTES_PER_MISSING = 6;

    private final DeviceProfile profile;
    private final JobState state;
    private final Set<Symptom> symptoms;

    private Diagnosis(DeviceProfile profile, JobState state) {
        this.profile = profile;
        this.state = state;
        this.symptoms = symptoms(profile, state);
    }

    /** How often finished jobs of this device and grade went wrong at this shop. */
    public record Outcomes(Grade grade, int jobs, int breaks, int comebacks) {}

    /**
     * @param offers parts that fit this device and variant, of any kind
     * @param replacement what another device like this costs; null when nobody said
     */
    public static Decision decide(
            DeviceProfile profile,
            JobState state,
            List<Offer> offers,
            List<Outcomes> outcomes,
            Terms terms,
            Money replacement) {
        Diagnosis diagnosis = new Diagnosis(profile, state);
        List<Option> options = profile.repairs().stream()
                .map(repair -> diagnosis.option(repair, offers, outcomes, terms))
                .sorted(Comparator.comparing((Option o) -> !o.cures())
                        .thenComparing(o -> o.quotes().isEmpty())
                        .thenComparing(o -> o.quotes().isEmpty()
                                ? BigDecimal.valueOf(o.repair().activeMinutes())
                                : o.quotes().get(0).total().amount()))
                .toList();
        return new Decision(
                diagnosis.symptoms,
                options,
                diagnosis.notes(),
                worth(options.stream().filter(Option::cures).findFirst(), replacement));
    }

    private static Set<Symptom> symptoms(DeviceProfile profile, JobState state) {
        Set<Symptom> found = EnumSet.noneOf(Symptom.class);
        found.addAll(IntakeState.of(state).symptoms());
        IntakeState.of(state)
                .front()
                .filter(front -> front != FrontCondition.INTACT)
                .ifPresent(front -> found.add(Symptom.CRACKED_GLASS));
        for (ProfileDocument.Function function : profile.functions()) {
            if (function.failsAs() != null && answer(state, function.id()) == Answer.FAIL) {
                found.add(function.failsAs());
            }
        }
        return found;
    }

    private static Answer answer(JobState state, String functionId) {
        return state.function(Phase.BEFORE, functionId).map(Given::answer).orElse(null);
    }

    /** The repairs of a device, those first that leave the least of what was noted. */
    static List<Repair> likeliestFirst(DeviceProfile profile, JobState state) {
        Set<Symptom> symptoms = symptoms(profile, state);
        return profile.repairs().stream()
                .sorted(Comparator.comparing(repair -> left(symptoms, repair).size()))
                .toList();
    }

    private static Set<Symptom> left(Set<Symptom> symptoms, Repair repair) {
        Set<Symptom> left = EnumSet.noneOf(Symptom.class);
        left.addAll(symptoms);
        left.removeAll(repair.cures());
        return left;
    }

    private Option option(Repair repair, List<Offer> offers, List<Outcomes> outcomes, Terms terms) {
        Set<Symptom> left = left(symptoms, repair);
        boolean cures = left.isEmpty() && !symptoms.isEmpty();
        List<Quote> quotes = Arrays.stream(Grade.values())
                .flatMap(grade -> parts(repair, grade, offers).stream()
                        .map(parts -> quote(repair, grade, parts, outcomes, terms)))
                .sorted(Comparator.comparing(Quote::total))
                .toList();
        return new Option(
                repair,
                cures,
                because(repair, left),
                quotes,
                repair.fates().stream()
                        .map(fate -> new FateLine(
                                profile.function(fate.functionId())
                                        .map(ProfileDocument.Function::words)
                                        .orElse(fate.functionId()),
                                fate,
                                answer(state, fate.functionId()) == Answer.PASS))
                        .toList(),
                repair.oldFront().words());
    }

    /** The parts of a repair with its first part in a grade, supplies in whatever grade there is; empty if one lacks. */
    private static Optional<List<Offer>> parts(Repair repair, Grade grade, List<Offer> offers) {
        List<Offer> chosen = new ArrayList<>();
        for (PartKind kind : repair.parts()) {
            Optional<Offer> best = offers.stream()
                    .filter(offer -> offer.kind() == kind && (offer.grade() == grade || !chosen.isEmpty()))
                    // The same grade first, then what lies on the shelf, then the cheaper.
                    .min(Comparator.comparing((Offer offer) -> offer.grade() != grade)
                            .thenComparing(offer -> offer.inStock() == 0)
                            .thenComparing(Offer::price));
            if (best.isEmpty()) {
                return Optional.empty();
            }
            chosen.add(best.get());
        }
        return Optional.of(chosen);
    }

    private Quote quote(Repair repair, Grade grade, List<Offer> parts, List<Outcomes> outcomes, Terms terms) {
        List<Brings> missing = repair.needs().stream()
                .filter(need -> parts.stream().noneMatch(part -> part.brings().contains(need)))
                .toList();
        Outcomes counted =
                outcomes.stream().filter(o -> o.grade() == grade).findFirst().orElse(new Outcomes(grade, 0, 0, 0));
        return Quote.of(
                grade,
                parts,
                repair.activeMinutes() + MINUTES_PER_MISSING * missing.size(),
                repair.waitingMinutes(),
                missing.stream()
                        .map(need -> "no " + need.words() + ": " + need.otherwise())
                        .toList(),
                Chance.of(breakPrior(), counted.jobs(), counted.breaks()),
                Chance.of(comebackPrior(grade), counted.jobs(), counted.comebacks()),
                terms);
    }

    /** Weak priors of common practice: clips are safe, glued glass is not, shattered glass least. */
    private double breakPrior() {
        if (!profile.bonded()) {
            return 0.03;
        }
        double prior = profile.document().front().build() == Build.FUSED ? 0.05 : 0.07;
        return IntakeState.of(state).front().orElse(FrontCondition.INTACT) == FrontCondition.SHATTERED
                ? 2 * prior
                : prior;
    }

    private static double comebackPrior(Grade grade) {
        return switch (grade) {
            case REFURBISHED_ORIGINAL -> 0.03;
            case PREMIUM_COPY -> 0.06;
            case PLAIN_COPY -> 0.14;
            case GENERIC -> 0.05;
        };
    }

    private List<String> because(Repair repair, Set<Symptom> left) {
        List<String> because = new ArrayList<>();
        if (symptoms.isEmpty()) {
            because.add("nothing is noted yet that it could cure");
        }
        left.forEach(symptom -> because.add("does not cure: " + symptom.words().toLowerCase(Locale.ROOT)));
        boolean pictureLives = answer(state, "picture") == Answer.PASS && !symptoms.contains(Symptom.DEAD_PICTURE);
        Build build = profile.document().front().build();
        switch (repair.parts().get(0)) {
            case GLASS_WITH_TOUCH, TOUCH_GLASS -> {
                if (pictureLives && left.isEmpty() && !repair.parts().contains(PartKind.PANEL)) {
                    because.add("the picture is sound: the panel stays, the glass alone is replaced");
                }
                if (repair.parts().contains(PartKind.PANEL)) {
                    because.add("the panel is a part of its own behind the glass: both are replaced");
                }
                if (repair.parts().contains(PartKind.TOUCH_GLASS)) {
                    because.add("the new glass is bonded to the old panel with optical liquid");
                }
            }
            case PANEL -> because.add("the panel is a part of its own behind the glass");
            case FUSED_FRONT -> {
                if (build == Build.FUSED) {
                    because.add("glass and panel are one piece here: they are replaced together");
                } else {
                    because.add("replaces glass and panel together");
                }
            }
            case CLIPPED_FRONT -> because.add("clips and a gasket hold it: no heat, no adhesive");
            default -> {}
        }
        profile.pairedParts()
                .forEach(part -> because.add("paired: " + part.words() + ", "
                        + switch (part.method()) {
                            case COPY_DATA -> "its data must be copied from the old front";
                            case MOVE_BOARD -> "its board must move to the new front";
                        }));
        return because;
    }

    private List<String> notes() {
        List<String> notes = new ArrayList<>();
        if (symptoms.contains(Symptom.PALE_PATCH)) {
            notes.add(
                    "The pale patch is the touch layer letting go: it stays visible and spreads as the glass comes off.");
        }
        if (symptoms.contains(Symptom.DEAD_PICTURE) || symptoms.contains(Symptom.FLICKER)) {
            notes.add("Try the plugs first: a dark or looping picture is a plug not home before it is a bad part.");
        }
        if (symptoms.contains(Symptom.GHOST_TOUCH)) {
            notes.add("Test with the charger off: a bad charger makes touches of its own.");
        }
        for (ProfileDocument.Function function : profile.functions()) {
            Answer answer = answer(state, function.id());
            if (answer == Answer.FAIL && function.failsAs() == null) {
                notes.add(function.words() + " failed at intake and no front will cure it: say so now.");
            } else if (answer == Answer.CANNOT_TEST) {
                notes.add(function.words() + " could not be tested: nobody can say later whether it worked.");
            }
        }
        IntakeState.of(state)
                .bends()
                .forEach(
                        bend -> notes.add("Bent by {mm:" + bend.gapMm() + "} at the " + profile.placeName(bend.corner())
                                + ": straighten before the new front goes on, or it breaks."));
        return notes;
    }

    private static Worth worth(Optional<Option> best, Money replacement) {
        Optional<Quote> quote = best.flatMap(option -> option.quotes().stream().findFirst());
        if (best.isEmpty()) {
            return new Worth(Verdict.UNKNOWN, replacement, null, "no repair here cures all that was noted");
        }
        if (quote.isEmpty()) {
            return new Worth(Verdict.UNKNOWN, replacement, null, "no price is known for the part");
        }
        if (replacement == null) {
            return new Worth(Verdict.UNKNOWN, null, null, "nobody said what another one costs");
        }
        Quote q = quote.get();
        // Everything but the part stays: so much may the part cost before another device is cheaper.
        Money breakEven = replacement.minus(q.total().minus(q.parts()));
        Verdict verdict = q.total().compareTo(replacement) >= 0
                ? Verdict.NOT_WORTH_IT
                : q.total().compareTo(replacement.times(DOUBTFUL_SHARE)) > 0 ? Verdict.DOUBTFUL : Verdict.WORTH_IT;
        return new Worth(
                verdict,
                replacement,
                breakEven,
                switch (verdict) {
                    case NOT_WORTH_IT -> "another one costs no more than the repair";
                    case DOUBTFUL -> "the repair costs more than two thirds of another one";
                    default -> "the repair costs clearly less than another one";
                });
    }
}
