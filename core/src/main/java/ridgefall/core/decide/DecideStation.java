package ridgefall.core.decide;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.units.NotAllowed;

public final class DecideStation implements StationRoom {
    public static final String REPAIR = "decide.repair";

    private final Supplier<String> currency;

    /** @param currency what the shop reckons in */
    public DecideStation(Supplier<String> currency) {
        this.currency = currency;
    }

    @Override
    public Station station() {
        return Station.DECIDE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Choice> choices = new ArrayList<>();
        String shops = currency.get();
        for (Repair repair : Diagnosis.likeliestFirst(profile, state)) {
            choices.add(Step.go(
                    repair.words(),
                    new DecideFact.RepairAgreed(repair.id(), null, BigDecimal.ZERO, shops, "?"),
                    new Ask("price", "Price agreed, " + shops, Ask.Kind.NUMBER, null, null),
                    agreedBy(state)));
        }
        choices.add(goesBack(state));
        Step step = Step.open(
                REPAIR,
                Station.DECIDE,
                "Repair agreed with the owner",
                "a quote of the table brings its price along",
                choices.toArray(Choice[]::new));
        if (DecideState.of(state).notWorthIt().isPresent()) {
            DecideFact.NotWorthIt no = DecideState.of(state).notWorthIt().get();
            return List.of(step.answered("goes back unrepaired: " + no.reason() + ", agreed by " + no.agreedBy()));
        }
        return List.of(DecideState.of(state)
                .repair()
                .map(r -> step.answered(profile.repair(r.repairId()).words() + ", " + r.price() + " " + r.currency()
                        + ", agreed by " + r.agreedBy()))
                .orElse(step));
    }

    /** What was agreed before the shop changed its currency may be agreed anew in the old one. */
    private void shops(String given, JobState state) {
        boolean before = DecideState.of(state)
                .repair()
                .filter(agreed -> agreed.currency().equals(given))
                .isPresent();
        if (!before && !given.equals(currency.get())) {
            throw new NotAllowed("currency", given, currency.get() + ", which this shop reckons in");
        }
    }

    /** The repair ends where it stands; offered wherever something speaks for it. */
    public static Choice goesBack(JobState state) {
        return Step.fail(
                "Goes back unrepaired",
                new DecideFact.NotWorthIt("?", "?"),
                new Ask("reason", "Why it goes back as it is", Ask.Kind.TEXT, null, null),
                agreedBy(state));
    }

    /** The same repair for another price, or with another grade of part; empty before one was agreed. */
    public static Optional<Choice> quoteAnew(JobState state, Optional<Grade> taken) {
        return DecideState.of(state)
                .repair()
                .map(agreed -> Step.other(
                        "Quote anew",
                        new DecideFact.RepairAgreed(
                                agreed.repairId(),
                                taken.orElse(agreed.grade()),
                                BigDecimal.ZERO,
                                agreed.currency(),
                                "?"),
                        new Ask("price", "Price agreed, " + agreed.currency(), Ask.Kind.NUMBER, null, null),
                        agreedBy(state)));
    }

    /** Repairs that ask less of what is left than the one agreed: the panel need not be kept. */
    public static List<Choice> withoutThePanel(DeviceProfile profile, JobState state) {
        return profile.document().repairs().stream()
                .filter(repair -> !repair.parts().contains(PartKind.OPTICAL_LIQUID))
                .flatMap(repair -> DecideState.of(state).repair().stream()
                        .map(agreed -> Step.other(
                                "Quote anew: " + repair.words(),
                                new DecideFact.RepairAgreed(repair.id(), null, BigDecimal.ZERO, agreed.currency(), "?"),
                                new Ask("price", "Price agreed, " + agreed.currency(), Ask.Kind.NUMBER, null, null),
                                agreedBy(state))))
                .toList();
    }

    /** Who said yes: the owner, unless someone else did. */
    public static Ask agreedBy(JobState state) {
        return new Ask(
                "agreedBy",
                "Agreed by",
                Ask.Kind.TEXT,
                null,
                IntakeState.of(state).opened().owner());
    }

    /** Journals from before the owner could change their mind at any time hold sign-offs of it. */
    @Override
    public Map<String, String> signOffs() {
        return Map.of("decide.opened", "agreed anew with the front open");
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof DecideFact.RepairAgreed f) {
            profile.repair(f.repairId());
            shops(f.currency(), state);
        } else if (fact instanceof DecideFact.ReplacementPriced f) {
            shops(f.currency(), state);
        } else if (fact instanceof JobFact.CheckAnswered f) {
            throw new NotAllowed("checkId", f.checkId(), "none at this station");
        }
        return List.of();
    }
}
