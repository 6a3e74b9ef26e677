package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Family;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.StripOrder;
import ridgefall.core.profile.StripOrder.Stage;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.StripFact.BatteryIsolated;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.Isolation;

public final class StripStation implements StationRoom {
    static final String PANEL_UP = "strip.panel-up";
    static final String SCREWS = "strip.screws";
    static final String COVERED = "strip.covered";

    @Override
    public Station station() {
        return Station.STRIP;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Optional<Screws> screws = Screws.of(profile, state);
        Step isolate = Step.open(
                "strip.isolate",
                Station.STRIP,
                "Battery out of circuit",
                batteryPlugs(profile) + profile.document().body().batteryReach().words()
                        + "; before any display plug, no prying against the cell",
                ways(profile));
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
        boolean countedAfter = screws.isEmpty()
                && Boolean.FALSE.equals(IntakeState.of(state).canSwitchOff().orElse(true));
        List<Step> steps = new ArrayList<>();
        if (screws.isEmpty() && !countedAfter) {
            steps.add(counted(profile, state));
        }
        for (Stage stage : profile.stripOrder().stages()) {
            if (stage instanceof Stage.Unscrew some) {
                screws.ifPresent(all -> steps.add(all.out(some)));
            } else if (stage instanceof Stage.LiftPanel) {
                panelUp(profile, state).ifPresent(steps::add);
            } else if (stage instanceof Stage.Free free) {
                steps.add(free(free, state));
            } else {
                steps.addAll(List.of(isolated, proven));
                if (countedAfter) {
                    steps.add(counted(profile, state));
                }
            }
        }
        // What isolation asks for; journals from before that have it as one of the plugs too.
        profile.connectors().stream()
                .filter(plug ->
                        plug.role() == PlugRole.BATTERY && StripState.of(state).plugFreed(plug.id()))
                .forEach(plug -> steps.add(free(new Stage.Free(plug, false), state)));
        return steps;
    }

    /** Where the book has no holes, and where they were counted before it had. */
    private static Step counted(DeviceProfile profile, JobState state) {
        int missing = IntakeState.of(state).missingScrews();
        Step out = Step.open(
                SCREWS,
                Station.STRIP,
                "Screws out, each to its own place",
                missing == 0 ? null : missing + " were missing when it came in",
                Step.go(
                        "Counted",
                        new StripFact.ScrewsCounted(Count.OUT, 0),
                        new Ask(
                                "screws",
                                "Screws out",
                                Ask.Kind.NUMBER,
                                null,
                                Integer.toString(Math.max(0, profile.screws() - missing)))));
        return StripState.of(state)
                .screws(Count.OUT)
                .map(n -> out.answered(n + " out"))
                .orElse(out);
    }

    private static Step free(Stage.Free asked, JobState state) {
        Connector plug = asked.plug();
        Step free = Step.open(
                "strip." + plug.id(),
                Station.STRIP,
                plug.words(),
                (asked.live() ? "still live: plastic tool, one hand, touch nothing beside it; " : "") + plug.offHint(),
                Step.go("Unplugged", new StripFact.PlugFreed(plug.id())));
        return StripState.of(state).plugFreed(plug.id()) ? free.answered("unplugged") : free;
    }

    /** What the battery lies under comes up before it; whoever was past that before it was asked is not asked. */
    private static Optional<Step> panelUp(DeviceProfile profile, JobState state) {
        if (profile.document().body().batteryReach() != BatteryReach.UNDER_PANEL) {
            return Optional.empty();
        }
        Step up = Checks.check(
                state,
                PANEL_UP,
                "Panel lifted",
                "its screws out, up from the side away from its cable; flat, never bent",
                "Up");
        return StripState.isolated(state) && up.open() ? Optional.empty() : Optional.of(up);
    }

    /** Where a plug is asked for. */
    public static String stepOf(Connector plug) {
        return plug.role() == PlugRole.BATTERY ? "strip.isolate" : "strip." + plug.id();
    }

    /** Where it is asked for on the way back. */
    public static String homeStep(Connector plug) {
        return "test.home-" + plug.id();
    }

    private static Stream<Connector> batteries(DeviceProfile profile) {
        return profile.connectors().stream().filter(plug -> plug.role() == PlugRole.BATTERY);
    }

    private static String batteryPlugs(DeviceProfile profile) {
        return batteries(profile)
                .map(plug -> plug.words() + (plug.latchSide() == null ? "" : ", latch " + plug.latchSide()) + ": "
                        + (plug.family() == Family.FLEX
                                ? "thin card under it, it stays there"
                                : plug.family().off())
                        + "; ")
                .collect(Collectors.joining());
    }

