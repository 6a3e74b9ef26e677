package ridgefall.core.fault;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.carry.CarryState;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.damage.DamageState;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Given;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Beneath;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.Symptom;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

/** What a job's history says for or against causes. */
final class Signs {
    private static final Set<DamageFact.Mishap> BY_A_TOOL =
            EnumSet.of(DamageFact.Mishap.SLIP, DamageFact.Mishap.TOO_DEEP, DamageFact.Mishap.CUT);

    /** Which plugs a function hangs on, by the ids that profiles use. */
    private static final Map<String, Set<PlugRole>> ROLES = Map.ofEntries(
            Map.entry("picture", EnumSet.of(PlugRole.FRONT, PlugRole.PANEL)),
            Map.entry("touch", EnumSet.of(PlugRole.FRONT, PlugRole.TOUCH)),
            Map.entry("stylus", EnumSet.of(PlugRole.FRONT, PlugRole.TOUCH)),
            Map.entry("home", EnumSet.of(PlugRole.KEY)),
            Map.entry("finger", EnumSet.of(PlugRole.KEY)),
            Map.entry("keys", EnumSet.of(PlugRole.KEY)),
            Map.entry("light", EnumSet.of(PlugRole.SENSOR)),
            Map.entry("pay", EnumSet.of(PlugRole.PAYMENT)),
            Map.entry("reception", EnumSet.of(PlugRole.ANTENNA)),
            Map.entry("sound", EnumSet.of(PlugRole.SOUND)),
            Map.entry("charge", EnumSet.of(PlugRole.CHARGE, PlugRole.BATTERY)));

    private Signs() {}

