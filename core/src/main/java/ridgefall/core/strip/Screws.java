package ridgefall.core.strip;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.StripOrder.Stage.Unscrew;
import ridgefall.core.profile.StripOrder.When;
import ridgefall.core.strip.ScrewAt.Where;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.ScrewDriven;
import ridgefall.core.strip.StripFact.ScrewTold;
import ridgefall.core.strip.StripFact.ScrewsMoved;

/**
 * The screws of a device hole by hole: which come out next, where each is, which go back into what. One go is of screws that look alike and
 * lie in one layer, so that nothing is mixed in the hand.
 */
public final class Screws {
    /** As many as a hand keeps in order on its way to the tray. */
    static final int IN_A_GO = 5;

    static final String LOST = "seal.lost-";
    static final String UNDER_IN = "test.screws-under";

    /** A lead may let a screw be too short, never too long. */
    public static final String SHORT = "seal.screw-short";

    private final DeviceProfile profile;
    private final JobState job;
    private final StripState state;

    private Screws(DeviceProfile profile, JobState job) {
        this.profile = profile;
        this.job = job;
        this.state = StripState.of(job);
    }

    /** Empty where the book has no holes, or where they were counted before holes were asked for. */
    public static Optional<Screws> of(DeviceProfile profile, JobState job) {
        boolean counted = StripState.of(job).screws(Count.OUT).isPresent();
        return profile.screws() == 0 || counted ? Optional.empty() : Optional.of(new Screws(profile, job));
    }

    private Optional<ScrewAt> at(Screw screw) {
        return Optional.ofNullable(state.holes().get(screw.id()));
    }

    private boolean isStill(Screw screw, Where where) {
        return at(screw).filter(at -> at.where() == where).isPresent();
    }

    /** Whether screws go back in at a step. */
    public static boolean goIn(String stepId) {
        return stepId != null && (stepId.equals(StripFact.SCREWS_IN) || stepId.startsWith(UNDER_IN));
    }

    /** Whether something still sits in its hole, untouched. */
    boolean in(Screw screw) {
        return at(screw).isEmpty();
    }

    /** Whether it is out of its hole for now. */
    boolean out(Screw screw) {
        return at(screw).filter(at -> !at.driven() && at.where() != Where.STUCK).isPresent();
    }

    /** The next of some screws that one go takes: alike, and of one layer. */
    private static List<Screw> go(List<Screw> left) {
        if (left.isEmpty()) {
            return List.of();
        }
        Screw first = left.get(0);
        return left.stream()
                .filter(screw -> screw.layer() == first.layer()
                        && StripMap.looks(screw).equals(StripMap.looks(first))
                        && Objects.equals(screw.holds(), first.holds()))
                .limit(IN_A_GO)
                .toList();
    }

    /** The holes that a step is about now. */
    List<Screw> lit(String stepId) {
        if (StripFact.SCREWS_IN.equals(stepId)) {
            return go(toGoBack());
        }
        return profile.stripOrder()
                .unscrewed()
                .filter(some -> outId(some).equals(stepId) || inId(some).equals(stepId))
                .findFirst()
                .map(some -> go(
                        goIn(stepId)
                                ? toGoBack().stream()
                                        .filter(underAPlug(some)::contains)
                                        .toList()
                                : stillIn(some.screws())))
                .orElse(List.of());
    }

    private static String outId(Unscrew some) {
        return numbered(
                switch (some.when()) {
                    case TO_BATTERY -> "strip.screws-over";
                    case UNDER_PANEL -> "strip.screws-under";
                    case ISOLATED -> StripStation.SCREWS;
                },
                some);
    }

    private static String inId(Unscrew some) {
        return numbered(
                switch (some.when()) {
                    case TO_BATTERY -> UNDER_IN + "-first";
                    case UNDER_PANEL -> UNDER_IN;
                    case ISOLATED -> UNDER_IN + "-cables";
                },
                some);
    }

    private static String numbered(String id, Unscrew some) {
        return some.nth() == 1 ? id : id + "-" + some.nth();
    }

    private List<Screw> underAPlug(Unscrew some) {
        return some.screws().stream()
                .filter(screw -> profile.stripOrder().underAPlug().contains(screw.id()))
                .toList();
    }

