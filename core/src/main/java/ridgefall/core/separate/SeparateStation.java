package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan.Move;
import ridgefall.core.units.NotAllowed;

/** Stretch by stretch in the cheapest order, planned again from where the bench stands after every fact. */
public final class SeparateStation implements StationRoom {
    private static final double SAME_PLACE_MM = 0.05;

    private final CutPlan plan;
    private final HeatStation heat;

    public SeparateStation(CutPlan plan, HeatStation heat) {
        this.plan = plan;
        this.heat = heat;
    }

    @Override
    public Station station() {
        return Station.SEPARATE;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        // Warming again happens here, with the front half free, though its facts are heat's.
        if (state.runningSoak().isPresent()) {
            Step lifting = heat.lifting(state.runningSoak().get());
            steps.add(new Step(
                    "separate.lift",
                    Station.SEPARATE,
                    lifting.title(),
                    lifting.hint(),
                    null,
                    false,
                    false,
                    lifting.choices(),
                    lifting.waitsFor()));
        }
        for (String id : state.freed()) {
            Stretch stretch = stretch(id);
            steps.add(cut(profile, stretch, null).answered("free"));
        }
        for (Move move : plan.moves()) {
            steps.add(cut(profile, stretch(move.stretchId()), move));
        }
        if (!state.soaks().isEmpty() && state.runningSoak().isEmpty() && !state.frontOpened()) {
            steps.add(heat.start("separate.warm", Station.SEPARATE, "Gone cold? Warm it again")
                    .asOptional());
        }
        Step open = Step.open(
                "separate.open",
                Station.SEPARATE,
                "Open the front",
                "on the " + profile.placeName(profile.hinge()) + ", no further than " + profile.greatestOpeningDeg()
                        + "°; prop it",
                Step.go("Open and propped", new Fact.FrontOpened()));
        steps.add(state.frontOpened() ? open.answered("open and propped") : open);
        for (double wedge : state.wedges()) {
            steps.add(Step.open(
                            "separate.wedge." + wedge,
                            Station.SEPARATE,
                            "Wedge at {mm:" + wedge + "}, "
                                    + profile.placeName(profile.edge().landmarkAt(wedge)),
                            null,
                            Step.go("Wedge out", new Fact.WedgePulled(wedge)))
                    .asOptional());
        }
        return steps;
    }

    private Stretch stretch(String id) {
        return plan.stretches().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> unknown(id));
    }

    private NotAllowed unknown(String id) {
        return new NotAllowed(
                "stretchId",
                id,
                "one of "
                        + String.join(
                                ", ", plan.stretches().stream().map(Stretch::id).toList()));
    }

    private static Step cut(DeviceProfile profile, Stretch stretch, Move move) {
        String hint = "no deeper than {mm:" + stretch.depthMm() + "}: " + stretch.depthBecause()
                + (move != null && move.newEntry() ? "; enter here, " + profile.entrySeam() : "");
        List<Choice> choices = new ArrayList<>();
        choices.add(Step.go("Free", new Fact.StretchFreed(stretch.id())));
        if (move != null && move.wedgeAtMm() != null) {
            choices.add(Step.other("Wedge in", new Fact.WedgeSet(Math.round(move.wedgeAtMm() * 10) / 10.0)));
        }
        return Step.open(
                "separate." + stretch.id(),
                Station.SEPARATE,
                "Cut the " + profile.placeName(stretch.landmark()) + " {mm:"
                        + round(stretch.where().fromMm()) + "} to {mm:"
                        + round(stretch.where().toMm(profile.edge().lengthMm())) + "}",
                hint,
                choices.toArray(Choice[]::new));
    }

    private static long round(double mm) {
        return Math.round(mm);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof Fact.StretchFreed f) {
            stretch(f.stretchId());
            holds.addAll(beforeCutting(state));
            if (state.freed().contains(f.stretchId())) {
                holds.add(Hold.firm("separate.done", Station.SEPARATE, "This stretch is already free"));
            }
            Set<String> hinge = CutPlanner.hinge(profile);
            boolean othersFree = plan.stretches().stream()
                    .map(Stretch::id)
                    .allMatch(id -> hinge.contains(id) || state.freed().contains(id));
            if (hinge.contains(f.stretchId()) && !othersFree) {
                holds.add(Hold.overridable(
                        "separate.hinge",
                        Station.SEPARATE,
                        "The " + profile.placeName(profile.hinge()) + " is freed last: its cables hold the front"));
            }
        } else if (fact instanceof Fact.WedgeSet f) {
            onEdge(profile, f.positionMm());
            holds.addAll(beforeCutting(state));
            if (state.sealedAt().isPresent()) {
                holds.add(Hold.firm("separate.sealed", Station.SEPARATE, "The front is sealed"));
            }
        } else if (fact instanceof Fact.WedgePulled f) {
            if (state.wedges().stream().noneMatch(w -> Math.abs(w - f.positionMm()) < SAME_PLACE_MM)) {
                throw new NotAllowed("positionMm", f.positionMm(), "a place where a wedge is: " + state.wedges());
            }
        } else if (fact instanceof Fact.MishapSeen f && f.positionMm() != null) {
            onEdge(profile, f.positionMm());
        } else if (fact instanceof Fact.FrontOpened) {
            if (!plan.moves().isEmpty()) {
                holds.add(Hold.firm(
                        "separate.closed",
                        Station.SEPARATE,
                        plan.moves().size() + " of " + plan.stretches().size() + " stretches still hold"));
            }
        } else if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        return holds;
    }

    private static List<Hold> beforeCutting(JobState state) {
        return state.soaks().isEmpty()
                ? List.of(Hold.overridable("separate.cold", Station.HEAT, "The bond was never warmed"))
                : List.of();
    }

    private static void onEdge(DeviceProfile profile, double positionMm) {
        double perimeter = profile.edge().lengthMm();
        if (positionMm > perimeter) {
            throw new NotAllowed("positionMm", positionMm, "0 to " + Math.round(perimeter) + " mm along the edge");
        }
    }
}
