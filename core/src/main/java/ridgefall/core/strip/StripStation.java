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
import ridgefall.core.profile.DeviceProfile.Part;

public final class StripStation implements StationRoom {
    @Override
    public Station station() {
        return Station.STRIP;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        Step out = Step.open(
                "strip.screws",
                Station.STRIP,
                "Screws out, each to its own place",
                "this device has " + profile.screws() + "; count those missing before too",
                Step.go(
                        "Counted",
                        new Fact.ScrewsCounted(Count.OUT, 0),
                        new Ask("screws", "Screws out", Ask.Kind.NUMBER, null, Integer.toString(profile.screws()))));
        steps.add(state.screws(Count.OUT).map(n -> out.answered(n + " out")).orElse(out));
        Step isolate = Step.open(
                "strip.isolate",
                Station.STRIP,
                "Battery out of circuit",
                "before any display plug; no prying against the cell",
                Step.go("Unplugged", new Fact.BatteryIsolated(Isolation.UNPLUGGED)),
                Step.other("Card under the contact", new Fact.BatteryIsolated(Isolation.CARD_UNDER_CONTACT)));
        steps.add(state.isolation()
                .map(how -> isolate.answered(how == Isolation.UNPLUGGED ? "unplugged" : "thin card under the contact"))
                .orElse(isolate));
        Step prove = Step.open(
                "strip.proven",
                Station.STRIP,
                "Hold the power key: nothing comes on",
                null,
                Step.go("Stays dark", new Fact.IsolationProven()));
        steps.add(state.isolationProven() ? prove.answered("stays dark") : prove);
        for (Part plug : profile.connectors()) {
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
        if (!state.frontOpened()) {
            holds.add(Hold.firm("strip.closed", Station.SEPARATE, "The front is not open"));
        }
        if (fact instanceof Fact.IsolationProven && state.isolation().isEmpty()) {
            holds.add(Hold.firm("strip.isolate", Station.STRIP, "The battery is still in circuit"));
        } else if (fact instanceof Fact.PlugFreed f) {
            Checks.known(
                    "plugId",
                    f.plugId(),
                    profile.connectors().stream().map(Part::id).toList());
            if (!state.isolationProven()) {
                holds.add(Hold.firm("strip.proven", Station.STRIP, "Isolation of the battery is not proven"));
            }
        } else if (fact instanceof Fact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), List.of());
        }
        return holds;
    }
}
