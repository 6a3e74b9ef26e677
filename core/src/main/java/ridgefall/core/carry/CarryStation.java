package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import ridgefall.core.carry.CarryFact.JointMeasured;
import ridgefall.core.decide.DecideState;
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
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsState;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Joint;
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
    static final String NEW_READY = "carry.new-ready";
    static final String NEW_SHOWS = "carry.new-shows";
    private static final String LOOK = "carry.look-";
    private static final String JOINT = "carry.joint-";
    static final String INSULATED = "carry.insulated-";

    @Override
    public Station station() {
        return Station.CARRY;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        return Stream.of(
                        newFront(profile, state),
                        profile.carryOvers().stream().flatMap(part -> withASecondLook(part, state)),
                        GlassSplit.of(profile, state).stream().flatMap(split -> split(profile, split, state)),
                        profile.pairedParts().stream().flatMap(part -> pair(part, state)))
                .flatMap(some -> some)
                .toList();
    }

    /**
     * Before anything is moved, cleaned or taped: a dead part found here costs ten minutes. Whoever had begun to move before this
     * was asked is not asked; glass alone makes no picture.
     */
    private static Stream<Step> newFront(DeviceProfile profile, JobState state) {
        boolean panelMoves = profile.carryOvers().stream()
                .anyMatch(part ->
                        part.brings() == Brings.PANEL && !PartsState.of(state).brought(Brings.PANEL));
        Step ready = Checks.check(
                state,
                NEW_READY,
                "New front made ready",
                "film and tape off its plugs and off the panel's back, flaps up, cables free and straight; liners stay on",
                "Ready");
        Step shows = Checks.check(
                state,
                NEW_SHOWS,
                panelMoves ? "New front tried loose: touch" : "New front tried loose: picture, touch, light",
                "face on felt, plugs home, battery last; " + (panelMoves ? "" : "whole picture, ")
                        + "touch in all corners and over the diagonal; then the battery out of circuit first, and its plugs off again",
                "All there, off again");
        boolean glassAlone = DecideState.of(state).joinsGlass(profile);
        boolean begun = shows.open() && !CarryState.of(state).moved().isEmpty();
        return glassAlone || begun ? Stream.empty() : Stream.of(ready, shows.leadingOn(otherPart(profile, state)));
    }

    private static Step.Choice[] otherPart(DeviceProfile profile, JobState state) {
        return Stream.concat(
                        DecideState.of(state)
                                .repair()
                                .flatMap(agreed -> profile.repair(agreed.repairId()).parts().stream()
                                        .findFirst())
                                .map(kind -> PartsStation.swap(state, kind, PartsFact.Bad.DEAD_AT_TEST))
                                .stream(),
                        Stream.of(DecideStation.goesBack(state)))
                .toArray(Step.Choice[]::new);
    }

    /** What can't be replaced is looked at once more before a hand goes to it. */
    private static Stream<Step> withASecondLook(CarryOver part, JobState state) {
        Step move = carry(part, state);
        return part.irreplaceable()
                ? Stream.concat(secondLook(part.id(), part.words(), part.hint(), move, state), Stream.of(move))
                : Stream.of(move);
    }

    /** Not asked of what has moved without one. */
    private static Stream<Step> secondLook(String id, String words, String hint, Step move, JobState state) {
        return move.open() || state.passed(LOOK + id)
                ? Stream.of(Checks.check(
                        state,
                        LOOK + id,
                        "Second look before it moves: " + words,
                        hint + "; light on it, nothing else in the other hand",
                        "Looked"))
                : Stream.empty();
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

    private static Stream<Step> pair(PairedPart part, JobState state) {
        if (part.method() == PairingMethod.COPY_DATA) {
            Step over = step(
                    part.id(),
                    part.words(),
                    "battery out of circuit again, adapter off, both fronts off their plugs; keep the old one",
                    "Copied and read back",
                    state);
            return Stream.concat(Copying.steps(part, state).stream(), Stream.of(over));
        }
        Step move = step(
                part.id(),
                part.words(),
                part.hint() + "; in a fixture, fumes drawn off, a wet pad between it and the panel",
                part.joints().isEmpty() ? "Board moved and tested" : "Soldered on",
                state);
        Stream<Step> look = secondLook(part.id(), part.words(), "its chip is paired: there is no other", move, state)
                .map(step -> orDeclined(step, part, state));
        return Stream.of(look, Stream.of(orDeclined(move, part, state)), joints(part, state), insulated(part, state))
                .flatMap(steps -> steps);
    }

    /** Each measured by itself; none before the board is on, nor where it was lost. */
    private static Stream<Step> joints(PairedPart part, JobState state) {
        return CarryState.of(state).carriedOver(part.id())
                ? part.joints().stream().map(joint -> measured(part, joint, state))
                : Stream.empty();
    }

    /** Not asked of a board that went back in before anybody asked. */
    private static Stream<Step> insulated(PairedPart part, JobState state) {
        String id = INSULATED + part.id();
        boolean asked = state.passed(id) || !state.passed(Checks.PLUGGED_IN);
        return asked && CarryState.of(state).carriedOver(part.id())
                ? Stream.of(Checks.check(
                        state,
                        id,
                        "Joints insulated",
                        "flux washed off and dry; film or lacquer over every joint and wire, nothing reaches frame or shield",
                        "Insulated"))
                : Stream.empty();
    }

    private static Step measured(PairedPart part, Joint joint, JobState state) {
        Step step = Step.open(
                JOINT + joint.id(),
                Station.CARRY,
                "Measure joint " + (part.joints().indexOf(joint) + 1) + " of "
                        + part.joints().size() + ": " + joint.words(),
                "from the board to where it leads, battery out, the leads of the meter read off first; "
                        + Math.round(CarryState.MOST_OHM) + " Ω at most",
                measure(part, joint),
                Step.fail("No contact", new JointMeasured(part.id(), joint.id(), JointMeasured.NO_CONTACT_OHM)));
        Double ohm = CarryState.of(state).ohm(part.id()).get(joint.id());
        if (ohm == null) {
            return step;
        }
        return CarryState.sound(ohm)
                ? step.answered(JointMeasured.read(ohm))
                : step.hinted("flux, touch it up, let it cool, measure again; a bridge of wire where the pad is gone")
                        .problem(JointMeasured.read(ohm));
    }

    private static Step.Choice measure(PairedPart part, Joint joint) {
        return Step.go(
                "Measured",
                new JointMeasured(part.id(), joint.id(), 0),
                new Ask("ohm", "Joint " + joint.words() + " reads", Ask.Kind.NUMBER, "Ω", null));
    }

    private static Step step(String id, String words, String hint, String done, JobState state) {
        Step step = Step.open(
                moves(id), Station.CARRY, words, hint, Step.go(done, new CarryFact.CarriedOver(id)), lost(id));
        if (CarryState.of(state).carriedOver(id)) {
            return step.answered(done.toLowerCase(Locale.ROOT));
        }
        String lost = CarryState.of(state).lost().get(id);
        return lost == null ? step : step.answered("lost: " + lost);
    }

    static Step.Choice lost(String partId) {
        return Step.fail("Lost", new CarryFact.CarryOverLost(partId, "?"), Ask.reason("Lost because …"));
    }

    /** The owner would rather do without. */
    static Step.Choice declined(String partId, JobState state) {
        Ask by = DecideStation.agreedBy(state);
        return Step.other(
                "Owner gives it up",
                new CarryFact.CarryOverDeclined(partId, "?"),
                new Ask("signedBy", "Signed by", by.kind(), null, by.suggestion()));
    }

    private static Step orDeclined(Step step, PairedPart part, JobState state) {
        return step.choosing(Stream.concat(step.choices().stream(), Stream.of(declined(part.id(), state)))
                .toArray(Step.Choice[]::new));
    }

    private static List<String> splits(DeviceProfile profile, JobState state, String id) {
        return GlassSplit.of(profile, state).stream().map(split -> id).toList();
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(splits(profile, state, SHOWS).stream(), checks(profile, state))
                            .toList());
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
        if (fact instanceof JobFact.CheckAnswered f) {
            Copying.plugged(f.checkId()).ifPresent(plug -> holds.addAll(Copying.atIt(plug.partId(), state)));
        } else if (fact instanceof CarryFact.CarriedOver f) {
            holds.addAll(unlooked(f.partId(), profile, state));
            copied(profile)
                    .filter(part -> part.id().equals(f.partId()))
                    .forEach(part -> holds.addAll(Copying.unproven(part, state)));
        } else if (fact instanceof CopyFact f) {
            Checks.known(
                    "partId", f.partId(), copied(profile).map(PairedPart::id).toList());
            holds.addAll(Copying.holds(f, state));
        } else if (fact instanceof JointMeasured f) {
            Checks.known("jointId", f.jointId(), joints(profile, f.partId()));
            if (!CarryState.of(state).carriedOver(f.partId())) {
                holds.add(Hold.firm(moves(f.partId()), Station.CARRY, "The board is not soldered on yet"));
            }
        }
        // How a programmer's work ended is told, whatever became of the device since; and what an owner signs.
        boolean anyTime = fact instanceof CarryFact.CarryOverDeclined
                || fact instanceof CopyFact.DataRead
                || fact instanceof CopyFact.DataWritten
                || fact instanceof CopyFact.CopyFailed;
        for (Connector plug : anyTime ? List.<Connector>of() : StripState.stillIn(profile, state)) {
            holds.add(Hold.firm(StripStation.stepOf(plug), Station.STRIP, plug.words() + " is still in"));
        }
        return holds;
    }

    /** What is copied, not moved. */
    private static Stream<PairedPart> copied(DeviceProfile profile) {
        return profile.pairedParts().stream().filter(part -> part.method() == PairingMethod.COPY_DATA);
    }

    /** The step that moves a part. */
    static String moves(String partId) {
        return "carry." + partId;
    }

    /** Whether a step moves this part, or looks at it before. */
    static boolean isAbout(String stepId, String partId) {
        return List.of(moves(partId), LOOK + partId, INSULATED + partId).contains(String.valueOf(stepId))
                || Copying.isAbout(stepId, partId);
    }

    /** Whether a step is about this board, soldered on or not. */
    static boolean isAboutBoard(String stepId, PairedPart part) {
        return isAbout(stepId, part.id())
                || part.joints().stream().anyMatch(joint -> (JOINT + joint.id()).equals(stepId));
    }

    private static Stream<String> checks(DeviceProfile profile, JobState state) {
        return Stream.of(
                        newFront(profile, state).map(Step::id),
                        profile.carryOvers().stream()
                                .filter(CarryOver::irreplaceable)
                                .map(part -> LOOK + part.id()),
                        profile.pairedParts().stream()
                                .filter(part -> part.method() == PairingMethod.MOVE_BOARD)
                                .flatMap(part -> Stream.of(LOOK + part.id(), INSULATED + part.id())),
                        copied(profile).flatMap(Copying::checks))
                .flatMap(ids -> ids);
    }

    private static List<String> joints(DeviceProfile profile, String partId) {
        return profile.pairedParts().stream()
                .filter(part -> part.id().equals(partId))
                .flatMap(part -> part.joints().stream())
                .map(Joint::id)
                .toList();
    }

    /** Only what is asked for now stands in the way of what it is asked for. */
    private List<Hold> unlooked(String partId, DeviceProfile profile, JobState state) {
        return steps(profile, state).stream()
                .filter(step -> step.open() && step.id().equals(LOOK + partId))
                .map(step -> Hold.firm(step.id(), Station.CARRY, step.title()))
                .toList();
    }
}
