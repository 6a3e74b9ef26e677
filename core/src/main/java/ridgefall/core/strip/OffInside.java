package ridgefall.core.strip;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Condition;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * What came away inside, and from behind, on the way to what was freed: whatever is off goes on again. What screws hold is back with its
 * screws, the battery and the panel are asked for by themselves.
 */
public final class OffInside {
    static final String ON = "seal.on-";
    private static final Set<InsideKind> ASKED_ELSEWHERE = EnumSet.of(InsideKind.PANEL, InsideKind.BATTERY);

    private OffInside() {}

    /** What is off, or was and is on again, what is reached last first. */
    public static List<Inside> of(DeviceProfile profile, JobState state) {
        Set<Move> gone = gone(profile, state);
        return profile.document().inside().stream()
                .filter(thing -> !ASKED_ELSEWHERE.contains(thing.kind()) && !screwed(profile, thing))
                .filter(thing -> Stream.of(Act.OFF, Act.LIFT)
                        .map(act -> new Move(act, thing.id()))
                        .anyMatch(gone::contains))
                .sorted((one, other) -> Integer.compare(other.layer(), one.layer()))
                .toList();
    }

    /** All that lies over what was freed. */
    private static Set<Move> gone(DeviceProfile profile, JobState state) {
        StripState strip = StripState.of(state);
        boolean isolated = StripState.isolated(state);
        Stream<Set<Move>> overPlugs = profile.connectors().stream()
                .filter(plug -> plug.role() == PlugRole.BATTERY ? isolated : strip.plugFreed(plug.id()))
                .map(Connector::id)
                .map(id -> profile.stripOrder().overPlugs().getOrDefault(id, Set.of()));
        Stream<Set<Move>> overScrews = strip.holes().keySet().stream()
                .filter(hole -> !strip.holes().get(hole).none())
                .map(hole -> profile.stripOrder().overScrews().getOrDefault(hole, Set.of()));
        return Stream.concat(overPlugs, overScrews).flatMap(Collection::stream).collect(Collectors.toSet());
    }

    private static boolean screwed(DeviceProfile profile, Inside thing) {
        return profile.stripOrder().screws().stream().map(Screw::holds).anyMatch(thing.id()::equals);
    }

    /** A step for each of them. */
    public static List<Step> onAgain(DeviceProfile profile, JobState state) {
        return of(profile, state).stream()
                .map(thing -> Checks.check(state, stepId(thing), thing.words() + ": on again", hint(thing), "On")
                        .needs(under(profile, state, Set.of(thing.id())))
                        .needs(profile.connectors().stream()
                                .filter(plug -> plug.coveredBy().contains(thing.id()))
                                .map(plug -> Condition.home(plug.id()))
                                .toArray(Condition[]::new))
                        .makes(Condition.home(thing.id())))
                .toList();
    }

    public static String stepId(Inside thing) {
        return ON + thing.id();
    }

    /** What has to be on again before something that lies over it. */
    public static Condition[] under(DeviceProfile profile, JobState state, Set<String> over) {
        return of(profile, state).stream()
                .filter(thing -> thing.coveredBy().stream().anyMatch(over::contains))
                .map(thing -> Condition.home(thing.id()))
                .toArray(Condition[]::new);
    }

    /** Ids of the things inside that screws hold. */
    public static Set<String> screwed(DeviceProfile profile) {
        return profile.document().inside().stream()
                .filter(thing -> screwed(profile, thing))
                .map(Inside::id)
                .collect(Collectors.toSet());
    }

    private static String hint(Inside thing) {
        InsideHold hold = thing.hold() == null ? InsideHold.LIES : thing.hold();
        return switch (hold) {
            case SLIDES -> "slid home, flat, nothing pinched";
            case HOOKED -> "hooked in, flat, nothing pinched";
            case GLUED -> "on its own glue, or a fresh piece of the same; bare metal nowhere";
            case CLIPPED -> "every clip clicks, no gap all round";
            case SCREWED -> "all its screws in";
            case LIES -> "as it lay, flat, nothing pinched";
        };
    }
}