    private List<Screw> stillIn(List<Screw> some) {
        return some.stream().filter(this::in).toList();
    }

    /** The last out first. */
    private List<Screw> toGoBack() {
        List<Screw> waiting = new ArrayList<>(profile.stripOrder().screws().stream()
                .filter(screw -> at(screw).filter(ScrewAt::waits).isPresent())
                .toList());
        Collections.reverse(waiting);
        return waiting;
    }

    Step out(Unscrew unscrew) {
        String stepId = outId(unscrew);
        String title = switch (unscrew.when()) {
            case TO_BATTERY -> "Screws out on the way to the battery's plug";
            case UNDER_PANEL -> "Screws out under the panel";
            case ISOLATED -> "Screws out, each to its own place";
        };
        List<Screw> some = unscrew.screws();
        Optional<Screw> stuck =
                some.stream().filter(screw -> isStill(screw, Where.STUCK)).findFirst();
        List<Screw> left = stillIn(some);
        List<Screw> go = go(left);
        if (!go.isEmpty()) {
            String missing = missing();
            return Step.open(
                    stepId, Station.STRIP, title, told(go) + outOf() + missing, choices(go, left, Where.OUT, " out"));
        }
        Step step = Step.open(stepId, Station.STRIP, title, null);
        return stuck.isPresent()
                ? stuck(step, stuck.get())
                : step.choosing(choices(some, some, Where.OUT, " out")).answered(summary(some));
    }

    private static Step stuck(Step step, Screw screw) {
        return step.hinted(
                        "rubber under the driver, pliers at the head, a warm tip on it; drilled last of all, chips kept off the board")
                .choosing(
                        Step.go("Out after all", new ScrewTold(screw.id(), Where.OUT, null)),
                        Step.other("Drilled out", new ScrewTold(screw.id(), Where.EMPTY, "drilled out")))
                .problem("screw " + screw.id() + " does not come out");
    }

    private String missing() {
        int told = IntakeState.of(job).missingScrews();
        long found = profile.stripOrder().screws().stream()
                .filter(screw -> isStill(screw, Where.ABSENT))
                .count();
        return told <= found ? "" : "; " + (told - found) + " were missing when it came in: tap the holes";
    }

    private String outOf() {
        List<Screw> all = profile.stripOrder().screws();
        long out = all.stream()
                .filter(screw -> out(screw) && !isStill(screw, Where.ABSENT))
                .count();
        return "; " + out + " of " + all.size() + " out";
    }

    /** As a hand reads it: how many of which, of what, and whether they have to be found first. */
    private String told(List<Screw> go) {
        Screw first = go.get(0);
        String holds = profile.document().inside().stream()
                .filter(thing -> thing.id().equals(first.holds()))
                .map(thing -> ", of the " + decapitalised(thing.words()))
                .findFirst()
                .orElse("");
        boolean hidden = go.stream().anyMatch(Screw::hidden);
        return go.size() + " × " + StripMap.looks(first) + holds + (hidden ? "; hidden: under tape or rubber" : "");
    }

