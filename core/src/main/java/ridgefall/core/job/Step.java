package ridgefall.core.job;

import java.util.List;

/**
 * One thing to do or answer at a station. Texts may hold {@code {C:57.8}}, {@code {mm:3.0}} and {@code {s:90}}: screens
 * put those in the reader's units.
 *
 * @param answer what was answered, in words; null while open
 * @param problem true when the answer stands in the way of going on
 * @param choices what can be tapped, the likeliest first; also once answered, to correct it
 * @param waitsFor number of the running timer this step waits for; null when it need not wait
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
        Long waitsFor) {

    /** A tap: the fact it records, complete but for what {@code asks} names. */
    public record Choice(String label, Tone tone, Fact fact, List<Ask> asks) {}

    public enum Tone {
        GO,
        FAIL,
        OTHER
    }

    /** A value the tap still needs: the fact's field, how to ask for it, and its unit ({@code C}, {@code s}, none). */
    public record Ask(String field, String label, Kind kind, String unit, String suggestion) {
        public enum Kind {
            TEXT,
            NUMBER
        }

        public static Ask reason(String label) {
            return new Ask("reason", label, Kind.TEXT, null, null);
        }
    }

    public boolean open() {
        return !optional && (answer == null || problem);
    }

    public static Step open(String id, Station station, String title, String hint, Choice... choices) {
        return new Step(id, station, title, hint, null, false, false, List.of(choices), null);
    }

    public Step answered(String words) {
        return new Step(id, station, title, hint, words, false, optional, choices, null);
    }

    public Step problem(String words) {
        return new Step(id, station, title, hint, words, true, optional, choices, null);
    }

    public Step asOptional() {
        return new Step(id, station, title, hint, answer, problem, true, choices, waitsFor);
    }

    public Step waiting(long timerSeq) {
        return new Step(id, station, title, hint, answer, problem, optional, choices, timerSeq);
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