    static List<Sign> of(DeviceProfile profile, JobState state, Function function, Phase phase) {
        List<Sign> signs = new ArrayList<>();
        if (function.failsAs() == Symptom.DEAD_PICTURE && alive(state, phase)) {
            signs.add(Sign.ALIVE);
        }
        signs.add(phase == Phase.OPEN ? Sign.FAILS_LOOSE : phase == Phase.AFTER ? Sign.FAILS_SEALED : Sign.CAME_BACK);
        if (phase != Phase.BEFORE) {
            Optional<Answer> before =
                    state.function(Phase.BEFORE, function.id()).map(Given::answer);
            before.filter(answer -> answer == Answer.PASS).ifPresent(it -> signs.add(Sign.WORKED_BEFORE));
            before.filter(answer -> answer == Answer.FAIL).ifPresent(it -> signs.add(Sign.FAILED_BEFORE));
            grade(state).ifPresent(signs::add);
        }
        signs.addAll(mishaps(profile, state));
        if (IntakeState.of(state).earlierRepair().isPresent()) {
            signs.add(Sign.EARLIER_REPAIR);
        }
        if (PartsState.of(state).bad().stream().anyMatch(one -> one.part().why() == PartsFact.Bad.DEAD_AT_TEST)) {
            signs.add(Sign.SECOND_PART);
        }
        signs.addAll(plugs(profile, state, function, phase));
        state.function(phase, function.id()).map(Given::reason).stream()
                .flatMap(Signs::traced)
                .forEach(signs::add);
        profile.pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.COPY_DATA
                        && function.id().equals(part.functionId()))
                .map(part -> CarryState.of(state).copy(part.id()).proven() ? Sign.DATA_PROVEN : Sign.DATA_NOT_PROVEN)
                .findFirst()
                .filter(it -> phase != Phase.BEFORE)
                .ifPresent(signs::add);
        return List.copyOf(signs);
    }

    private static Set<Sign> mishaps(DeviceProfile profile, JobState state) {
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        for (DamageState.Noted noted : DamageState.of(state).sinceClosed()) {
            switch (noted.mishap().mishap()) {
                case HOT_SPOT -> signs.add(Sign.HOT_SPOT);
                case SOLVENT_SPILLED -> signs.add(Sign.SOLVENT);
                case SCREW_DROPPED -> signs.add(Sign.SCREW_LOST);
                default -> {
                    if (overAFlex(profile, noted.mishap())) {
                        signs.add(Sign.FLEX_IN_DANGER);
                    }
                }
            }
        }
        return signs;
    }

    /** Of the plug that a function hangs on: whether it was off, whether it went home at once, and how else it does. */
    private static Set<Sign> plugs(DeviceProfile profile, JobState state, Function function, Phase phase) {
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        List<Connector> own = plugsOf(profile, function);
        if (own.isEmpty()) {
            return signs;
        }
        StripState strip = StripState.of(state);
        // Nobody comes to a loose front past the battery.
        boolean off = own.stream()
                .anyMatch(
                        plug -> strip.plugFreed(plug.id()) || plug.role() == PlugRole.BATTERY && phase != Phase.BEFORE);
        signs.add(off ? Sign.PLUG_OFF : Sign.PLUG_UNTOUCHED);
        if (own.stream().anyMatch(plug -> FaultState.of(state).stiff().contains(StripStation.homeStep(plug)))) {
            signs.add(Sign.STIFF_PLUG);
        }
        ROLES.forEach((other, theirs) -> {
            boolean shared =
                    !other.equals(function.id()) && own.stream().anyMatch(plug -> theirs.contains(plug.role()));
            Optional<Answer> answer =
                    state.function(phase, other).map(Given::answer).filter(it -> shared);
            answer.filter(it -> it == Answer.PASS).ifPresent(it -> signs.add(Sign.SHARED_WORKS));
            answer.filter(it -> it == Answer.FAIL).ifPresent(it -> signs.add(Sign.SHARED_FAILS));
        });
        return signs;
    }

    static List<Connector> plugsOf(DeviceProfile profile, Function function) {
        Set<PlugRole> roles = ROLES.getOrDefault(function.id(), Set.of());
        return profile.connectors().stream()
                .filter(plug -> roles.contains(plug.role()))
                .toList();
    }

    private static boolean alive(JobState state, Phase phase) {
        return Stream.of("sound", "charge").allMatch(other -> passed(state, phase, other));
    }

    static boolean passed(JobState state, Phase phase, String functionId) {
        return state.function(phase, functionId)
                .filter(given -> given.answer() == Answer.PASS)
                .isPresent();
    }

    private static Optional<Sign> grade(JobState state) {
        List<Grade> grades = PartsState.of(state).parts().stream()
                .map(PartsFact.PartReserved::grade)
                .toList();
        if (grades.contains(Grade.PLAIN_COPY)) {
            return Optional.of(Sign.PLAIN_COPY);
        }
        return grades.contains(Grade.REFURBISHED_ORIGINAL) ? Optional.of(Sign.ORIGINAL) : Optional.empty();
    }

    private static boolean overAFlex(DeviceProfile profile, DamageFact.MishapSeen mishap) {
        return BY_A_TOOL.contains(mishap.mishap())
                && mishap.positionMm() != null
                && Beneath.at(profile, mishap.positionMm()).stream().anyMatch(Beneath::isCable);
    }

    /** What a touch proof or a meter wrote of it. */
    static Stream<Sign> traced(String said) {
        return said == null
                ? Stream.empty()
                : Stream.of(
                                said.contains("touch proof: 0 of") ? Sign.ALL_DEAD : null,
                                said.contains("no voltage arrives") ? Sign.NO_VOLTAGE : null,
                                said.contains("nothing is drawn") ? Sign.DRAWS_NOTHING : null,
                                said.contains("the voltage gives way") ? Sign.VOLTAGE_GIVES : null,
                                said.contains("it starts over") ? Sign.STARTS_OVER : null,
                                !said.contains("dead right across")
                                        ? null
                                        : said.contains("cells: a line") ? Sign.LINE : Sign.BAND,
                                said.contains("no line of the stylus") ? Sign.PEN_DEAD : null,
                                said.contains("does not hear its tones") || said.contains("tones not heard")
                                        ? Sign.SILENT
                                        : null,
                                said.contains("dead: ") ? Sign.PATCH : null,
                                said.contains("touches with nobody near") ? Sign.GHOSTS : null,
                                said.replace("perhaps wavy", "").contains("wavy, ") ? Sign.WAVES : null)
                        .filter(sign -> sign != null);
    }
}
