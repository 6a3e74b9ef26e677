package ridgefall.app.job;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import ridgefall.app.http.ApiDescription;
import ridgefall.app.security.SignedIn;
import ridgefall.core.damage.Consequence;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageState;
import ridgefall.core.detour.DetourState;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealFact;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.test.ProvenBy;

/**
 * All a screen needs to draw one job. {@code number} is what people call it by, {@code seq} what the next command has to expect,
 * {@code marks} the facts that drew on its outline: as long as they are the same, so is that picture.
 */
public record JobView(
        UUID id,
        long number,
        long seq,
        Instant serverTime,
        String device,
        String deviceWords,
        String owner,
        String fault,
        Instant openedAt,
        boolean closed,
        @Schema(nullable = true) Station station,
        List<StationView> stations,
        List<StepView> steps,
        @Schema(nullable = true) String nextStepId,
        @Schema(nullable = true) ProvenBy nextProvenBy,
        boolean atRisk,
        List<TimerView> timers,
        List<Double> wedgesMm,
        List<CrackView> cracks,
        List<Long> marks,
        List<PhotoView> photos,
        boolean bonded,
        List<MishapView> mishaps,
        List<ChoiceView> whenItGoesWrong,
        List<ChoiceView> cellSigns,
        List<ChoiceView> detours,
        List<ChoiceView> afterwards,
        @Schema(nullable = true) ResumeView resume,
        BoardView board,
        List<HoldView> holdsBeforeSealing,
        @Schema(nullable = true) UndoView undo,
        List<EntryView> journal) {

    /** Whoever comes back to it after so long looks twice. */
    private static final Duration FORGOTTEN = Duration.ofHours(4);

    /** @param cautions what was noted elsewhere and matters here */
    public record StationView(Station id, String words, int done, int total, List<String> cautions) {}

    public record StepView(
            String id,
            Station station,
            String title,
            @Schema(nullable = true) String hint,
            @Schema(nullable = true) String answer,
            boolean problem,
            boolean optional,
            boolean open,
            @Schema(nullable = true) Long waitsFor,
            Step.Lead lead,
            @Schema(nullable = true) String leadWords,
            List<ChoiceView> choices) {}

    /**
     * {@code fact} is ready to send once the values in {@code asks} are filled in.
     *
     * @param leadsTo what comes up next where that is known before it is tapped; null wherever it has to be waited for
     */
    public record ChoiceView(
            String label,
            Step.Tone tone,
            boolean mine,
            @Schema(ref = ApiDescription.FACT) Fact fact,
            List<AskView> asks,
            @Schema(nullable = true) StepView leadsTo) {
        public static ChoiceView of(Step.Choice choice, Role role) {
            return of(choice, role.mayRecord(choice.fact()));
        }

        static ChoiceView of(Step.Choice choice, boolean mine) {
            return new ChoiceView(
                    choice.label(),
                    choice.tone(),
                    mine,
                    choice.fact(),
                    choice.asks().stream()
                            .map(a -> new AskView(
                                    a.field(),
                                    a.label(),
                                    a.kind(),
                                    a.unit(),
                                    a.suggestion(),
                                    a.mayBeEmpty(),
                                    a.options()))
                            .toList(),
                    null);
        }

        ChoiceView leadingTo(StepView next) {
            return new ChoiceView(label, tone, mine, fact, asks, next);
        }
    }

    public record AskView(
            String field,
            String label,
            Step.Ask.Kind kind,
            @Schema(nullable = true) String unit,
            @Schema(nullable = true) String suggestion,
            boolean mayBeEmpty,
            List<String> options) {}

    public record TimerView(long seq, TimerKind.Warmth warmth, String words, Instant startedAt, int seconds) {
        static List<TimerView> running(Course course) {
            return course.state().running().stream()
                    .map(t -> new TimerView(
                            t.seq(),
                            Course.clock(t.kind()).warmth(),
                            Course.clock(t.kind()).words(),
                            t.startedAt(),
                            t.seconds()))
                    .toList();
        }
    }

    public record PhotoView(
            UUID id, @Schema(nullable = true) String words) {}

    public record CrackView(double fromMm, double lengthMm) {}

    /**
     * @param place as the hand finds it, with {@code beneath} what lies there
     * @param todo what is looked at before the front is sealed over it
     * @param latest whether nothing was recorded since
     */
    public record MishapView(
            long seq,
            String words,
            Instant at,
            String who,
            @Schema(nullable = true) Double positionMm,
            @Schema(nullable = true) String place,
            List<String> beneath,
            @Schema(nullable = true) String todo,
            @Schema(nullable = true) String told,
            boolean latest,
            ChoiceView move,
            ChoiceView tell) {
        static MishapView of(Consequence consequence, JobState state, Role role) {
            DamageState.Noted noted = consequence.mishap();
            return new MishapView(
                    noted.seq(),
                    noted.mishap().mishap().words(),
                    noted.at(),
                    noted.who(),
                    noted.mishap().positionMm(),
                    consequence.place(),
                    consequence.beneath(),
                    consequence.todo(),
                    noted.words(),
                    consequence.isLatest(state),
                    ChoiceView.of(Damage.move(noted.seq()), role),
                    ChoiceView.of(Damage.tell(noted.seq()), role));
        }
    }

    /** How it lies there, for a reader who was not the last to work on it. */
    public record ResumeView(String who, Instant at, List<String> lines, List<NoteView> notes) {
        static ResumeView of(Course course, SignedIn reader, Instant now) {
            // Whoever brings a file in has not worked on what it is about.
            Entry latest = course.journal().stream()
                    .filter(entry -> !(entry.fact() instanceof IntakeFact.BroughtIn))
                    .reduce((before, after) -> after)
                    .orElseThrow();
            List<String> lines = course.resume();
            List<NoteView> notes = DetourState.of(course.state()).notes().stream()
                    .filter(DetourState.Note::forNext)
                    .map(note -> new NoteView(note.at(), note.who(), note.words()))
                    .toList();
            boolean elses = !latest.who().equals(reader.name());
            boolean old = Duration.between(latest.happenedAt(), now).compareTo(FORGOTTEN) > 0;
            boolean over = ProveState.of(course.state()).handedOverAt().isPresent();
            return over || !(elses || old) || lines.isEmpty() && notes.isEmpty()
                    ? null
                    : new ResumeView(latest.who(), latest.happenedAt(), lines, notes);
        }
    }

    public record NoteView(Instant at, String who, String words) {}

    /** What is drawn on the outline. */
    public record BoardView(ChoiceView crackAt, ChoiceView crack, ChoiceView dent, ChoiceView bend) {
        static BoardView of(IntakeStation.Board board, Role role) {
            return new BoardView(
                    ChoiceView.of(board.crackAt(), role),
                    ChoiceView.of(board.crack(), role),
                    ChoiceView.of(board.dent(), role),
                    ChoiceView.of(board.bend(), role));
        }
    }

    /** {@code signOff} is how a lead goes on all the same; null where nobody may. */
    public record HoldView(
            String id,
            Station station,
            String stationWords,
            String because,
            @Schema(nullable = true) ChoiceView signOff) {
        static HoldView of(Hold hold, Fact held, Role role) {
            return new HoldView(
                    hold.id(),
                    hold.station(),
                    hold.station().words(),
                    hold.because(),
                    hold.signOff(held)
                            .map(choice -> ChoiceView.of(choice, role))
                            .orElse(null));
        }
    }

    /** @param choice the reader's, or else that of whoever recorded it, and of a lead */
    public record UndoView(String words, String who, ChoiceView choice) {}

    public record EntryView(long seq, Instant at, String who, String words, boolean undone) {
        static EntryView of(Entry entry, FactWords words, boolean undone) {
            return new EntryView(entry.seq(), entry.happenedAt(), entry.who(), words.say(entry.fact()), undone);
        }
    }

    static JobView of(UUID id, Jobs.Job job, Ahead ahead, Instant now, SignedIn reader) {
        Course course = job.course();
        Role role = reader.role();
        JobState state = course.state();
        DeviceProfile profile = course.profile();
        List<Step> steps = course.steps();
        FactWords words = course.words(steps);
        Optional<Step> next = course.next(steps);
        Optional<Step> due = next.map(step -> ahead.offered(id, course, step));
        List<Step> way =
                due.map(step -> ahead.from(id, course, step, reader, now)).orElse(List.of());
        List<Entry> effective = JobState.effective(course.journal());
        List<EntryView> journal = new ArrayList<>(course.journal().stream()
                .map(entry -> EntryView.of(entry, words, !effective.contains(entry)))
                .toList());
        Collections.reverse(journal);
        return new JobView(
                id,
                job.number(),
                state.seq(),
                now,
                profile.name(),
                profile.words(),
                IntakeState.of(state).opened().owner(),
                IntakeState.of(state).opened().fault(),
                IntakeState.of(state).openedAt(),
                ProveState.of(state).handedOverAt().isPresent(),
                next.map(Step::station).orElse(null),
                Arrays.stream(Station.values())
                        .map(station -> stationView(station, steps, course))
                        .toList(),
                steps.stream()
                        .map(step -> step.equals(next.orElse(null))
                                ? stepView(due.get(), way, course, role)
                                : stepView(step, List.of(), course, role))
                        .toList(),
                next.map(Step::id).orElse(null),
                next.flatMap(step -> ProvenBy.of(profile, step)).orElse(null),
                course.atRisk(),
                TimerView.running(course),
                SeparateState.of(state).wedges(),
                Damage.edgeCracks(profile, state).stream()
                        .map(c -> new CrackView(c.fromMm(), c.lengthMm()))
                        .toList(),
                IntakeState.of(state).marks().stream()
                        .map(IntakeState.Mark::seq)
                        .toList(),
                IntakeState.of(state).photos().stream()
                        .map(p -> new PhotoView(p.photoId(), p.words()))
                        .toList(),
                profile.bonded(),
                Consequence.all(profile, state).stream()
                        .map(consequence -> MishapView.of(consequence, state, role))
                        .toList(),
                choices(course.whenItGoesWrong(), role),
                course.cellSigns().stream()
                        .map(sign -> choice(sign, Optional.empty(), course, role))
                        .toList(),
                choices(course.detours(), role),
                choices(course.afterwards(), role),
                ResumeView.of(course, reader, now),
                BoardView.of(IntakeStation.board(), role),
                course.holdsBeforeSealing().stream()
                        .map(hold -> HoldView.of(hold, new SealFact.Sealed(), role))
                        .toList(),
                course.undoable()
                        .map(entry -> new UndoView(
                                words.say(entry.fact()),
                                entry.who(),
                                ChoiceView.of(
                                        Step.other("Take back", new JobFact.Undone(entry.seq())),
                                        reader.role().mayTakeBack(entry, reader.name()))))
                        .orElse(null),
                journal);
    }

    private static List<ChoiceView> choices(List<Step.Choice> choices, Role role) {
        return choices.stream().map(choice -> ChoiceView.of(choice, role)).toList();
    }

    private static StationView stationView(Station station, List<Step> steps, Course course) {
        List<Step> own = steps.stream()
                .filter(step -> step.station() == station && !step.optional())
                .toList();
        int open = (int) own.stream().filter(Step::open).count();
        return new StationView(station, station.words(), own.size() - open, own.size(), course.cautions(station));
    }

    /** @param way what straight answers lead to from here, one after the other */
    private static StepView stepView(Step step, List<Step> way, Course course, Role role) {
        Optional<StepView> straight =
                way.stream().findFirst().map(next -> stepView(next, way.subList(1, way.size()), course, role));
        List<Step.Choice> choices = step.choices();
        return new StepView(
                step.id(),
                step.station(),
                step.title(),
                step.hint(),
                step.answer(),
                step.problem(),
                step.optional(),
                step.open(),
                step.waitsFor(),
                step.lead(),
                step.lead().words(),
                IntStream.range(0, choices.size())
                        .mapToObj(i -> choice(choices.get(i), i == 0 ? straight : Optional.empty(), course, role))
                        .toList());
    }

    private static ChoiceView choice(Step.Choice choice, Optional<StepView> straight, Course course, Role role) {
        ChoiceView view = ChoiceView.of(choice, role);
        return course.danger(choice.fact())
                .map(step -> stepView(step, List.of(), course, role))
                .or(() -> straight)
                .map(view::leadingTo)
                .orElse(view);
    }
}
