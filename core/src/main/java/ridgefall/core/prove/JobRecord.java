package ridgefall.core.prove;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.bond.BondState;
import ridgefall.core.carry.CarryState;
import ridgefall.core.damage.DamageState;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Given;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.prove.ProveFact.Signer;
import ridgefall.core.seal.SealState;
import ridgefall.core.separate.SeparateFact;

/**
 * The page that goes with the device: what was found, done, measured, kept and lost. Says nothing the journal does not
 * hold.
 *
 * @param told what works now of what worked before, in a line
 * @param afterAWeek null where nobody asked
 * @param frontOpenedAt when its front first came up; null where it has not
 * @param sealedAt when it was closed for good; null where it is not
 */
public record JobRecord(
        String device,
        String owner,
        String fault,
        Instant openedAt,
        Instant handedOverAt,
        String told,
        List<FunctionLine> functions,
        List<Line> found,
        List<Incident> wentWrong,
        List<Line> done,
        List<Line> measured,
        List<Line> signedOff,
        List<String> kept,
        List<String> lost,
        String adhesive,
        String sealed,
        List<String> people,
        List<Signature> signatures,
        ProveState.Heard afterAWeek,
        Instant frontOpenedAt,
        Instant sealedAt) {

    /** A function before, with the front loose, and after. */
    public record FunctionLine(String function, Tried before, Tried open, Tried after) {}

    /** @param at null where it was not asked: a dash then */
    public record Tried(String words, Instant at) {
        static Tried of(JobState state, Phase phase, Function function) {
            return state.function(phase, function.id())
                    .map(given -> new Tried(said(given), given.at()))
                    .orElse(new Tried("–", null));
        }
    }

    /** @param drawing of the lines of its hand; null where it was typed */
    public record Signature(Signer signer, String name, UUID drawing, Instant at) {}

    public record Line(Instant at, String who, String words) {}

    /**
     * Something that went wrong, apart from what was found.
     *
     * @param words what, where and at which step
     * @param told what was said about it; null where nothing was
     * @param outcome what came of it
     * @param forOwner whether the device was, or may have been, harmed by it
     */
    public record Incident(Instant at, String who, String words, String told, String outcome, boolean forOwner) {}

    /** @param withoutStrips in words, what holds the front where no strips were laid */
    public static JobRecord of(
            DeviceProfile profile, List<Entry> journal, JobState state, FactWords words, String withoutStrips) {
        List<Entry> counting = JobState.effective(journal);
        List<Line> found = new ArrayList<>();
        List<Line> done = new ArrayList<>();
        List<Line> measured = new ArrayList<>();
        List<Line> signedOff = new ArrayList<>();
        for (Entry entry : counting) {
            Fact fact = entry.fact();
            Line line = new Line(entry.happenedAt(), entry.who(), words.say(fact));
            switch (fact.page()) {
                case FOUND -> found.add(line);
                case DONE -> done.add(line);
                case MEASURED -> measured.add(line);
                case SIGNED_OFF -> signedOff.add(line);
                case WENT_WRONG, ELSEWHERE -> {}
            }
        }
        List<String> kept = new ArrayList<>();
        List<String> lost = new ArrayList<>();
        Map<String, String> moved = new LinkedHashMap<>();
        profile.carryOvers().forEach(part -> moved.put(part.id(), part.words()));
        profile.pairedParts().forEach(part -> moved.put(part.id(), part.words()));
        moved.forEach((id, name) -> {
            if (CarryState.of(state).carriedOver(id)) {
                kept.add(name);
            } else if (CarryState.of(state).lost().containsKey(id)) {
                lost.add(name + ": " + CarryState.of(state).lost().get(id));
            }
        });
        for (Function function : profile.functions()) {
            if (worked(state, Phase.BEFORE, function) && !worked(state, Phase.AFTER, function)) {
                answer(state, Phase.AFTER, function)
                        .ifPresent(after -> lost.add(function.words() + ": worked before, now " + after));
            }
        }
        return new JobRecord(
                profile.name(),
                IntakeState.of(state).opened().owner(),
                IntakeState.of(state).opened().fault(),
                IntakeState.of(state).openedAt(),
                ProveState.of(state).handedOverAt().orElse(null),
                told(profile, state),
                profile.functions().stream()
                        .map(f -> new FunctionLine(
                                f.words(),
                                Tried.of(state, Phase.BEFORE, f),
                                Tried.of(state, Phase.OPEN, f),
                                Tried.of(state, Phase.AFTER, f)))
                        .toList(),
                found,
                DamageState.of(state).mishaps().stream()
                        .map(noted -> incident(noted, state, words))
                        .toList(),
                done,
                measured,
                signedOff,
                kept,
                lost,
                BondState.of(state)
                        .school()
                        .map(s -> BondState.of(state)
                                        .held()
                                        .map(held -> held.supply())
                                        .orElse("PET-carrier acrylic tape")
                                + ", strips " + s.words())
                        .orElse(withoutStrips),
                SealProof.told(profile, state),
                counting.stream()
                        .filter(e -> !(e.fact() instanceof IntakeFact.BroughtIn))
                        .map(e -> e.who() + ", " + e.role().words())
                        .distinct()
                        .toList(),
                ProveState.of(state).signatures().stream()
                        .map(s -> new Signature(
                                s.fact().signer(),
                                s.fact().name(),
                                s.fact().drawingId().orElse(null),
                                s.at()))
                        .toList(),
                ProveState.of(state).heardBack().orElse(null),
                counting.stream()
                        .filter(entry -> entry.fact() instanceof SeparateFact.FrontOpened)
                        .map(Entry::happenedAt)
                        .findFirst()
                        .orElse(null),
                SealState.of(state).sealedAt().orElse(null));
    }

    private static String told(DeviceProfile profile, JobState state) {
        long before = profile.functions().stream()
                .filter(function -> worked(state, Phase.BEFORE, function))
                .count();
        long still = profile.functions().stream()
                .filter(function -> worked(state, Phase.BEFORE, function) && worked(state, Phase.AFTER, function))
                .count();
        long mended = profile.functions().stream()
                .filter(function ->
                        answered(state, Phase.BEFORE, function, Answer.FAIL) && worked(state, Phase.AFTER, function))
                .count();
        String first = before == 0
                ? ""
                : (before == still ? "All " + before : still + " of " + before) + " that worked before work now";
        String more = mended == 0 ? "" : mended + " that did not, too";
        String all = Stream.of(first, more).filter(words -> !words.isEmpty()).collect(Collectors.joining(", "));
        return all.isEmpty() ? "Goes back as it came" : all;
    }

    private static Incident incident(DamageState.Noted noted, JobState state, FactWords words) {
        Optional<Given> looked = state.check("test.after-" + noted.seq());
        boolean sound = looked.filter(given -> given.answer() == Answer.PASS && given.reason() == null)
                .isPresent();
        boolean harmless = switch (noted.mishap().mishap()) {
            case PICK_LOST -> true;
            case NEW_CRACK -> false;
            default -> sound;
        };
        String outcome = looked.map(given -> switch (given.answer()) {
                    case PASS -> given.reason() == null ? "looked at: sound" : "mended: " + given.reason();
                    case FAIL -> "harmed: " + (given.reason() == null ? "not right" : given.reason());
                    case CANNOT_TEST -> "could not be looked at: " + given.reason();
                })
                .orElse("not looked at since");
        return new Incident(noted.at(), noted.who(), words.say(noted.mishap()), noted.words(), outcome, !harmless);
    }

    private static boolean worked(JobState state, Phase phase, Function function) {
        return answered(state, phase, function, Answer.PASS);
    }

    private static boolean answered(JobState state, Phase phase, Function function, Answer answer) {
        return state.function(phase, function.id())
                .filter(given -> given.answer() == answer)
                .isPresent();
    }

    private static Optional<String> answer(JobState state, Phase phase, Function function) {
        return state.function(phase, function.id()).map(JobRecord::said);
    }

    private static String said(Given given) {
        return given.answer().words() + (given.reason() == null ? "" : ", " + given.reason());
    }
}
