package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.job.Fact.Isolation;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Connector;

public final class StripStation implements StationRoom {
    @Override
    public Station station() {
        return Station.STRIP;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Step out = Step.open(
                "strip.screws",
                Station.STRIP,
                "Screws out, each to its own place",
                "this device has " + profile.screws()
                        + (profile.hiddenScrews() > 0 ? ", " + profile.hiddenScrews() + " of them hidden" : "")
                        + "; count those missing before too",
                Step.go(
                        "Counted",
                        new Fact.ScrewsCounted(Count.OUT, 0),
                        new Ask("screws", "Screws out", Ask.Kind.NUMBER, null, Integer.toString(profile.screws()))));
        Step screws = state.screws(Count.OUT).map(n -> out.answered(n + " out")).orElse(out);
        Step isolate = Step.open(
                "strip.isolate",
                Station.STRIP,
                "Battery out of circuit",
                profile.document().body().batteryReach().words()
                        + "; before any display plug, no prying against the cell",
                Step.go("Unplugged", new Fact.BatteryIsolated(Isolation.UNPLUGGED)),
                Step.other("Card under the contact", new Fact.BatteryIsolated(Isolation.CARD_UNDER_CONTACT)));
        Step isolated = state.isolation()
                .map(how -> isolate.answered(how == Isolation.UNPLUGGED ? "unplugged" : "thin card under the contact"))
                .orElse(isolate);
        Step prove = Step.open(
                "strip.proven",
                Station.STRIP,
                "Hold the power key: nothing comes on",
                null,
                Step.go("Stays dark", new Fact.IsolationProven()));
        Step proven = state.isolationProven() ? prove.answered("stays dark") : prove;
        // What can't be switched off stays live no longer than it must: the battery first, screws after.
        boolean batteryFirst = Boolean.FALSE.equals(state.canSwitchOff().orElse(true));
        List<Step> steps =
                new ArrayList<>(batteryFirst ? List.of(isolated, proven, screws) : List.of(screws, isolated, proven));
        for (Connector plug : profile.connectors()) {
            Step free = Step.open(
                    "strip." + plug.id(),
                    Station.STRIP,
                    plug.words(),
                    plug.hint(),
                    Step.go("Unplugged", new Fact.PlugFreed(plug.id())));
            steps.add(state.plugFreed(plug.id()) ? free.answered("unplugged") : free);
        }
        return steps;
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        boolean early = fact instanceof Fact.BatteryIsolated || fact instanceof Fact.IsolationProven;
        boolean reached = profile.document().body().batteryReach() == BatteryReach.BEFORE_HEAT;
        if (!state.frontOpened() && !(early && reached)) {
            holds.add(Hold.firm("strip.closed", Station.SEPARATE, "The front is not open"));
        }
        if (fact instanceof Fact.IsolationProven && state.isolation().isEmpty()) {
            holds.add(Hold.firm("strip.isolate", Station.STRIP, "The battery is still in circuit"));
        } else if (fact instanceof Fact.PlugFreed f) {
            Checks.known(
                    "plugId",
                    f.plugId(),
                    profile.connectors().stream().map(Connector::id).toList());
            if (!state.isolationProven()) {
                holds.add(Hold.firm("strip.proven", Station.STRIP, "Isolation of the battery is not proven"));
            }
        } else if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        return holds;
    }
}
