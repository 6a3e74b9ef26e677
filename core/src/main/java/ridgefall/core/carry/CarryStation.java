package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.TimerKind;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

public final class CarryStation implements StationRoom {
    public static final TimerKind SPLIT_WARMING = new TimerKind("SPLIT_WARMING", "Warming to split");

    /** What is kept of the old front where its glass alone is new. */
    static final String PANEL = "panel";

    private static final String PANEL_WORDS = "Old glass off the panel";
    private static final String SHOWS = "carry.panel-shows";

    @Override
    public Station station() {
        return Station.CARRY;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        return Stream.of(
                        profile.carryOvers().stream().map(part -> carry(part, state)),
                        GlassSplit.of(profile, state).stream().flatMap(split -> split(profile, split, state)),
                        profile.pairedParts().stream().map(part -> pair(part, state)))
                .flatMap(some -> some)
                .toList();
    }

    /** The panel is tried before new glass is bonded to it: a minute here, an hour later. */
    private static Stream<Step> split(DeviceProfile profile, GlassSplit split, JobState state) {
        Step off = step(
                PANEL,
                PANEL_WORDS,
                "wire {mm:" + split.wireMm() + "}, in at the " + profile.placeName(split.entry()) + ", towards the "
                        + profile.placeName(split.exit()) + ", sawing, no faster than {mm:"
                        + split.slowestMmPerS() + "} a second; the last {mm:" + split.endsShortMm()
                        + "} with a card; face taped, eye protection on",
                "Off, panel whole",
                state);
        String lost = CarryState.of(state).lost().get(PANEL);
        if (lost != null) {
            off = stopped(profile, state, off, "lost: " + lost);
        } else if (off.open() && !split.works()) {
            off = stopped(profile, state, off, "no wire gets through it within the panel's limits");
        }
        Step shows = Checks.check(
                state,
                SHOWS,
                "Panel plugged in loose: picture whole",
                "no line, no dark corner; then off its plug again",
                "Whole");
        return Stream.of(warming(split, off, state), off, shows);
    }

    private static Step stopped(DeviceProfile profile, JobState state, Step off, String why) {
        return off.problem(why)
                .leadingOn(Stream.concat(
                                DecideStation.withoutThePanel(profile, state).stream(),
                                Stream.of(DecideStation.goesBack(state)))
                        .toArray(Step.Choice[]::new));
    }

    private static Step warming(GlassSplit split, Step off, JobState state) {
        String id = "carry.warmed";
        Step warm = Step.open(
                id,
                Station.CARRY,
                "Warm the front to split it",
                "off the device and off its plugs; glass down on a plate, pad or bed at {C:" + split.plateC() + "}",
                Step.go(
                        "Lies there, {s:" + split.warmSeconds() + "}",
                        new JobFact.TimerStarted(SPLIT_WARMING, split.warmSeconds())));
        if (state.timer(SPLIT_WARMING).isPresent()) {
            return Step.open(
                            id,
                            Station.CARRY,
                            "Warming to split",
                            "it stays on the plate while the wire is drawn",
                            Step.go("Warm", new JobFact.TimerStopped(SPLIT_WARMING)))
                    .waiting(state.timer(SPLIT_WARMING).get().seq());
        }
        return !off.open() || state.everTimed(SPLIT_WARMING) ? warm.answered("warm") : warm;
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(SPLIT_WARMING);
    }

    private static Step carry(CarryOver part, JobState state) {
        String hint = part.hint() + (part.irreplaceable() ? "; can't be replaced" : "");
        Step step = step(part.id(), part.words(), hint, "Moved over", state);
        boolean brought = part.brings() != null && PartsState.of(state).brought(part.brings());
        return step.open() && brought ? step.answered("the new part brings it") : step;
    }

    private static Step pair(PairedPart part, JobState state) {
        String done = part.method() == PairingMethod.COPY_DATA ? "Copied and read back" : "Board moved and tested";
        return step(part.id(), part.words(), part.hint(), done, state);
    }

    private static Step step(String id, String words, String hint, String done, JobState state) {
        Step step = Step.open(
                "carry." + id,
                Station.CARRY,
                words,
                hint,
                Step.go(done, new CarryFact.CarriedOver(id)),
                Step.fail("Lost", new CarryFact.CarryOverLost(id, "?"), Ask.reason("Lost because …")));
        if (CarryState.of(state).carriedOver(id)) {
            return step.answered(done.toLowerCase(Locale.ROOT));
        }
        String lost = CarryState.of(state).lost().get(id);
        return lost == null ? step : step.answered("lost: " + lost);
    }

    private static List<String> splits(DeviceProfile profile, JobState state, String id) {
        return GlassSplit.of(profile, state).stream().map(split -> id).toList();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), splits(profile, state, SHOWS));
        }
        if (fact instanceof CarryFact f) {
            Checks.known(
                    "partId",
                    f.partId(),
                    Stream.of(
                                    profile.carryOvers().stream().map(CarryOver::id),
                                    profile.pairedParts().stream().map(PairedPart::id),
                                    splits(profile, state, PANEL).stream())
                            .flatMap(ids -> ids)
                            .toList());
        }
        List<Hold> holds = new ArrayList<>();
        for (Connector plug : StripState.stillIn(profile, state)) {
            holds.add(Hold.firm(StripStation.stepOf(plug), Station.STRIP, plug.words() + " is still in"));
        }
        return holds;
    }
}