    /** A plug comes off; springs that press on a contact are held off it by a card. What fits the device comes first. */
    private static Step.Choice[] ways(DeviceProfile profile) {
        BatteryIsolated unplugged = new BatteryIsolated(Isolation.UNPLUGGED);
        BatteryIsolated card = new BatteryIsolated(Isolation.CARD_UNDER_CONTACT);
        boolean contact = batteries(profile).anyMatch(plug -> plug.family() == Family.FLEX);
        return contact
                ? new Step.Choice[] {Step.go("Card under the contact", card), Step.other("Unplugged", unplugged)}
                : new Step.Choice[] {Step.go("Unplugged", unplugged), Step.other("Card under the contact", card)};
    }

    private static List<Hold> covered(Fact fact, DeviceProfile profile, JobState state) {
        StripOrder order = profile.stripOrder();
        if (fact instanceof BatteryIsolated) {
            return covered(batteries(profile).map(Connector::id), order.overPlugs(), profile, state);
        } else if (fact instanceof StripFact.PlugFreed freed) {
            return covered(Stream.of(freed.plugId()), order.overPlugs(), profile, state);
        }
        return fact instanceof StripFact.ScrewsMoved moved && moved.where() == ScrewAt.Where.OUT
                ? covered(moved.holeIds().stream(), order.overScrews(), profile, state)
                : List.of();
    }

    /** Screws and plugs that the book has over something, and that nobody has taken out; a book can be wrong. */
    private static List<Hold> covered(
            Stream<String> ids, Map<String, Set<Move>> over, DeviceProfile profile, JobState state) {
        List<String> inHand = ids.toList();
        Set<Move> moves = inHand.stream()
                .flatMap(id -> over.getOrDefault(id, Set.of()).stream())
                .collect(Collectors.toSet());
        String screws = Screws.of(profile, state).stream()
                .flatMap(all -> profile.stripOrder().screws().stream().filter(all::in))
                .map(Screw::id)
                // What comes out in the same go lies over nothing any more.
                .filter(id -> moves.contains(new Move(Act.SCREW_OUT, id)) && !inHand.contains(id))
                .collect(Collectors.joining(", "));
        Stream<String> home = StripState.stillIn(profile, state).stream()
                .filter(plug -> moves.contains(new Move(Act.UNPLUG, plug.id())))
                .map(plug -> plug.words() + " is still in");
        return Stream.concat(screws.isEmpty() ? Stream.of() : Stream.of("screws " + screws + " are still in"), home)
                .map(words -> Hold.overridable(COVERED, Station.STRIP, "Something lies over it: " + words))
                .limit(1)
                .toList();
    }

    @Override
    public Map<String, String> signOffs() {
        return Map.of(COVERED, "What lies over it");
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        boolean early = fact instanceof StripFact.BatteryIsolated
                || fact instanceof StripFact.IsolationProven
                || fact instanceof StripFact.ScrewsMoved
                || fact instanceof StripFact.ScrewTold;
        boolean reached = profile.document().body().batteryReach() == BatteryReach.BEFORE_HEAT;
        if (!SeparateState.of(state).frontOpened() && !(early && reached)) {
            holds.add(Hold.firm("separate.open", Station.SEPARATE, "The front is not open"));
        }
        if (fact instanceof StripFact told) {
            holds.addAll(Screws.holds(told, profile, state));
        }
        if (fact instanceof StripFact.IsolationProven && !StripState.isolated(state)) {
            holds.add(Hold.firm("strip.isolate", Station.STRIP, "The battery is still in circuit"));
        } else if (fact instanceof StripFact.PlugFreed f) {
            Checks.known(
                    "plugId",
                    f.plugId(),
                    profile.connectors().stream().map(Connector::id).toList());
            if (!StripState.of(state).isolationProven()
                    && !profile.stripOrder().plugsBeforeIsolation().contains(f.plugId())) {
                holds.add(Hold.firm("strip.proven", Station.STRIP, "Isolation of the battery is not proven"));
            }
        } else if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    panelUp(profile, state).stream().map(Step::id).toList());
        } else if (fact instanceof StripFact.BatteryIsolated) {
            panelUp(profile, state)
                    .filter(Step::open)
                    .ifPresent(up -> holds.add(Hold.firm(PANEL_UP, Station.STRIP, "The battery lies under the panel")));
        }
        return holds.isEmpty() ? covered(fact, profile, state) : holds;
    }
}
