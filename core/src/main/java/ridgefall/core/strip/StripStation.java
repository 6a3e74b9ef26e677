package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.Isolation;

public final class StripStation implements StationRoom {
    @Override
    public Station station() {
        return Station.STRIP;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        int missing = IntakeState.of(state).missingScrews();
        Step out = Step.open(
                "strip.screws",
                Station.STRIP,
                "Screws out, each to its own place",
                "this device has " + profile.screws()
                        + (profile.hiddenScrews() > 0 ? ", " + profile.hiddenScrews() + " of them hidden" : "")
                        + (missing == 0 ? "" : "; " + missing + " were missing when it came in"),
                Step.go(
                        "Counted",
                        new StripFact.ScrewsCounted(Count.OUT, 0),
                        new Ask(
                                "screws",
                                "Screws out",
                                Ask.Kind.NUMBER,
                                null,
                                Integer.toString(Math.max(0, profile.screws() - missing)))));
        Step screws = StripState.of(state)
                .screws(Count.OUT)
                .map(n -> out.answered(n + " out"))
                .orElse(out);
        Step isolate = Step.open(
                "strip.isolate",
                Station.STRIP,
                "Battery out of circuit",
                batteryPlugs(profile) + profile.document().body().batteryReach().words()
                        + "; before any display plug, no prying against the cell",
                Step.go("Unplugged", new StripFact.BatteryIsolated(Isolation.UNPLUGGED)),
                Step.other("Card under the contact", new StripFact.BatteryIsolated(Isolation.CARD_UNDER_CONTACT)));
        Step isolated = StripState.of(state)
                .isolation()
                .map(how -> isolate.answered(how == Isolation.UNPLUGGED ? "unplugged" : "thin card under the contact"))
                .orElse(StripState.isolated(state) ? isolate.answered("out since before the heat") : isolate);
        Step prove = Step.open(
                "strip.proven",
                Station.STRIP,
                "Hold the power key: nothing comes on",
                null,
                Step.go("Stays dark", new StripFact.IsolationProven()));
        Step proven = StripState.of(state).isolationProven() ? prove.answered("stays dark") : prove;
        // What can't be switched off stays live no longer than it must: the battery first, screws after.
        boolean batteryFirst =
                Boolean.FALSE.equals(IntakeState.of(state).canSwitchOff().orElse(true));
        List<Step> steps =
                new ArrayList<>(batteryFirst ? List.of(isolated, proven, screws) : List.of(screws, isolated, proven));
        for (Connector plug : profile.connectors()) {
            // The battery's plug is what isolation asks for; journals from before that have it as one of the plugs too.
            if (plug.role() == PlugRole.BATTERY && !StripState.of(state).plugFreed(plug.id())) {
                continue;
            }
            Step free = Step.open(
                    "strip." + plug.id(),
                    Station.STRIP,
                    plug.words(),
                    plug.hint(),
                    Step.go("Unplugged", new StripFact.PlugFreed(plug.id())));
            steps.add(StripState.of(state).plugFreed(plug.id()) ? free.answered("unplugged") : free);
        }
        return steps;
    }

    /** Where a plug is asked for. */
    public static String stepOf(Connector plug) {
        return plug.role() == PlugRole.BATTERY ? "strip.isolate" : "strip." + plug.id();
    }

    private static String batteryPlugs(DeviceProfile profile) {
        return profile.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY)
                .map(plug -> plug.words() + (plug.latchSide() == null ? "" : ", latch " + plug.latchSide()) + "; ")
                .collect(Collectors.joining());
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        boolean early = fact instanceof StripFact.BatteryIsolated || fact instanceof StripFact.IsolationProven;
        boolean reached = profile.document().body().batteryReach() == BatteryReach.BEFORE_HEAT;
        if (!SeparateState.of(state).frontOpened() && !(early && reached)) {
            holds.add(Hold.firm("strip.closed", Station.SEPARATE, "The front is not open"));
        }
        if (fact instanceof StripFact.IsolationProven && !StripState.isolated(state)) {
            holds.add(Hold.firm("strip.isolate", Station.STRIP, "The battery is still in circuit"));
        } else if (fact instanceof StripFact.PlugFreed f) {
            Checks.known(
                    "plugId",
                    f.plugId(),
                    profile.connectors().stream().map(Connector::id).toList());
            if (!StripState.of(state).isolationProven()) {
                holds.add(Hold.firm("strip.proven", Station.STRIP, "Isolation of the battery is not proven"));
            }
        } else if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        return holds;
    }
}
