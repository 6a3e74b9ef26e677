package ridgefall.core.gate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import ridgefall.core.bond.BondState;
import ridgefall.core.heat.HeatState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.seal.SealState;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripState;

/** How a device lies there, for whoever takes it up again: what is off, out, in and open, in the order the hand meets it. */
final class Resume {
    private Resume() {}

    static List<String> lines(DeviceProfile profile, JobState state) {
        List<String> lines = new ArrayList<>();
        SeparateState front = SeparateState.of(state);
        boolean sealed = SealState.of(state).sealedAt().isPresent();
        if (StripState.live(state)) {
            lines.add("Live: it can't be switched off");
        }
        HeatState.of(state)
                .runningSoak()
                .ifPresent(soak -> lines.add("Lies on a source, set to {C:" + soak.settingC() + "}"));
        if (sealed) {
            lines.add("Front sealed");
        } else if (front.frontOpened()) {
            lines.add("Front open");
        } else if (!front.freed().isEmpty()) {
            lines.add("Front half free: " + front.freed().size()
                    + (front.freed().size() == 1 ? " stretch cut" : " stretches cut"));
        } else {
            lines.add("Front closed");
        }
        if (!front.wedges().isEmpty()) {
            lines.add((front.wedges().size() == 1 ? "Wedge in: " : "Wedges in: ")
                    + front.wedges().stream()
                            .map(at -> PlaceWords.at(profile, at))
                            .collect(Collectors.joining("; ")));
        }
        if (front.frontOpened() && !sealed) {
            inside(profile, state, lines);
        }
        return lines;
    }

    private static void inside(DeviceProfile profile, JobState state, List<String> lines) {
        StripState strip = StripState.of(state);
        boolean pluggedIn = state.passed(Checks.PLUGGED_IN);
        lines.add(
                pluggedIn
                        ? "New front plugged in, battery in circuit"
                        : StripState.isolated(state)
                                ? "Battery out of circuit" + (strip.isolationProven() ? "" : ", not proven")
                                : "Battery in circuit");
        List<String> off = profile.connectors().stream()
                .filter(plug -> strip.plugFreed(plug.id()))
                .map(Connector::words)
                .toList();
        if (!pluggedIn && !off.isEmpty()) {
            lines.add("Off their plugs: " + String.join(", ", off));
        }
        screws(strip).ifPresent(lines::add);
        BondState bond = BondState.of(state);
        if (!bond.stripsLaid().isEmpty()) {
            lines.add(bond.stripsLaid().size() + " strips laid");
        }
        List<String> uncovered = profile.covers().stream()
                .filter(cover -> SealState.of(state).coverOff(cover.id()))
                .map(Cover::words)
                .toList();
        if (!uncovered.isEmpty()) {
            lines.add("Off already: " + String.join(", ", uncovered));
        }
        for (Timer timer : state.running()) {
            lines.add("Clock runs: " + Course.clock(timer.kind()).words());
        }
    }

    private static Optional<String> screws(StripState strip) {
        if (strip.holes().isEmpty()) {
            return strip.screws(Count.OUT)
                    .map(out -> out + " screws out"
                            + strip.screws(Count.IN)
                                    .map(in -> ", " + in + " in again")
                                    .orElse(""));
        }
        long waiting = strip.holes().values().stream().filter(ScrewAt::waits).count();
        List<String> lost = strip.holes().entrySet().stream()
                .filter(hole -> hole.getValue().where() == ScrewAt.Where.LOST)
                .map(Map.Entry::getKey)
                .toList();
        return Optional.of(waiting + " screws out"
                + (lost.isEmpty() ? "" : "; dropped and not found: " + String.join(", ", lost)));
    }
}
