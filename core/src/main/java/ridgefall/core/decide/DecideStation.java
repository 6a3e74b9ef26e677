package ridgefall.core.decide;

import java.math.BigDecimal;
import java.util.List;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.NotAllowed;

public final class DecideStation implements StationRoom {
    /** Until the shop sets its own, prices are agreed in the demo workshop's currency. */
    private static final String CURRENCY = "EUR";

    @Override
    public Station station() {
        return Station.DECIDE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Choice[] choices = profile.repairs().stream()
                .map(repair -> Step.go(
                        repair.words(),
                        new Fact.RepairAgreed(repair.id(), BigDecimal.ZERO, CURRENCY, "?"),
                        new Ask("price", "Price agreed, " + CURRENCY, Ask.Kind.NUMBER, null, null),
                        new Ask(
                                "agreedBy",
                                "Agreed by",
                                Ask.Kind.TEXT,
                                null,
                                state.opened().owner())))
                .toArray(Choice[]::new);
        Step step = Step.open(
                "decide.repair",
                Station.DECIDE,
                "Repair agreed with the owner",
                profile.repairs().stream()
                        .map(r -> r.words() + " keeps: " + r.keeps() + ". Loses: " + r.loses() + ".")
                        .reduce((a, b) -> a + " " + b)
                        .orElse(null),
                choices);
        return List.of(state.repair()
                .map(r -> step.answered(profile.repair(r.repairId()).words() + ", " + r.price() + " " + r.currency()
                        + ", agreed by " + r.agreedBy()))
                .orElse(step));
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof Fact.RepairAgreed f) {
            profile.repair(f.repairId());
        } else {
            throw new NotAllowed("checkId", ((Fact.CheckAnswered) fact).checkId(), "none at this station");
        }
        return List.of();
    }
}
