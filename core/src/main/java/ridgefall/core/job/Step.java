package ridgefall.core.job;

import java.util.List;
import java.util.stream.Stream;

/**
 * One thing to do or answer at a station. Texts may hold {@code {C:57.8}}, {@code {mm:3.0}} and {@code {s:90}}, and {@code
 * {t:57.8}} for a temperature that counts to the tenth: screens put those in the reader's units.
 *
 * @param answer what was answered, in words; null while open
 * @param problem true when the answer stands in the way of going on
 * @param choices what can be tapped, the likeliest first; also once answered, to correct it
 * @param waitsFor number of the running timer this step waits for; null when it need not wait
 * @param lead what the large action does with it
 */
public record Step(
        String id,
        Station station,
        String title,
        String hint,
        String answer,
        boolean problem,
        boolean optional,
        List<Choice> choices,
        Long waitsFor,
        Lead lead) {

    /** What the large action does while this step comes next. All but the first two record nothing. */
    public enum Lead {
        /** Takes the first choice. */
        RECORD(null),
        /** Takes the first choice too; nothing waits for it. */
        PROPOSE(null),
        /** A bad answer was given: the same question again, every answer as near as the other. */
        ASK_AGAIN("Check again"),
        /** Something is on its way: nothing goes on without it, whoever would sign. */
        HAS_COME("Has it come?"),
        /** A bad answer was given that something can be done about: what, with the answers themselves after it. */
        LEAD_ON("See what to do"),
        /** The owner has to say what goes: no lead can. */
        SETTLE("Settle it with the owner"),
        /** Someone can get hurt: what to do now, and no answer that makes it unsaid. */
        STOP("Stop: what to do now"),
        /** Takes the first choice, which begins something that goes on by itself. */
        BEGINS(null),
        /** It goes on by itself until it ends, or is stopped: there is nothing to do but that. */
        RUNS(null),
        /** Its own reckoning speaks against the first choice: why, and what else there is. */
        REASONS("See why not, and what else there is");

        private final String words;

        Lead(String words) {
            this.words = words;
        }

        /** What the action is called; null where the choice names it. */
        public String words() {
            return words;
        }
    }

    /** A tap: the fact it records, complete but for what {@code asks} names. */
    public record Choice(String label, Tone tone, Fact fact, List<Ask> asks) {}

    public enum Tone {
        GO,
        FAIL,
        OTHER
    }

    /**
     * A value the tap still needs: the fact's field, how to ask for it, and its unit ({@code C}, {@code s}, none).
     *
     * @param options what it mostly is; anything else can be typed
     */
    public record Ask(
            String field,
            String label,
            Kind kind,
            String unit,
            String suggestion,
            boolean mayBeEmpty,
            List<String> options) {
        public Ask(String field, String label, Kind kind, String unit, String suggestion) {
            this(field, label, kind, unit, suggestion, false, List.of());
        }

        public enum Kind {
            TEXT,
            NUMBER,
            /** The number of a job that was handed over; found by whose it was, and what. */
            JOB,
            /** A day, as 2026-12-01. */
            DATE,
            /** Where on the edge somebody pointed, in mm; stays as it is where nobody did. */
            PLACE,
            /** A place on the face. */
            POINT,
            /** A line drawn over the face. */
            LINE,
            /** A corner tapped on the outline. */
            CORNER,
            /** Lines drawn with a finger; the id that they are kept under. */
            DRAWING
        }

        /** One that may be left empty: the choice then stays as it is. */
        public static Ask ifKnown(String field, String label, Kind kind, String unit) {
            return new Ask(field, label, kind, unit, null, true, List.of());
        }

        /** @param often what it mostly is, a tap each */
        public static Ask reason(String label, String... often) {
            return new Ask("reason", label, Kind.TEXT, null, null, false, List.of(often));
        }
    }

    public boolean open() {
        return !optional && (answer == null || problem);
    }

    public static Step open(String id, Station station, String title, String hint, Choice... choices) {
        return new Step(id, station, title, hint, null, false, false, List.of(choices), null, Lead.RECORD);
    }

    /** The same, asked at another station. */
    public Step at(String otherId, Station other) {
        return new Step(otherId, other, title, hint, answer, problem, optional, choices, waitsFor, lead);
    }

    public Step titled(String words) {
        return new Step(id, station, words, hint, answer, problem, optional, choices, waitsFor, lead);
    }

    public Step answered(String words) {
        return new Step(id, station, title, hint, words, false, optional, choices, null, Lead.RECORD);
    }

    public Step problem(String words) {
        return new Step(id, station, title, hint, words, true, optional, choices, null, Lead.ASK_AGAIN);
    }

    /** Where its answer is bad: what leads on from there, before the answers themselves. */
    public Step leadingOn(Choice... ways) {
        return problem && ways.length > 0
                ? new Step(
                        id,
                        station,
                        title,
                        hint,
                        answer,
                        true,
                        optional,
                        Stream.concat(Stream.of(ways), choices.stream()).toList(),
                        waitsFor,
                        Lead.LEAD_ON)
                : this;
    }

    /** Asked for at another station. */
    public Step at(Station other) {
        return new Step(id, other, title, hint, answer, problem, optional, choices, waitsFor, lead);
    }

    public Step leading(Lead other) {
        return new Step(id, station, title, hint, answer, problem, optional, choices, waitsFor, other);
    }

    public Step choosing(Choice... others) {
        return new Step(id, station, title, hint, answer, problem, optional, List.of(others), waitsFor, lead);
    }

    /** With what an instrument says of it before what a hand may. */
    public Step offering(Choice first) {
        return choosing(Stream.concat(Stream.of(first), choices.stream()).toArray(Choice[]::new))
                .leading(Lead.RECORD);
    }

    public Step alsoChoosing(Choice last) {
        return new Step(
                id,
                station,
                title,
                hint,
                answer,
                problem,
                optional,
                Stream.concat(choices.stream(), Stream.of(last)).toList(),
                waitsFor,
                lead);
    }

    public Step hinted(String other) {
        return new Step(id, station, title, other, answer, problem, optional, choices, waitsFor, lead);
    }

    public Step asOptional() {
        return new Step(id, station, title, hint, answer, problem, true, choices, waitsFor, lead);
    }

    public Step waiting(long timerSeq) {
        return new Step(id, station, title, hint, answer, problem, optional, choices, timerSeq, lead);
    }

    public static Choice go(String label, Fact fact, Ask... asks) {
        return new Choice(label, Tone.GO, fact, List.of(asks));
    }

    public static Choice fail(String label, Fact fact, Ask... asks) {
        return new Choice(label, Tone.FAIL, fact, List.of(asks));
    }

    public static Choice other(String label, Fact fact, Ask... asks) {
        return new Choice(label, Tone.OTHER, fact, List.of(asks));
    }
}
