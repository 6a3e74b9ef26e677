package ridgefall.core.detour;

import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.units.Allowed;

/** What turns a job off its straight way, whatever station it stands at. */
public sealed interface DetourFact extends Fact.Of<DetourState> {
    Family<DetourState> FAMILY = new Family<>(DetourFact.class, DetourState.NOTHING);

    @Override
    default Family<DetourState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.empty();
    }

    /**
     * A front that was sealed comes up once more. From here on it is warmed, cut and stripped down anew; adhesive and
     * liners are spent, and what was tested loose or seated is tested again.
     */
    record Reopened(String reason) implements DetourFact {
        @Override
        public void check() {
            Allowed.text("reason", reason, 200);
        }

        @Override
        public DetourState after(DetourState before, Entry entry) {
            return before.reopened();
        }

        @Override
        public boolean voids(String id) {
            return Stream.of("heat.", "clean.", "bond.", "test.", "open.", "seal.", "after.")
                            .anyMatch(id::startsWith)
                    || id.equals("DRYING")
                    || id.equals("PRESSING");
        }

        @Override
        public String words(FactWords told) {
            return "Opened again after sealing" + FactWords.because(reason);
        }
    }

    /**
     * Words for whoever reads the journal.
     *
     * @param forNext left for whoever goes on with it: shown until somebody does
     */
    record NoteLeft(String words, boolean forNext) implements DetourFact {
        @Override
        public void check() {
            Allowed.text("words", words, 400);
        }

        @Override
        public DetourState after(DetourState before, Entry entry) {
            return before.noted(new DetourState.Note(entry.happenedAt(), entry.who(), words, forNext));
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public String words(FactWords told) {
            return (forNext ? "For whoever goes on: " : "Note: ") + words;
        }
    }
}