    private static String decapitalised(String words) {
        return words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    private static Choice[] choices(List<Screw> go, List<Screw> left, Where where, String label) {
        Choice one = Step.go(go.size() + label, moved(go, where));
        return left.size() > go.size()
                ? new Choice[] {one, Step.other("All " + left.size() + label, moved(left, where))}
                : new Choice[] {one};
    }

    private static ScrewsMoved moved(List<Screw> screws, Where where) {
        return new ScrewsMoved(screws.stream().map(Screw::id).toList(), where);
    }

    private String summary(List<Screw> some) {
        List<String> words = new ArrayList<>();
        long out = some.stream().filter(screw -> !in(screw)).count();
        for (Where where : List.of(Where.ABSENT, Where.EMPTY, Where.LOST, Where.RENEWED)) {
            List<String> such = some.stream()
                    .filter(screw -> isStill(screw, where))
                    .map(Screw::id)
                    .toList();
            if (!such.isEmpty()) {
                out -= where == Where.ABSENT ? such.size() : 0;
                words.add(String.join(", ", such) + " " + where.words());
            }
        }
        words.add(0, out + " out");
        return String.join("; ", words);
    }

    /** Each back into its own hole. */
    public Step in() {
        return in(
                Step.open(StripFact.SCREWS_IN, Station.SEAL, "Screws back in, each to its own hole", null),
                profile.stripOrder().screws());
    }

    /** What a plug lies over is found and driven before that is home; nothing of screws that stay in reach. */
    public List<Step> underAPlugIn(Unscrew unscrew) {
        List<Screw> under = underAPlug(unscrew);
        if (under.isEmpty()) {
            return List.of();
        }
        String title = unscrew.when() == When.UNDER_PANEL
                ? "Screws back in under the panel"
                : "Screws back in under what goes home next";
        List<Step> steps = new ArrayList<>(lostUnderAPlug(under));
        steps.add(in(Step.open(inId(unscrew), Station.TEST, title, null), under));
        return steps;
    }

    private Step in(Step step, List<Screw> all) {
        List<Screw> left = toGoBack().stream().filter(all::contains).toList();
        long driven = all.stream()
                .filter(screw -> at(screw).filter(ScrewAt::driven).isPresent())
                .count();
        if (!left.isEmpty()) {
            List<Screw> go = go(left);
            return step.hinted(told(go) + ", " + Tightening.told(go.get(0)) + "; " + left.size() + " to go, " + driven
                            + " back")
                    .choosing(choices(go, left, Where.BACK, " back"));
        }
        if (!state.unscrewed() && all.stream().anyMatch(this::in)) {
            return step.hinted("as they came out");
        }
        return step.answered(Stream.of(Where.ANOTHER, Where.ABSENT, Where.EMPTY)
                .map(where -> all.stream()
                        .filter(screw -> isStill(screw, where))
                        .map(Screw::id)
                        .toList())
                .filter(such -> !such.isEmpty())
                .map(such -> String.join(", ", such) + " "
                        + at(screw(such.get(0))).orElseThrow().where().words())
                .reduce(driven + " back", (before, more) -> before + "; " + more));
    }

    /** Screws that fell and were not found: until they are, the front is not closed over them. */
    public List<Step> lost() {
        return lost(profile.stripOrder().screws());
    }

    /** Those that are looked for before a plug goes home over them. */
    public List<Step> lostUnderAPlug() {
        return profile.stripOrder()
                .unscrewed()
                .flatMap(some -> lostUnderAPlug(underAPlug(some)).stream())
                .toList();
    }

    private List<Step> lostUnderAPlug(List<Screw> some) {
        return lost(some).stream().map(step -> step.at(Station.TEST)).toList();
    }

    private List<Step> lost(List<Screw> some) {
        return some.stream()
                .filter(screw -> isStill(screw, Where.LOST))
                .map(screw -> Step.open(
                        LOST + screw.id(),
                        Station.SEAL,
                        "Find the screw of hole " + screw.id(),
                        StripMap.looks(screw)
                                + "; one under the panel or on a board shorts or cracks something: magnet, low light, shake it face down",
                        Step.go("Found", new ScrewTold(screw.id(), Where.OUT, null)),
                        Step.other(
                                "It is not inside: a new one",
                                new ScrewTold(screw.id(), Where.RENEWED, "?"),
                                new Ask(
                                        "words",
                                        "How do you know?",
                                        Ask.Kind.TEXT,
                                        null,
                                        null,
                                        false,
                                        List.of(
                                                "heard it fall on the floor",
                                                "magnet and light all through, shaken, nothing")))))
                .toList();
    }

    private Screw screw(String holeId) {
        return profile.stripOrder().screws().stream()
                .filter(one -> one.id().equals(holeId))
                .findFirst()
                .orElseThrow();
    }

    /** What can be told of one hole by whoever taps it; nothing of one that stays empty. */
    public List<Choice> about(String holeId) {
        if (profile.stripOrder().screws().stream().noneMatch(one -> one.id().equals(holeId))) {
            return List.of();
        }
        Screw screw = screw(holeId);
        if (in(screw) || isStill(screw, Where.STUCK)) {
            return List.of(
                    Step.go("Out", new ScrewTold(holeId, Where.OUT, null)),
                    Step.other("Was not there", new ScrewTold(holeId, Where.ABSENT, null)),
                    Step.fail("Dropped it", new ScrewTold(holeId, Where.LOST, null)),
                    Step.fail("Stuck", new ScrewTold(holeId, Where.STUCK, null)));
        }
        Ask why = new Ask(
                "words", "Why?", Ask.Kind.TEXT, null, null, false, List.of("thread stripped", "no such screw here"));
        Choice empty = Step.other("Stays empty", new ScrewTold(holeId, Where.EMPTY, "?"), why);
        Choice dropped = Step.fail("Dropped it", new ScrewTold(holeId, Where.LOST, null));
        Choice out = Step.other("Out again", new ScrewTold(holeId, Where.OUT, null));
        ScrewAt at = at(screw).orElseThrow();
        if (at.driven()) {
            return List.of(out);
        } else if (at.where() == Where.LOST) {
            return lost().stream()
                    .filter(step -> step.id().equals(LOST + holeId))
                    .flatMap(step -> step.choices().stream())
                    .toList();
        }
        return at.waits()
                ? List.of(
                        Step.go("Its own is in", new ScrewsMoved(List.of(holeId), Where.BACK)),
                        another(screw, false),
                        another(screw, true),
                        dropped,
                        empty)
                : List.of(another(screw, false), another(screw, true), empty);
    }

    private static Choice another(Screw hole, boolean threadLock) {
        return Step.other(
                threadLock ? "Another, thread lock" : "Another screw",
                new ScrewDriven(hole.id(), hole.threadMm(), hole.underHeadMm(), threadLock),
                new Ask("underHeadMm", "Length under its head", Ask.Kind.NUMBER, "mm", null),
                new Ask("threadMm", "Thread diameter", Ask.Kind.NUMBER, "mm", Double.toString(hole.threadMm())));
    }

    /** One of this device's own kinds, driven into a hole that is not its own. */
    public static ScrewDriven driven(Screw hole, Screw kind) {
        return new ScrewDriven(hole.id(), kind.threadMm(), kind.underHeadMm(), false);
    }

    /** What stands in the way of what is told of a screw. */
    public static List<Hold> holds(StripFact fact, DeviceProfile profile, JobState job) {
        Screws screws = new Screws(profile, job);
        List<String> known =
                profile.stripOrder().screws().stream().map(Screw::id).toList();
        if (fact instanceof ScrewsMoved moved) {
            moved.holeIds().forEach(id -> Checks.known("holeIds", id, known));
            return moved.where() == Where.OUT
                    ? List.of()
                    : moved.holeIds().stream()
                            .flatMap(id -> screws.notBack(screws.screw(id)).stream())
                            .toList();
        } else if (fact instanceof ScrewTold told) {
            Checks.known("holeId", told.holeId(), known);
        } else if (fact instanceof ScrewDriven driven) {
            Checks.known("holeId", driven.holeId(), known);
            return screws.notDriven(screws.screw(driven.holeId()), driven);
        }
        return List.of();
    }

    private Optional<Hold> notBack(Screw screw) {
        if (in(screw)) {
            return Optional.of(hold("screw " + screw.id() + " was never taken out"));
        } else if (isStill(screw, Where.LOST)) {
            return Optional.of(
                    Hold.firm(LOST + screw.id(), Station.SEAL, "The screw of hole " + screw.id() + " is not found"));
        }
        return at(screw)
                .filter(ScrewAt::none)
                .map(at -> hold("screw " + screw.id() + " " + at.where().words()));
    }

    private static Hold hold(String because) {
        return Hold.firm(StripFact.SCREWS_IN, Station.SEAL, "Tap the hole: " + because);
    }

    private List<Hold> notDriven(Screw hole, ScrewDriven driven) {
        if (in(hole)) {
            return List.of(hold("screw " + hole.id() + " was never taken out"));
        }
        ScrewFit fit = ScrewFit.of(hole, driven.threadMm(), driven.underHeadMm());
        String because = "{mm:" + driven.underHeadMm() + "} in hole " + hole.id() + ": " + fit.words();
        return switch (fit.verdict()) {
            case FITS -> List.of();
            case TOO_SHORT -> List.of(Hold.overridable(SHORT, Station.SEAL, because));
            case TOO_LONG, OTHER_THREAD -> List.of(Hold.firm(StripFact.SCREWS_IN, Station.SEAL, because));
        };
    }
}
